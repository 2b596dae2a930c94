package vocalis.sound.listen;

import java.util.List;
import vocalis.sound.gain.Line;

/**
 * The notes of a strum as heard.
 *
 * @param notes by MIDI number, lowest first
 * @param cents how far the guitar lies over the pitch of reference
 * @param unexplained how far the sound is from what these notes make, as divergence; 0 where that
 *     was not asked
 * @param lines of the sound that was read
 */
public record HeardNotes(List<Note> notes, double cents, double unexplained, List<Line> lines) {

    /**
     * A pitch and how much of the sound it accounts for.
     *
     * @param share from 0 to 1, all together 1
     */
    public record Note(int midi, double share) {}

    public HeardNotes {
        notes = List.copyOf(notes);
        lines = List.copyOf(lines);
    }

    /** The MIDI numbers, lowest first. */
    public List<Integer> midi() {
        return notes.stream().map(Note::midi).toList();
    }

    /** The pitch classes, 0 to 11, each once. */
    public List<Integer> pitchClasses() {
        return notes.stream().map(n -> Math.floorMod(n.midi(), 12)).distinct().sorted().toList();
    }
}
