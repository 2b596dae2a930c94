package vocalis.core.voicing;

import java.util.List;
import java.util.Set;

/**
 * What a family asks of a voicing; one exhaustive search serves them all. Degrees are semitones
 * above the root, 0 to 11.
 *
 * @param allowed degrees that may sound
 * @param required degrees that must sound
 * @param bass degrees that the lowest note may be
 * @param minVoices fewest sounded strings
 * @param maxVoices most sounded strings
 * @param innerSilences least and most silent strings between sounded ones, inclusive
 * @param steps semitones that neighbouring sounded strings may lie apart; empty for any above zero
 * @param usualVoices the thickness that players take where nothing else is said
 */
public record Recipe(
        Set<Integer> allowed,
        Set<Integer> required,
        Set<Integer> bass,
        int minVoices,
        int maxVoices,
        Range innerSilences,
        Set<Integer> steps,
        int usualVoices) {

    /** Both ends inclusive. */
    public record Range(int least, int most) {
        public Range {
            if (least < 0 || most < least) {
                throw new IllegalArgumentException("range " + least + " to " + most + " is empty");
            }
        }
    }

    public Recipe {
        allowed = Set.copyOf(allowed);
        required = Set.copyOf(required);
        bass = Set.copyOf(bass);
        steps = Set.copyOf(steps);
        if (!allowed.containsAll(required) || !allowed.containsAll(bass)) {
            throw new IllegalArgumentException(
                    "required and bass degrees must be among the allowed ones");
        }
        if (minVoices < 1 || maxVoices < minVoices) {
            throw new IllegalArgumentException(
                    "voices from " + minVoices + " to " + maxVoices + " cannot be had");
        }
    }

    /** Whether a finished voicing satisfies the recipe; the search prunes with the same rules. */
    public boolean accepts(Voicing voicing) {
        List<Sounding> s = voicing.soundings();
        if (s.size() < minVoices || s.size() > maxVoices) {
            return false;
        }
        if (voicing.innerSilences() < innerSilences.least()
                || voicing.innerSilences() > innerSilences.most()) {
            return false;
        }
        for (int i = 0; i < s.size(); i++) {
            if (!allowed.contains(degree(s.get(i), voicing.root()))) {
                return false;
            }
            if (i > 0 && !stepAllowed(s.get(i).midi() - s.get(i - 1).midi())) {
                return false;
            }
        }
        return bass.contains(degree(s.get(0), voicing.root()))
                && required.stream()
                        .allMatch(d -> s.stream().anyMatch(n -> degree(n, voicing.root()) == d));
    }

    /** Whether neighbouring sounded strings may lie this many semitones apart. */
    boolean stepAllowed(int semitones) {
        return semitones > 0 && (steps.isEmpty() || steps.contains(semitones));
    }

    private static int degree(Sounding note, int root) {
        return Math.floorMod(note.midi() - root, 12);
    }
}
