package vocalis.sound.device;

/** A line from a sound device that gives 16-bit little-endian samples of one channel. */
public interface InputLine {

    /** Bytes read, waiting for them; fewer than asked for means that the device is lost. */
    int read(byte[] bytes, int count);

    /** Lets the device go; may block. */
    void close();

    /** Opens lines. */
    @FunctionalInterface
    interface Opener {
        /**
         * Opens a line with a buffer of about {@code bufferFrames} frames.
         *
         * @throws OutputLine.NoDevice when none can be had, with the reason in plain words
         */
        InputLine open(double sampleRate, int bufferFrames) throws OutputLine.NoDevice;
    }
}
