package vocalis.sound.listen;

import vocalis.sound.gain.HannTransform;

/** Magnitudes of stretches of a take under a Hann window; by one thread at a time. */
public final class Windows {

    private final Take take;
    private final int size;
    private final HannTransform transform;
    private final double[] stretch;

    /**
     * @param size frames, a power of two
     */
    public Windows(Take take, int size) {
        this.take = take;
        this.size = size;
        transform = HannTransform.of(size);
        stretch = new double[size];
    }

    /** The nearest power of two to so many seconds. */
    public static int size(double seconds, double rate) {
        return 1 << (int) Math.round(Math.log(seconds * rate) / Math.log(2));
    }

    public int bins() {
        return size / 2;
    }

    public double hz(int bin) {
        return bin * take.rate() / size;
    }

    /** Amplitudes of a window's bins: a sine of amplitude 1 has 1 in its bin. */
    public void magnitudes(int from, double[] into) {
        transform(from);
        for (int k = 1; k < size / 2; k++) {
            double re = stretch[2 * k];
            double im = stretch[2 * k + 1];
            into[k] = 4 * Math.sqrt(re * re + im * im) / size;
        }
        into[0] = 0;
    }

    /** Phase of a bin of the window that begins at a frame, in radians. */
    double phase(int from, int bin) {
        transform(from);
        return Math.atan2(stretch[2 * bin + 1], stretch[2 * bin]);
    }

    private void transform(int from) {
        take.stretch(from, stretch);
        transform.transform(stretch);
    }
}
