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

    private static final int UNISON = 10;
    private static final int FIFTH = 5;
    private static final int THIRD = 3;
    private static final int SEVENTH = 2;
    private static final int SECOND = 1;
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
            weights[c] = byKey[c] + weight(notes, c);
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

    /**
     * How far a pitch class lies behind the best without a key, as a share of the best's support:
     * the same figure without the order of the rest.
     */
    static double behind(Notes notes, int pitchClass) {
        int most = 0;
        int own = 0;
        for (int c = 0; c < 12; c++) {
            int weight = weight(notes, c);
            most = Math.max(most, weight);
            own = c == pitchClass ? weight : own;
        }
        return 1 - own / (double) most;
    }

    private static int weight(Notes notes, int c) {
        return (c == notes.bassClass() ? LOWEST : 0)
                + UNISON * notes.count(c)
                + SECOND * notes.count((c + 2) % 12)
                + THIRD * notes.count((c + 4) % 12)
                + FIFTH * notes.count((c + 7) % 12)
                + SEVENTH * notes.count((c + 10) % 12);
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
