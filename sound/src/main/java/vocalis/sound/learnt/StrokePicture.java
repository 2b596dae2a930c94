package vocalis.sound.learnt;

import java.util.ArrayList;
import java.util.List;
import vocalis.sound.listen.Take;
import vocalis.sound.listen.Windows;

/**
 * A take as the net for strokes sees it: every five milliseconds the levels of some bands in a long
 * and in a short window, as logarithms beside the loudest of the take.
 */
public final class StrokePicture {

    /** From one picture to the next. */
    public static final double HOP_SECONDS = 0.005;

    /** What lies so far under the loudest, as a share of it, counts as silence. */
    private static final double SILENCE = 1e-3;

    private static final Band LONG = new Band(0.043, 2048, 70, 10_000, 12);
    private static final Band SHORT = new Band(0.0107, 512, 150, 12_000, 5);

    /** Bands of the long window. */
    static final int LONGS = LONG.edges().length - 1;

    /** Bands of the short window. */
    static final int SHORTS = SHORT.edges().length - 1;

    /** The rate at which bands were laid on bins; at others they keep their frequencies. */
    private static final double LAID_AT = 48_000;

    /** Windows of a length and the bands that they are read in. */
    private record Band(double seconds, int size, double lowHz, double highHz, int anOctave) {

        /** Where bands begin and end, in Hz: each at least one bin wide. */
        private double[] edges() {
            List<Double> all = new ArrayList<>();
            double bin = LAID_AT / size;
            long last = -1;
            for (int k = 0; ; k++) {
                double hz = lowHz * Math.pow(2, (double) k / anOctave);
                if (hz > highHz) {
                    return all.stream().mapToDouble(Double::doubleValue).toArray();
                }
                if (Math.round(hz / bin) > last) {
                    last = Math.round(hz / bin);
                    all.add(last * bin);
                }
            }
        }
    }

    private StrokePicture() {}

    /** Of each hop the levels of the long window's bands, then those of the short one's. */
    public static float[][] of(Take take) {
        float[][] all = new float[(int) (take.seconds() / HOP_SECONDS + 1e-9)][LONGS + SHORTS];
        double loudest = 1e-9;
        int half = Windows.size(LONG.seconds(), take.rate()) / 2;
        for (int i = 0; i < all.length; i++) {
            int at = take.frame(i * HOP_SECONDS);
            loudest = Math.max(loudest, Math.sqrt(take.power(at - half, at + half)));
        }
        levels(take, LONG, all, 0, loudest);
        levels(take, SHORT, all, LONGS, loudest);
        return all;
    }

    /** A hop in which nothing sounds. */
    static float silence() {
        return (float) Math.log(SILENCE);
    }

    private static void levels(Take take, Band band, float[][] to, int first, double loudest) {
        Windows windows = new Windows(take, Windows.size(band.seconds(), take.rate()));
        double[] edges = band.edges();
        int[] bins = new int[edges.length];
        for (int b = 0; b < bins.length; b++) {
            bins[b] = (int) Math.min(windows.bins(), Math.round(edges[b] / windows.hz(1)));
        }
        double[] magnitudes = new double[windows.bins()];
        for (int i = 0; i < to.length; i++) {
            windows.magnitudes(take.frame(i * HOP_SECONDS) - windows.bins(), magnitudes);
            for (int b = 0; b + 1 < bins.length; b++) {
                double power = 0;
                for (int k = bins[b]; k < bins[b + 1]; k++) {
                    power += magnitudes[k] * magnitudes[k];
                }
                to[i][first + b] = (float) Math.log(SILENCE + Math.sqrt(power) / loudest);
            }
        }
    }
}
