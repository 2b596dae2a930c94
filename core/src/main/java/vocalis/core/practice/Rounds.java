package vocalis.core.practice;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.arrange.Stretch;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.score.Harmony;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;

/**
 * A stretch of music laid end to end some times, with bars to count in before it. A stretch that
 * does not lie between bar lines becomes a bar of its own.
 */
public final class Rounds {

    private final long from;
    private final long to;
    private final int rounds;
    private final TimeLine time;
    private final long counted;

    /**
     * @param whole the time line that the stretch is of
     * @param from its first tick
     * @param to tick past its last
     * @param rounds how often it is laid, 1 or more
     * @param countIn bars to count in, 0 or more
     * @param hundredths of the tempo, such as 70
     */
    public Rounds(TimeLine whole, long from, long to, int rounds, int countIn, double hundredths) {
        this.from = from;
        this.to = to;
        this.rounds = rounds;
        List<Meter> bars = bars(whole.meters(), from, to);
        List<Meter> all = new ArrayList<>();
        for (int i = 0; i < countIn; i++) {
            all.add(bars.get(0));
        }
        counted = countIn * bars.get(0).barTicks();
        for (int r = 0; r < rounds; r++) {
            all.addAll(bars);
        }
        time = new TimeLine(MeterMap.ofBars(all, 0), tempos(whole, hundredths));
    }

    private static List<Meter> bars(MeterMap meters, long from, long to) {
        List<Meter> bars = new ArrayList<>();
        if (meters.barLine(from) && from >= meters.pickup() && meters.barLine(to)) {
            for (int b = meters.bar(from); meters.start(b) < to; b++) {
                bars.add(meters.meter(b));
            }
        } else {
            bars.add(one(to - from));
        }
        return bars;
    }

    /** A bar of any length, in the longest beats that fill it. */
    private static Meter one(long ticks) {
        for (int unit : new int[] {4, 8, 16, 32, 2, 1}) {
            long beat = Meter.COMMON.barTicks() / unit;
            if (ticks % beat == 0 && ticks / beat <= Meter.MOST_BEATS) {
                return new Meter((int) (ticks / beat), unit);
            }
        }
        throw new IllegalArgumentException(
                "a stretch of " + ticks + " ticks is no whole number of thirty-seconds");
    }

    private TempoMap tempos(TimeLine whole, double hundredths) {
        TempoMap cut = whole.between(from, to).tempos().scaled(hundredths);
        List<TempoMap.Change> all = new ArrayList<>();
        all.add(new TempoMap.Change(0, cut.first()));
        for (int r = 0; r < rounds; r++) {
            for (TempoMap.Change c : cut.changes()) {
                long at = counted + r * (to - from) + c.at();
                if (all.get(all.size() - 1).tempo() != c.tempo()) {
                    all.add(new TempoMap.Change(at, c.tempo()));
                }
            }
        }
        return new TempoMap(all);
    }

    /** The bars and tempos of all of it. */
    public TimeLine time() {
        return time;
    }

    /** Tick to which the loop comes back: after the counting in. */
    public long loopFrom() {
        return counted;
    }

    /** The bars of a round. */
    public int bars() {
        return time.meters().bars(counted + to - from) - time.meters().bar(counted);
    }

    /** A tick of the whole as it is in the first round; and back with {@link #whole}. */
    public long tick(long ofWhole) {
        return ofWhole - from + counted;
    }

    /** The tick of the whole that is heard at one of these; the first while counting in. */
    public long whole(double tick) {
        double in = tick - counted;
        return from + (in < 0 ? 0 : (long) in % (to - from));
    }

    /** Which round a tick is in, from 0; −1 while counting in. */
    public int round(double tick) {
        return tick < counted ? -1 : (int) ((tick - counted) / (to - from));
    }

    /** How long ago the round began that a tick is in, in seconds; that it will, counting in. */
    public double secondsIn(double tick) {
        long first = counted + Math.max(0, round(tick)) * (to - from);
        return time.tempos().seconds((long) tick) - time.tempos().seconds(first);
    }

    /** A score in these rounds. */
    public Score of(Score score) {
        Score cut = score.between(from, to);
        List<ScoreNote> notes = new ArrayList<>();
        List<Harmony> chords = new ArrayList<>();
        for (int r = 0; r < rounds; r++) {
            long shift = counted + r * (to - from);
            for (ScoreNote n : cut.notes()) {
                boolean alone = n.tied() && n.at() == 0;
                ScoreNote moved = n.beginning(n.at() + shift);
                notes.add(alone ? moved.tied(false) : moved);
            }
            for (Harmony h : cut.harmonies()) {
                chords.add(
                        new Harmony(
                                h.at() + shift,
                                h.length(),
                                h.root(),
                                h.bass(),
                                h.symbol(),
                                h.free()));
            }
        }
        return new Score(score.board(), time, counted + rounds * (to - from), notes, chords);
    }

    /** Stretches in these rounds. */
    public List<Stretch> of(List<Stretch> stretches) {
        List<Stretch> all = new ArrayList<>();
        for (int r = 0; r < rounds; r++) {
            for (Stretch s : Stretch.between(stretches, from, to)) {
                long shift = counted + r * (to - from);
                all.add(s.later(shift));
            }
        }
        return all;
    }
}
