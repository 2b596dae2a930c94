package vocalis.core.rhythm;

import java.util.ArrayList;
import java.util.List;

/**
 * Which meter holds in which bar, and how much music lies before the first one. Bars are counted
 * from 0; the pickup, where there is one, is bar −1. Time is in ticks from the very start, pickup
 * included.
 *
 * @param changes ascending by bar, the first at bar 0; neighbours differ
 * @param pickup ticks before bar 0; 0 for none, shorter than the first bar
 */
public record MeterMap(List<Change> changes, long pickup) {

    /** The number of the bar that the pickup counts as. */
    public static final int PICKUP_BAR = -1;

    /**
     * A meter that holds from a bar on.
     *
     * @param bar from 0
     * @param meter time signature
     */
    public record Change(int bar, Meter meter) {
        public Change {
            if (bar < 0 || bar > 1_000_000) {
                throw new IllegalArgumentException("a meter changes at bar 0 or later, not " + bar);
            }
        }
    }

    public MeterMap {
        changes = List.copyOf(changes);
        if (changes.isEmpty() || changes.get(0).bar() != 0) {
            throw new IllegalArgumentException("a meter map begins with the meter of bar 0");
        }
        for (int i = 1; i < changes.size(); i++) {
            if (changes.get(i).bar() <= changes.get(i - 1).bar()) {
                throw new IllegalArgumentException(
                        "meters change in the order of bars, but bar "
                                + changes.get(i).bar()
                                + " comes after bar "
                                + changes.get(i - 1).bar());
            }
        }
        if (pickup < 0 || pickup >= changes.get(0).meter().barTicks()) {
            throw new IllegalArgumentException(
                    "a pickup is shorter than the first bar's "
                            + changes.get(0).meter().barTicks()
                            + " ticks, but has "
                            + pickup);
        }
    }

    /** One meter throughout, no pickup. */
    public static MeterMap of(Meter meter) {
        return new MeterMap(List.of(new Change(0, meter)), 0);
    }

    /** The meters of bars in order; the last one goes on. */
    public static MeterMap ofBars(List<Meter> bars, long pickup) {
        List<Change> changes = new ArrayList<>();
        for (int b = 0; b < bars.size(); b++) {
            if (b == 0 || !bars.get(b).equals(bars.get(b - 1))) {
                changes.add(new Change(b, bars.get(b)));
            }
        }
        return new MeterMap(changes, pickup);
    }

    /** The meter of a bar; the pickup has that of the first. */
    public Meter meter(int bar) {
        return changes.get(change(bar)).meter();
    }

    private int change(int bar) {
        int i = changes.size() - 1;
        while (i > 0 && changes.get(i).bar() > bar) {
            i--;
        }
        return i;
    }

    /** Where a bar begins; the pickup at 0. */
    public long start(int bar) {
        if (bar < 0) {
            return 0;
        }
        long at = pickup;
        for (int i = 0; i < changes.size(); i++) {
            int from = changes.get(i).bar();
            int to = i + 1 < changes.size() ? Math.min(bar, changes.get(i + 1).bar()) : bar;
            if (to > from) {
                at += (to - from) * changes.get(i).meter().barTicks();
            }
        }
        return at;
    }

    /** Where a bar ends. */
    public long end(int bar) {
        return bar < 0 ? pickup : start(bar) + meter(bar).barTicks();
    }

    /** The bar that a tick lies in; {@link #PICKUP_BAR} before the first. */
    public int bar(long tick) {
        if (tick < pickup) {
            return PICKUP_BAR;
        }
        long at = pickup;
        for (int i = 0; ; i++) {
            long barTicks = changes.get(i).meter().barTicks();
            if (i + 1 == changes.size()) {
                return changes.get(i).bar() + (int) ((tick - at) / barTicks);
            }
            long bars = changes.get(i + 1).bar() - changes.get(i).bar();
            if (tick < at + bars * barTicks) {
                return changes.get(i).bar() + (int) ((tick - at) / barTicks);
            }
            at += bars * barTicks;
        }
    }

    /** Whether a bar begins at a tick. */
    public boolean barLine(long tick) {
        return tick >= pickup ? start(bar(tick)) == tick : tick == 0;
    }

    /** Number of whole bars in a length that begins with the pickup, the last one rounded up. */
    public int bars(long length) {
        return length <= pickup ? 0 : bar(length - 1) + 1;
    }

    /** The first bar line at or after a tick. */
    public long barLineFrom(long tick) {
        return barLine(tick) ? tick : end(bar(tick));
    }

    /**
     * A place as musicians count: bar and beat from 1 and what is left over. In a pickup the beats
     * are counted so that its end is the bar line.
     */
    public Place place(long tick) {
        int bar = bar(tick);
        Meter m = meter(bar);
        long in = bar < 0 ? m.barTicks() - pickup + tick : tick - start(bar);
        return new Place(bar + 1, (int) (in / m.beatTicks()) + 1, in % m.beatTicks());
    }

    /**
     * A place in bars and beats.
     *
     * @param bar from 1; 0 is the pickup
     * @param beat from 1
     * @param ticks past the beat
     */
    public record Place(int bar, int beat, long ticks) {}

    /** The map with another meter in one bar and those after it as they were. */
    public MeterMap with(int bar, Meter meter, int bars) {
        List<Meter> all = listed(Math.max(bars, bar + 2));
        all.set(bar, meter);
        long room = all.get(0).barTicks();
        return ofBars(all, pickup < room ? pickup : 0);
    }

    /** The map with another meter from the first bar on. */
    public MeterMap throughout(Meter meter) {
        return new MeterMap(List.of(new Change(0, meter)), pickup < meter.barTicks() ? pickup : 0);
    }

    public MeterMap withPickup(long ticks) {
        return new MeterMap(changes, ticks);
    }

    /** The meters of the first bars, one by one. */
    public List<Meter> listed(int bars) {
        List<Meter> all = new ArrayList<>();
        for (int b = 0; b < bars; b++) {
            all.add(meter(b));
        }
        return all;
    }
}
