package vocalis.sound.dsp;

/**
 * Biquads in series, coefficients and states in flat arrays: the same filters as one {@link Biquad}
 * after another, without an object to look up for each. Tiny states are flushed once a block. One
 * thread; no allocation after construction.
 */
final class BiquadChain {

    private static final double TINY = 1e-18;
    private static final int COEFFICIENTS = 5;

    private final double[] c;
    private final double[] s1;
    private final double[] s2;

    BiquadChain(Biquad... filters) {
        c = new double[COEFFICIENTS * filters.length];
        s1 = new double[filters.length];
        s2 = new double[filters.length];
        for (int k = 0; k < filters.length; k++) {
            filters[k].coefficients(c, COEFFICIENTS * k);
        }
    }

    /** Filters {@code n} frames in place. */
    void process(double[] x, int n) {
        for (int i = 0; i < n; i++) {
            x[i] = next(x[i]);
        }
        rest();
    }

    /** One frame through all of them. */
    private double next(double x) {
        double v = x;
        for (int k = 0, i = 0; k < s1.length; k++, i += COEFFICIENTS) {
            double y = c[i] * v + s1[k];
            s1[k] = c[i + 1] * v - c[i + 3] * y + s2[k];
            s2[k] = c[i + 2] * v - c[i + 4] * y;
            v = y;
        }
        return v;
    }

    /** Flushes states that are all but zero. */
    private void rest() {
        for (int k = 0; k < s1.length; k++) {
            s1[k] = Math.abs(s1[k]) < TINY ? 0 : s1[k];
            s2[k] = Math.abs(s2[k]) < TINY ? 0 : s2[k];
        }
    }

    /** Forgets what it heard. */
    void reset() {
        java.util.Arrays.fill(s1, 0);
        java.util.Arrays.fill(s2, 0);
    }
}
