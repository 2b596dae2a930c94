package vocalis.workbench.words;

import java.util.List;
import java.util.Locale;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;

/** What a hand does to a note, in a guitarist's words. */
public final class TechniqueWords {

    /** How far over their note partials 2 to 8 lie. */
    private static final List<String> PARTIALS =
            List.of(
                    "an octave up",
                    "an octave and a fifth up",
                    "two octaves up",
                    "two octaves and a third up",
                    "two octaves and a fifth up",
                    "two octaves and a flat seventh up",
                    "three octaves up");

    private TechniqueWords() {}

    /**
     * A pinch harmonic by its partial.
     *
     * @param partial 2 to 8
     */
    public static String pinch(int partial) {
        return "pinch harmonic, " + PARTIALS.get(partial - 2);
    }

    /** All that is done to a note, in the order of time; empty where nothing is. */
    public static String of(ScoreNote n) {
        if (n.techniques().isEmpty()) {
            // Asked of every note that is painted.
            return "";
        }
        return String.join("; ", n.techniques().stream().map(TechniqueWords::of).toList());
    }

    private static String of(Technique t) {
        return switch (t.kind()) {
            case HAMMER -> "hammered on to " + t.to();
            case PULL -> "pulled off to " + t.to();
            case SLIDE -> "slid to " + t.to();
            case BEND -> "bent up " + semitones(t.to());
            case RELEASE -> "let back";
            case VIBRATO -> "vibrato";
            case TREMOLO -> "tremolo, " + t.to() + " to a quarter";
            case PINCH -> pinch(t.to());
        };
    }

    private static String semitones(int cents) {
        double n = cents / 100.0;
        String said =
                n == Math.rint(n) ? String.valueOf((int) n) : String.format(Locale.ROOT, "%.1f", n);
        return said + (n == 1 ? " semitone" : " semitones");
    }
}
