package vocalis.core.hands;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;

/**
 * Which finger holds what, least effort first.
 *
 * <p>Design: the fretted notes are cut, fret by fret, into runs that one finger can hold: a single
 * note, or a barre over neighbouring strings of the same fret with nothing lower wanted between
 * them. Runs, ordered by fret and then from the low string up, take ascending fingers; every cut
 * and every choice of fingers is tried and the one with the least effort kept. Four notes a hand,
 * so the tree is tiny.
 *
 * @param presses one entry per finger used, ascending, a thumb first
 * @param parts what the effort is made of
 * @param reachMm distance between the outermost fretted frets
 */
public record Fingering(List<Press> presses, Effort parts, double reachMm) {

    private static final double PER_FINGER = 0.6;
    private static final double PER_BARRE = 0.3;
    private static final double BARRE_NOT_INDEX = 1.2;
    private static final double OFF_ITS_FRET = 0.45;
    private static final double LITTLE_FINGER = 0.15;
    private static final double INDEX_FREE = 0.3;
    private static final double REACH = 1.2;
    private static final double THUMB = 0.9;
    private static final double INNER_SILENCE = 0.8;
    private static final double RINGS_INSIDE = 0.5;
    private static final double BARRE_BESIDE_RINGING = 0.9;

    /**
     * One finger's work.
     *
     * @param finger 1 (index) to 4 (little finger), or 5 for the thumb
     * @param fret fret from the capo
     * @param lowString lowest string index it holds
     * @param highString highest string index it holds; the same unless it is a barre
     */
    public record Press(int finger, int fret, int lowString, int highString) {
        /** Whether the finger lies across strings. */
        public boolean barre() {
            return highString > lowString;
        }
    }

    /**
     * The parts of an effort, unitless, 0 upward; their weights are set by hand, from memory.
     *
     * @param fingers for each finger down, a little more for the little finger and a free index
     * @param barres for each finger laid across strings, more where it is not the index
     * @param spread for fingers off the fret that is theirs in the position
     * @param reach for the distance against the hand's comfort, squared
     * @param silences for strings to be kept quiet between sounding ones
     * @param ringing for fingers arched around open strings, and barres laid beside them
     * @param thumb for the thumb over the neck
     */
    public record Effort(
            double fingers,
            double barres,
            double spread,
            double reach,
            double silences,
            double ringing,
            double thumb) {

        /** What no hand can do. */
        public static final Effort IMPOSSIBLE =
                new Effort(Double.POSITIVE_INFINITY, 0, 0, 0, 0, 0, 0);

        /** The sum. */
        public double total() {
            return fingers + barres + spread + reach + silences + ringing + thumb;
        }

        Effort withThumb(double wholeReach) {
            return new Effort(fingers, barres, spread, wholeReach, silences, ringing, THUMB);
        }
    }

    public Fingering {
        presses = List.copyOf(presses);
    }

    /** Whether a hand gets there in a riff: the reach has a limit of its own. */
    public boolean quick() {
        return effort() - parts.reach() <= MOST_QUICK;
    }

    /**
     * Most effort, the reach aside, of a shape that is offered: all but a few of a thousand
     * published shapes take less (see the tests).
     */
    private static final double MOST_QUICK = 5.0;

    /** The whole effort, unitless, 0 (open strings) upward. */
    public double effort() {
        return parts.total();
    }

    /**
     * The easiest fingering within the hand's reach, or empty when no hand of that size holds it.
     */
    public static Optional<Fingering> of(Fretboard board, Shape shape, Hand hand) {
        return of(board, shape, hand, List.of());
    }

    /** The easiest fingering in which the given presses stay as they are. */
    static Optional<Fingering> of(Fretboard board, Shape shape, Hand hand, List<Press> staying) {
        Fingering best = withFingers(board, shape, hand, staying);
        // Beside a held string 5 the thumb is a last resort.
        boolean thumbWanted = best == null || shape.strings() > 1 && shape.fret(1) <= 0;
        Fingering thumb = thumbWanted ? withThumb(board, shape, hand, staying) : null;
        boolean over = thumb != null && (best == null || thumb.effort() < best.effort());
        return Optional.ofNullable(over ? thumb : best);
    }

