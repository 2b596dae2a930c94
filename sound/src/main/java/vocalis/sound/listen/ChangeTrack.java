package vocalis.sound.listen;

import java.util.function.DoubleUnaryOperator;

/**
 * How the spectrum of a take changes, millisecond by millisecond. Where a stroke of a rendering
 * lies in a take of the same music is where the changes around it fit best, as a picture slid over
 * another: under gain too, where a chord that is struck again hardly gets louder or brighter but
 * changes in the same way each time. Bands and lengths were chosen among some on renders of our
 * own. Only what is asked for is read; by one thread at a time.
 */
public final class ChangeTrack {

    private static final double HOP_SECONDS = 0.001;
    private static final double LOWEST_HZ = 80;
    private static final double HIGHEST_HZ = 10_000;

    /** What lies so far under the take's peak, as a share of it, counts as silence. */
    private static final double SILENCE = 2e-5;

    /** So many milliseconds before a stroke are laid beside each other too. */
    private static final int BEFORE = 5;

    /** What speaks for where the stroke is looked for: this much of the likeness, so far away. */
    private static final double NEARER = 0.05;

    private static final double NEAR_MS = 30;

    /** What speaks for where others hear a stroke begin: this much of the likeness. */
    private static final double LIKELIER = 0.3;

    /** How finely changes are looked at. */
    public enum Grain {
        /** Plucked strings begin at once. */
        CLEAN(0.0107, 30, 8, 60),

        /** A driven amplifier opens slowly, and what a stroke changes is spread over its lines. */
        DRIVEN(0.0427, 60, 12, 140);

        private final double windowSeconds;
        private final int bands;

        /** A change is taken over so many milliseconds to both sides. */
        private final int reach;

        /** So many milliseconds after a stroke are laid beside each other. */
        private final int after;

        Grain(double windowSeconds, int bands, int reach, int after) {
            this.windowSeconds = windowSeconds;
            this.bands = bands;
            this.reach = reach;
            this.after = after;
        }
    }

    private final Grain grain;
    private final Take take;
    private final Windows windows;
    private final double[] magnitudes;
    private final int[] edges;
    private final double silence;

    /** Of each millisecond that was asked for the logarithms of its bands' levels. */
    private final float[][] levels;

    public ChangeTrack(Take take, Grain grain) {
        this.take = take;
        this.grain = grain;
        windows = new Windows(take, Windows.size(grain.windowSeconds, take.rate()));
        magnitudes = new double[windows.bins()];
        edges = edges(grain.bands, windows);
        silence = SILENCE * take.peak();
        levels = new float[(int) (take.seconds() / HOP_SECONDS)][];
    }

    /**
     * Where a stroke lies.
     *
     * @param seconds in the take
     * @param likeness correlation of what changes there and in the rendering, up to 1; about 0
     *     where they have nothing to do with each other
     */
    public record Fit(double seconds, double likeness) {}

    /**
     * The place in this take that is most like one of a rendering.
     *
     * @param rendering of the same grain
     * @param there where the stroke is in the rendering, in seconds
     * @param near where it is looked for, in seconds of this take
     * @param room how far to both sides, in seconds
     * @param likely how likely a stroke begins at a time of this take, in seconds, 0 to 1, as far
     *     as others hear it
     */
    public Fit find(
            ChangeTrack rendering,
            double there,
            double near,
            double room,
            DoubleUnaryOperator likely) {
        int from = ms(there);
        int middle = ms(near);
        int most = ms(room);
        int best = 0;
        double least = Double.NEGATIVE_INFINITY;
        for (int k = -most; k <= most; k++) {
            double off = k / NEAR_MS;
            double heard = LIKELIER * likely.applyAsDouble(near + k * HOP_SECONDS);
            double likeness = likeness(rendering, middle + k, from) - NEARER * off * off + heard;
            if (likeness > least) {
                least = likeness;
                best = k;
            }
        }
        double at = near + best * HOP_SECONDS;
        return new Fit(at, likeness(rendering, middle + best, from));
    }

    private static int ms(double seconds) {
        return (int) Math.round(seconds / HOP_SECONDS);
    }

    private double likeness(ChangeTrack rendering, int here, int there) {
        double both = 0;
        double mine = 1e-9;
        double its = 1e-9;
        for (int k = -BEFORE; k <= grain.after; k++) {
            int a = here + k;
            int b = there + k;
            if (a < 0 || b < 0 || a >= levels.length || b >= rendering.levels.length) {
                continue;
            }
            float[] left = before(a);
            float[] right = after(a);
            float[] otherLeft = rendering.before(b);
            float[] otherRight = rendering.after(b);
            for (int i = 0; i < grain.bands; i++) {
                float x = right[i] - left[i];
                float y = otherRight[i] - otherLeft[i];
                both += x * y;
                mine += x * x;
                its += y * y;
            }
        }
        return both / Math.sqrt(mine * its);
    }

    private float[] before(int ms) {
        return levels(Math.max(0, ms - grain.reach));
    }

    private float[] after(int ms) {
        return levels(Math.min(levels.length - 1, ms + grain.reach));
    }

    private static int[] edges(int bands, Windows windows) {
        int[] edges = new int[bands + 1];
        for (int b = 0; b <= bands; b++) {
            double hz = LOWEST_HZ * Math.pow(HIGHEST_HZ / LOWEST_HZ, (double) b / bands);
            int least = b == 0 ? 1 : edges[b - 1] + 1;
            edges[b] = Math.max(least, (int) Math.round(hz / windows.hz(1)));
        }
        return edges;
    }

    /** Logarithm of the level of each band at a millisecond, in the middle of its window. */
    private float[] levels(int ms) {
        if (levels[ms] == null) {
            windows.magnitudes(take.frame(ms * HOP_SECONDS) - windows.bins(), magnitudes);
            levels[ms] = new float[grain.bands];
            for (int b = 0; b < grain.bands; b++) {
                double power = 0;
                for (int k = edges[b]; k < Math.min(edges[b + 1], magnitudes.length); k++) {
                    power += magnitudes[k] * magnitudes[k];
                }
                levels[ms][b] = (float) Math.log(silence + Math.sqrt(power));
            }
        }
        return levels[ms];
    }
}
