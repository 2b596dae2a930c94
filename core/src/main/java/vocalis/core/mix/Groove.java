package vocalis.core.mix;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;

/** What bandmates play, the click, and where swing puts a tick. */
public final class Groove {

    /** Who is struck. */
    public enum Drum {
        KICK,
        SNARE,
        HAT,
        OPEN_HAT,
        CLICK,
        CLICK_ONE,
        TOM_HIGH,
        TOM_LOW,
        CRASH
    }

    /**
     * A stroke of kit or click.
     *
     * @param at ticks from the start of the riff
     * @param drum what is struck
     * @param velocity 0 to 1
     */
    public record Hit(long at, Drum drum, double velocity) {}

    /**
     * A note of the bass.
     *
     * @param at ticks from the start of the riff
     * @param length ticks
     * @param midi MIDI number, from an octave under the guitar's lowest string up
     * @param velocity 0 to 1
     */
    public record BassNote(long at, long length, int midi, double velocity) {}

    private Groove() {}

    /** The click: every beat, the one of each bar different. */
    public static List<Hit> click(MeterMap meters, long length) {
        List<Hit> hits = new ArrayList<>();
        for (int bar = firstBar(meters); meters.start(bar) < length; bar++) {
            long beat = meters.meter(bar).beatTicks();
            long end = Math.min(length, meters.end(bar));
            long first = bar < 0 ? end % beat : meters.start(bar);
            for (long at = first; at < end; at += beat) {
                boolean one = bar >= 0 && at == meters.start(bar);
                hits.add(new Hit(at, one ? Drum.CLICK_ONE : Drum.CLICK, one ? 1 : 0.7));
            }
        }
        return hits;
    }

    private static int firstBar(MeterMap meters) {
        return meters.pickup() > 0 ? MeterMap.PICKUP_BAR : 0;
    }

    /**
     * Where a straight tick falls when it swings: the second half of a quarter comes two thirds in.
     */
    public static long swung(long tick) {
        return swung(tick, 2, 3);
    }

    /** The same where the second half of a quarter comes {@code part} of {@code parts} in. */
    public static long swung(long tick, long part, long parts) {
        long quarter = tick / Ticks.QUARTER * Ticks.QUARTER;
        long in = tick - quarter;
        long half = Ticks.QUARTER / 2;
        long first = Ticks.QUARTER * part / parts;
        return in < half
                ? quarter + in * first / half
                : quarter + first + (in - half) * (Ticks.QUARTER - first) / half;
    }
}
