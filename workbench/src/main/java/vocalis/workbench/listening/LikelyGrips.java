package vocalis.workbench.listening;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.sound.listen.Grip;
import vocalis.sound.listen.GripReader;
import vocalis.sound.listen.HeardNotes;

/**
 * Ranks what may be held: the shapes that players take for these notes, in their usual order, and
 * beside them any that a hand has. An octave hides in the partials of the note below it, so a shape
 * may have octaves that were not heard; the lowest note and every other that was heard it must
 * have. Weights set by hand.
 */
final class LikelyGrips {

    private static final int OFFERED = 8;

    /** How far down its family's list a shape costs as much as one note that was not heard. */
    private static final double PLACES = 8;

    private static final double PER_HIDDEN = 0.6;
    private static final double PER_LEFT_OUT = 2.5;
    private static final double UNUSUAL = 1.6;

    /** The difference in cost that makes a shape e times as likely. */
    private static final double ONE = 0.5;

    private final Fretboard board;
    private final Hand hand;
    private final Catalogue catalogue;
    private final Optional<Key> key;
    private final Map<Shape, Double> costs = new HashMap<>();

    LikelyGrips(Fretboard board, Hand hand, Catalogue catalogue, Optional<Key> key) {
        this.board = board;
        this.hand = hand;
        this.catalogue = catalogue;
        this.key = key;
    }

    /** The likeliest shapes, best first. */
    List<Grip> of(HeardNotes heard) {
        Set<Integer> notes = new HashSet<>(heard.midi());
        Set<Integer> classes = new HashSet<>(heard.pitchClasses());
        if (notes.isEmpty()) {
            return List.of();
        }
        int bass = heard.midi().get(0);
        boolean one = notes.size() == 1;
        for (Family f : one ? new Family[] {Family.OCTAVE} : Family.values()) {
            for (int root : classes) {
                Key in = key.orElseGet(() -> itsOwn(root, classes));
                int place = 0;
                for (Candidate c : catalogue.likeliest(board, hand, f, root, in)) {
                    Voicing v = c.voicing();
                    if (v.bass() == bass && classes.equals(Set.copyOf(v.pitchClasses()))) {
                        usual(v, notes, place / PLACES);
                    }
                    place++;
                }
            }
        }
        int place = 0;
        for (Grip g : GripReader.of(heard, board, hand)) {
            costs.merge(g.shape(), (one ? 0 : UNUSUAL) + place++ / 4.0, Math::min);
        }
        return ranked();
    }

    /** The key that a chord makes for itself: minor with a minor third, else major. */
    private static Key itsOwn(int root, Set<Integer> classes) {
        boolean minor = classes.contains((root + 3) % 12) && !classes.contains((root + 4) % 12);
        return Key.parse(Spelling.plain(root).ascii() + (minor ? " minor" : " major"));
    }

    private void usual(Voicing v, Set<Integer> notes, double place) {
        Set<Integer> has = new HashSet<>(v.midi());
        long hidden = has.stream().filter(m -> !notes.contains(m)).count();
        long left = notes.stream().filter(m -> !has.contains(m)).count();
        double cost = Math.min(2, place) + PER_HIDDEN * hidden + PER_LEFT_OUT * left;
        costs.merge(v.shape(), cost, Math::min);
    }

    private List<Grip> ranked() {
        List<Map.Entry<Shape, Double>> best =
                costs.entrySet().stream()
                        .sorted(
                                Comparator.comparingDouble(
                                                (Map.Entry<Shape, Double> e) -> e.getValue())
                                        .thenComparing(e -> e.getKey().text()))
                        .limit(OFFERED)
                        .toList();
        double sum = 0;
        for (Map.Entry<Shape, Double> e : best) {
            sum += Math.exp((best.get(0).getValue() - e.getValue()) / ONE);
        }
        List<Grip> grips = new ArrayList<>();
        for (Map.Entry<Shape, Double> e : best) {
            double weight = Math.exp((best.get(0).getValue() - e.getValue()) / ONE);
            grips.add(new Grip(e.getKey(), weight / sum));
        }
        return grips;
    }
}
