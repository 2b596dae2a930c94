package vocalis.core.score;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * One played note.
 *
 * @param string string index, 0 is the lowest
 * @param fret fret from the capo
 * @param at ticks from the start
 * @param length written length in ticks
 * @param tied whether it goes on from the note before on its string, not struck again
 * @param rings whether it may ring past its length until its string is needed or damped, as struck
 *     shapes do; a note of a line ends with its length
 * @param dynamics how hard
 * @param manner how it is left to sound
 * @param down struck downward (toward the floor) or upward
 * @param plucked by a finger of its own, together with the others, not one after another
 * @param techniques what is done to it while it sounds, in time order
 * @param origin where in a recipe it comes from; empty for an imported note
 */
@RecordBuilder
public record ScoreNote(
        int string,
        int fret,
        long at,
        long length,
        boolean tied,
        boolean rings,
        Dynamics dynamics,
        Manner manner,
        boolean down,
        boolean plucked,
        List<Technique> techniques,
        Optional<Origin> origin)
        implements ScoreNoteBuilder.With {

    public ScoreNote {
        Objects.requireNonNull(dynamics, "dynamics");
        Objects.requireNonNull(manner, "manner");
        Objects.requireNonNull(origin, "origin");
        techniques = List.copyOf(techniques);
        if (string < 0 || fret < 0 || at < 0) {
            throw new IllegalArgumentException(
                    "a note's string, fret and time are not below 0, but are "
                            + string
                            + ", "
                            + fret
                            + " and "
                            + at);
        }
        if (length <= 0) {
            throw new IllegalArgumentException(
                    "a note lasts longer than nothing, but this one " + length);
        }
    }

    /** Where it ends as written. */
    public long end() {
        return at + length;
    }

    /** Whether the string rings open. */
    public boolean open() {
        return fret == 0;
    }

    /** The fret that it ends on after what is done to it. */
    public int endFret() {
        int end = fret;
        for (Technique t : techniques) {
            end = t.kind().moves() ? t.to() : end;
        }
        return end;
    }

    /** The same note lasting longer or shorter. */
    public ScoreNote lasting(long ticks) {
        return withLength(ticks);
    }

    /** The same note on another fret of its string. */
    public ScoreNote onFret(int otherFret) {
        return withFret(otherFret);
    }

    /** The same note at another time. */
    public ScoreNote beginning(long tick) {
        return withAt(tick);
    }

    /** The same note going on from the one before, or struck. */
    public ScoreNote tied(boolean on) {
        return withTied(on);
    }

    /** The same note with other things done to it. */
    public ScoreNote with(List<Technique> others) {
        return withTechniques(others);
    }

    /** What other programs tell of it: not where it comes from, not whether it rings on. */
    public ScoreNote bare() {
        return with(b -> b.rings(true).origin(Optional.empty()));
    }
}