    private static Fingering withFingers(
            Fretboard board, Shape shape, Hand hand, List<Press> staying) {
        double silences = INNER_SILENCE * shape.innerSilences();
        int low = shape.lowestFretted();
        if (low == 0) {
            return new Fingering(List.of(), new Effort(0, 0, 0, 0, silences, 0, 0), 0);
        }
        int high = shape.highestFretted();
        if (!hand.withinReach(board, low, high)) {
            return null;
        }
        if (fewestFingers(frets(shape), 0, shape.strings()) > 4) {
            return null;
        }
        Search search = new Search(board, shape, hand, silences, staying);
        search.cut(low, 0);
        return search.best;
    }

    /**
     * Whether four fingers, and the thumb on the lowest string, may hold what is decided so far:
     * every finger lies as far as it can, and more strings only want more.
     */
    static boolean mayHold(int[] frets, int decided) {
        return fewestFingers(frets, 0, decided) <= 4
                || frets[0] > 0 && fewestFingers(frets, 1, decided) <= 4;
    }

    private static int[] frets(Shape shape) {
        int[] frets = new int[shape.strings()];
        for (int s = 0; s < frets.length; s++) {
            frets[s] = shape.fret(s);
        }
        return frets;
    }

    private static int fewestFingers(int[] frets, int from, int to) {
        int fingers = 0;
        for (int s = from; s < to; s++) {
            int fret = frets[s];
            if (fret <= 0) {
                continue;
            }
            int before = s - 1;
            while (before >= from && frets[before] > fret) {
                before--;
            }
            fingers += before >= from && frets[before] == fret ? 0 : 1;
        }
        return fingers;
    }

    private static double ease(double reach, Hand hand) {
        return Math.pow(reach / hand.comfortMm(), 2) * REACH;
    }

    /**
     * The thumb reaches over the neck and takes the lowest string near the other fingers' lowest
     * fret, low on the neck, beside a string that stays silent or open (common practice:
     * 1-x-3-2-1-1 and 2-x-0-2-3-2).
     */
    private static Fingering withThumb(
            Fretboard board, Shape shape, Hand hand, List<Press> staying) {
        int fret = shape.fret(0);
        if (fret <= 0
                || fret > LAST_THUMB_FRET
                || fewestFingers(frets(shape), 1, shape.strings()) > 4) {
            return null;
        }
        Shape rest = shape.with(0, Shape.SILENT);
        if (rest.lowestFretted() == 0
                || Math.abs(fret - rest.lowestFretted()) > 1
                || !hand.withinReach(board, shape.lowestFretted(), shape.highestFretted())) {
            return null;
        }
        Fingering f = withFingers(board, rest, hand, staying);
        if (f == null || f.presses().size() < 2) {
            return null;
        }
        List<Press> presses = new ArrayList<>(f.presses());
        presses.add(0, new Press(THUMB_FINGER, fret, 0, 0));
        double reach = board.spanMm(shape.lowestFretted(), shape.highestFretted());
        return new Fingering(presses, f.parts.withThumb(ease(reach, hand)), reach);
    }

    /** How far up the neck a thumb reaches over. */
    private static final int LAST_THUMB_FRET = 9;

    /** Number that stands for the thumb in a {@link Press}. */
    public static final int THUMB_FINGER = 5;

    /** Finger that holds a string, or 0 when none does. */
    public int fingerOn(int string) {
        int fret = 0;
        int finger = 0;
        for (Press p : presses) {
            if (p.lowString() <= string && string <= p.highString() && p.fret() > fret) {
                fret = p.fret();
                finger = p.finger();
            }
        }
        return finger;
    }

