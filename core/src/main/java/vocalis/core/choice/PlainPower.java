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

    /** How far over its root the middle of root, fifth and octave lies, in semitones. */
    private static final double MIDDLE = 19 / 3.0;

    private static final int FARTHEST = 6;

    private PlainPower() {}

    /**
     * The plain power chord to measure a voicing against: the voicing itself where it is one; on
     * the same bass where that is the root; otherwise the one that lies about where the voicing
     * lies, for a fourth is its power chord without the low root and not one an octave higher.
     * Where the neck has none on that root within half an octave, the one on any root that lies
     * nearest: roughness is a matter of register.
     *
     * @param root pitch class 0 to 11
     * @return empty where the tuning has no such shape within four frets
     */
    public static Optional<Voicing> against(Voicing v, int root) {
        int bass = v.bass();
        boolean itself = v.midi().equals(List.of(bass, bass + 7, bass + 12));
        boolean onRoot = Math.floorMod(bass, 12) == root;
        if (itself && onRoot) {
            return Optional.of(v);
        }
        double middle = v.midi().stream().mapToInt(m -> m).average().orElse(bass) - MIDDLE;
        double at = onRoot ? bass : middle;
        Optional<Voicing> own = nearest(all(v.board(), root, v.board().strings() - 2), at);
        if (own.isPresent() && Math.abs(own.get().bass() - at) <= FARTHEST) {
            return own;
        }
        List<Voicing> any = new ArrayList<>();
        for (int r = 0; r < 12; r++) {
            any.addAll(all(v.board(), r, v.board().strings() - 2));
        }
        return nearest(any, at);
    }

    /** The plain power chord of a root in its usual place, on the two lowest strings. */
    public static Optional<Voicing> on(Fretboard board, int root) {
        return all(board, root, 2).stream()
                .filter(PlainPower::fretted)
                .min(Comparator.comparingInt(v -> v.shape().lowestFretted()));
    }

    /** The one whose root lies nearest to a note, the lower of two, fretted rather than open. */
    private static Optional<Voicing> nearest(List<Voicing> all, double midi) {
        return all.stream()
                .min(
                        Comparator.comparingDouble((Voicing v) -> Math.abs(v.bass() - midi))
                                .thenComparingInt(Voicing::bass)
                                .thenComparing(v -> !fretted(v))
                                .thenComparingInt(v -> v.shape().lowestFretted()));
    }

    private static boolean fretted(Voicing v) {
        return v.soundings().stream().allMatch(s -> s.fret() > 0);
    }

    private static List<Voicing> all(Fretboard board, int root, int lowStrings) {
        List<Voicing> all = new ArrayList<>();
        for (int low = 0; low < lowStrings; low++) {
            for (int fret = 0; fret <= board.frets(); fret++) {
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
        return other >= Math.min(1, fret) && other <= board.frets() && Math.abs(other - fret) <= 4;
    }
}
