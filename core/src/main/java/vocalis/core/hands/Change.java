package vocalis.core.hands;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.Family;

/**
 * What a change from one shape to the next costs, unitless. Two wishes pull: an easy hand (short
 * ways, fingers that stay, a register that stays) and the same tone of string (the same strings
 * sound, open or fretted alike). Beside them a player may wish for one grip that moves, or for a
 * hand that stays in one position. Weights set by hand, published in docs/figures.md.
 *
 * @param sameTone 0 for easy hands alone, 1 for the tone of the strings above all
 * @param wish what is wished beside it
 */
public record Change(double sameTone, Wish wish) {

    /** What is wished beside easy hands and the same tone. */
    public enum Wish {
        NONE,
        /** The same grip for every root. */
        ONE_GRIP,
        /** The hand stays where it is. */
        ONE_POSITION
    }

    /** With no wish beside it. */
    public Change(double sameTone) {
        this(sameTone, Wish.NONE);
    }

    /** What is taken when nobody says otherwise. */
    public static final Change USUAL = new Change(0.2);

    private static final double PER_100_MM_TRAVEL = 0.9;
    private static final double PER_ANCHOR = 0.25;
    private static final int MOST_ANCHORS = 2;
    private static final double PER_SEMITONE_OF_REGISTER = 0.08;
    private static final double NOTHING_NEW = 2.0;
    private static final double PER_OTHER_STRING = 0.45;
    private static final double OPEN_BESIDE_FRETTED = 0.6;
    private static final double ANOTHER_GRIP = 6;
    private static final double PER_FRET_OF_POSITION = 1.5;
    private static final double OTHER_DRONES = 6;

    /** What it costs where roots move another octave than the nearest: the tune turns over. */
    private static final double PER_OCTAVE_OF_CONTOUR = 2.4;

    public Change {
        if (!(sameTone >= 0 && sameTone <= 1)) {
            throw new IllegalArgumentException(
                    "the wish for the same tone lies from 0 to 1, not at " + sameTone);
        }
    }

    /** The cost of the way from a shape to the next. */
    public double cost(Fretboard board, Shape from, Shape to, Family next) {
        double same = next == Family.SUBSTITUTE && from.equals(to) ? NOTHING_NEW : 0;
        // The strings that ring are what ties the chords of a drone riff: the same in every chord.
        same += next == Family.DRONE && opens(from) != opens(to) ? OTHER_DRONES : 0;
        same +=
                switch (wish) {
                    case NONE -> 0;
                    case ONE_GRIP -> sameGrip(from, to) ? 0 : ANOTHER_GRIP;
                    case ONE_POSITION ->
                            PER_FRET_OF_POSITION
                                    * Math.abs(from.lowestFretted() - to.lowestFretted());
                };
        return (1 - sameTone / 2) * hand(board, from, to) + sameTone * tone(from, to) + same;
    }

    /**
     * What it costs that the roots do not move as they were typed: up is up, to the nearest, where
     * they go by steps and thirds.
     *
     * @param from MIDI number of a chord's lowest root
     * @param to of the next chord's
     */
    static double contour(int from, int to) {
        int way = to - from;
        int up = Math.floorMod(way, 12);
        int off = Math.min(Math.abs(way - up), Math.abs(way - (up - 12)));
        // A third or a step is heard as going one way; a fourth up or a fifth down may be either.
        if (up < 5) {
            off = Math.abs(way - up);
        } else if (up > 7) {
            off = Math.abs(way - (up - 12));
        }
        return PER_OCTAVE_OF_CONTOUR * off / 12.0;
    }

    private static int opens(Shape shape) {
        int mask = 0;
        for (int s = 0; s < shape.strings(); s++) {
            mask |= shape.fret(s) == 0 ? 1 << s : 0;
        }
        return mask;
    }

    /** Whether two shapes are one grip, on whatever strings and frets. */
    private static boolean sameGrip(Shape a, Shape b) {
        return grip(a).equals(grip(b));
    }

    /** Frets above the lowest one, from the lowest sounded string to the highest. */
    private static List<Integer> grip(Shape shape) {
        List<Integer> all = new ArrayList<>();
        int base = shape.lowestFretted();
        int last = -1;
        for (int s = 0; s < shape.strings(); s++) {
            if (shape.sounds(s)) {
                for (int silent = last + 1; last >= 0 && silent < s; silent++) {
                    all.add(Shape.SILENT);
                }
                // An open string is none of the grip's own frets.
                all.add(shape.fret(s) == 0 && base > 0 ? 100 : shape.fret(s) - base);
                last = s;
            }
        }
        return all;
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
        return PER_OTHER_STRING * from.otherStrings(to)
                + (from.rings() != to.rings() ? OPEN_BESIDE_FRETTED : 0);
    }
}
