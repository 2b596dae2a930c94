package vocalis.core.pattern;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Objects;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;

/**
 * Voices of the chord's shape struck together.
 *
 * @param id names it within its figure
 * @param at ticks from the start of the figure, 0 or more
 * @param length ticks that it lasts
 * @param struck which voices or strings
 * @param manner how its strings are left to sound
 * @param dynamics how hard
 * @param direction which way
 * @param tied goes on from the event before, not struck again
 */
@RecordBuilder
public record Stroke(
        int id,
        long at,
        long length,
        Struck struck,
        Manner manner,
        Dynamics dynamics,
        Direction direction,
        boolean tied)
        implements Event, StrokeBuilder.With {

    public Stroke {
        Event.check(id, at, length);
        Objects.requireNonNull(struck, "struck");
        Objects.requireNonNull(manner, "manner");
        Objects.requireNonNull(dynamics, "dynamics");
        Objects.requireNonNull(direction, "direction");
    }

    /** A plain stroke. */
    public Stroke(int id, long at, long length, Struck struck) {
        this(id, at, length, struck, Manner.PLAIN, Dynamics.PLAIN, Direction.ALTERNATE, false);
    }

    /** Whether the palm or the fingers keep it short. */
    public boolean muted() {
        return manner.palm() || manner == Manner.DEAD;
    }

    public boolean accented() {
        return dynamics == Dynamics.ACCENT;
    }

    public Stroke striking(Struck other) {
        return withStruck(other);
    }

    @Override
    public Stroke lasting(long ticks) {
        return withLength(ticks);
    }

    @Override
    public Stroke beginning(long tick) {
        return withAt(tick);
    }

    @Override
    public Stroke numbered(int other) {
        return withId(other);
    }

    @Override
    public Stroke tied(boolean on) {
        return withTied(on);
    }

    public Stroke played(Manner other) {
        return withManner(other);
    }

    @Override
    public Stroke with(Dynamics other) {
        return withDynamics(other);
    }

    public Stroke going(Direction other) {
        return withDirection(other);
    }

    public Stroke accented(boolean on) {
        return with(on ? Dynamics.ACCENT : Dynamics.PLAIN);
    }
}
