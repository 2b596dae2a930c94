package vocalis.workbench.takes;

import vocalis.sound.device.AudioOutput;
import vocalis.sound.device.Clock;
import vocalis.sound.device.OutputLine;
import vocalis.sound.engine.Source;
import vocalis.sound.listen.Take;

/** Plays a take from its beginning, on a line of its own, until it is closed or over. */
public final class TakePlayer implements AutoCloseable {

    private static final int BUFFER = 4096;
    private static final float LOUD = 0.7f;

    private final AudioOutput output;
    private final Sound sound;

    /** Samples as they are, brought to one loudness. */
    private static final class Sound implements Source {
        private final float[] stereo;
        private final double rate;
        private volatile int at; // by the output thread alone, but for panic

        Sound(Take take) {
            stereo = take.stereo();
            rate = take.rate();
            float gain = (float) (LOUD / Math.max(1e-3, take.peak()));
            for (int i = 0; i < stereo.length; i++) {
                stereo[i] *= Math.min(gain, 20);
            }
        }

        @Override
        public void render(float[] out, int count) {
            int from = at;
            for (int i = 0; i < 2 * count; i++) {
                out[i] = from + i < stereo.length ? stereo[from + i] : 0;
            }
            at = from + 2 * count;
        }

        @Override
        public void panic() {
            at = stereo.length;
        }

        @Override
        public double sampleRate() {
            return rate;
        }
    }

    public TakePlayer(Take take, OutputLine.Opener opener) {
        sound = new Sound(take);
        output = new AudioOutput(sound, opener, Clock.system(), BUFFER);
        output.start();
    }

    /** Whether all of it has been played. */
    public boolean over() {
        return sound.at >= sound.stereo.length;
    }

    @Override
    public void close() {
        sound.panic();
        output.close();
    }
}
