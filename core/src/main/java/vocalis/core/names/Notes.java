package vocalis.core.names;

import java.util.Arrays;
import vocalis.core.theory.PitchClassSet;
import vocalis.core.voicing.Voicing;

/**
 * The notes of a voicing, counted: what naming and weighing ask for over and over.
 *
 * @param counts how often each pitch class sounds, twelve of them
 * @param lowest lowest MIDI number of each pitch class, {@link #NONE} where it does not sound
 * @param bass lowest MIDI number of all
 * @param highest highest MIDI number of all
 * @param voices sounded strings
 */
public record Notes(int[] counts, int[] lowest, int bass, int highest, int voices) {

    /** Stands for a pitch class that does not sound. */
    static final int NONE = 1000;

    static Notes of(Voicing voicing) {
        int[] counts = new int[12];
        int[] lowest = new int[12];
        Arrays.fill(lowest, NONE);
        int bass = NONE;
        int highest = 0;
        int voices = 0;
        for (int string = 0; string < voicing.shape().strings(); string++) {
            int fret = voicing.shape().fret(string);
            if (fret >= 0) {
                int midi = voicing.board().midi(string, fret);
                int pc = Math.floorMod(midi, 12);
                counts[pc]++;
                lowest[pc] = Math.min(lowest[pc], midi);
                bass = Math.min(bass, midi);
                highest = Math.max(highest, midi);
                voices++;
            }
        }
        return new Notes(counts, lowest, bass, highest, voices);
    }

    /** The same with a note of a pitch class below them all. */
    Notes over(int pitchClass) {
        int under = bass - 1 - Math.floorMod(bass - 1 - pitchClass, 12);
        int[] counted = counts.clone();
        int[] low = lowest.clone();
        counted[pitchClass]++;
        low[pitchClass] = under;
        return new Notes(counted, low, under, highest, voices + 1);
    }

    /** Semitones from the lowest note to the highest. */
    int span() {
        return highest - bass;
    }

    /** The sounding pitch classes. */
    PitchClassSet pitchClasses() {
        int bits = 0;
        for (int pc = 0; pc < 12; pc++) {
            bits |= counts[pc] > 0 ? 1 << pc : 0;
        }
        return new PitchClassSet(bits);
    }

    /** Pitch class of the lowest note. */
    int bassClass() {
        return Math.floorMod(bass, 12);
    }

    int count(int pitchClass) {
        return counts[pitchClass];
    }

    /** Whether a note sounds some semitones above a pitch class, whatever the octave. */
    boolean has(int pitchClass, int semitones) {
        return counts[Math.floorMod(pitchClass + semitones, 12)] > 0;
    }
}
