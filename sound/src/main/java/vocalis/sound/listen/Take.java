package vocalis.sound.listen;

import java.util.Arrays;

/** A stretch of sound on one channel. */
public final class Take {

    private static final double LEAST_RATE = 8000;
    private static final double MOST_RATE = 192_000;

    private final double[] samples;
    private final double rate;

    /**
     * @param samples -1 to 1; the array is kept, not copied
     * @param rate frames a second, 8,000 to 192,000
     */
    public Take(double[] samples, double rate) {
        if (!(rate >= LEAST_RATE && rate <= MOST_RATE)) {
            throw new IllegalArgumentException(
                    "sound comes with 8,000 to 192,000 frames a second, not with " + rate);
        }
        this.samples = samples;
        this.rate = rate;
    }

    /** Both channels of interleaved stereo, averaged. */
    public static Take ofStereo(float[] stereo, double rate) {
        double[] mono = new double[stereo.length / 2];
        for (int i = 0; i < mono.length; i++) {
            mono[i] = (stereo[2 * i] + stereo[2 * i + 1]) / 2;
        }
        return new Take(mono, rate);
    }

    public double rate() {
        return rate;
    }

    public double seconds() {
        return samples.length / rate;
    }

    /** The same without what comes from a time on, in seconds. */
    public Take until(double seconds) {
        return new Take(stretch(0, Math.min(samples.length, frame(seconds))), rate);
    }

    /** What comes from a time on; silence before its beginning. */
    public Take from(double seconds) {
        int first = frame(seconds);
        return new Take(stretch(first, Math.max(0, samples.length - first)), rate);
    }

    /** Interleaved stereo, the same on both sides. */
    public float[] stereo() {
        float[] out = new float[2 * samples.length];
        for (int i = 0; i < samples.length; i++) {
            out[2 * i] = (float) samples[i];
            out[2 * i + 1] = (float) samples[i];
        }
        return out;
    }

    /** Frames that it has. */
    int frames() {
        return samples.length;
    }

    /** A sample; 0 before its beginning and after its end. */
    double at(int frame) {
        return frame < 0 || frame >= samples.length ? 0 : samples[frame];
    }

    /** So many frames from one on. */
    double[] stretch(int from, int size) {
        double[] x = new double[size];
        stretch(from, x);
        return x;
    }

    /** As many frames from one on as there is room for. */
    void stretch(int from, double[] into) {
        int first = Math.max(0, from);
        int end = Math.min(samples.length, from + into.length);
        if (end - first < into.length) {
            Arrays.fill(into, 0);
        }
        if (end > first) {
            System.arraycopy(samples, first, into, first - from, end - first);
        }
    }

    /** The frame nearest to a time. */
    public int frame(double seconds) {
        return (int) Math.round(seconds * rate);
    }

    /** Mean square of a stretch. */
    public double power(int from, int to) {
        double sum = 0;
        int end = Math.min(samples.length, to);
        for (int i = Math.max(0, from); i < end; i++) {
            sum += samples[i] * samples[i];
        }
        return sum / Math.max(1, to - from);
    }

    /** Mean square of the part of all of it that is a sine of a frequency. */
    public double sine(double hz) {
        double step = 2 * Math.PI * hz / rate;
        double re = 0;
        double im = 0;
        for (int i = 0; i < samples.length; i++) {
            re += samples[i] * Math.cos(step * i);
            im += samples[i] * Math.sin(step * i);
        }
        double n = Math.max(1, samples.length);
        return 2 * (re * re + im * im) / (n * n);
    }

    /** The highest absolute sample. */
    public double peak() {
        double peak = 0;
        for (double x : samples) {
            peak = Math.max(peak, Math.abs(x));
        }
        return peak;
    }
}
