package vocalis.formats.wav;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import org.junit.jupiter.api.Test;

class WavCodecTest {

    /** Read back by the JDK's own reader of WAVE files. */
    @Test
    void theJdkReadsWhatIsWritten() throws Exception {
        float[] stereo = {0f, 1f, -1f, 0.5f, 2f, -0.25f};
        byte[] file = WavCodec.write(stereo, 48000);
        try (AudioInputStream in =
                AudioSystem.getAudioInputStream(new ByteArrayInputStream(file))) {
            AudioFormat f = in.getFormat();
            assertThat(f.getSampleRate()).isEqualTo(48000);
            assertThat(f.getSampleSizeInBits()).isEqualTo(24);
            assertThat(f.getChannels()).isEqualTo(2);
            assertThat(in.getFrameLength()).isEqualTo(3);
            byte[] data = in.readAllBytes();
            float[] expected = {0f, 1f, -1f, 0.5f, 1f, -0.25f};
            for (int i = 0; i < expected.length; i++) {
                int v = (data[3 * i] & 255) | (data[3 * i + 1] & 255) << 8 | data[3 * i + 2] << 16;
                assertThat(v).isEqualTo(Math.round(expected[i] * 8_388_607));
            }
        }
        assertThatThrownBy(() -> WavCodec.write(new float[3], 48000)).hasMessageContaining("even");
    }
}
