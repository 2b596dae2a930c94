package vocalis.core.riff;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Change;
import vocalis.core.hands.Hand;
import vocalis.core.hands.Move;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;

/**
 * A way of the hand through a riff, in figures, the loop's seam included.
 *
 * @param riff the riff that goes this way
 * @param travelMm how far the hand goes along the neck in one round
 * @param hardest index of the chord whose change to the next is farthest
 * @param hardestMm how far that is
 * @param otherStrings how many strings begin or cease to sound, over all changes
 * @param effort of the shapes, averaged
 */
public record Way(
        Riff riff,
        double travelMm,
        int hardest,
        double hardestMm,
        int otherStrings,
        double effort) {

    private static final double[] WISHES = {0, 0.5, 1};

    /** The way that a riff goes. */
    public static Way of(Derived derived) {
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
            for (int s = 0; s < a.strings(); s++) {
                other += a.sounds(s) != b.sounds(s) ? 1 : 0;
            }
        }
        return new Way(
                derived.riff(), travel, hardest, most, other, effort / Math.max(1, chords.size()));
    }

    /**
     * Three ways for a riff: for easy hands, between, and for the same tone of the strings. Chords
     * whose shape was chosen keep it.
     */
    public static List<Way> offered(Riff riff, Hand hand, Catalogue catalogue) {
        Deriver deriver = new Deriver(catalogue);
        List<Way> all = new ArrayList<>();
        for (double wish : WISHES) {
            Riff laid = deriver.laid(riff, hand, new Change(wish));
            all.add(of(deriver.derive(laid, hand)));
        }
        return all;
    }
}
