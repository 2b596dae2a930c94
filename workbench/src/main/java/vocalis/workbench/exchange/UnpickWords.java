package vocalis.workbench.exchange;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import vocalis.core.unpick.Unpicked;
import vocalis.formats.sheet.Imported;

/** What taking a score apart came to, in words. */
public final class UnpickWords {

    private UnpickWords() {}

    /** How sure a chord is. */
    public static String of(Unpicked.Sure sure) {
        return switch (sure) {
            case NAMED -> "certain: named in the file, and its notes agree";
            case STRUCK -> "certain: struck together, and read one way only";
            case NEAR -> "likely: struck together, but another root is near";
            case SPREAD -> "likely: its notes follow each other under one hand";
            case OTHERWISE -> "unsure: the file calls it something else than it sounds";
            case LINE -> "guessed: a line alone; the root is what it sounds like";
        };
    }

    /**
     * The same of what the ear wrote down.
     *
     * @param clean whether it was played on clean strings of ours; else nothing is certain
     */
    public static String of(Unpicked.Sure sure, boolean clean) {
        return clean || !sure.certain()
                ? of(sure)
                : "likely: heard so, but not on clean strings of ours";
    }

    /** The whole in a sentence or two. */
    public static String whole(Unpicked u) {
        return whole(u, (int) u.chords().stream().filter(c -> c.sure().certain()).count());
    }

    /**
     * The same where something else is known of how sure it is.
     *
     * @param certain how many chords are certain
     */
    public static String whole(Unpicked u, int certain) {
        int chords = u.chords().size();
        int figures = u.riff().pattern().figures().size();
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
        return said + same(u) + second(u);
    }

    private static String second(Unpicked u) {
        if (u.second().isEmpty()) {
            return "";
        }
        Unpicked.Second s = u.second().get();
        return s.same() == s.notes()
                ? "; the second guitar comes in too, all "
                        + s.notes()
                        + " notes, over the same roots"
                : "; the second guitar comes in too, "
                        + s.same()
                        + " of "
                        + s.notes()
                        + " notes as they were";
    }

    /**
     * What else is to be known before the roots are believed: guitars that stay away, and how often
     * grips are found where a file names no chords (measured by the tests, see docs/formats.md).
     */
    public static List<String> cautions(Imported imported) {
        List<String> all = new ArrayList<>();
        List<String> left = Exchange.leftOut(imported);
        if (!left.isEmpty()) {
            all.add(String.join(", ", left) + " stayed away: a riff holds two guitars.");
        }
        if (!imported.harmonies()) {
            all.add(
                    "The file names no chords. That the notes come back does not prove the roots: in"
                            + " busy riffs about half of the grips are found whole ("
                            + GRIPS_FOUND
                            + " per cent of 200 made to test it). Look the chords through.");
        }
        return all;
    }

    /** Of the grips of 200 generated riffs without chord symbols, per cent; see UnpickerTest. */
    static final int GRIPS_FOUND = 56;

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
