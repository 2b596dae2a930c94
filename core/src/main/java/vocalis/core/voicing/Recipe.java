package vocalis.core.voicing;

import java.util.HashSet;
import java.util.Set;
import vocalis.core.theory.PitchClassSet;

/**
 * What a family asks of a voicing; one exhaustive search serves them all. A set of degrees holds
 * semitones above the root.
 *
 * @param chords the sets of degrees that may sound (with drones: that may be fretted)
 * @param bass the degrees that the lowest note may be
 * @param voices fewest and most sounded strings
 * @param innerSilences fewest and most silent strings between sounded ones
 * @param steps semitones that neighbouring sounded strings may lie apart; empty for any
 * @param opens what open strings may do
 */
public record Recipe(
        Set<PitchClassSet> chords,
        PitchClassSet bass,
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

    public Recipe {
        chords = Set.copyOf(chords);
        steps = Set.copyOf(steps);
        if (chords.isEmpty() || chords.contains(PitchClassSet.NONE)) {
            throw new IllegalArgumentException("a recipe asks for sets of the twelve degrees");
        }
        if (voices.least() < 1) {
            throw new IllegalArgumentException("a voicing has a voice at least");
        }
    }

    /** Full chords: up to one silent string inside them, open strings where they fall. */
    static Recipe chords(Set<PitchClassSet> chords, PitchClassSet bass, int least, int most) {
        return new Recipe(
                chords, bass, new Range(least, most), new Range(0, 1), Set.of(), Opens.CROSSING);
    }

    /** Whether a voicing satisfies the recipe. */
    public boolean accepts(Voicing voicing) {
        return accepts(voicing.laid());
    }

    private boolean accepts(BareVoicing laid) {
        int own = 0;
        for (int s = 0; s < laid.strings(); s++) {
            boolean counts = laid.sounds(s) && (laid.fret(s) > 0 || opens != Opens.DRONES);
            own |= counts ? 1 << laid.degree(s) : 0;
        }
        return chords.contains(new PitchClassSet(own)) && lies(laid);
    }

    /** Whether notes that are one of the chords lie as the recipe asks. */
    public boolean lies(BareVoicing laid) {
        Scan lie = new Scan();
        for (int s = 0; s < laid.strings(); s++) {
            if (!lie.add(laid, s)) {
                return false;
            }
        }
        return lie.fits(laid.root());
    }

    /** What is seen of the notes from the lowest string up. */
    private final class Scan {
        private int sounded;
        private int silent;
        private int gap;
        private int fretted;
        private int low;
        private int high;
        private int places;
        private int last = -1;
        private boolean lastOpen;
        private boolean openBass;
        private int bass = Integer.MAX_VALUE;
        private boolean bassRings;

        /** Takes one string more; false where it may not follow what sounds below it. */
        boolean add(BareVoicing laid, int string) {
            if (!laid.sounds(string)) {
                gap += sounded > 0 ? 1 : 0;
                return true;
            }
            int fret = laid.fret(string);
            int midi = laid.midi(string);
            boolean open = fret == 0;
            if (sounded > 0 && !mayFollow(last, lastOpen, midi, open)) {
                return false;
            }
            if (!open) {
                places += fretted == 0 || gap > 0 || lastOpen ? 1 : 0;
                low = low == 0 ? fret : Math.min(low, fret);
                high = Math.max(high, fret);
                fretted++;
            }
            openBass = sounded == 0 ? open : openBass;
            bassRings = midi < bass ? open : bassRings;
            bass = Math.min(bass, midi);
            silent += gap;
            gap = 0;
            sounded++;
            last = midi;
            lastOpen = open;
            return true;
        }

        boolean fits(int root) {
            boolean drone = opens == Opens.DRONES;
            boolean bassFits =
                    sounded > 0 && Recipe.this.bass.has(Math.floorMod(bass - root, 12))
                            || drone && bassRings;
            return mayHave(sounded, silent)
                    && bassFits
                    && (!drone || fretted >= 2 && fretted < sounded)
                    && (opens != Opens.CROSSING || fretted == sounded || liesUnderTheHand());
        }

        private boolean liesUnderTheHand() {
            return high <= OpenPosition.LAST_AT_NUT
                    || fretted >= LEAST_FRETTED
                            && high - low + silent < FRETS_UNDER_HAND
                            && (openBass ? places + 1 : places) <= 2;
        }
    }

    /** Whether so many voices and inner silences are asked for. */
    public boolean mayHave(int sounded, int silent) {
        return voices.holds(sounded) && innerSilences.holds(silent);
    }

    /**
     * Whether open strings may ring beside fretted ones, as far as these tell: past the open
     * position only beside three notes or more that lie close together.
     *
     * @param fretted how many notes are fretted
     * @param lowFret the lowest of them
     * @param highFret the highest
     */
    public boolean mayRing(int fretted, int lowFret, int highFret) {
        return fretted < voices.most()
                && switch (opens) {
                    case DRONES -> fretted >= 2;
                    case CROSSING ->
                            highFret <= OpenPosition.LAST_AT_NUT
                                    || fretted >= LEAST_FRETTED
                                            && highFret - lowFret < FRETS_UNDER_HAND;
                    case AS_FRETTED, FREE -> true;
                };
    }

    /** Fewest fretted notes of a chord past the open position that has open strings. */
    private static final int LEAST_FRETTED = 3;

    private static final int FRETS_UNDER_HAND = 4;

    /** Whether a string may sound above the sounded string before it. */
    private boolean mayFollow(int midiBefore, boolean openBefore, int midi, boolean open) {
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

    /** Every union of one set of each list. */
    static Set<PitchClassSet> combined(Set<PitchClassSet> stems, Set<PitchClassSet> additions) {
        Set<PitchClassSet> all = new HashSet<>();
        for (PitchClassSet stem : stems) {
            for (PitchClassSet addition : additions) {
                all.add(stem.and(addition));
            }
        }
        return all;
    }
}
