package vocalis.core.arrange;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Band;
import vocalis.core.riff.Feel;
import vocalis.core.riff.Score;
import vocalis.core.theory.Key;

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
        CLICK_ONE
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
     * @param midi MIDI number, E1 to D♯2
     * @param velocity 0 to 1
     */
    public record BassNote(long at, long length, int midi, double velocity) {}

    private static final int LOWEST_BASS = 28;

    private Groove() {}

    private static long pulse(Meter meter) {
        return Math.max(meter.beatTicks(), Ticks.QUARTER);
    }

    /** The click: every beat, the one of each bar different. */
    public static List<Hit> click(Meter meter, long length) {
        List<Hit> hits = new ArrayList<>();
        for (long at = 0; at < length; at += meter.beatTicks()) {
            boolean one = at % meter.barTicks() == 0;
            hits.add(new Hit(at, one ? Drum.CLICK_ONE : Drum.CLICK, one ? 1 : 0.7));
        }
        return hits;
    }

    /** The kit in a feel. */
    public static List<Hit> kit(Meter meter, long length, Feel feel) {
        List<Hit> hits = new ArrayList<>();
        long pulse = pulse(meter);
        for (long bar = 0; bar < length; bar += meter.barTicks()) {
            int pulses = (int) ((meter.barTicks() + pulse - 1) / pulse);
            for (int p = 0; p < pulses; p++) {
                pulse(hits, bar + p * pulse, pulse, p, pulses, feel);
            }
            long end = Math.min(length, bar + meter.barTicks());
            hits.removeIf(h -> h.at() >= end);
        }
        hits.sort(Comparator.comparingLong(Hit::at));
        return hits;
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

    /** The bass: its note on every pulse, new with every chord. */
    public static List<BassNote> bass(Score score, Band.BassLine line) {
        List<BassNote> notes = new ArrayList<>();
        Key key = score.riff().ground().key();
        long pulse = pulse(score.riff().ground().meter());
        for (int i = 0; i < score.chords().size(); i++) {
            Score.Chord chord = score.chords().get(i);
            int root =
                    line == Band.BassLine.PEDAL
                            ? key.tonic().pitchClass()
                            : score.riff()
                                    .treatments()
                                    .get(i)
                                    .bass()
                                    .map(b -> b.pitchClass(key))
                                    .orElse(chord.root());
            int midi = LOWEST_BASS + Math.floorMod(root - LOWEST_BASS, 12);
            long at = chord.start();
            while (at < chord.end()) {
                long next = Math.min(chord.end(), (at / pulse + 1) * pulse);
                notes.add(new BassNote(at, next - at, midi, at == chord.start() ? 0.9 : 0.75));
                at = next;
            }
        }
        return notes;
    }

    /**
     * Where a straight tick falls when it swings: the second half of a quarter comes two thirds in.
     */
    public static long swung(long tick) {
        long quarter = tick / Ticks.QUARTER * Ticks.QUARTER;
        long in = tick - quarter;
        long half = Ticks.QUARTER / 2;
        return in < half ? quarter + in * 4 / 3 : quarter + half * 4 / 3 + (in - half) * 2 / 3;
    }
}
