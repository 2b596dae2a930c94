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

    private static final double BEGIN_SECONDS = 0.04;

    /** A stroke is over when it has fallen so far. */
    private static final double OVER_DB = 26;

    /** From here on a period is a note's. */
    private static final double PERIODIC = 0.85;

    /** Semitones at which a single note's own partials lie above it. */
    private static final Set<Integer> PARTIALS = Set.of(12, 19, 24, 28, 31, 34, 36);

    private final Take take;
    private final double a4Hz;
    private final ChordReader chords;
    private final PitchReader pitches;

    private StrokeReader(Take take, Dictionary dictionary, double a4Hz) {
        this.take = take;
        this.a4Hz = a4Hz;
        int low = dictionary.low();
        int high = dictionary.high();
        chords = new ChordReader(take, dictionary);
        pitches = new PitchReader(take, Pitch.hz(low - 0.5, a4Hz), Pitch.hz(high + 0.5, a4Hz));
    }

    /** The strokes of a take by time. */
    public static List<HeardStroke> of(Take take, Dictionary dictionary, double a4Hz) {
        StrokeReader r = new StrokeReader(take, dictionary, a4Hz);
        List<Double> onsets = OnsetFinder.of(take);
        List<HeardStroke> all = new ArrayList<>();
        for (int i = 0; i < onsets.size(); i++) {
            double until = i + 1 < onsets.size() ? onsets.get(i + 1) : take.seconds();
            all.add(r.stroke(onsets.get(i), until));
        }
        return all;
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
        Optional<HeardPitch> one = pitches.at(at + 0.03).filter(p -> p.sure() > PERIODIC);
        HeardNotes notes = one.map(p -> single(p, read)).orElse(read);
        return new HeardStroke(at, notes, db(begins));
    }

    /**
     * One note where all that was read besides are its partials; a root with fifth and octave
     * repeats with the note below, whose own fundamental is not there.
     */
    private HeardNotes single(HeardPitch p, HeardNotes read) {
        int midi = (int) Math.round(p.midi(a4Hz) - read.cents() / 100);
        boolean alone =
                read.midi().contains(midi)
                        && read.midi().stream()
                                .allMatch(m -> m == midi || PARTIALS.contains(m - midi));
        return alone
                ? new HeardNotes(
                        List.of(new HeardNotes.Note(midi, 1)),
                        100 * (p.midi(a4Hz) - midi),
                        read.unexplained())
                : read;
    }

    private double power(double from, double to) {
        return take.power(take.frame(from), take.frame(to)) + 1e-12;
    }

    private static double db(double power) {
        return 10 * Math.log10(power);
    }
}
