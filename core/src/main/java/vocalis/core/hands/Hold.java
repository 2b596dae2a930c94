package vocalis.core.hands;

import java.util.List;
import vocalis.core.hands.Fingering.Effort;
import vocalis.core.hands.Fingering.Press;
import vocalis.core.instrument.Fretboard;

/**
 * One way to hold fretted notes: which finger takes which run of strings, and the effort of it that
 * is the same wherever on the neck it is done.
 *
 * @param runs what each finger takes, the runs by fret and then from the low string up
 * @param fingers for each run its finger, 1 (index) to 4 (little finger), ascending
 * @param down effort of the fingers that are down
 * @param barres effort of those laid across strings
 * @param spread effort of those off the fret that is theirs in the position
 * @param tried how many ways were tried before it
 * @param inside strings between its lowest and its highest, a bit each
 * @param besideBarres strings next above a barre
 * @param leans string next above the index that its flesh keeps quiet, a bit; 0 for none
 */
record Hold(
        List<Run> runs,
        int[] fingers,
        double down,
        double barres,
        double spread,
        int tried,
        int inside,
        int besideBarres,
        int leans) {

    /** Efforts are sums of hundredths; what is nearer than this is the same. */
    static final double SAME = 1e-6;

    /** Effort of an open string between held ones; one that is kept quiet takes more. */
    static final double RINGS_INSIDE = 0.5;

    private static final double BARRE_BESIDE_RINGING = 0.9;

    /**
     * Effort of an index that keeps the next string quiet with its flesh while the one after rings:
     * it tends to lie flat, where a middle finger stands and leans; alone, the hand turns with it.
     * Common practice; the figure is from experience with this program.
     */
    private static final double INDEX_LEANS = 0.5;

    Hold(List<Run> runs, int[] fingers, double down, double barres, double spread, int tried) {
        this(
                runs,
                fingers,
                down,
                barres,
                spread,
                tried,
                inside(runs),
                besideBarres(runs),
                leans(runs, fingers));
    }

    private static int inside(List<Run> runs) {
        int low = Integer.MAX_VALUE;
        int high = 0;
        for (Run r : runs) {
            low = Math.min(low, r.low());
            high = Math.max(high, r.high());
        }
        return (1 << high) - 1 & -1 << low + 1;
    }

    private static int besideBarres(List<Run> runs) {
        int beside = 0;
        for (Run r : runs) {
            beside |= r.barre() ? 1 << r.high() + 1 : 0;
        }
        return beside;
    }

    /**
     * Strings that one finger holds at a fret.
     *
     * @param fret the fret
     * @param low lowest string index
     * @param high highest string index; the same unless it is a barre
     */
    record Run(int fret, int low, int high) {
        boolean barre() {
            return high > low;
        }

        boolean holds(int string) {
            return string >= low && string <= high;
        }
    }

    /** The effort but for reach, silences and open strings: the least of all that may come. */
    double least() {
        return down + barres + spread;
    }

    /** Whether every two fingers reach as far apart as they lie where the runs say. */
    boolean reaches(Fretboard board, Hand hand) {
        for (int i = 0; i < fingers.length; i++) {
            for (int j = i + 1; j < fingers.length; j++) {
                double apart = board.spanMm(runs.get(i).fret(), runs.get(j).fret());
                if (apart > hand.limitMm(fingers[i], fingers[j])) {
                    return false;
                }
            }
        }
        return true;
    }

    /**
     * The effort of open strings between held ones, and beside a barre.
     *
     * @param opens strings that ring open, a bit each
     */
    double ringing(int opens) {
        double sum = RINGS_INSIDE * Integer.bitCount(opens & inside);
        for (int rest = opens & besideBarres; rest != 0; rest &= rest - 1) {
            sum += BARRE_BESIDE_RINGING * barresEndingAt(Integer.numberOfTrailingZeros(rest) - 1);
        }
        return sum + (indexLeans(opens) ? INDEX_LEANS : 0);
    }

    private boolean indexLeans(int opens) {
        return leans != 0 && (opens & leans) == 0 && (opens & leans << 1) != 0;
    }

    /** The string next above the index, where it is one of several fingers and none holds that. */
    private static int leans(List<Run> runs, int[] fingers) {
        if (fingers.length < 2 || fingers[0] != 1) {
            return 0;
        }
        int next = runs.get(0).high() + 1;
        for (Run r : runs) {
            if (r.holds(next)) {
                return 0;
            }
        }
        return 1 << next;
    }

    private int barresEndingAt(int string) {
        int barres = 0;
        for (Run r : runs) {
            barres += r.barre() && r.high() == string ? 1 : 0;
        }
        return barres;
    }

    /**
     * Whether it takes less effort than another beside open strings; of two that take the same, the
     * one that was tried first, single fingers before barres.
     *
     * @param other another way to hold the same; null for none
     * @param opens strings that ring open, a bit each
     */
    boolean easierThan(Hold other, int opens) {
        if (other == null) {
            return true;
        }
        double own = opens == 0 ? least() : least() + ringing(opens);
        double less = other.least() + other.ringing(opens) - own;
        return less > SAME || less > -SAME && tried < other.tried;
    }

    /** Whether it takes more effort without open strings than so much. */
    boolean harderThan(double effort) {
        return least() > effort + SAME;
    }

    /** The whole effort, with what the place and the other strings add. */
    double effort(double reach, double silences, double ringing) {
        return down + barres + spread + reach + silences + ringing;
    }

    /** The same in its parts. */
    Effort parts(double reach, double silences, double ringing) {
        return new Effort(down, barres, spread, reach, silences, ringing, 0);
    }

    /**
     * What the fingers press, ascending.
     *
     * @param up frets that the whole is moved up the neck
     */
    List<Press> presses(int up) {
        Press[] presses = new Press[fingers.length];
        for (int i = 0; i < presses.length; i++) {
            Run r = runs.get(i);
            presses[i] = Press.of(fingers[i], r.fret() + up, r.low(), r.high());
        }
        return List.of(presses);
    }
}
