package vocalis.core.voicing;

/**
 * One sounded string of a voicing.
 *
 * @param string string index, 0 is the lowest
 * @param fret fret from the capo, 0 is open
 * @param midi MIDI number
 */
public record Sounding(int string, int fret, int midi) {

    /** Pitch class, 0 to 11. */
    public int pitchClass() {
        return Math.floorMod(midi, 12);
    }

    /** Whether the string rings open. */
    public boolean open() {
        return fret == 0;
    }
}
