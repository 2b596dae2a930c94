package vocalis.sound.dsp;

/**
 * Doubles or halves the sample rate with a Kaiser-windowed half-band FIR in its two phases: 47 taps
 * are flat to 0.2 and over 90 dB down from 0.3 of the higher rate. One direction per object; one
 * thread; no allocation.
 *
 * <p>Design: works on blocks; what the next block needs is kept in front of each.
 */
public final class Halfband {

    private static final double KAISER_BETA = 9;

    private final int side;
    private final double[] taps;
    private final double[] filtered;
    private final double[] passed;
    private final double[] sum;

    /**
     * @param side taps of the odd phase on each side of the middle
     * @param most frames of the lower rate in a block, at most
     */
    public Halfband(int side, int most) {
        this.side = side;
        taps = new double[side];
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
            taps[i] = odd[i] * 0.5 / all;
        }
        filtered = new double[2 * side - 1 + most + 3];
        passed = new double[side + most];
        sum = new double[most + 3];
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
    public void up(double[] in, int n, double[] out) {
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
    public void down(double[] in, int n, double[] out) {
        for (int i = 0; i < n; i++) {
            passed[side + i] = in[2 * i];
            filtered[2 * side - 1 + i] = in[2 * i + 1];
        }
        filter(n);
        for (int i = 0; i < n; i++) {
            out[i] = sum[i] + 0.5 * passed[i + 1];
        }
        keep(n);
    }

    /**
     * The odd phase: its taps mirror each other, so they are taken in pairs, for four frames at a
     * time whose sums stay in local variables. What stands behind the last frame is reckoned and
     * not used.
     */
    private void filter(int n) {
        double[] f = filtered;
        double[] t = taps;
        double[] s = sum;
        int last = 2 * side - 1;
        for (int i = 0; i < n; i += 4) {
            double a = 0;
            double b = 0;
            double c = 0;
            double d = 0;
            for (int k = 0; k < t.length; k++) {
                double tap = t[k];
                int early = i + k;
                int late = i + last - k;
                a += tap * (f[early] + f[late]);
                b += tap * (f[early + 1] + f[late + 1]);
                c += tap * (f[early + 2] + f[late + 2]);
                d += tap * (f[early + 3] + f[late + 3]);
            }
            s[i] = a;
            s[i + 1] = b;
            s[i + 2] = c;
            s[i + 3] = d;
        }
    }

    private void keep(int n) {
        System.arraycopy(filtered, n, filtered, 0, 2 * side - 1);
        System.arraycopy(passed, n, passed, 0, side);
    }
}