    /**
     * Cuts one shape into runs that a finger can hold, in every way, tries every choice of fingers
     * on them and keeps the easiest.
     */
    private static final class Search {
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
        private final int[] fingers = new int[4];
        private int runs;
        private double least;
        private Fingering best;

        Search(Fretboard board, Shape shape, Hand hand, double silences, List<Press> staying) {
            this.board = board;
            this.shape = shape;
            this.hand = hand;
            this.silences = silences;
            this.staying = staying;
            reach = board.spanMm(shape.lowestFretted(), shape.highestFretted());
            ease = ease(reach, hand);
        }

        /** Cuts the strings from one up at a fret, and then the frets above, into runs. */
        void cut(int fret, int from) {
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
            double ringing = ringing();
            for (int mask = 1; mask < 16; mask++) {
                if (Integer.bitCount(mask) == runs) {
                    number(mask);
                    if (possible() && pairsReach() && stays()) {
                        weigh(ringing);
                    }
                }
            }
        }

        /** Gives the runs the fingers of a mask, bit 0 for the index, ascending. */
        private void number(int mask) {
            int run = 0;
            for (int finger = 1; finger <= 4; finger++) {
                if ((mask >> (finger - 1) & 1) != 0) {
                    fingers[run++] = finger;
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
            return new Press(fingers[run], runFret[run], runLow[run], runHigh[run]);
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
        private void weigh(double ringing) {
            double down = PER_FINGER * runs;
            double barres = 0;
            double spread = 0;
            for (int i = 0; i < runs; i++) {
                if (barre(i)) {
                    barres += PER_BARRE + (fingers[i] == 1 ? 0 : BARRE_NOT_INDEX);
                }
                down += fingers[i] == 4 ? LITTLE_FINGER : 0;
                if (i > 0) {
                    int natural = fingers[i] - fingers[i - 1];
                    spread += OFF_ITS_FRET * Math.abs(runFret[i] - runFret[i - 1] - natural);
                }
            }
            down += fingers[0] == 1 ? 0 : INDEX_FREE;
            double total = down + barres + spread + ease + silences + ringing;
            if (best == null || total < least) {
                least = total;
                Press[] presses = new Press[runs];
                for (int run = 0; run < runs; run++) {
                    presses[run] = press(run);
                }
                best =
                        new Fingering(
                                List.of(presses),
                                new Effort(down, barres, spread, ease, silences, ringing, 0),
                                reach);
            }
        }
    }

    /**
     * Why no hand of this size holds a shape, in words; empty when one does.
     *
     * @return a sentence without its subject, such as {@code needs 143 mm from fret 3 to fret 9,
     *     where a medium hand reaches 120 mm at most}
     */
    public static Optional<String> refusal(Fretboard board, Shape shape, Hand hand) {
        if (of(board, shape, hand).isPresent()) {
            return Optional.empty();
        }
        double reach = board.spanMm(shape.lowestFretted(), shape.highestFretted());
        if (!hand.withinReach(board, shape.lowestFretted(), shape.highestFretted())) {
            return Optional.of(
                    "needs "
                            + Math.round(reach)
                            + " mm from fret "
                            + shape.lowestFretted()
                            + " to fret "
                            + shape.highestFretted()
                            + ", where a "
                            + hand.name()
                            + " hand reaches "
                            + Math.round(hand.limitMm())
                            + " mm at most");
        }
        return Optional.of(
                "needs more than four fingers: its frets lie so that no finger can cover more of them");
    }

    /** In words, such as {@code index 5, ring 7, little 7}. */
    public String inWords() {
        String[] names = {"", "index", "middle", "ring", "little", "thumb"};
        return String.join(
                ", ",
                presses.stream()
                        .map(
                                p ->
                                        names[p.finger()]
                                                + " "
                                                + p.fret()
                                                + (p.barre() ? " laid flat" : ""))
                        .toList());
    }
}
