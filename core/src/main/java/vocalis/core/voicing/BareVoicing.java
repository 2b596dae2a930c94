package vocalis.core.voicing;

/**
 * A voicing in bare numbers, for searches that ask about hundreds of thousands. Nothing is checked
 * and nothing is copied: the arrays are not to be changed.
 *
 * @param frets fret per string, lowest string first, {@code -1} for silence
 * @param open MIDI number of each open string
 * @param root pitch class that it is built for, 0 to 11
 */
public record BareVoicing(int[] frets, int[] open, int root) {

    /** Number of strings. */
    public int strings() {
        return frets.length;
    }

    /** Fret on a string, {@code -1} for silence. */
    public int fret(int string) {
        return frets[string];
    }

    /** Whether a string sounds. */
    public boolean sounds(int string) {
        return frets[string] >= 0;
    }

    /** MIDI number of a string that sounds. */
    public int midi(int string) {
        return open[string] + frets[string];
    }

    /** Semitones of a string that sounds above the root, 0 to 11. */
    public int degree(int string) {
        return Math.floorMod(midi(string) - root, 12);
    }

    /** The same on another root. */
    public BareVoicing on(int other) {
        return new BareVoicing(frets, open, other);
    }
}
