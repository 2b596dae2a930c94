package vocalis.core.unpick;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import vocalis.core.derive.Derived;
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
 * @param second what a second guitar plays over the same roots, where the file has one
 */
public record Unpicked(
        Riff riff,
        Derived derived,
        List<Chord> chords,
        int lines,
        List<Integer> differs,
        int notes,
        int same,
        Optional<Second> second) {

    /**
     * What another guitar plays.
     *
     * @param riff its own shapes, figures and touches over the first guitar's roots
     * @param notes of its score
     * @param same notes that its recipe gives back
     */
    public record Second(Riff riff, int notes, int same) {
        public Second {
            Objects.requireNonNull(riff, "riff");
        }
    }

    /** The same with a second guitar. */
    public Unpicked with(Second other) {
        return new Unpicked(riff, derived, chords, lines, differs, notes, same, Optional.of(other));
    }

    /** How sure a chord is. */
    public enum Sure {
        /** The score names it, and its notes are notes of the name. */
        NAMED,
        /** One stroke has all its notes, and no other reading is near. */
        STRUCK,
        /** One stroke has all its notes, but they may as well be read from another root. */
        NEAR,
        /** Its notes follow each other and fit under a hand. */
        SPREAD,
        /** The score calls it something that its notes are not. */
        OTHERWISE,
        /** There is only a line here; the root is a guess. */
        LINE;

        /** Whether it can be said without a doubt. */
        public boolean certain() {
            return this == NAMED || this == STRUCK;
        }
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
        Objects.requireNonNull(second, "second");
        Objects.requireNonNull(derived, "derived");
        chords = List.copyOf(chords);
        differs = List.copyOf(differs);
    }

    /** Whether the recipe gives back the whole score. */
    public boolean whole() {
        return same == notes && differs.isEmpty();
    }
}
