package vocalis.sound.strings;

/**
 * What a string loses on one way around its loop: a gain and two shelves, fitted so that each
 * partial falls as fast as it does on a real string.
 *
 * <p>Equation: {@code H(z) = g·S₁(z)·S₂(z)} with {@code S(z) = k + (1 − k)(1 − p)/(1 − p·z⁻¹)}, 1
 * at 0 Hz and k far over its corner. A partial at f falls by {@code −f₀·20·log₁₀|H(f)|} dB a
 * second. Over the corners at {@link #LOW_HZ} and {@link #HIGH_HZ} two shelves follow a straight
 * line within 7 per cent from the first partial to {@link #FITTED_TO_HZ} on a guitar's strings. The
 * fit is by weighted least squares over the partials, slow ones counting most, as in V. Välimäki,
 * J. Huopaniemi, M. Karjalainen and Z. Jánosy, "Physical modeling of plucked string instruments
 * with application to real-time sound synthesis", JAES 44 (1996), from memory; theirs has one pole.
 * Immutable.
 */
final class LoopLoss {

    /** Corners of the shelves, in Hz. */
    private static final double LOW_HZ = 500;

    private static final double HIGH_HZ = 4000;

    /** Partials are fitted up to here, in Hz. */
    static final double FITTED_TO_HZ = 6000;

    private static final int FEWEST = 4;
    private static final int MOST_PARTIALS = 24;
    private static final int STEPS = 8;

    /** Least loss of the gain, in dB: it stays over what the bridge gives back. */
    private static final double LEAST_DB = 0.0148;

    private static final double MOST_DB = 80;

    final double gain;

    /** Both shelves as one filter: {@code (b₀ + b₁z⁻¹ + b₂z⁻²)/(1 − a₁z⁻¹ − a₂z⁻²)}. */
    final double b0;

    final double b1;
    final double b2;
    final double a1;
    final double a2;

    /** What each shelf leaves of the top, and its pole. */
    private final double lowLeft;

    private final double lowPole;
    private final double highLeft;
    private final double highPole;

    private LoopLoss(double[] db, double sampleRate) {
        gain = Math.pow(10, -db[0] / 20);
        lowLeft = Math.pow(10, -db[1] / 20);
        highLeft = Math.pow(10, -db[2] / 20);
        lowPole = Math.exp(-2 * Math.PI * LOW_HZ / sampleRate);
        highPole = Math.exp(-2 * Math.PI * HIGH_HZ / sampleRate);
        double low = 1 - lowPole + lowLeft * lowPole;
        double high = 1 - highPole + highLeft * highPole;
        b0 = low * high;
        b1 = -low * highLeft * highPole - high * lowLeft * lowPole;
        b2 = lowLeft * lowPole * highLeft * highPole;
        a1 = lowPole + highPole;
        a2 = -lowPole * highPole;
    }

    /**
     * The loss under which partials fall by {@code fall + fallPerKhz·f} dB a second, f in kHz.
     *
     * @param hz the first partial
     */
    static LoopLoss fitted(double hz, double fall, double fallPerKhz, double sampleRate) {
        int partials = Math.max(FEWEST, (int) (Math.min(FITTED_TO_HZ, 0.4 * sampleRate) / hz));
        int stride = 1 + partials / MOST_PARTIALS;
        double first = (fall + fallPerKhz * hz / 1000) / hz;
        double last = (fall + fallPerKhz * partials * hz / 1000) / hz;
        double[] db = {0.5 * first, 0.1 * last, 0.8 * last};
        for (int step = 0; step < STEPS; step++) {
            double[][] a = new double[3][4];
            LoopLoss now = new LoopLoss(db, sampleRate);
            for (int n = 1; n <= partials && n * hz < 0.45 * sampleRate; n += stride) {
                double w = 2 * Math.PI * n * hz / sampleRate;
                double wanted = (fall + fallPerKhz * n * hz / 1000) / hz;
                double off = wanted + 20 * Math.log10(now.magnitude(w));
                double[] slope = {
                    1, slope(now.lowLeft, now.lowPole, w), slope(now.highLeft, now.highPole, w)
                };
                add(a, slope, off, 1 / (wanted * wanted));
            }
            double[] by = solved(a);
            for (int i = 0; i < 3; i++) {
                db[i] = Math.max(i == 0 ? LEAST_DB : 0, Math.min(MOST_DB, db[i] + by[i]));
            }
        }
        return new LoopLoss(db, sampleRate);
    }

    /** How many dB more a shelf takes at w for each dB that it takes from the top. */
    private static double slope(double left, double pole, double w) {
        double step = 1e-4;
        double less = left * Math.pow(10, -step / 20);
        return 20 * Math.log10(shelf(left, pole, w) / shelf(less, pole, w)) / step;
    }

    private static void add(double[][] a, double[] slope, double off, double weight) {
        for (int i = 0; i < 3; i++) {
            for (int j = 0; j < 3; j++) {
                a[i][j] += weight * slope[i] * slope[j];
            }
            a[i][3] += weight * slope[i] * off;
        }
    }

    /** Gauss's elimination of three rows; a little is added where two rows are nearly alike. */
    private static double[] solved(double[][] a) {
        for (int i = 0; i < 3; i++) {
            a[i][i] *= 1 + 1e-6;
        }
        for (int i = 0; i < 3; i++) {
            for (int k = i + 1; k < 3; k++) {
                double by = a[k][i] / a[i][i];
                for (int j = i; j < 4; j++) {
                    a[k][j] -= by * a[i][j];
                }
            }
        }
        double[] x = new double[3];
        for (int i = 2; i >= 0; i--) {
            double sum = a[i][3];
            for (int j = i + 1; j < 3; j++) {
                sum -= a[i][j] * x[j];
            }
            x[i] = sum / a[i][i];
        }
        return x;
    }

    /** What is left of a wave after one way around, at an angular frequency a frame. */
    double magnitude(double w) {
        return gain * shelf(lowLeft, lowPole, w) * shelf(highLeft, highPole, w);
    }

    /** Phase lag of one way around in radians. */
    double lag(double w) {
        return lag(lowLeft, lowPole, w) + lag(highLeft, highPole, w);
    }

    /** {@code S = (b₀ + b₁z⁻¹)/(1 − p·z⁻¹)} with {@code b₀ = 1 − p + k·p}, {@code b₁ = −k·p}. */
    private static double shelf(double k, double p, double w) {
        double b0 = 1 - p + k * p;
        double b1 = -k * p;
        double above = b0 * b0 + 2 * b0 * b1 * Math.cos(w) + b1 * b1;
        return Math.sqrt(above / (1 - 2 * p * Math.cos(w) + p * p));
    }

    private static double lag(double k, double p, double w) {
        double b0 = 1 - p + k * p;
        double b1 = -k * p;
        return Math.atan2(p * Math.sin(w), 1 - p * Math.cos(w))
                - Math.atan2(-b1 * Math.sin(w), b0 + b1 * Math.cos(w));
    }
}
