package vocalis.core.mix;

import java.util.ArrayList;
import java.util.List;
import java.util.function.ToIntFunction;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;

/**
 * One of the pulses that a bar is felt in, and what a drummer does on it. Compound meters are felt
 * in dotted beats, odd ones in groups of two and three, others in their beats, or in quarters where
 * beats are shorter. Common practice, no source.
 *
 * @param at ticks from the bar line
 * @param length ticks
 * @param role what falls on it
 */
public record Pulse(long at, long length, Role role) {

    /** What falls on a pulse: the kick, the snare, or nothing but the hats. */
    public enum Role {
        DOWN,
        BACK,
        WEAK
    }

    private static final int SHORT = 8;

    /** What falls on the pulses of a bar, by how many it has; more than these go by turns. */
    private static final String[] ROLES = {"", "D", "DB", "DWB", "DBDB", "DWBDB", "DBDBDB"};

    /** Three groups of an odd meter: the middle one is answered by the snare. */
    private static final String OF_GROUPS = "DBD";

    /**
     * The pulses of a bar.
     *
     * @param struck how strongly the riff strikes so many ticks after the bar line: it says where
     *     the long group of an odd meter lies
     */
    public static List<Pulse> of(Meter meter, ToIntFunction<Long> struck) {
        return of(lengths(meter, struck), odd(meter));
    }

    private static List<Pulse> of(List<Long> lengths, boolean groups) {
        List<Pulse> all = new ArrayList<>();
        long at = 0;
        for (int i = 0; i < lengths.size(); i++) {
            all.add(new Pulse(at, lengths.get(i), role(i, lengths.size(), groups)));
            at += lengths.get(i);
        }
        return all;
    }

    private static Role role(int i, int of, boolean groups) {
        String known = groups && of == 3 ? OF_GROUPS : of < ROLES.length ? ROLES[of] : "";
        char c = known.isEmpty() ? i % 2 == 0 ? 'D' : 'B' : known.charAt(i);
        return c == 'D' ? Role.DOWN : c == 'B' ? Role.BACK : Role.WEAK;
    }

    /** Whether beats shorter than a quarter come by threes: 6/8, 9/8, 12/8, and 3/8 in one. */
    static boolean compound(Meter meter) {
        return meter.unit() >= SHORT && meter.beats() % 3 == 0;
    }

    /** Whether a bar has twos of short beats and one three: 5/8, 7/8, 11/8. */
    private static boolean odd(Meter meter) {
        return meter.unit() >= SHORT && meter.beats() % 2 == 1 && !compound(meter);
    }

    private static List<Long> lengths(Meter meter, ToIntFunction<Long> struck) {
        long beat = meter.beatTicks();
        if (compound(meter)) {
            return repeated(3 * beat, meter.beats() / 3);
        }
        if (!odd(meter) || meter.beats() < 3) {
            long pulse = Math.max(beat, Math.min(Ticks.QUARTER, meter.barTicks()));
            return even(meter.barTicks(), pulse);
        }
        int twos = (meter.beats() - 3) / 2;
        // Five is three and two, seven two, two and three, where the riff says nothing.
        List<Long> best = groups(beat, twos, twos == 1 ? 0 : twos);
        int most = weight(best, struck);
        for (int three = 0; three <= twos; three++) {
            List<Long> other = groups(beat, twos, three);
            if (weight(other, struck) > most) {
                most = weight(other, struck);
                best = other;
            }
        }
        return best;
    }

    private static List<Long> repeated(long length, int times) {
        return new ArrayList<>(java.util.Collections.nCopies(times, length));
    }

    private static List<Long> even(long bar, long pulse) {
        List<Long> all = repeated(pulse, (int) (bar / pulse));
        if (bar % pulse > 0) {
            all.add(bar % pulse);
        }
        return all;
    }

    private static List<Long> groups(long beat, int twos, int three) {
        List<Long> all = repeated(2 * beat, twos);
        all.add(three, 3 * beat);
        return all;
    }

    private static int weight(List<Long> lengths, ToIntFunction<Long> struck) {
        int sum = 0;
        long at = 0;
        for (long length : lengths) {
            sum += struck.applyAsInt(at);
            at += length;
        }
        return sum;
    }

    /** Whether it is divided by three. */
    boolean dotted() {
        return length % 3 == 0 && length / 3 % Ticks.SIXTEENTH == 0;
    }

    /** As many of the shortest even parts as eighths are in it, at least one. */
    int eighths() {
        return (int) Math.max(1, length / Ticks.EIGHTH);
    }

    long end() {
        return at + length;
    }
}
