package vocalis.formats.json;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import vocalis.core.edit.Chords;
import vocalis.core.instrument.Gauge;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.mix.BassFigure;
import vocalis.core.mix.Controls;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Feel;
import vocalis.core.mix.Mix;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Direction;
import vocalis.core.pattern.EventOverride;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Rest;
import vocalis.core.pattern.Restart;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.pattern.Touch;
import vocalis.core.piece.Meant;
import vocalis.core.piece.Part;
import vocalis.core.piece.Piece;
import vocalis.core.piece.PieceRiff;
import vocalis.core.piece.Section;
import vocalis.core.piece.Standing;
import vocalis.core.piece.Version;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Tone;
import vocalis.core.riff.Treatment;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/** A piece that uses everything that the format can say. */
final class Pieces {

    private static final long EIGHTH = Ticks.EIGHTH;

    private Pieces() {}

    static Piece everything() {
        Riff riff = riff();
        Mix mix =
                Mix.ALONE
                        .withControls(new Controls(1, -2, 3, -4, 5, -5, true, 2, 9, true, 7, true))
                        .withSecond(new Fader(true, 4), Tone.CLEAN, Controls.USUAL, 9)
                        .withBass(new Fader(true, 3), Mix.BassLine.PEDAL)
                        .withBassHand(Mix.BassHand.PICK)
                        .withKit(new Fader(true, 10), Feel.HALF_TIME)
                        .withClick(new Fader(false, 0));
        Version kept = new Version("v-1", "first try", "too fast", riff.withTouches(List.of()));
        return new Piece(
                "piece-1",
                "Ödegård \"♭\" riff",
                "two\nlines",
                List.of("slate", "slow one"),
                List.of(
                        new PieceRiff(
                                "riff-1",
                                riff,
                                List.of(kept),
                                Optional.of(second(riff)),
                                List.of(kept)),
                        new PieceRiff("riff-2", riff, List.of())),
                List.of(
                        new Part("guitar-1", "Guitar one", Optional.empty()),
                        new Part(
                                "guitar-2",
                                "Guitar two",
                                Optional.of(Family.OCTAVE),
                                new Part.Register(52, 79))),
                List.of(
                        new Section("s-1", "verse", "riff-1", 2)
                                .playing("riff-1", Optional.of("v-1"))
                                .ending(Optional.of("v-1"))
                                .at(115)
                                .singing("one | two |")
                                .with(
                                        new Section.Band(
                                                true,
                                                Optional.of(Feel.SIXTEENTHS),
                                                false,
                                                true,
                                                Optional.of(BassFigure.parse("1 - b7 8 .")))),
                        new Section("s-2", "end", "riff-2", 1)
                                .with(
                                        "guitar-2",
                                        new Section.Playing(false, Optional.of(Tone.CLEAN)))),
                mix,
                new Standing(4, Standing.Status.DONE),
                List.of(new Meant("riff-1", 3 * EIGHTH, 4, 5)));
    }

    /** Another family, a pattern of one rest: small, for damaged files are many. */
    private static Riff second(Riff riff) {
        Figure rest = new Figure("second", "", riff.length(), List.of());
        return Chords.familyOfAll(riff, Family.OCTAVE)
                .withTouches(List.of())
                .withPattern(Pattern.of(rest));
    }

