package vocalis.core.rhythm;

/**
 * Exact musical time. A quarter note has 20160 = 2⁶·3²·5·7 ticks, so that sixty-fourths, triplets
 * inside triplets, quintuplets and septuplets all fall on whole ticks.
 */
public final class Ticks {

    public static final long QUARTER = 20160;
    public static final long WHOLE = 4 * QUARTER;
    public static final long HALF = 2 * QUARTER;
    public static final long EIGHTH = QUARTER / 2;
    public static final long SIXTEENTH = QUARTER / 4;

    private Ticks() {}

    /** Seconds that ticks last at a tempo in quarter notes per minute. */
    public static double seconds(long ticks, double tempo) {
        return ticks * 60.0 / (QUARTER * tempo);
    }
}
