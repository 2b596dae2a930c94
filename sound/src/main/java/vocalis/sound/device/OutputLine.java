package vocalis.sound.device;

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
}
