package vocalis.core.practice;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;

/**
 * How a beat is counted aloud: the number on it, "and" on its half, "e" and "a" on the sixteenths
 * where it is a quarter (common practice, no source).
 */
public final class Counting {

    private static final String[] QUARTERS = {"", "e", "and", "a"};

    private Counting() {}

    /**
     * What is said at a tick.
     *
     * @param finest length of what is counted: a quarter, an eighth or a sixteenth
     */
    public static String at(MeterMap meters, long tick, long finest) {
        MeterMap.Place p = meters.place(tick);
        long beat = meters.meter(Math.max(0, meters.bar(tick))).beatTicks();
        long part = Math.max(finest, 1);
        long in = p.ticks() / part * part;
        if (in == 0) {
            return String.valueOf(p.beat());
        }
        if (beat == Ticks.QUARTER) {
            int sixteenth = (int) (in * 4 / beat);
            return QUARTERS[sixteenth];
        }
        return in * 2 == beat ? "and" : "·";
    }

    /** Everything that is said in a bar, in its order. */
    public static List<String> bar(Meter meter, long finest) {
        MeterMap one = MeterMap.of(meter);
        List<String> all = new ArrayList<>();
        long part = Math.min(finest, meter.beatTicks());
        for (long at = 0; at < meter.barTicks(); at += part) {
            all.add(at(one, at, part));
        }
        return all;
    }
}
