package vocalis.core.names;

import java.util.Objects;
import java.util.OptionalInt;

/**
 * What stands around a chord in a riff and speaks for one of its names. Pitch classes 0 to 11.
 *
 * @param chosen the root that the chord is built for
 * @param before root of the chord before
 * @param after root of the chord after
 * @param bassBefore bass of the chord before
 */
public record Around(
        OptionalInt chosen, OptionalInt before, OptionalInt after, OptionalInt bassBefore) {

    /** Nothing is known. */
    public static final Around NOTHING =
            new Around(
                    OptionalInt.empty(),
                    OptionalInt.empty(),
                    OptionalInt.empty(),
                    OptionalInt.empty());

    public Around {
        Objects.requireNonNull(chosen, "chosen");
        Objects.requireNonNull(before, "before");
        Objects.requireNonNull(after, "after");
        Objects.requireNonNull(bassBefore, "bassBefore");
    }

    /** A chord by itself, built for a root. */
    public static Around root(int pitchClass) {
        return new Around(
                OptionalInt.of(pitchClass),
                OptionalInt.empty(),
                OptionalInt.empty(),
                OptionalInt.empty());
    }

    /** The same for a chord built for another root. */
    public Around on(int root) {
        return new Around(OptionalInt.of(root), before, after, bassBefore);
    }

    /** The same between two chords, given by their roots and the first one's bass. */
    public Around between(int rootBefore, int bass, int rootAfter) {
        return new Around(
                chosen,
                OptionalInt.of(rootBefore),
                OptionalInt.of(rootAfter),
                OptionalInt.of(bass));
    }

    private static final double CHOSEN = 0.9;
    private static final double FALLS_A_FIFTH = 0.3;
    private static final double BASS_WALKS = 0.5;

    /**
     * What a name costs less for standing here: on the root chosen; on a root that falls a fifth
     * into the next; on the root before while the bass walks by a step. Weights set by hand.
     */
    double favour(int root, int bass) {
        double sum = is(chosen, root) ? CHOSEN : 0;
        sum += after.isPresent() && (after.getAsInt() + 7) % 12 == root ? FALLS_A_FIFTH : 0;
        if (is(before, root) && root != bass && bassBefore.isPresent()) {
            int step = Math.floorMod(bass - bassBefore.getAsInt(), 12);
            sum += step <= 2 && step > 0 || step >= 10 ? BASS_WALKS : 0;
        }
        return sum;
    }

    static boolean is(OptionalInt a, int pitchClass) {
        return a.isPresent() && a.getAsInt() == pitchClass;
    }
}
