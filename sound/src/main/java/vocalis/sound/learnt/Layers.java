package vocalis.sound.learnt;

import java.io.BufferedInputStream;
import java.io.DataInputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;

/**
 * A net of dense layers; all but the last let nothing below zero through. Its weights are a
 * resource: how many layers; of each how many go in and out, then for every output its scale, for
 * every output its offset, and for every input the weights to all outputs, as 16 bits of their
 * scale.
 */
final class Layers {

    private record Layer(int outs, float[] offsets, float[] weights) {

        /** Input by input, so that the loop over outputs can be done several at a time. */
        private float[] of(float[] in, boolean last) {
            if (in.length * outs != weights.length) {
                throw new IllegalArgumentException(
                        "this net sees " + weights.length / outs + " numbers, not " + in.length);
            }
            float[] out = offsets.clone();
            for (int i = 0; i < in.length; i++) {
                float x = in[i];
                int row = i * outs;
                for (int k = 0; k < outs; k++) {
                    out[k] += x * weights[row + k];
                }
            }
            for (int k = 0; k < outs && !last; k++) {
                out[k] = Math.max(0, out[k]);
            }
            return out;
        }
    }

    private final List<Layer> layers;

    private Layers(List<Layer> layers) {
        this.layers = layers;
    }

    /** The net of a resource beside this class. */
    static Layers of(String resource) {
        try (DataInputStream in =
                new DataInputStream(
                        new BufferedInputStream(Layers.class.getResourceAsStream(resource)))) {
            List<Layer> all = new ArrayList<>();
            int n = in.readInt();
            for (int i = 0; i < n; i++) {
                all.add(layer(in));
            }
            return new Layers(all);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static Layer layer(DataInputStream in) throws IOException {
        int ins = in.readInt();
        int outs = in.readInt();
        float[] scales = new float[outs];
        float[] offsets = new float[outs];
        for (int k = 0; k < outs; k++) {
            scales[k] = in.readFloat();
        }
        for (int k = 0; k < outs; k++) {
            offsets[k] = in.readFloat();
        }
        float[] weights = new float[ins * outs];
        for (int i = 0; i < weights.length; i++) {
            weights[i] = in.readShort() * scales[i % outs];
        }
        return new Layer(outs, offsets, weights);
    }

    /** What comes out for an input: of each output the logarithm of its odds. */
    float[] of(float[] in) {
        float[] x = in;
        for (int i = 0; i < layers.size(); i++) {
            x = layers.get(i).of(x, i == layers.size() - 1);
        }
        return x;
    }

    /** How likely something is by the logarithm of its odds. */
    static double share(double odds) {
        return 1 / (1 + Math.exp(-odds));
    }
}
