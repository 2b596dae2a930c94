package vocalis.core.rhythm;

import java.util.ArrayList;
import java.util.List;

/**
 * How lengths are written: which note value with which dots, tied to which next. A length is split
 * where it crosses a bar line, then into the longest plain or dotted values that it is made of.
 */
public final class Notation {

    /**
     * A note value.
     *
     * @param ticks its length
     * @param beams flags or beams: 0 for a quarter or longer, 1 for an eighth, and so on
     * @param dots 0 to 2
     * @param tuplet notes in the time of a power of two, such as 3; 1 for none
     * @param exact whether the value says the length exactly
     */
    public record Value(long ticks, int beams, int dots, int tuplet, boolean exact) {

        /** Whether the head is open: a half note or longer. */
        public boolean open() {
            return ticks * 3 >= Ticks.HALF * 2 && beams == 0 && plain() >= Ticks.HALF;
        }

        /** Whether it has no stem: a whole note or longer. */
        public boolean stemless() {
            return plain() >= Ticks.WHOLE;
        }

        /** The length without dots and tuplet. */
        public long plain() {
            long sounding = dots == 0 ? ticks : dots == 1 ? ticks * 2 / 3 : ticks * 4 / 7;
            return tuplet == 1 ? sounding : sounding * tuplet / Integer.highestOneBit(tuplet);
        }
    }

    /**
     * A value in its place.
     *
     * @param at where it begins
     * @param value which value
     * @param tied whether it is tied to the next part of the same note
     */
    public record TiedValue(long at, Value value, boolean tied) {}

    private static final int[] TUPLETS = {3, 5, 7};
    private static final long SHORTEST = Ticks.QUARTER / 16;

    private Notation() {}

    /** The value of a length by itself; not exact when no single value says it. */
    public static Value value(long ticks) {
        for (int dots = 0; dots <= 2; dots++) {
            if (dotted(ticks, dots)) {
                return new Value(ticks, beams(undotted(ticks, dots)), dots, 1, true);
            }
        }
        for (int tuplet : TUPLETS) {
            long stretched = ticks * tuplet / Integer.highestOneBit(tuplet);
            boolean whole = ticks * tuplet % Integer.highestOneBit(tuplet) == 0;
            for (int dots = 0; whole && dots <= 1; dots++) {
                if (dotted(stretched, dots)) {
                    return new Value(ticks, beams(undotted(stretched, dots)), dots, tuplet, true);
                }
            }
        }
        return new Value(ticks, beams(ticks), 0, 1, false);
    }

    private static boolean dotted(long ticks, int dots) {
        int numerator = (1 << (dots + 1)) - 1;
        return ticks * (1L << dots) % numerator == 0 && powerOfTwo(undotted(ticks, dots));
    }

    private static long undotted(long ticks, int dots) {
        return ticks * (1L << dots) / ((1 << (dots + 1)) - 1);
    }

    /** Whether a length is a 64th, 32nd, … whole, breve. */
    private static boolean powerOfTwo(long ticks) {
        return ticks >= SHORTEST
                && ticks % SHORTEST == 0
                && Long.bitCount(ticks / SHORTEST) == 1
                && ticks <= 2 * Ticks.WHOLE;
    }

    private static int beams(long plain) {
        int beams = 0;
        for (long t = Ticks.QUARTER; t > plain && beams < 5; t /= 2) {
            beams++;
        }
        return beams;
    }

    /** How a note that begins at a tick and lasts a length is written under a meter map. */
    public static List<TiedValue> parts(long at, long length, MeterMap meters) {
        List<TiedValue> parts = new ArrayList<>();
        long from = at;
        long end = at + length;
        while (from < end) {
            long line = Math.min(end, meters.end(meters.bar(from)));
            while (from < line) {
                Value v = longest(line - from);
                from += v.ticks();
                parts.add(new TiedValue(from - v.ticks(), v, from < end));
            }
        }
        return parts;
    }

    /** The longest value that fits into a length, or the length itself where none does. */
    private static Value longest(long room) {
        Value whole = value(room);
        if (whole.exact()) {
            return whole;
        }
        for (long plain = 2 * Ticks.WHOLE; plain >= SHORTEST; plain /= 2) {
            for (int dots = 1; dots >= 0; dots--) {
                long ticks = dots == 1 ? plain * 3 / 2 : plain;
                if (ticks < room && value(ticks).exact()) {
                    return value(ticks);
                }
            }
        }
        return whole;
    }

    /**
     * How many beams join two values that follow each other: they must lie in one beat of one bar,
     * touch, and both have beams. The beat of 3/8, 6/8, 9/8 and 12/8 is three eighths.
     */
    public static int joined(TiedValue before, TiedValue next, MeterMap meters) {
        int bar = meters.bar(next.at());
        long start = meters.start(bar);
        Meter m = meters.meter(bar);
        boolean compound = m.unit() >= 8 && m.beats() % 3 == 0;
        long beat = compound ? 3 * m.beatTicks() : Math.max(Ticks.QUARTER, m.beatTicks());
        boolean together =
                meters.bar(before.at()) == bar
                        && (before.at() - start) / beat == (next.at() - start) / beat
                        && before.at() + before.value().ticks() == next.at();
        return together ? Math.min(before.value().beams(), next.value().beams()) : 0;
    }
}
