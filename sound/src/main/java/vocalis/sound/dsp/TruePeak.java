package vocalis.sound.dsp;

/**
 * The peak between samples: four-fold oversampling as ITU-R BS.1770-4, Annex 2, asks for, here with
 * a Kaiser-windowed sinc of our own, 16 taps a phase. Reads a sine at a quarter of the sample rate,
 * however it is sampled, within 0.2 dB (LoudnessTest). One channel per object; one thread; no
 * allocation.
 */
public final class TruePeak {

    /** Frames by which what it says lags what it was given. */
    public static final int DELAY = 8;

    private static final int TAPS = 16;
    private static final double KAISER_BETA = 7;
    private static final double[][] PHASES = phases();

    /** The most by which the peak between samples can pass the largest sample: the taps' sum. */
    private static final double MOST_OVER = mostOver();

    private final double[] history = new double[2 * TAPS];
    private int at;
    private int sinceLoud = TAPS;

    private static double[][] phases() {
        double[][] phases = new double[3][TAPS];
        for (int p = 1; p <= 3; p++) {
            double sum = 0;
            for (int k = 0; k < TAPS; k++) {
                double x = k - DELAY + p / 4.0;
                double r = x / DELAY;
                double window =
                        Math.abs(r) >= 1 ? 0 : Halfband.bessel(KAISER_BETA * Math.sqrt(1 - r * r));
                phases[p - 1][k] = window * Math.sin(Math.PI * x) / (Math.PI * x);
                sum += phases[p - 1][k];
            }
            for (int k = 0; k < TAPS; k++) {
                phases[p - 1][k] /= sum;
            }
        }
        return phases;
    }

    private static double mostOver() {
        double most = 1;
        for (double[] phase : PHASES) {
            double sum = 0;
            for (double t : phase) {
                sum += Math.abs(t);
            }
            most = Math.max(most, sum);
        }
        return most;
    }

    /**
     * The same where only peaks above a floor matter: no sum is taken while no sample within reach
     * is loud enough for one, and 0 is given.
     */
    double next(double x, double floor) {
        sinceLoud = Math.abs(x) * MOST_OVER > floor ? 0 : sinceLoud + 1;
        if (sinceLoud < TAPS) {
            return next(x);
        }
        at = at == 0 ? TAPS - 1 : at - 1;
        history[at] = x;
        history[at + TAPS] = x;
        return 0;
    }

    /** Takes a frame; gives the largest magnitude from the frame {@link #DELAY} ago to the next. */
    public double next(double x) {
        at = at == 0 ? TAPS - 1 : at - 1;
        history[at] = x;
        history[at + TAPS] = x;
        double peak = Math.abs(history[at + DELAY]);
        for (double[] phase : PHASES) {
            double y = 0;
            for (int k = 0; k < TAPS; k++) {
                y += phase[k] * history[at + k];
            }
            peak = Math.max(peak, Math.abs(y));
        }
        return peak;
    }
}
