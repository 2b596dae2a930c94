package vocalis.core.score;

import java.util.List;
import java.util.Optional;

/**
 * The notes that begin together.
 *
 * @param at ticks from the start
 * @param notes lowest string first, at least one
 */
public record Onset(long at, List<ScoreNote> notes) {

    public Onset {
        notes = List.copyOf(notes);
        if (notes.isEmpty()) {
            throw new IllegalArgumentException("an onset has at least one note");
        }
    }

    /** Longest written length. */
    public long length() {
        return notes.stream().mapToLong(ScoreNote::length).max().orElseThrow();
    }

    public long end() {
        return at + length();
    }

    /** The note on a string. */
    public Optional<ScoreNote> note(int string) {
        return notes.stream().filter(n -> n.string() == string).findFirst();
    }

    public Manner manner() {
        return notes.get(0).manner();
    }

    public Dynamics dynamics() {
        return notes.get(0).dynamics();
    }

    public boolean down() {
        return notes.get(0).down();
    }

    /** Where they come from; they share it. */
    public Optional<Origin> origin() {
        return notes.get(0).origin();
    }

    /** Whether the palm or the fingers keep it short. */
    public boolean muted() {
        return manner().palm() || manner() == Manner.DEAD;
    }

    /** Whether all of it goes on from before. */
    public boolean tied() {
        return notes.stream().allMatch(ScoreNote::tied);
    }
}
