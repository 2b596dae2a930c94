package vocalis.core.voicing;

import java.util.List;
import java.util.Optional;

/**
 * The nine voicing families, each with the digit that chooses it everywhere. What each is and does
 * is common practice among rock guitarists. A family is one recipe or several over the same search.
 */
public enum Family {
    /** Root and fifth over the root, in any number and order, open strings included. */
    POWER(1, "Power chord", "Power"),
    /** The fifth below the root on neighbouring strings: 5-1, 5-1-5. */
    FOURTH(2, "Inverted fourth", "Fourth"),
    /** Root with its minor or major third, sixth or tenth. */
    THIRD(3, "Third", "Third"),
    /** One note an octave apart across silenced strings, or around one that rings. */
    OCTAVE(4, "Octave", "Octave"),
    /** Three neighbouring strings, and open-position forms. */
    TRIAD(5, "Triad", "Triad"),
    /** sus2, sus4, add9, add11, 6, a sharp eleventh over a fifth. */
    SUSPENDED(6, "Suspended and added", "Sus, add"),
    /** Sevenths, ninths, elevenths, diminished, augmented, altered. */
    EXTENDED(7, "Extended and altered", "Extended"),
    /** A movable shape with open strings ringing above, below or inside it. */
    DRONE(8, "Open drone", "Drone"),
    /** A dominant seventh a tritone away, or an upper shape in place of the chord. */
    SUBSTITUTE(9, "Substitute", "Substitute");

    private final int digit;
    private final String label;
    private final String shortLabel;
    private final List<Recipe> recipes;

    Family(int digit, String label, String shortLabel) {
        this.digit = digit;
        this.label = label;
        this.shortLabel = shortLabel;
        this.recipes = List.copyOf(recipesOf(digit));
    }

    private static List<Recipe> recipesOf(int digit) {
        return switch (digit) {
            case 1 -> Recipes.power();
            case 2 -> Recipes.fourth();
            case 3 -> Recipes.third();
            case 4 -> Recipes.octave();
            case 5 -> Recipes.triad();
            case 6 -> Recipes.suspended();
            case 7 -> Recipes.extended();
            case 8 -> Recipes.drone();
            default -> Recipes.substitute();
        };
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

    /** As it is shown where there is little room. */
    public String shortLabel() {
        return shortLabel;
    }

    /** What a voicing must be to belong to it: one of these. */
    public List<Recipe> recipes() {
        return recipes;
    }

    /** Whether a voicing belongs to it. */
    public boolean accepts(Voicing voicing) {
        return recipes.stream().anyMatch(r -> r.accepts(voicing));
    }
}
