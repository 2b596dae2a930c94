package vocalis.formats.wav;

import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.StandardCharsets;

/**
 * Writes RIFF/WAVE, linear PCM of 24 bits (IBM and Microsoft, "Multimedia Programming Interface and
 * Data Specifications 1.0", 1991).
 */
public final class WavCodec {

    private static final int HEADER = 44;
    private static final double FULL = 8_388_607;

    private WavCodec() {}

    /** Most frames that a file can say it has: its sizes are numbers of 32 bits. */
    public static final long MOST_FRAMES = (0xFFFFFFFFL - HEADER) / 6;

    /**
     * The file's bytes.
     *
     * @param stereo interleaved samples, -1 to 1; what lies outside is clipped
     * @param sampleRate frames per second
     */
    public static byte[] write(float[] stereo, int sampleRate) {
        if (stereo.length % 2 != 0) {
            throw new IllegalArgumentException("interleaved stereo has an even number of samples");
        }
        byte[] out = new byte[HEADER + stereo.length * 3];
        System.arraycopy(header(stereo.length / 2, sampleRate), 0, out, 0, HEADER);
        samples(stereo, stereo.length / 2, out, HEADER);
        return out;
    }

    /**
     * What stands before the samples.
     *
     * @param frames 0 to {@link #MOST_FRAMES}
     */
    public static byte[] header(long frames, int sampleRate) {
        if (frames < 0 || frames > MOST_FRAMES) {
            throw new IllegalArgumentException(
                    "a WAV file holds at most " + MOST_FRAMES + " frames, not " + frames);
        }
        int data = (int) (frames * 6);
        ByteBuffer b = ByteBuffer.allocate(HEADER).order(ByteOrder.LITTLE_ENDIAN);
        b.put(ascii("RIFF")).putInt(HEADER - 8 + data).put(ascii("WAVEfmt ")).putInt(16);
        b.putShort((short) 1).putShort((short) 2).putInt(sampleRate).putInt(sampleRate * 6);
        b.putShort((short) 6).putShort((short) 24).put(ascii("data")).putInt(data);
        return b.array();
    }

    /** Puts frames of interleaved stereo into bytes, six a frame, from an index on. */
    public static void samples(float[] stereo, int frames, byte[] out, int from) {
        int at = from;
        for (int i = 0; i < 2 * frames; i++) {
            int v = (int) Math.round(Math.max(-1, Math.min(1, stereo[i])) * FULL);
            out[at++] = (byte) v;
            out[at++] = (byte) (v >> 8);
            out[at++] = (byte) (v >> 16);
        }
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }
}
