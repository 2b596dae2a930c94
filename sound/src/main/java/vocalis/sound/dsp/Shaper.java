package vocalis.sound.dsp;

/**
 * A saturating stage {@code f(x) = x/√(1 + x²)} around a bias, antialiased to first order.
 *
 * <p>First-order antiderivative antialiasing (J. Parker, V. Zavalishin and E. Le Bivic, "Reducing
 * the aliasing of nonlinear waveshaping using continuous-time convolution", DAFx 2016) needs {@code
 * (F(x1) − F(x0))/(x1 − x0)}; for this curve, whose antiderivative is {@code √(1 + x²)}, that
 * difference quotient is {@code (x1 + x0)/(√(1 + x1²) + √(1 + x0²))}, exact and without a division
 * by zero. The bias makes the curve asymmetric (even harmonics); what it shifts is taken off again.
 * Works on blocks in loops that become vector instructions, in single precision: nothing is taken
 * from a number of its own size but the bias.
 */
public final class Shaper {

    private final float gain;
    private final float bias;
    private final float rest;
    private final float[] now;
    private final float[] root;
    private final float[] before;
    private final float[] rootBefore;

    /**
     * @param most frames in a block, at most
     */
    public Shaper(double gain, double bias, int most) {
        this.gain = (float) gain;
        this.bias = (float) bias;
        this.rest = (float) (bias / Math.sqrt(1 + bias * bias));
        now = new float[most];
        root = new float[most];
        before = new float[most + 1];
        rootBefore = new float[most + 1];
        reset();
    }

    /** Shapes {@code n} frames in place. */
    public void process(float[] x, int n) {
        float[] a = now;
        float[] r = root;
        float[] b = before;
        float[] q = rootBefore;
        for (int i = 0; i < n; i++) {
            a[i] = gain * x[i] + bias;
        }
        for (int i = 0; i < n; i++) {
            r[i] = (float) Math.sqrt(1f + a[i] * a[i]);
        }
        System.arraycopy(a, 0, b, 1, n);
        System.arraycopy(r, 0, q, 1, n);
        for (int i = 0; i < n; i++) {
            x[i] = (a[i] + b[i]) / (r[i] + q[i]) - rest;
        }
        b[0] = b[n];
        q[0] = q[n];
    }

    /** Frames in single precision. */
    public static void narrow(double[] from, float[] to, int n) {
        for (int i = 0; i < n; i++) {
            to[i] = (float) from[i];
        }
    }

    /** Frames in double precision. */
    public static void widen(float[] from, double[] to, int n) {
        for (int i = 0; i < n; i++) {
            to[i] = from[i];
        }
    }

    public void reset() {
        before[0] = bias;
        rootBefore[0] = (float) Math.sqrt(1 + bias * bias);
    }
}
