package vocalis.sound.learnt;

import java.util.ArrayList;
import java.util.List;
import vocalis.sound.listen.OnsetFinder;
import vocalis.sound.listen.Take;

/** Finds where something is struck, under gain too, by what a net has learnt from renders. */
public final class StrokeEar {

    /**
     * Around a time, in hops: so much is seen of the long window's bands and of the short one's.
     */
    private static final int[] LONG_AT = {
        -16, -12, -9, -6, -4, -2, -1, 0, 1, 2, 3, 4, 5, 6, 8, 10, 12, 14, 16
    };

    private static final int[] SHORT_AT = {-4, -3, -2, -1, 0, 1, 2, 3, 4, 5, 6};

    /** From here on it is a stroke, where nothing nearby is likelier. */
    public static final double LEAST = 0.2;

    /**
     * The same of clean strings of ours. Chosen by riffs written down: 0.35 gave more notes that
     * were not played.
     */
    private static final double LEAST_CLEAN = 0.5;

    private static final int SEEN =
            LONG_AT.length * StrokePicture.LONGS + SHORT_AT.length * StrokePicture.SHORTS;

    /** So many hops are asked about at once. */
    private static final int TOGETHER = 16;

    private static final int NEAR = 7;
    private static final int MIDDLE = 2;
    private static final int CUT = 9;

    private static final Layers NET = Layers.of("strokes.net");

    private StrokeEar() {}

    /** Where something is struck, in seconds from the beginning, by time. */
    public static List<Double> of(Take take) {
        return at(likely(take), LEAST);
    }

    /** The same of clean strings of ours. */
    public static List<Double> ofClean(Take take) {
        return at(likely(StrokePicture.of(take)), LEAST_CLEAN);
    }

    /**
     * How likely a stroke begins at each hop of {@link StrokePicture#HOP_SECONDS}: the mean of what
     * the net says there and half a hop before and after. What it takes for a stroke at one place
     * alone is then seldom one: of forty riffs under gain it found four strokes more and eight
     * fewer where nothing is.
     */
    public static double[] likely(Take take) {
        double[] at = likely(StrokePicture.of(take));
        double[] between = likely(StrokePicture.of(take.from(StrokePicture.HOP_SECONDS / 2)));
        double[] likely = at.clone();
        for (int i = 1; i < between.length; i++) {
            likely[i] = (at[i] + between[i - 1] + between[i]) / 3;
        }
        return likely;
    }

    /** Where it is likelier than so much, and than anywhere nearby; in seconds, by time. */
    public static List<Double> at(double[] likely, double least) {
        List<Double> all = new ArrayList<>();
        // Where the take is cut off the cut itself is no stroke.
        for (int i = 0; i < likely.length - CUT; i++) {
            if (likely[i] > least && OnsetFinder.top(likely, i, NEAR)) {
                all.add(StrokePicture.HOP_SECONDS * middle(likely, i));
            }
        }
        return all;
    }

    private static double[] likely(float[][] picture) {
        double[] likely = new double[picture.length];
        for (int i = 0; i < likely.length; i += TOGETHER) {
            float[][] in = new float[Math.min(TOGETHER, likely.length - i)][SEEN];
            for (int n = 0; n < in.length; n++) {
                see(picture, i + n, in[n]);
            }
            float[][] odds = NET.of(in);
            for (int n = 0; n < in.length; n++) {
                likely[i + n] = Layers.share(odds[n][0]);
            }
        }
        return likely;
    }

    /** What the net sees around a hop. */
    private static void see(float[][] picture, int hop, float[] in) {
        int at = 0;
        for (int by : LONG_AT) {
            at = copy(picture, hop + by, 0, StrokePicture.LONGS, in, at);
        }
        for (int by : SHORT_AT) {
            at = copy(picture, hop + by, StrokePicture.LONGS, StrokePicture.SHORTS, in, at);
        }
    }

    private static int copy(float[][] from, int hop, int first, int n, float[] to, int at) {
        for (int k = 0; k < n; k++) {
            to[at + k] =
                    hop < 0 || hop >= from.length ? StrokePicture.silence() : from[hop][first + k];
        }
        return at + n;
    }

    private static double middle(double[] x, int i) {
        double sum = 0;
        double all = 0;
        for (int k = Math.max(0, i - MIDDLE); k <= Math.min(x.length - 1, i + MIDDLE); k++) {
            sum += k * x[k];
            all += x[k];
        }
        return sum / all;
    }
}
