package vocalis.workbench.playing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.Function;
import vocalis.core.arrange.Stretch;
import vocalis.core.memory.Memory;
import vocalis.core.mix.Controls;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Mix;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.score.Score;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.dsp.Limiter;
import vocalis.sound.dsp.Loudness;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Rig;
import vocalis.sound.engine.Sample;
import vocalis.sound.engine.Settings;
import vocalis.sound.engine.StringBank;
import vocalis.sound.guitar.Guitar;
import vocalis.sound.strings.Damping;

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

    /** Share of the ceiling from which the limiter is asked; true peaks lie over sample peaks. */
    private static final double NEAR = 0.9;

    /** Most that is given back for the limiter, in dB. */
    private static final double MOST_BACK_DB = 1.5;

    /**
     * How far a riff's peaks may lie over the ceiling, linear: past it accents would be pressed
     * down to what is between them, so a riff of sharp strokes stays quieter than the rest.
     */
    public static final double MOST_OVER = 1.18;

    private static final int REMEMBERED = 4000;
    private static final int RIFFS_REMEMBERED = 300;

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

    private final Memory<Key, Double> gains = new Memory<>(REMEMBERED);
    private final Memory<RiffKey, Double> riffs = new Memory<>(RIFFS_REMEMBERED);

    /** What decides how loud a section is as it is played. */
    record Section(Heard part, double match, Map<Tone, Double> tones) {}

    private final Memory<Section, Double> sections = new Memory<>(RIFFS_REMEMBERED);

    /** How loud a section is in LKFS, measured when it is not known yet. */
    double section(Section asked, Function<Section, Double> measured) {
        return sections.of(asked, measured);
    }

    /** The gain of a voicing where it is known already, otherwise 1. */
    public double known(Rig rig, Sample sample) {
        return gains.get(Key.of(rig, sample)).orElse(1.0);
    }

    /** The gain of a voicing, rendered when it is not known yet (tens of milliseconds). */
    public double gain(Rig rig, Sample sample) {
        return gains.of(Key.of(rig, sample), k -> measured(rig, sample));
    }

    /** Strokes that a loudness is averaged over; no two are alike, and none is one measured. */
    private static final long[] STROKES = {11, 12, 13};

    /** How far two voicings lie apart in loudness once each is at its gain, in LU. */
    double apart(Rig rig, Sample a, Sample b) {
        return Math.abs(loudness(rig, a, STROKES) - loudness(rig, b, STROKES));
    }

    /** Loudness of a voicing at its gain, averaged over some strokes, in LKFS. */
    double loudness(Rig rig, Sample sample, long... strokes) {
        double gain = gain(rig, sample);
        int frames = (int) (SECONDS * Gear.RATE);
        float[] stereo = new float[2 * frames];
        double sum = 0;
        for (long stroke : strokes) {
            Engine engine = engine(rig, 120, gain, 1, stroke);
            engine.hear(new Sample(sample.frets(), sample.cents(), 1, new int[0]));
            engine.render(stereo, frames);
            sum += Loudness.integrated(stereo, frames);
        }
        return sum / strokes.length;
    }

    private static double measured(Rig rig, Sample sample) {
        Sample whole = new Sample(sample.frets(), sample.cents(), 1, new int[0]);
        return gainOf(
                Double.POSITIVE_INFINITY,
                engine -> engine.hear(whole),
                engine(rig, 120, 1, QUIET, 3),
                SECONDS);
    }

    /** The gain of a whole riff, its first guitar alone, over at most sixteen seconds. */
    double gain(Rigs rigs, Heard heard) {
        Rig rig = rigs.settings(heard.ground(), heard.mix(), tempo(heard), 1, 1).first();
        RiffKey key = new RiffKey(heard.score(), open(rig.bank()), rig.amp(), rig.bank().guitar());
        return riffs.of(key, k -> measured(rig, heard));
    }

    /**
     * What brings each tone of an arrangement to the loudness of the ground's own, in which the
     * whole is measured.
     */
    Map<Tone, Double> tones(Heard heard) {
        Map<Tone, Double> all = new EnumMap<>(Tone.class);
        Set<Tone> asked = EnumSet.noneOf(Tone.class);
        for (Stretch s : heard.stretches()) {
            asked.add(s.first());
            asked.add(s.second().orElse(heard.mix().secondTone()));
        }
        if (asked.isEmpty()) {
            return all;
        }
        asked.add(heard.mix().secondTone());
        double own = tone(heard, heard.ground().tone());
        for (Tone t : asked) {
            all.put(t, tone(heard, t) / own);
        }
        return all;
    }

    private double tone(Heard heard, Tone tone) {
        Ground ground = heard.ground().withTone(tone);
        return gain(
                Rigs.of(ground, heard.mix().withSecond(Fader.OFF, tone, Controls.USUAL, 0)),
                new Heard(heard.score(), Optional.empty(), ground, heard.mix()));
    }

    private static int tempo(Heard heard) {
        return heard.score().time().tempos().first();
    }

    private static double measured(Rig rig, Heard heard) {
        Heard first = new Heard(heard.score(), Optional.empty(), heard.ground(), Mix.ALONE);
        double loop = heard.score().time().tempos().seconds(heard.score().length());
        return gainOf(
                MOST_OVER,
                engine -> {
                    engine.publish(SoundEvents.program(first));
                    engine.play(0);
                },
                engine(rig, tempo(heard), 1, QUIET, 3),
                Math.min(MOST_SECONDS, Math.max(SECONDS, loop)));
    }

    private static Engine engine(Rig rig, int tempo, double gain, double volume, long seed) {
        Rig alone = new Rig(rig.bank(), rig.amp(), 0, gain);
        return new Engine(Gear.RATE, new Settings(alone, alone, tempo, 0, 0, 0, 0, volume), seed);
    }

    /**
     * Measured quietly; where the limiter would work at the gain found, what was rendered is put
     * through one at that gain, because what it takes away must be given back. All gains lie behind
     * the amplifier, so nothing has to be rendered again.
     *
     * @param mostOver how far peaks may lie over the ceiling, linear
     * @param asked tells the engine what to play
     */
    private static double gainOf(
            double mostOver, Consumer<Engine> asked, Engine engine, double seconds) {
        int frames = (int) (seconds * Gear.RATE);
        float[] stereo = new float[2 * frames];
        asked.accept(engine);
        engine.render(stereo, frames);
        double lkfs = Loudness.integrated(stereo, frames);
        if (lkfs == Loudness.NONE) {
            return 1;
        }
        double gain = bounded(QUIET * Math.pow(10, (TARGET - lkfs) / 20));
        double peak = 0;
        for (float x : stereo) {
            peak = Math.max(peak, Math.abs(x));
        }
        if (peak * gain / QUIET < NEAR * Engine.CEILING) {
            return gain;
        }
        double most = mostOver * Engine.CEILING * QUIET / peak;
        gain = Math.min(gain, most);
        float up = (float) (gain / QUIET);
        for (int i = 0; i < stereo.length; i++) {
            stereo[i] *= up;
        }
        new Limiter(Gear.RATE, Engine.CEILING).process(stereo, 0, frames);
        double taken = TARGET - Loudness.integrated(stereo, frames);
        double back = Math.max(-MOST_BACK_DB, Math.min(MOST_BACK_DB, taken));
        return bounded(Math.min(most, gain * Math.pow(10, back / 20)));
    }

    private static double bounded(double gain) {
        return Math.max(LEAST_GAIN, Math.min(MOST_GAIN, gain));
    }
}
