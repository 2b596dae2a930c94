package vocalis.core.voicing;

import static vocalis.core.voicing.Recipe.mask;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import vocalis.core.voicing.Recipe.Opens;
import vocalis.core.voicing.Recipe.Range;

/**
 * The recipes of the nine families, as facts. Which chords belong together is common practice among
 * rock guitarists; degrees are semitones above the root.
 */
final class Recipes {

    private static final int ROOT = mask(0);
    private static final int FIFTH = mask(7);

    /**
     * A third, fifth, sixth or seventh under a chord; ninths and seconds are basses of their own.
     */
    private static final int CHORD_TONES = Recipe.ALL & ~mask(1, 2);

    private static final int POWER = mask(0, 7);
    private static final int MAJOR = mask(0, 4, 7);
    private static final int MINOR = mask(0, 3, 7);
    private static final int DIMINISHED = mask(0, 3, 6);
    private static final int AUGMENTED = mask(0, 4, 8);
    private static final int FLAT_FIVE = mask(0, 4, 6);

    private Recipes() {}

    /** 1-5, 1-5-8, stacks of up to six notes, and open forms, the root lowest. */
    static List<Recipe> power() {
        return List.of(
                new Recipe(
                        Set.of(POWER),
                        ROOT,
                        new Range(2, 6),
                        new Range(0, 3),
                        Set.of(),
                        Opens.CROSSING));
    }

    /** 5-1, 5-1-5 and on, the fifth lowest, on neighbouring strings. */
    static List<Recipe> fourth() {
        return List.of(
                new Recipe(
                        Set.of(POWER),
                        FIFTH,
                        new Range(2, 6),
                        new Range(0, 0),
                        Set.of(5, 7),
                        Opens.AS_FRETTED));
    }

    /** Thirds and tenths, their sixths, doubled ones; sixths over the root. */
    static List<Recipe> third() {
        Set<Integer> thirds = Set.of(mask(0, 3), mask(0, 4));
        return List.of(
                new Recipe(
                        thirds,
                        Recipe.ALL,
                        new Range(2, 2),
                        new Range(0, 3),
                        Set.of(3, 4, 8, 9, 15, 16),
                        Opens.AS_FRETTED),
                new Recipe(
                        thirds,
                        Recipe.ALL,
                        new Range(3, 4),
                        new Range(0, 2),
                        Set.of(),
                        Opens.AS_FRETTED),
                new Recipe(
                        Set.of(mask(0, 8), mask(0, 9)),
                        ROOT,
                        new Range(2, 2),
                        new Range(0, 2),
                        Set.of(8, 9),
                        Opens.AS_FRETTED));
    }

    /** Octaves across silent strings, unisons, and both with strings ringing inside or beside. */
    static List<Recipe> octave() {
        return List.of(
                new Recipe(
                        Set.of(ROOT),
                        ROOT,
                        new Range(2, 3),
                        new Range(0, 3),
                        Set.of(0, 12, 24),
                        Opens.AS_FRETTED),
                new Recipe(
                        Set.of(ROOT),
                        ROOT,
                        new Range(3, 5),
                        new Range(0, 1),
                        Set.of(),
                        Opens.DRONES));
    }

    /** Major, minor, diminished, augmented, flat-five: closed, spread, barred and open. */
    static List<Recipe> triad() {
        return List.of(
                Recipe.chords(
                        Set.of(MAJOR, MINOR, DIMINISHED, AUGMENTED, FLAT_FIVE), Recipe.ALL, 3, 6));
    }

    /**
     * Three and four strings in any inversion, five and six over root, third or fifth; a bass on
     * the root two strings below the rest.
     */
    private static List<Recipe> chords(Set<Integer> chords) {
        return List.of(
                Recipe.chords(chords, CHORD_TONES, 3, 4),
                Recipe.chords(chords, ROOT | FIFTH | mask(3, 4), 5, 6),
                new Recipe(
                        chords,
                        ROOT,
                        new Range(4, 4),
                        new Range(2, 2),
                        Set.of(),
                        Opens.AS_FRETTED));
    }

