package vocalis.workbench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import vocalis.core.arrange.Mix;
import vocalis.core.score.Score;
import vocalis.sound.dsp.AmpSettings;
import vocalis.sound.dsp.Damping;
import vocalis.sound.dsp.Guitar;
import vocalis.sound.dsp.Loudness;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Rig;
import vocalis.sound.engine.Sample;
import vocalis.sound.engine.Settings;
import vocalis.sound.engine.StringBank;

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
    private static final double MOST_SECONDS = 16;
    private static final double LEAST_GAIN = 0.1;
    private static final double MOST_GAIN = 4;
    private static final int REMEMBERED = 4000;
    private static final int RIFFS_REMEMBERED = 24;

    /** What decides how loud a voicing is. */
    private record Key(
            List<Double> openHz,
            List<Integer> frets,
            List<Double> cents,
            AmpSettings amp,
            Guitar guitar) {
        static Key of(Rig rig, Sample s) {
            return new Key(
                    open(rig.bank()),
                    Arrays.stream(s.frets()).boxed().toList(),
                    Arrays.stream(s.cents()).boxed().toList(),
                    rig.amp(),
                    rig.bank().guitar());
        }
    }

    /** What decides how loud a riff is. */
    private record RiffKey(Score score, List<Double> openHz, AmpSettings amp, Guitar guitar) {}

    private static List<Double> open(StringBank bank) {
        List<Double> hz = new ArrayList<>();
        for (int i = 0; i < bank.strings(); i++) {
            hz.add(bank.patch(i, 0, Damping.OPEN).hz());
        }
        return hz;
    }

    private final Map<Key, Double> gains = new ConcurrentHashMap<>();
    private final Map<RiffKey, Double> riffs = new ConcurrentHashMap<>();

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

    /** The gain of a whole riff, its first guitar alone, over at most sixteen seconds. */
    double gain(Rigs rigs, Heard heard) {
        if (riffs.size() > RIFFS_REMEMBERED) {
            riffs.clear();
        }
        Rig rig = rigs.settings(heard.ground(), heard.mix(), tempo(heard), 1, 1).first();
        RiffKey key = new RiffKey(heard.score(), open(rig.bank()), rig.amp(), rig.bank().guitar());
        return riffs.computeIfAbsent(key, k -> measured(rig, heard));
    }

    private static int tempo(Heard heard) {
        return heard.score().time().tempos().first();
    }

    private static double measured(Rig rig, Heard heard) {
        Rig alone = new Rig(rig.bank(), rig.amp(), 0, 1);
        Engine engine =
                new Engine(
                        Player.RATE,
                        new Settings(alone, alone, tempo(heard), 0, 0, 0, 0, QUIET),
                        3);
        Heard first = new Heard(heard.score(), Optional.empty(), heard.ground(), Mix.ALONE);
        engine.publish(SoundEvents.program(first));
        engine.play(0);
        double loop = heard.score().time().tempos().seconds(heard.score().length());
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
