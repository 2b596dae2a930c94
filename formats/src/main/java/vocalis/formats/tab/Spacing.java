package vocalis.formats.tab;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.rhythm.Meter;

/** Time from the spacing of a bar: the coarsest grid on which everything has a place of its own. */
final class Spacing {

    private static final int[] PER_BEAT = {1, 2, 3, 4, 6, 8, 12, 16};

    /** How far from its place on the grid something may stand, in slots. */
    private static final double TOLERANCE = 0.26;

    private Spacing() {}

    /**
     * When each of some columns comes, in ticks from the bar line.
     *
     * @param columns ascending
     * @param from first column of the bar
     * @param to column of the bar line behind it
     */
    static List<Long> times(List<Integer> columns, int from, int to, Meter meter) {
        if (columns.isEmpty()) {
            return List.of();
        }
        int lead =
                columns.get(0) - from <= 2
                        ? columns.get(0) - from
                        : Math.min(1, columns.get(0) - from);
        double width = Math.max(1, to - from - lead);
        List<Long> best = null;
        for (int per : PER_BEAT) {
            int slots = per * meter.beats();
            List<Long> times = new ArrayList<>();
            double worst = 0;
            boolean apart = true;
            long before = -1;
            for (int c : columns) {
                double exact = (c - from - lead) / width * slots;
                long slot = Math.min(slots - 1, Math.max(0, Math.round(exact)));
                worst = Math.max(worst, Math.abs(exact - slot));
                apart &= slot > before;
                before = slot;
                times.add(slot * meter.barTicks() / slots);
            }
            if (apart && (best == null || worst <= TOLERANCE)) {
                best = times;
                if (worst <= TOLERANCE) {
                    return best;
                }
            }
        }
        return best != null ? best : even(columns.size(), meter);
    }

    /** Too many for any grid: one after another, evenly. */
    private static List<Long> even(int n, Meter meter) {
        List<Long> times = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            times.add(i * meter.barTicks() / n);
        }
        return times;
    }
}
