package vocalis.core.voicing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import vocalis.core.voicing.Recipe.Opens;
import vocalis.core.voicing.Recipe.Range;

/**
 * The nine voicing families, each with the digit that chooses it everywhere. What each is and does
 * is common practice among rock guitarists. A family is one recipe or several over the same search.
 */
public enum Family {
    /** Root and fifth over the root, in any number and order, open strings included. */
    POWER(
            1,
            "Power chord",
            "Power",
            "root and fifth: steady under gain, the key decides minor or major"),
    /** The fifth below the root on neighbouring strings: 5-1, 5-1-5. */
    FOURTH(
            2,
            "Inverted fourth",
            "Fourth",
            "the fifth below its root: lean, mobile, heard from above"),
    /** Root with its minor or major third, sixth or tenth. */
    THIRD(
            3,
            "Third",
            "Third",
            "says minor or major with two notes; rougher than a fifth under gain"),
    /** One note an octave apart across silenced strings, or around one that rings. */
    OCTAVE(4, "Octave", "Octave", "one note twice across a silenced string: a line with weight"),
    /** Three neighbouring strings, and open-position forms. */
    TRIAD(5, "Triad", "Triad", "root, third and fifth: the chord's quality at little effort"),
    /** sus2, sus4, add9, add11, 6, a sharp eleventh over a fifth. */
    SUSPENDED(6, "Suspended and added", "Sus, add", "motion inside one chord"),
    /** Sevenths, ninths, elevenths, diminished, augmented, altered. */
    EXTENDED(7, "Extended and altered", "Extended", "colour, and tension that wants to move"),
    /** A movable shape with open strings ringing above, below or inside it. */
    DRONE(8, "Open drone", "Drone", "large; the strings that ring tie the chords together"),
    /** A dominant seventh a tritone away, or an upper shape in place of the chord. */
    SUBSTITUTE(9, "Substitute", "Substitute", "surprise: another chord in the place of this one");

    private final int digit;
    private final String label;
    private final String shortLabel;
    private final String effect;
    private final List<Recipe> recipes;

    Family(int digit, String label, String shortLabel, String effect) {
        this.digit = digit;
        this.label = label;
        this.shortLabel = shortLabel;
        this.effect = effect;
        this.recipes = List.copyOf(recipesOf(digit));
    }

    private static List<Recipe> recipesOf(int digit) {
        return switch (digit) {
            case 1 -> power();
            case 2 -> fourth();
            case 3 -> third();
            case 4 -> octave();
            case 5 -> triad();
            case 6 -> suspended();
            case 7 -> extended();
            case 8 -> drone();
            default -> substitute();
        };
    }

    private static List<Recipe> power() {
        Set<Integer> five = Set.of(0, 7);
        return List.of(
                new Recipe(
                        five,
                        five,
                        Set.of(0),
                        new Range(2, 6),
                        new Range(0, 3),
                        Set.of(),
                        Opens.AS_FRETTED,
                        3));
    }

    private static List<Recipe> fourth() {
        Set<Integer> five = Set.of(0, 7);
        return List.of(
                new Recipe(
                        five,
                        five,
                        Set.of(7),
                        new Range(2, 3),
                        new Range(0, 0),
                        Set.of(5, 7),
                        Opens.AS_FRETTED,
                        2));
    }

    /** Thirds and tenths over the root, sixths under it. */
    private static List<Recipe> third() {
        List<Recipe> all = new ArrayList<>();
        for (int third : new int[] {3, 4}) {
            Set<Integer> pair = Set.of(0, third);
            all.add(
                    new Recipe(
                            pair,
                            pair,
                            pair,
                            new Range(2, 2),
                            new Range(0, 3),
                            Set.of(third, 12 - third, 12 + third),
                            Opens.AS_FRETTED,
                            2));
        }
        return all;
    }

    private static List<Recipe> octave() {
        Set<Integer> one = Set.of(0);
        return List.of(
                new Recipe(
                        one,
                        one,
                        one,
                        new Range(2, 2),
                        new Range(1, 2),
                        Set.of(12),
                        Opens.AS_FRETTED,
                        2),
                new Recipe(
                        one,
                        one,
                        one,
                        new Range(3, 3),
                        new Range(0, 1),
                        Set.of(),
                        Opens.DRONE_INSIDE,
                        2));
    }

    private static List<Recipe> triad() {
        List<Recipe> all = new ArrayList<>();
        for (Set<Integer> t :
                List.of(Set.of(0, 4, 7), Set.of(0, 3, 7), Set.of(0, 3, 6), Set.of(0, 4, 8))) {
            all.add(Recipe.all(t, t, new Range(3, 3), 0));
        }
        for (Set<Integer> t : List.of(Set.of(0, 4, 7), Set.of(0, 3, 7))) {
            all.add(Recipe.all(t, Set.of(0), new Range(4, 6), 0).opening(Opens.OPEN_POSITION));
        }
        return all;
    }

