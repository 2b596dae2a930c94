package vocalis.core.hands;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;

/**
 * What the hand does between two shapes.
 *
 * @param anchors strings whose fretted note stays as it is
 * @param guides strings on which one finger slides to another fret
 * @param travelMm how far the lowest fretted fret moves along the neck, 0 where either shape is
 *     open
 */
public record Move(List<Integer> anchors, List<Integer> guides, double travelMm) {

    public Move {
        anchors = List.copyOf(anchors);
        guides = List.copyOf(guides);
    }

    /** The move from one shape to the next on the same board. */
    public static Move between(Fretboard board, Shape from, Shape to) {
        List<Integer> anchors = new ArrayList<>();
        List<Integer> guides = new ArrayList<>();
        for (int s = 0; s < from.strings() && s < to.strings(); s++) {
            if (from.fret(s) > 0 && from.fret(s) == to.fret(s)) {
                anchors.add(s);
            } else if (from.fret(s) > 0 && to.fret(s) > 0) {
                guides.add(s);
            }
        }
        return new Move(anchors, guides, travelMm(board, from, to));
    }

    /** Millimetres that the hand travels along the neck, 0 where either shape is open. */
    public static double travelMm(Fretboard board, Shape from, Shape to) {
        int a = from.lowestFretted();
        int b = to.lowestFretted();
        return a == 0 || b == 0 ? 0 : board.spanMm(a, b);
    }
}
