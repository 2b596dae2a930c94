package vocalis.core.pattern;

/**
 * Silence that is written: nothing is struck and what rang is damped.
 *
 * @param id names it within its figure
 * @param at ticks from the start of the figure
 * @param length ticks
 */
public record Rest(int id, long at, long length) implements Event {

    public Rest {
        Event.check(id, at, length);
    }

    @Override
    public boolean tied() {
        return false;
    }

    @Override
    public Rest tied(boolean on) {
        return this;
    }

    @Override
    public Rest lasting(long ticks) {
        return new Rest(id, at, ticks);
    }

    @Override
    public Rest beginning(long tick) {
        return new Rest(id, tick, length);
    }

    @Override
    public Rest numbered(int other) {
        return new Rest(other, at, length);
    }
}
