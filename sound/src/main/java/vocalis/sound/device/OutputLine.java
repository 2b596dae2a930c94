package vocalis.sound.device;

import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.SourceDataLine;

/** A line to a sound device that takes 16-bit little-endian stereo and blocks until it has room. */
public interface OutputLine {

    /** Bytes taken; fewer than offered means that the device is lost. */
    int write(byte[] bytes, int count);

    /** Lets the device go; may block, so it is called away from the output thread. */
    void close();

    /** Opens lines. */
    @FunctionalInterface
    interface Opener {
        /**
         * Opens a line with a buffer of about {@code bufferFrames} frames.
         *
         * @throws NoDevice when none can be had, with the reason in plain words
         */
        OutputLine open(double sampleRate, int bufferFrames) throws NoDevice;
    }

    /** No device can be had. */
    final class NoDevice extends Exception {
        public NoDevice(String reason, Throwable cause) {
            super(reason, cause);
        }
    }

    /** Opens the system's default output through javax.sound. */
    static Opener system() {
        return (rate, frames) -> {
            AudioFormat format = new AudioFormat((float) rate, 16, 2, true, false);
            try {
                SourceDataLine line = AudioSystem.getSourceDataLine(format);
                line.open(format, frames * 4);
                line.start();
                return new OutputLine() {
                    @Override
                    public int write(byte[] bytes, int count) {
                        return line.write(bytes, 0, count);
                    }

                    @Override
                    public void close() {
                        line.stop();
                        line.close();
                    }
                };
            } catch (LineUnavailableException | IllegalArgumentException | SecurityException e) {
                // Without a sound card getSourceDataLine throws IllegalArgumentException.
                throw new NoDevice("no sound device was found", e);
            }
        };
    }
}
