package vocalis.core.derive;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Filter;
import vocalis.core.hands.Change;
import vocalis.core.hands.Hand;
import vocalis.core.hands.Move;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Riff;

/**
 * A way of the hand through a riff, in figures, the loop's seam included.
 *
 * @param riff the riff that goes this way
 * @param shapes what is held, chord by chord
 * @param travelMm how far the hand goes along the neck in one round
 * @param hardest index of the chord whose change to the next is farthest
 * @param hardestMm how far that is
 * @param otherStrings how many strings begin or cease to sound, over all changes
 * @param effort of the shapes, averaged
 */
public record HandPath(
        Riff riff,
        List<Shape> shapes,
        double travelMm,
        int hardest,
        double hardestMm,
        int otherStrings,
        double effort) {

    /** The ways that are offered. */
    public enum Kind {
        EASY_HANDS(new Change(0)),
        BETWEEN(new Change(0.5)),
        SAME_TONE(new Change(1)),
        ONE_GRIP(new Change(0.2, Change.Wish.ONE_GRIP)),
        ONE_POSITION(new Change(0.2, Change.Wish.ONE_POSITION));

        private final Change change;

        Kind(Change change) {
            this.change = change;
        }
    }

    /** The way that a riff goes. */
    public static HandPath of(Derived derived) {
        Fretboard board = derived.riff().ground().board();
        List<Derived.Chord> chords = derived.chords();
        double travel = 0;
        double most = 0;
        int hardest = 0;
        int other = 0;
        double effort = 0;
        for (int i = 0; i < chords.size(); i++) {
            Shape a = chords.get(i).candidate().voicing().shape();
            Shape b = chords.get((i + 1) % chords.size()).candidate().voicing().shape();
            double mm = Move.travelMm(board, a, b);
            travel += mm;
            effort += Math.min(20, chords.get(i).candidate().fingering().effort());
            if (mm > most) {
                most = mm;
                hardest = i;
            }
            other += a.otherStrings(b);
        }
        return new HandPath(
                derived.riff(),
                chords.stream().map(c -> c.candidate().voicing().shape()).toList(),
                travel,
                hardest,
                most,
                other,
                effort / Math.max(1, chords.size()));
    }

    /**
     * Ways for a riff, in the order of {@link Kind}: for easy hands, between, for the same tone of
     * the strings, with one grip for all roots, in one position. Chords whose shape was chosen keep
     * it; the others keep to what a filter lets through.
     */
    public static List<HandPath> offered(Riff riff, Hand hand, Catalogue catalogue, Filter filter) {
        Deriver deriver = new Deriver(catalogue);
        List<HandPath> all = new ArrayList<>();
        for (Kind kind : Kind.values()) {
            Riff laid = deriver.laid(riff, hand, kind.change, filter);
            all.add(of(deriver.derive(laid, hand)));
        }
        return all;
    }
}
