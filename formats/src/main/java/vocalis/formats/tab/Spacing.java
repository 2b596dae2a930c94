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
        Fit best = null;
        for (int per : PER_BEAT) {
            Fit fit = fit(columns, from + lead, width, per, meter);
            boolean fits = fit.apart && fit.worst <= TOLERANCE;
            if (fits && per % 3 == 0 && fit.worst > EXACT) {
                // Few strokes of sixteenths lie near triplets: what lies on them exactly is theirs.
                Fit binary = fit(columns, from + lead, width, per / 3 * 4, meter);
                fit = binary.apart && binary.worst <= EXACT ? binary : fit;
            }
            if (fits) {
                return fit.times;
            }
            best = best == null && fit.apart ? fit : best;
        }
        return best != null ? best.times : even(columns.size(), meter);
    }

    /** How far something typed on a grid may stand from it, in slots. */
    private static final double EXACT = 0.02;

    /** Columns on a grid: their times, the farthest from its place, whether each has its own. */
    private record Fit(List<Long> times, double worst, boolean apart) {}

    private static Fit fit(List<Integer> columns, int from, double width, int per, Meter meter) {
        int slots = per * meter.beats();
        List<Long> times = new ArrayList<>();
        double worst = 0;
        boolean apart = true;
        long before = -1;
        for (int c : columns) {
            double exact = (c - from) / width * slots;
            long slot = Math.min(slots - 1, Math.max(0, Math.round(exact)));
            worst = Math.max(worst, Math.abs(exact - slot));
            apart &= slot > before;
            before = slot;
            times.add(slot * meter.barTicks() / slots);
        }
        return new Fit(times, worst, apart);
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
