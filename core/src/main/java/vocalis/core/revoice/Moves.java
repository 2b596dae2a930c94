package vocalis.core.revoice;

import java.util.List;
import vocalis.core.hands.Change;
import vocalis.core.memory.Memory;

/** What the hand's changes between the cells of two roots cost; those of whole roots are kept. */
final class Moves {
    private static final Change HAND = new Change(0);

    private static final int KEPT = 256;

    private record Pair(List<Cell> from, List<Cell> to) {
        @Override
        public boolean equals(Object other) {
            return other instanceof Pair p && p.from == from && p.to == to;
        }

        @Override
        public int hashCode() {
            return 31 * System.identityHashCode(from) + System.identityHashCode(to);
        }
    }

    private final Memory<Pair, double[][]> known = new Memory<>(KEPT);

    double[][] of(List<Cell> from, List<Cell> to) {
        return known.of(new Pair(from, to), Moves::costs);
    }

    private static double[][] costs(Pair pair) {
        double[][] costs = new double[pair.from.size()][pair.to.size()];
        for (int a = 0; a < costs.length; a++) {
            for (int b = 0; b < costs[a].length; b++) {
                costs[a][b] = cost(pair.from.get(a), pair.to.get(b));
            }
        }
        return costs;
    }

    static double cost(Cell a, Cell b) {
        return HAND.cost(a.voicing().board(), a.voicing().shape(), b.voicing().shape(), b.family());
    }
}
