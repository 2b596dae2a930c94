package vocalis.workbench;

import vocalis.core.arrange.Mix;
import vocalis.core.instrument.Shape;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.riff.Ground;
import vocalis.core.score.Score;
import vocalis.sound.engine.Engine;

/** Renders to samples with the same engine that plays, as fast as the machine can. */
public final class OfflineRender {

    private static final int BLOCK = 1024;

    private OfflineRender() {}

    /**
     * The riff's loop with who plays along, played {@code times} through and left to ring for
     * {@code tailSeconds}; a pickup is heard once.
     *
     * @return interleaved stereo at {@link Player#RATE}
     */
    public static float[] riff(Heard heard, int times, double tailSeconds) {
        Score score = heard.score();
        TempoMap tempos = score.time().tempos();
        Engine engine = engine(heard.ground(), heard.mix(), tempos.first());
        engine.publish(SoundEvents.program(heard));
        engine.play(0);
        double whole = tempos.seconds(score.length());
        double loop = whole - tempos.seconds(score.time().meters().pickup());
        int playing = (int) Math.round((whole + loop * (times - 1)) * Player.RATE);
        int tail = (int) Math.round(tailSeconds * Player.RATE);
        float[] out = new float[2 * (playing + tail)];
        render(engine, out, 0, playing);
        engine.stop();
        render(engine, out, playing, tail);
        return out;
    }

    /** One shape, strummed once and left to ring, through a ground's tone. */
    public static float[] shape(Shape shape, Ground ground, double seconds) {
        Engine engine = engine(ground, Mix.ALONE, 120);
        engine.hear(shape.frets().stream().mapToInt(Integer::intValue).toArray());
        int frames = (int) Math.round(seconds * Player.RATE);
        float[] out = new float[2 * frames];
        render(engine, out, 0, frames);
        return out;
    }

    /** An engine set as a ground and a mix have it, at full volume. */
    public static Engine engine(Ground ground, Mix mix, int tempo) {
        return new Engine(Player.RATE, Rigs.of(ground, mix).settings(ground, mix, tempo, 1, 1), 1);
    }

    private static void render(Engine engine, float[] out, int from, int frames) {
        float[] block = new float[2 * BLOCK];
        for (int done = 0; done < frames; done += BLOCK) {
            int count = Math.min(BLOCK, frames - done);
            engine.render(block, count);
            System.arraycopy(block, 0, out, 2 * (from + done), 2 * count);
        }
    }
}
