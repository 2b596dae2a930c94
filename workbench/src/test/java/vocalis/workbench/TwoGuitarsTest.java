package vocalis.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Tone;
import vocalis.core.score.Score;
import vocalis.sound.dsp.Biquad;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.playing.OfflineRender;
import vocalis.workbench.playing.Player;

/** A doubled part is two players, not one sound in two places. */
class TwoGuitarsTest {

    private static final double RATE = Player.RATE;

    private static float[] doubled(Tone tone) {
        Piece piece = Demo.pieces().get(0);
        Score score = new Deriver(new Catalogue()).derive(piece.riff(), Hand.MEDIUM).score();
        Mix mix =
                Mix.ALONE
                        .withSecond(new Fader(true, 7), tone, Mix.ALONE.controls(), 10)
                        .withHands(Mix.ALONE.hands(), 0);
        return OfflineRender.of(
                        new Heard(
                                score,
                                Optional.of(score),
                                piece.riff().ground().withTone(tone),
                                mix),
                        2,
                        0)
                .samples();
    }

    private static double[] above150(float[] stereo, int channel) {
        Biquad a = Biquad.highpass(RATE, 150, 0.54);
        Biquad b = Biquad.highpass(RATE, 150, 1.31);
        double[] y = new double[stereo.length / 2];
        for (int i = 0; i < y.length; i++) {
            y[i] = b.next(a.next(stereo[2 * i + channel]));
        }
        return y;
    }

    private static double product(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i++) {
            sum += a[i] * b[i];
        }
        return sum;
    }

    /** Power through a filter a third of an octave wide. */
    private static double band(double[] x, double hz) {
        Biquad a = Biquad.lowpass(RATE, hz, 6);
        Biquad b = Biquad.highpass(RATE, hz, 6);
        double sum = 0;
        for (double v : x) {
            double y = b.next(a.next(v));
            sum += y * y;
        }
        return sum;
    }

    @ParameterizedTest
    @EnumSource(Tone.class)
    void aDoubledPartIsTwoPlayers(Tone tone) {
        float[] stereo = doubled(tone);
        double[] left = above150(stereo, 0);
        double[] right = above150(stereo, 1);
        double correlated =
                product(left, right) / Math.sqrt(product(left, left) * product(right, right));
        double[] mono = new double[left.length];
        for (int i = 0; i < mono.length; i++) {
            mono[i] = left[i] + right[i];
        }
        double least = 99;
        double most = -99;
        for (double hz = 200; hz < 5000; hz *= Math.pow(2, 1 / 3.0)) {
            double db = 10 * Math.log10(band(mono, hz) / (band(left, hz) + band(right, hz)));
            least = Math.min(least, db);
            most = Math.max(most, db);
        }
        System.out.printf(
                "%s doubled: correlation %.2f; mono against both by bands %+.1f to %+.1f dB%n",
                tone, correlated, least, most);
        assertThat(Math.abs(correlated)).isLessThan(0.3);
        // A comb would take 6 dB and more out of some bands.
        assertThat(least).isGreaterThan(-3);
        assertThat(most).isLessThan(3);
    }
}
