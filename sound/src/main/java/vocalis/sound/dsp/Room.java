package vocalis.sound.dsp;

/**
 * A small room around the players: twelve early reflections that come from both sides at their own
 * times, each duller than the sound, and a short tail of four delays that feed each other through a
 * Hadamard matrix (M. Gerzon, "Unitary (energy-preserving) multichannel networks with feedback",
 * Electronics Letters 12 (1976); J.-M. Jot and A. Chaigne, AES 90 (1991)), 0.28 s long. Times and
 * levels chosen by hand. One thread; no allocation after construction.
 */
public final class Room {

    /** Frames at a time, at most: fewer than the first reflection takes. */
    public static final int MOST = 128;

    private static final int LINE = 8192;
    private static final int MASK = LINE - 1;
    private static final double SECONDS = 0.28;
    private static final double[] LEFT_MS = {5.3, 9.1, 13.7, 19.9, 27.1, 36.7};
    private static final double[] RIGHT_MS = {6.7, 10.9, 15.1, 21.7, 29.3, 33.1};
    private static final double[] LEVELS = {0.42, -0.36, 0.3, 0.24, -0.19, 0.15};
    private static final double[] TAIL_MS = {29.7, 37.1, 41.1, 43.7};

    private final double[] line = new double[LINE];
    private final double[][] tail = new double[TAIL_MS.length][LINE];
    private final double[][] returned = new double[TAIL_MS.length][MOST];
    private final double[] reflectedLeft = new double[MOST];
    private final double[] reflectedRight = new double[MOST];
    private final double[] past = new double[MOST];
    private final double[] fed = new double[MOST];
    private final double[] dull = new double[TAIL_MS.length];
    private final int[] left;
    private final int[] right;
    private final int[] delay;
    private final double[] gain = new double[TAIL_MS.length];
    private final double pole;
    private final double lowCut;
    private int write;
    private double soft;
    private double low;
    private int quiet;

    public Room(double sampleRate) {
        left = frames(LEFT_MS, sampleRate);
        right = frames(RIGHT_MS, sampleRate);
        delay = frames(TAIL_MS, sampleRate);
        for (int k = 0; k < gain.length; k++) {
            gain[k] = 0.5 * Math.pow(10, -3 * delay[k] / (SECONDS * sampleRate));
        }
        pole = 1 - Math.exp(-2 * Math.PI * 4200 / sampleRate);
        lowCut = 1 - Math.exp(-2 * Math.PI * 140 / sampleRate);
    }

    private static int[] frames(double[] ms, double sampleRate) {
        int[] frames = new int[ms.length];
        for (int k = 0; k < ms.length; k++) {
            frames[k] = (int) Math.min(LINE - 1, Math.round(ms[k] / 1000 * sampleRate));
        }
        return frames;
    }

    /** Whether it has died away. */
    public boolean rests() {
        return quiet > LINE * 3;
    }

    public void silence() {
        java.util.Arrays.fill(line, 0);
        for (double[] t : tail) {
            java.util.Arrays.fill(t, 0);
        }
        java.util.Arrays.fill(dull, 0);
        soft = 0;
        low = 0;
        quiet = Integer.MAX_VALUE / 2;
    }

    /**
     * Adds what the room gives back.
     *
     * @param in what is played into it, one channel
     * @param n frames, up to {@link #MOST}
     * @param from gain at the first frame
     * @param to gain at the last
     */
    public void add(double[] in, float[] stereo, int offsetFrames, int n, double from, double to) {
        fill(in, n);
        int at = write;
        reflections(left, reflectedLeft, at, n);
        reflections(right, reflectedRight, at, n);
        for (int k = 0; k < tail.length; k++) {
            Ring.read(tail[k], at - delay[k], returned[k], n);
        }
        Ring.read(line, at, fed, n);
        tail(n);
        for (int k = 0; k < tail.length; k++) {
            Ring.write(returned[k], tail[k], at, n);
        }
        write = at + n;
        double g = from;
        double step = (to - from) / n;
        for (int i = 0; i < n; i++) {
            g += step;
            int f = 2 * (offsetFrames + i);
            stereo[f] += (float) (g * reflectedLeft[i]);
            stereo[f + 1] += (float) (g * reflectedRight[i]);
        }
    }

    private void reflections(int[] frames, double[] to, int at, int n) {
        java.util.Arrays.fill(to, 0, n, 0);
        for (int k = 0; k < LEVELS.length; k++) {
            Ring.read(line, at - frames[k], past, n);
            double level = LEVELS[k];
            for (int i = 0; i < n; i++) {
                to[i] += level * past[i];
            }
        }
    }

    /** What comes out of the four delays is heard, and mixed for their other ends. */
    private void tail(int n) {
        double[] t0 = returned[0];
        double[] t1 = returned[1];
        double[] t2 = returned[2];
        double[] t3 = returned[3];
        double d0 = dull[0];
        double d1 = dull[1];
        double d2 = dull[2];
        double d3 = dull[3];
        for (int i = 0; i < n; i++) {
            d0 += pole * (t0[i] - d0);
            d1 += pole * (t1[i] - d1);
            d2 += pole * (t2[i] - d2);
            d3 += pole * (t3[i] - d3);
            double a = d0 + d1;
            double b = d0 - d1;
            double c = d2 + d3;
            double d = d2 - d3;
            double feed = 0.5 * fed[i];
            t0[i] = feed + gain[0] * (a + c);
            t1[i] = feed + gain[1] * (b + d);
            t2[i] = -feed + gain[2] * (a - c);
            t3[i] = feed + gain[3] * (b - d);
            reflectedLeft[i] += 0.5 * (d0 + d2);
            reflectedRight[i] += 0.5 * (d1 - d3);
        }
        dull[0] = d0;
        dull[1] = d1;
        dull[2] = d2;
        dull[3] = d3;
    }

    /** Writes what is played, without its lows and highs, in front of what was played before. */
    private void fill(double[] in, int n) {
        double s = soft;
        double l = low;
        int silent = quiet;
        for (int i = 0; i < n; i++) {
            double x = in[i];
            silent = Math.abs(x) > 1e-7 ? 0 : Math.min(silent + 1, Integer.MAX_VALUE / 2);
            s += pole * (x - s);
            l += lowCut * (s - l);
            line[(write + i) & MASK] = s - l;
        }
        soft = s;
        low = l;
        quiet = silent;
    }
}
