package vocalis.core.voicing;

import java.util.List;
import java.util.Set;

/**
 * What a family asks of a voicing; one exhaustive search serves them all. Degrees are semitones
 * above the root, 0 to 11.
 *
 * @param allowed degrees that may sound (with drones: that may be fretted)
 * @param required degrees that must sound
 * @param bass degrees that the lowest note may be
 * @param voices fewest and most sounded strings
 * @param innerSilences fewest and most silent strings between sounded ones
 * @param steps semitones that neighbouring sounded strings may lie apart; empty for any above zero
 * @param opens what open strings may do
 * @param usualVoices the thickness that players take where nothing else is said
 */
public record Recipe(
        Set<Integer> allowed,
        Set<Integer> required,
        Set<Integer> bass,
        Range voices,
        Range innerSilences,
        Set<Integer> steps,
        Opens opens,
        int usualVoices) {

    /** What open strings may do. */
    public enum Opens {
        /** Sound like fretted notes, where their degree is allowed. */
        AS_FRETTED,
        /** The same, and a thicker string may sound above a thinner one. */
        CROSSING,
        /**
         * Ring as drones of any degree above, below or inside a fretted shape of two notes or more.
         */
        DRONES,
        /** One drone of any degree, strictly between two fretted notes. */
        DRONE_INSIDE,
        /** At least one must sound, and nothing lies past the fourth fret: open-position forms. */
        OPEN_POSITION
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

    /** Last fret of an open-position form. */
    static final int OPEN_POSITION_FRETS = 4;

    public Recipe {
        allowed = Set.copyOf(allowed);
        required = Set.copyOf(required);
        bass = Set.copyOf(bass);
        steps = Set.copyOf(steps);
        if (!allowed.containsAll(required) || !allowed.containsAll(bass)) {
            throw new IllegalArgumentException(
                    "required and bass degrees must be among the allowed ones");
        }
        if (voices.least() < 1) {
            throw new IllegalArgumentException("a voicing has a voice at least");
        }
    }

    /** All of {@code degrees} must sound, with any of {@code bass} lowest. */
    static Recipe all(Set<Integer> degrees, Set<Integer> bass, Range voices, int innerSilences) {
        return new Recipe(
                degrees,
                degrees,
                bass,
                voices,
                new Range(0, innerSilences),
                Set.of(),
                Opens.AS_FRETTED,
                voices.least());
    }

    Recipe opening(Opens how) {
        return new Recipe(allowed, required, bass, voices, innerSilences, steps, how, usualVoices);
    }

    /** Whether a finished voicing satisfies the recipe; the search prunes with the same rules. */
    public boolean accepts(Voicing voicing) {
        List<Sounding> notes = voicing.soundings();
        if (!voices.holds(notes.size()) || !innerSilences.holds(voicing.innerSilences())) {
            return false;
        }
        Sounding lowest = notes.get(0);
        int own = 0;
        for (int i = 0; i < notes.size(); i++) {
            Sounding n = notes.get(i);
            int degree = degree(n, voicing.root());
            if (!mayStand(degree, n.open())
                    || (i > 0 && !stepAllowed(n.midi() - notes.get(i - 1).midi()))) {
                return false;
            }
            own |= n.open() && drones() ? 0 : 1 << degree;
            lowest = n.midi() < lowest.midi() ? n : lowest;
        }
        boolean bassFits =
                bass.contains(degree(lowest, voicing.root()))
                        || (opens == Opens.DRONES && lowest.open());
        for (int degree : required) {
            if ((own >> degree & 1) == 0) {
                return false;
            }
        }
        return bassFits && opensFit(voicing, notes);
    }

    private boolean opensFit(Voicing voicing, List<Sounding> notes) {
        int open = 0;
        for (Sounding n : notes) {
            open += n.open() ? 1 : 0;
        }
        int fretted = notes.size() - open;
        return switch (opens) {
            case AS_FRETTED, CROSSING -> true;
            case DRONES -> open >= 1 && fretted >= 2;
            case DRONE_INSIDE ->
                    open == 1
                            && fretted == 2
                            && !notes.get(0).open()
                            && !notes.get(notes.size() - 1).open();
            case OPEN_POSITION ->
                    open >= 1
                            && fretted >= 1
                            && voicing.shape().highestFretted() <= OPEN_POSITION_FRETS;
        };
    }

    /** Whether open strings may be of any degree. */
    boolean drones() {
        return opens == Opens.DRONES || opens == Opens.DRONE_INSIDE;
    }

    /** Whether the lowest string need not sound the lowest note. */
    boolean crosses() {
        return drones() || opens == Opens.CROSSING;
    }

    /** Whether a note of a degree may sound on a string that is open or fretted. */
    boolean mayStand(int degree, boolean open) {
        return (open && drones()) || allowed.contains(degree);
    }

    /** Whether neighbouring sounded strings may lie this many semitones apart. */
    boolean stepAllowed(int semitones) {
        if (crosses()) {
            return semitones != 0;
        }
        return semitones > 0 && (steps.isEmpty() || steps.contains(semitones));
    }

    static int degree(Sounding note, int root) {
        return Math.floorMod(note.midi() - root, 12);
    }
}
