package vocalis.core.choice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

    /** How much more one may take that a player chooses; set by hand. */
    private static final double ALTERNATIVES = 2;

    private Fingers() {}

    /**
     * The same candidates, each with the fingering of the way.
     *
     * @param way in the order in which they are played
     * @param wanted fingers by string that the player wants, where it is so; lowest string first
     */
    public static List<Candidate> along(
            Fretboard board, Hand hand, List<Candidate> way, List<Optional<List<Integer>>> wanted) {
        List<List<Fingering>> all = new ArrayList<>();
        for (int i = 0; i < way.size(); i++) {
            all.add(among(board, hand, way.get(i), wanted.get(i)));
        }
        if (way.size() == 1) {
            return List.of(held(way.get(0), all.get(0).get(0)));
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
            out.add(held(way.get(i), all.get(i).get(path.taken().get(i))));
        }
        return out;
    }

    private static Candidate held(Candidate c, Fingering f) {
        return f.equals(c.fingering()) ? c : c.heldWith(f);
    }

    /** What the player wants alone where a hand can do it, else all that take little more. */
    private static List<Fingering> among(
            Fretboard board, Hand hand, Candidate c, Optional<List<Integer>> wanted) {
        Shape shape = c.voicing().shape();
        if (wanted.isPresent()) {
            for (Fingering f : alternatives(board, shape, hand)) {
                if (onStrings(f, shape).equals(wanted.get())) {
                    return List.of(f);
                }
            }
        }
        List<Fingering> some = Fingering.all(board, shape, hand, MORE);
        return some.isEmpty()
                ? List.of(c.fingering())
                : some.subList(0, Math.min(MOST, some.size()));
    }

    /** The ways to hold a shape that a player may choose among, the easiest first. */
    public static List<Fingering> alternatives(Fretboard board, Shape shape, Hand hand) {
        return Fingering.all(board, shape, hand, ALTERNATIVES);
    }

    /** The finger on each string, lowest first, 0 where none holds it. */
    public static List<Integer> onStrings(Fingering f, Shape shape) {
        List<Integer> fingers = new ArrayList<>();
        for (int s = 0; s < shape.strings(); s++) {
            fingers.add(shape.fret(s) > 0 ? f.fingerOn(s) : 0);
        }
        return fingers;
    }

    private static double effort(Fingering f) {
        return Math.min(100, f.effort());
    }
}
