package vocalis.core.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import vocalis.core.hands.Change;
import vocalis.core.instrument.Shape;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.ShapeClass;
import vocalis.core.voicing.Voicing;

/**
 * Orders candidates: what the family is for ({@link Purpose}), easiest and nearest first, by their
 * place in the key; then grouped by shape class and spread over the neck so that the first few
 * differ. The weights are set by hand and published in docs/figures.md.
 */
public final class Ranking {

    private static final double PER_NOTE_OUTSIDE = 3.6;
    private static final double DOMINANT_ON_FIVE = 0.8;
    private static final double TRITONE_ON_FIVE = 1.0;
    private static final double PER_FRET = 0.05;
    private static final double PER_FRET_PAST_NINE = 0.25;

    /** Past the tenth fret most shapes reach over the twelfth, where riffs do not live. */
    private static final double PER_FRET_PAST_TEN = 0.6;

    private static final double PER_STRING_FROM_LOWEST = 0.2;
    private static final double EFFORT = 0.45;
    private static final double EASY_ENOUGH = 1.5;
    private static final double SAME_NOTES = 0.45;
    private static final int MOST_ALIKE = 3;
    private static final int MOST_NEAR = 2;
    private static final double SAME_PLACE = 0.5;
    private static final double SAME_STRINGS = 0.3;
    private static final int SPREAD = 24;

    private final Family family;

    /** For every root the degrees above it that the scale has. */
    private final int[] inScale = new int[12];

    private final int tonic;
    private final List<Shape> neighbours;
    private final VoicingSearch.Role role = new InKey();

    /**
     * @param family what is chosen from
     * @param neighbours shapes before and after, to which the hand should stay near; may be empty
     * @param key whose scale the notes should be in
     */
    public Ranking(Family family, List<Shape> neighbours, Key key) {
        this.family = family;
        for (int root = 0; root < 12; root++) {
            inScale[root] = key.pitchClasses().above(root).bits();
        }
        this.tonic = key.tonic().pitchClass();
        this.neighbours = List.copyOf(neighbours);
    }

    private static double alone(Candidate c) {
        return alone(c.charge(), c.effort(), c.position(), c.lowString());
    }

    /** The cost of a candidate without key and neighbours, unitless; less is better. */
    static double alone(double charge, double effort, int position, int lowString) {
        return charge
                + EFFORT * Math.max(EASY_ENOUGH, effort)
                + PER_FRET * position
                + PER_FRET_PAST_NINE * Math.max(0, position - 9)
                + PER_FRET_PAST_TEN * Math.max(0, position - 10)
                + PER_STRING_FROM_LOWEST * lowString;
    }

    /** The cost of a candidate, unitless; less is better. */
    public double cost(Candidate c) {
        Shape shape = c.voicing().shape();
        double cost = alone(c) + role(c.voicing());
        for (Shape n : neighbours) {
            Change way = new Change(0);
            cost += way.cost(c.voicing().board(), n, shape, family) / neighbours.size();
        }
        return cost;
    }

    private double role(Voicing v) {
        int degrees = 0;
        for (int string = 0; string < v.shape().strings(); string++) {
            int fret = v.shape().fret(string);
            degrees |= fret < 0 ? 0 : 1 << (v.board().midi(string, fret) + 12 - v.root()) % 12;
        }
        return role.of(degrees, v.root());
    }

    /** What a chord's place in the key asks. */
    VoicingSearch.Role role() {
        return role;
    }

    /**
     * Notes of the scale are asked for; on the fifth degree a dominant, its third included, and
     * what stands in for one.
     */
    private final class InKey implements VoicingSearch.Role {
        @Override
        public double of(int degrees, int root) {
            boolean onFive = (root + 5) % 12 == tonic;
            int count = Integer.bitCount(outside(degrees, root));
            if (family == Family.SUBSTITUTE) {
                boolean tritone = (degrees >> 6 & 1) != 0;
                double leads = onFive ? -TRITONE_ON_FIVE : TRITONE_ON_FIVE;
                return (tritone ? leads : 0) + PER_NOTE_OUTSIDE / 2 * count;
            }
            boolean third = (degrees >> 4 & 1) != 0;
            boolean seventh = (degrees >> 10 & 1) != 0;
            boolean dominant = onFive && third && seventh && family == Family.EXTENDED;
            return (dominant ? -DOMINANT_ON_FIVE : 0) + PER_NOTE_OUTSIDE * count;
        }

