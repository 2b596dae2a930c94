package vocalis.sound.gain;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jtransforms.fft.DoubleFFT_1D;
import org.jtransforms.utils.CommonUtils;

/**
 * The FFT of a stretch of sound under a Hann window. The window and the tables of one size are made
 * once and shared: both are only read, so any thread may use them.
 */
public final class HannTransform {

    static {
        // One thread does each transform: the callers have threads of their own and may be
        // interrupted.
        CommonUtils.setThreadsBeginN_1D_FFT_2Threads(Long.MAX_VALUE);
        CommonUtils.setThreadsBeginN_1D_FFT_4Threads(Long.MAX_VALUE);
    }

    /** By size: powers of two, so there are few. */
    private static final Map<Integer, HannTransform> KNOWN = new ConcurrentHashMap<>();

    private final int size;
    private final double[] window;
    private final DoubleFFT_1D fft;

    private HannTransform(int size) {
        this.size = size;
        window = new double[size];
        for (int i = 0; i < size; i++) {
            window[i] = 0.5 - 0.5 * Math.cos(2 * Math.PI * i / size);
        }
        fft = new DoubleFFT_1D(size);
    }

    /**
     * The transform of stretches of one size.
     *
     * @param size frames, a power of two
     * @throws IllegalArgumentException for another size
     */
    public static HannTransform of(int size) {
        if (size < 2 || Integer.bitCount(size) != 1) {
            throw new IllegalArgumentException(
                    "a window has a power of two of frames, not " + size);
        }
        return KNOWN.computeIfAbsent(size, HannTransform::new);
    }

    /**
     * Transforms a stretch in place: real and imaginary parts of the bins in turn, as JTransforms
     * gives them.
     *
     * @param stretch as long as the size
     */
    public void transform(double[] stretch) {
        for (int i = 0; i < size; i++) {
            stretch[i] *= window[i];
        }
        fft.realForward(stretch);
    }
}
