package vocalis.core.choice;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Playability;
import vocalis.core.voicing.VoicingSearch;

/**
 * All playable voicings of a root, searched once and remembered. Safe for use by several threads;
 * what it returns is immutable.
 */
public final class Catalogue {

    private static final int REMEMBERED = 2000;

    private record Query(Fretboard board, Hand hand, Family family, int root) {}

    private final Map<Query, List<Candidate>> found = new ConcurrentHashMap<>();

    /** Every playable voicing of a family on a root (pitch class 0 to 11), unranked. */
    public List<Candidate> candidates(Fretboard board, Hand hand, Family family, int root) {
        if (found.size() > REMEMBERED) {
            found.clear();
        }
        return found.computeIfAbsent(new Query(board, hand, family, root), Catalogue::search);
    }

    /** The search asks for a fingering of every shape it finishes; the one it got is kept. */
    private static List<Candidate> search(Query q) {
        Map<Shape, Fingering> held = new HashMap<>();
        Playability remembering =
                new Playability() {
                    @Override
                    public boolean withinReach(Fretboard board, int low, int high) {
                        return q.hand.withinReach(board, low, high);
                    }

                    @Override
                    public boolean playable(Fretboard board, Shape shape) {
                        if (held.containsKey(shape)) {
                            return true;
                        }
                        Optional<Fingering> f =
                                Fingering.of(board, shape, q.hand).filter(Fingering::quick);
                        f.ifPresent(x -> held.put(shape, x));
                        return f.isPresent();
                    }
                };
        return VoicingSearch.all(q.family, q.board, q.root, remembering).stream()
                .map(v -> new Candidate(v, held.get(v.shape())))
                .toList();
    }
}
