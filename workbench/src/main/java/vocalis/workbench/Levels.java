package vocalis.workbench;

import java.util.Arrays;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Score;
import vocalis.sound.dsp.Loudness;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Program;
import vocalis.sound.engine.Rig;
import vocalis.sound.engine.Sample;
import vocalis.sound.engine.Settings;

/**
 * Gains that bring voicings and riffs to one loudness (ITU-R BS.1770) measured after the amplifier,
 * so that comparing them compares their harmony. Renders with the engine itself; answers are
 * remembered. Safe for use by several threads.
 */
public final class Levels {

    /** What everything compared is brought to, in LKFS at full volume. */
    public static final double TARGET = -17;

    /** Volume that is rendered at, so that the limiter keeps out of it. */
    private static final double QUIET = 0.25;

    private static final double SECONDS = 1.6;
    private static final double MOST_SECONDS = 8;
    private static final double LEAST_GAIN = 0.1;
    private static final double MOST_GAIN = 4;
    private static final int REMEMBERED = 4000;

    /** What decides how loud a voicing is. */
    private record Key(int strings, int sample, int amp, int guitar) {
        static Key of(Rig rig, Sample s) {
            return new Key(
                    Arrays.hashCode(openHz(rig)),
                    31 * Arrays.hashCode(s.frets()) + Arrays.hashCode(s.cents()),
                    rig.amp().hashCode(),
                    rig.bank().guitar().hashCode());
        }

        private static double[] openHz(Rig rig) {
            double[] hz = new double[rig.bank().strings()];
            for (int i = 0; i < hz.length; i++) {
                hz[i] = rig.bank().patch(i, 0, vocalis.sound.dsp.Damping.OPEN).hz();
            }
            return hz;
        }
    }

    private final Map<Key, Double> gains = new ConcurrentHashMap<>();
    private final Map<Score, Double> riffs = new ConcurrentHashMap<>();

    /** The gain of a voicing where it is known already, otherwise 1. */
    public double known(Rig rig, Sample sample) {
        return gains.getOrDefault(Key.of(rig, sample), 1.0);
    }

    /** The gain of a voicing, rendered when it is not known yet (tens of milliseconds). */
    public double gain(Rig rig, Sample sample) {
        if (gains.size() > REMEMBERED) {
            gains.clear();
        }
        return gains.computeIfAbsent(Key.of(rig, sample), k -> measured(rig, sample));
    }

    private static double measured(Rig rig, Sample sample) {
        Engine engine = engine(rig);
        engine.hear(new Sample(sample.frets(), sample.cents(), 1, new int[0]));
        return gainOf(engine, SECONDS);
    }

    /** The gain of a whole riff, its first guitar alone, over at most eight seconds. */
    double gain(Rigs rigs, Score score) {
        if (riffs.size() > 200) {
            riffs.clear();
        }
        return riffs.computeIfAbsent(score, s -> measured(rigs, s));
    }

    private static double measured(Rigs rigs, Score score) {
        Ground ground = score.riff().ground();
        Settings s = rigs.settings(ground, 1, 1);
        Rig alone = new Rig(s.first().bank(), s.first().amp(), 0, 1);
        Engine engine =
                new Engine(
                        Player.RATE,
                        new Settings(alone, alone, ground.tempo(), 0, 0, 0, 0, QUIET),
                        3);
        Program program = SoundEvents.program(score);
        engine.publish(program);
        engine.play(0);
        double loop = vocalis.core.rhythm.Ticks.seconds(score.riff().length(), ground.tempo());
        return gainOf(engine, Math.min(MOST_SECONDS, Math.max(SECONDS, loop)));
    }

    private static Engine engine(Rig rig) {
        Rig alone = new Rig(rig.bank(), rig.amp(), 0, 1);
        return new Engine(Player.RATE, new Settings(alone, alone, 120, 0, 0, 0, 0, QUIET), 3);
    }

    private static double gainOf(Engine engine, double seconds) {
        int frames = (int) (seconds * Player.RATE);
        float[] stereo = new float[2 * frames];
        engine.render(stereo, frames);
        double lkfs = Loudness.integrated(stereo, frames);
        if (lkfs == Loudness.NONE) {
            return 1;
        }
        double gain = QUIET * Math.pow(10, (TARGET - lkfs) / 20);
        return Math.max(LEAST_GAIN, Math.min(MOST_GAIN, gain));
    }
}
