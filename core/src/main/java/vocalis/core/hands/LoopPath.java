package vocalis.core.hands;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.Family;

/**
 * The way of the hand through a whole riff: one candidate for each chord so that what they cost by
 * themselves and what the changes between them cost is least, the change from the last to the first
 * included. Found by dynamic programming over the candidates (R. Bellman, "Dynamic Programming",
 * 1957), once for each candidate of the chord that has the fewest, since the way must come back to
 * it, the likeliest first and until no other can be better; exact.
 *
 * @param taken for each chord the index of the candidate taken
 * @param cost the whole cost, unitless
 * @param changes cost of each change, the last of them over the seam
 */
public record LoopPath(List<Integer> taken, double cost, List<Double> changes) {

    /**
     * What one chord can take. A riff of one chord has no change.
     *
     * @param shapes at least one
     * @param alone what each costs by itself
     * @param family the chord's family
     * @param root pitch class of the chord's root; −1 where the tune of the roots is nothing to it
     */
    public record Stop(List<Shape> shapes, double[] alone, Family family, int root) {

        /** One whose root is nothing to the way. */
        public Stop(List<Shape> shapes, double[] alone, Family family) {
            this(shapes, alone, family, -1);
        }

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

    public LoopPath {
        taken = List.copyOf(taken);
        changes = List.copyOf(changes);
    }

    /** What the change from a candidate of a chord to one of the next costs. */
    public interface Ways {
        /**
         * The cost.
         *
         * @param from index of the chord that is left
         * @param a index among its candidates
         * @param b index among those of the next chord; after the last the first
         */
        double cost(int from, int a, int b);
    }

    /** The cheapest way around. */
    public static LoopPath around(Fretboard board, List<Stop> stops, Change change) {
        int n = stops.size();
        List<int[]> roots = stops.stream().map(s -> roots(board, s)).toList();
        return around(
                stops.stream().map(Stop::alone).toList(),
                (from, a, b) -> {
                    Stop now = stops.get(from);
                    Stop next = stops.get((from + 1) % n);
                    // Over the seam the tune may begin again wherever it began.
                    boolean tune = from + 1 < n && now.root() >= 0 && next.root() >= 0;
                    return change.cost(
                                    board, now.shapes().get(a), next.shapes().get(b), next.family())
                            + (tune
                                    ? weight(now, a, next, b)
                                            * Change.contour(
                                                    roots.get(from)[a], roots.get(from + 1)[b])
                                    : 0);
                });
    }

    /**
     * How much the tune of the roots is heard: fully in lean shapes of one family, less where the
     * family changes, and little in full chords, whose roots are one note of many.
     */
    private static double weight(Stop now, int a, Stop next, int b) {
        boolean full = now.shapes().get(a).voices() > 3 || next.shapes().get(b).voices() > 3;
        return full ? 0.2 : now.family() == next.family() ? 1 : 0.15;
    }

    /** MIDI number of the lowest root of each shape; of its lowest note where it has none. */
    private static int[] roots(Fretboard board, Stop stop) {
        int[] all = new int[stop.shapes().size()];
        for (int i = 0; i < all.length; i++) {
            Shape shape = stop.shapes().get(i);
            int lowest = Integer.MAX_VALUE;
            int root = Integer.MAX_VALUE;
            for (int s = 0; s < shape.strings(); s++) {
                if (shape.sounds(s)) {
                    int midi = board.midi(s, shape.fret(s));
                    lowest = Math.min(lowest, midi);
                    root = midi % 12 == stop.root() ? Math.min(root, midi) : root;
                }
            }
            all[i] = root == Integer.MAX_VALUE ? lowest : root;
        }
        return all;
    }

    /**
     * The cheapest way around for costs of any kind. A riff of one chord has no change.
     *
     * @param alone for each chord what each of its candidates costs by itself
     */
    public static LoopPath around(List<double[]> alone, Ways costs) {
        int n = alone.size();
        int first = 0;
        for (int i = 1; i < n; i++) {
            first = alone.get(i).length < alone.get(first).length ? i : first;
        }
        List<double[]> turned = new ArrayList<>(alone);
        Collections.rotate(turned, -first);
        double[][][] ways = ways(turned, first, costs);
        int[] best = null;
        double least = Double.POSITIVE_INFINITY;
        double[] atLeast = atLeast(turned, ways);
        for (int start : ascending(atLeast)) {
            if (atLeast[start] >= least) {
                break;
            }
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
        return new LoopPath(taken, least, changes);
    }

    /** What each change costs, by place; of one place alone there is none. */
    private static double[][][] ways(List<double[]> turned, int first, Ways costs) {
        int n = turned.size();
        double[][][] ways = new double[n][][];
        for (int i = 0; i < n; i++) {
            int from = (i + first) % n;
            double[][] table = new double[turned.get(i).length][turned.get((i + 1) % n).length];
            for (int a = 0; a < table.length && n > 1; a++) {
                for (int b = 0; b < table[a].length; b++) {
                    table[a][b] = costs.cost(from, a, b);
                }
            }
            ways[i] = table;
        }
        return ways;
    }

    /**
     * What a way that begins with each candidate of the first chord costs at least: the cheapest
     * that comes back to any of them.
     */
    private static double[] atLeast(List<double[]> stops, double[][][] ways) {
        double[] onward = new double[stops.get(0).length];
        for (int i = stops.size() - 1; i >= 0; i--) {
            double[] alone = stops.get(i);
            double[] from = new double[alone.length];
            for (int a = 0; a < from.length; a++) {
                double least = Double.POSITIVE_INFINITY;
                for (int b = 0; b < onward.length; b++) {
                    least = Math.min(least, ways[i][a][b] + onward[b]);
                }
                from[a] = alone[a] + least;
            }
            onward = from;
        }
        return onward;
    }

    private static int[] ascending(double[] costs) {
        return IntStream.range(0, costs.length)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> costs[i]))
                .mapToInt(Integer::intValue)
                .toArray();
    }

    /** The cheapest way that begins with a candidate of the first chord and comes back to it. */
    private static double from(List<double[]> stops, double[][][] ways, int start, int[] taken) {
        int n = stops.size();
        int[][] before = new int[n][];
        double[] costs = new double[stops.get(0).length];
        Arrays.fill(costs, Double.POSITIVE_INFINITY);
        costs[start] = stops.get(0)[start];
        for (int i = 1; i < n; i++) {
            double[] alone = stops.get(i);
            double[] next = new double[alone.length];
            Arrays.fill(next, Double.POSITIVE_INFINITY);
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
        return closed(costs, ways[n - 1], start, before, taken);
    }

    /** The least way back to where it started; what it takes is written down. */
    private static double closed(
            double[] costs, double[][] seam, int start, int[][] before, int[] taken) {
        int last = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int b = 0; b < costs.length; b++) {
            double cost = costs[b] + seam[b][start];
            if (cost < least) {
                least = cost;
                last = b;
            }
        }
        for (int i = before.length - 1; i > 0; i--) {
            taken[i] = last;
            last = before[i][last];
        }
        taken[0] = start;
        return least;
    }
}
