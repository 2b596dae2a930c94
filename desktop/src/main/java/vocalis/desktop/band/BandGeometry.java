package vocalis.desktop.band;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.derive.Derived;
import vocalis.desktop.view.TimeAxis;

/**
 * Where the voice band's stacks and rungs lie.
 *
 * @param axis time
 * @param top y of the highest pitch shown
 * @param bottom y of the lowest pitch shown
 * @param lowest lowest MIDI number shown
 * @param highest highest MIDI number shown
 */
public record BandGeometry(TimeAxis axis, double top, double bottom, int lowest, int highest) {

    /** Height of the names over the stacks. */
    public static final double HEAD = 46;

    private static final double FOOT = 12;
    private static final int LEAST_RANGE = 26;

    /** Width kept at a stack's left for degrees, and at its right for the movement of voices. */
    private static final double BEFORE = 34;

    private static final double AFTER = 40;

    /** The geometry of a page of a riff in a band of a size. */
    public static BandGeometry of(Derived derived, TimeAxis axis, double height) {
        int low = 127;
        int high = 0;
        for (Derived.Chord c : derived.chords()) {
            List<Integer> midi = c.candidate().voicing().midi();
            low = Math.min(low, midi.get(0));
            high = Math.max(high, midi.get(midi.size() - 1));
        }
        int missing = Math.max(0, LEAST_RANGE - (high - low));
        return new BandGeometry(
                axis, HEAD + 8, height - FOOT, low - 1 - missing / 2, high + 1 + (missing + 1) / 2);
    }

    /** y of a pitch. */
    public double y(double midi) {
        return bottom - (midi - lowest) * (bottom - top) / (highest - lowest);
    }

    /** Pixels per semitone. */
    public double perSemitone() {
        return (bottom - top) / (highest - lowest);
    }

    /** Left edge of a chord's column. */
    public double columnLeft(Derived.Chord c) {
        return axis.x(Math.max(c.start(), axis.from()));
    }

    /** Right edge of a chord's column. */
    public double columnRight(Derived.Chord c) {
        return axis.x(Math.min(c.end(), axis.to()));
    }

    /** Whether a chord is on the page. */
    public boolean shows(Derived.Chord c) {
        return c.end() > axis.from() && c.start() < axis.to();
    }

    /** Left end of a chord's rungs. */
    public double rungLeft(Derived.Chord c) {
        return columnLeft(c) + Math.min(BEFORE, 0.3 * (columnRight(c) - columnLeft(c)));
    }

    /** Right end of a chord's rungs. */
    public double rungRight(Derived.Chord c) {
        double left = rungLeft(c);
        return Math.max(
                left + 8, columnRight(c) - Math.min(AFTER, 0.3 * (columnRight(c) - columnLeft(c))));
    }

    /** The chord at an x, or -1. */
    public int chordAt(Derived derived, double x) {
        for (int i = 0; i < derived.chords().size(); i++) {
            Derived.Chord c = derived.chords().get(i);
            if (shows(c) && x >= columnLeft(c) && x < columnRight(c)) {
                return i;
            }
        }
        return -1;
    }

    /** The chord whose right edge lies within reach of an x, or -1. */
    public int edgeAt(Derived derived, double x) {
        for (int i = 0; i < derived.chords().size(); i++) {
            Derived.Chord c = derived.chords().get(i);
            if (c.end() <= axis.to() && shows(c) && Math.abs(x - columnRight(c)) <= 5) {
                return i;
            }
        }
        return -1;
    }

    /**
     * For labels at given heights, the column (0, 1, 2…) that each takes so that none lies closer
     * than {@code least} to another of its column. Heights descend or ascend.
     */
    public static List<Integer> stagger(List<Double> heights, double least) {
        List<Integer> columns = new ArrayList<>();
        for (int i = 0; i < heights.size(); i++) {
            int column = 0;
            boolean free = false;
            while (!free) {
                free = true;
                for (int j = 0; j < i; j++) {
                    if (columns.get(j) == column
                            && Math.abs(heights.get(j) - heights.get(i)) < least) {
                        free = false;
                    }
                }
                column += free ? 0 : 1;
            }
            columns.add(column);
        }
        return columns;
    }
}
