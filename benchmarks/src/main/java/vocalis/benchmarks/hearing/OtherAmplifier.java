package vocalis.benchmarks.hearing;

import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import vocalis.sound.listen.Take;

/**
 * An amplifier that is none of ours, turned at random, so that the nets learn what clipping does
 * and not what our own circuit does: another guitar, a filter, one or two stages that clip in one
 * of four ways, a filter between them, and a speaker of three filters. Common practice, no source.
 * The filters are the second-order ones of R. Bristow-Johnson's audio equaliser cookbook.
 */
final class OtherAmplifier {

    private static final int OVER = 4;
    private static final int TAPS = 96;

    /** One reflection in so many frames. */
    private static final int SPARSE = 16;

    /** The level that it is fed and that it gives, as a mean square's root. */
    private static final double FED = 0.1;

    private final Random random;
    private final double rate;
    private final boolean gain;

    /**
     * @param seed turns its knobs
     * @param gain whether it clips all the time; otherwise at its edge
     */
    OtherAmplifier(long seed, double rate, boolean gain) {
        this.random = new Random(seed * 104_729 + 71);
        this.rate = rate;
        this.gain = gain;
    }

    /** What it makes of a clean guitar. */
    Take of(Take clean) {
        float[] stereo = clean.stereo();
        double[] x = new double[stereo.length / 2];
        for (int i = 0; i < x.length; i++) {
            x[i] = stereo[2 * i];
        }
        level(x);
        if (random.nextInt(10) < 7) {
            smear(x);
            peak(x, between(120, 250), between(-8, 8), 0.7);
            peak(x, between(400, 1000), between(-8, 8), 0.7);
            peak(x, between(1800, 3500), between(-8, 8), 0.7);
        }
        level(x);
        highPass(x, between(60, gain ? 500 : 200));
        if (random.nextBoolean()) {
            peak(x, between(500, 1500), between(0, 12), 0.7);
        }
        clip(x, gain ? between(22, 48) : between(6, 20));
        if (gain && random.nextInt(3) > 0) {
            highPass(x, between(40, 250));
            lowPass(x, between(4000, 12000));
            clip(x, between(3, 24));
        }
        peak(x, between(80, 140), between(0, 6), 1.2);
        peak(x, between(350, 900), between(-9, 2), 0.8);
        peak(x, between(1800, 3800), between(-2, 8), 0.9);
        double edge = between(3300, 7500);
        lowPass(x, edge);
        lowPass(x, edge * between(0.9, 1.4));
        level(x);
        return new Take(x, rate);
    }

    private double between(double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    /** Another guitar: what is struck comes a little later too, by sparse noise that falls. */
    private void smear(double[] x) {
        double fall = between(0.003, 0.02) * rate;
        double loud = Math.pow(10, between(-14, -2) / 20) / Math.sqrt(fall / 2 / SPARSE);
        double[] dry = x.clone();
        for (int from = 0; from < 3 * fall; from += SPARSE) {
            int late = from + random.nextInt(SPARSE);
            double h = loud * random.nextGaussian() * Math.exp(-late / fall);
            for (int i = late; i < x.length; i++) {
                x[i] += h * dry[i - late];
            }
        }
    }

    private static void level(double[] x) {
        double sum = 0;
        for (double v : x) {
            sum += v * v;
        }
        double up = FED / Math.sqrt(sum / x.length + 1e-12);
        for (int i = 0; i < x.length; i++) {
            x[i] *= up;
        }
    }

    private DoubleUnaryOperator way() {
        double bias = between(-0.5, 0.5);
        double still = Math.tanh(bias);
        double lower = between(0.4, 1);
        return switch (random.nextInt(4)) {
            case 0 -> v -> Math.tanh(v + bias) - still;
            case 1 -> v -> Math.max(-lower, Math.min(1, v));
            case 2 -> v -> v > 0 ? Math.tanh(v) : lower * Math.tanh(v / lower);
            default -> v -> v / Math.pow(1 + Math.pow(Math.abs(v), 2.5), 0.4);
        };
    }

    /** Clips at four times the rate, so that what folds back stays low. */
    private void clip(double[] x, double db) {
        DoubleUnaryOperator way = way();
        double up = Math.pow(10, db / 20);
        double[] low = lowPass();
        double[] wide = new double[OVER * x.length];
        for (int i = 0; i < wide.length; i++) {
            double sum = 0;
            for (int k = i % OVER; k < TAPS && k <= i; k += OVER) {
                sum += low[k] * x[(i - k) / OVER];
            }
            wide[i] = way.applyAsDouble(up * OVER * sum);
        }
        // Both filters together are late by one less than their length.
        for (int i = 0; i < x.length; i++) {
            double sum = 0;
            int at = i * OVER + TAPS - 1;
            for (int k = 0; k < TAPS; k++) {
                int j = at - k;
                sum += j >= 0 && j < wide.length ? low[k] * wide[j] : 0;
            }
            x[i] = sum;
        }
    }

    /** A windowed sinc (Hann) up to the half of the rate that comes in. */
    private static double[] lowPass() {
        double[] h = new double[TAPS];
        double sum = 0;
        for (int k = 0; k < TAPS; k++) {
            double t = (k - (TAPS - 1) / 2.0) / OVER;
            double sinc = Math.sin(Math.PI * 0.92 * t) / (Math.PI * 0.92 * t);
            h[k] = sinc * (0.5 - 0.5 * Math.cos(2 * Math.PI * (k + 0.5) / TAPS));
            sum += h[k];
        }
        for (int k = 0; k < TAPS; k++) {
            h[k] /= sum;
        }
        return h;
    }

    private void highPass(double[] x, double hz) {
        double w = 2 * Math.PI * hz / rate;
        double c = Math.cos(w);
        double a = Math.sin(w) / Math.sqrt(2);
        run(x, (1 + c) / 2, -(1 + c), (1 + c) / 2, 1 + a, -2 * c, 1 - a);
    }

    private void lowPass(double[] x, double hz) {
        double w = 2 * Math.PI * hz / rate;
        double c = Math.cos(w);
        double a = Math.sin(w) / Math.sqrt(2);
        run(x, (1 - c) / 2, 1 - c, (1 - c) / 2, 1 + a, -2 * c, 1 - a);
    }

    private void peak(double[] x, double hz, double db, double q) {
        double w = 2 * Math.PI * hz / rate;
        double c = Math.cos(w);
        double a = Math.sin(w) / (2 * q);
        double g = Math.pow(10, db / 40);
        run(x, 1 + a * g, -2 * c, 1 - a * g, 1 + a / g, -2 * c, 1 - a / g);
    }

    private static void run(
            double[] x, double b0, double b1, double b2, double a0, double a1, double a2) {
        double s1 = 0;
        double s2 = 0;
        for (int i = 0; i < x.length; i++) {
            double y = (b0 * x[i] + s1) / a0;
            s1 = b1 * x[i] - a1 * y + s2;
            s2 = b2 * x[i] - a2 * y;
            x[i] = y;
        }
    }
}
