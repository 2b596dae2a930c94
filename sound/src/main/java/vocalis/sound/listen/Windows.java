package vocalis.sound.listen;

import org.jtransforms.fft.DoubleFFT_1D;

/** Magnitudes of stretches of a take under a Hann window. */
final class Windows {

    private final Take take;
    private final int size;
    private final double[] window;
    private final double[] buffer;
    private final DoubleFFT_1D fft;

    /**
     * @param size frames, a power of two
     */
    Windows(Take take, int size) {
        this.take = take;
        this.size = size;
        window = new double[size];
        buffer = new double[size];
        for (int i = 0; i < size; i++) {
            window[i] = 0.5 - 0.5 * Math.cos(2 * Math.PI * i / size);
        }
        fft = new DoubleFFT_1D(size);
    }

    /** The nearest power of two to so many seconds. */
    static int size(double seconds, double rate) {
        return 1 << (int) Math.round(Math.log(seconds * rate) / Math.log(2));
    }

    int bins() {
        return size / 2;
    }

    double hz(int bin) {
        return bin * take.rate() / size;
    }

    /** Amplitudes of a window's bins: a sine of amplitude 1 has 1 in its bin. */
    void magnitudes(int from, double[] into) {
        transform(from);
        for (int k = 1; k < size / 2; k++) {
            into[k] = 4 * Math.hypot(buffer[2 * k], buffer[2 * k + 1]) / size;
        }
        into[0] = 0;
    }

    /** Phase of a bin of the window that begins at a frame, in radians. */
    double phase(int from, int bin) {
        transform(from);
        return Math.atan2(buffer[2 * bin + 1], buffer[2 * bin]);
    }

    private void transform(int from) {
        for (int i = 0; i < size; i++) {
            buffer[i] = window[i] * take.at(from + i);
        }
        fft.realForward(buffer);
    }
}
