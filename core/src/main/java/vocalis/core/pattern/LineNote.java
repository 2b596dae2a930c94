package vocalis.core.pattern;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Objects;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;

/**
 * A single note of a line between the strokes.
 *
 * @param id names it within its figure
 * @param at ticks from the start of the figure, 0 or more
 * @param length ticks that it lasts
 * @param pitch which note
 * @param manner how its string is left to sound
 * @param dynamics how hard
 * @param tied goes on from the event before, not struck again
 */
@RecordBuilder
public record LineNote(
        int id,
        long at,
        long length,
        LinePitch pitch,
        Manner manner,
        Dynamics dynamics,
        boolean tied)
        implements Event, LineNoteBuilder.With {

    public LineNote {
        Event.check(id, at, length);
        Objects.requireNonNull(pitch, "pitch");
        Objects.requireNonNull(manner, "manner");
        Objects.requireNonNull(dynamics, "dynamics");
    }

    /** A plain note. */
    public LineNote(int id, long at, long length, LinePitch pitch) {
        this(id, at, length, pitch, Manner.PLAIN, Dynamics.PLAIN, false);
    }

    @Override
    public LineNote lasting(long ticks) {
        return withLength(ticks);
    }

    @Override
    public LineNote beginning(long tick) {
        return withAt(tick);
    }

    @Override
    public LineNote numbered(int other) {
        return withId(other);
    }

    @Override
    public LineNote tied(boolean on) {
        return withTied(on);
    }

    public LineNote sounding(LinePitch other) {
        return withPitch(other);
    }

    public LineNote played(Manner other) {
        return withManner(other);
    }

    @Override
    public LineNote with(Dynamics other) {
        return withDynamics(other);
    }
}
