package vocalis.core.voicing;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import vocalis.core.theory.PitchClassSet;
import vocalis.core.voicing.Recipe.Opens;
import vocalis.core.voicing.Recipe.Range;

/**
 * The recipes of the nine families, as facts. Which chords belong together is common practice among
 * rock guitarists; degrees are semitones above the root.
 */
final class Recipes {

    private static final PitchClassSet ROOT = degrees(0);
    private static final PitchClassSet FIFTH = degrees(7);

    /**
     * A third, fifth, sixth or seventh under a chord; ninths and seconds are basses of their own.
     */
    private static final PitchClassSet CHORD_TONES = PitchClassSet.ALL.without(degrees(1, 2));

    private static final PitchClassSet POWER = degrees(0, 7);
    private static final PitchClassSet MAJOR = degrees(0, 4, 7);
    private static final PitchClassSet MINOR = degrees(0, 3, 7);
    private static final PitchClassSet DIMINISHED = degrees(0, 3, 6);
    private static final PitchClassSet AUGMENTED = degrees(0, 4, 8);
    private static final PitchClassSet FLAT_FIVE = degrees(0, 4, 6);

    private Recipes() {}

    /** Some degrees in semitones above the root. */
    private static PitchClassSet degrees(int... semitones) {
        return PitchClassSet.of(semitones);
    }

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
        Set<PitchClassSet> thirds = Set.of(degrees(0, 3), degrees(0, 4));
        return List.of(
                new Recipe(
                        thirds,
                        PitchClassSet.ALL,
                        new Range(2, 2),
                        new Range(0, 3),
                        Set.of(3, 4, 8, 9, 15, 16),
                        Opens.AS_FRETTED),
                new Recipe(
                        thirds,
                        PitchClassSet.ALL,
                        new Range(3, 4),
                        new Range(0, 2),
                        Set.of(),
                        Opens.AS_FRETTED),
                new Recipe(
                        Set.of(degrees(0, 8), degrees(0, 9)),
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
                        Set.of(MAJOR, MINOR, DIMINISHED, AUGMENTED, FLAT_FIVE),
                        PitchClassSet.ALL,
                        3,
                        6));
    }

    /**
     * Three and four strings in any inversion, five and six over root, third or fifth; a bass on
     * the root two strings below the rest.
     */
    private static List<Recipe> chords(Set<PitchClassSet> chords) {
        return List.of(
                Recipe.chords(chords, CHORD_TONES, 3, 4),
                Recipe.chords(chords, degrees(0, 3, 4, 7), 5, 6),
                new Recipe(
                        chords,
                        ROOT,
                        new Range(4, 4),
                        new Range(2, 2),
                        Set.of(),
                        Opens.AS_FRETTED));
    }

    static List<Recipe> suspended() {
        Set<PitchClassSet> chords = suspendedChords();
        List<Recipe> all = new ArrayList<>(chords(chords));
        // A 6/9 lies under one finger over its ninth; sus2 and add9 over it, as in a walking bass.
        Set<PitchClassSet> overNinth =
                Set.of(
                        degrees(0, 2, 4, 7, 9),
                        degrees(0, 2, 3, 7, 9),
                        degrees(0, 2, 7),
                        degrees(0, 2, 4, 7),
                        degrees(0, 2, 3, 7));
        all.add(Recipe.chords(overNinth, degrees(2), 3, 6));
        all.add(
                new Recipe(
                        Set.of(degrees(0, 2), degrees(0, 5)),
                        ROOT,
                        new Range(2, 4),
                        new Range(0, 1),
                        Set.of(),
                        Opens.CROSSING));
        return all;
    }

    private static Set<PitchClassSet> suspendedChords() {
        Set<PitchClassSet> chords = new HashSet<>();
        chords.addAll(
                Recipe.combined(
                        Set.of(POWER), Set.of(degrees(2), degrees(5), degrees(2, 5), degrees(6))));
        chords.addAll(Recipe.combined(Set.of(POWER), Set.of(degrees(9), degrees(2, 9))));
        chords.addAll(
                Recipe.combined(
                        Set.of(MAJOR),
                        Set.of(
                                degrees(2),
                                degrees(5),
                                degrees(9),
                                degrees(2, 9),
                                degrees(6),
                                degrees(2, 5))));
        chords.addAll(
                Recipe.combined(
                        Set.of(MINOR),
                        Set.of(degrees(2), degrees(5), degrees(9), degrees(2, 9), degrees(2, 5))));
        chords.addAll(
                Recipe.combined(
                        Set.of(degrees(0, 4), degrees(0, 3)),
                        Set.of(degrees(2), degrees(9), degrees(2, 9), degrees(5))));
        chords.add(degrees(0, 2, 5));
        chords.add(degrees(0, 5, 9));
        return chords;
    }

    /** Sevenths with and without fifth, their extensions and alterations; the dark dyads. */
    static List<Recipe> extended() {
        Set<PitchClassSet> sevenths = new HashSet<>();
        sevenths.addAll(dominants());
        sevenths.addAll(minors());
        sevenths.addAll(majors());
        sevenths.addAll(minorMajors());
        sevenths.addAll(
                Recipe.combined(
                        Set.of(degrees(0, 5, 10), degrees(0, 5, 7, 10)),
                        Set.of(
                                PitchClassSet.NONE,
                                degrees(2),
                                degrees(9),
                                degrees(2, 9),
                                degrees(1))));
        sevenths.addAll(
                Set.of(
                        degrees(0, 7, 10),
                        degrees(0, 7, 11),
                        degrees(0, 2, 7, 10),
                        degrees(0, 2, 7, 11)));
        sevenths.addAll(Set.of(degrees(0, 3, 6, 9), DIMINISHED, AUGMENTED));
        List<Recipe> all = new ArrayList<>(chords(sevenths));
        all.addAll(overOtherBasses());
        all.addAll(dark());
        return all;
    }

    /** With their tensions; the fifth may be missing, or altered beside few of them. */
    private static Set<PitchClassSet> dominants() {
        PitchClassSet none = PitchClassSet.NONE;
        PitchClassSet dominant = degrees(0, 4, 10);
        Set<PitchClassSet> all =
                new HashSet<>(
                        Recipe.combined(
                                Set.of(dominant, dominant.and(FIFTH)),
                                Set.of(
                                        none,
                                        degrees(2),
                                        degrees(9),
                                        degrees(2, 9),
                                        degrees(5),
                                        degrees(2, 5),
                                        degrees(1),
                                        degrees(3),
                                        degrees(6),
                                        degrees(2, 6),
                                        degrees(8),
                                        degrees(1, 9),
                                        degrees(5, 9),
                                        degrees(2, 5, 9))));
        Set<PitchClassSet> altered = Set.of(dominant.and(degrees(6)), dominant.and(degrees(8)));
        all.addAll(Recipe.combined(altered, Set.of(none, degrees(1), degrees(2), degrees(3))));
        return all;
    }

    private static Set<PitchClassSet> minors() {
        PitchClassSet none = PitchClassSet.NONE;
        Set<PitchClassSet> minor =
                Recipe.combined(Set.of(degrees(0, 3, 10)), Set.of(none, FIFTH, degrees(6)));
        return Recipe.combined(
                minor,
                Set.of(
                        none,
                        degrees(2),
                        degrees(5),
                        degrees(2, 5),
                        degrees(9),
                        degrees(2, 9),
                        degrees(2, 5, 9)));
    }

    private static Set<PitchClassSet> majors() {
        PitchClassSet none = PitchClassSet.NONE;
        PitchClassSet major = degrees(0, 4, 11);
        Set<PitchClassSet> all =
                new HashSet<>(
                        Recipe.combined(
                                Set.of(major, major.and(FIFTH)),
                                Set.of(
                                        none,
                                        degrees(2),
                                        degrees(9),
                                        degrees(2, 9),
                                        degrees(5),
                                        degrees(2, 5),
                                        degrees(5, 9),
                                        degrees(6))));
        all.addAll(Set.of(major.and(degrees(6)), major.and(degrees(8)), major.and(degrees(2, 6))));
        return all;
    }

    private static Set<PitchClassSet> minorMajors() {
        PitchClassSet none = PitchClassSet.NONE;
        Set<PitchClassSet> minorMajor =
                Recipe.combined(Set.of(degrees(0, 3, 11)), Set.of(none, FIFTH, degrees(6)));
        return Recipe.combined(
                minorMajor, Set.of(none, degrees(2), degrees(5), degrees(2, 5), degrees(9)));
    }

    /**
     * The plain ones of five and six strings over their altered fifth or their seventh too, ninths
     * over their ninth under one finger; plain triads over a bass that is none of their notes.
     */
    private static List<Recipe> overOtherBasses() {
        List<Recipe> all = new ArrayList<>();
        Set<PitchClassSet> plain =
                Set.of(
                        degrees(0, 4, 7, 10),
                        degrees(0, 4, 7, 11),
                        degrees(0, 3, 7, 10),
                        degrees(0, 3, 7, 11),
                        degrees(0, 3, 6, 10),
                        degrees(0, 3, 6, 9),
                        degrees(0, 3, 6, 11),
                        degrees(0, 4, 6, 10));
        all.add(Recipe.chords(plain, degrees(6, 9, 10, 11), 5, 6));
        Set<PitchClassSet> ninths =
                Set.of(degrees(0, 2, 4, 7, 10), degrees(0, 2, 3, 7, 10), degrees(0, 2, 4, 7, 11));
        all.add(Recipe.chords(ninths, degrees(2), 5, 5));
        Set<PitchClassSet> overAnother =
                Set.of(
                        degrees(0, 1, 4, 7),
                        degrees(0, 1, 3, 7),
                        degrees(0, 4, 7, 8),
                        degrees(0, 3, 7, 8),
                        degrees(0, 3, 4, 7));
        all.add(Recipe.chords(overAnother, degrees(1, 3, 4, 8), 4, 6));
        return all;
    }

    private static List<Recipe> dark() {
        Set<PitchClassSet> darkChords =
                Set.of(degrees(0, 1, 7), degrees(0, 7, 8), degrees(0, 6, 7), degrees(0, 6, 11));
        Set<PitchClassSet> darkDyads =
                Set.of(degrees(0, 6), degrees(0, 1), degrees(0, 8), degrees(0, 10), degrees(0, 11));
        List<Recipe> all = new ArrayList<>();
        all.add(Recipe.chords(darkChords, POWER, 3, 4));
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
                                degrees(0, 4),
                                degrees(0, 3),
                                ROOT,
                                MAJOR,
                                MINOR,
                                // Shells of sevenths.
                                degrees(0, 3, 10),
                                degrees(0, 4, 10)),
                        PitchClassSet.ALL,
                        new Range(3, 6),
                        new Range(0, 1),
                        Set.of(),
                        Opens.DRONES));
    }

    /** Degrees are counted from the root replaced: a seventh a tritone away is 6, 10, 1, 4. */
    static List<Recipe> substitute() {
        Set<PitchClassSet> tritone =
                Set.of(degrees(6, 10, 4), degrees(6, 10, 1, 4), degrees(6, 10, 8, 4));
        Set<PitchClassSet> upper =
                Set.of(
                        // The triads on the third, on the sixths; rootless sevenths; the diminished
                        // seventh over the missing root.
                        degrees(4, 7, 11),
                        degrees(3, 7, 10),
                        degrees(9, 0, 4),
                        degrees(8, 0, 3),
                        degrees(9, 0, 4, 7),
                        degrees(4, 7, 10),
                        degrees(1, 4, 7, 10),
                        // Ninths without their root.
                        degrees(2, 4, 7, 10),
                        degrees(2, 3, 7, 10),
                        degrees(2, 4, 7, 11),
                        degrees(2, 3, 7, 11));
        return List.of(
                Recipe.chords(tritone, degrees(6), 3, 5),
                new Recipe(
                        upper,
                        PitchClassSet.ALL,
                        new Range(3, 6),
                        new Range(0, 1),
                        Set.of(),
                        Opens.AS_FRETTED));
    }
}
