package vocalis.formats.wav;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.formats.FormatException;
import vocalis.sound.listen.Take;

/** Recordings as the JDK writes them, read as they were meant. */
class WavReaderTest {

    private static final int RATE = 44_100;
    private static final double LOUDEST = 0.75;

    /** A tenth of a second whose loudest sample is three quarters of full scale. */
    private static byte[] recording(AudioFormat f, AudioFileFormat.Type type) throws Exception {
        int width = f.getSampleSizeInBits() / 8;
        int n = RATE / 10;
        ByteBuffer b = ByteBuffer.allocate(n * f.getFrameSize());
        for (int i = 0; i < n; i++) {
            double x = LOUDEST * Math.sin(2 * Math.PI * 441 * i / RATE);
            for (int c = 0; c < f.getChannels(); c++) {
                put(b, x, width, f);
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        AudioSystem.write(
                new AudioInputStream(new ByteArrayInputStream(b.array()), f, n), type, out);
        return out.toByteArray();
    }

    private static void put(ByteBuffer b, double x, int width, AudioFormat f) {
        if (f.getEncoding().equals(AudioFormat.Encoding.PCM_FLOAT)) {
            b.order(ByteOrder.LITTLE_ENDIAN).putFloat((float) x);
            return;
        }
        boolean unsigned = f.getEncoding().equals(AudioFormat.Encoding.PCM_UNSIGNED);
        long v = Math.round(x * (Math.scalb(1.0, 8 * width - 1) - 1)) + (unsigned ? 128 : 0);
        for (int k = 0; k < width; k++) {
            int shift = 8 * (f.isBigEndian() ? width - 1 - k : k);
            b.put((byte) (v >> shift));
        }
    }

    @ParameterizedTest
    @CsvSource({
        "PCM_UNSIGNED, 8, 1, false, WAVE",
        "PCM_SIGNED, 16, 2, false, WAVE",
        "PCM_SIGNED, 24, 2, false, WAVE",
        "PCM_SIGNED, 32, 1, false, WAVE",
        "PCM_FLOAT, 32, 2, false, WAVE",
        "PCM_SIGNED, 16, 2, true, AIFF",
        "PCM_SIGNED, 24, 1, true, AU"
    })
    void everyWidthIsReadAsItWasMeant(
            String encoding, int bits, int channels, boolean big, String type) throws Exception {
        AudioFormat f =
                new AudioFormat(
                        new AudioFormat.Encoding(encoding),
                        RATE,
                        bits,
                        channels,
                        channels * bits / 8,
                        RATE,
                        big);
        AudioFileFormat.Type file =
                type.equals("WAVE")
                        ? AudioFileFormat.Type.WAVE
                        : type.equals("AIFF") ? AudioFileFormat.Type.AIFF : AudioFileFormat.Type.AU;
        Take take = WavReader.read(new ByteArrayInputStream(recording(f, file)));
        assertThat(take.rate()).isEqualTo(RATE);
        assertThat(take.seconds()).isCloseTo(0.1, within(1e-9));
        assertThat(take.peak()).isCloseTo(LOUDEST, within(0.01));
    }

    @Test
    void ourOwnFilesAreRead() throws Exception {
        float[] stereo = {0.5f, 0.5f, -0.25f, -0.25f, 0.5f, -0.5f};
        Take take = WavReader.read(new ByteArrayInputStream(WavCodec.write(stereo, 48_000)));
        assertThat(take.rate()).isEqualTo(48_000);
        assertThat(take.peak()).isCloseTo(0.5, within(1e-6));
    }

    @Test
    void whatIsNoTakeIsSaid() {
        assertThatThrownBy(() -> WavReader.read(new ByteArrayInputStream(new byte[100])))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("no WAV, AIFF or AU");
        byte[] slow = WavCodec.write(new float[200], 4000);
        assertThatThrownBy(() -> WavReader.read(new ByteArrayInputStream(slow)))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("8,000");
        byte[] long6 = WavCodec.write(new float[2 * 8000 * 301], 8000);
        assertThatThrownBy(() -> WavReader.read(new ByteArrayInputStream(long6)))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("5 minutes");
    }
}
