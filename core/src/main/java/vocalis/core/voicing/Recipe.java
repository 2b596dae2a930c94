package vocalis.core.voicing;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import vocalis.core.instrument.Shape;

/**
 * What a family asks of a voicing; one exhaustive search serves them all. A set of degrees is a
 * mask of twelve bits, bit n for n semitones above the root.
 *
 * @param chords the sets of degrees that may sound (with drones: that may be fretted)
 * @param bass the degrees that the lowest note may be
 * @param voices fewest and most sounded strings
 * @param innerSilences fewest and most silent strings between sounded ones
 * @param steps semitones that neighbouring sounded strings may lie apart; empty for any
 * @param opens what open strings may do
 */
public record Recipe(
        Set<Integer> chords,
        int bass,
        Range voices,
        Range innerSilences,
        Set<Integer> steps,
        Opens opens) {

    /** What open strings may do. */
    public enum Opens {
        /** Sound like fretted notes: each string at least as high as the one below it. */
        AS_FRETTED,
        /**
         * The same, but an open string may lie lower or higher than its neighbours; beside a shape
         * past the fifth fret it rings only where the hand holds three notes or more within four
         * frets, one fewer for each silent string inside, in one place over an open bass, in two
         * otherwise (common practice: what lies under the hand).
         */
        CROSSING,
        /** Any string may sound above or below its neighbours. */
        FREE,
        /**
         * Ring as drones of any degree above, below or inside a fretted shape of two notes or more,
         * wherever they lie.
         */
        DRONES
    }

    /** Both ends inclusive. */
    public record Range(int least, int most) {
        public Range {
            if (least < 0 || most < least) {
                throw new IllegalArgumentException("range " + least + " to " + most + " is empty");
            }
        }

        boolean holds(int n) {
            return n >= least && n <= most;
        }
    }

    /** Any degree. */
    static final int ALL = 0xFFF;

    public Recipe {
        chords = Set.copyOf(chords);
        steps = Set.copyOf(steps);
        if (chords.isEmpty() || chords.stream().anyMatch(c -> c < 1 || c > ALL)) {
            throw new IllegalArgumentException("a recipe asks for sets of the twelve degrees");
        }
        if (voices.least() < 1) {
            throw new IllegalArgumentException("a voicing has a voice at least");
        }
    }

    /** The mask of some degrees in semitones above the root. */
    public static int mask(int... degrees) {
        int mask = 0;
        for (int d : degrees) {
            mask |= 1 << d;
        }
        return mask;
    }

    /** Full chords: up to one silent string inside them, open strings where they fall. */
    static Recipe chords(Set<Integer> chords, int bass, int least, int most) {
        return new Recipe(
                chords, bass, new Range(least, most), new Range(0, 1), Set.of(), Opens.CROSSING);
    }

    /** Whether a finished voicing satisfies the recipe; the search prunes with the same rules. */
    public boolean accepts(Voicing voicing) {
        List<Sounding> notes = voicing.soundings();
        if (!voices.holds(notes.size()) || !innerSilences.holds(voicing.innerSilences())) {
            return false;
        }
        Sounding lowest = notes.get(0);
        int own = 0;
        int fretted = 0;
        for (int i = 0; i < notes.size(); i++) {
            Sounding n = notes.get(i);
            if (i > 0
                    && !mayFollow(
                            notes.get(i - 1).midi(), notes.get(i - 1).open(), n.midi(), n.open())) {
                return false;
            }
            own |= n.open() && opens == Opens.DRONES ? 0 : 1 << degree(n, voicing.root());
            fretted += n.open() ? 0 : 1;
            lowest = n.midi() < lowest.midi() ? n : lowest;
        }
        boolean drone = opens == Opens.DRONES;
        boolean bassFits =
                (bass >> degree(lowest, voicing.root()) & 1) != 0 || drone && lowest.open();
        return chords.contains(own)
                && bassFits
                && (!drone || fretted >= 2 && fretted < notes.size())
                && (opens != Opens.CROSSING || liesUnderTheHand(voicing, fretted));
    }

    /** Whether so many voices and inner silences, and such a chord, are asked for: quickly told. */
    boolean mayHave(int sounded, int silent, int chord) {
        return voices.holds(sounded) && innerSilences.holds(silent) && chords.contains(chord);
    }

    private static boolean liesUnderTheHand(Voicing voicing, int fretted) {
        Shape shape = voicing.shape();
        int places = 0;
        for (int s = 0; s < shape.strings(); s++) {
            boolean begins = shape.fret(s) > 0 && (s == 0 || shape.fret(s - 1) <= 0);
            places += begins ? 1 : 0;
        }
        int opens = voicing.voices() - fretted;
        boolean openBass = shape.fret(shape.lowestSounded()) == 0;
        return opens == 0
                || shape.highestFretted() <= OPEN_POSITION_FRETS
                || fretted >= LEAST_FRETTED
                        && mayLie(
                                shape.lowestFretted(),
                                shape.highestFretted(),
                                openBass ? places + 1 : places,
                                voicing.innerSilences());
    }

    /** Fewest fretted notes of a chord past the open position that has open strings. */
    static final int LEAST_FRETTED = 3;

    /**
     * Whether open strings may ring beside fretted ones past the open position.
     *
     * @param places groups of neighbouring fretted strings, an open bass counting as one
     * @param silences silent strings between sounded ones
     */
    static boolean mayLie(int lowFret, int highFret, int places, int silences) {
        return highFret <= OPEN_POSITION_FRETS
                || highFret - lowFret + silences < FRETS_UNDER_HAND && places <= 2;
    }

    /** Last fret of an open position. */
    static final int OPEN_POSITION_FRETS = 5;

    private static final int FRETS_UNDER_HAND = 4;

    /** Whether a string may sound above the sounded string before it. */
    boolean mayFollow(int midiBefore, boolean openBefore, int midi, boolean open) {
        int step = midi - midiBefore;
        if (!steps.isEmpty() && !steps.contains(step)) {
            return false;
        }
        return switch (opens) {
            case AS_FRETTED -> step >= 0;
            case CROSSING -> step >= 0 || open || openBefore;
            case FREE, DRONES -> true;
        };
    }

    static int degree(Sounding note, int root) {
        return Math.floorMod(note.midi() - root, 12);
    }

    /** Every union of one set of each list. */
    static Set<Integer> combined(Set<Integer> stems, Set<Integer> additions) {
        Set<Integer> all = new HashSet<>();
        for (int stem : stems) {
            for (int addition : additions) {
                all.add(stem | addition);
            }
        }
        return all;
    }
}
