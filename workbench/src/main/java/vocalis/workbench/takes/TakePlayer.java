package vocalis.workbench.takes;

import vocalis.sound.device.AudioOutput;
import vocalis.sound.device.Clock;
import vocalis.sound.device.OutputLine;
import vocalis.sound.engine.Source;
import vocalis.sound.listen.Take;

/** Plays a take from its beginning, on a line of its own, until it is closed or over. */
public final class TakePlayer implements AutoCloseable {

    private static final int BUFFER = 4096;
    private static final double LOUD = 0.7;
    private static final double MOST_GAIN = 20;

    private final AudioOutput output;
    private final Sound sound;

    /** Samples as they are, brought to one loudness. */
    private static final class Sound implements Source {
        private final float[] stereo;
        private final double rate;
        private volatile int at; // by the output thread alone, but for panic

        Sound(Take take, double volume) {
            stereo = take.stereo();
            rate = take.rate();
            float gain = (float) (volume * Math.min(MOST_GAIN, LOUD / Math.max(1e-3, take.peak())));
            for (int i = 0; i < stereo.length; i++) {
                stereo[i] *= gain;
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

    /**
     * @param volume linear, as the player has it
     */
    public TakePlayer(Take take, OutputLine.Opener opener, double volume) {
        sound = new Sound(take, volume);
        output = new AudioOutput(sound, opener, Clock.system(), BUFFER);
        output.start();
    }

    @Override
    public void close() {
        sound.panic();
        output.close();
    }
}
