package vocalis.formats.flac;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import net.sourceforge.javaflacencoder.EncodingConfiguration;
import net.sourceforge.javaflacencoder.FLACEncoder;
import net.sourceforge.javaflacencoder.FLACOutputStream;
import net.sourceforge.javaflacencoder.StreamConfiguration;

/**
 * Writes FLAC of 24 bits (RFC 9639; encoded by a pure-Java library). Its beginning says how long it
 * is and the checksum of its samples, which are known at the end only: so it goes where one can go
 * back.
 */
public final class FlacCodec {

    private static final double FULL = 8_388_607;

    private final FLACEncoder encoder = new FLACEncoder();

    /**
     * @param to is written from its position on, and stays open
     * @param sampleRate frames per second
     */
    public FlacCodec(SeekableByteChannel to, int sampleRate) throws IOException {
        StreamConfiguration stream = new StreamConfiguration();
        stream.setChannelCount(2);
        stream.setSampleRate(sampleRate);
        stream.setBitsPerSample(24);
        encoder.setStreamConfiguration(stream);
        encoder.setEncodingConfiguration(new EncodingConfiguration());
        encoder.setOutputStream(new Channel(to));
        encoder.openFLACStream();
    }

    /** Takes frames of interleaved stereo, -1 to 1; what lies outside is clipped. */
    public void write(float[] stereo, int frames) throws IOException {
        int[] samples = new int[2 * frames];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (int) Math.round(Math.max(-1, Math.min(1, stereo[i])) * FULL);
        }
        encoder.addSamples(samples, frames);
        encoder.encodeSamples(encoder.fullBlockSamplesAvailableToEncode(), false);
    }

    /** Writes what is left, then the length and the checksum at the beginning. */
    public void finish() throws IOException {
        encoder.encodeSamples(encoder.samplesAvailableToEncode(), true);
    }

    /** A channel as the library wants it. */
    private record Channel(SeekableByteChannel to) implements FLACOutputStream {

        @Override
        public long seek(long pos) throws IOException {
            return to.position(pos).position();
        }

        @Override
        public int write(byte[] data, int offset, int count) throws IOException {
            ByteBuffer bytes = ByteBuffer.wrap(data, offset, count);
            while (bytes.hasRemaining()) {
                to.write(bytes);
            }
            return count;
        }

        @Override
        public void write(byte data) throws IOException {
            write(new byte[] {data}, 0, 1);
        }

        @Override
        public long size() {
            try {
                return to.size();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        @Override
        public boolean canSeek() {
            return true;
        }

        @Override
        public long getPos() {
            try {
                return to.position();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
