package vocalis.sound.dsp;

/**
 * Biquads in series, coefficients and states in flat arrays: the same filters as one {@link Biquad}
 * after another, without an object to look up for each. Tiny states are flushed once a block. One
 * thread; no allocation after construction.
 *
 * <p>Transposed direct form II with its output put into its states and every b0 taken into one gain
 * before the first, {@code y = x + s}, {@code s' = (b1 − a1)·x + t − a1·s}, {@code t' = (b2 − a2)·x
 * − a2·s}, b over b0: the next state waits for a product and a sum instead of two of each.
 */
public final class BiquadChain {

    private static final double TINY = 1e-18;
    private static final int COEFFICIENTS = 4;

    private final double gain;
    private final double[] c;
    private final double[] s1;
    private final double[] s2;

    /** The filters, without those that change nothing: a shelf or a bell of 0 dB. */
    public BiquadChain(Biquad... all) {
        Biquad[] filters = new Biquad[all.length];
        int kept = 0;
        for (Biquad b : all) {
            if (b.changes()) {
                filters[kept++] = b;
            }
        }
        c = new double[COEFFICIENTS * kept];
        s1 = new double[kept];
        s2 = new double[kept];
        double all0 = 1;
        double[] one = new double[5];
        for (int k = 0; k < kept; k++) {
            filters[k].coefficients(one, 0);
            int i = COEFFICIENTS * k;
            all0 *= one[0];
            c[i] = one[1] / one[0] - one[3];
            c[i + 1] = one[2] / one[0] - one[4];
            c[i + 2] = one[3];
            c[i + 3] = one[4];
        }
        gain = all0;
    }

    /**
     * Filters {@code n} frames in place, two filters at a time with all their numbers in local
     * variables, over the whole block.
     */
    public void process(double[] x, int n) {
        for (int i = 0; i < n; i++) {
            x[i] *= gain;
        }
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
        double b1p = h[i + 0];
        double b2p = h[i + 1];
        double a1p = h[i + 2];
        double a2p = h[i + 3];
        double b1q = h[i + 4];
        double b2q = h[i + 5];
        double a1q = h[i + 6];
        double a2q = h[i + 7];
        double b1r = h[i + 8];
        double b2r = h[i + 9];
        double a1r = h[i + 10];
        double a2r = h[i + 11];
        double b1s = h[i + 12];
        double b2s = h[i + 13];
        double a1s = h[i + 14];
        double a2s = h[i + 15];
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
            double yp = v + up;
            double np = b1p * v + wp - a1p * up;
            wp = b2p * v - a2p * up;
            up = np;
            double yq = yp + uq;
            double nq = b1q * yp + wq - a1q * uq;
            wq = b2q * yp - a2q * uq;
            uq = nq;
            double yr = yq + ur;
            double nr = b1r * yq + wr - a1r * ur;
            wr = b2r * yq - a2r * ur;
            ur = nr;
            double ys = yr + us;
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
        double b1 = c[i];
        double b2 = c[i + 1];
        double a1 = c[i + 2];
        double a2 = c[i + 3];
        double d1 = c[i + 4];
        double d2 = c[i + 5];
        double e1 = c[i + 6];
        double e2 = c[i + 7];
        double s = s1[k];
        double t = s2[k];
        double u = s1[k + 1];
        double w = s2[k + 1];
        for (int f = 0; f < n; f++) {
            double v = x[f];
            double y = v + s;
            double next = b1 * v + t - a1 * s;
            t = b2 * v - a2 * s;
            s = next;
            double z = y + u;
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
            double y = v + s;
            double next = c[i] * v + t - c[i + 2] * s;
            t = c[i + 1] * v - c[i + 3] * s;
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
