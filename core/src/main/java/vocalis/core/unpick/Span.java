package vocalis.core.unpick;

import java.util.Map;

/**
 * A stretch under one shape.
 *
 * @param frets string to fret
 * @param together those of them that were struck together with others
 * @param largest the stroke of most notes
 * @param harmony index of the chord that the score names there; −1 for none
 */
record Span(
        long at,
        long length,
        Map<Integer, Integer> frets,
        Map<Integer, Integer> together,
        Map<Integer, Integer> largest,
        int harmony) {
    /** Whether one stroke has all of it. */
    boolean whole() {
        return largest.equals(frets);
    }

    boolean struck() {
        return !together.isEmpty();
    }

    long end() {
        return at + length;
    }
}
