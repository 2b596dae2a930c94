package vocalis.core.unpick;

import java.util.List;
import java.util.Objects;
import vocalis.core.riff.Derived;
import vocalis.core.riff.Riff;

/**
 * A score taken apart into a recipe.
 *
 * @param riff the recipe
 * @param derived what it comes to
 * @param chords how sure each chord is, in the order of the riff's roots
 * @param lines single notes that no shape explains
 * @param differs bars, counted from 0, that the recipe does not give back note for note
 * @param notes notes of the score
 * @param same notes that the recipe gives back: same string, fret, time and length
 */
public record Unpicked(
        Riff riff,
        Derived derived,
        List<Chord> chords,
        int lines,
        List<Integer> differs,
        int notes,
        int same) {

    /** How sure a chord is. */
    public enum Sure {
        /** The score names it, and its notes are those of the name. */
        NAMED,
        /** Its notes stand together in the score. */
        STRUCK,
        /** Its notes follow each other and fit under a hand. */
        SPREAD,
        /** Voices were added so that it is what the score calls it. */
        COMPLETED,
        /** There is only a line here; the root is a guess. */
        LINE
    }

    /**
     * A chord that was found.
     *
     * @param at ticks from the start
     * @param sure how sure it is
     */
    public record Chord(long at, Sure sure) {}

    public Unpicked {
        Objects.requireNonNull(riff, "riff");
        Objects.requireNonNull(derived, "derived");
        chords = List.copyOf(chords);
        differs = List.copyOf(differs);
    }

    /** Whether the recipe gives back the whole score. */
    public boolean whole() {
        return same == notes && differs.isEmpty();
    }
}
