package vocalis.core.hands;

import java.util.Arrays;
import java.util.List;
import vocalis.core.hands.Fingering.Effort;
import vocalis.core.hands.Fingering.Press;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;

/**
 * Cuts one shape into runs that a finger can hold, in every way, tries every choice of fingers on
 * them and keeps the easiest.
 */
final class FingerSearch {

    private static final double PER_FINGER = 0.6;
    private static final double PER_BARRE = 0.3;
    private static final double BARRE_NOT_INDEX = 1.2;
    private static final double OFF_ITS_FRET = 0.45;
    private static final double LITTLE_FINGER = 0.15;
    private static final double INDEX_FREE = 0.3;
    private static final double RINGS_INSIDE = 0.5;
    private static final double BARRE_BESIDE_RINGING = 0.9;

    private final Fretboard board;
    private final Hand hand;
    private final double silences;
    private final double ease;
    private final double reach;
    private final List<Press> staying;
    private final Shape shape;
    private final int[] runFret = new int[4];
    private final int[] runLow = new int[4];
    private final int[] runHigh = new int[4];
    private int[] fingers;
    private int runs;

    // The easiest so far: its effort with its parts, and its presses.
    private double least = Double.POSITIVE_INFINITY;
    private double down;
    private double barres;
    private double spread;
    private double ringing;
    private final Press[] presses = new Press[4];
    private int pressed;

    /** For every number of runs, the fingers that they may be given, ascending. */
    private static final int[][][] CHOICES = {
        {},
        {{1}, {2}, {3}, {4}},
        {{1, 2}, {1, 3}, {2, 3}, {1, 4}, {2, 4}, {3, 4}},
        {{1, 2, 3}, {1, 2, 4}, {1, 3, 4}, {2, 3, 4}},
        {{1, 2, 3, 4}}
    };

    /**
     * @param silences effort of strings kept quiet inside
     * @param ease effort of the reach
     * @param reach distance between the outermost fretted frets in mm
     * @param staying presses that must be among the answer's
     */
    FingerSearch(
            Fretboard board,
            Shape shape,
            Hand hand,
            double silences,
            double ease,
            double reach,
            List<Press> staying) {
        this.board = board;
        this.shape = shape;
        this.hand = hand;
        this.silences = silences;
        this.staying = staying;
        this.ease = ease;
        this.reach = reach;
    }

    /** The easiest fingering; null where four fingers cannot hold the shape. */
    Fingering best() {
        cut(shape.lowestFretted(), 0);
        if (least == Double.POSITIVE_INFINITY) {
            return null;
        }
        return new Fingering(
                List.of(Arrays.copyOf(presses, pressed)),
                new Effort(down, barres, spread, ease, silences, ringing, 0),
                reach);
    }

    /** Cuts the strings from one up at a fret, and then the frets above, into runs. */
    private void cut(int fret, int from) {
        int string = from;
        while (string < shape.strings() && shape.fret(string) != fret) {
            string++;
        }
        if (string == shape.strings()) {
            int next = nextFret(fret);
            if (next == 0) {
                tryRuns();
            } else {
                cut(next, 0);
            }
            return;
        }
        if (runs == 4) {
            return;
        }
        int run = runs++;
        runFret[run] = fret;
        runLow[run] = string;
        for (int to = string; to < shape.strings() && shape.fret(to) >= fret; to++) {
            if (shape.fret(to) == fret) {
                runHigh[run] = to;
                cut(fret, to + 1);
            }
        }
        runs--;
    }

    /** The next fret up that is held; 0 where there is none. */
    private int nextFret(int above) {
        int next = 0;
        for (int s = 0; s < shape.strings(); s++) {
            int fret = shape.fret(s);
            next = fret > above && (next == 0 || fret < next) ? fret : next;
        }
        return next;
    }

    private void tryRuns() {
        double rings = ringing();
        for (int[] choice : CHOICES[runs]) {
            fingers = choice;
            if (possible() && pairsReach() && stays()) {
                weigh(rings);
            }
        }
    }

    private boolean barre(int run) {
        return runHigh[run] > runLow[run];
    }

    /** A barre with another fret inside it needs the index finger. */
    private boolean possible() {
        for (int p = 0; p < runs; p++) {
            for (int q = 0; q < runs; q++) {
                boolean crossed = runLow[q] > runLow[p] && runLow[q] < runHigh[p];
                if (barre(p) && crossed && fingers[p] != 1) {
                    return false;
                }
            }
        }
        return true;
    }

    /** Every two fingers reach as far apart as they lie. */
    private boolean pairsReach() {
        for (int i = 0; i < runs; i++) {
            for (int j = i + 1; j < runs; j++) {
                double apart = board.spanMm(runFret[i], runFret[j]);
                if (apart > hand.limitMm(fingers[i], fingers[j])) {
                    return false;
                }
            }
        }
        return true;
    }

    private boolean stays() {
        for (Press p : staying) {
            boolean there = false;
            for (int run = 0; run < runs; run++) {
                there |= press(run).equals(p);
            }
            if (!there) {
                return false;
            }
        }
        return true;
    }

    private Press press(int run) {
        return Press.of(fingers[run], runFret[run], runLow[run], runHigh[run]);
    }

    /** Open strings between held ones, and beside a barre. */
    private double ringing() {
        int low = shape.strings();
        int high = -1;
        for (int run = 0; run < runs; run++) {
            low = Math.min(low, runLow[run]);
            high = Math.max(high, runHigh[run]);
        }
        double sum = 0;
        for (int s = low + 1; s < shape.strings(); s++) {
            if (shape.fret(s) == 0) {
                sum += s < high ? RINGS_INSIDE : 0;
                for (int run = 0; run < runs; run++) {
                    sum += barre(run) && s == runHigh[run] + 1 ? BARRE_BESIDE_RINGING : 0;
                }
            }
        }
        return sum;
    }

    /** Reckons the effort of what is tried, and keeps it where it is the least so far. */
    private void weigh(double rings) {
        double fingersDown = PER_FINGER * runs;
        double laid = 0;
        double off = 0;
        for (int i = 0; i < runs; i++) {
            if (barre(i)) {
                laid += PER_BARRE + (fingers[i] == 1 ? 0 : BARRE_NOT_INDEX);
            }
            fingersDown += fingers[i] == 4 ? LITTLE_FINGER : 0;
            if (i > 0) {
                int natural = fingers[i] - fingers[i - 1];
                off += OFF_ITS_FRET * Math.abs(runFret[i] - runFret[i - 1] - natural);
            }
        }
        fingersDown += fingers[0] == 1 ? 0 : INDEX_FREE;
        double total = fingersDown + laid + off + ease + silences + rings;
        if (total < least) {
            least = total;
            down = fingersDown;
            barres = laid;
            spread = off;
            ringing = rings;
            pressed = runs;
            for (int run = 0; run < runs; run++) {
                presses[run] = press(run);
            }
        }
    }
}
