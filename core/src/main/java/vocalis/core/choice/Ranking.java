package vocalis.core.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vocalis.core.hands.Move;
import vocalis.core.instrument.Shape;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.ShapeClass;

/**
 * Orders candidates: easiest and nearest first, the usual thickness preferred, then grouped by
 * shape class and spread over the neck so that the first few differ. The weights are set by hand
 * and published in docs/figures.md.
 */
public final class Ranking {

    private static final double PER_VOICE_OFF_USUAL = 0.9;
    private static final double FIFTH_UNDER_TRIAD = 0.8;
    private static final double PER_NOTE_OUTSIDE = 1.2;
    private static final double PER_100_MM_TRAVEL = 0.9;
    private static final double PER_ANCHOR = 0.25;
    private static final double PER_SEMITONE_OF_REGISTER = 0.08;
    private static final double PER_FRET = 0.05;
    private static final double PER_FRET_PAST_NINE = 0.1;
    private static final double PER_STRING_FROM_LOWEST = 0.15;
    private static final double PER_OPEN_STRING = 0.3;
    private static final double OPEN_BESIDE_FRETTED = 0.35;
    private static final double SAME_STRINGS = 0.8;
    private static final double SAME_POSITION = 0.3;
    private static final int SPREAD = 24;

    private final Family family;
    private final boolean[] inScale = new boolean[12];
    private final List<Shape> neighbours;

    /**
     * @param family whose usual thickness counts
     * @param neighbours shapes before and after, to which the hand should stay near; may be empty
     * @param key whose scale the notes should be in
     */
    public Ranking(Family family, List<Shape> neighbours, Key key) {
        for (int pc = 0; pc < 12; pc++) {
            inScale[pc] = key.contains(pc);
        }
        this.family = family;
        this.neighbours = List.copyOf(neighbours);
    }

    /** The cost of a candidate, unitless; less is better. */
    public double cost(Candidate c) {
        Shape shape = c.voicing().shape();
        double cost = c.fingering().effort();
        cost += PER_VOICE_OFF_USUAL * Math.abs(c.voicing().voices() - family.usualVoices());
        cost += PER_FRET * c.position() + PER_FRET_PAST_NINE * Math.max(0, c.position() - 9);
        cost += PER_STRING_FROM_LOWEST * c.lowString();
        int open = 0;
        int outside = 0;
        for (int string = 0; string < shape.strings(); string++) {
            int fret = shape.fret(string);
            if (fret >= 0) {
                open += fret == 0 ? 1 : 0;
                outside |=
                        inScale[c.voicing().board().midi(string, fret) % 12]
                                ? 0
                                : 1 << c.voicing().board().midi(string, fret) % 12;
            }
        }
        if (family == Family.TRIAD
                && Math.floorMod(c.voicing().bass() - c.voicing().root(), 12) == 7) {
            cost -= FIFTH_UNDER_TRIAD;
        }
        cost += PER_NOTE_OUTSIDE * Integer.bitCount(outside);
        cost += PER_OPEN_STRING * open;
        if (open > 0 && shape.highestFretted() > 4) {
            cost += OPEN_BESIDE_FRETTED * (shape.highestFretted() - 4);
        }
        for (Shape n : neighbours) {
            Move move = Move.between(c.voicing().board(), n, shape);
            cost += PER_100_MM_TRAVEL * move.travelMm() / 100 / neighbours.size();
            cost -= PER_ANCHOR * move.anchors().size() / neighbours.size();
            int[] there = register(c, n);
            int[] here = register(c, shape);
            int shift = Math.abs(here[0] - there[0]) + Math.abs(here[1] - there[1]);
            cost += PER_SEMITONE_OF_REGISTER * shift / 2 / neighbours.size();
        }
        return cost;
    }

    /** A candidate with its cost, reckoned once. */
    private record Priced(Candidate candidate, double cost, String shape) {}

    private List<Priced> priced(List<Candidate> candidates) {
        List<Priced> all = new ArrayList<>(candidates.size());
        for (Candidate c : candidates) {
            all.add(new Priced(c, cost(c), c.voicing().shape().text()));
        }
        all.sort(Comparator.comparingDouble(Priced::cost).thenComparing(Priced::shape));
        return all;
    }

    /** The candidate with the least cost. */
    public Optional<Candidate> best(List<Candidate> candidates) {
        Candidate best = null;
        double least = Double.POSITIVE_INFINITY;
        for (Candidate c : candidates) {
            double cost = cost(c);
            boolean better =
                    cost < least
                            || cost == least && best != null && shape(c).compareTo(shape(best)) < 0;
            if (better) {
                least = cost;
                best = c;
            }
        }
        return Optional.ofNullable(best);
    }

    private static String shape(Candidate c) {
        return c.voicing().shape().text();
    }

    /** Cards, best and most different first: one per shape class, each with its places. */
    public List<Card> cards(List<Candidate> candidates) {
        Map<ShapeClass, List<Candidate>> groups = new LinkedHashMap<>();
        for (Priced p : priced(candidates)) {
            Candidate c = p.candidate();
            groups.computeIfAbsent(c.voicing().shapeClass(), k -> new ArrayList<>()).add(c);
        }
        return spread(
                groups.entrySet().stream().map(e -> new Card(e.getKey(), e.getValue())).toList());
    }

    /** A card on offer: what it costs now, the strings it uses as bits, where it lies. */
    private static final class Offered {
        final Card card;
        final int strings;
        final int position;
        double cost;

        Offered(Card card, double cost) {
            this.card = card;
            this.cost = cost;
            this.position = card.first().position();
            int bits = 0;
            Shape shape = card.first().voicing().shape();
            for (int s = 0; s < shape.strings(); s++) {
                bits |= shape.sounds(s) ? 1 << s : 0;
            }
            this.strings = bits;
        }

        /** The charge for what a card before it already shows. */
        double likeness(Offered shown) {
            double charge = strings == shown.strings ? SAME_STRINGS : 0;
            return Math.abs(position - shown.position) <= 2 ? charge + SAME_POSITION : charge;
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
                o.cost += o.likeness(next);
            }
        }
        rest.forEach(o -> out.add(o.card));
        return List.copyOf(out);
    }

    /** Lowest and highest MIDI number of a shape. */
    private static int[] register(Candidate c, Shape shape) {
        int low = Integer.MAX_VALUE;
        int high = Integer.MIN_VALUE;
        for (int s : shape.sounded()) {
            int midi = c.voicing().board().midi(s, shape.fret(s));
            low = Math.min(low, midi);
            high = Math.max(high, midi);
        }
        return new int[] {low, high};
    }
}
