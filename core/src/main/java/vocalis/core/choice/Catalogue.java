package vocalis.core.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.harmony.HeardRoot;
import vocalis.core.instrument.Fretboard;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.core.voicing.VoicingSearch;

/**
 * All playable voicings of a root, searched once and remembered. Safe for use by several threads;
 * what it returns is immutable.
 */
public final class Catalogue {

    /** Candidates remembered on each shelf; one takes about 400 bytes. */
    private static final int REMEMBERED = 300_000;

    /** How many of each position lead: enough for every card that is looked at. */
    private static final int LEADING = 120;

    private record Query(Fretboard board, Hand hand, Family family, int root) {}

    /** Best first by effort and by what the family is for. */
    private final Shelf all = new Shelf();

    /** The first of each position: few enough that those of all twelve roots stay. */
    private final Shelf leading = new Shelf();

    /**
     * Every playable voicing of a family on a root (pitch class 0 to 11), best first by effort and
     * by what the family is for.
     */
    public List<Candidate> candidates(Fretboard board, Hand hand, Family family, int root) {
        Query q = new Query(board, hand, family, root);
        return all.get(q).orElseGet(() -> searched(q));
    }

    /** Those among which a choice beside neighbours is made: the first of each position. */
    public List<Candidate> leading(Fretboard board, Hand hand, Family family, int root) {
        Query q = new Query(board, hand, family, root);
        return leading.get(q).orElseGet(() -> leading(searched(q)));
    }

    /** The first of each position of candidates that come best first. */
    public static List<Candidate> leading(List<Candidate> bestFirst) {
        int[] taken = new int[64];
        List<Candidate> out = new ArrayList<>();
        for (Candidate c : bestFirst) {
            int at = Math.min(c.position(), taken.length - 1);
            if (taken[at]++ < LEADING) {
                out.add(c);
            }
        }
        return List.copyOf(out);
    }

    private List<Candidate> searched(Query q) {
        List<Candidate> found = search(q);
        all.put(q, found);
        leading.put(q, leading(found));
        return found;
    }

    /** Answers remembered, those not asked for longest given up first. */
    private static final class Shelf {
        private final Map<Query, List<Candidate>> found = new LinkedHashMap<>(64, 0.75f, true);
        private int remembered;

        synchronized Optional<List<Candidate>> get(Query q) {
            return Optional.ofNullable(found.get(q));
        }

        synchronized void put(Query q, List<Candidate> candidates) {
            if (found.put(q, candidates) == null) {
                remembered += candidates.size();
            }
            Iterator<List<Candidate>> oldest = found.values().iterator();
            while (remembered > REMEMBERED && found.size() > 1) {
                remembered -= oldest.next().size();
                oldest.remove();
            }
        }
    }

    private static List<Candidate> search(Query q) {
        return VoicingSearch.all(
                        q.family,
                        q.board,
                        q.root,
                        q.hand,
                        v ->
                                Fingering.of(q.board, v.shape(), q.hand)
                                        .filter(Fingering::quick)
                                        .map(f -> Weighed.of(candidate(q.family, v, f))))
                .parallelStream()
                .sorted(BEST_FIRST)
                .map(Weighed::candidate)
                .toList();
    }

    /** A candidate with its cost, reckoned once, and its place among equal ones. */
    private record Weighed(Candidate candidate, double cost, long order) {
        static Weighed of(Candidate c) {
            return new Weighed(c, Ranking.alone(c), c.voicing().shape().textOrder());
        }
    }

    private static final Comparator<Weighed> BEST_FIRST =
            Comparator.comparingDouble(Weighed::cost).thenComparingLong(Weighed::order);

    private static Candidate candidate(Family family, Voicing v, Fingering f) {
        return new Candidate(v, f, Purpose.charge(family, v) + HeardRoot.behind(v));
    }
}
