package vocalis.workbench.words;

import java.util.List;
import vocalis.core.instrument.Shape;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;

/** What sets shapes of one name apart, in the words of a player who holds them. */
public final class ShapeWords {

    private ShapeWords() {}

    /**
     * What one shape has that the others of its name have not: {@code two strings}, {@code with the
     * octave}, {@code over its fifth}. Where nothing is its own, two things that none of them has
     * both; else its place.
     *
     * @param others shapes of the same name beside it, itself not among them
     * @return empty where there are no others
     */
    public static String apart(Voicing v, List<Voicing> others) {
        if (others.isEmpty()) {
            return "";
        }
        List<String> own = features(v);
        List<List<String>> theirs = others.stream().map(ShapeWords::features).toList();
        for (int i = 0; i < own.size(); i++) {
            if (tells(own, theirs, i, i)) {
                return own.get(i);
            }
        }
        for (int i = 0; i < own.size(); i++) {
            for (int j = i + 1; j < own.size(); j++) {
                if (tells(own, theirs, i, j)) {
                    return own.get(i) + ", " + own.get(j);
                }
            }
        }
        return own.get(own.size() - 1);
    }

    /** Whether no other shape has both of two things that can be said of this one. */
    private static boolean tells(List<String> own, List<List<String>> theirs, int i, int j) {
        return !own.get(i).isEmpty()
                && !own.get(j).isEmpty()
                && theirs.stream()
                        .noneMatch(f -> f.get(i).equals(own.get(i)) && f.get(j).equals(own.get(j)));
    }

    /** What can be said of a shape, what is heard most first; nothing where it is as usual. */
    private static List<String> features(Voicing v) {
        return List.of(
                strings(v),
                bass(v),
                octave(v),
                open(v),
                skipped(v.shape()),
                register(v),
                top(v),
                place(v.shape()));
    }

    private static String strings(Voicing v) {
        return switch (v.voices()) {
            case 1 -> "one string";
            case 2 -> "two strings";
            case 3 -> "three strings";
            case 4 -> "four strings";
            case 5 -> "five strings";
            case 6 -> "six strings";
            default -> v.voices() + " strings";
        };
    }

    private static String bass(Voicing v) {
        int above = Math.floorMod(v.bass() - v.root(), 12);
        return above == 0 ? "" : "over its " + interval(above);
    }

    private static String octave(Voicing v) {
        long roots = v.soundings().stream().filter(s -> s.pitchClass() == v.root()).count();
        return roots > 2 ? "with two octaves" : roots == 2 ? "with the octave" : "no octave";
    }

    private static String register(Voicing v) {
        return "from "
                + Spelling.plain(Math.floorMod(v.bass(), 12)).symbol()
                + (v.bass() / 12 - 1)
                + " up";
    }

    private static String open(Voicing v) {
        return v.shape().rings() ? "open strings ring" : "";
    }

    private static String skipped(Shape s) {
        List<Integer> sounded = s.sounded();
        for (int i = 1; i < sounded.size(); i++) {
            if (sounded.get(i) - sounded.get(i - 1) > 1) {
                return "a string skipped";
            }
        }
        return "";
    }

    private static String top(Voicing v) {
        Sounding high =
                v.soundings().stream()
                        .max(java.util.Comparator.comparingInt(Sounding::midi))
                        .orElseThrow();
        int above = Math.floorMod(high.midi() - v.root(), 12);
        return above == 0 ? "root on top" : interval(above) + " on top";
    }

    private static String place(Shape s) {
        return s.lowestFretted() == 0 ? "all open" : "at fret " + s.lowestFretted();
    }

    private static String interval(int semitones) {
        return switch (semitones) {
            case 3 -> "minor third";
            case 4 -> "third";
            case 5 -> "fourth";
            case 6 -> "tritone";
            case 7 -> "fifth";
            case 9 -> "sixth";
            case 10 -> "seventh";
            default -> Degree.above(semitones).symbol();
        };
    }
}
