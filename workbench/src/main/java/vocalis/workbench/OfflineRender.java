package vocalis.workbench;

import java.util.Optional;
import vocalis.core.instrument.Shape;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Score;
import vocalis.sound.engine.Engine;

/** Renders to samples with the same engine that plays, as fast as the machine can. */
public final class OfflineRender {

    private static final int BLOCK = 1024;

    private OfflineRender() {}

    /**
     * The riff's loop with its band, played {@code times} through and left to ring for {@code
     * tailSeconds}.
     *
     * @return interleaved stereo at {@link Player#RATE}
     */
    public static float[] riff(Score score, Optional<Score> second, int times, double tailSeconds) {
        Ground ground = score.riff().ground();
        Engine engine = engine(ground);
        engine.publish(SoundEvents.program(score, second));
        engine.play(0);
        double loop = Ticks.seconds(score.riff().length(), ground.tempo());
        int playing = (int) Math.round(loop * times * Player.RATE);
        int tail = (int) Math.round(tailSeconds * Player.RATE);
        float[] out = new float[2 * (playing + tail)];
        render(engine, out, 0, playing);
        engine.stop();
        render(engine, out, playing, tail);
        return out;
    }

    /** One shape, strummed once and left to ring, through a ground's tone. */
    public static float[] shape(Shape shape, Ground ground, double seconds) {
        Engine engine = engine(ground);
        engine.hear(shape.frets().stream().mapToInt(Integer::intValue).toArray());
        int frames = (int) Math.round(seconds * Player.RATE);
        float[] out = new float[2 * frames];
        render(engine, out, 0, frames);
        return out;
    }

    /** An engine set as a ground has it, at full volume. */
    public static Engine engine(Ground ground) {
        return new Engine(Player.RATE, Rigs.of(ground).settings(ground, 1, 1), 1);
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
