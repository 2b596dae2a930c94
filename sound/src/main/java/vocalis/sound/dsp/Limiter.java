package vocalis.sound.dsp;

/**
 * A stereo look-ahead limiter on true peaks (four times oversampled, see {@link TruePeak}): the
 * least gain that the next {@link #AHEAD} frames need, held over that window and averaged over it,
 * so that nothing leaves above the ceiling and the gain never steps. Delay {@code AHEAD − 1 +
 * TruePeak.DELAY} frames. One thread; no allocation.
 */
public final class Limiter {

    /** Window in frames. */
    public static final int AHEAD = 96;

    /** Frames by which what leaves lags what came in. */
    public static final int DELAY = AHEAD - 1 + TruePeak.DELAY;

    private final double ceiling;
    private final double release;
    private static final int LINE = AHEAD + TruePeak.DELAY + 1;

    private final double[] left = new double[LINE];
    private final double[] right = new double[LINE];
    private final TruePeak peakLeft = new TruePeak();
    private final TruePeak peakRight = new TruePeak();
    private final float[] inLeft = new float[TruePeak.MOST];
    private final float[] inRight = new float[TruePeak.MOST];
    private final float[] overLeft = new float[TruePeak.MOST];
    private final float[] overRight = new float[TruePeak.MOST];
    private int lineAt;
    private int sinceLoud = AHEAD;
    private final double[] needed = new double[AHEAD];
    private final double[] held = new double[AHEAD];
    private int at;
    private double sum;
    private double recovering = 1;
    private int silent;

    /**
     * @param ceiling largest true peak that leaves, 0 to 1
     */
    public Limiter(double sampleRate, double ceiling) {
        if (!(ceiling > 0 && ceiling <= 1)) {
            throw new IllegalArgumentException("ceiling lies above 0 and up to 1, not " + ceiling);
        }
        this.ceiling = ceiling;
        this.release = 1 - Math.exp(-1 / (0.08 * sampleRate));
        java.util.Arrays.fill(needed, 1);
        java.util.Arrays.fill(held, 1);
        sum = AHEAD;
    }

    private double least() {
        double least = 1;
        for (double g : needed) {
            least = g < least ? g : least;
        }
        return least;
    }

    /**
     * Whether silence comes in, nothing else is under way, and the gain has recovered: then silence
     * goes out, and nothing has to be reckoned.
     */
    private boolean rests(float[] stereo, int offsetFrames, int frames) {
        for (int i = 2 * offsetFrames; i < 2 * (offsetFrames + frames); i++) {
            if (stereo[i] != 0) {
                silent = 0;
                return false;
            }
        }
        boolean rests = silent > 2 * LINE && sum > AHEAD * (1 - 1e-6);
        silent = rests ? silent : silent + frames;
        return rests;
    }

    /** Limits interleaved stereo in place. */
    public void process(float[] stereo, int offsetFrames, int frames) {
        if (rests(stereo, offsetFrames, frames)) {
            return;
        }
        for (int done = 0; done < frames; done += TruePeak.MOST) {
            some(stereo, offsetFrames + done, Math.min(TruePeak.MOST, frames - done));
        }
    }

    private void some(float[] stereo, int from, int n) {
        for (int i = 0; i < n; i++) {
            inLeft[i] = stereo[2 * (from + i)];
            inRight[i] = stereo[2 * (from + i) + 1];
        }
        peakLeft.peaks(inLeft, n, ceiling, overLeft);
        peakRight.peaks(inRight, n, ceiling, overRight);
        for (int i = 0; i < n; i++) {
            double gain = gain(Math.max(overLeft[i], overRight[i]));
            left[lineAt] = inLeft[i];
            right[lineAt] = inRight[i];
            lineAt = lineAt + 1 == LINE ? 0 : lineAt + 1;
            stereo[2 * (from + i)] = (float) (left[lineAt] * gain);
            stereo[2 * (from + i) + 1] = (float) (right[lineAt] * gain);
        }
    }

    /** The gain of the frame that leaves as one with this peak comes in. */
    private double gain(double peak) {
        needed[at] = peak > ceiling ? ceiling / peak : 1;
        sinceLoud = peak > ceiling ? 0 : Math.min(sinceLoud + 1, AHEAD);
        double least = sinceLoud < AHEAD ? least() : 1;
        recovering = least < recovering ? least : recovering + release * (least - recovering);
        sum += recovering - held[at];
        held[at] = recovering;
        at = at + 1 == AHEAD ? 0 : at + 1;
        return Math.min(1, sum / AHEAD);
    }
}
