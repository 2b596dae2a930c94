package vocalis.core.choice;

import java.util.List;
import java.util.Optional;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.Voicing;

/**
 * The plain power chord that others are measured against: root, fifth and octave on three
 * neighbouring strings, the root lowest, fretted on one of the two lowest strings where its fret is
 * least (common practice).
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
        return itself && Math.floorMod(bass, 12) == root ? Optional.of(v) : on(v.board(), root);
    }

    /** The plain power chord of a root. */
    public static Optional<Voicing> on(Fretboard board, int root) {
        Voicing best = null;
        for (int low = 0; low < 2; low++) {
            for (int fret = 1; fret <= Math.min(12, board.frets()); fret++) {
                int midi = board.midi(low, fret);
                int fifth = midi + 7 - board.midi(low + 1, 0);
                int octave = midi + 12 - board.midi(low + 2, 0);
                boolean fits = near(board, fret, fifth) && near(board, fret, octave);
                if (Math.floorMod(midi, 12) != root || !fits) {
                    continue;
                }
                if (best == null || fret < best.shape().lowestFretted()) {
                    best =
                            new Voicing(
                                    Shape.silent(board.strings())
                                            .with(low, fret)
                                            .with(low + 1, fifth)
                                            .with(low + 2, octave),
                                    board,
                                    root);
                }
            }
        }
        return Optional.ofNullable(best);
    }

    private static boolean near(Fretboard board, int fret, int other) {
        return other >= 1 && other <= board.frets() && Math.abs(other - fret) <= 4;
    }
}
