package vocalis.core.mix;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.rhythm.Ticks;
import vocalis.core.theory.Degree;

/**
 * A line of the bass with its own notes: steps of an eighth from every bar line on, counted from
 * the bass of the chord that sounds, again and again until the bar ends.
 *
 * @param steps 1 to {@link #MOST_STEPS}
 */
public record BassFigure(List<Step> steps) {

    /** Most steps. */
    public static final int MOST_STEPS = 32;

    /** A step: a note, the note before held on, or nothing. */
    public sealed interface Step {

        /**
         * A note.
         *
         * @param semitones above the chord's bass, 0 to 23
         * @param written as the player wrote it
         */
        record Note(int semitones, String written) implements Step {
            public Note {
                if (semitones < 0 || semitones > 23) {
                    throw new IllegalArgumentException(
                            "a bass step lies up to two octaves above the chord's bass, not "
                                    + semitones
                                    + " semitones");
                }
            }
        }

        /** What has no pitch. */
        enum Still implements Step {
            HOLD,
            REST
        }
    }

    public BassFigure {
        steps = List.copyOf(steps);
        if (steps.isEmpty() || steps.size() > MOST_STEPS) {
            throw new IllegalArgumentException(
                    "a bass figure has 1 to " + MOST_STEPS + " steps, not " + steps.size());
        }
    }

    /**
     * Reads steps between spaces: degrees above the chord's bass as of the major scale ({@code 1},
     * {@code b7}, {@code 5}; 8 and 9 are an octave up), {@code -} to hold, {@code .} to rest.
     *
     * @throws IllegalArgumentException naming the step that is none
     */
    public static BassFigure parse(String text) {
        List<Step> steps = new ArrayList<>();
        for (String t : text.trim().split("\\s+")) {
            steps.add(step(t));
        }
        return new BassFigure(steps);
    }

    private static Step step(String t) {
        if (t.equals("-") || t.equals(".")) {
            return t.equals("-") ? Step.Still.HOLD : Step.Still.REST;
        }
        try {
            boolean up = t.endsWith("8") || t.endsWith("9");
            String low = up ? t.substring(0, t.length() - 1) + (t.endsWith("8") ? "1" : "2") : t;
            int semitones = Degree.parse(low).semitones() + (up ? 12 : 0);
            return new Step.Note(semitones, t);
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(
                    "\""
                            + t
                            + "\" is no step of a bass: write degrees such as 1, b3, 5, 8 with"
                            + " spaces between, - to hold, . to rest");
        }
    }

    /** As {@link #parse} reads it. */
    public String text() {
        List<String> all = new ArrayList<>();
        for (Step s : steps) {
            all.add(s instanceof Step.Note n ? n.written() : s == Step.Still.HOLD ? "-" : ".");
        }
        return String.join(" ", all);
    }

    /** How long a step lasts. */
    public static long stepTicks() {
        return Ticks.EIGHTH;
    }
}