        @Override
        public double least(int degrees, int root) {
            double each = family == Family.SUBSTITUTE ? PER_NOTE_OUTSIDE / 2 : PER_NOTE_OUTSIDE;
            double most = Math.max(TRITONE_ON_FIVE, DOMINANT_ON_FIVE);
            return each * Integer.bitCount(outside(degrees, root)) - most;
        }
    }

    /** Which degrees are charged as outside the key. */
    private int outside(int degrees, int root) {
        int outside = degrees & ~inScale[root];
        boolean onFive = (root + 5) % 12 == tonic;
        if (!onFive) {
            return outside;
        }
        // A dominant leads by its third, and a tritone away by its root: neither is a surprise.
        return outside & (family == Family.SUBSTITUTE ? ~(1 << 4 | 1 << 6) : ~(1 << 4));
    }

    /** A candidate with its cost, reckoned once. */
    private record Priced(Candidate candidate, double cost, long order) {}

    private List<Priced> priced(List<Candidate> candidates) {
        List<Priced> all = new ArrayList<>(candidates.size());
        for (Candidate c : candidates) {
            all.add(new Priced(c, cost(c), order(c)));
        }
        all.sort(Comparator.comparingDouble(Priced::cost).thenComparingLong(Priced::order));
        return all;
    }

    /** Candidates with the least cost first. */
    public List<Candidate> ordered(List<Candidate> candidates) {
        return priced(candidates).stream().map(Priced::candidate).toList();
    }

    private static long order(Candidate c) {
        return c.voicing().shape().textOrder();
    }

    /** Cards, best and most different first: one per shape class, each with its places. */
    public List<Card> cards(List<Candidate> candidates) {
        Map<ShapeClass, List<Candidate>> groups = new LinkedHashMap<>();
        for (Priced p : priced(candidates)) {
            Candidate c = p.candidate();
            groups.computeIfAbsent(ShapeClass.of(c.voicing()), k -> new ArrayList<>()).add(c);
        }
        return spread(
                groups.entrySet().stream().map(e -> new Card(e.getKey(), e.getValue())).toList());
    }

    /** A card on offer: what it costs now, the strings it uses as bits, where it lies. */
    private static final class Offered {
        final Card card;
        final int strings;
        final int notes;
        final int position;
        final boolean opens;
        final boolean known;
        double cost;
        private int near;
        private int alike;
        private boolean sameStrings;

        Offered(Card card, double cost) {
            this.card = card;
            this.cost = cost;
            this.position = card.first().position();
            int bits = 0;
            int sounding = 0;
            Shape shape = card.first().voicing().shape();
            for (int s = 0; s < shape.strings(); s++) {
                if (shape.sounds(s)) {
                    bits |= 1 << s;
                    sounding |= 1 << card.first().voicing().board().midi(s, shape.fret(s)) % 12;
                }
            }
            this.strings = bits;
            // With or without its fifth a chord is of one kind.
            this.notes = sounding & ~(1 << (card.first().voicing().root() + 7) % 12);
            this.opens = shape.rings();
            this.known = KnownForms.has(card.first().voicing().laid());
        }

        /**
         * Charges what a card before it already shows: the same kind of chord, from the second on
         * and up to a bound; more where it lies in the same place, with open strings or without,
         * unless it is a form that players know by heart; once, one on the same strings.
         */
        void charge(Offered shown) {
            if (notes == shown.notes) {
                boolean here = Math.abs(position - shown.position) <= 1 && opens == shown.opens;
                near += here && !known ? 1 : 0;
                alike++;
                cost += here && !known && near <= MOST_NEAR ? SAME_PLACE : 0;
                cost += alike > 1 && alike <= MOST_ALIKE ? SAME_NOTES : 0;
            }
            if (strings == shown.strings && !sameStrings) {
                sameStrings = true;
                cost += SAME_STRINGS;
            }
        }
    }

    /** Takes the next card by its cost plus a charge for what the cards before it already show. */
    private List<Card> spread(List<Card> cards) {
        List<Offered> rest = new ArrayList<>();
        cards.forEach(c -> rest.add(new Offered(c, cost(c.first()))));
        List<Card> out = new ArrayList<>();
        while (!rest.isEmpty() && out.size() < SPREAD) {
            Offered next = rest.get(0);
            for (Offered o : rest) {
                next = o.cost < next.cost ? o : next;
            }
            rest.remove(next);
            out.add(next.card);
            for (Offered o : rest) {
                o.charge(next);
            }
        }
        rest.forEach(o -> out.add(o.card));
        return List.copyOf(out);
    }
}
