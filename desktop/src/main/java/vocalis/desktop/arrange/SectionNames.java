package vocalis.desktop.arrange;

import java.util.List;
import vocalis.core.piece.Section;

/** The names that sections usually have, in the order in which they usually come. */
final class SectionNames {

    private static final List<String> USUAL =
            List.of("intro", "verse", "chorus", "breakdown", "ending");

    private SectionNames() {}

    /** A name for a section behind others: not an intro. */
    static String after(List<Section> all) {
        for (String n : USUAL.subList(1, USUAL.size())) {
            if (all.stream().noneMatch(s -> s.name().equals(n))) {
                return n;
            }
        }
        return "part " + (all.size() + 1);
    }

    /** The next of the usual names, from a name on. */
    static String next(String now, int by) {
        return USUAL.get(Math.floorMod(USUAL.indexOf(now) + by, USUAL.size()));
    }
}
