package vocalis.sound.dsp;

/**
 * A saturating stage {@code f(x) = x/√(1 + x²)} around a bias, antialiased to first order.
 *
 * <p>First-order antiderivative antialiasing (J. Parker, V. Zavalishin and E. Le Bivic, "Reducing
 * the aliasing of nonlinear waveshaping using continuous-time convolution", DAFx 2016) needs {@code
 * (F(x1) − F(x0))/(x1 − x0)}; for this curve, whose antiderivative is {@code √(1 + x²)}, that
 * difference quotient is {@code (x1 + x0)/(√(1 + x1²) + √(1 + x0²))}, exact and without a division
 * by zero. The bias makes the curve asymmetric (even harmonics); what it shifts is taken off again.
 * Works on blocks in loops that the compiler can turn into vector instructions.
 */
public final class Shaper {

    private final double gain;
    private final double bias;
    private final double rest;
    private final double[] now;
    private final double[] root;

    /**
     * @param most frames in a block, at most
     */
    public Shaper(double gain, double bias, int most) {
        this.gain = gain;
        this.bias = bias;
        this.rest = bias / Math.sqrt(1 + bias * bias);
        now = new double[most + 1];
        root = new double[most + 1];
        reset();
    }

    /** Shapes {@code n} frames in place. */
    public void process(double[] x, int n) {
        double[] a = now;
        double[] r = root;
        for (int i = 0; i < n; i++) {
            a[i + 1] = gain * x[i] + bias;
        }
        for (int i = 1; i <= n; i++) {
            r[i] = Math.sqrt(1 + a[i] * a[i]);
        }
        for (int i = 0; i < n; i++) {
            x[i] = (a[i + 1] + a[i]) / (r[i + 1] + r[i]) - rest;
        }
        a[0] = a[n];
        r[0] = r[n];
    }

    public void reset() {
        now[0] = bias;
        root[0] = Math.sqrt(1 + bias * bias);
    }
}
