package vocalis.core.riff;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import vocalis.core.choice.Candidate;
import vocalis.core.voicing.Sounding;

/**
 * The notes that a riff comes to: timed, with string and fret.
 *
 * @param riff what it was derived from
 * @param chords one per root
 * @param strikes every stroke in time order
 * @param remarks what could not be done as the recipe says, in words; empty where all could
 */
public record Score(Riff riff, List<Chord> chords, List<Strike> strikes, List<String> remarks) {

    /**
     * A chord in its place.
     *
     * @param start ticks from the start of the riff
     * @param length ticks
     * @param root pitch class
     * @param candidate voicing and fingering
     * @param byHand whether the shape was built by hand
     */
    public record Chord(long start, long length, int root, Candidate candidate, boolean byHand) {
        /** Where it ends. */
        public long end() {
            return start + length;
        }
    }

    /**
     * One stroke.
     *
     * @param at ticks from the start of the riff
     * @param length ticks that it sounds
     * @param chord index of its chord
     * @param notes strings struck, lowest string first
     * @param stroke the pattern's stroke
     * @param down struck downward (low strings first) or upward
     * @param ornaments what fingers do to its notes while they sound
     */
    public record Strike(
            long at,
            long length,
            int chord,
            List<Sounding> notes,
            Stroke stroke,
            boolean down,
            List<Touch.Ornament> ornaments) {
        public Strike {
            notes = List.copyOf(notes);
            ornaments = List.copyOf(ornaments);
        }

        /** The fret that a string was stopped at when this stroke struck it, or empty. */
        public Optional<Sounding> note(int string) {
            return notes.stream().filter(n -> n.string() == string).findFirst();
        }
    }

    public Score {
        Objects.requireNonNull(riff, "riff");
        chords = List.copyOf(chords);
        strikes = List.copyOf(strikes);
        remarks = List.copyOf(remarks);
    }
}
