package vocalis.workbench.playing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Finding;
import vocalis.core.instrument.Shape;
import vocalis.core.mix.Controls;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Feel;
import vocalis.core.mix.Mix;
import vocalis.core.mix.Timing;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Direction;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.pattern.Touch;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Tone;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Onset;
import vocalis.core.score.ScoreNote;
import vocalis.core.voicing.Family;
import vocalis.sound.dsp.Loudness;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Program;
import vocalis.sound.engine.Sample;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Edits;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.words.FindingWords;

/** From the riff with who plays along to what is rendered. */
class SoundEventsTest {

    private static final int RATE = (int) Player.RATE;
    private final Piece piece = Demo.pieces().get(0);

    private Workspace with(Mix mix) {
        Workspace w = new Workspace(new Catalogue(), piece);
        w.apply(Edits.mix("all", m -> mix));
        return w;
    }

    private static List<String> described(Program p) {
        List<String> all = new ArrayList<>();
        for (int e = 0; e < p.events(); e++) {
            all.add(p.describe(e));
        }
        return all;
    }

    private static List<String> described(Workspace w) {
        return described(SoundEvents.program(w.heard()));
    }

    @Test
    void everyOnsetIsPlayedWhereItStands() {
        for (Piece p : Demo.pieces()) {
            Workspace w = new Workspace(new Catalogue(), p);
            Program program = SoundEvents.program(w.heard());
            int event = 0;
            for (Onset o : w.score().onsets()) {
                while (program.at(event) < o.at() || !strikes(program, event)) {
                    event++;
                }
                assertThat(program.at(event)).isEqualTo(o.at());
                for (ScoreNote n : o.notes()) {
                    assertThat(program.action(event, n.string())).isEqualTo(n.fret());
                }
                event++;
            }
            assertThat(program.length()).isEqualTo(w.score().length());
        }
    }

    private static boolean strikes(Program p, int event) {
        for (int s = 0; s < 6; s++) {
            if (p.action(event, s) >= 0) {
                return true;
            }
        }
        return false;
    }

    @Test
    void aNewChordAndARestDampWhatRang() {
        Workspace w = new Workspace(new Catalogue(), Demo.pieces().get(1).mixed(Mix.ALONE));
        Program p = SoundEvents.program(w.heard());
        for (int e = 0; e < p.events(); e++) {
            boolean keeps = false;
            for (int s = 0; s < 6; s++) {
                keeps |= p.action(e, s) == Program.KEEP;
            }
            long at = p.at(e);
            boolean chordBegins = w.derived().chords().stream().anyMatch(c -> c.start() == at);
            if (chordBegins || !strikes(p, e)) {
                assertThat(keeps).as("event at %d", at).isFalse();
            }
        }
    }

    private static Program played(Touch... touches) {
        Figure f =
                new Figure(
                        "line",
                        "",
                        Ticks.WHOLE,
                        List.of(
                                new LineNote(0, 0, Ticks.HALF, new LinePitch.Place(2, 5)),
                                new LineNote(
                                        1, Ticks.HALF, Ticks.HALF, new LinePitch.Place(5, 20))));
        Riff riff = Demo.blank("x").riff().withPattern(Pattern.of(f));
        Workspace w =
                new Workspace(
                        new Catalogue(),
                        Piece.of("x", "x", "", riff.withTouches(List.of(touches))));
        return SoundEvents.program(w.heard());
    }

    private static List<Long> strokesOn(Program p, int string, int fret) {
        List<Long> at = new ArrayList<>();
        for (int e = 0; e < p.events(); e++) {
            if (p.action(e, string) == fret && p.at(e) < Ticks.WHOLE) {
                at.add(p.at(e));
            }
        }
        return at;
    }

    /** Plucked strings sound together, each by itself; a voice softer than the rest is softer. */
    @Test
    void pluckedVoicesHaveLevelsOfTheirOwn() {
        Stroke stroke = new Stroke(0, 0, Ticks.WHOLE, Struck.Named.ALL);
        Pattern plucked =
                Pattern.of(
                        new Figure("f", "", Ticks.WHOLE, List.of(stroke.going(Direction.PLUCKED))));
        Anchor top = new Anchor("f", 0, Optional.empty(), new Anchor.Voice.FromTop(0));
        Riff riff =
                Demo.blank("x")
                        .riff()
                        .withPattern(plucked)
                        .withTouches(List.of(new Touch.Level(top, Dynamics.SOFT)));
        Workspace w = new Workspace(new Catalogue(), Piece.of("x", "x", "", riff));
        int voices = w.derived().chords().get(0).candidate().voicing().voices();
        Program p = SoundEvents.program(w.heard());
        List<String> apart = described(p).stream().limit(voices).toList();
        assertThat(apart).allMatch(d -> d.startsWith("strike"));
        for (int e = 0; e < voices; e++) {
            int struck = 0;
            for (int string = 0; string < 6; string++) {
                struck += p.action(e, string) >= 0 ? 1 : 0;
            }
            assertThat(struck).isEqualTo(1);
            assertThat(p.at(e)).isZero();
        }
        assertThat(apart.get(voices - 1)).contains("0.55");
        assertThat(apart.get(0)).doesNotContain("0.55");
        assertThat(p.at(voices)).isPositive();
    }

