package vocalis.core.choice;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.Family;

/**
 * The way of the hand through a whole riff: one candidate for each chord so that what they cost by
 * themselves and what the changes between them cost is least, the change from the last to the first
 * included. Found by dynamic programming over the candidates (R. Bellman, "Dynamic Programming",
 * 1957), once for each candidate of the chord that has the fewest, since the way must come back to
 * it; exact.
 *
 * @param taken for each chord the index of the candidate taken
 * @param cost the whole cost, unitless
 * @param changes cost of each change, the last of them over the seam
 */
public record Path(List<Integer> taken, double cost, List<Double> changes) {

    /**
     * What one chord can take. A riff of one chord has no change.
     *
     * @param shapes at least one
     * @param alone what each costs by itself
     * @param family the chord's family
     */
    public record Stop(List<Shape> shapes, double[] alone, Family family) {
        public Stop {
            shapes = List.copyOf(shapes);
            if (shapes.isEmpty() || shapes.size() != alone.length) {
                throw new IllegalArgumentException("a stop has shapes and a cost for each");
            }
            for (double cost : alone) {
                if (!Double.isFinite(cost)) {
                    throw new IllegalArgumentException("a cost is finite, not " + cost);
                }
            }
        }
    }

    public Path {
        taken = List.copyOf(taken);
        changes = List.copyOf(changes);
    }

    /** The cheapest way around. */
    public static Path around(Fretboard board, List<Stop> stops, Change change) {
        int n = stops.size();
        int first = 0;
        for (int i = 1; i < n; i++) {
            first = stops.get(i).shapes().size() < stops.get(first).shapes().size() ? i : first;
        }
        List<Stop> turned = new ArrayList<>(stops);
        Collections.rotate(turned, -first);
        double[][][] ways = new double[n][][];
        for (int i = 0; i < n; i++) {
            ways[i] = ways(board, turned.get(i), turned.get((i + 1) % n), change);
        }
        int[] best = null;
        double least = Double.POSITIVE_INFINITY;
        for (int start = 0; start < turned.get(0).shapes().size(); start++) {
            int[] taken = new int[n];
            double cost = from(turned, ways, start, taken);
            if (cost < least) {
                least = cost;
                best = taken;
            }
        }
        List<Integer> taken = new ArrayList<>();
        List<Double> changes = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            taken.add(best[i]);
            changes.add(ways[i][best[i]][best[(i + 1) % n]]);
        }
        Collections.rotate(taken, first);
        Collections.rotate(changes, first);
        return new Path(taken, least, changes);
    }

    private static double[][] ways(Fretboard board, Stop from, Stop to, Change change) {
        double[][] ways = new double[from.shapes().size()][to.shapes().size()];
        if (from == to) {
            return ways;
        }
        for (int a = 0; a < ways.length; a++) {
            for (int b = 0; b < ways[a].length; b++) {
                ways[a][b] =
                        change.cost(board, from.shapes().get(a), to.shapes().get(b), to.family());
            }
        }
        return ways;
    }

    /** The cheapest way that begins with a candidate of the first chord and comes back to it. */
    private static double from(List<Stop> stops, double[][][] ways, int start, int[] taken) {
        int n = stops.size();
        int[][] before = new int[n][];
        double[] costs = new double[stops.get(0).shapes().size()];
        java.util.Arrays.fill(costs, Double.POSITIVE_INFINITY);
        costs[start] = stops.get(0).alone()[start];
        for (int i = 1; i < n; i++) {
            double[] alone = stops.get(i).alone();
            double[] next = new double[alone.length];
            java.util.Arrays.fill(next, Double.POSITIVE_INFINITY);
            before[i] = new int[alone.length];
            for (int a = 0; a < costs.length; a++) {
                double sofar = costs[a];
                double[] way = ways[i - 1][a];
                if (sofar == Double.POSITIVE_INFINITY) {
                    continue;
                }
                for (int b = 0; b < next.length; b++) {
                    double cost = sofar + way[b];
                    if (cost < next[b]) {
                        next[b] = cost;
                        before[i][b] = a;
                    }
                }
            }
            for (int b = 0; b < next.length; b++) {
                next[b] += alone[b];
            }
            costs = next;
        }
        int last = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int b = 0; b < costs.length; b++) {
            double cost = costs[b] + ways[n - 1][b][start];
            if (cost < least) {
                least = cost;
                last = b;
            }
        }
        for (int i = n - 1; i > 0; i--) {
            taken[i] = last;
            last = before[i][last];
        }
        taken[0] = start;
        return least;
    }
}
