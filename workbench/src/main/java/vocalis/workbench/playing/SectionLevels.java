package vocalis.workbench.playing;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import vocalis.core.arrange.Song;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.riff.Tone;
import vocalis.sound.dsp.Loudness;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Settings;

/**
 * How loud each section of a song is (ITU-R BS.1770), measured in what is played: guitars, bass and
 * kit with their tones, all at one setting. At most {@value #MOST_SECONDS} seconds of each are
 * rendered.
 */
public final class SectionLevels {

    /** Most of a section that is rendered, in seconds. */
    public static final int MOST_SECONDS = 6;

    private static final int BLOCK = 4800;

    private SectionLevels() {}

    /**
     * Loudness of each section in LKFS; {@link Loudness#NONE} where nothing sounds.
     *
     * @param cancelled asked before each; what is not measured by then is left out
     */
    public static List<Double> of(Song song, Levels levels, BooleanSupplier cancelled) {
        Heard whole = Heard.of(song);
        Rigs rigs = Rigs.of(whole.ground(), whole.mix());
        double match = levels.gain(rigs, whole);
        Map<Tone, Double> tones = levels.tones(whole);
        List<Double> all = new ArrayList<>();
        for (int s = 0; s < song.piece().sections().size() && !cancelled.getAsBoolean(); s++) {
            long from = s == 0 ? 0 : song.start(s);
            Heard part = Heard.of(song, from, song.end(s));
            double lkfs =
                    levels.section(
                            new Levels.Section(part, match, tones),
                            asked -> measured(asked, whole, rigs));
            all.add(lkfs);
        }
        return all;
    }

    private static double measured(Levels.Section asked, Heard whole, Rigs rigs) {
        Heard part = asked.part();
        TempoMap tempos = part.score().time().tempos();
        double seconds = Math.min(MOST_SECONDS, tempos.seconds(part.score().length()));
        Settings set =
                rigs.settings(whole.ground(), whole.mix(), tempos.first(), asked.match(), QUIET);
        Engine engine = new Engine(Player.RATE, set, 1);
        engine.publish(SoundEvents.program(part, true, t -> asked.tones().getOrDefault(t, 1.0)));
        engine.play(0);
        int frames = (int) (seconds * Player.RATE) / BLOCK * BLOCK;
        float[] stereo = new float[2 * frames];
        float[] block = new float[2 * BLOCK];
        for (int at = 0; at < frames; at += BLOCK) {
            engine.render(block, BLOCK);
            System.arraycopy(block, 0, stereo, 2 * at, 2 * BLOCK);
        }
        double lkfs = Loudness.integrated(stereo, frames);
        return lkfs == Loudness.NONE ? lkfs : lkfs - 20 * Math.log10(QUIET);
    }

    /** Volume that is rendered at, so that the limiter keeps out of it. */
    private static final double QUIET = 0.25;
}
