package vocalis.sound.listen;

import java.util.Arrays;
import java.util.Collection;

/**
 * What comes and what goes where something is struck or stopped: the partials of a note just before
 * beside just after. A string that rings on only falls; one that is struck rises again, its upper
 * partials most. Thresholds set by hand on renders of our own.
 */
public final class Changes {

    private static final double LEAST_SECONDS = 0.045;
    private static final double MOST_SECONDS = 0.12;
    private static final double CLEAR_SECONDS = 0.012;
    private static final int PARTIALS = 8;

    /** A partial is another note's from so near on, in widths of a window's line. */
    private static final double SHARED = 2;

    /** A string struck under the palm falls less than this where the others are cut off. */
    private static final double KEPT_DB = 19;

    private static final double SILENT = 1e-5;

    private static final double[] SHARP = {1, 1.004, 1.01};
    private static final int TURNS = 512;

    private final Take take;
    private final double a4Hz;

    public Changes(Take take, double a4Hz) {
        this.take = take;
        this.a4Hz = a4Hz;
    }

    /**
     * How much a note's own partials rise at a time, the median in dB; NaN where it has none of its
     * own that sounds.
     *
     * @param midi the note
     * @param cents how far the guitar lies over its pitch
     * @param others notes whose partials say nothing of this one
     * @param before how long it has been since the last stroke, in seconds
     * @param after how long it is to the next
     */
    public double rise(
            int midi,
            double cents,
            Collection<Integer> others,
            double at,
            double before,
            double after) {
        double seconds =
                Math.max(
                        LEAST_SECONDS,
                        Math.min(MOST_SECONDS, Math.min(before, after) - 2 * CLEAR_SECONDS));
        double[] rises = new double[PARTIALS];
        int n = 0;
        double hz = hz(midi, cents);
        double[] beforeIt = windowed(at - CLEAR_SECONDS - seconds, seconds);
        double[] afterIt = windowed(at + CLEAR_SECONDS, seconds);
        for (int k = 1; k <= PARTIALS; k++) {
            if (!shared(k * hz, cents, others, SHARED / seconds)) {
                double was = level(k * hz, beforeIt);
                double is = level(k * hz, afterIt);
                if (is > SILENT || was > SILENT) {
                    rises[n++] = 20 * Math.log10((is + SILENT / 10) / (was + SILENT / 10));
                }
            }
        }
        if (n == 0) {
            return Double.NaN;
        }
        Arrays.sort(rises, 0, n);
        return n % 2 == 1 ? rises[n / 2] : (rises[n / 2 - 1] + rises[n / 2]) / 2;
    }

    /**
     * Whether a note sounds on where all is cut off: then it was struck under the palm, which is
     * quieter than a chord that it stops and raises nothing.
     */
    public boolean struckUnderPalm(int midi, double cents, double at) {
        double most = Double.NEGATIVE_INFINITY;
        double[] beforeIt = windowed(at - 0.07, 0.06);
        double[] afterIt = windowed(at + 0.015, 0.06);
        for (int k = 1; k <= 2; k++) {
            double hz = k * hz(midi, cents);
            double was = level(hz, beforeIt) + 1e-9;
            double is = level(hz, afterIt) + 1e-9;
            most = Math.max(most, 20 * Math.log10(is / was));
        }
        return most > -KEPT_DB;
    }

    private double hz(int midi, double cents) {
        return a4Hz * Math.pow(2, (midi - 69 + cents / 100) / 12);
    }

    private boolean shared(double hz, double cents, Collection<Integer> others, double within) {
        for (int o : others) {
            double f = hz(o, cents);
            double nearest = Math.max(1, Math.round(hz / f)) * f;
            if (Math.abs(nearest - hz) < within) {
                return true;
            }
        }
        return false;
    }

    /** Amplitude around a frequency in a stretch as {@link #windowed} gives it. */
    private double level(double hz, double[] stretch) {
        double most = 0;
        // A stiff string's upper partials lie a little high.
        for (double sharp : SHARP) {
            most = Math.max(most, amplitude(stretch, 2 * Math.PI * hz * sharp / take.rate()));
        }
        return most;
    }

    /** So many seconds from a time on under a Hann window. */
    private double[] windowed(double from, double seconds) {
        int n = take.frame(seconds);
        double[] stretch = take.stretch(take.frame(from), n);
        for (int i = 0; i < n; i++) {
            stretch[i] *= 0.5 - 0.5 * Math.cos(2 * Math.PI * i / n);
        }
        return stretch;
    }

    /**
     * Amplitude at a frequency in radians a frame: a pointer that turns by one step a frame, told
     * anew every {@link #TURNS} frames so that its rounding does not grow.
     */
    private static double amplitude(double[] x, double step) {
        double turnRe = Math.cos(step);
        double turnIm = Math.sin(step);
        double re = 0;
        double im = 0;
        for (int from = 0; from < x.length; from += TURNS) {
            double c = Math.cos(step * from);
            double s = Math.sin(step * from);
            int to = Math.min(x.length, from + TURNS);
            for (int i = from; i < to; i++) {
                re += x[i] * c;
                im += x[i] * s;
                double next = c * turnRe - s * turnIm;
                s = s * turnRe + c * turnIm;
                c = next;
            }
        }
        return 4 * Math.sqrt(re * re + im * im) / x.length;
    }
}
