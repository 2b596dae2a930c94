package vocalis.core.arrange;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.derive.Derived;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.score.Onset;

/** Where a second part can have its notes over a riff as it is played. */
final class Slots {

    private final Riff riff;
    private final Derived first;

    Slots(Riff riff, Derived first) {
        this.riff = riff;
        this.first = first;
    }

    /** A stretch of time that a note or stroke is to fill. */
    record Slot(long at, long length) {}

    /** A slot for every chord. */
    List<Slot> held() {
        List<Slot> slots = new ArrayList<>();
        for (Derived.Chord c : first.chords()) {
            slots.add(new Slot(c.start(), c.length()));
        }
        return slots;
    }

    /** Quarters, cut where chords change. */
    List<Slot> quarters() {
        return every(Ticks.QUARTER, 0);
    }

    List<Slot> offbeats() {
        List<Slot> slots = new ArrayList<>();
        for (Slot s : every(Ticks.EIGHTH, 0)) {
            if ((s.at() - riff.loopStart()) / Ticks.EIGHTH % 2 == 1 && s.at() >= riff.loopStart()) {
                slots.add(s);
            }
        }
        return slots;
    }

    private List<Slot> every(long step, long from) {
        List<Slot> slots = new ArrayList<>();
        for (Derived.Chord c : first.chords()) {
            for (long at = Math.max(from, c.start()); at < c.end(); at += step) {
                slots.add(new Slot(at, Math.min(step, c.end() - at)));
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
