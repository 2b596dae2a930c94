package vocalis.sound.dsp;

/**
 * Loudness after ITU-R BS.1770-4: K-weighting, mean square over blocks of 400 ms with an overlap of
 * three quarters, gated at −70 LKFS and at 10 LU under what passed. The filter coefficients for 48
 * kHz are those of the recommendation's tables 1 and 2.
 */
public final class Loudness {

    /** Said of what no block passes the gate of. */
    public static final double NONE = Double.NEGATIVE_INFINITY;

    private static final int RATE = 48_000;
    private static final int STEP = RATE / 10;
    private static final int STEPS_IN_BLOCK = 4;
    private static final double OFFSET = -0.691;
    private static final double ABSOLUTE_GATE = -70;
    private static final double RELATIVE_GATE = -10;

    private static final double[] SHELF_B = {1.53512485958697, -2.69169618940638, 1.19839281085285};
    private static final double[] SHELF_A = {-1.69065929318241, 0.73248077421585};
    private static final double[] HIGH_B = {1, -2, 1};
    private static final double[] HIGH_A = {-1.99004745483398, 0.99007225036621};

    private Loudness() {}

    /**
     * Integrated loudness of interleaved stereo at 48 kHz.
     *
     * @param frames how many frames of it to take; under 400 ms they count as one block
     * @return LKFS, or {@link #NONE} for silence
     */
    public static double integrated(float[] stereo, int frames) {
        int steps = Math.max(1, frames / STEP);
        double[] power = new double[steps];
        int perStep = frames < STEP ? frames : STEP;
        for (int channel = 0; channel < 2; channel++) {
            double[] state = new double[4];
            for (int step = 0; step < steps; step++) {
                double sum = 0;
                for (int i = step * perStep; i < (step + 1) * perStep; i++) {
                    double y = weighted(stereo[2 * i + channel], state);
                    sum += y * y;
                }
                power[step] += sum / Math.max(1, perStep);
            }
        }
        return gated(power);
    }

    /** Two biquads in transposed direct form II. */
    private static double weighted(double x, double[] s) {
        double y = SHELF_B[0] * x + s[0];
        s[0] = SHELF_B[1] * x - SHELF_A[0] * y + s[1];
        s[1] = SHELF_B[2] * x - SHELF_A[1] * y;
        double z = HIGH_B[0] * y + s[2];
        s[2] = HIGH_B[1] * y - HIGH_A[0] * z + s[3];
        s[3] = HIGH_B[2] * y - HIGH_A[1] * z;
        return z;
    }

    private static double gated(double[] power) {
        int span = Math.min(STEPS_IN_BLOCK, power.length);
        double[] blocks = new double[power.length - span + 1];
        for (int b = 0; b < blocks.length; b++) {
            for (int k = 0; k < span; k++) {
                blocks[b] += power[b + k] / span;
            }
        }
        double passed = mean(blocks, ABSOLUTE_GATE);
        return passed == 0 ? NONE : lkfs(mean(blocks, lkfs(passed) + RELATIVE_GATE));
    }

    private static double mean(double[] blocks, double gate) {
        double sum = 0;
        int n = 0;
        for (double b : blocks) {
            if (b > 0 && lkfs(b) > gate) {
                sum += b;
                n++;
            }
        }
        return n == 0 ? 0 : sum / n;
    }

    private static double lkfs(double power) {
        return OFFSET + 10 * Math.log10(power);
    }
}
