package vocalis.formats.flac;

import java.io.IOException;
import java.io.OutputStream;
import net.sourceforge.javaflacencoder.EncodingConfiguration;
import net.sourceforge.javaflacencoder.FLACEncoder;
import net.sourceforge.javaflacencoder.FLACStreamOutputStream;
import net.sourceforge.javaflacencoder.StreamConfiguration;

/** Writes FLAC of 24 bits as it comes (RFC 9639; encoded by a pure-Java library). */
public final class FlacCodec implements AutoCloseable {

    private static final double FULL = 8_388_607;

    private final FLACEncoder encoder = new FLACEncoder();
    private final OutputStream to;

    /**
     * @param sampleRate frames per second
     */
    public FlacCodec(OutputStream to, int sampleRate) throws IOException {
        StreamConfiguration stream = new StreamConfiguration();
        stream.setChannelCount(2);
        stream.setSampleRate(sampleRate);
        stream.setBitsPerSample(24);
        encoder.setStreamConfiguration(stream);
        encoder.setEncodingConfiguration(new EncodingConfiguration());
        this.to = to;
        encoder.setOutputStream(new FLACStreamOutputStream(to));
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

    /** Writes what is left; what it is written to stays open. */
    @Override
    public void close() throws IOException {
        encoder.encodeSamples(encoder.samplesAvailableToEncode(), true);
        to.flush();
    }
}
