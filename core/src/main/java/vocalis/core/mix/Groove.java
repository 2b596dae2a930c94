package vocalis.core.mix;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Harmony;
import vocalis.core.score.Score;

/**
 * What bass, kit and click play under a riff: stand-ins for bandmates, by rules that work in any
 * meter. A bar is counted in pulses of a beat, or of a quarter where beats are shorter; the last
 * may be cut short. Patterns are common practice.
 */
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
     * @param midi MIDI number, E1 to D♯2, or up to two octaves over it where it has its own notes
     * @param velocity 0 to 1
     */
    public record BassNote(long at, long length, int midi, double velocity) {}

    private static final int LOWEST_BASS = 28;

    private Groove() {}

    private static long pulse(Meter meter) {
        return Math.max(meter.beatTicks(), Ticks.QUARTER);
    }

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

    /** Every so many bars, and before the loop comes round, the kit fills. */
    private static final int BARS_TO_A_FILL = 4;

    /**
     * The kit in a feel; it waits through a pickup. The last pulse of every fourth bar, and of the
     * last, is a fill, and what comes after it begins with a crash.
     */
    public static List<Hit> kit(MeterMap meters, long length, Feel feel) {
        return kit(meters, meters.pickup(), length, feel, true);
    }

    /**
     * The kit of a stretch that begins at a bar line; bars are counted from there.
     *
     * @param fill whether the last bar ends with one
     */
    public static List<Hit> kit(MeterMap meters, long from, long to, Feel feel, boolean fill) {
        List<Hit> hits = new ArrayList<>();
        List<Long> fills = fills(meters, from, to, fill);
        int first = meters.bar(meters.barLineFrom(from));
        for (int bar = first; meters.start(bar) < to; bar++) {
            Meter meter = meters.meter(bar);
            long pulse = pulse(meter);
            int pulses = (int) ((meter.barTicks() + pulse - 1) / pulse);
            List<Hit> mine = new ArrayList<>();
            for (int p = 0; p < pulses; p++) {
                long at = meters.start(bar) + p * pulse;
                if (fills.contains(at)) {
                    fill(mine, at, pulse);
                } else {
                    pulse(mine, at, pulse, p, pulses, feel);
                }
            }
            if (bar > first && (bar - first) % BARS_TO_A_FILL == 0) {
                mine.add(new Hit(meters.start(bar), Drum.CRASH, 0.7));
            }
            long end = Math.min(to, meters.end(bar));
            mine.removeIf(h -> h.at() >= end);
            hits.addAll(mine);
        }
        hits.sort(Comparator.comparingLong(Hit::at));
        return hits;
    }

    /** Where fills begin, ticks from the start: on the last whole pulse of their bars. */
    public static List<Long> fills(MeterMap meters, long length) {
        return fills(meters, meters.pickup(), length, true);
    }

    private static List<Long> fills(MeterMap meters, long from, long to, boolean atEnd) {
        List<Long> fills = new ArrayList<>();
        int first = meters.bar(meters.barLineFrom(from));
        for (int bar = first; meters.start(bar) < to; bar++) {
            boolean last = meters.start(bar + 1) >= to;
            long pulse = pulse(meters.meter(bar));
            long whole = meters.meter(bar).barTicks() / pulse;
            boolean fourth = (bar - first) % BARS_TO_A_FILL == BARS_TO_A_FILL - 1;
            boolean here = last ? atEnd && (bar > first || fourth) : fourth;
            if (whole >= 2 && here) {
                fills.add(meters.start(bar) + (whole - 1) * pulse);
            }
        }
        return fills;
    }

    private static void fill(List<Hit> hits, long at, long pulse) {
        Drum[] sixteenths = {Drum.SNARE, Drum.SNARE, Drum.TOM_HIGH, Drum.TOM_LOW};
        double[] velocities = {0.7, 0.55, 0.8, 0.9};
        hits.add(new Hit(at, Drum.KICK, 0.8));
        for (int i = 0; i < sixteenths.length; i++) {
            hits.add(new Hit(at + i * pulse / 4, sixteenths[i], velocities[i]));
        }
    }

    private static void pulse(List<Hit> hits, long at, long pulse, int p, int pulses, Feel feel) {
        boolean even = p % 2 == 0;
        hits.add(new Hit(at, Drum.HAT, 0.75));
        switch (feel) {
            case EIGHTHS -> {
                hits.add(new Hit(at + pulse / 2, Drum.HAT, 0.5));
                hits.add(new Hit(at, even ? Drum.KICK : Drum.SNARE, 0.9));
                if (p == 2) {
                    hits.add(new Hit(at + pulse / 2, Drum.KICK, 0.75));
                }
            }
            case HALF_TIME -> {
                if (p == 0) {
                    hits.add(new Hit(at, Drum.KICK, 1));
                } else if (p == pulses / 2) {
                    hits.add(new Hit(at, Drum.SNARE, 0.95));
                } else if (p == pulses - 1) {
                    hits.add(new Hit(at + pulse / 2, Drum.OPEN_HAT, 0.6));
                    hits.add(new Hit(at + pulse / 2, Drum.KICK, 0.7));
                }
            }
            case SWUNG -> {
                hits.add(new Hit(at + 2 * pulse / 3, Drum.HAT, 0.5));
                hits.add(new Hit(at, even ? Drum.KICK : Drum.SNARE, 0.9));
            }
            case SIXTEENTHS -> {
                for (int i = 1; i < 4; i++) {
                    hits.add(new Hit(at + i * pulse / 4, Drum.HAT, i == 2 ? 0.6 : 0.4));
                }
                hits.add(new Hit(at, even ? Drum.KICK : Drum.SNARE, 0.9));
                hits.add(new Hit(at + (even ? 3 : 2) * pulse / 4, Drum.KICK, 0.7));
            }
        }
    }

    /** The bass: its note on every pulse of the bar, new with every chord. */
    public static List<BassNote> bass(Score score, Mix.BassLine line, int tonic) {
        return bass(score, 0, score.length(), line, tonic);
    }

    /** The same in a stretch: the notes that begin in it. */
    public static List<BassNote> bass(
            Score score, long from, long to, Mix.BassLine line, int tonic) {
        List<BassNote> notes = new ArrayList<>();
        MeterMap meters = score.time().meters();
        int first = Math.max(0, score.harmonyAt(from));
        for (Harmony chord : score.harmonies().subList(first, score.harmonies().size())) {
            if (chord.at() >= to) {
                break;
            }
            int root = line == Mix.BassLine.PEDAL ? tonic : chord.bass();
            int midi = LOWEST_BASS + Math.floorMod(root - LOWEST_BASS, 12);
            long at = chord.at();
            while (at < chord.end()) {
                int bar = meters.bar(at);
                long pulse = pulse(meters.meter(bar));
                long origin =
                        bar < 0 ? meters.pickup() - meters.meter(0).barTicks() : meters.start(bar);
                long next = origin + ((at - origin) / pulse + 1) * pulse;
                next = Math.min(chord.end(), Math.min(next, meters.end(bar)));
                if (at >= from && at < to) {
                    notes.add(new BassNote(at, next - at, midi, at == chord.at() ? 0.9 : 0.75));
                }
                at = next;
            }
        }
        return notes;
    }

    /**
     * The bass with notes of its own in a stretch: the figure's steps from every bar line on, over
     * the bass of the chord that sounds.
     */
    public static List<BassNote> bass(Score score, long from, long to, BassFigure figure) {
        List<BassNote> notes = new ArrayList<>();
        MeterMap meters = score.time().meters();
        long step = BassFigure.stepTicks();
        for (int bar = meters.bar(from); meters.start(bar) < to; bar++) {
            long begin = bar < 0 ? from : Math.max(from, meters.start(bar));
            long end = Math.min(to, meters.end(bar));
            int i = 0;
            for (long at = begin; at < end; at += step) {
                BassFigure.Step s = figure.steps().get(i++ % figure.steps().size());
                long lasts = Math.min(step, end - at);
                int chord = score.harmonyAt(at);
                boolean holds = s == BassFigure.Step.Still.HOLD && !notes.isEmpty();
                if (s instanceof BassFigure.Step.Note n && chord >= 0) {
                    int root = score.harmonies().get(chord).bass();
                    int midi = LOWEST_BASS + Math.floorMod(root - LOWEST_BASS, 12) + n.semitones();
                    notes.add(new BassNote(at, lasts, midi, at == begin ? 0.9 : 0.8));
                } else if (holds && end(notes) == at) {
                    BassNote held = notes.remove(notes.size() - 1);
                    notes.add(
                            new BassNote(
                                    held.at(),
                                    held.length() + lasts,
                                    held.midi(),
                                    held.velocity()));
                }
            }
        }
        return notes;
    }

    private static long end(List<BassNote> notes) {
        BassNote last = notes.get(notes.size() - 1);
        return last.at() + last.length();
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