    static List<Recipe> suspended() {
        Set<Integer> chords = new HashSet<>();
        chords.addAll(
                Recipe.combined(Set.of(POWER), Set.of(mask(2), mask(5), mask(2, 5), mask(6))));
        chords.addAll(Recipe.combined(Set.of(POWER), Set.of(mask(9), mask(2, 9))));
        chords.addAll(
                Recipe.combined(
                        Set.of(MAJOR),
                        Set.of(mask(2), mask(5), mask(9), mask(2, 9), mask(6), mask(2, 5))));
        chords.addAll(
                Recipe.combined(
                        Set.of(MINOR), Set.of(mask(2), mask(5), mask(9), mask(2, 9), mask(2, 5))));
        chords.addAll(
                Recipe.combined(
                        Set.of(mask(0, 4), mask(0, 3)),
                        Set.of(mask(2), mask(9), mask(2, 9), mask(5))));
        chords.add(mask(0, 2, 5));
        chords.add(mask(0, 5, 9));
        List<Recipe> all = new ArrayList<>(chords(chords));
        // A 6/9 lies under one finger over its ninth; sus2 and add9 over it, as in a walking bass.
        Set<Integer> overNinth =
                Set.of(
                        mask(0, 2, 4, 7, 9),
                        mask(0, 2, 3, 7, 9),
                        mask(0, 2, 7),
                        mask(0, 2, 4, 7),
                        mask(0, 2, 3, 7));
        all.add(Recipe.chords(overNinth, mask(2), 3, 6));
        all.add(
                new Recipe(
                        Set.of(mask(0, 2), mask(0, 5)),
                        ROOT,
                        new Range(2, 4),
                        new Range(0, 1),
                        Set.of(),
                        Opens.CROSSING));
        return all;
    }

