package vocalis.sound.listen;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Finds where something is struck: the flux of a logarithmic spectrum against the strongest of
 * neighbouring bands a little before, so that a string that wavers counts for nothing (S. Böck, G.
 * Widmer, "Maximum filter vibrato suppression for onset detection", DAFx 2013); then the steepest
 * rise of the sound itself nearby. Thresholds set by hand on renders of our own.
 */
public final class OnsetFinder {

    private static final double WINDOW_SECONDS = 0.043;
    private static final double HOP_SECONDS = 0.005;
    private static final int LAG = 2;
    private static final int BANDS_AN_OCTAVE = 24;
    private static final double LOWEST_HZ = 60;
    private static final double HIGHEST_HZ = 12_000;

    /** What lies 60 dB under full scale counts as 1 before the logarithm. */
    private static final double SCALE = 1000;

    private static final int NEAR = 6;
    private static final int MEAN_BEFORE = 20;
    private static final int MEAN_AFTER = 14;

    /** A peak stands so far over the mean around it, and by this share of the strongest. */
    private static final double LEAST = 2.2;

    private static final double OF_STRONGEST = 0.03;

    /** Two strokes lie at least so far apart. */
    private static final double APART_SECONDS = 0.045;

    /** How far under the loudest stroke another may lie, in dB. */
    private static final double QUIETEST_DB = -48;

    private static final double SEARCH_SECONDS = 0.03;

    /** A rise counts from this share of the loudest millisecond nearby on. */
    private static final double WORTH = 0.1;

    private static final double NEAR_MS = 14;

    /** What gets so much brighter at once is struck, whatever rings on. */
    private static final double BRIGHTER_DB = 3;

    /** Where it gets clearly brighter near a stroke the stroke is there. */
    private static final double CLEARLY_BRIGHTER_DB = 4;

    /** And so many times as much as it does in the middle. */
    private static final double OVER_USUAL = 2.6;

    private static final int BRIGHT_NEAR = 7;
    private static final double BRIGHT_NEAR_MS = 4;

    /** So far apart a rise and a brightening are one. */
    private static final double SAME_SECONDS = 0.0155;

    private final Take take;

    private OnsetFinder(Take take) {
        this.take = take;
    }

    /** Where something is struck, in seconds from the beginning, by time. */
    public static List<Double> of(Take take) {
        return new OnsetFinder(take).find();
    }

