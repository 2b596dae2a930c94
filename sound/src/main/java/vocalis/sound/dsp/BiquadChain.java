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

    /**
     * Filters {@code n} frames in place, two filters at a time with all their numbers in local
     * variables, over the whole block.
     */
    void process(double[] x, int n) {
        int k = 0;
        for (; k + 1 < s1.length; k += 2) {
            two(x, n, k);
        }
        if (k < s1.length) {
            one(x, n, k);
        }
        rest();
    }

    private void two(double[] x, int n, int k) {
        int i = COEFFICIENTS * k;
        double b0 = c[i];
        double b1 = c[i + 1];
        double b2 = c[i + 2];
        double a1 = c[i + 3];
        double a2 = c[i + 4];
        double d0 = c[i + 5];
        double d1 = c[i + 6];
        double d2 = c[i + 7];
        double e1 = c[i + 8];
        double e2 = c[i + 9];
        double s = s1[k];
        double t = s2[k];
        double u = s1[k + 1];
        double w = s2[k + 1];
        for (int f = 0; f < n; f++) {
            double v = x[f];
            double y = b0 * v + s;
            s = b1 * v - a1 * y + t;
            t = b2 * v - a2 * y;
            double z = d0 * y + u;
            u = d1 * y - e1 * z + w;
            w = d2 * y - e2 * z;
            x[f] = z;
        }
        s1[k] = s;
        s2[k] = t;
        s1[k + 1] = u;
        s2[k + 1] = w;
    }

    private void one(double[] x, int n, int k) {
        int i = COEFFICIENTS * k;
        double s = s1[k];
        double t = s2[k];
        for (int f = 0; f < n; f++) {
            double v = x[f];
            double y = c[i] * v + s;
            s = c[i + 1] * v - c[i + 3] * y + t;
            t = c[i + 2] * v - c[i + 4] * y;
            x[f] = y;
        }
        s1[k] = s;
        s2[k] = t;
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
