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

    /** Frames taken at a time, at most. */
    static final int MOST = 128;

    private final float[] line = new float[TAPS - 1 + MOST];
    private final float[] shifted = new float[MOST];
    private final float[][] between = new float[PHASES.length][MOST];
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
     * Takes some frames; gives for each the largest magnitude from the frame {@link #DELAY} before
     * to the next. Where no sample within reach is loud enough for a peak above the floor, no sum
     * is taken, and 0 is given.
     *
     * @param x frames, {@code n} of them, up to {@link #MOST}
     * @param peaks where to
     */
    void peaks(float[] x, int n, double floor, float[] peaks) {
        System.arraycopy(x, 0, line, TAPS - 1, n);
        boolean loud = sinceLoud < TAPS;
        for (int i = 0; i < n; i++) {
            sinceLoud = Math.abs(x[i]) * MOST_OVER > floor ? 0 : sinceLoud + 1;
            loud |= sinceLoud == 0;
        }
        if (loud) {
            largest(n, peaks);
        } else {
            java.util.Arrays.fill(peaks, 0, n, 0);
        }
        System.arraycopy(line, n, line, 0, TAPS - 1);
    }

    /** A tap over all frames at a time: loops that become vector instructions. */
    private void largest(int n, float[] peaks) {
        float[] a = between[0];
        float[] b = between[1];
        float[] c = between[2];
        for (float[] y : between) {
            java.util.Arrays.fill(y, 0, n, 0);
        }
        float[] x = shifted;
        for (int k = 0; k < TAPS; k++) {
            System.arraycopy(line, TAPS - 1 - k, x, 0, n);
            add((float) PHASES[0][k], x, a, n);
            add((float) PHASES[1][k], x, b, n);
            add((float) PHASES[2][k], x, c, n);
        }
        System.arraycopy(line, TAPS - 1 - DELAY, x, 0, n);
        for (int i = 0; i < n; i++) {
            float ab = Math.max(Math.abs(a[i]), Math.abs(b[i]));
            peaks[i] = Math.max(ab, Math.max(Math.abs(c[i]), Math.abs(x[i])));
        }
    }

    private static void add(float tap, float[] x, float[] to, int n) {
        for (int i = 0; i < n; i++) {
            to[i] += tap * x[i];
        }
    }
}
