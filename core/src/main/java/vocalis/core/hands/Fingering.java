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
    private static final double THUMB = 1.1;
    private static final double INNER_SILENCE = 0.8;

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
     * @param thumb for the thumb over the neck
     */
    public record Effort(
            double fingers,
            double barres,
            double spread,
            double reach,
            double silences,
            double thumb) {

        /** What no hand can do. */
        public static final Effort IMPOSSIBLE = new Effort(Double.POSITIVE_INFINITY, 0, 0, 0, 0, 0);

        /** The sum. */
        public double total() {
            return fingers + barres + spread + reach + silences + thumb;
        }

        Effort withThumb() {
            return new Effort(fingers, barres, spread, reach, silences, thumb + THUMB);
        }
    }

    public Fingering {
        presses = List.copyOf(presses);
    }

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
        int low = shape.lowestFretted();
        int high = shape.highestFretted();
        if (low == 0) {
            return Optional.of(
                    new Fingering(
                            List.of(),
                            new Effort(0, 0, 0, 0, INNER_SILENCE * innerSilences(shape), 0),
                            0));
        }
        double reach = board.spanMm(low, high);
        if (reach > hand.limitMm()) {
            return Optional.empty();
        }
        TreeMap<Integer, List<Integer>> byFret = new TreeMap<>();
        for (int string : shape.sounded()) {
            if (shape.fret(string) > 0) {
                byFret.computeIfAbsent(shape.fret(string), f -> new ArrayList<>()).add(string);
            }
        }
        List<List<Press>> cuts = new ArrayList<>();
        cut(shape, new ArrayList<>(byFret.entrySet()), 0, new ArrayList<>(), cuts);
        double ease = Math.pow(reach / hand.comfortMm(), 2) * REACH;
        Fingering best = null;
        for (List<Press> runs : cuts) {
            Fingering f =
                    withFingers(runs, ease, INNER_SILENCE * innerSilences(shape), reach, staying);
            if (f != null && (best == null || f.effort() < best.effort())) {
                best = f;
            }
        }
        return Optional.ofNullable(best == null ? withThumb(board, shape, hand, staying) : best);
    }

    /**
     * The thumb reaches over the neck and takes the lowest string near the other fingers' lowest
     * fret, where the four fingers alone cannot hold the shape (common practice).
     */
    private static Fingering withThumb(
            Fretboard board, Shape shape, Hand hand, List<Press> staying) {
        int fret = shape.fret(0);
        Shape rest = fret > 0 ? shape.with(0, Shape.SILENT) : shape;
        if (fret <= 0 || rest.lowestFretted() == 0 || Math.abs(fret - rest.lowestFretted()) > 1) {
            return null;
        }
        return of(board, rest, hand, staying)
                .map(
                        f -> {
                            List<Press> presses = new ArrayList<>(f.presses());
                            presses.add(0, new Press(THUMB_FINGER, fret, 0, 0));
                            double reach =
                                    board.spanMm(shape.lowestFretted(), shape.highestFretted());
                            return new Fingering(presses, f.parts.withThumb(), reach);
                        })
                .orElse(null);
    }

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

    private static Fingering withFingers(
            List<Press> runs, double ease, double silences, double reach, List<Press> staying) {
        int n = runs.size();
        Fingering best = null;
        for (int mask = 1; n <= 4 && mask < 16; mask++) {
            if (Integer.bitCount(mask) != n) {
                continue;
            }
            List<Press> presses = new ArrayList<>();
            int finger = 0;
            for (Press run : runs) {
                do {
                    finger++;
                } while ((mask & (1 << (finger - 1))) == 0);
                presses.add(new Press(finger, run.fret(), run.lowString(), run.highString()));
            }
            Effort effort = effort(presses, ease, silences);
            if (possible(presses)
                    && presses.containsAll(staying)
                    && (best == null || effort.total() < best.effort())) {
                best = new Fingering(presses, effort, reach);
            }
        }
        return best;
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

    private static Effort effort(List<Press> presses, double ease, double silences) {
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
        return new Effort(fingers, barres, spread, ease, silences, 0);
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
        if (reach > hand.limitMm()) {
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
