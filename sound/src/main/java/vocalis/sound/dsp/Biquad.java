package vocalis.sound.dsp;

/**
 * A second-order filter in transposed direct form II, with the coefficient formulas of R.
 * Bristow-Johnson, "Cookbook formulae for audio EQ biquad filter coefficients". Frequencies in Hz,
 * gains in dB. One thread; no allocation.
 */
public final class Biquad {

    /** Flushed to zero; asked with one comparison, for the sign of a sound cannot be predicted. */
    private static final double TINY = 1e-18;

    /** Coefficients that differ by less are the same: 240 dB under the sound. */
    private static final double NOTHING = 1e-12;

    private final double b0;
    private final double b1;
    private final double b2;
    private final double a1;
    private final double a2;
    private double s1;
    private double s2;

    private Biquad(double b0, double b1, double b2, double a0, double a1, double a2) {
        this.b0 = b0 / a0;
        this.b1 = b1 / a0;
        this.b2 = b2 / a0;
        this.a1 = a1 / a0;
        this.a2 = a2 / a0;
    }

    public static Biquad lowpass(double sampleRate, double hz, double q) {
        double w = 2 * Math.PI * hz / sampleRate;
        double alpha = Math.sin(w) / (2 * q);
        double c = Math.cos(w);
        return new Biquad((1 - c) / 2, 1 - c, (1 - c) / 2, 1 + alpha, -2 * c, 1 - alpha);
    }

    public static Biquad highpass(double sampleRate, double hz, double q) {
        double w = 2 * Math.PI * hz / sampleRate;
        double alpha = Math.sin(w) / (2 * q);
        double c = Math.cos(w);
        return new Biquad((1 + c) / 2, -(1 + c), (1 + c) / 2, 1 + alpha, -2 * c, 1 - alpha);
    }

    public static Biquad peak(double sampleRate, double hz, double q, double gainDb) {
        double w = 2 * Math.PI * hz / sampleRate;
        double a = Math.pow(10, gainDb / 40);
        double alpha = Math.sin(w) / (2 * q);
        double c = Math.cos(w);
        return new Biquad(
                1 + alpha * a, -2 * c, 1 - alpha * a, 1 + alpha / a, -2 * c, 1 - alpha / a);
    }

    public static Biquad lowShelf(double sampleRate, double hz, double gainDb) {
        return shelf(sampleRate, hz, gainDb, 1);
    }

    public static Biquad highShelf(double sampleRate, double hz, double gainDb) {
        return shelf(sampleRate, hz, gainDb, -1);
    }

    /** The two shelves mirror each other: the sign of every cosine turns (slope S = 1). */
    private static Biquad shelf(double sampleRate, double hz, double gainDb, double side) {
        double w = 2 * Math.PI * hz / sampleRate;
        double a = Math.pow(10, gainDb / 40);
        double c = side * Math.cos(w);
        double root = 2 * Math.sqrt(a) * Math.sin(w) / Math.sqrt(2);
        return new Biquad(
                a * (a + 1 - (a - 1) * c + root),
                side * 2 * a * (a - 1 - (a + 1) * c),
                a * (a + 1 - (a - 1) * c - root),
                a + 1 + (a - 1) * c + root,
                side * -2 * (a - 1 + (a + 1) * c),
                a + 1 + (a - 1) * c - root);
    }

    /** Whether anything leaves it otherwise than it came. */
    boolean changes() {
        return Math.abs(b0 - 1) + Math.abs(b1 - a1) + Math.abs(b2 - a2) > NOTHING;
    }

    /** Writes b0, b1, b2, a1, a2 from an index on. */
    void coefficients(double[] to, int at) {
        to[at] = b0;
        to[at + 1] = b1;
        to[at + 2] = b2;
        to[at + 3] = a1;
        to[at + 4] = a2;
    }

    /** One frame. */
    public double next(double x) {
        double y = b0 * x + s1;
        s1 = b1 * x - a1 * y + s2;
        s2 = b2 * x - a2 * y;
        if (Math.abs(s1) < TINY) {
            s1 = 0;
        }
        if (Math.abs(s2) < TINY) {
            s2 = 0;
        }
        return y;
    }

    /** Forgets what it heard. */
    public void reset() {
        s1 = 0;
        s2 = 0;
    }
}