    private static Riff riff() {
        Mode own =
                new Mode("my own", List.of(new Degree(1, 0), new Degree(4, 1), new Degree(7, -1)));
        Tuning seven = new Tuning("seven", List.of(35, 40, 45, 50, 55, 59, 64));
        Ground ground =
                new Ground(
                        new Instrument(seven, 22, 666, true, Gauge.VERY_HEAVY),
                        3,
                        new Key(Spelling.parse("Gb"), own),
                        Tone.EDGE,
                        442.5);
        MeterMap meters =
                MeterMap.ofBars(
                        List.of(new Meter(7, 8), new Meter(7, 8), new Meter(3, 4)), 2 * EIGHTH);
        TempoMap tempos =
                new TempoMap(
                        List.of(new TempoMap.Change(0, 73), new TempoMap.Change(9 * EIGHTH, 90)));
        Voicing v = new Voicing(Shape.parse("x-3-5-5-x-x-x"), ground.board(), 10);
        Treatment chosen =
                new Treatment(
                        Family.FOURTH,
                        Map.of(
                                Family.POWER,
                                Member.OfClass.of(v),
                                Family.FOURTH,
                                new Member.ByHand(Shape.parse("x-x-x-9-7-0-0"), 4)));
        return new Riff(
                ground,
                new TimeLine(meters, tempos),
                List.of(
                        new RootSpan(new Root(2, -1), 9 * EIGHTH),
                        new RootSpan(new Root(7, 3), 13 * EIGHTH)),
                List.of(
                        chosen.over(Optional.of(new Root(3, -1))),
                        Treatment.best(Family.OCTAVE)
                                .settled(Optional.of(Shape.parse("x-3-5-5-x-x-x")))),
                pattern(),
                touches());
    }

    private static Pattern pattern() {
        Figure odd =
                new Figure(
                        "odd.1",
                        "five eighths",
                        5 * EIGHTH,
                        List.of(
                                new Stroke(
                                        0,
                                        0,
                                        EIGHTH,
                                        Struck.Named.LOW_PAIR,
                                        Manner.PALM_HEAVY,
                                        Dynamics.GHOST,
                                        Direction.UP,
                                        false),
                                new Stroke(
                                        3,
                                        EIGHTH,
                                        Ticks.QUARTER / 3,
                                        new Struck.Picked(5),
                                        Manner.LET_RING,
                                        Dynamics.ACCENT,
                                        Direction.DOWN,
                                        true),
                                new Stroke(4, 2 * EIGHTH, EIGHTH, new Struck.Strings(33)),
                                new Rest(5, 3 * EIGHTH, EIGHTH)));
        Figure line =
                new Figure(
                        "line",
                        "",
                        4 * EIGHTH,
                        List.of(
                                new LineNote(
                                        0,
                                        0,
                                        EIGHTH,
                                        new LinePitch.Degree(LinePitch.Above.KEY, 7, -1, 1),
                                        Manner.STACCATO,
                                        Dynamics.SOFT,
                                        false),
                                new LineNote(1, EIGHTH, 2 * EIGHTH, new LinePitch.Place(5, 12))));
        return new Pattern(
                List.of(odd, line),
                List.of("odd.1", "line", "odd.1"),
                3 * EIGHTH,
                Restart.ROOT,
                List.of(
                        new EventOverride("odd.1", 0, new Rest(0, 0, EIGHTH)),
                        new EventOverride(
                                "line",
                                1,
                                new LineNote(7, 3 * EIGHTH, EIGHTH, new LinePitch.Place(0, 0)))));
    }

    private static List<Touch> touches() {
        Anchor every = new Anchor("odd.1", 3, Optional.empty(), new Anchor.Voice.FromTop(1));
        Anchor once = new Anchor("line", 1, Optional.of(1), new Anchor.Voice.OnString(5));
        return List.of(
                new Touch.Legato(every, List.of(new Touch.Step(2, 10), new Touch.Step(-1, 900))),
                new Touch.Slide(once, -3, 10, 5000),
                new Touch.Bend(every, 150, 0, 77, OptionalLong.of(3000)),
                new Touch.Bend(once, 100, 5, 0, OptionalLong.empty()),
                new Touch.Vibrato(once, 30, 6.25, 400),
                new Touch.Level(once, Dynamics.SOFT),
                new Touch.Tremolo(once, 8),
                new Touch.Pinch(once, 3),
                new Touch.Moved(every, -2),
                new Touch.Pinned(once, 7));
    }
}
