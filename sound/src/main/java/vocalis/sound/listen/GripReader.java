package vocalis.sound.listen;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;

/**
 * Finds the shapes that have the notes that were heard: on every string one of them or silence, as
 * far as a hand reaches; the likeliest first by what they leave out, by the work of the hand.
 * Weights set by hand.
 */
public final class GripReader {

    private static final int WIDEST = 5;
    private static final int OFFERED = 8;

    /** What a grip costs for all that it leaves out, by its share of the sound. */
    private static final double LEFT_OUT = 12;

    /** More than any shape costs that can be held. */
    public static final double UNPLAYABLE = 1000;

    private static final double PER_EFFORT = 0.25;
    private static final double PER_SILENT_INSIDE = 0.8;
    private static final double PER_UNISON = 1.5;
    private static final double PER_FRET_UP = 0.06;

    /** The difference in cost that makes a grip e times as likely. */
    private static final double ONE = 0.6;

    private final Fretboard board;
    private final Hand hand;
    private final HeardNotes heard;
    private final Set<Shape> seen = new HashSet<>();
    private final List<Weighed> found = new ArrayList<>();

    /**
     * A shape that a strum may have been.
     *
     * @param shape as it lies on the neck
     * @param share from 0 to 1, of the likelihood of all that were weighed
     */
    public record Likely(Shape shape, double share) {}

    private record Weighed(Shape shape, double cost) {}

    private GripReader(Fretboard board, Hand hand, HeardNotes heard) {
        this.board = board;
        this.hand = hand;
        this.heard = heard;
    }

    /** The likeliest shapes, best first. */
    public static List<Likely> of(HeardNotes heard, Fretboard board, Hand hand) {
        GripReader r = new GripReader(board, hand, heard);
        r.search(0, Shape.silent(board.strings()), Integer.MAX_VALUE, 0);
        return r.ranked();
    }

    private void search(int string, Shape shape, int low, int high) {
        if (string == board.strings()) {
            weigh(shape);
            return;
        }
        search(string + 1, shape, low, high);
        for (int midi : heard.midi()) {
            int fret = midi - board.midi(string, 0);
            if (fret < 0 || fret > board.frets()) {
                continue;
            }
            int newLow = fret == 0 ? low : Math.min(low, fret);
            int newHigh = Math.max(high, fret);
            if (newLow == Integer.MAX_VALUE || newHigh - newLow <= WIDEST) {
                search(string + 1, shape.with(string, fret), newLow, newHigh);
            }
        }
    }

    private void weigh(Shape shape) {
        if (shape.voices() == 0 || !seen.add(shape)) {
            return;
        }
        Set<Integer> sounds = board.notes(shape);
        double left = 0;
        for (HeardNotes.Note n : heard.notes()) {
            left += sounds.contains(n.midi()) ? 0 : Math.sqrt(n.share());
        }
        // Too much is left out to be worth fingers.
        if (left > 1) {
            return;
        }
        double work = work(board, shape, hand);
        if (work < UNPLAYABLE) {
            found.add(new Weighed(shape, LEFT_OUT * left + work));
        }
    }

    /**
     * What a shape costs the hand: its effort, silent strings inside, strings that double a note of
     * others, how far up it lies; {@link #UNPLAYABLE} where no hand has it.
     */
    public static double work(Fretboard board, Shape shape, Hand hand) {
        Optional<Fingering> held = Fingering.of(board, shape, hand);
        return held.isEmpty()
                ? UNPLAYABLE
                : PER_EFFORT * held.get().effort()
                        + PER_SILENT_INSIDE * shape.innerSilences()
                        + PER_UNISON * (shape.voices() - board.notes(shape).size())
                        + PER_FRET_UP * shape.lowestFretted();
    }

    private List<Likely> ranked() {
        found.sort(Comparator.comparingDouble(Weighed::cost).thenComparing(w -> w.shape().text()));
        List<Weighed> best = found.subList(0, Math.min(OFFERED, found.size()));
        double all = 0;
        for (Weighed w : best) {
            all += Math.exp((best.get(0).cost() - w.cost()) / ONE);
        }
        List<Likely> grips = new ArrayList<>();
        for (Weighed w : best) {
            grips.add(new Likely(w.shape(), Math.exp((best.get(0).cost() - w.cost()) / ONE) / all));
        }
        return grips;
    }
}
