package vocalis.formats.wav;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioFormat.Encoding;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.UnsupportedAudioFileException;
import vocalis.formats.FormatException;
import vocalis.sound.listen.Take;

/** Reads recordings by the JDK's sound: WAV, AIFF and AU of 8 to 32 bits, all channels to one. */
public final class WavReader {

    /** Longest that is read, in seconds: what lasts longer is no take of a riff. */
    public static final double MOST_SECONDS = 5 * 60;

    private WavReader() {}

    /**
     * The recording on one channel.
     *
     * @throws FormatException when it is no recording, or longer than {@link #MOST_SECONDS}
     */
    public static Take read(InputStream in) throws FormatException, IOException {
        try (AudioInputStream sound =
                AudioSystem.getAudioInputStream(new BufferedInputStream(in))) {
            AudioFormat f = sound.getFormat();
            boolean whole = f.getEncoding().equals(Encoding.PCM_SIGNED);
            boolean real = f.getEncoding().equals(Encoding.PCM_FLOAT);
            boolean bytes = f.getEncoding().equals(Encoding.PCM_UNSIGNED);
            if (!whole && !real && !bytes) {
                throw new FormatException(
                        "its samples are " + f.getEncoding() + ": save it as plain PCM");
            }
            // A stream need not say how long it is: no more than that is taken up.
            int most = (int) (MOST_SECONDS * f.getFrameRate()) * f.getFrameSize();
            byte[] data = sound.readNBytes(most + f.getFrameSize());
            if (data.length > most) {
                throw new FormatException(
                        "it lasts more than "
                                + Math.round(MOST_SECONDS / 60)
                                + " minutes: cut it to the strokes that count");
            }
            return new Take(mono(data, f), f.getFrameRate());
        } catch (IllegalArgumentException e) {
            throw new FormatException(e.getMessage(), e);
        } catch (UnsupportedAudioFileException e) {
            throw new FormatException("this is no WAV, AIFF or AU file that can be read", e);
        }
    }

    private static double[] mono(byte[] data, AudioFormat f) {
        int channels = f.getChannels();
        int width = f.getFrameSize() / channels;
        ByteBuffer b = ByteBuffer.wrap(data);
        b.order(f.isBigEndian() ? ByteOrder.BIG_ENDIAN : ByteOrder.LITTLE_ENDIAN);
        boolean real = f.getEncoding().equals(Encoding.PCM_FLOAT);
        boolean unsigned = f.getEncoding().equals(Encoding.PCM_UNSIGNED);
        double[] out = new double[data.length / (width * channels)];
        for (int i = 0; i < out.length; i++) {
            double sum = 0;
            for (int c = 0; c < channels; c++) {
                int at = (i * channels + c) * width;
                sum += real ? real(b, at, width) : whole(b, at, width, unsigned);
            }
            out[i] = sum / channels;
        }
        return out;
    }

    private static double real(ByteBuffer b, int at, int width) {
        return width == 8 ? b.getDouble(at) : b.getFloat(at);
    }

    /** -1 to 1. */
    private static double whole(ByteBuffer b, int at, int width, boolean unsigned) {
        boolean big = b.order() == ByteOrder.BIG_ENDIAN;
        long v = 0;
        for (int k = 0; k < width; k++) {
            int from = big ? at + k : at + width - 1 - k;
            v = v << 8 | b.get(from) & 0xFF;
        }
        double full = Math.scalb(1.0, 8 * width - 1);
        if (unsigned) {
            return (v - full) / full;
        }
        long signed = v << 64 - 8 * width >> 64 - 8 * width;
        return signed / full;
    }
}
