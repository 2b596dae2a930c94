package vocalis.formats.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Gauge;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Harmony;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;

/** Sheets for tests: any instrument, meters, pickup, tuplets, ties and techniques. */
public final class Sheets {

    private static final long[] LENGTHS = {
        Ticks.SIXTEENTH,
        Ticks.EIGHTH,
        Ticks.QUARTER,
        Ticks.QUARTER * 3 / 2,
        Ticks.EIGHTH * 3 / 2,
        Ticks.QUARTER / 3,
        Ticks.QUARTER / 5,
        Ticks.SIXTEENTH / 2,
        Ticks.HALF * 3
    };

    private static final String[] SYMBOLS = {"m7", "5", "add9", "7sus4", "", "m", " octave", "/G"};

    private Sheets() {}

    /** A sheet that a seed decides. */
    public static Sheet random(long seed) {
        Random r = new Random(seed);
        List<Tuning> tunings = Tuning.offered();
        Tuning tuning = tunings.get(r.nextInt(tunings.size()));
        Instrument i =
                new Instrument(
                        tuning,
                        22 + r.nextInt(3),
                        628 + r.nextInt(40),
                        r.nextInt(9) == 0,
                        gauge(r));
        List<Mode> modes = Mode.builtIn();
        String tonic = new String[] {"C", "F#", "Bb", "E", "A"}[r.nextInt(5)];
        Key key = Key.parse(tonic + " " + modes.get(r.nextInt(modes.size())).name());
        Ground ground =
                new Ground(i, r.nextInt(4), key, Tone.values()[r.nextInt(3)], 430 + r.nextInt(20));
        List<Meter> bars = new ArrayList<>();
        int n = 1 + r.nextInt(6);
        Meter m = meter(r);
        for (int b = 0; b < n; b++) {
            m = r.nextInt(4) == 0 ? meter(r) : m;
            bars.add(m);
        }
        long pickup = r.nextInt(4) == 0 ? bars.get(0).beatTicks() : 0;
        pickup = pickup < bars.get(0).barTicks() ? pickup : 0;
        MeterMap meters = MeterMap.ofBars(bars, pickup);
        long length = meters.end(n - 1);
        List<TempoMap.Change> tempos =
                new ArrayList<>(List.of(new TempoMap.Change(0, 60 + r.nextInt(120))));
        if (r.nextInt(3) == 0 && n > 1) {
            tempos.add(new TempoMap.Change(meters.start(1), 60 + r.nextInt(120)));
        }
        TimeLine time = new TimeLine(meters, new TempoMap(tempos));
        List<Harmony> chords = harmonies(r, length);
        List<Sheet.Guitar> guitars = new ArrayList<>();
        guitars.add(new Sheet.Guitar("Guitar one", score(r, ground, time, length, chords)));
        if (r.nextInt(4) == 0) {
            guitars.add(new Sheet.Guitar("Guitar two", score(r, ground, time, length, chords)));
        }
        return new Sheet("Test " + seed + " <&> ♭", ground, guitars);
    }

    private static Gauge gauge(Random r) {
        return Gauge.values()[r.nextInt(Gauge.values().length)];
    }

    private static Meter meter(Random r) {
        return Meter.parse(new String[] {"4/4", "3/4", "5/4", "7/8", "6/8", "2/4"}[r.nextInt(6)]);
    }

    private static Score score(
            Random r, Ground ground, TimeLine time, long length, List<Harmony> chords) {
        Fretboard board = ground.board();
        List<ScoreNote> notes = new ArrayList<>();
        long at = 0;
        while (at < length) {
            long lasts = Math.min(LENGTHS[r.nextInt(LENGTHS.length)], length - at);
            int voices = r.nextInt(4) == 0 ? 0 : 1 + r.nextInt(3);
            int low = r.nextInt(board.strings() - Math.max(0, voices - 1));
            Manner manner = Manner.values()[r.nextInt(Manner.values().length)];
            Dynamics hard = Dynamics.values()[r.nextInt(4)];
            boolean down = r.nextBoolean();
            boolean plucked = r.nextInt(6) == 0;
            for (int v = 0; v < voices; v++) {
                int fret = r.nextInt(13);
                notes.add(
                        new ScoreNote(
                                low + v,
                                fret,
                                at,
                                lasts,
                                false,
                                manner == Manner.LET_RING || voices > 1,
                                hard,
                                manner,
                                down || plucked,
                                plucked,
                                v == 0 ? techniques(r, fret, lasts) : List.of(),
                                Optional.empty()));
            }
            at += lasts;
        }
        return new Score(board, time, length, notes, chords);
    }

    private static List<Technique> techniques(Random r, int fret, long lasts) {
        if (lasts < Ticks.EIGHTH || lasts % (Ticks.SIXTEENTH / 4) != 0) {
            return List.of();
        }
        long half = lasts / 2 / (Ticks.SIXTEENTH / 4) * (Ticks.SIXTEENTH / 4);
        return switch (r.nextInt(12)) {
            case 0 -> List.of(new Technique(Technique.Kind.HAMMER, fret + 2, half, 0));
            case 1 ->
                    fret > 1
                            ? List.of(new Technique(Technique.Kind.PULL, fret - 2, half, 0))
                            : List.of();
            case 2 -> List.of(new Technique(Technique.Kind.SLIDE, fret + 3, half / 2, half / 2));
            case 3 -> List.of(new Technique(Technique.Kind.BEND, 200, 0, half));
            case 4 -> List.of(new Technique(Technique.Kind.VIBRATO, 40, half, 0, 5.5));
            case 5 -> List.of(new Technique(Technique.Kind.TREMOLO, 8, 0, 0));
            case 6 -> List.of(new Technique(Technique.Kind.PINCH, 3, 0, 0));
            case 7 ->
                    List.of(
                            new Technique(Technique.Kind.BEND, 100, 0, half / 2),
                            new Technique(Technique.Kind.RELEASE, 0, half, half / 2));
            default -> List.of();
        };
    }

    private static List<Harmony> harmonies(Random r, long length) {
        List<Harmony> all = new ArrayList<>();
        long at = 0;
        while (at < length) {
            long end = Math.min(length, at + Ticks.HALF * (1 + r.nextInt(3)));
            String suffix = SYMBOLS[r.nextInt(SYMBOLS.length)];
            int bass = suffix.equals("/G") ? 7 : 2;
            all.add(new Harmony(at, end - at, 2, bass, "D" + suffix, List.of()));
            at = end;
        }
        return all;
    }
}
