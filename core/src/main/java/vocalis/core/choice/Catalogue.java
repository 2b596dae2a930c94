package vocalis.core.choice;

import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.voicing.Family;
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

    private static List<Candidate> search(Query q) {
        return VoicingSearch.all(q.family.recipe(), q.board, q.root, q.hand).stream()
                .map(v -> new Candidate(v, Fingering.of(q.board, v.shape(), q.hand).orElseThrow()))
                .toList();
    }
}
