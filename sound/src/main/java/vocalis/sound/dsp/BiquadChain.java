package vocalis.sound.dsp;

/**
 * Biquads in series, coefficients and states in flat arrays: the same filters as one {@link Biquad}
 * after another, without an object to look up for each. Tiny states are flushed once a block. One
 * thread; no allocation after construction.
 *
 * <p>Transposed direct form II with its output put into its states, {@code y = b0·x + s}, {@code s'
 * = (b1 − a1·b0)·x + t − a1·s}, {@code t' = (b2 − a2·b0)·x − a2·s}: the next state waits for a
 * product and a sum instead of two of each.
 */
public final class BiquadChain {

    private static final double TINY = 1e-18;
    private static final int COEFFICIENTS = 5;

    private final double[] c;
    private final double[] s1;
    private final double[] s2;

    public BiquadChain(Biquad... filters) {
        c = new double[COEFFICIENTS * filters.length];
        s1 = new double[filters.length];
        s2 = new double[filters.length];
        for (int k = 0; k < filters.length; k++) {
            int i = COEFFICIENTS * k;
            filters[k].coefficients(c, i);
            c[i + 1] -= c[i + 3] * c[i];
            c[i + 2] -= c[i + 4] * c[i];
        }
    }

    /**
     * Filters {@code n} frames in place, two filters at a time with all their numbers in local
     * variables, over the whole block.
     */
    public void process(double[] x, int n) {
        int k = 0;
        for (; k + 3 < s1.length; k += 4) {
            four(x, n, k);
        }
        for (; k + 1 < s1.length; k += 2) {
            two(x, n, k);
        }
        if (k < s1.length) {
            one(x, n, k);
        }
        rest();
    }

    private void four(double[] x, int n, int k) {
        double[] h = c;
        int i = COEFFICIENTS * k;
        double b0p = h[i + 0];
        double b1p = h[i + 1];
        double b2p = h[i + 2];
        double a1p = h[i + 3];
        double a2p = h[i + 4];
        double b0q = h[i + 5];
        double b1q = h[i + 6];
        double b2q = h[i + 7];
        double a1q = h[i + 8];
        double a2q = h[i + 9];
        double b0r = h[i + 10];
        double b1r = h[i + 11];
        double b2r = h[i + 12];
        double a1r = h[i + 13];
        double a2r = h[i + 14];
        double b0s = h[i + 15];
        double b1s = h[i + 16];
        double b2s = h[i + 17];
        double a1s = h[i + 18];
        double a2s = h[i + 19];
        double up = s1[k];
        double wp = s2[k];
        double uq = s1[k + 1];
        double wq = s2[k + 1];
        double ur = s1[k + 2];
        double wr = s2[k + 2];
        double us = s1[k + 3];
        double ws = s2[k + 3];
        for (int f = 0; f < n; f++) {
            double v = x[f];
            double yp = b0p * v + up;
            double np = b1p * v + wp - a1p * up;
            wp = b2p * v - a2p * up;
            up = np;
            double yq = b0q * yp + uq;
            double nq = b1q * yp + wq - a1q * uq;
            wq = b2q * yp - a2q * uq;
            uq = nq;
            double yr = b0r * yq + ur;
            double nr = b1r * yq + wr - a1r * ur;
            wr = b2r * yq - a2r * ur;
            ur = nr;
            double ys = b0s * yr + us;
            double ns = b1s * yr + ws - a1s * us;
            ws = b2s * yr - a2s * us;
            us = ns;
            x[f] = ys;
        }
        s1[k] = up;
        s2[k] = wp;
        s1[k + 1] = uq;
        s2[k + 1] = wq;
        s1[k + 2] = ur;
        s2[k + 2] = wr;
        s1[k + 3] = us;
        s2[k + 3] = ws;
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
            double next = b1 * v + t - a1 * s;
            t = b2 * v - a2 * s;
            s = next;
            double z = d0 * y + u;
            double after = d1 * y + w - e1 * u;
            w = d2 * y - e2 * u;
            u = after;
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
            double next = c[i + 1] * v + t - c[i + 3] * s;
            t = c[i + 2] * v - c[i + 4] * s;
            s = next;
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
    public void reset() {
        java.util.Arrays.fill(s1, 0);
        java.util.Arrays.fill(s2, 0);
    }
}
