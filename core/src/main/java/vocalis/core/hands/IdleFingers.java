package vocalis.core.hands;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;

/** What the free fingers can add while a shape is held. */
public final class IdleFingers {

    private static final int FRETS_AROUND = 5;

    private IdleFingers() {}

    /**
     * One note that can be added.
     *
     * @param finger 2 to 4 (or 1), the finger that takes it
     * @param string string index, 0 is the lowest
     * @param fret fret from the capo
     * @param shape the shape with it
     */
    public record Addition(int finger, int string, int fret, Shape shape) {}

    /**
     * Every single note that a free finger can add with all others staying where they are, from the
     * lowest string up; on a sounded string only above what is fretted there.
     */
    public static List<Addition> of(Fretboard board, Shape shape, Fingering held, Hand hand) {
        List<Addition> all = new ArrayList<>();
        if (held.presses().isEmpty()) {
            return all;
        }
        int from = Math.max(1, shape.highestFretted() - FRETS_AROUND);
        int to = Math.min(board.frets(), shape.lowestFretted() + FRETS_AROUND);
        for (int string = 0; string < shape.strings(); string++) {
            for (int fret = Math.max(from, shape.fret(string) + 1); fret <= to; fret++) {
                addition(board, shape, held, hand, string, fret).ifPresent(all::add);
            }
        }
        return List.copyOf(all);
    }

    private static Optional<Addition> addition(
            Fretboard board, Shape shape, Fingering held, Hand hand, int string, int fret) {
        Shape more = shape.with(string, fret);
        Optional<Fingering> with = Fingering.of(board, more, hand, held.presses());
        return with.filter(f -> f.fingerOn(string) > 0)
                .map(f -> new Addition(f.fingerOn(string), string, fret, more));
    }
}
