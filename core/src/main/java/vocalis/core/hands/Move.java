package vocalis.core.hands;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;

/**
 * What the hand does between two shapes, finger by finger: a string that merely sounds on the same
 * fret again is no anchor when another finger takes it.
 *
 * @param anchors fingers that stay on their string and fret
 * @param guides fingers that slide on their string to another fret
 * @param swaps strings whose fret stays but is taken by another finger
 * @param lifts fingers that leave their string
 * @param travelMm how far the lowest fretted fret moves along the neck, 0 where either shape is
 *     open
 */
public record Move(
        List<Step> anchors,
        List<Step> guides,
        List<Integer> swaps,
        List<Integer> lifts,
        double travelMm) {

    /**
     * One finger on one string.
     *
     * @param finger 1 (index) to 4 (little finger), 5 for the thumb
     * @param string string index, 0 is the lowest
     * @param from fret that it leaves
     * @param to fret that it goes to
     */
    public record Step(int finger, int string, int from, int to) {}

    public Move {
        anchors = List.copyOf(anchors);
        guides = List.copyOf(guides);
        swaps = List.copyOf(swaps);
        lifts = List.copyOf(lifts);
    }

    /** The move from one grip to the next on the same board. */
    public static Move between(
            Fretboard board, Shape from, Fingering before, Shape to, Fingering after) {
        List<Step> anchors = new ArrayList<>();
        List<Step> guides = new ArrayList<>();
        List<Integer> swaps = new ArrayList<>();
        List<Integer> busy = new ArrayList<>();
        for (int s = 0; s < from.strings() && s < to.strings(); s++) {
            int a = from.fret(s);
            int b = to.fret(s);
            if (a <= 0 || b <= 0) {
                continue;
            }
            int finger = before.fingerOn(s);
            boolean same = finger != 0 && finger == after.fingerOn(s);
            if (a == b && same) {
                anchors.add(new Step(finger, s, a, b));
            } else if (a == b) {
                swaps.add(s);
            } else if (same) {
                guides.add(new Step(finger, s, a, b));
            }
            if (same) {
                busy.add(finger);
            }
        }
        List<Integer> lifts =
                before.presses().stream()
                        .map(Fingering.Press::finger)
                        .filter(f -> !busy.contains(f))
                        .distinct()
                        .sorted()
                        .toList();
        return new Move(anchors, guides, swaps, lifts, travelMm(board, from, to));
    }

    /** Millimetres that the hand travels along the neck, 0 where either shape is open. */
    public static double travelMm(Fretboard board, Shape from, Shape to) {
        int a = from.lowestFretted();
        int b = to.lowestFretted();
        return a == 0 || b == 0 ? 0 : board.spanMm(a, b);
    }

    private static final double PER_ANCHOR = 0.6;
    private static final double PER_GUIDE = 0.3;
    private static final double PER_SWAP = 0.3;
    private static final int MOST = 2;

    /**
     * What the fingers make of a change, unitless: less for each that stays and each that slides on
     * its string, up to two of a kind, more for a finger that takes another's place. Weights set by
     * hand, published in docs/figures.md.
     */
    public double cost() {
        return PER_SWAP * swaps.size()
                - PER_ANCHOR * Math.min(MOST, fingers(anchors))
                - PER_GUIDE * Math.min(MOST, fingers(guides));
    }

    private static int fingers(List<Step> steps) {
        return (int) steps.stream().map(Step::finger).distinct().count();
    }
}
