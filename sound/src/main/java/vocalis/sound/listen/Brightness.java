package vocalis.sound.listen;

/**
 * How much brighter a take gets at a time: the pick brings back high partials that a ringing string
 * has lost. The mean rise of all between 1.5 and 10 kHz from just before to just after, each octave
 * counting alike. Limits set by hand on renders of our own.
 */
public final class Brightness {

    private static final double STEP_SECONDS = 0.005;
    private static final double WINDOW_SECONDS = 0.021;
    private static final double FROM_HZ = 1500;
    private static final double TO_HZ = 10_000;

    /** Partials under this share of the take's peak say nothing. */
    private static final double LEAST = 2.5e-4;

    private final Take take;
    private final Windows windows;
    private final double least;
    private final double[] before;
    private final double[] after;

    public Brightness(Take take) {
        this.take = take;
        windows = new Windows(take, Windows.size(WINDOW_SECONDS, take.rate()));
        least = LEAST * take.peak();
        before = new double[windows.bins()];
        after = new double[windows.bins()];
    }

    /** The rise at a time, in dB; 0 where nothing rises. */
    double rise(double at) {
        int frame = take.frame(at);
        windows.magnitudes(frame - 2 * windows.bins(), before);
        windows.magnitudes(frame, after);
        double sum = 0;
        double all = 0;
        for (int k = 1; k < before.length && windows.hz(k) < TO_HZ; k++) {
            if (windows.hz(k) >= FROM_HZ) {
                double rise = 20 * Math.log10((after[k] + least) / (before[k] + least));
                sum += Math.max(0, rise) / k;
                all += 1.0 / k;
            }
        }
        return all == 0 ? 0 : sum / all;
    }

    /**
     * Where something is struck again near a time; NaN where nothing is.
     *
     * @param within seconds to both sides
     * @param least the rise in dB from which on it is a stroke
     */
    public double struckAgain(double at, double within, double least) {
        double most = least;
        double best = Double.NaN;
        for (double t = at - within; t <= at + within; t += STEP_SECONDS) {
            double rise = rise(t);
            if (rise > most) {
                most = rise;
                best = t;
            }
        }
        return best;
    }
}