    private static List<Recipe> suspended() {
        List<Recipe> all = new ArrayList<>();
        for (Set<Integer> three : List.of(Set.of(0, 2, 7), Set.of(0, 5, 7), Set.of(0, 6, 7))) {
            all.add(Recipe.all(three, Set.of(0, 7), new Range(3, 3), 1));
            all.add(Recipe.all(three, Set.of(0), new Range(4, 4), three.contains(6) ? 1 : 0));
        }
        List<Set<Integer>> four =
                List.of(
                        Set.of(0, 2, 4, 7),
                        Set.of(0, 2, 3, 7),
                        Set.of(0, 4, 5, 7),
                        Set.of(0, 3, 5, 7),
                        Set.of(0, 4, 7, 9),
                        Set.of(0, 3, 7, 9));
        for (Set<Integer> set : four) {
            all.add(Recipe.all(set, Set.of(0), new Range(4, 5), 0));
        }
        return all;
    }

    private static List<Recipe> extended() {
        List<Set<Integer>> shells =
                List.of(
                        Set.of(0, 4, 10),
                        Set.of(0, 3, 10),
                        Set.of(0, 4, 11),
                        Set.of(0, 5, 10),
                        Set.of(0, 3, 6),
                        Set.of(0, 4, 8));
        List<Set<Integer>> full =
                List.of(
                        Set.of(0, 4, 7, 10),
                        Set.of(0, 3, 7, 10),
                        Set.of(0, 4, 7, 11),
                        Set.of(0, 3, 7, 11),
                        Set.of(0, 5, 7, 10),
                        Set.of(0, 2, 4, 10),
                        Set.of(0, 2, 3, 10),
                        Set.of(0, 2, 4, 11),
                        Set.of(0, 3, 5, 10),
                        Set.of(0, 3, 6, 10),
                        Set.of(0, 3, 6, 9),
                        Set.of(0, 4, 6, 10),
                        Set.of(0, 4, 8, 10),
                        Set.of(0, 1, 4, 10),
                        Set.of(0, 3, 4, 10));
        List<Set<Integer>> wide =
                List.of(
                        Set.of(0, 2, 4, 7, 10),
                        Set.of(0, 2, 3, 7, 10),
                        Set.of(0, 2, 4, 7, 11),
                        Set.of(0, 2, 5, 7, 10));
        List<Recipe> all = new ArrayList<>();
        shells.forEach(s -> all.add(Recipe.all(s, Set.of(0), new Range(3, 3), 1)));
        full.forEach(s -> all.add(Recipe.all(s, Set.of(0), new Range(4, 4), 1)));
        wide.forEach(s -> all.add(Recipe.all(s, Set.of(0), new Range(5, 5), 0)));
        return all;
    }

    private static List<Recipe> drone() {
        List<Recipe> all = new ArrayList<>();
        all.add(droneOver(Set.of(0, 7), Set.of(0, 7)));
        all.add(droneOver(Set.of(0, 4), Set.of(0, 4)));
        all.add(droneOver(Set.of(0, 3), Set.of(0, 3)));
        return all;
    }

    private static Recipe droneOver(Set<Integer> fretted, Set<Integer> required) {
        return new Recipe(
                fretted,
                required,
                fretted,
                new Range(4, 6),
                new Range(0, 0),
                Set.of(),
                Opens.DRONES,
                5);
    }

    /**
     * Degrees are counted from the root replaced: the seventh chord a tritone away is 6, 10, 1, 4.
     */
    private static List<Recipe> substitute() {
        return List.of(
                Recipe.all(Set.of(6, 10, 4), Set.of(6), new Range(3, 3), 1),
                Recipe.all(Set.of(6, 10, 1, 4), Set.of(6), new Range(4, 4), 1),
                Recipe.all(Set.of(4, 7, 11), Set.of(4, 7, 11), new Range(3, 3), 0),
                Recipe.all(Set.of(3, 7, 10), Set.of(3, 7, 10), new Range(3, 3), 0),
                Recipe.all(Set.of(9, 0, 4, 7), Set.of(9), new Range(4, 4), 1),
                Recipe.all(Set.of(8, 0, 3), Set.of(8, 0, 3), new Range(3, 3), 0));
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

    /** What it does to a riff, in one line. */
    public String effect() {
        return effect;
    }

    /** What a voicing must be to belong to it: one of these. */
    public List<Recipe> recipes() {
        return recipes;
    }

    /** Whether a voicing belongs to it. */
    public boolean accepts(Voicing voicing) {
        return recipes.stream().anyMatch(r -> r.accepts(voicing));
    }

    /** The thickness that players take where nothing else is said. */
    public int usualVoices() {
        return recipes.get(0).usualVoices();
    }
}
