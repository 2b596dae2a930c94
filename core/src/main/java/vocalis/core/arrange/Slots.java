package vocalis.core.arrange;

import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import vocalis.core.derive.Derived;
import vocalis.core.mix.Pulse;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.score.Onset;

/** Where a second part can have its notes over a riff as it is played. */
final class Slots {

    private static final int STABS = 2;

    /** What a stroke of the first guitar weighs against a place in the bar; set by hand. */
    private static final double PER_STRUCK = 2;

    private final Riff riff;
    private final Derived first;
    private final FirstGuitar guitar;

    Slots(Riff riff, Derived first, FirstGuitar guitar) {
        this.riff = riff;
        this.first = first;
        this.guitar = guitar;
    }

    /** A stretch of time that a note or stroke is to fill. */
    record Slot(long at, long length) {}

    /** A slot for every chord. */
    List<Slot> held() {
        List<Slot> slots = new ArrayList<>();
        for (Derived.Chord c : first.chords()) {
            long at = begins(c);
            slots.add(new Slot(at, c.end() - at));
        }
        return slots;
    }

    /** From when on a chord sounds alone: the one before may be held over into it. */
    long begins(Derived.Chord c) {
        return guitar.settled(c.start(), c.end());
    }

    /** Quarters, cut where chords change. */
    List<Slot> quarters() {
        return every(Ticks.QUARTER, 0);
    }

    /**
     * Two eighths a bar, alike in all bars of a meter, where the first guitar leaves room: off the
     * beat, or with the snare where it strikes throughout.
     */
    List<Slot> stabs() {
        MeterMap meters = riff.meters();
        Map<Meter, List<Long>> places = new HashMap<>();
        List<Slot> slots = new ArrayList<>();
        for (int bar = meters.bar(riff.loopStart()); bar < riff.bars(); bar++) {
            long start = meters.start(bar);
            for (long after : places.computeIfAbsent(meters.meter(bar), this::freest)) {
                long at = start + after;
                if (at < riff.loopStart() || at >= riff.length()) {
                    continue;
                }
                Derived.Chord c = first.chords().get(riff.chordAt(at));
                if (at >= begins(c)) {
                    slots.add(new Slot(at, Math.min(Ticks.EIGHTH, c.end() - at)));
                }
            }
        }
        return slots;
    }

    private List<Long> freest(Meter meter) {
        List<Pulse> pulses = Pulse.of(meter, after -> (int) Math.round(4 * struck(meter, after)));
        List<Long> all = new ArrayList<>();
        for (long at = 0; at < meter.barTicks(); at += Ticks.EIGHTH) {
            all.add(at);
        }
        all.sort(
                Comparator.comparingDouble(
                        at -> PER_STRUCK * struck(meter, at) + unwelcome(pulses, at)));
        List<Long> taken = new ArrayList<>();
        for (long at : all) {
            boolean apart =
                    taken.stream()
                            .allMatch(
                                    t ->
                                            Math.abs(t - at) >= Ticks.QUARTER
                                                    && Math.abs(t - at)
                                                            <= meter.barTicks() - Ticks.QUARTER);
            if (taken.size() < STABS && apart) {
                taken.add(at);
            }
        }
        Collections.sort(taken);
        return taken;
    }

    /** With the snare is best, off the beat next, with the kick worst. */
    private static double unwelcome(List<Pulse> pulses, long at) {
        for (Pulse p : pulses) {
            if (p.at() == at) {
                return p.role() == Pulse.Role.BACK ? 0 : p.role() == Pulse.Role.DOWN ? 3 : 1;
            }
        }
        return 0.5;
    }

    /** The share of the bars of a meter in which the first guitar strikes so many ticks in. */
    private double struck(Meter meter, long after) {
        MeterMap meters = riff.meters();
        int bars = 0;
        int struck = 0;
        for (int bar = 0; bar < riff.bars(); bar++) {
            if (meters.meter(bar).equals(meter)) {
                long at = meters.start(bar) + after;
                int i = first.score().firstFrom(at);
                bars++;
                struck +=
                        i < first.score().onsets().size()
                                        && first.score().onsets().get(i).at() == at
                                ? 1
                                : 0;
            }
        }
        return (double) struck / Math.max(1, bars);
    }

    private List<Slot> every(long step, long from) {
        List<Slot> slots = new ArrayList<>();
        for (Derived.Chord c : first.chords()) {
            for (long at = Math.max(from, c.start()); at < c.end(); at += step) {
                long begins = Math.max(at, begins(c));
                long end = Math.min(at + step, c.end());
                if (begins < end) {
                    slots.add(new Slot(begins, end - begins));
                }
            }
        }
        return slots;
    }

    /** Sixteenths in the gaps that the first guitar leaves, or in the last half bar. */
    List<Slot> fill() {
        List<Slot> slots = new ArrayList<>();
        List<Onset> onsets = first.score().onsets();
        for (int i = 0; i < onsets.size(); i++) {
            long from = onsets.get(i).end();
            long to = i + 1 < onsets.size() ? onsets.get(i + 1).at() : riff.length();
            if (to - from >= Ticks.QUARTER) {
                for (long at = from; at + Ticks.EIGHTH <= to; at += Ticks.EIGHTH) {
                    slots.add(new Slot(at, Ticks.EIGHTH));
                }
            }
        }
        if (slots.isEmpty()) {
            long half = riff.meters().meter(riff.bars() - 1).barTicks() / 2;
            slots.addAll(every(Ticks.EIGHTH, Math.max(riff.loopStart(), riff.length() - half)));
        }
        return slots;
    }
}