    private static long first(Program p, String kind) {
        int e = 0;
        while (!p.describe(e).startsWith(kind)) {
            e++;
        }
        return p.at(e);
    }

    /** 20 ms at 104 beats a minute: the guitars lie so far behind, or the band does. */
    @Test
    void guitarsPushAndPull() {
        Mix band = Mix.ALONE.withBass(Fader.ON, Mix.BassLine.ROOTS);
        long shift = Math.round(0.020 * 104 / 60 * Ticks.QUARTER);
        Program pulled = SoundEvents.program(with(band.timed(new Timing(5, 50, 20))).heard());
        Program pushed = SoundEvents.program(with(band.timed(new Timing(5, 50, -20))).heard());
        assertThat(first(pulled, "strike")).isEqualTo(shift);
        assertThat(first(pulled, "bass")).isZero();
        assertThat(first(pushed, "strike")).isZero();
        assertThat(first(pushed, "bass")).isEqualTo(shift);
    }

    /**
     * Four strokes to a quarter over a half note: eight, evenly, and no other string is touched.
     */
    @Test
    void aTremoloStrikesAgainAndAgain() {
        Anchor first = new Anchor("line", 0, Optional.empty(), new Anchor.Voice.FromTop(0));
        List<Long> at = strokesOn(played(new Touch.Tremolo(first, 4)), 2, 5);
        assertThat(at).hasSize(8);
        for (int i = 0; i < 8; i++) {
            assertThat(at.get(i)).isEqualTo(i * Ticks.SIXTEENTH);
        }
        assertThat(strokesOn(played(), 2, 5)).containsExactly(0L);
    }

    /** The note is struck where it is fretted, and the thumb leaves a partial of each stroke. */
    @Test
    void aPinchHarmonicLeavesAPartialOfItsNote() {
        Anchor first = new Anchor("line", 0, Optional.empty(), new Anchor.Voice.FromTop(0));
        for (int partial = 2; partial <= Touch.Pinch.HIGHEST; partial++) {
            Program pinched = played(new Touch.Pinch(first, partial));
            assertThat(strokesOn(pinched, 2, 5)).containsExactly(0L);
            assertThat(described(pinched)).contains("PINCH 0 string 2 to " + partial + " in 0");
        }
        Program again = played(new Touch.Pinch(first, 5), new Touch.Tremolo(first, 2));
        List<Long> pinched = new ArrayList<>();
        for (int e = 0; e < again.events() && again.at(e) < Ticks.WHOLE; e++) {
            if (again.describe(e).startsWith("PINCH")) {
                pinched.add(again.at(e));
            }
        }
        assertThat(pinched).hasSize(4).isEqualTo(strokesOn(again, 2, 5));
    }

    /** A line's notes end where they end, while what was strummed before them rings on. */
    @Test
    void notesOfALineEndAndStrokesRing() {
        Figure f =
                new Figure(
                        "line",
                        "",
                        Ticks.WHOLE,
                        List.of(
                                new Stroke(0, 0, Ticks.HALF, Struck.Named.ALL),
                                new LineNote(
                                        1, Ticks.HALF, Ticks.QUARTER, new LinePitch.Place(5, 3)),
                                new LineNote(
                                        2,
                                        3 * Ticks.QUARTER,
                                        Ticks.QUARTER,
                                        new LinePitch.Place(4, 1))));
        Piece p = Demo.blank("line");
        Workspace w = new Workspace(new Catalogue(), p.with(p.riff().withPattern(Pattern.of(f))));
        Program program = SoundEvents.program(w.heard());
        int damp = -1;
        for (int e = 0; e < program.events() && damp < 0; e++) {
            damp = program.at(e) == 3 * Ticks.QUARTER && !strikes(program, e) ? e : -1;
        }
        assertThat(program.action(damp, 5)).isEqualTo(Program.DAMP);
        assertThat(program.action(damp, 0)).isEqualTo(Program.KEEP);
    }

