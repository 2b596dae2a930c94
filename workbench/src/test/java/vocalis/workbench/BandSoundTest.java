package vocalis.workbench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Band;
import vocalis.core.riff.Controls;
import vocalis.core.riff.Fader;
import vocalis.core.riff.Feel;
import vocalis.core.riff.Ground;
import vocalis.core.riff.NamedRiff;
import vocalis.core.riff.Score;
import vocalis.core.riff.Tone;
import vocalis.core.riff.Touch;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Sounding;
import vocalis.sound.dsp.Loudness;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Program;
import vocalis.sound.engine.Sample;

/** From the riff with its band to what is rendered. */
class BandSoundTest {

    private static final int RATE = (int) Player.RATE;
    private final NamedRiff riff = Demo.riffs().get(0);

    private Workspace with(Band band) {
        Workspace w = new Workspace(new Catalogue(), riff);
        w.apply(new Edit.SetGround(riff.riff().ground().withBand(band), "band"));
        return w;
    }

    private static List<String> described(Program p) {
        List<String> all = new ArrayList<>();
        for (int e = 0; e < p.events(); e++) {
            all.add(p.describe(e));
        }
        return all;
    }

    @Test
    void bassFollowsTheRootsOrStaysOnAPedal() {
        Fader on = Fader.ON;
        Workspace roots = with(Band.ALONE.withBass(on, Band.BassLine.ROOTS));
        List<String> events = described(SoundEvents.program(roots.score()));
        // D F E flat A B flat C of Winch House, from E1 up.
        assertThat(events)
                .contains("bass 38", "bass 29", "bass 39", "bass 33", "bass 34", "bass 36");
        Workspace pedal = with(Band.ALONE.withBass(on, Band.BassLine.PEDAL));
        assertThat(
                        described(SoundEvents.program(pedal.score())).stream()
                                .filter(e -> e.startsWith("bass")))
                .hasSize(16)
                .containsOnly("bass 38");
    }

    @Test
    void kitAndClickPlayWhenTheyAreOnAndOnlyThen() {
        assertThat(described(SoundEvents.program(with(Band.ALONE).score())))
                .noneMatch(e -> e.startsWith("hit") || e.startsWith("bass"));
        Workspace w = with(Band.ALONE.withKit(Fader.ON, Feel.EIGHTHS).withClick(Fader.ON));
        List<String> events = described(SoundEvents.program(w.score()));
        assertThat(events)
                .contains("hit KICK", "hit SNARE", "hit HAT", "hit CLICK", "hit CLICK_ONE");
        assertThat(events.stream().filter("hit CLICK_ONE"::equals)).hasSize(4);
    }

    @Test
    void theSecondGuitarPlaysItsOwnFamilyOnItsOwnSide() {
        Band band =
                Band.ALONE.withSecond(
                        Fader.ON, Optional.of(Family.OCTAVE), Tone.EDGE, Controls.USUAL, 10);
        Workspace w = with(band);
        Score second = w.secondScore().orElseThrow();
        assertThat(second.chords())
                .allSatisfy(c -> assertThat(c.candidate().voicing().pitchClasses()).hasSize(1));
        float[] x = OfflineRender.riff(w.score(), Optional.of(second), 1, 0);
        float[] alone = OfflineRender.riff(w.score(), Optional.empty(), 1, 0);
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
    void ornamentsBecomeGesturesAndThoseThatDoNotFitAreSaid() {
        Workspace w = new Workspace(new Catalogue(), riff);
        Score.Strike first = w.score().strikes().get(0);
        Sounding top = first.notes().get(first.notes().size() - 1);
        w.apply(
                new Edit.SetOrnament(
                        first.at(),
                        top.string(),
                        Optional.of(
                                new Touch.Ornament(
                                        first.at(),
                                        top.string(),
                                        Touch.Kind.BEND_RELEASE,
                                        100,
                                        0,
                                        2520))));
        assertThat(described(SoundEvents.program(w.score())))
                .contains(
                        "BEND string " + top.string() + " to 100",
                        "BEND string " + top.string() + " to 0");
        w.undo();
        assertThat(w.content()).isEqualTo(riff);
        w.apply(
                new Edit.SetOrnament(
                        first.at(),
                        5,
                        Optional.of(
                                new Touch.Ornament(first.at(), 5, Touch.Kind.VIBRATO, 30, 0, 0))));
        assertThat(w.score().remarks()).anyMatch(r -> r.contains("vibrato") && r.contains("kept"));
    }

    /** Voicings brought to one loudness stay within half a unit of each other, in every tone. */
    @Test
    void voicingsAreMatchedWithinHalfALoudnessUnit() {
        Levels levels = new Levels();
        for (Tone tone : Tone.values()) {
            Ground ground = Demo.blank().riff().ground().withTone(tone);
            var settings = Rigs.of(ground).settings(ground, 1, 0.25);
            for (String shape :
                    List.of(
                            "5-7-7-x-x-x",
                            "x-7-7-x-x-x",
                            "5-x-7-x-x-x",
                            "x-x-7-6-x-x",
                            "x-5-7-5-8-x",
                            "0-2-2-1-0-0",
                            "x-x-x-9-10-9")) {
                int[] frets =
                        Shape.parse(shape).frets().stream().mapToInt(Integer::intValue).toArray();
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
