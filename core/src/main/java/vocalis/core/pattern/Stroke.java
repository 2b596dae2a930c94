package vocalis.core.pattern;

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
public record Stroke(
        int id,
        long at,
        long length,
        Struck struck,
        Manner manner,
        Dynamics dynamics,
        Direction direction,
        boolean tied)
        implements Event {

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
        return new Stroke(id, at, length, other, manner, dynamics, direction, tied);
    }

    @Override
    public Stroke lasting(long ticks) {
        return new Stroke(id, at, ticks, struck, manner, dynamics, direction, tied);
    }

    @Override
    public Stroke beginning(long tick) {
        return new Stroke(id, tick, length, struck, manner, dynamics, direction, tied);
    }

    @Override
    public Stroke numbered(int other) {
        return new Stroke(other, at, length, struck, manner, dynamics, direction, tied);
    }

    @Override
    public Stroke tied(boolean on) {
        return new Stroke(id, at, length, struck, manner, dynamics, direction, on);
    }

    public Stroke played(Manner other) {
        return new Stroke(id, at, length, struck, other, dynamics, direction, tied);
    }

    @Override
    public Stroke with(Dynamics other) {
        return new Stroke(id, at, length, struck, manner, other, direction, tied);
    }

    public Stroke going(Direction other) {
        return new Stroke(id, at, length, struck, manner, dynamics, other, tied);
    }

    public Stroke accented(boolean on) {
        return with(on ? Dynamics.ACCENT : Dynamics.PLAIN);
    }
}
