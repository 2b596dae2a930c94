package vocalis.sound.listen;

import java.util.Optional;

/**
 * Reads the pitch of a single note: the period after which the sound differs least (A. de
 * Cheveigné, H. Kawahara, "YIN, a fundamental frequency estimator for speech and music", JASA 111,
 * 2002), then the fundamental's own frequency from how its phase moves between two windows: the
 * partials of a stiff string lie high and pull the period with them.
 */
public final class PitchReader {

    /** Differences under this are a period (the paper has 0.1, from memory). */
    private static final double THRESHOLD = 0.12;

    /** What differs more than this in the best case is no note. */
    private static final double NO_NOTE = 0.35;

    private static final double WINDOW_SECONDS = 0.046;
    private static final double PHASE_WINDOW_SECONDS = 0.17;
    private static final double PHASE_STEP_SECONDS = 0.011;

    /** A fundamental this far under the strongest bin says nothing of itself, in dB. */
    private static final double HEARD_DB = -40;

    private final Take take;
    private final double lowest;
    private final double highest;

    /**
     * @param lowest and highest frequency that is looked for, in Hz
     */
    public PitchReader(Take take, double lowest, double highest) {
        this.take = take;
        this.lowest = lowest;
        this.highest = highest;
    }

    /** The pitch from a time on, about an eighth of a second; empty where nothing repeats. */
    public Optional<Heard> at(double seconds) {
        int from = take.frame(seconds);
        return period(from)
                .map(p -> new Heard(refined(from, take.rate() / p.lag()), 1 - p.differs()));
    }

    /**
     * The pitch of one note.
     *
     * @param hz its fundamental
     * @param sure from 0 to 1: 1 less what of the sound does not repeat after a period
     */
    public record Heard(double hz, double sure) {

        private static final int A4 = 69;

        /** MIDI number with its fraction, 100 cents to 1. */
        public double midi(double a4Hz) {
            return A4 + 12 * Math.log(hz / a4Hz) / Math.log(2);
        }

        /** How far it lies over the nearest note of equal temperament, -50 to 50 cents. */
        public double cents(double a4Hz) {
            double midi = midi(a4Hz);
            return 100 * (midi - Math.round(midi));
        }
    }

    private record Period(double lag, double differs) {}

    private Optional<Period> period(int from) {
        int least = (int) (take.rate() / highest);
        int most = (int) Math.ceil(take.rate() / lowest) + 1;
        int window = take.frame(WINDOW_SECONDS);
        double[] x = take.stretch(from, window + most + 2);
        double[] d = new double[most + 2];
        double sum = 0;
        d[0] = 1;
        for (int lag = 1; lag < d.length; lag++) {
            double difference = differs(x, lag, window);
            sum += difference;
            d[lag] = sum == 0 ? 1 : difference * lag / sum;
        }
        int best = -1;
        for (int lag = Math.max(2, least); lag <= most; lag++) {
            boolean dip = d[lag] <= d[lag - 1] && d[lag] < d[lag + 1];
            if (dip && d[lag] < THRESHOLD) {
                best = lag;
                break;
            }
            if (dip && (best < 0 || d[lag] < d[best])) {
                best = lag;
            }
        }
        if (best < 0 || d[best] > NO_NOTE) {
            return Optional.empty();
        }
        double a = d[best - 1];
        double b = d[best];
        double c = d[best + 1];
        double bend = a - 2 * b + c;
        double off = bend == 0 ? 0 : 0.5 * (a - c) / bend;
        return Optional.of(new Period(best + off, Math.max(0, b)));
    }

    /** How far a stretch differs from itself so many frames later. */
    private static double differs(double[] x, int lag, int window) {
        double even = 0;
        double odd = 0;
        for (int i = 0; i + 1 < window; i += 2) {
            double a = x[i] - x[i + lag];
            double b = x[i + 1] - x[i + 1 + lag];
            even += a * a;
            odd += b * b;
        }
        return even + odd;
    }

    /** The fundamental by its phase; as it is where it is too weak to say. */
    private double refined(int from, double hz) {
        Windows w = new Windows(take, Windows.size(PHASE_WINDOW_SECONDS, take.rate()));
        double[] magnitudes = new double[w.bins()];
        w.magnitudes(from, magnitudes);
        int near = (int) Math.round(hz / w.hz(1));
        int bin = near;
        double most = 0;
        for (int k = 1; k < magnitudes.length; k++) {
            most = Math.max(most, magnitudes[k]);
        }
        for (int k = Math.max(1, near - 2); k <= near + 2 && k < magnitudes.length; k++) {
            bin = magnitudes[k] > magnitudes[bin] ? k : bin;
        }
        if (magnitudes[bin] < most * Math.pow(10, HEARD_DB / 20)) {
            return hz;
        }
        int step = take.frame(PHASE_STEP_SECONDS);
        double turned = w.phase(from + step, bin) - w.phase(from, bin);
        double expected = 2 * Math.PI * hz * step / take.rate();
        double off = Math.IEEEremainder(turned - expected, 2 * Math.PI);
        double refined = hz + off * take.rate() / (2 * Math.PI * step);
        // Half a semitone away is another note, not a finer reading.
        return Math.abs(refined / hz - 1) < 0.03 ? refined : hz;
    }
}
