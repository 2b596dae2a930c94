package vocalis.formats.flac;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.Arrays;
import java.util.Random;
import org.jflac.FLACDecoder;
import org.jflac.PCMProcessor;
import org.jflac.metadata.StreamInfo;
import org.jflac.util.ByteData;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A decoder that we did not write gives back every sample. */
class FlacCodecTest {

    private static final int FRAMES = 48_000;

    @TempDir Path folder;

    @Test
    void everySampleComesBack() throws IOException, NoSuchAlgorithmException {
        Random r = new Random(2);
        float[] stereo = new float[2 * FRAMES];
        for (int i = 0; i < stereo.length; i++) {
            stereo[i] = (float) (0.5 * Math.sin(i * 0.01) + 0.1 * r.nextGaussian());
        }
        Path to = folder.resolve("t.flac");
        try (FileChannel file =
                FileChannel.open(to, StandardOpenOption.WRITE, StandardOpenOption.CREATE)) {
            FlacCodec codec = new FlacCodec(file, 48_000);
            float[] block = new float[2048];
            for (int at = 0; at < FRAMES; at += 1024) {
                int n = Math.min(1024, FRAMES - at);
                System.arraycopy(stereo, 2 * at, block, 0, 2 * n);
                codec.write(block, n);
            }
            codec.finish();
        }
        byte[] flac = Files.readAllBytes(to);
        ByteArrayOutputStream pcm = new ByteArrayOutputStream();
        FLACDecoder decoder = new FLACDecoder(new ByteArrayInputStream(flac));
        decoder.addPCMProcessor(
                new PCMProcessor() {
                    @Override
                    public void processStreamInfo(StreamInfo info) {
                        assertThat(info.getSampleRate()).isEqualTo(48_000);
                        assertThat(info.getBitsPerSample()).isEqualTo(24);
                    }

                    @Override
                    public void processPCM(ByteData data) {
                        pcm.write(data.getData(), 0, data.getLen());
                    }
                });
        decoder.decode();
        byte[] out = pcm.toByteArray();
        assertThat(out).hasSize(6 * FRAMES);
        for (int i = 0; i < stereo.length; i++) {
            int v = (out[3 * i] & 255) | (out[3 * i + 1] & 255) << 8 | out[3 * i + 2] << 16;
            double clipped = Math.max(-1, Math.min(1, stereo[i]));
            assertThat(v).isEqualTo((int) Math.round(clipped * 8_388_607));
        }
        assertThat(flac.length).isLessThan(out.length);
        StreamInfo said = decoder.getStreamInfo();
        assertThat(said.getTotalSamples()).isEqualTo(FRAMES);
        // Sixteen bytes from the eighteenth of the first block on (RFC 9639, 8.2).
        byte[] sum = Arrays.copyOfRange(flac, 8 + 18, 8 + 34);
        assertThat(sum).isEqualTo(MessageDigest.getInstance("MD5").digest(out));
    }
}
