package vocalis.core.hands;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import vocalis.core.hands.Hold.Run;

/**
 * Cuts fretted notes into runs that a finger can hold, in every way, and tries every choice of
 * fingers on them. Where on the neck they lie does not matter here.
 */
final class FingerSearch {

    private static final double PER_FINGER = 0.6;
    private static final double PER_BARRE = 0.3;
    private static final double BARRE_NOT_INDEX = 1.2;
    private static final double OFF_ITS_FRET = 0.45;
    private static final double LITTLE_FINGER = 0.15;
    private static final double INDEX_FREE = 0.3;

    /** For every number of runs, the fingers that they may be given, ascending. */
    private static final int[][][] CHOICES = {
        {},
        {{1}, {2}, {3}, {4}},
        {{1, 2}, {1, 3}, {2, 3}, {1, 4}, {2, 4}, {3, 4}},
        {{1, 2, 3}, {1, 2, 4}, {1, 3, 4}, {2, 3, 4}},
        {{1, 2, 3, 4}}
    };

    private final int[] frets;
    private final double most;
    private final int[] runFret = new int[4];
    private final int[] runLow = new int[4];
    private final int[] runHigh = new int[4];
    private int runs;
    private final List<Hold> found = new ArrayList<>();

    private FingerSearch(int[] frets, double most) {
        this.frets = frets;
        this.most = most;
    }

    /**
     * Every way to hold fretted notes whose effort, before reach, silences and open strings, is not
     * more than so much, the least first; none where four fingers cannot, or nothing is fretted.
     *
     * @param frets fret per string, 0 or less where it is not held
     */
    static List<Hold> holds(int[] frets, double most) {
        FingerSearch search = new FingerSearch(frets, most);
        int lowest = search.nextFret(0);
        if (lowest > 0) {
            search.cut(lowest, 0);
        }
        search.found.sort(LEAST_FIRST);
        return search.found;
    }

    private static final Comparator<Hold> LEAST_FIRST =
            (a, b) -> a.easierThan(b, 0) ? -1 : b.easierThan(a, 0) ? 1 : 0;

    /** Cuts the strings from one up at a fret, and then the frets above, into runs. */
    private void cut(int fret, int from) {
        int string = from;
        while (string < frets.length && frets[string] != fret) {
            string++;
        }
        if (string == frets.length) {
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
        for (int to = string; to < frets.length && frets[to] >= fret; to++) {
            if (frets[to] == fret) {
                runHigh[run] = to;
                cut(fret, to + 1);
            }
        }
        runs--;
    }

    /** The next fret up that is held; 0 where there is none. */
    private int nextFret(int above) {
        int next = 0;
        for (int fret : frets) {
            next = fret > above && (next == 0 || fret < next) ? fret : next;
        }
        return next;
    }

    private void tryRuns() {
        List<Run> cut = null;
        boolean[] crossed = new boolean[runs];
        for (int run = 0; run < runs; run++) {
            crossed[run] = crossed(run);
        }
        for (int[] fingers : CHOICES[runs]) {
            if (possible(crossed, fingers) && least(fingers) <= most) {
                cut = cut == null ? cut() : cut;
                found.add(
                        new Hold(
                                cut,
                                fingers,
                                down(fingers),
                                barres(fingers),
                                spread(fingers),
                                found.size()));
            }
        }
    }

    private List<Run> cut() {
        Run[] cut = new Run[runs];
        Arrays.setAll(cut, i -> new Run(runFret[i], runLow[i], runHigh[i]));
        return List.of(cut);
    }

    private boolean barre(int run) {
        return runHigh[run] > runLow[run];
    }

    /** Whether another fret is held inside a barre. */
    private boolean crossed(int run) {
        for (int other = 0; other < runs; other++) {
            if (runLow[other] > runLow[run] && runLow[other] < runHigh[run]) {
                return true;
            }
        }
        return false;
    }

    /** A barre with another fret inside it needs the index finger. */
    private static boolean possible(boolean[] crossed, int[] fingers) {
        for (int run = 0; run < crossed.length; run++) {
            if (crossed[run] && fingers[run] != 1) {
                return false;
            }
        }
        return true;
    }

    private double least(int[] fingers) {
        return down(fingers) + barres(fingers) + spread(fingers);
    }

    private double down(int[] fingers) {
        double down = PER_FINGER * runs;
        down += fingers[runs - 1] == 4 ? LITTLE_FINGER : 0;
        return down + (fingers[0] == 1 ? 0 : INDEX_FREE);
    }

    private double barres(int[] fingers) {
        double laid = 0;
        for (int i = 0; i < runs; i++) {
            laid += barre(i) ? PER_BARRE + (fingers[i] == 1 ? 0 : BARRE_NOT_INDEX) : 0;
        }
        return laid;
    }

    private double spread(int[] fingers) {
        double off = 0;
        for (int i = 1; i < runs; i++) {
            int natural = fingers[i] - fingers[i - 1];
            off += OFF_ITS_FRET * Math.abs(runFret[i] - runFret[i - 1] - natural);
        }
        return off;
    }
}
