package vocalis.workbench.listening;

import java.util.List;

/**
 * A stroke of a riff as it was played, or one too many.
 *
 * @param bar from 1
 * @param tick from the beginning of the riff; of the nearest stroke for one too many
 * @param ms how late it came, below 0 early; 0 for one that is missing
 * @param state what became of it
 * @param strings what was not as written
 * @param muted whether it was stopped
 */
public record Played(
        int bar, long tick, double ms, State state, List<StringFault> strings, boolean muted) {

    /** What became of a stroke. */
    public enum State {
        RIGHT,
        EARLY,
        LATE,
        MISSING,
        EXTRA,
        WRONG
    }

    /** What a string did that is not written. */
    public enum What {
        RANG,
        SILENT,
        OFF
    }

    /**
     * A string that was not as written.
     *
     * @param string 0 for the lowest
     * @param fret that was heard, or that is written where nothing was
     */
    public record StringFault(int string, What what, int fret) {}

    public Played {
        strings = List.copyOf(strings);
    }
}
