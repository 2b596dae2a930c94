package vocalis.sound.dsp;

/**
 * Doubles or halves the sample rate with a Kaiser-windowed half-band FIR in its two phases: 47 taps
 * are flat to 0.2 and over 90 dB down from 0.3 of the higher rate. One direction per object; one
 * thread; no allocation.
 *
 * <p>Design: works on blocks in single precision; what the next block needs is kept in front of
 * each.
 */
public final class Halfband {

    private static final double KAISER_BETA = 9;

    private final int side;
    private final float[] taps;
    private final float[] filtered;
    private final float[] passed;
    private final float[] sum;
    private final float[] early;
    private final float[] late;

    /**
     * @param side taps of the odd phase on each side of the middle
     * @param most frames of the lower rate in a block, at most
     */
    public Halfband(int side, int most) {
        this.side = side;
        taps = new float[side];
        double all = 0;
        double[] odd = new double[2 * side];
        for (int i = 0; i < 2 * side; i++) {
            double k = 2 * (i - side) + 1;
            double window =
                    bessel(KAISER_BETA * Math.sqrt(1 - Math.pow(k / (2 * side), 2)))
                            / bessel(KAISER_BETA);
            odd[i] = Math.sin(Math.PI * k / 2) / (Math.PI * k) * window;
            all += odd[i];
        }
        for (int i = 0; i < side; i++) {
            taps[i] = (float) (odd[i] * 0.5 / all);
        }
        filtered = new float[2 * side - 1 + most];
        passed = new float[side + most];
        sum = new float[most];
        early = new float[most];
        late = new float[most];
    }

    /** Modified Bessel function of the first kind and order 0, for Kaiser windows. */
    static double bessel(double x) {
        double total = 1;
        double term = 1;
        for (int k = 1; k < 40; k++) {
            term *= x / (2 * k) * (x / (2 * k));
            total += term;
        }
        return total;
    }

    /** {@code n} frames in, {@code 2n} out. */
    public void up(float[] in, int n, float[] out) {
        System.arraycopy(in, 0, filtered, 2 * side - 1, n);
        System.arraycopy(in, 0, passed, side, n);
        filter(n);
        for (int i = 0; i < n; i++) {
            out[2 * i] = 2 * sum[i];
            out[2 * i + 1] = passed[i + 1];
        }
        keep(n);
    }

    /** {@code 2n} frames in, {@code n} out. */
    public void down(float[] in, int n, float[] out) {
        for (int i = 0; i < n; i++) {
            passed[side + i] = in[2 * i];
            filtered[2 * side - 1 + i] = in[2 * i + 1];
        }
        filter(n);
        for (int i = 0; i < n; i++) {
            out[i] = sum[i] + 0.5f * passed[i + 1];
        }
        keep(n);
    }

    /**
     * The odd phase: its taps mirror each other, so they are taken in pairs. What each pair takes
     * is copied to where the sum stands: only such loops become vector instructions.
     */
    private void filter(int n) {
        float[] a = early;
        float[] b = late;
        float[] s = sum;
        java.util.Arrays.fill(s, 0, n, 0);
        for (int k = 0; k < side; k++) {
            System.arraycopy(filtered, k, a, 0, n);
            System.arraycopy(filtered, 2 * side - 1 - k, b, 0, n);
            float tap = taps[k];
            for (int i = 0; i < n; i++) {
                s[i] += tap * (a[i] + b[i]);
            }
        }
    }

    private void keep(int n) {
        System.arraycopy(filtered, n, filtered, 0, 2 * side - 1);
        System.arraycopy(passed, n, passed, 0, side);
    }
}
