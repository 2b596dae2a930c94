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

    /** Its weights by input: only rows that begin at 0 are added several numbers at a time. */
    private record Layer(float[] offsets, float[][] weights) {

        /** The weights of an input serve all that are asked before those of the next. */
        private float[][] of(float[][] in, boolean last) {
            float[][] out = new float[in.length][];
            for (int n = 0; n < in.length; n++) {
                if (in[n].length != weights.length) {
                    throw new IllegalArgumentException(
                            "this net sees " + weights.length + " numbers, not " + in[n].length);
                }
                out[n] = offsets.clone();
            }
            for (int i = 0; i < weights.length; i++) {
                for (int n = 0; n < in.length; n++) {
                    add(in[n][i], weights[i], out[n]);
                }
            }
            for (float[] o : out) {
                for (int k = 0; k < o.length && !last; k++) {
                    o[k] = Math.max(0, o[k]);
                }
            }
            return out;
        }

        private static void add(float x, float[] weights, float[] to) {
            for (int k = 0; k < to.length; k++) {
                to[k] += x * weights[k];
            }
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
        float[][] weights = new float[ins][outs];
        for (float[] row : weights) {
            for (int k = 0; k < outs; k++) {
                row[k] = in.readShort() * scales[k];
            }
        }
        return new Layer(offsets, weights);
    }

    /** What comes out for an input: of each output the logarithm of its odds. */
    float[] of(float[] in) {
        return of(new float[][] {in})[0];
    }

    /** The same for several inputs, which takes less time than one after the other. */
    float[][] of(float[][] in) {
        float[][] x = in;
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