    private List<Double> find() {
        double[] flux = flux();
        if (flux.length == 0) {
            return List.of();
        }
        double strongest = Arrays.stream(flux).max().orElse(0);
        double least = Math.max(LEAST, OF_STRONGEST * strongest);
        double loudest = 0;
        for (int i = 0; i < flux.length; i++) {
            loudest = Math.max(loudest, level(i));
        }
        double quietest = loudest * Math.pow(10, QUIETEST_DB / 10);
        // Where the take is cut off the cut itself is a stroke.
        int n = flux.length - (int) (WINDOW_SECONDS / HOP_SECONDS);
        double[] bright = bright(Math.max(0, n), quietest);
        double usual = usual(bright);
        List<Double> all = new ArrayList<>();
        double last = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < n; i++) {
            boolean peak = flux[i] > 0 && top(flux, i, NEAR) && level(i) >= quietest;
            if (peak && flux[i] >= mean(flux, i) + least) {
                double at = placed(i, bright, Math.max(CLEARLY_BRIGHTER_DB, OVER_USUAL * usual));
                if (at - last >= APART_SECONDS) {
                    all.add(at);
                    last = at;
                }
            }
        }
        return withBright(all, bright, Math.max(BRIGHTER_DB, OVER_USUAL * usual));
    }

    /**
     * Where a stroke is that was found near a hop: where it rises, unless it gets bright elsewhere.
     */
    private double placed(int hop, double[] bright, double clearly) {
        double risen = rise(hop * HOP_SECONDS, NEAR_MS);
        int best = hop;
        for (int k = hop - BRIGHT_NEAR; k <= hop + BRIGHT_NEAR; k++) {
            best = k >= 0 && k < bright.length && bright[k] > bright[best] ? k : best;
        }
        double there = best * HOP_SECONDS;
        return bright[best] <= clearly || Math.abs(there - risen) < SAME_SECONDS
                ? risen
                : rise(there, BRIGHT_NEAR_MS);
    }

    /** How much brighter it gets at every hop that is loud enough. */
    private double[] bright(int hops, double quietest) {
        Brightness brightness = new Brightness(take);
        double[] bright = new double[hops];
        for (int i = 0; i < hops; i++) {
            bright[i] = level(i) >= quietest ? brightness.rise(i * HOP_SECONDS) : 0;
        }
        return bright;
    }

    /** What it is in the middle: a driven sound gets brighter and duller all the time. */
    private static double usual(double[] bright) {
        double[] loud = Arrays.stream(bright).filter(b -> b > 0).sorted().toArray();
        return loud.length == 0 ? 0 : loud[loud.length / 2];
    }

    /** Those and where it gets brighter at once, as on strings that ring and are struck again. */
    private List<Double> withBright(List<Double> found, double[] bright, double least) {
        List<Double> all = new ArrayList<>(found);
        for (int i = 0; i < bright.length; i++) {
            double at = i * HOP_SECONDS;
            if (bright[i] > least
                    && top(bright, i, NEAR)
                    && found.stream().allMatch(t -> Math.abs(t - at) >= APART_SECONDS)) {
                all.add(rise(at, BRIGHT_NEAR_MS));
            }
        }
        all.sort(Double::compare);
        return all;
    }

    /** Power of the forty milliseconds that begin at a hop. */
    private double level(int i) {
        return take.power(take.frame(i * HOP_SECONDS), take.frame((i + 8) * HOP_SECONDS));
    }

    /** Whether a value is the highest within so many to both sides; of equal ones the first. */
    public static boolean top(double[] x, int i, int near) {
        for (int k = Math.max(0, i - near); k <= Math.min(x.length - 1, i + near); k++) {
            if (x[k] > x[i] || k < i && x[k] == x[i]) {
                return false;
            }
        }
        return true;
    }

    private static double mean(double[] flux, int i) {
        int from = Math.max(0, i - MEAN_BEFORE);
        int to = Math.min(flux.length, i + MEAN_AFTER + 1);
        double sum = 0;
        for (int k = from; k < to; k++) {
            sum += flux[k];
        }
        return sum / (to - from);
    }

    private double[] flux() {
        Windows windows = new Windows(take, Windows.size(WINDOW_SECONDS, take.rate()));
        int[] edges = edges(windows);
        int bands = edges.length - 1;
        int n = (int) (take.seconds() / HOP_SECONDS + 1e-9);
        double[][] last = new double[LAG + 1][bands];
        double[] magnitudes = new double[windows.bins()];
        double[] flux = new double[n];
        for (int i = 0; i < n; i++) {
            double[] now = last[i % (LAG + 1)];
            windows.magnitudes(take.frame(i * HOP_SECONDS) - windows.bins(), magnitudes);
            for (int b = 0; b < bands; b++) {
                double sum = 0;
                for (int k = edges[b]; k < edges[b + 1]; k++) {
                    sum += magnitudes[k];
                }
                now[b] = Math.log10(1 + SCALE * sum);
            }
            if (i >= LAG) {
                flux[i] = rise(now, last[(i - LAG) % (LAG + 1)]);
            }
        }
        return flux;
    }

    private static double rise(double[] now, double[] before) {
        double sum = 0;
        for (int b = 0; b < now.length; b++) {
            double most = before[b];
            most = b > 0 ? Math.max(most, before[b - 1]) : most;
            most = b + 1 < now.length ? Math.max(most, before[b + 1]) : most;
            sum += Math.max(0, now[b] - most);
        }
        return sum;
    }

    /** First bins of the bands, each at least one bin wide. */
    private static int[] edges(Windows w) {
        List<Integer> all = new ArrayList<>();
        int last = 0;
        for (int k = 0; ; k++) {
            double hz = LOWEST_HZ * Math.pow(2, (double) k / BANDS_AN_OCTAVE);
            int bin = (int) Math.round(hz / w.hz(1));
            if (hz > HIGHEST_HZ || bin >= w.bins()) {
                return all.stream().mapToInt(i -> i).toArray();
            }
            if (bin > last) {
                all.add(bin);
                last = bin;
            }
        }
    }

    /** Where the sound rises most steeply near a time: its slope's power in steps of 1 ms. */
    private double rise(double near, double nearMs) {
        int step = take.frame(0.001);
        int first = take.frame(near - SEARCH_SECONDS);
        int n = (int) (2 * SEARCH_SECONDS * 1000);
        double[] power = new double[n + 10];
        for (int i = 0; i < power.length; i++) {
            int from = first + (i - 5) * step;
            double sum = 1e-12;
            for (int k = from; k < from + step; k++) {
                double slope = take.at(k) - take.at(k - 1);
                sum += slope * slope;
            }
            power[i] = sum;
        }
        double loudest = 5 * Arrays.stream(power).max().orElse(0);
        double most = 0;
        double[] rises = new double[n];
        for (int i = 0; i < n; i++) {
            double before = power[i] + power[i + 1] + power[i + 2] + power[i + 3] + power[i + 4];
            double after = 5 * Math.max(power[i + 5], Math.max(power[i + 6], power[i + 7]));
            // A rise out of nothing is none where the stroke itself is far louder.
            double off = (i - n / 2) / nearMs;
            rises[i] =
                    after > WORTH * loudest
                            ? Math.log(after / before) * Math.exp(-0.5 * off * off)
                            : 0;
            most = Math.max(most, rises[i]);
        }
        int best = n / 2;
        for (int i = 0; i < n; i++) {
            best = rises[i] == most ? i : best;
        }
        return near - SEARCH_SECONDS + best * 0.001;
    }
}
