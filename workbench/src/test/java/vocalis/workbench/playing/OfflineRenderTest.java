package vocalis.workbench.playing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jtransforms.fft.DoubleFFT_1D;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Hand;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Mix;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Tone;
import vocalis.core.riff.Treatment;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.voicing.Family;
import vocalis.sound.dsp.Loudness;
import vocalis.workbench.demo.Demo;

/** What render writes: its loudness, its peaks, its beginning and its end. */
class OfflineRenderTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    private static Heard heard(Riff riff, Tone tone, Mix mix) {
        Score score = new Deriver(CATALOGUE).derive(riff, Hand.MEDIUM).score();
        Optional<Score> second = mix.second().on() ? Optional.of(score) : Optional.empty();
        return new Heard(score, second, riff.ground().withTone(tone), mix);
    }

    private static Riff riff() {
        return Demo.pieces().get(0).riff();
    }

    private static Mix band() {
        return Mix.ALONE
                .withSecond(Fader.ON, Tone.GAIN, Mix.ALONE.controls(), 8)
                .withBass(Fader.ON, Mix.BassLine.ROOTS)
                .withKit(Fader.ON, Mix.ALONE.feel());
    }

    private static double lkfs(float[] stereo) {
        return Loudness.integrated(stereo, stereo.length / 2);
    }

    private static double spread(List<Double> values) {
        return values.stream().mapToDouble(d -> d).max().orElseThrow()
                - values.stream().mapToDouble(d -> d).min().orElseThrow();
    }

    @Test
    void tonesAndTreatmentsComeOutEquallyLoud() {
        List<Double> tones = new ArrayList<>();
        List<Double> treatments = new ArrayList<>();
        for (Tone tone : Tone.values()) {
            tones.add(lkfs(OfflineRender.of(heard(riff(), tone, Mix.ALONE), 1, 0).samples()));
        }
        for (Family f : Family.values()) {
            Riff voiced = Chords.familyOfAll(riff(), f);
            treatments.add(
                    lkfs(OfflineRender.of(heard(voiced, Tone.GAIN, Mix.ALONE), 1, 0).samples()));
        }
        System.out.printf(
                "loudness spread: tones %.1f LU, treatments %.1f LU%n",
                spread(tones), spread(treatments));
        assertThat(spread(tones)).isLessThan(1.5);
        assertThat(spread(treatments)).isLessThan(1.5);
    }

    /** Peaks between samples by a meter of another make: eight-fold by zero-padding an FFT. */
    private static double truePeakDb(float[] stereo) {
        int size = 1 << 15;
        int over = 8;
        double most = 0;
        double[] x = new double[size];
        double[] y = new double[size * over];
        for (int channel = 0; channel < 2; channel++) {
            for (int from = 0; from + size <= stereo.length / 2; from += size / 2) {
                for (int i = 0; i < size; i++) {
                    x[i] = stereo[2 * (from + i) + channel];
                }
                new DoubleFFT_1D(size).realForward(x);
                java.util.Arrays.fill(y, 0);
                System.arraycopy(x, 2, y, 2, size - 2);
                y[0] = x[0];
                new DoubleFFT_1D(size * over).realInverse(y, true);
                for (int i = size * over / 4; i < size * over * 3 / 4; i++) {
                    most = Math.max(most, Math.abs(y[i]) * over);
                }
            }
        }
        return 20 * Math.log10(most);
    }

    @Test
    void theLoudestBandStaysUnderMinusOneDecibelTruePeak() {
        double most = -99;
        for (Tone tone : Tone.values()) {
            most =
                    Math.max(
                            most,
                            truePeakDb(
                                    OfflineRender.of(heard(riff(), tone, band()), 1, 0).samples()));
        }
        System.out.printf("highest true peak of the band: %.2f dBTP%n", most);
        assertThat(most).isLessThan(-1.0).isGreaterThan(-6);
    }

    @Test
    void theKitStandsBesideTheGuitarsAndTheBassHasNoOffset() {
        Heard h = heard(riff(), Tone.GAIN, band());
        double guitar = lkfs(OfflineRender.of(h, 1, 0, OfflineRender.Stem.FIRST).samples());
        double kit = lkfs(OfflineRender.of(h, 1, 0, OfflineRender.Stem.KIT).samples());
        float[] bass = OfflineRender.of(h, 1, 0, OfflineRender.Stem.BASS).samples();
        double sum = 0;
        double power = 0;
        for (float v : bass) {
            sum += v;
            power += v * v;
        }
        double offset = Math.abs(sum / bass.length) / Math.sqrt(power / bass.length);
        System.out.printf(
                "kit %.1f LU against one guitar; the bass's offset %.5f of its level%n",
                kit - guitar, offset);
        assertThat(kit - guitar).isBetween(-6.0, 3.0);
        assertThat(offset).isLessThan(0.002);
    }

    @Test
    void itBeginsAtOnceAndAddsUpFromItsStems() {
        Heard h = heard(riff(), Tone.CLEAN, band().withHands(0, 0));
        float[] all = OfflineRender.of(h, 1, 0.5).samples();
        int first = 0;
        while (all[first] == 0) {
            first++;
        }
        assertThat(first / 2 / Player.RATE).isLessThan(0.002);
        float[] stems = new float[all.length];
        for (OfflineRender.Stem s : OfflineRender.Stem.values()) {
            if (s != OfflineRender.Stem.ALL) {
                float[] one = OfflineRender.of(h, 1, 0.5, s).samples();
                for (int i = 0; i < one.length; i++) {
                    stems[i] += one[i];
                }
            }
        }
        // But for what the limiter took.
        assertThat(lkfs(stems)).isBetween(lkfs(all) - 0.5, lkfs(all) + 1.5);
    }

    private static final int PALMED = 16;
    private static final int TEMPO = 132;

    /** Two bars of eighths on one power chord, all under the palm, every fourth accented. */
    private static Riff palmed() {
        List<Event> events = new ArrayList<>();
        for (int i = 0; i < PALMED; i++) {
            Stroke s = new Stroke(i, i * Ticks.EIGHTH, Ticks.EIGHTH, Struck.Named.ALL);
            events.add(s.played(Manner.PALM).accented(i % 4 == 0));
        }
        long length = PALMED * Ticks.EIGHTH;
        return new Riff(
                riff().ground(),
                TimeLine.of(Meter.COMMON, TEMPO),
                List.of(new RootSpan(new Root(4, 0), length)),
                List.of(Treatment.best(Family.POWER)),
                Pattern.of(new Figure("f", "f", length, events)),
                List.of());
    }

    /** By how much the accents of that riff are louder than the strokes between, in dB. */
    private static double accents(float[] stereo) {
        double every = 30.0 / TEMPO * Player.RATE;
        double accented = 0;
        double plain = 0;
        for (int i = 4; i < PALMED; i++) {
            double power = 0;
            int from = (int) (i * every);
            int to = (int) ((i + 0.8) * every);
            for (int k = from; k < to; k++) {
                power += stereo[2 * k] * stereo[2 * k];
            }
            double db = 10 * Math.log10(power / (to - from));
            accented += i % 4 == 0 ? db / 3 : 0;
            plain += i % 4 == 0 ? 0 : db / 9;
        }
        return accented - plain;
    }

    /** Sharp strokes without saturation: nearly as loud as the rest, and their accents stay. */
    @Test
    void aPalmedCleanRiffIsNearlyAsLoudAsTheRestAndKeepsItsAccents() {
        Heard h = heard(palmed(), Tone.CLEAN, Mix.ALONE.withHands(0, 0));
        float[] file = OfflineRender.of(h, 1, 0).samples();
        double struck = accents(OfflineRender.of(h, 0.1, 0).samples());
        System.out.printf(
                "palmed clean: %.1f LKFS, accents %.1f dB, %.1f as struck%n",
                lkfs(file), accents(file), struck);
        assertThat(lkfs(file)).isBetween(Levels.TARGET - 1.5, Levels.TARGET + 0.5);
        assertThat(struck).isGreaterThan(3);
        assertThat(accents(file)).isGreaterThan(0.9 * struck);
    }

    @Test
    void tooLongIsRefusedBeforeAnythingIsRendered() {
        Heard h = heard(riff(), Tone.CLEAN, Mix.ALONE);
        assertThatThrownBy(() -> OfflineRender.of(h, 100_000, 0))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("minutes; at most 180");
    }

    @Test
    void theFileIsAsLongAsItSays() throws IOException {
        Piece blank = Demo.blank();
        OfflineRender one = OfflineRender.of(heard(blank.riff(), Tone.CLEAN, Mix.ALONE), 2, 1);
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        one.wav(out);
        // Two rounds of four bars of four at 110, and a second.
        assertThat(one.frames()).isEqualTo(Math.round(2 * 16 * 60.0 / 110 * 48000) + 48000);
        assertThat(out.size()).isEqualTo(44 + 6 * one.frames());
    }
}
