package vocalis.core.hands;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
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
        Fingering thumb = withThumb(board, shape, hand, staying);
        // Beside a held string 5 the thumb is a last resort.
        boolean wanted = shape.strings() > 1 && shape.fret(1) <= 0;
        boolean over = thumb != null && (best == null || wanted && thumb.effort() < best.effort());
        return Optional.ofNullable(over ? thumb : best);
    }

    private static Fingering withFingers(
            Fretboard board, Shape shape, Hand hand, List<Press> staying) {
        double silences = INNER_SILENCE * innerSilences(shape);
        int low = shape.lowestFretted();
        if (low == 0) {
            return new Fingering(List.of(), new Effort(0, 0, 0, 0, silences, 0, 0), 0);
        }
        int high = shape.highestFretted();
        if (!hand.withinReach(board, low, high)) {
            return null;
        }
        if (fewestFingers(shape) > 4) {
            return null;
        }
        TreeMap<Integer, List<Integer>> byFret = new TreeMap<>();
        for (int string : shape.sounded()) {
            if (shape.fret(string) > 0) {
                byFret.computeIfAbsent(shape.fret(string), f -> new ArrayList<>()).add(string);
            }
        }
        List<List<Press>> cuts = new ArrayList<>();
        cut(shape, new ArrayList<>(byFret.entrySet()), 0, new ArrayList<>(), cuts);
        Search search = new Search(board, shape, hand, silences, staying);
        cuts.forEach(search::tryRuns);
        return search.best;
    }

    /** Fingers that a shape takes when every finger lies as far as it can. */
    private static int fewestFingers(Shape shape) {
        int fingers = 0;
        for (int s = 0; s < shape.strings(); s++) {
            int fret = shape.fret(s);
            if (fret <= 0) {
                continue;
            }
            int before = s - 1;
            while (before >= 0 && shape.fret(before) > fret) {
                before--;
            }
            fingers += before >= 0 && shape.fret(before) == fret ? 0 : 1;
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
        if (fret <= 0 || fret > LAST_THUMB_FRET || fret > shape.highestFretted()) {
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

    private static int innerSilences(Shape shape) {
        List<Integer> sounded = shape.sounded();
        if (sounded.isEmpty()) {
            return 0;
        }
        return sounded.get(sounded.size() - 1) - sounded.get(0) + 1 - sounded.size();
    }

    private static void cut(
            Shape shape,
            List<java.util.Map.Entry<Integer, List<Integer>>> frets,
            int index,
            List<Press> soFar,
            List<List<Press>> out) {
        if (soFar.size() > 4) {
            return;
        }
        if (index == frets.size()) {
            out.add(List.copyOf(soFar));
            return;
        }
        cutFret(shape, frets, index, 0, soFar, out);
    }

    private static void cutFret(
            Shape shape,
            List<java.util.Map.Entry<Integer, List<Integer>>> frets,
            int index,
            int from,
            List<Press> soFar,
            List<List<Press>> out) {
        int fret = frets.get(index).getKey();
        List<Integer> strings = frets.get(index).getValue();
        if (from == strings.size()) {
            cut(shape, frets, index + 1, soFar, out);
            return;
        }
        for (int to = from; to < strings.size(); to++) {
            if (to > from && !canLie(shape, fret, strings.get(from), strings.get(to))) {
                break;
            }
            soFar.add(new Press(0, fret, strings.get(from), strings.get(to)));
            cutFret(shape, frets, index, to + 1, soFar, out);
            soFar.remove(soFar.size() - 1);
        }
    }

    /** A finger can lie where every string between sounds at its fret or higher. */
    private static boolean canLie(Shape shape, int fret, int lowString, int highString) {
        for (int s = lowString; s <= highString; s++) {
            if (shape.fret(s) < fret) {
                return false;
            }
        }
        return true;
    }

    /** Tries fingers on cuts of one shape and keeps the easiest. */
    private static final class Search {
        private final Fretboard board;
        private final Hand hand;
        private final double silences;
        private final double ease;
        private final double reach;
        private final List<Press> staying;
        private final Shape shape;
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

        void tryRuns(List<Press> runs) {
            int n = runs.size();
            for (int mask = 1; n <= 4 && mask < 16; mask++) {
                if (Integer.bitCount(mask) == n) {
                    tryFingers(runs, mask);
                }
            }
        }

        private void tryFingers(List<Press> runs, int mask) {
            List<Press> presses = new ArrayList<>(runs.size());
            int finger = 0;
            for (Press run : runs) {
                do {
                    finger++;
                } while ((mask & (1 << (finger - 1))) == 0);
                presses.add(new Press(finger, run.fret(), run.lowString(), run.highString()));
            }
            if (!possible(presses) || !pairsReach(presses) || !presses.containsAll(staying)) {
                return;
            }
            Effort effort = Fingering.effort(presses, ease, silences, ringing(shape, presses));
            if (best == null || effort.total() < best.effort()) {
                best = new Fingering(presses, effort, reach);
            }
        }

        /** Every two fingers reach as far apart as they lie. */
        private boolean pairsReach(List<Press> presses) {
            for (int i = 0; i < presses.size(); i++) {
                for (int j = i + 1; j < presses.size(); j++) {
                    Press a = presses.get(i);
                    Press b = presses.get(j);
                    double apart =
                            board.spanMm(
                                    Math.min(a.fret(), b.fret()), Math.max(a.fret(), b.fret()));
                    if (apart > hand.limitMm(a.finger(), b.finger())) {
                        return false;
                    }
                }
            }
            return true;
        }
    }

    /** Open strings between held ones, and beside a barre. */
    private static double ringing(Shape shape, List<Press> presses) {
        int low = shape.strings();
        int high = -1;
        for (Press p : presses) {
            low = Math.min(low, p.lowString());
            high = Math.max(high, p.highString());
        }
        double sum = 0;
        for (int s = low + 1; s < shape.strings(); s++) {
            if (shape.fret(s) == 0) {
                sum += s < high ? RINGS_INSIDE : 0;
                for (Press p : presses) {
                    sum += p.barre() && s == p.highString() + 1 ? BARRE_BESIDE_RINGING : 0;
                }
            }
        }
        return sum;
    }

    /** A barre with another fret inside it needs the index finger. */
    private static boolean possible(List<Press> presses) {
        for (Press p : presses) {
            boolean crossed = false;
            for (Press q : presses) {
                crossed |= q.lowString() > p.lowString() && q.lowString() < p.highString();
            }
            if (p.barre() && crossed && p.finger() != 1) {
                return false;
            }
        }
        return true;
    }

    private static Effort effort(
            List<Press> presses, double ease, double silences, double ringing) {
        double fingers = PER_FINGER * presses.size();
        double barres = 0;
        double spread = 0;
        for (int i = 0; i < presses.size(); i++) {
            Press p = presses.get(i);
            if (p.barre()) {
                barres += PER_BARRE + (p.finger() == 1 ? 0 : BARRE_NOT_INDEX);
            }
            fingers += p.finger() == 4 ? LITTLE_FINGER : 0;
            if (i > 0) {
                Press before = presses.get(i - 1);
                int natural = p.finger() - before.finger();
                spread += OFF_ITS_FRET * Math.abs(p.fret() - before.fret() - natural);
            }
        }
        fingers += presses.get(0).finger() == 1 ? 0 : INDEX_FREE;
        return new Effort(fingers, barres, spread, ease, silences, ringing, 0);
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
