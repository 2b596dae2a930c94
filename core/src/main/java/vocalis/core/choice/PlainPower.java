package vocalis.core.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.Voicing;

/**
 * The plain power chord that others are measured against: root, fifth and octave on three
 * neighbouring strings, the root lowest (common practice), in the register of what is measured.
 */
public final class PlainPower {

    private PlainPower() {}

    /**
     * The plain power chord to measure a voicing against: the voicing itself where it is one.
     *
     * @param root pitch class 0 to 11
     * @return empty where the tuning has no such shape within four frets
     */
    public static Optional<Voicing> against(Voicing v, int root) {
        int bass = v.bass();
        boolean itself = v.midi().equals(List.of(bass, bass + 7, bass + 12));
        return itself && Math.floorMod(bass, 12) == root
                ? Optional.of(v)
                : nearest(v.board(), root, bass);
    }

    /** The plain power chord of a root in its usual place, on the two lowest strings. */
    public static Optional<Voicing> on(Fretboard board, int root) {
        return all(board, root, 2).stream()
                .min(Comparator.comparingInt(v -> v.shape().lowestFretted()));
    }

    /** The one whose root lies nearest to a note, the lower of two. */
    private static Optional<Voicing> nearest(Fretboard board, int root, int midi) {
        return all(board, root, board.strings() - 2).stream()
                .min(
                        Comparator.comparingInt((Voicing v) -> Math.abs(v.bass() - midi))
                                .thenComparingInt(Voicing::bass)
                                .thenComparingInt(v -> v.shape().lowestFretted()));
    }

    private static List<Voicing> all(Fretboard board, int root, int lowStrings) {
        List<Voicing> all = new ArrayList<>();
        for (int low = 0; low < lowStrings; low++) {
            for (int fret = 1; fret <= board.frets(); fret++) {
                int midi = board.midi(low, fret);
                int fifth = midi + 7 - board.midi(low + 1, 0);
                int octave = midi + 12 - board.midi(low + 2, 0);
                boolean fits = near(board, fret, fifth) && near(board, fret, octave);
                if (midi % 12 == root && fits) {
                    all.add(
                            new Voicing(
                                    Shape.silent(board.strings())
                                            .with(low, fret)
                                            .with(low + 1, fifth)
                                            .with(low + 2, octave),
                                    board,
                                    root));
                }
            }
        }
        return all;
    }

    private static boolean near(Fretboard board, int fret, int other) {
        return other >= 1 && other <= board.frets() && Math.abs(other - fret) <= 4;
    }
}
