package vocalis.sound.dsp;

/**
 * A saturating stage {@code f(x) = x/√(1 + x²)} around a bias, antialiased to first order.
 *
 * <p>First-order antiderivative antialiasing (J. Parker, V. Zavalishin and E. Le Bivic, "Reducing
 * the aliasing of nonlinear waveshaping using continuous-time convolution", DAFx 2016) needs {@code
 * (F(x1) − F(x0))/(x1 − x0)}; for this curve, whose antiderivative is {@code √(1 + x²)}, that
 * difference quotient is {@code (x1 + x0)/(√(1 + x1²) + √(1 + x0²))}, exact and without a division
 * by zero. The bias makes the curve asymmetric (even harmonics); what it shifts is taken off again.
 */
final class Shaper {

    private final double gain;
    private final double bias;
    private final double rest;
    private double before;
    private double rootBefore;

    Shaper(double gain, double bias) {
        this.gain = gain;
        this.bias = bias;
        this.rest = bias / Math.sqrt(1 + bias * bias);
        reset();
    }

    double next(double x) {
        double now = gain * x + bias;
        double root = Math.sqrt(1 + now * now);
        double y = (now + before) / (root + rootBefore) - rest;
        before = now;
        rootBefore = root;
        return y;
    }

    void reset() {
        before = bias;
        rootBefore = Math.sqrt(1 + bias * bias);
    }
}
