package vocalis.core.pattern;

import vocalis.core.rhythm.Ticks;

/**
 * How large a riff may be: one set of limits for files, controls and engine. Set so that the
 * largest riff is still derived in a fraction of a second; from experience with this program.
 */
public final class Limits {

    /** Bars of a riff. */
    public static final int MOST_BARS = 256;

    /** Roots of a riff. */
    public static final int MOST_ROOTS = 1024;

    /** Shortest root. */
    public static final long SHORTEST_ROOT = Ticks.QUARTER / 16;

    /** Figures of a pattern, and how many the order may name. */
    public static final int MOST_FIGURES = 512;

    /** Shortest figure: a 64th. */
    public static final long SHORTEST_FIGURE = Ticks.QUARTER / 16;

    /** Longest figure: as many 4/4 bars as a riff may have. */
    public static final long LONGEST_FIGURE = MOST_BARS * Ticks.WHOLE;

    /** Events of one figure. */
    public static final int MOST_EVENTS = 1024;

    /** Shortest event: a third of a 64th. */
    public static final long SHORTEST_EVENT = Ticks.QUARTER / 48;

    /** Events that a whole riff comes to, passes counted. */
    public static final int MOST_STRUCK = 16_384;

    /** Events of figures that are changed at one pass. */
    public static final int MOST_OVERRIDES = 4096;

    /** Touches. */
    public static final int MOST_TOUCHES = 4096;

    /** Steps of one chain of hammer-ons and pull-offs. */
    public static final int MOST_STEPS = 32;

    /** Lowest and highest open string over the capo that sounds, in Hz. */
    public static final double LOWEST_HZ = 25;

    public static final double HIGHEST_HZ = 700;

    private Limits() {}

    /**
     * Throws when a count is above its limit.
     *
     * @param what such as "roots"
     */
    public static void most(String what, int count, int most) {
        if (count > most) {
            throw new IllegalArgumentException(
                    "a riff has at most " + most + " " + what + ", but this one " + count);
        }
    }
}