    /** A capo at two raises every open string by a whole step (ISO 16 frequencies). */
    @Test
    void openStringsSoundOverTheCapo() {
        double[] hz = Gear.openHz(Demo.pieces().get(2).riff().ground());
        assertThat(hz[0]).isCloseTo(92.50, within(0.01));
        assertThat(hz[5]).isCloseTo(369.99, within(0.01));
    }

    @Test
    void aRiffRendersOfflineToSoundThatEnds() {
        Workspace w = new Workspace(new Catalogue(), Demo.pieces().get(1).mixed(Mix.ALONE));
        float[] x = OfflineRender.of(w.heard(), 1, 2).samples();
        double seconds = x.length / 2 / Player.RATE;
        assertThat(seconds).isCloseTo(16 * 60.0 / 126 + 2, within(0.01));
        float peak = 0;
        for (float v : x) {
            peak = Math.max(peak, Math.abs(v));
        }
        assertThat(peak).isBetween(0.1f, 0.9f);
        for (int i = x.length - 2000; i < x.length; i++) {
            assertThat(Math.abs(x[i])).isLessThan(1e-3f);
        }
    }

    /** Two bars at 120 and two at 60 last twelve seconds, and sound at their tempo. */
    @Test
    void aChangeOfTempoIsPlayed() {
        Piece p = Demo.blank("tempo");
        TempoMap map =
                new TempoMap(
                        List.of(
                                new TempoMap.Change(0, 120),
                                new TempoMap.Change(2 * Ticks.WHOLE, 60)));
        Piece slower = p.with(p.riff().withTime(p.riff().time().withTempos(map)));
        Heard heard = new Workspace(new Catalogue(), slower).heard();
        assertThat(OfflineRender.of(heard, 1, 0).samples().length / 2 / Player.RATE)
                .isCloseTo(12, within(0.001));
        Engine engine = OfflineRender.engine(heard.ground(), heard.mix(), 120);
        engine.publish(SoundEvents.program(heard));
        engine.play(0);
        engine.render(new float[2 * 6 * RATE], 6 * RATE);
        assertThat(engine.telemetry().latest().tick())
                .isCloseTo(2.5 * Ticks.WHOLE, within(0.001 * Ticks.WHOLE));
    }

    /** A pickup is heard once; the loop comes back to the first bar. */
    @Test
    void theLoopLeavesThePickupOut() {
        Piece p = Demo.blank("pickup");
        Workspace w = new Workspace(new Catalogue(), p);
        w.apply(Edits.tempo(120));
        w.apply(Edits.pickup(Ticks.QUARTER));
        Engine engine = OfflineRender.engine(w.heard().ground(), w.heard().mix(), 120);
        engine.publish(SoundEvents.program(w.heard()));
        engine.play(0);
        int frames = (int) ((0.5 + 8 + 0.25) * RATE);
        engine.render(new float[2 * frames], frames);
        assertThat(engine.telemetry().latest().tick())
                .isCloseTo(1.5 * Ticks.QUARTER, within(0.01 * Ticks.QUARTER));
    }

    @Test
    void bassFollowsTheRootsOrStaysOnAPedal() {
        Workspace roots = with(Mix.ALONE.withBass(Fader.ON, Mix.BassLine.ROOTS));
        // D F E flat A B flat C of Winch House, from D1 up: an octave under its dropped string.
        for (int pc : new int[] {2, 5, 3, 9, 10, 0}) {
            assertThat(described(roots))
                    .anyMatch(e -> e.matches("bass \\d+ .*") && midi(e) % 12 == pc && midi(e) < 50);
        }
        assertThat(described(roots)).anyMatch(e -> e.startsWith("bass 26 "));
        Workspace pedal = with(Mix.ALONE.withBass(Fader.ON, Mix.BassLine.PEDAL));
        assertThat(described(pedal).stream().filter(e -> e.startsWith("bass")))
                .hasSize(16)
                .allMatch(e -> e.startsWith("bass 26"));
        Workspace pick =
                with(
                        Mix.ALONE
                                .withBass(Fader.ON, Mix.BassLine.PEDAL)
                                .withBassHand(Mix.BassHand.PICK));
        assertThat(described(pick).stream().filter(e -> e.startsWith("bass")))
                .hasSize(16)
                .allMatch(e -> e.startsWith("bass picked 26"));
    }

