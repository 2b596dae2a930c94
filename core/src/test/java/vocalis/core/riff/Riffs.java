package vocalis.core.riff;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Random;
import vocalis.core.edit.Scope;
import vocalis.core.edit.Strokes;
import vocalis.core.edit.Touches;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Restart;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.score.Manner;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;

/** Riffs that tests start from. */
public final class Riffs {

    public static final long BAR = Meter.COMMON.barTicks();

    private Riffs() {}

    public static Ground ground(String key) {
        return new Ground(Instrument.of(Tuning.STANDARD), 0, Key.parse(key), Tone.CLEAN, 440);
    }

    /** A bar of quarters: the first accented, every other under the palm. */
    public static Figure quarters(String id, Struck struck) {
        List<Event> events = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            Stroke s = new Stroke(i, i * Ticks.QUARTER, Ticks.QUARTER, struck);
            Stroke played = i % 2 == 1 ? s.played(Manner.PALM) : s;
            events.add(i == 0 ? played.accented(true) : played);
        }
        return new Figure(id, id, BAR, events);
    }

    /** Roots of a bar each on some steps. */
    public static Riff on(Pattern pattern, int... steps) {
        List<RootSpan> roots = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        for (int step : steps) {
            roots.add(new RootSpan(new Root(step, 0), BAR));
            treatments.add(Treatment.best(Family.POWER));
        }
        return new Riff(
                ground("A minor"),
                TimeLine.of(Meter.COMMON, 120),
                roots,
                treatments,
                pattern,
                List.of());
    }

    /** Four roots of a bar each, a figure of its own in every bar. */
    public static Riff fourBars() {
        Figure rest = new Figure("rest", "", BAR, List.of());
        return on(
                Pattern.inOrder(
                        List.of(
                                quarters("all", Struck.Named.ALL),
                                quarters("low", Struck.Named.LOW),
                                quarters("top", Struck.Named.TOP),
                                rest)),
                1,
                4,
                7,
                3);
    }

    /** One figure of quarters under roots on some steps. */
    public static Riff repeating(int... steps) {
        return on(Pattern.of(quarters("q", Struck.Named.ALL)), steps);
    }

    /** A touch on the top voice of an event. */
    public static Anchor top(String figure, int event, Optional<Integer> pass) {
        return new Anchor(figure, event, pass, new Anchor.Voice.FromTop(0));
    }

    /** Any riff of up to eight bars: random roots, figures of a bar or less, touches, overrides. */
    public static Riff random(Random r) {
        int bars = 1 + r.nextInt(6);
        List<RootSpan> roots = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        for (int b = 0; b < bars; b++) {
            int parts = r.nextInt(3) == 0 ? 2 : 1;
            for (int p = 0; p < parts; p++) {
                roots.add(new RootSpan(new Root(1 + r.nextInt(7), r.nextInt(3) - 1), BAR / parts));
                treatments.add(Treatment.best(Family.values()[r.nextInt(4)]));
            }
        }
        List<Figure> figures = new ArrayList<>();
        boolean against = r.nextInt(3) == 0;
        int count = 1 + r.nextInt(3);
        for (int f = 0; f < count; f++) {
            long length = against ? (3 + r.nextInt(9)) * Ticks.EIGHTH : BAR * (1 + r.nextInt(2));
            figures.add(figure(r, "f" + f, length));
        }
        Restart restart = against ? Restart.values()[r.nextInt(3)] : Restart.RUNS_ON;
        List<String> order = figures.stream().map(Figure::id).toList();
        Pattern pattern = new Pattern(figures, order, 0, restart, List.of());
        if (against && r.nextBoolean()) {
            pattern = pattern.late(r.nextInt(8) * Ticks.EIGHTH);
        }
        Riff riff =
                new Riff(
                        ground("E phrygian"),
                        TimeLine.of(Meter.COMMON, 90),
                        roots,
                        treatments,
                        pattern,
                        List.of());
        return touched(r, riff);
    }

    private static Figure figure(Random r, String id, long length) {
        List<Event> events = new ArrayList<>();
        long at = 0;
        while (at < length) {
            long last = Math.min(length - at, Ticks.SIXTEENTH * (1 + r.nextInt(6)));
            if (r.nextInt(4) > 0) {
                Struck struck = Struck.Named.values()[r.nextInt(8)];
                events.add(new Stroke(events.size(), at, last, struck));
            }
            at += last;
        }
        return new Figure(id, id, length, events);
    }

    private static Riff touched(Random r, Riff riff) {
        Riff out = riff;
        for (Pass p : riff.passes()) {
            for (Event e : p.events()) {
                if (r.nextInt(5) == 0) {
                    Optional<Integer> pass =
                            r.nextBoolean() ? Optional.of(p.index()) : Optional.empty();
                    out = Touches.put(out, touch(r, top(p.figure().id(), e.id(), pass), e));
                }
                if (r.nextInt(8) == 0) {
                    out =
                            Strokes.change(
                                    out,
                                    p.start() + e.at(),
                                    x -> ((Stroke) x).accented(true),
                                    Scope.THIS_PASS);
                }
            }
        }
        return out;
    }

    private static Touch touch(Random r, Anchor a, Event e) {
        return switch (r.nextInt(4)) {
            case 0 -> new Touch.Legato(a, List.of(new Touch.Step(2, e.length() / 2)));
            case 1 -> new Touch.Slide(a, 2, e.length() / 4, e.length() / 4);
            case 2 -> new Touch.Bend(a, 100, 0, e.length() / 4, OptionalLong.empty());
            default -> new Touch.Vibrato(a, 30, Touch.Vibrato.USUAL_HZ, 0);
        };
    }
}
