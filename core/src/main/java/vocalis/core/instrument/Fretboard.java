package vocalis.core.instrument;

import java.util.HashSet;
import java.util.Objects;
import java.util.Set;

/**
 * An instrument with its capo: where a shape lies and what it sounds. Frets are counted from the
 * capo, as players write shapes; 0 is the open string over the capo.
 *
 * @param instrument the instrument
 * @param capo fret of the capo, 0 for none, at most 12
 */
public record Fretboard(Instrument instrument, int capo) {

    public Fretboard {
        Objects.requireNonNull(instrument, "instrument");
        if (capo < 0 || capo > 12) {
            throw new IllegalArgumentException(
                    "a capo sits at fret 0 (none) to 12, but this one at " + capo);
        }
    }

    /** Number of strings. */
    public int strings() {
        return instrument.tuning().strings();
    }

    /** Highest fret above the capo. */
    public int frets() {
        return instrument.frets() - capo;
    }

    /**
     * MIDI number of a string (0 is the lowest) at a fret counted from the capo.
     *
     * @throws IllegalArgumentException when the string or fret does not exist
     */
    public int midi(int string, int fret) {
        if (string < 0 || string >= strings()) {
            throw new IllegalArgumentException(
                    "string index must be 0 to " + (strings() - 1) + ", but is " + string);
        }
        if (fret < 0 || fret > frets()) {
            throw new IllegalArgumentException("fret must be 0 to " + frets() + ", but is " + fret);
        }
        return instrument.tuning().open().get(string) + capo + fret;
    }

    /** The notes that a shape sounds, as MIDI numbers; one that two strings have counts once. */
    public Set<Integer> notes(Shape shape) {
        Set<Integer> notes = new HashSet<>();
        shape.sounded().forEach(s -> notes.add(midi(s, shape.fret(s))));
        return notes;
    }

    /** Distance in mm along the neck between two frets counted from the capo. */
    public double spanMm(int fretA, int fretB) {
        return Math.abs(instrument.fretMm(capo + fretA) - instrument.fretMm(capo + fretB));
    }
}
