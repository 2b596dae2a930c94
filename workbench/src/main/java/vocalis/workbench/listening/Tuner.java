package vocalis.workbench.listening;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.instrument.Fretboard;
import vocalis.core.theory.Pitch;
import vocalis.core.theory.Spelling;
import vocalis.sound.listen.OnsetFinder;
import vocalis.sound.listen.PitchReader;
import vocalis.sound.listen.Take;

/**
 * A tuner: strings plucked one after another, each beside the open string that it is nearest to.
 */
public final class Tuner {

    /** A string further than this from its pitch is another string, in semitones. */
    private static final double FARTHEST = 3;

    /** The pick's own noise and the stroke's rise are over by then. */
    private static final double AFTER_SECONDS = 0.25;

    private static final double SURE = 0.8;

    private Tuner() {}

    /**
     * A string as it was plucked.
     *
     * @param string 0 for the lowest
     * @param note what it is to be
     * @param cents how far it lies over that
     */
    public record Plucked(double seconds, int string, Spelling note, double hz, double cents) {}

    /** The strokes of a take that are one string each. */
    public static List<Plucked> of(Take take, Fretboard board, double a4Hz) {
        int top = board.midi(board.strings() - 1, 0);
        double lowest = Pitch.hz(board.midi(0, 0) - FARTHEST, a4Hz);
        double highest = Pitch.hz(top + FARTHEST, a4Hz);
        PitchReader reader = new PitchReader(take, lowest, highest);
        List<Plucked> all = new ArrayList<>();
        for (double at : OnsetFinder.of(take)) {
            Optional<PitchReader.Heard> p =
                    reader.at(at + AFTER_SECONDS).filter(x -> x.sure() > SURE);
            p.flatMap(x -> plucked(at, x, board, a4Hz)).ifPresent(all::add);
        }
        return all;
    }

    private static Optional<Plucked> plucked(
            double seconds, PitchReader.Heard p, Fretboard board, double a4Hz) {
        int best = 0;
        for (int s = 0; s < board.strings(); s++) {
            best = off(p, board, s, a4Hz) < off(p, board, best, a4Hz) ? s : best;
        }
        double cents = 100 * (p.midi(a4Hz) - board.midi(best, 0));
        return Math.abs(cents) > 100 * FARTHEST
                ? Optional.empty()
                : Optional.of(
                        new Plucked(
                                seconds,
                                best,
                                Spelling.plain(Math.floorMod(board.midi(best, 0), 12)),
                                p.hz(),
                                cents));
    }

    private static double off(PitchReader.Heard p, Fretboard board, int string, double a4Hz) {
        return Math.abs(p.midi(a4Hz) - board.midi(string, 0));
    }
}
