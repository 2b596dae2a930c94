package vocalis.core.pattern;

import vocalis.core.score.Dynamics;

/** What happens at one place of a figure. */
public sealed interface Event permits Stroke, LineNote, Rest {

    /** Names it within its figure; stays when it is moved or changed. */
    int id();

    /** Ticks from the start of the figure, 0 or more. */
    long at();

    /** Ticks that it lasts as written. */
    long length();

    /** Whether it goes on from the event before it, not struck again. */
    boolean tied();

    /** Where it ends. */
    default long end() {
        return at() + length();
    }

    /** Whether it sounds at all. */
    default boolean sounds() {
        return !(this instanceof Rest);
    }

    /** How hard it is played. */
    default Dynamics dynamics() {
        return Dynamics.PLAIN;
    }

    /** The same, played harder or softer; silence stays as it is. */
    default Event with(Dynamics other) {
        return this;
    }

    Event lasting(long ticks);

    Event beginning(long tick);

    Event numbered(int other);

    Event tied(boolean on);

    /** Throws when a time is none. */
    static void check(int id, long at, long length) {
        if (id < 0) {
            throw new IllegalArgumentException("an event's number is 0 or more, not " + id);
        }
        if (at < 0) {
            throw new IllegalArgumentException(
                    "an event begins in its figure, but this one at " + at);
        }
        if (length < Limits.SHORTEST_EVENT || length > Limits.LONGEST_FIGURE) {
            throw new IllegalArgumentException(
                    "an event lasts from "
                            + Limits.SHORTEST_EVENT
                            + " to "
                            + Limits.LONGEST_FIGURE
                            + " ticks, but this one "
                            + length);
        }
    }
}
