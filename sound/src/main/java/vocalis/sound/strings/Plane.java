package vocalis.sound.strings;

import java.util.Arrays;

/**
 * One plane in which a string moves: a delay line, the loss and the stiffness of one way around.
 * What is written in comes back a period later. One thread; no allocation after construction.
 */
public final class Plane {

    /** Frames that a string runs ahead of its bridge at most. */
    static final int MOST_AHEAD = 64;

    /** Frames that the line holds. */
    static final int LINE = 4096;

    private static final int MASK = LINE - 1;

    private final double[] line = new double[LINE];
    private final double[] ap = new double[StringPatch.ALLPASSES];
    private final double[] stretch = new double[MOST_AHEAD + StringPatch.TAPS - 1];
    private final double[] taps = new double[StringPatch.TAPS];

    /** Of the loss. */
    private double low;

    private double high;

    void clear() {
        Arrays.fill(line, 0);
        Arrays.fill(ap, 0);
        low = 0;
        high = 0;
    }

    /** What was written at a frame. */
    double at(int frame) {
        return line[frame & MASK];
    }

    void write(int frame, double v) {
        line[frame & MASK] = v;
    }

    /**
     * What comes back at one frame.
     *
     * @param read newest frame that the interpolator takes
     * @param taps of the interpolator
     * @param around what is lost on the way
     * @param gain the same at 0 Hz
     * @param c of the all-passes
     */
    double back(int read, double[] taps, LoopLoss around, double gain, double c) {
        double x = taps[0] * at(read) + taps[1] * at(read - 1) + taps[2] * at(read - 2);
        double y = taps[3] * at(read - 3) + taps[4] * at(read - 4) + taps[5] * at(read - 5);
        double in = gain * (x + y);
        double v = around.b0 * in + low;
        low = around.b1 * in + around.a1 * v + high;
        high = around.b2 * in + around.a2 * v;
        for (int k = 0; k < StringPatch.ALLPASSES; k++) {
            double w = c * v + ap[k];
            ap[k] = v - c * w;
            v = w;
        }
        return v;
    }

    /** The same for {@code n} frames, with all states in local variables. */
    void back(int read, double[] taps, LoopLoss p, double gain, double c, double[] out, int n) {
        interpolate(read, taps, out, n);
        around(p, gain, c, out, n);
    }

    /**
     * The same while the loop's length changes from frame to frame.
     *
     * @param write frame that is written first
     * @param delays length of the loop in each frame, in frames
     */
    void follow(
            int write, double[] delays, LoopLoss p, double gain, double c, double[] out, int n) {
        double[] t = taps;
        double delay = -1;
        int whole = 0;
        for (int i = 0; i < n; i++) {
            if (delays[i] != delay) {
                delay = delays[i];
                whole = (int) delay - 2;
                StringPatch.lagrange(delay - whole, t);
            }
            int read = write + i - whole;
            double x = t[0] * at(read) + t[1] * at(read - 1) + t[2] * at(read - 2);
            double y = t[3] * at(read - 3) + t[4] * at(read - 4) + t[5] * at(read - 5);
            out[i] = x + y;
        }
        around(p, gain, c, out, n);
    }

    /** The loss and the stiffness of one way around. */
    private void around(LoopLoss p, double gain, double c, double[] out, int n) {
        double b0 = p.b0;
        double b1 = p.b1;
        double b2 = p.b2;
        double p1 = p.a1;
        double p2 = p.a2;
        double a0 = ap[0];
        double a1 = ap[1];
        double a2 = ap[2];
        double a3 = ap[3];
        double a4 = ap[4];
        double a5 = ap[5];
        double l = low;
        double h = high;
        for (int i = 0; i < n; i++) {
            double in = gain * out[i];
            double v = b0 * in + l;
            l = b1 * in + p1 * v + h;
            h = b2 * in + p2 * v;
            double w = c * v + a0;
            a0 = v - c * w;
            v = c * w + a1;
            a1 = w - c * v;
            w = c * v + a2;
            a2 = v - c * w;
            v = c * w + a3;
            a3 = w - c * v;
            w = c * v + a4;
            a4 = v - c * w;
            v = c * w + a5;
            a5 = w - c * v;
            out[i] = v;
        }
        ap[0] = a0;
        ap[1] = a1;
        ap[2] = a2;
        ap[3] = a3;
        ap[4] = a4;
        ap[5] = a5;
        low = l;
        high = h;
    }

    /** The line between its frames, out of a straight copy of it. */
    private void interpolate(int read, double[] taps, double[] to, int n) {
        int first = read - (StringPatch.TAPS - 1) & MASK;
        int length = n + StringPatch.TAPS - 1;
        int whole = Math.min(length, LINE - first);
        double[] s = stretch;
        System.arraycopy(line, first, s, 0, whole);
        System.arraycopy(line, 0, s, whole, length - whole);
        double a = taps[0];
        double b = taps[1];
        double c = taps[2];
        double d = taps[3];
        double e = taps[4];
        double f = taps[5];
        for (int i = 0; i < n; i++) {
            double x = a * s[i + 5] + b * s[i + 4] + c * s[i + 3];
            double y = d * s[i + 2] + e * s[i + 1] + f * s[i];
            to[i] = x + y;
        }
    }

    /** Writes {@code n} frames; the largest magnitude of them. */
    double write(int frame, double[] v, int n) {
        double most = 0;
        for (int i = 0; i < n; i++) {
            double x = v[i];
            line[(frame + i) & MASK] = x;
            double a = Math.abs(x);
            most = a > most ? a : most;
        }
        return most;
    }
}
