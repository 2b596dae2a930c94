package vocalis.sound.strings;

import java.util.Arrays;
import vocalis.sound.dsp.Ring;

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

    /** What went into each all-pass a frame ago, and what came out of the last. */
    private final double[] ap = new double[StringPatch.ALLPASSES + 1];

    private final double[] stretch = new double[MOST_AHEAD + StringPatch.TAPS - 1];
    private final double[] taps = new double[StringPatch.TAPS];
    private final double[] later = new double[StringPatch.TAPS];

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
            double w = c * (v - ap[k + 1]) + ap[k];
            ap[k] = v;
            v = w;
        }
        ap[StringPatch.ALLPASSES] = v;
        return v;
    }

    /** The same for {@code n} frames, with all states in local variables. */
    void back(int read, double[] taps, LoopLoss p, double gain, double c, double[] out, int n) {
        turn(read, taps, taps, out, n);
        around(p, gain, c, out, n);
    }

    /**
     * The same while the loop's length changes evenly, by less than a frame.
     *
     * @param write frame that is written first
     * @param from length of the loop at the first frame, in frames
     * @param to after the last
     */
    void follow(
            int write,
            double from,
            double to,
            LoopLoss p,
            double gain,
            double c,
            double[] out,
            int n) {
        int whole = (int) Math.min(from, to) - 2;
        StringPatch.lagrange(from - whole, taps);
        StringPatch.lagrange(to - whole, later);
        turn(write - whole, taps, later, out, n);
        around(p, gain, c, out, n);
    }

    /**
     * The loss and the stiffness of one way around. An all-pass gives {@code c·(x − y₋₁) + x₋₁},
     * and takes what the one before it gave.
     */
    private void around(LoopLoss p, double gain, double c, double[] out, int n) {
        double b0 = gain * p.b0;
        double b1 = gain * p.b1;
        double b2 = gain * p.b2;
        double p1 = p.a1;
        double p2 = p.a2;
        double a0 = ap[0];
        double a1 = ap[1];
        double a2 = ap[2];
        double a3 = ap[3];
        double a4 = ap[4];
        double a5 = ap[5];
        double a6 = ap[6];
        double l = low;
        double h = high;
        for (int i = 0; i < n; i++) {
            double in = out[i];
            double v = b0 * in + l;
            l = b1 * in + p1 * v + h;
            h = b2 * in + p2 * v;
            double w1 = c * (v - a1) + a0;
            double w2 = c * (w1 - a2) + a1;
            double w3 = c * (w2 - a3) + a2;
            double w4 = c * (w3 - a4) + a3;
            double w5 = c * (w4 - a5) + a4;
            double w6 = c * (w5 - a6) + a5;
            out[i] = w6;
            a0 = v;
            a1 = w1;
            a2 = w2;
            a3 = w3;
            a4 = w4;
            a5 = w5;
            a6 = w6;
        }
        ap[0] = a0;
        ap[1] = a1;
        ap[2] = a2;
        ap[3] = a3;
        ap[4] = a4;
        ap[5] = a5;
        ap[6] = a6;
        low = l;
        high = h;
    }

    /** The line between its frames, while one interpolator's taps turn into another's. */
    private void turn(int read, double[] taps, double[] to, double[] out, int n) {
        double[] s = stretch;
        copy(read - (StringPatch.TAPS - 1), s, n + StringPatch.TAPS - 1);
        double a = taps[0];
        double b = taps[1];
        double c = taps[2];
        double d = taps[3];
        double e = taps[4];
        double f = taps[5];
        double da = (to[0] - a) / n;
        double db = (to[1] - b) / n;
        double dc = (to[2] - c) / n;
        double dd = (to[3] - d) / n;
        double de = (to[4] - e) / n;
        double df = (to[5] - f) / n;
        for (int i = 0; i < n; i++) {
            double x = a * s[i + 5] + b * s[i + 4] + c * s[i + 3];
            double y = d * s[i + 2] + e * s[i + 1] + f * s[i];
            out[i] = x + y;
            a += da;
            b += db;
            c += dc;
            d += dd;
            e += de;
            f += df;
        }
    }

    /** Copies {@code n} frames from one on. */
    void copy(int from, double[] to, int n) {
        Ring.read(line, from, to, n);
    }

    /** Writes {@code n} frames. */
    void write(int frame, double[] v, int n) {
        Ring.write(v, line, frame, n);
    }
}
