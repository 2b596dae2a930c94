package vocalis.core.names;

import java.util.Optional;
import vocalis.core.theory.Key;
import vocalis.core.theory.PitchClassSet;
import vocalis.core.voicing.BareVoicing;

/**
 * How much the sounding notes support each pitch class as their root; {@link HeardRoot} has the
 * rule and its source, this is its arithmetic.
 *
 * @param weights support of each of the twelve pitch classes
 * @param order the pitch classes, best supported first; ties by key, then by the lower note
 */
public record Support(int[] weights, int[] order) {

    /** Least lead, as a share of the winner's support, that counts as clear. */
    static final double CLEAR_LEAD = 0.10;

    private static final int UNISON = 10;
    private static final int FIFTH = 5;
    private static final int THIRD = 3;
    private static final int SEVENTH = 2;
    private static final int SECOND = 1;
    private static final int LOWEST = 2;
    private static final int TONIC = 3;
    private static final int IN_SCALE = 1;

    static Support of(Notes notes, Optional<Key> key) {
        PitchClassSet scale = key.map(Key::pitchClasses).orElse(PitchClassSet.NONE);
        int tonic = key.isPresent() ? key.get().tonic().pitchClass() : -1;
        long counts = counted(notes);
        int[] weights = new int[12];
        int[] byKey = new int[12];
        for (int c = 0; c < 12; c++) {
            byKey[c] = c == tonic ? TONIC : scale.has(c) ? IN_SCALE : 0;
            weights[c] = byKey[c] + weight(counts, c) + (c == notes.bassClass() ? LOWEST : 0);
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
     * How far a voicing's root lies behind the best without a key, as a share of the best's
     * support. Asked of every voicing that is found, it counts the notes in one number, four bits a
     * pitch class above the root.
     */
    static double behind(BareVoicing v) {
        long counts = 0;
        int bass = Notes.NONE;
        for (int string = 0; string < v.strings(); string++) {
            if (v.sounds(string)) {
                int above = v.midi(string) + 12 - v.root();
                counts += 1L << above % 12 * 4;
                bass = Math.min(bass, above);
            }
        }
        int most = 0;
        int own = 0;
        for (int c = 0; c < 12; c++) {
            int weight = weight(counts, c) + (c == bass % 12 ? LOWEST : 0);
            most = Math.max(most, weight);
            own = c == 0 ? weight : own;
        }
        return 1 - own / (double) most;
    }

    private static int weight(long counts, int c) {
        return UNISON * count(counts, c)
                + SECOND * count(counts, c + 2)
                + THIRD * count(counts, c + 4)
                + FIFTH * count(counts, c + 7)
                + SEVENTH * count(counts, c + 10);
    }

    private static int count(long counts, int pitchClass) {
        return (int) (counts >> pitchClass % 12 * 4 & 15);
    }

    private static long counted(Notes notes) {
        long counts = 0;
        for (int c = 0; c < 12; c++) {
            counts |= (long) notes.count(c) << c * 4;
        }
        return counts;
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

    /** Whether the best leads the second by less than {@link #CLEAR_LEAD}. */
    boolean ambiguous() {
        return behind(second()) < CLEAR_LEAD;
    }

    /** Whether a pitch class is heard as the root: the best, or one that comes too close to it. */
    boolean mayBe(int pitchClass) {
        return pitchClass == best() || (ambiguous() && pitchClass == second());
    }
}
