package vocalis.workbench;

import vocalis.core.riff.Score;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Settings;
import vocalis.sound.engine.StringBank;

/** Renders a riff to samples with the same engine that plays it, as fast as the machine can. */
public final class OfflineRender {

    private static final int BLOCK = 1024;

    private OfflineRender() {}

    /**
     * The riff's loop, played {@code times} through and left to ring for {@code tailSeconds}.
     *
     * @return interleaved stereo at {@link Player#RATE}
     */
    public static float[] riff(Score score, int times, double tailSeconds) {
        var ground = score.riff().ground();
        StringBank bank =
                StringBank.of(SoundEvents.openHz(ground), ground.board().frets(), Player.RATE);
        Engine engine =
                new Engine(
                        Player.RATE,
                        new Settings(bank, SoundEvents.amp(ground.tone()), ground.tempo(), 1),
                        1);
        engine.publish(SoundEvents.program(score));
        engine.play(0);
        double loop = vocalis.core.rhythm.Ticks.seconds(score.riff().length(), ground.tempo());
        int playing = (int) Math.round(loop * times * Player.RATE);
        int tail = (int) Math.round(tailSeconds * Player.RATE);
        float[] out = new float[2 * (playing + tail)];
        float[] block = new float[2 * BLOCK];
        int done = 0;
        boolean stopped = false;
        while (done < playing + tail) {
            int count = Math.min(BLOCK, (stopped ? playing + tail : playing) - done);
            if (count == 0) {
                engine.stop();
                stopped = true;
                continue;
            }
            engine.render(block, count);
            System.arraycopy(block, 0, out, 2 * done, 2 * count);
            done += count;
        }
        return out;
    }
}
