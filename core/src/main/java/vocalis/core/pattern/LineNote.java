package vocalis.core.pattern;

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
public record LineNote(
        int id,
        long at,
        long length,
        LinePitch pitch,
        Manner manner,
        Dynamics dynamics,
        boolean tied)
        implements Event {

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
        return new LineNote(id, at, ticks, pitch, manner, dynamics, tied);
    }

    @Override
    public LineNote beginning(long tick) {
        return new LineNote(id, tick, length, pitch, manner, dynamics, tied);
    }

    @Override
    public LineNote numbered(int other) {
        return new LineNote(other, at, length, pitch, manner, dynamics, tied);
    }

    @Override
    public LineNote tied(boolean on) {
        return new LineNote(id, at, length, pitch, manner, dynamics, on);
    }

    public LineNote sounding(LinePitch other) {
        return new LineNote(id, at, length, other, manner, dynamics, tied);
    }

    public LineNote played(Manner other) {
        return new LineNote(id, at, length, pitch, other, dynamics, tied);
    }

    @Override
    public LineNote with(Dynamics other) {
        return new LineNote(id, at, length, pitch, manner, other, tied);
    }
}
