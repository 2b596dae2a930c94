package vocalis.core.riff;

import java.util.List;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;

/**
 * A root as a step of the key, so that it follows when the key changes; a chromatic root is a step
 * raised or lowered.
 *
 * @param step number of the scale's degree, 1 to 7
 * @param alter semitones above (below) what the scale has there, -6 to 6
 */
public record Root(int step, int alter) {

    public Root {
        if (step < 1 || step > 7) {
            throw new IllegalArgumentException(
                    "a root is step 1 to 7 of the key, but this one is " + step);
        }
        if (alter < -6 || alter > 6) {
            throw new IllegalArgumentException(
                    "a root is altered by at most 6 semitones, but this one by " + alter);
        }
    }

    /** The root of a pitch class in a key: a plain step where the scale has it. */
    public static Root of(Key key, int pitchClass) {
        Degree degree = key.degree(pitchClass);
        int natural = inScale(key, degree.number());
        int alter = Math.floorMod(degree.semitones() - natural + 6, 12) - 6;
        return new Root(degree.number(), alter);
    }

    /**
     * Where the scale has the step; a step that a five-note scale lacks is that of the major scale.
     */
    private static int inScale(Key key, int number) {
        int semitones = new Degree(number, 0).semitones();
        for (Degree d : key.mode().degrees()) {
            if (d.number() == number) {
                semitones = d.semitones();
            }
        }
        return semitones;
    }

    /** Pitch class in a key, 0 to 11. */
    public int pitchClass(Key key) {
        return Math.floorMod(key.tonic().pitchClass() + inScale(key, step) + alter, 12);
    }

    /**
     * The next root up (down) the scale; a chromatic root goes to the nearest note of the scale.
     */
    public Root step(Key key, int direction) {
        int from = Math.floorMod(pitchClass(key) - key.tonic().pitchClass(), 12);
        List<Degree> degrees = key.mode().degrees();
        int best = degrees.get(0).semitones();
        int least = 13;
        for (Degree d : degrees) {
            int way =
                    Math.floorMod(direction > 0 ? d.semitones() - from : from - d.semitones(), 12);
            if (way > 0 && way < least) {
                least = way;
                best = d.semitones();
            }
        }
        return of(key, key.tonic().pitchClass() + best);
    }

    /** The root a semitone (or more) up or down. */
    public Root transposed(Key key, int by) {
        return of(key, pitchClass(key) + by);
    }
}
