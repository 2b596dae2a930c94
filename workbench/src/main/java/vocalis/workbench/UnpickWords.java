package vocalis.workbench;

import java.util.List;
import java.util.stream.Collectors;
import vocalis.core.unpick.Unpicked;

/** What taking a score apart came to, in words. */
public final class UnpickWords {

    private UnpickWords() {}

    /** How sure a chord is. */
    public static String of(Unpicked.Sure sure) {
        return switch (sure) {
            case NAMED -> "certain: named in the file, and its notes agree";
            case STRUCK -> "certain: struck together";
            case SPREAD -> "likely: its notes follow each other under one hand";
            case COMPLETED -> "guessed: voices added, so that it is what the file calls it";
            case LINE -> "guessed: a line alone; the root is what it sounds like";
        };
    }

    /** Whether it is certain. */
    public static boolean certain(Unpicked.Sure sure) {
        return sure == Unpicked.Sure.NAMED || sure == Unpicked.Sure.STRUCK;
    }

    /** The whole in a sentence or two. */
    public static String whole(Unpicked u) {
        int chords = u.chords().size();
        int figures = u.riff().pattern().figures().size();
        long certain = u.chords().stream().filter(c -> certain(c.sure())).count();
        String said =
                chords
                        + (chords == 1 ? " chord" : " chords")
                        + " ("
                        + certain
                        + " certain), "
                        + figures
                        + (figures == 1 ? " figure, " : " figures, ")
                        + u.lines()
                        + (u.lines() == 1 ? " note of a line; " : " notes of lines; ");
        return said + same(u);
    }

    private static String same(Unpicked u) {
        if (u.whole()) {
            return "the recipe gives back every one of the " + u.notes() + " notes";
        }
        List<Integer> bars = u.differs();
        String which =
                bars.stream()
                        .limit(8)
                        .map(b -> String.valueOf(b + 1))
                        .collect(Collectors.joining(", "));
        return "the recipe gives back "
                + u.same()
                + " of "
                + u.notes()
                + " notes; it differs in bar "
                + which
                + (bars.size() > 8 ? " and more" : "");
    }
}
