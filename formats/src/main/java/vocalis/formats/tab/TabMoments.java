package vocalis.formats.tab;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/** When things stand in a bar, by column. */
final class TabMoments {

    private TabMoments() {}

    static int gcd(int a, int b) {
        return b == 0 ? a : gcd(b, a % b);
    }

    /** The moment that a token belongs to: numbers over each other begin together. */
    static TabMoment moment(TreeMap<Integer, TabMoment> moments, TabToken t, boolean exact) {
        if (exact) {
            return moments.computeIfAbsent(t.lead(), c -> new TabMoment(c, new TreeMap<>()));
        }
        Map.Entry<Integer, TabMoment> before = moments.floorEntry(t.column());
        if (before != null && overlaps(before.getValue(), t)) {
            return before.getValue();
        }
        Map.Entry<Integer, TabMoment> after = moments.higherEntry(t.column());
        if (after != null
                && t.width() > 1
                && after.getKey() < t.column() + Math.min(2, t.width())) {
            return after.getValue();
        }
        return moments.computeIfAbsent(t.column(), c -> new TabMoment(c, new TreeMap<>()));
    }

    static boolean overlaps(TabMoment m, TabToken t) {
        if (m.column() == t.column()) {
            return true;
        }
        return m.tokens().values().stream()
                .anyMatch(o -> o.width() > 1 && t.column() < o.column() + Math.min(2, o.width()));
    }

    static long late(String[] parts) {
        return parts.length == 2 && parts[1].matches("\\d{1,9}") ? Long.parseLong(parts[1]) : 0;
    }

    /** When a chord begins that stands over a column: with the strokes nearest to it. */
    static long when(int column, List<TabMoment> all, List<Long> times) {
        int nearest = 0;
        for (int i = 1; i < all.size(); i++) {
            int there = Math.abs(all.get(i).column() - column);
            nearest = there < Math.abs(all.get(nearest).column() - column) ? i : nearest;
        }
        return nearest == 0 ? 0 : times.get(nearest);
    }
}
