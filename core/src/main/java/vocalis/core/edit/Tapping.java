package vocalis.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.TreeSet;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;

/**
 * A rhythm that was tapped, understood: each tap on the nearest step of the grid on which all taps
 * together lie best.
 *
 * @param figure strokes of all voices, each up to the next, filled to whole bars
 * @param grid steps to a quarter note: 2, 3 or 4
 * @param counts how the taps are counted, such as {@code 1 1& 2}
 * @param offSeconds how far the taps lay off their steps, root of the mean square
 */
public record Tapping(Figure figure, int grid, List<String> counts, double offSeconds) {

    private static final int[] GRIDS = {2, 3, 4};

    /** What a finer grid must better the error by, so that eighths stay eighths; set by hand. */
    private static final double WORTH = 0.75;

    private static final String[][] PARTS = {
        {}, {}, {"", "&"}, {"", "t", "l"}, {"", "e", "&", "a"}
    };

    public Tapping {
        counts = List.copyOf(counts);
    }

    /**
     * Understands taps.
     *
     * @param seconds times of the taps, ascending; the first is the one
     * @param tempo quarter notes a minute
     * @throws IllegalArgumentException when there is none
     */
    public static Tapping of(List<Double> seconds, double tempo, Meter meter) {
        if (seconds.isEmpty()) {
            throw new IllegalArgumentException("a rhythm has one tap at least");
        }
        double quarter = 60 / tempo;
        int best = GRIDS[0];
        double least = Double.POSITIVE_INFINITY;
        for (int grid : GRIDS) {
            double off = off(seconds, quarter / grid);
            if (off < (least == Double.POSITIVE_INFINITY ? least : WORTH * least)) {
                best = grid;
                least = off;
            }
        }
        TreeSet<Long> steps = new TreeSet<>();
        for (double s : seconds) {
            steps.add(Math.round((s - seconds.get(0)) * best / quarter));
        }
        long step = Ticks.QUARTER / best;
        long bar = meter.barTicks();
        long length = (steps.last() * step / bar + 1) * bar;
        List<Event> events = new ArrayList<>();
        List<String> counts = new ArrayList<>();
        for (long at : steps) {
            Long next = steps.higher(at);
            long end = next == null ? length : next * step;
            events.add(new Stroke(events.size(), at * step, end - at * step, Struck.Named.ALL));
            long beat = at * step % bar / Ticks.QUARTER + 1;
            counts.add(beat + PARTS[best][(int) (at % best)]);
        }
        return new Tapping(new Figure("tapped", "tapped", length, events), best, counts, least);
    }

    private static double off(List<Double> seconds, double step) {
        double sum = 0;
        for (double s : seconds) {
            double x = (s - seconds.get(0)) / step;
            sum += Math.pow((x - Math.rint(x)) * step, 2);
        }
        return Math.sqrt(sum / seconds.size());
    }
}
