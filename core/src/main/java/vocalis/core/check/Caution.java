package vocalis.core.check;

import java.util.List;
import vocalis.core.derive.Finding;
import vocalis.core.hands.WhileHeld;

/** Something in a riff that a player would stumble over. Words are made where it is shown. */
public sealed interface Caution {

    /** Index of the chord that it concerns. */
    int chord();

    /** Ticks from the start of the riff. */
    long at();

    /** What is not played as it is written. */
    record NotPlayed(long at, Finding finding) implements Caution {
        @Override
        public int chord() {
            return finding.chord();
        }
    }

    /** No hand of the set size holds the shape. */
    record OutOfReach(int chord, long at) implements Caution {}

    /**
     * The fingers reach past what is comfortable.
     *
     * @param mm how far
     * @param comfortableMm how far is
     */
    record WideReach(int chord, long at, double mm, double comfortableMm) implements Caution {}

    /**
     * A hammer-on or pull-off between frets that lie farther apart than the hand reaches.
     *
     * @param from fret that stays held
     * @param to fret that is hammered, or the other way round
     * @param mm how far apart they lie
     */
    record WideJoin(int chord, long at, int from, int to, double mm) implements Caution {}

    /**
     * Something is done on one string that the fingers holding the others do not let happen.
     *
     * @param string string index, 0 is the lowest
     * @param from fret that the string sounded on
     * @param to fret that it is to go to; the same for a bend
     */
    record NotWhileHeld(
            int chord,
            long at,
            int string,
            int from,
            int to,
            WhileHeld.Movement way,
            WhileHeld.Blocked why)
            implements Caution {}

    /**
     * The hand has to travel far in little time.
     *
     * @param at where the next chord begins, or the end of the loop for the seam
     * @param mm how far
     * @param seconds in how much time
     * @param seam whether it leads back to the beginning
     */
    record FarChange(int chord, long at, double mm, double seconds, boolean seam)
            implements Caution {}

    /**
     * Strings that nothing silences while the chord is struck.
     *
     * @param strings string indices, 0 is the lowest
     */
    record Unsilenced(int chord, long at, List<Integer> strings) implements Caution {
        public Unsilenced {
            strings = List.copyOf(strings);
        }
    }

    /** The last root is the first: the loop stands still at its seam. */
    record StillSeam(int chord, long at) implements Caution {}

    /**
     * A figure that runs on is cut where the loop comes round.
     *
     * @param bars after how many bars it would come round by itself
     * @param meets whether it meets the one again before
     */
    record Cut(int chord, long at, long bars, boolean meets) implements Caution {}
}