    /** Sevenths with and without fifth, their extensions and alterations; the dark dyads. */
    static List<Recipe> extended() {
        Set<Integer> sevenths = new HashSet<>();
        int none = 0;
        // Dominants and their tensions; the fifth may be missing, or altered beside few of them.
        int dominant = mask(0, 4, 10);
        sevenths.addAll(
                Recipe.combined(
                        Set.of(dominant, dominant | FIFTH),
                        Set.of(
                                none,
                                mask(2),
                                mask(9),
                                mask(2, 9),
                                mask(5),
                                mask(2, 5),
                                mask(1),
                                mask(3),
                                mask(6),
                                mask(2, 6),
                                mask(8),
                                mask(1, 9),
                                mask(5, 9),
                                mask(2, 5, 9))));
        Set<Integer> altered = Set.of(dominant | mask(6), dominant | mask(8));
        sevenths.addAll(Recipe.combined(altered, Set.of(none, mask(1), mask(2), mask(3))));
        Set<Integer> minor = Recipe.combined(Set.of(mask(0, 3, 10)), Set.of(none, FIFTH, mask(6)));
        sevenths.addAll(
                Recipe.combined(
                        minor,
                        Set.of(
                                none,
                                mask(2),
                                mask(5),
                                mask(2, 5),
                                mask(9),
                                mask(2, 9),
                                mask(2, 5, 9))));
        int major = mask(0, 4, 11);
        sevenths.addAll(
                Recipe.combined(
                        Set.of(major, major | FIFTH),
                        Set.of(
                                none,
                                mask(2),
                                mask(9),
                                mask(2, 9),
                                mask(5),
                                mask(2, 5),
                                mask(5, 9),
                                mask(6))));
        sevenths.addAll(Set.of(major | mask(6), major | mask(8), major | mask(2, 6)));
        Set<Integer> minorMajor =
                Recipe.combined(Set.of(mask(0, 3, 11)), Set.of(none, FIFTH, mask(6)));
        sevenths.addAll(
                Recipe.combined(minorMajor, Set.of(none, mask(2), mask(5), mask(2, 5), mask(9))));
        sevenths.addAll(
                Recipe.combined(
                        Set.of(mask(0, 5, 10), mask(0, 5, 7, 10)),
                        Set.of(none, mask(2), mask(9), mask(2, 9), mask(1))));
        sevenths.addAll(
                Set.of(mask(0, 7, 10), mask(0, 7, 11), mask(0, 2, 7, 10), mask(0, 2, 7, 11)));
        sevenths.addAll(Set.of(mask(0, 3, 6, 9), DIMINISHED, AUGMENTED));
        Set<Integer> darkChords =
                Set.of(mask(0, 1, 7), mask(0, 7, 8), mask(0, 6, 7), mask(0, 6, 11));
        Set<Integer> darkDyads =
                Set.of(mask(0, 6), mask(0, 1), mask(0, 8), mask(0, 10), mask(0, 11));
        List<Recipe> all = new ArrayList<>(chords(sevenths));
        // The plain ones of five and six strings over their altered fifth or their seventh too,
        // ninths over their ninth under one finger.
        Set<Integer> plain =
                Set.of(
                        mask(0, 4, 7, 10),
                        mask(0, 4, 7, 11),
                        mask(0, 3, 7, 10),
                        mask(0, 3, 7, 11),
                        mask(0, 3, 6, 10),
                        mask(0, 3, 6, 9),
                        mask(0, 3, 6, 11),
                        mask(0, 4, 6, 10));
        all.add(Recipe.chords(plain, mask(6, 9, 10, 11), 5, 6));
        Set<Integer> ninths =
                Set.of(mask(0, 2, 4, 7, 10), mask(0, 2, 3, 7, 10), mask(0, 2, 4, 7, 11));
        all.add(Recipe.chords(ninths, mask(2), 5, 5));
        // Plain triads over a bass that is none of their notes.
        Set<Integer> overAnother =
                Set.of(
                        mask(0, 1, 4, 7),
                        mask(0, 1, 3, 7),
                        mask(0, 4, 7, 8),
                        mask(0, 3, 7, 8),
                        mask(0, 3, 4, 7));
        all.add(Recipe.chords(overAnother, mask(1, 3, 4, 8), 4, 6));
        all.add(Recipe.chords(darkChords, ROOT | FIFTH, 3, 4));
        all.add(
                new Recipe(
                        darkDyads,
                        ROOT,
                        new Range(2, 4),
                        new Range(0, 2),
                        Set.of(),
                        Opens.AS_FRETTED));
        return all;
    }

    /** What slides along the neck under ringing strings. */
    static List<Recipe> drone() {
        return List.of(
                new Recipe(
                        Set.of(
                                POWER,
                                mask(0, 4),
                                mask(0, 3),
                                ROOT,
                                MAJOR,
                                MINOR,
                                // Shells of sevenths.
                                mask(0, 3, 10),
                                mask(0, 4, 10)),
                        Recipe.ALL,
                        new Range(3, 6),
                        new Range(0, 1),
                        Set.of(),
                        Opens.DRONES));
    }

    /** Degrees are counted from the root replaced: a seventh a tritone away is 6, 10, 1, 4. */
    static List<Recipe> substitute() {
        Set<Integer> tritone = Set.of(mask(6, 10, 4), mask(6, 10, 1, 4), mask(6, 10, 8, 4));
        Set<Integer> upper =
                Set.of(
                        // The triads on the third, on the sixths; rootless sevenths; the diminished
                        // seventh over the missing root.
                        mask(4, 7, 11),
                        mask(3, 7, 10),
                        mask(9, 0, 4),
                        mask(8, 0, 3),
                        mask(9, 0, 4, 7),
                        mask(4, 7, 10),
                        mask(1, 4, 7, 10),
                        // Ninths without their root.
                        mask(2, 4, 7, 10),
                        mask(2, 3, 7, 10),
                        mask(2, 4, 7, 11),
                        mask(2, 3, 7, 11));
        return List.of(
                Recipe.chords(tritone, mask(6), 3, 5),
                new Recipe(
                        upper,
                        Recipe.ALL,
                        new Range(3, 6),
                        new Range(0, 1),
                        Set.of(),
                        Opens.AS_FRETTED));
    }
}
