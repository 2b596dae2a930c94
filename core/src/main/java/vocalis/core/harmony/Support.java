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
        int[] byKey = new int[12];
        for (int c = 0; c < 12; c++) {
            byKey[c] = c == tonic ? TONIC : (scale >> c & 1) * IN_SCALE;
            weights[c] = byKey[c] + (c == notes.bassClass() ? LOWEST : 0);
            for (int i = 0; i < 12; i++) {
                weights[c] += WEIGHTS[i] * notes.count(c + i < 12 ? c + i : c + i - 12);
            }
        }
        int[] order = new int[12];
        for (int c = 0; c < 12; c++) {
            int at = c;
            while (at > 0 && goesBefore(c, order[at - 1], weights, byKey, notes)) {
                order[at] = order[at - 1];
                at--;
            }
            order[at] = c;
        }
        return new Support(weights, order);
    }

    private static boolean goesBefore(int a, int b, int[] weights, int[] byKey, Notes notes) {
        if (weights[a] != weights[b]) {
            return weights[a] > weights[b];
        }
        if (byKey[a] != byKey[b]) {
            return byKey[a] > byKey[b];
        }
        return notes.lowest()[a] < notes.lowest()[b];
    }

    int best() {
        return order[0];
    }

    int second() {
        return order[1];
    }

    /** How far a pitch class lies behind the best, as a share of the best's support: 0 to 1. */
    double behind(int pitchClass) {
        return 1 - weights[pitchClass] / (double) weights[best()];
    }

    /** Whether the best leads the second by less than {@link HeardRoot#CLEAR_LEAD}. */
    boolean ambiguous() {
        return behind(second()) < HeardRoot.CLEAR_LEAD;
    }

    /** Whether a pitch class is heard as the root: the best, or one that comes too close to it. */
    boolean mayBe(int pitchClass) {
        return pitchClass == best() || (ambiguous() && pitchClass == second());
    }
}
