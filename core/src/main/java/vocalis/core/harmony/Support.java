package vocalis.core.harmony;

import java.util.Optional;
import vocalis.core.theory.Key;

/**
 * How much the sounding notes support each pitch class as their root; {@link HeardRoot} has the
 * rule and its source, this is its arithmetic.
 *
 * @param weights support of each of the twelve pitch classes
 * @param order the pitch classes, best supported first; ties by key, then by the lower note
 */
record Support(int[] weights, int[] order) {

    private static final int[] WEIGHTS = {10, 0, 1, 0, 3, 0, 0, 5, 0, 0, 2, 0};
    private static final int LOWEST = 2;
    private static final int TONIC = 3;
    private static final int IN_SCALE = 1;

    static Support of(Notes notes, Optional<Key> key) {
        int scale = key.isPresent() ? key.get().mask() : 0;
        int tonic = key.isPresent() ? key.get().tonic().pitchClass() : -1;
        int[] weights = new int[12];
        int[] rank = new int[12];
        int[] order = new int[12];
        for (int c = 0; c < 12; c++) {
            int sum = c == notes.bassClass() ? LOWEST : 0;
            for (int i = 0; i < 12; i++) {
                sum += WEIGHTS[i] * notes.count(c + i < 12 ? c + i : c + i - 12);
            }
            int byKey = c == tonic ? TONIC : (scale >> c & 1) * IN_SCALE;
            weights[c] = sum + byKey;
            int low = notes.lowest()[c] == Notes.NONE ? Notes.NONE + c : notes.lowest()[c];
            rank[c] = (weights[c] * 4 + byKey) * 2048 - low;
            int at = c;
            while (at > 0 && rank[order[at - 1]] < rank[c]) {
                order[at] = order[at - 1];
                at--;
            }
            order[at] = c;
        }
        return new Support(weights, order);
    }

    int best() {
        return order[0];
    }

    int second() {
        return order[1];
    }

    /** Whether the best leads the second by less than {@link HeardRoot#CLEAR_LEAD}. */
    boolean ambiguous() {
        int lead = weights[best()] - weights[second()];
        return lead < HeardRoot.CLEAR_LEAD * weights[best()];
    }

    /** Whether a pitch class is heard as the root: the best, or one that comes too close to it. */
    boolean mayBe(int pitchClass) {
        return pitchClass == best() || (ambiguous() && pitchClass == second());
    }
}
