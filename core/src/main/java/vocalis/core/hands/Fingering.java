package vocalis.core.hands;

import java.util.ArrayList;
import java.util.Comparator;
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

    private static final double REACH = 1.2;
    static final double THUMB = 1.3;
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
        private static final Press[] KNOWN = new Press[1 << 17];

        /** The same press as before, where one like it was asked for: many shapes share it. */
        static Press of(int finger, int fret, int lowString, int highString) {
            int at = ((finger << 6 | fret) << 4 | lowString) << 4 | highString;
            Press known = KNOWN[at];
            if (known == null) {
                known = new Press(finger, fret, lowString, highString);
                KNOWN[at] = known;
            }
            return known;
        }

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

        /** The same with the thumb too, for the reach and the silences of the whole shape. */
        Effort withThumb(double wholeReach, double allSilences) {
            return new Effort(fingers, barres, spread, wholeReach, allSilences, ringing, THUMB);
        }
    }

    public Fingering {
        presses = List.copyOf(presses);
    }

    /** Whether a hand gets there in a riff: the reach has a limit of its own. */
    public boolean quick() {
        return quick(effort(), parts.reach());
    }

    static boolean quick(double effort, double reach) {
        return effort - reach <= MOST_QUICK;
    }

    /**
     * Most effort, the reach aside, of a shape that is offered: all but a few of a thousand
     * published shapes take less (see the tests).
     */
    static final double MOST_QUICK = 5.0;

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

    /**
     * Every fingering within the hand's reach that takes at most so much more effort than the
     * easiest, the easiest first; empty when no hand of that size holds the shape.
     */
    public static List<Fingering> all(Fretboard board, Shape shape, Hand hand, double more) {
        Optional<Fingering> best = of(board, shape, hand);
        if (best.isEmpty() || best.get().presses().isEmpty()) {
            return best.map(List::of).orElse(List.of());
        }
        double silences = silences(shape.innerSilences());
        double reach = board.spanMm(shape.lowestFretted(), shape.highestFretted());
        double ease = ease(reach, hand);
        int opens = shape.opens();
        List<Fingering> all = new ArrayList<>();
        all.add(best.get());
        if (shape.voices() > 4 && fewestFingers(shape.toArray(), 0, shape.strings()) > 4) {
            return all;
        }
        for (Hold h : FingerSearch.holds(shape.toArray(), Double.POSITIVE_INFINITY)) {
            Fingering f =
                    new Fingering(h.presses(0), h.parts(ease, silences, h.ringing(opens)), reach);
            boolean easy = f.effort() <= best.get().effort() + more;
            if (easy && !f.presses().equals(best.get().presses()) && h.reaches(board, hand)) {
                all.add(f);
            }
        }
        all.sort(Comparator.comparingDouble(Fingering::effort));
        return all;
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
        double silences = silences(shape.innerSilences());
        int low = shape.lowestFretted();
        if (low == 0) {
            return new Fingering(List.of(), new Effort(0, 0, 0, 0, silences, 0, 0), 0);
        }
        int high = shape.highestFretted();
        if (!hand.withinReach(board, low, high)
                || shape.voices() > 4 && fewestFingers(shape.toArray(), 0, shape.strings()) > 4) {
            return null;
        }
        double reach = board.spanMm(low, high);
        double ease = ease(reach, hand);
        int opens = shape.opens();
        Hold best = null;
        for (Hold h : FingerSearch.holds(shape.toArray(), Double.POSITIVE_INFINITY)) {
            if (h.easierThan(best, opens)
                    && h.reaches(board, hand)
                    && (staying.isEmpty() || h.presses(0).containsAll(staying))) {
                best = h;
            }
        }
        return best == null
                ? null
                : new Fingering(
                        best.presses(0), best.parts(ease, silences, best.ringing(opens)), reach);
    }

    /** Effort of strings to be kept quiet between sounding ones. */
    static double silences(int inner) {
        return INNER_SILENCE * inner;
    }

    /** Fewest fingers that hold some strings, whatever they reach. */
    static int fewestFingers(int[] frets, int from, int to) {
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

    /** Effort of a reach in mm. */
    static double ease(double reach, Hand hand) {
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
        if (fret <= 0 || fewestFingers(shape.toArray(), 1, shape.strings()) > 4) {
            return null;
        }
        Shape rest = shape.with(0, Shape.SILENT);
        if (rest.lowestFretted() == 0
                || !thumbReaches(fret, rest.lowestFretted())
                || !hand.withinReach(board, shape.lowestFretted(), shape.highestFretted())) {
            return null;
        }
        Fingering f = withFingers(board, rest, hand, staying);
        if (f == null || f.presses().size() < 2) {
            return null;
        }
        List<Press> presses = new ArrayList<>(f.presses());
        presses.add(0, Press.of(THUMB_FINGER, fret, 0, 0));
        double reach = board.spanMm(shape.lowestFretted(), shape.highestFretted());
        return new Fingering(
                presses,
                f.parts.withThumb(ease(reach, hand), silences(shape.innerSilences())),
                reach);
    }

    /** Whether a thumb reaches over to a fret while the fingers' lowest lies at another. */
    static boolean thumbReaches(int fret, int fingersLowest) {
        return fret <= LAST_THUMB_FRET && Math.abs(fret - fingersLowest) <= 1;
    }

    /** How far up the neck a thumb reaches over. */
    static final int LAST_THUMB_FRET = 9;

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

    /** Why no hand of this size holds a shape; empty when one does. */
    public static Optional<Refusal> refusal(Fretboard board, Shape shape, Hand hand) {
        if (of(board, shape, hand).isPresent()) {
            return Optional.empty();
        }
        int low = shape.lowestFretted();
        int high = shape.highestFretted();
        return Optional.of(
                hand.withinReach(board, low, high)
                        ? new Refusal.TooFewFingers()
                        : new Refusal.TooWide(
                                low, high, board.spanMm(low, high), hand.limitMm(), hand.name()));
    }
}
