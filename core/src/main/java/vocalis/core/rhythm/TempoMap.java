package vocalis.core.rhythm;

import java.util.ArrayList;
import java.util.List;

/**
 * How fast it goes where, in quarter notes per minute.
 *
 * @param changes ascending by tick, the first at 0
 */
public record TempoMap(List<Change> changes) {

    public static final int SLOWEST = 20;
    public static final int FASTEST = 400;

    /** Most changes of tempo in a riff. */
    public static final int MOST_CHANGES = 1024;

    /**
     * A tempo that holds from a tick on.
     *
     * @param at ticks from the start
     * @param tempo quarter notes per minute, 20 to 400
     */
    public record Change(long at, int tempo) {
        public Change {
            if (at < 0) {
                throw new IllegalArgumentException("a tempo holds from tick 0 on, not from " + at);
            }
            if (tempo < SLOWEST || tempo > FASTEST) {
                throw new IllegalArgumentException(
                        "the tempo lies between "
                                + SLOWEST
                                + " and "
                                + FASTEST
                                + ", but is "
                                + tempo);
            }
        }
    }

    public TempoMap {
        changes = List.copyOf(changes);
        if (changes.isEmpty() || changes.get(0).at() != 0) {
            throw new IllegalArgumentException("a tempo map begins with the tempo of tick 0");
        }
        if (changes.size() > MOST_CHANGES) {
            throw new IllegalArgumentException(
                    "a riff changes its tempo at most "
                            + MOST_CHANGES
                            + " times, not "
                            + changes.size());
        }
        for (int i = 1; i < changes.size(); i++) {
            if (changes.get(i).at() <= changes.get(i - 1).at()) {
                throw new IllegalArgumentException("tempos change in the order of time");
            }
        }
    }

    /** One tempo throughout. */
    public static TempoMap of(int tempo) {
        return new TempoMap(List.of(new Change(0, tempo)));
    }

    /** The tempo at the start. */
    public int first() {
        return changes.get(0).tempo();
    }

    /** The tempo at a tick. */
    public int at(long tick) {
        int tempo = first();
        for (Change c : changes) {
            if (c.at() <= tick) {
                tempo = c.tempo();
            }
        }
        return tempo;
    }

    /** Another tempo at the start; later changes keep their relation to it, within the limits. */
    public TempoMap startingAt(int tempo) {
        List<Change> out = new ArrayList<>();
        for (Change c : changes) {
            long scaled = Math.round(c.tempo() * (double) tempo / first());
            out.add(
                    c.at() == 0
                            ? new Change(0, tempo)
                            : new Change(
                                    c.at(), (int) Math.max(SLOWEST, Math.min(FASTEST, scaled))));
        }
        return new TempoMap(out);
    }

    /** Every tempo changed by hundredths, within the limits. */
    public TempoMap scaled(double hundredths) {
        List<Change> out = new ArrayList<>();
        for (Change c : changes) {
            long scaled = Math.round(c.tempo() * hundredths / 100);
            out.add(new Change(c.at(), (int) Math.max(SLOWEST, Math.min(FASTEST, scaled))));
        }
        return new TempoMap(out);
    }

    /** Seconds from the start to a tick. */
    public double seconds(long tick) {
        double seconds = 0;
        for (int i = 0; i < changes.size() && changes.get(i).at() < tick; i++) {
            long end = i + 1 < changes.size() ? Math.min(tick, changes.get(i + 1).at()) : tick;
            seconds += Ticks.seconds(end - changes.get(i).at(), changes.get(i).tempo());
        }
        return seconds;
    }
}
