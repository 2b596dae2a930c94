package vocalis.core.score;

/**
 * What a finger does to a note while it sounds.
 *
 * @param kind what
 * @param to fret that it ends on (hammer, pull, slide), or cents (bend, release, vibrato)
 * @param after ticks from the onset to where it begins, 0 or more
 * @param lasting ticks that the way takes, 0 for at once
 * @param hz how fast a vibrato shakes
 */
public record Technique(Kind kind, int to, long after, long lasting, double hz) {

    /** How fast a hand shakes when nothing else is asked. */
    public static final double USUAL_HZ = 5.3;

    /** Anything but a vibrato. */
    public Technique(Kind kind, int to, long after, long lasting) {
        this(kind, to, after, lasting, USUAL_HZ);
    }

    /** The kinds. */
    public enum Kind {
        HAMMER,
        PULL,
        SLIDE,
        BEND,
        RELEASE,
        VIBRATO,
        /** {@code to} strokes to a quarter note. */
        TREMOLO,
        /** Partial {@code to} in place of the note. */
        PINCH;

        /** Whether it ends on another fret. */
        public boolean moves() {
            return this == HAMMER || this == PULL || this == SLIDE;
        }
    }

    public Technique {
        if (after < 0 || lasting < 0) {
            throw new IllegalArgumentException(
                    "a technique's times are not below 0, but are " + after + " and " + lasting);
        }
        if (to < 0) {
            throw new IllegalArgumentException(
                    "a technique leads to a fret or cents from 0 up, not to " + to);
        }
    }
}
