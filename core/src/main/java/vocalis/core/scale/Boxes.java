package vocalis.core.scale;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.instrument.Fretboard;
import vocalis.core.theory.Key;

/** The boxes of a scale: one from each of its notes on the lowest string. */
public final class Boxes {

    private static final int OCTAVE = 12;

    /** Frets that four fingers cover, one each. */
    private static final int FINGERS = 4;

    /** What a fret out of the position costs: the first finger reaches back more easily. */
    private static final int BACK = 1;

    private static final int AHEAD = 2;
    private static final int MISSING = 10;

    private Boxes() {}

    /** All of the first twelve frets, from the nut up. */
    public static List<Box> of(Fretboard board, Key scale) {
        List<Box> all = new ArrayList<>();
        for (int f = 0; f < OCTAVE; f++) {
            at(board, scale, f).ifPresent(all::add);
        }
        return all;
    }

    /**
     * The box from a fret of the lowest string: in the position in which the hand moves least.
     * Empty where the scale has no such note, or the neck ends.
     */
    public static Optional<Box> at(Fretboard board, Key scale, int start) {
        if (start + FINGERS > board.frets() || !scale.contains(board.midi(0, start))) {
            return Optional.empty();
        }
        if (start == 0) {
            return Optional.of(priced(board, scale, 0, 1).box());
        }
        Priced best = priced(board, scale, start, start);
        if (start > 1) {
            Priced back = priced(board, scale, start, start - 1);
            best = back.cost() < best.cost() ? back : best;
        }
        return Optional.of(best.box());
    }

    /** The same box an octave up the neck, or down again. */
    public static Optional<Box> octave(Fretboard board, Box box) {
        int up = box.start() + OCTAVE;
        return at(board, box.scale(), up)
                .or(
                        () ->
                                box.start() >= OCTAVE
                                        ? at(board, box.scale(), box.start() - OCTAVE)
                                        : Optional.empty());
    }

    private record Priced(Box box, int cost) {}

    private static Priced priced(Fretboard board, Key scale, int start, int position) {
        List<Box.Spot> spots = new ArrayList<>();
        int cost = 0;
        int top = board.midi(board.strings() - 1, Math.min(board.frets(), position + FINGERS - 1));
        for (int midi = board.midi(0, start); midi <= top; midi++) {
            if (!scale.contains(midi)) {
                continue;
            }
            Optional<Box.Spot> spot = spot(board, midi, position);
            cost += spot.map(s -> cost(s, position)).orElse(MISSING);
            spot.ifPresent(spots::add);
        }
        return new Priced(new Box(scale, start, position, spots), cost);
    }

    private static int cost(Box.Spot s, int position) {
        return s.fret() == 0 || s.fret() >= position && s.fret() < position + FINGERS
                ? 0
                : s.fret() < position ? BACK : AHEAD;
    }

    /** Where a note lies best in a position: open, or on the lower string where two are as good. */
    private static Optional<Box.Spot> spot(Fretboard board, int midi, int position) {
        Box.Spot best = null;
        for (int s = 0; s < board.strings(); s++) {
            int fret = midi - board.midi(s, 0);
            boolean open = fret == 0 && position == 1;
            boolean reached =
                    fret >= Math.max(1, position - 1)
                            && fret <= Math.min(board.frets(), position + FINGERS);
            if (!open && !reached) {
                continue;
            }
            int finger = open ? 0 : Math.max(1, Math.min(FINGERS, fret - position + 1));
            Box.Spot here = new Box.Spot(s, fret, finger, midi);
            int less = best == null ? 1 : cost(best, position) - cost(here, position);
            if (less > 0 || less == 0 && open) {
                best = here;
            }
        }
        return Optional.ofNullable(best);
    }
}
