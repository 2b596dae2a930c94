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
        int data = stereo.length * 3;
        ByteBuffer b = ByteBuffer.allocate(HEADER + data).order(ByteOrder.LITTLE_ENDIAN);
        b.put(ascii("RIFF")).putInt(HEADER - 8 + data).put(ascii("WAVEfmt ")).putInt(16);
        b.putShort((short) 1).putShort((short) 2).putInt(sampleRate).putInt(sampleRate * 6);
        b.putShort((short) 6).putShort((short) 24).put(ascii("data")).putInt(data);
        for (float x : stereo) {
            int v = (int) Math.round(Math.max(-1, Math.min(1, x)) * FULL);
            b.put((byte) v).put((byte) (v >> 8)).put((byte) (v >> 16));
        }
        return b.array();
    }

    private static byte[] ascii(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }
}