    private static int midi(String bass) {
        return Integer.parseInt(bass.split(" ")[1]);
    }

    @Test
    void kitAndClickPlayWhenTheyAreOnAndOnlyThen() {
        assertThat(described(with(Mix.ALONE)))
                .noneMatch(e -> e.startsWith("hit") || e.startsWith("bass"));
        Workspace w = with(Mix.ALONE.withKit(Fader.ON, Feel.EIGHTHS).withClick(Fader.ON));
        assertThat(described(w).stream().filter(e -> e.startsWith("hit"))).hasSizeGreaterThan(40);
    }

    @Test
    void theSecondGuitarPlaysItsOwnFamilyOnItsOwnSide() {
        Workspace w =
                with(Mix.ALONE.withSecond(Fader.ON, Tone.EDGE, Controls.USUAL, 10).withHands(5, 0));
        w.apply(Edits.secondFamily(Optional.of(Family.OCTAVE)));
        Heard heard = w.heard();
        assertThat(heard.second().orElseThrow()).isNotEqualTo(heard.score());
        float[] x = OfflineRender.of(heard, 1, 0).samples();
        Heard one = new Heard(heard.score(), Optional.empty(), heard.ground(), heard.mix());
        float[] alone = OfflineRender.of(one, 1, 0).samples();
        assertThat(rms(alone, 0)).isGreaterThan(20 * rms(alone, 1) + 1e-6);
        assertThat(rms(x, 1)).isGreaterThan(0.3 * rms(x, 0));
    }

    private static double rms(float[] stereo, int channel) {
        double sum = 0;
        for (int i = channel; i < stereo.length; i += 2) {
            sum += stereo[i] * stereo[i];
        }
        return Math.sqrt(2 * sum / stereo.length);
    }

    @Test
    void touchesBecomeGesturesAndThoseThatDoNotFitAreFound() {
        Workspace w = new Workspace(new Catalogue(), piece);
        int top = w.score().onsets().get(0).notes().get(2).string();
        Anchor a = new Anchor("haul", 0, Optional.of(0), new Anchor.Voice.FromTop(0));
        w.apply(Edits.touch("bend", new Touch.Bend(a, 100, 0, 2520, OptionalLong.of(5040))));
        assertThat(described(w))
                .contains(
                        "BEND 0 string " + top + " to 100 in 2520",
                        "BEND 0 string " + top + " to 0 in 2520");
        w.undo();
        assertThat(w.content()).isEqualTo(piece);
        Anchor off = new Anchor("haul", 0, Optional.of(0), new Anchor.Voice.OnString(5));
        Touch vibrato = new Touch.Vibrato(off, 30, 5, 0);
        w.apply(Edits.touch("vibrato", vibrato));
        assertThat(w.derived().findings())
                .containsExactly(new Finding.TouchUnplaced(0, 0, vibrato, Finding.Why.NO_VOICE));
        assertThat(FindingWords.of(w.derived().findings().get(0), w.content().riff()))
                .contains("vibrato", "bar 1", "kept");
    }

    /** Voicings brought to one loudness stay within half a unit of each other, in every tone. */
    @Test
    void voicingsAreMatchedWithinHalfALoudnessUnit() {
        Levels levels = new Levels();
        for (Tone tone : Tone.values()) {
            Ground ground = Demo.blank().riff().ground().withTone(tone);
            var settings = Rigs.of(ground, Mix.ALONE).settings(ground, Mix.ALONE, 110, 1, 0.25);
            for (String shape :
                    List.of(
                            "5-7-7-x-x-x",
                            "x-7-7-x-x-x",
                            "5-x-7-x-x-x",
                            "x-x-7-6-x-x",
                            "x-5-7-5-8-x",
                            "0-2-2-1-0-0",
                            "x-x-x-9-10-9")) {
                int[] frets = Shape.parse(shape).toArray();
                Sample plain = Sample.of(frets);
                double gain = levels.gain(settings.first(), plain);
                assertThat(levels.known(settings.first(), plain)).isEqualTo(gain);
                Engine engine = new Engine(RATE, settings, 77);
                engine.hear(new Sample(frets, new double[0], gain, new int[0]));
                float[] x = new float[2 * (int) (1.6 * RATE)];
                engine.render(x, x.length / 2);
                double lkfs = Loudness.integrated(x, x.length / 2);
                assertThat(lkfs)
                        .as("%s %s", shape, tone)
                        .isCloseTo(Levels.TARGET + 20 * Math.log10(0.25), within(0.5));
            }
        }
    }
}
