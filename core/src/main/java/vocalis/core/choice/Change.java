package vocalis.core.choice;

import vocalis.core.hands.Move;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.Family;

/**
 * What a change from one shape to the next costs, unitless. Two wishes pull: an easy hand (short
 * ways, fingers that stay, a register that stays) and the same tone of string (the same strings
 * sound, open or fretted alike). Weights set by hand, published in docs/figures.md.
 *
 * @param sameTone 0 for easy hands alone, 1 for the tone of the strings above all
 */
public record Change(double sameTone) {

    /** What is taken when nobody says otherwise. */
    public static final Change USUAL = new Change(0.2);

    private static final double PER_100_MM_TRAVEL = 0.9;
    private static final double PER_ANCHOR = 0.25;
    private static final int MOST_ANCHORS = 2;
    private static final double PER_SEMITONE_OF_REGISTER = 0.08;
    private static final double NOTHING_NEW = 2.0;
    private static final double PER_OTHER_STRING = 0.45;
    private static final double OPEN_BESIDE_FRETTED = 0.6;

    public Change {
        if (!(sameTone >= 0 && sameTone <= 1)) {
            throw new IllegalArgumentException(
                    "the wish for the same tone lies from 0 to 1, not at " + sameTone);
        }
    }

    /** The cost of the way from a shape to the next. */
    public double cost(Fretboard board, Shape from, Shape to, Family next) {
        double same = next == Family.SUBSTITUTE && from.equals(to) ? NOTHING_NEW : 0;
        return (1 - sameTone / 2) * hand(board, from, to) + sameTone * tone(from, to) + same;
    }

    /** What the hand has to do. */
    static double hand(Fretboard board, Shape from, Shape to) {
        int anchors = 0;
        int strings = Math.min(from.strings(), to.strings());
        int lowFrom = Integer.MAX_VALUE;
        int highFrom = Integer.MIN_VALUE;
        int lowTo = Integer.MAX_VALUE;
        int highTo = Integer.MIN_VALUE;
        for (int s = 0; s < strings; s++) {
            int a = from.fret(s);
            int b = to.fret(s);
            anchors += a > 0 && a == b ? 1 : 0;
            if (a >= 0) {
                lowFrom = Math.min(lowFrom, board.midi(s, a));
                highFrom = Math.max(highFrom, board.midi(s, a));
            }
            if (b >= 0) {
                lowTo = Math.min(lowTo, board.midi(s, b));
                highTo = Math.max(highTo, board.midi(s, b));
            }
        }
        int shift = Math.abs(lowTo - lowFrom) + Math.abs(highTo - highFrom);
        return PER_100_MM_TRAVEL * Move.travelMm(board, from, to) / 100
                - PER_ANCHOR * Math.min(MOST_ANCHORS, anchors)
                + PER_SEMITONE_OF_REGISTER * shift / 2;
    }

    /** How differently the strings sound. */
    private static double tone(Shape from, Shape to) {
        int other = 0;
        for (int s = 0; s < Math.min(from.strings(), to.strings()); s++) {
            other += from.sounds(s) != to.sounds(s) ? 1 : 0;
        }
        return PER_OTHER_STRING * other + (from.rings() != to.rings() ? OPEN_BESIDE_FRETTED : 0);
    }
}
