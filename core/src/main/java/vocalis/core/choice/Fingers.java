package vocalis.core.choice;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.hands.LoopPath;
import vocalis.core.hands.Move;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;

/**
 * Fingerings chosen along the way: of each grip those that take little more effort than the
 * easiest, and through them the way on which most fingers stay or slide on their string, the seam
 * of the loop included, by the same exact search as for the shapes. Players are taught changes so:
 * who stays, who slides, who lifts (common practice, no source).
 */
public final class Fingers {

    /** How much more effort a fingering may take for what it saves in the changes; set by hand. */
    private static final double MORE = 0.9;

    private static final int MOST = 8;

    private Fingers() {}

    /**
     * The same candidates, each with the fingering of the way.
     *
     * @param way in the order in which they are played
     */
    public static List<Candidate> along(Fretboard board, Hand hand, List<Candidate> way) {
        List<List<Fingering>> all = new ArrayList<>();
        for (Candidate c : way) {
            List<Fingering> some = Fingering.all(board, c.voicing().shape(), hand, MORE);
            all.add(
                    some.isEmpty()
                            ? List.of(c.fingering())
                            : some.subList(0, Math.min(MOST, some.size())));
        }
        if (way.size() < 2) {
            return way;
        }
        int n = way.size();
        LoopPath path =
                LoopPath.around(
                        all.stream()
                                .map(f -> f.stream().mapToDouble(Fingers::effort).toArray())
                                .toList(),
                        (from, a, b) -> {
                            Shape before = way.get(from).voicing().shape();
                            Shape after = way.get((from + 1) % n).voicing().shape();
                            return Move.between(
                                            board,
                                            before,
                                            all.get(from).get(a),
                                            after,
                                            all.get((from + 1) % n).get(b))
                                    .cost();
                        });
        List<Candidate> out = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            Fingering f = all.get(i).get(path.taken().get(i));
            out.add(f.equals(way.get(i).fingering()) ? way.get(i) : way.get(i).heldWith(f));
        }
        return out;
    }

    private static double effort(Fingering f) {
        return Math.min(100, f.effort());
    }
}
