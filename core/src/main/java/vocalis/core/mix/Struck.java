package vocalis.core.mix;

import java.util.Map;
import java.util.NavigableMap;
import java.util.TreeMap;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.score.Onset;
import vocalis.core.score.Score;

/** What the riff strikes and how strongly: what a drummer and a bass player listen to. */
final class Struck {

    /** An accent, a low or muted stroke, any other stroke. */
    static final int ACCENT = 3;

    static final int LOW = 2;
    static final int PLAIN = 1;

    /** Strings from the lowest that count as low. */
    private static final int LOW_STRINGS = 2;

    private final NavigableMap<Long, Integer> weights = new TreeMap<>();
    private final MeterMap meters;
    private final long length;

    Struck(Score score) {
        meters = score.time().meters();
        length = score.length();
        for (Onset o : score.onsets()) {
            boolean heard = o.manner() != Manner.DEAD && o.dynamics() != Dynamics.GHOST;
            if (heard && !o.tied()) {
                weights.put(o.at(), weight(score, o));
            }
        }
    }

    private static int weight(Score score, Onset o) {
        if (o.notes().stream().anyMatch(n -> n.dynamics() == Dynamics.ACCENT)) {
            return ACCENT;
        }
        int lowest = lowestString(score, o.at());
        boolean low = o.notes().stream().allMatch(n -> n.string() <= lowest);
        return low || o.muted() ? LOW : PLAIN;
    }

    /** The lowest string of a chord, where it is one of the low ones; -1 where it is not. */
    private static int lowestString(Score score, long at) {
        int chord = score.harmonyAt(at);
        if (chord < 0) {
            return LOW_STRINGS - 1;
        }
        long end = score.harmonies().get(chord).end();
        int lowest = Integer.MAX_VALUE;
        for (int i = score.firstFrom(score.harmonies().get(chord).at());
                i < score.onsets().size() && score.onsets().get(i).at() < end;
                i++) {
            lowest = Math.min(lowest, score.onsets().get(i).notes().get(0).string());
        }
        return lowest < LOW_STRINGS ? lowest : -1;
    }

    /** How strongly a tick is struck; 0 where nothing is. */
    int at(long tick) {
        return weights.getOrDefault(tick, 0);
    }

    /** What is struck from one tick until before another. */
    Map<Long, Integer> between(long from, long to) {
        return weights.subMap(from, to);
    }

    /** How strongly so many ticks after the bar lines of a meter are struck, in all its bars. */
    int inBarsOf(Meter meter, long after) {
        int sum = 0;
        for (int bar = 0; meters.start(bar) < length; bar++) {
            sum += meters.meter(bar).equals(meter) ? at(meters.start(bar) + after) : 0;
        }
        return sum;
    }
}
