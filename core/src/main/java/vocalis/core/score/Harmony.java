package vocalis.core.score;

import java.util.List;

/**
 * A chord as it stands over the notes: how long it holds, what it is called, what nobody silences.
 *
 * @param at ticks from the start
 * @param length ticks
 * @param root pitch class of its root, 0 to 11
 * @param bass pitch class that a bass player takes, 0 to 11
 * @param symbol chord symbol; empty where it has none
 * @param free strings that no hand silences while the chord is held: they answer the others
 */
public record Harmony(long at, long length, int root, int bass, String symbol, List<Integer> free) {

    public Harmony {
        free = List.copyOf(free);
        if (at < 0 || length <= 0) {
            throw new IllegalArgumentException(
                    "a chord symbol holds for some time from 0 on, not " + length + " from " + at);
        }
        if (root < 0 || root > 11 || bass < 0 || bass > 11) {
            throw new IllegalArgumentException(
                    "root and bass are pitch classes 0 to 11, but are " + root + " and " + bass);
        }
    }

    /** Where it ends. */
    public long end() {
        return at + length;
    }
}
