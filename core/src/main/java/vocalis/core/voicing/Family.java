package vocalis.core.voicing;

import java.util.Optional;
import java.util.Set;

/**
 * The voicing families that the program offers so far, each with the digit that chooses it
 * everywhere. What each is and does is common practice among rock guitarists.
 */
public enum Family {
    /** Root and fifth over the root, in any number and order, open strings included. */
    POWER(
            1,
            "Power chord",
            "root and fifth: steady under gain, the key decides minor or major",
            new Recipe(
                    Set.of(0, 7),
                    Set.of(0, 7),
                    Set.of(0),
                    2,
                    6,
                    new Recipe.Range(0, 3),
                    Set.of(),
                    3)),
    /** The fifth below the root on neighbouring strings: 5-1, 5-1-5. */
    FOURTH(
            2,
            "Inverted fourth",
            "the fifth below its root: lean, mobile, heard from the upper note",
            new Recipe(
                    Set.of(0, 7),
                    Set.of(0, 7),
                    Set.of(7),
                    2,
                    3,
                    new Recipe.Range(0, 0),
                    Set.of(5, 7),
                    2)),
    /** One note twice, an octave apart, across one or two silenced strings. */
    OCTAVE(
            4,
            "Octave",
            "one note twice across a silenced string: a line with weight",
            new Recipe(
                    Set.of(0), Set.of(0), Set.of(0), 2, 2, new Recipe.Range(1, 2), Set.of(12), 2));

    private final int digit;
    private final String label;
    private final String effect;
    private final Recipe recipe;

    Family(int digit, String label, String effect, Recipe recipe) {
        this.digit = digit;
        this.label = label;
        this.effect = effect;
        this.recipe = recipe;
    }

    /** The family that a digit chooses. */
    public static Optional<Family> ofDigit(int digit) {
        for (Family f : values()) {
            if (f.digit == digit) {
                return Optional.of(f);
            }
        }
        return Optional.empty();
    }

    /** The digit that chooses it, 1 to 9. */
    public int digit() {
        return digit;
    }

    /** As it is shown. */
    public String label() {
        return label;
    }

    /** What it does to a riff, in one line. */
    public String effect() {
        return effect;
    }

    /** What a voicing must be to belong to it. */
    public Recipe recipe() {
        return recipe;
    }
}
