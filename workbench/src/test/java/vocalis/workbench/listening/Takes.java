package vocalis.workbench.listening;

import java.util.Optional;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.mix.Mix;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.score.Score;
import vocalis.sound.listen.Take;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.playing.OfflineRender;

/** Takes of scores, played by our own guitar, clean and alone. */
public final class Takes {

    public static final Catalogue CATALOGUE = new Catalogue();

    private Takes() {}

    /** Samples of both channels averaged; the score begins at the first. */
    static double[] samples(Score score, Ground ground, int times) {
        return samples(score, ground, Tone.CLEAN, times);
    }

    static double[] samples(Score score, Ground ground, Tone tone, int times) {
        Heard heard = new Heard(score, Optional.empty(), ground.withTone(tone), Mix.ALONE);
        float[] stereo = OfflineRender.of(heard, times, 0.7).samples();
        double[] x = new double[stereo.length / 2];
        for (int i = 0; i < x.length; i++) {
            x[i] = (stereo[2 * i] + stereo[2 * i + 1]) / 2;
        }
        return x;
    }

    public static Take of(Score score, Ground ground, int times) {
        return new Take(samples(score, ground, times), 48_000);
    }

    public static Take of(Score score, Ground ground, Tone tone) {
        return new Take(samples(score, ground, tone, 1), 48_000);
    }

    static Ear ear(Score score, Ground ground) {
        return new Ear(
                score.board(), ground.a4Hz(), Hand.MEDIUM, CATALOGUE, Optional.of(ground.key()));
    }
}
