package vocalis.core.derive;

import java.util.List;
import java.util.Objects;
import java.util.Optional;
import vocalis.core.choice.Candidate;
import vocalis.core.hands.Hand;
import vocalis.core.hands.Move;
import vocalis.core.names.Around;
import vocalis.core.riff.Riff;
import vocalis.core.score.Score;

/**
 * What a riff comes to for a hand: its chords with their voicings, the score, and what could not be
 * done.
 *
 * @param riff the recipe
 * @param hand whose hand
 * @param chords one per root
 * @param score what is played
 * @param findings what could not be done as the recipe says
 */
public record Derived(
        Riff riff, Hand hand, List<Chord> chords, Score score, List<Finding> findings) {

    /**
     * A chord in its place.
     *
     * @param start ticks from the start of the riff
     * @param length ticks
     * @param root pitch class
     * @param candidate voicing and fingering
     * @param byHand whether the shape was built by hand
     * @param around what stands around it and speaks for one of its names
     */
    public record Chord(
            long start, long length, int root, Candidate candidate, boolean byHand, Around around) {
        /** Where it ends. */
        public long end() {
            return start + length;
        }
    }

    public Derived {
        Objects.requireNonNull(riff, "riff");
        Objects.requireNonNull(hand, "hand");
        Objects.requireNonNull(score, "score");
        chords = List.copyOf(chords);
        findings = List.copyOf(findings);
    }

    /** The chord of an index, or the last where the riff has become shorter. */
    public Chord chord(int index) {
        return chords.get(Math.max(0, Math.min(index, chords.size() - 1)));
    }

    /**
     * What the fingers do from the chord before one into it; for the first, over the loop's seam.
     * Empty where the riff has one chord alone.
     */
    public Optional<Move> moveInto(int chord) {
        if (chords.size() < 2) {
            return Optional.empty();
        }
        Candidate before = chords.get((chord + chords.size() - 1) % chords.size()).candidate();
        Candidate after = chords.get(chord).candidate();
        return Optional.of(
                Move.between(
                        riff.ground().board(),
                        before.voicing().shape(),
                        before.fingering(),
                        after.voicing().shape(),
                        after.fingering()));
    }
}
