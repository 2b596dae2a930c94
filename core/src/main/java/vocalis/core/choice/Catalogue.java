package vocalis.core.choice;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.memory.Memory;
import vocalis.core.names.HeardRoot;
import vocalis.core.theory.Key;
import vocalis.core.voicing.BareVoicing;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.OpenPosition;

/**
 * All playable voicings of a root, searched once and remembered. Safe for use by several threads;
 * what it returns is immutable.
 */
public final class Catalogue {

    /**
     * Candidates remembered of whole lists, about 400 bytes each: twenty lists of a middle size,
     * three of the longest. All lists of a neck come to 800,000, of seven strings to twice as many.
     */
    private static final int FOUND = 150_000;

    /** Of those that lead: a neck's twelve roots and nine families come to 150,000 to 182,000. */
    private static final int LED = 200_000;

    /** Of the likeliest in a key: a neck's come to 19,000, so those of five keys stay. */
    private static final int LIKED = 100_000;

    /** How many of each position lead: enough for every card that is looked at. */
    private static final int LEADING = 120;

    /** How many of each position a choice in a key is made among: no chooser looks at more. */
    private static final int LIKELIEST = 10;

    /** Necks whose grips are remembered, each with a hand: the player's, and one beside it. */
    private static final int NECKS = 2;

    private record Query(Fretboard board, Hand hand, Family family, int root) {}

    private record Held(Fretboard board, Hand hand) {}

    private final Memory<Held, Families> necks = new Memory<>(NECKS);

    private record Asked(Query query, Key key) {}

    /** Best first by effort and by what the family is for. */
    private final Memory<Query, List<Candidate>> all = new Memory<>(FOUND, List::size);

    /** The first of each position: few enough that those of all twelve roots stay. */
    private final Memory<Query, List<Candidate>> leading = new Memory<>(LED, List::size);

    /** The first few of each position in a key. */
    private final Memory<Asked, List<Candidate>> likeliest = new Memory<>(LIKED, List::size);

    /**
     * Every playable voicing of a family on a root (pitch class 0 to 11), best first by effort and
     * by what the family is for.
     */
    public List<Candidate> candidates(Fretboard board, Hand hand, Family family, int root) {
        Query q = new Query(board, hand, family, root);
        return all.get(q)
                .orElseGet(
                        () -> {
                            List<Candidate> found = found(q, Integer.MAX_VALUE);
                            all.put(q, found);
                            leading.put(q, leading(found));
                            return found;
                        });
    }

    /** Those among which a choice beside neighbours is made: the first of each position. */
    public List<Candidate> leading(Fretboard board, Hand hand, Family family, int root) {
        Query q = new Query(board, hand, family, root);
        return leading.get(q)
                .orElseGet(
                        () -> {
                            List<Candidate> found = found(q, LEADING);
                            leading.put(q, found);
                            return found;
                        });
    }

    /**
     * The likeliest ten of each position in a key, best first: among all, not among those that lead
     * in any key.
     */
    public List<Candidate> likeliest(Fretboard board, Hand hand, Family family, int root, Key key) {
        Asked asked = new Asked(new Query(board, hand, family, root), key);
        return likeliest
                .get(asked)
                .orElseGet(
                        () -> {
                            VoicingSearch.Role role = new Ranking(family, List.of(), key).role();
                            List<Candidate> found =
                                    search(board, hand, family).bestFirst(root, LIKELIEST, role);
                            likeliest.put(asked, found);
                            return found;
                        });
    }

    /** Finds what a hand can do on a neck, as the first question about it would. */
    public void prepare(Fretboard board, Hand hand) {
        // What needs most of the neck first: the others find theirs in it.
        search(board, hand, Family.EXTENDED);
        for (Family family : Family.values()) {
            search(board, hand, family);
        }
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

    private List<Candidate> found(Query q, int most) {
        return search(q.board, q.hand, q.family).bestFirst(q.root, most);
    }

    private VoicingSearch search(Fretboard board, Hand hand, Family family) {
        return families(board, hand).search(family);
    }

    /** One for all who ask: what a neck offers is found under its own lock. */
    private synchronized Families families(Fretboard board, Hand hand) {
        return necks.of(new Held(board, hand), h -> new Families(h.board, h.hand));
    }

    /** What a hand holds on a neck, found once for all roots. */
    private static final class Families {

        /**
         * What families of few notes need of a neck is found soon, the rest when it is asked for;
         * each of these sets is in the next.
         */
        private static final List<Set<Family>> WIDER =
                List.of(
                        EnumSet.of(Family.POWER, Family.FOURTH, Family.THIRD, Family.OCTAVE),
                        EnumSet.complementOf(
                                EnumSet.of(Family.SUSPENDED, Family.EXTENDED, Family.SUBSTITUTE)),
                        EnumSet.allOf(Family.class));

        private final Fretboard board;
        private final Hand hand;
        private final Neck[] necks = new Neck[WIDER.size()];
        private final Map<Family, VoicingSearch> searches = new EnumMap<>(Family.class);

        Families(Fretboard board, Hand hand) {
            this.board = board;
            this.hand = hand;
        }

        synchronized VoicingSearch search(Family family) {
            return searches.computeIfAbsent(
                    family,
                    f -> {
                        Neck neck = neck(f);
                        boolean knownRings = KnownForms.rings(neck.open(), OpenPosition.LAST_FRET);
                        return new VoicingSearch(neck, f.recipes(), new Charge(f, knownRings));
                    });
        }

        /** A neck that is known and has what a family needs, or the least such. */
        private Neck neck(Family family) {
            int least = 0;
            while (!WIDER.get(least).contains(family)) {
                least++;
            }
            for (int i = least; i < necks.length; i++) {
                if (necks[i] != null) {
                    return necks[i];
                }
            }
            necks[least] = Neck.of(board, hand, wanted(WIDER.get(least)));
            return necks[least];
        }

        private static boolean[] wanted(Set<Family> families) {
            return VoicingSearch.wanted(
                    families.stream().flatMap(f -> f.recipes().stream()).toList());
        }
    }

    /** What a family charges: what it is for, and that its root is heard. */
    private record Charge(Family family, boolean knownRings) implements VoicingSearch.Charge {
        @Override
        public double of(BareVoicing laid) {
            return Purpose.charge(family, laid) + HeardRoot.behind(laid);
        }

        @Override
        public double leastPastOpenPosition() {
            return Purpose.leastPastOpenPosition(family, knownRings);
        }
    }
}
