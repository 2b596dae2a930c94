package vocalis.core.theory;

/**
 * A spelled note with its octave in scientific notation: middle C is C4, MIDI 60; the octave number
 * changes between B and C, by letter (B♯3 sounds as C4).
 *
 * @param spelling letter and accidental
 * @param octave scientific octave number, -1 to 9
 */
public record Note(Spelling spelling, int octave) {

    /** The note of a spelling at a MIDI number of the same pitch class. */
    public static Note at(Spelling spelling, int midi) {
        if (Math.floorMod(midi, 12) != spelling.pitchClass()) {
            throw new IllegalArgumentException(
                    "MIDI note "
                            + midi
                            + " is not a "
                            + spelling.symbol()
                            + ", whatever the octave");
        }
        return new Note(spelling, Math.floorDiv(midi - spelling.alter(), 12) - 1);
    }

    public Note {
        if (octave < -2 || octave > 10) {
            throw new IllegalArgumentException("octave must be from -2 to 10, but is " + octave);
        }
    }

    /**
     * Reads {@code F#2}.
     *
     * @throws IllegalArgumentException saying how a note is written
     */
    public static Note parse(String text) {
        String t = text.strip();
        boolean octave = t.length() >= 2 && Character.isDigit(t.charAt(t.length() - 1));
        if (!octave) {
            throw new IllegalArgumentException(
                    "\"" + text + "\" is no note with its octave; write it like E3 or F#4");
        }
        return new Note(
                Spelling.parse(t.substring(0, t.length() - 1)), t.charAt(t.length() - 1) - '0');
    }

    /** MIDI note number (middle C = 60). */
    public int midi() {
        return 12 * (octave + 1) + spelling.letter().semitones() + spelling.alter();
    }

    /** Such as {@code F♯2}. */
    public String symbol() {
        return spelling.symbol() + octave;
    }

    /** Such as {@code F#2}. */
    public String ascii() {
        return spelling.ascii() + octave;
    }

    @Override
    public String toString() {
        return symbol();
    }
}
