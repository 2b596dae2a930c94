package vocalis.sound.listen;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vocalis.core.theory.Pitch;

/**
 * Reads a take stroke by stroke: where each begins and what sounds. What repeats with one period is
 * a single note; all else is a chord. Thresholds set by hand on renders of our own.
 */
public final class StrokeReader {

    /**
     * A stroke as heard.
     *
     * @param seconds when it begins
     * @param length seconds until it has died away, is stopped or the next begins
     * @param notes its pitches
     * @param levelDb how strong its beginning is, under full scale
     * @param fellDb how far it has fallen after an eighth of a second; NaN where the next comes
     *     sooner
     */
    public record HeardStroke(
            double seconds, double length, HeardNotes notes, double levelDb, double fellDb) {

        private static final double MUTED_DB = 13;
        private static final double OPEN_DB = 6;

        /** Whether the palm or the fretting hand stops it. */
        public boolean muted() {
            return fellDb > MUTED_DB;
        }

        /** Whether it rings freely. */
        public boolean open() {
            return fellDb < OPEN_DB;
        }

        /** The same, ended at a time. */
        HeardStroke until(double at) {
            return new HeardStroke(seconds, at - seconds, notes, levelDb, fellDb);
        }
    }

    private static final double BEGIN_SECONDS = 0.04;

    /** A stroke is over when it has fallen so far. */
    private static final double OVER_DB = 26;

    private static final double STOPPED_SECONDS = 0.13;
    private static final double LEAST_STOPPED_SECONDS = 0.06;

    /** What falls so far within some hundredths is cut off; where that begins before it shows. */
    private static final double CUT_DB = 9;

    private static final double BEGUN_DB = 2.5;

    /** From here on a period is a note's. */
    private static final double PERIODIC = 0.85;

    /** Semitones at which a single note's own partials lie above it. */
    private static final Set<Integer> PARTIALS = Set.of(12, 19, 24, 28, 31, 34, 36);

    private final Take take;
    private final double a4Hz;
    private final ChordReader chords;
    private final PitchReader pitches;

    private StrokeReader(Take take, Dictionary dictionary, double a4Hz, boolean thin) {
        this.take = take;
        this.a4Hz = a4Hz;
        int low = dictionary.low();
        int high = dictionary.high();
        chords = new ChordReader(take, dictionary, thin);
        pitches = new PitchReader(take, Pitch.hz(low - 0.5, a4Hz), Pitch.hz(high + 0.5, a4Hz));
    }

    /**
     * The strokes of a take by time.
     *
     * @param onsets where something is struck, by time
     * @param thin whether the sound lacks its low end and gets it back
     */
    public static List<HeardStroke> of(
            Take take, List<Double> onsets, Dictionary dictionary, double a4Hz, boolean thin) {
        return new StrokeReader(take, dictionary, a4Hz, thin).all(onsets);
    }

    private List<HeardStroke> all(List<Double> onsets) {
        List<HeardStroke> all = new ArrayList<>();
        for (int i = 0; i < onsets.size(); i++) {
            double until = i + 1 < onsets.size() ? onsets.get(i + 1) : take.seconds();
            HeardStroke s = stroke(onsets.get(i), until);
            all.add(s.muted() ? s : fall(s, until).map(s::until).orElse(s));
        }
        return all;
    }

    /** Where a ringing stroke is cut off before the next, if it is. */
    private Optional<Double> fall(HeardStroke s, double until) {
        double best = 0;
        double most = -CUT_DB;
        for (double t = s.seconds() + 0.1; t < until - 0.07; t += 0.005) {
            double change = db(power(t + 0.02, t + 0.06) / power(t - 0.05, t));
            if (change < most) {
                most = change;
                best = t;
            } else if (best > 0 && t > best + 0.05) {
                break;
            }
        }
        return best == 0 ? Optional.empty() : Optional.of(begins(best));
    }

    /** Where a fall begins that is steepest at a time. */
    private double begins(double steepest) {
        double from = steepest - 0.06;
        double level = power(from - 0.05, from);
        double at = from;
        while (at < steepest && db(power(at, at + 0.01) / level) > -BEGUN_DB) {
            at += 0.002;
        }
        return at;
    }

    private HeardStroke stroke(double at, double until) {
        double begins = power(at + 0.003, at + 0.003 + BEGIN_SECONDS);
        double length = until - at;
        for (double t = at + BEGIN_SECONDS; t < until; t += 0.01) {
            if (db(power(t, t + 0.03) / begins) < -OVER_DB) {
                length = t - at;
                break;
            }
        }
        HeardNotes read = chords.at(at, Math.min(until, at + Math.max(0.08, length)));
        double fell = fell(begins, at, until);
        boolean stopped = new HeardStroke(at, length, read, 0, fell).muted();
        Optional<PitchReader.Heard> one = pitches.at(at + 0.03).filter(p -> p.sure() > PERIODIC);
        HeardNotes notes = one.map(p -> single(p, read, stopped)).orElse(read);
        return new HeardStroke(at, length, notes, db(begins), fell);
    }

    /** How far a stroke has fallen after an eighth of a second, or would where the next is near. */
    private double fell(double begins, double at, double until) {
        double seconds = Math.min(STOPPED_SECONDS, until - at - 0.02);
        return seconds < LEAST_STOPPED_SECONDS
                ? Double.NaN
                : db(begins / power(at + seconds, at + seconds + 0.02)) * STOPPED_SECONDS / seconds;
    }

    /**
     * One note where all that was read besides are its partials; a root with fifth and octave
     * repeats with the note below, whose own fundamental is not there. What is stopped at once is
     * read a semitone wide, and may repeat with the octave below.
     */
    private HeardNotes single(PitchReader.Heard p, HeardNotes read, boolean stopped) {
        int midi = (int) Math.round(p.midi(a4Hz) - read.cents() / 100);
        int wide = stopped ? 1 : 0;
        boolean above =
                !read.midi().isEmpty() && read.midi().stream().allMatch(m -> m >= midi + 10);
        if (stopped && above) {
            return all(midi + 12, wide, read) ? note(midi + 12, read.cents(), read) : read;
        }
        boolean there = stopped || read.midi().contains(midi);
        double cents = stopped ? read.cents() : 100 * (p.midi(a4Hz) - midi);
        return there && all(midi, wide, read) ? note(midi, cents, read) : read;
    }

    private static HeardNotes note(int midi, double cents, HeardNotes read) {
        HeardNotes.Note one = new HeardNotes.Note(midi, 1);
        return new HeardNotes(List.of(one), cents, read.unexplained(), read.lines());
    }

    /** Whether all that was read are a note's partials, or lie so many semitones beside them. */
    private static boolean all(int midi, int wide, HeardNotes read) {
        return read.midi().stream()
                .allMatch(
                        m ->
                                Math.abs(m - midi) <= wide
                                        || PARTIALS.stream()
                                                .anyMatch(k -> Math.abs(m - midi - k) <= wide));
    }

    private double power(double from, double to) {
        return take.power(take.frame(from), take.frame(to)) + 1e-12;
    }

    private static double db(double power) {
        return 10 * Math.log10(power);
    }
}
