package vocalis.sound.listen;

import java.util.Arrays;
import vocalis.core.instrument.Shape;

/**
 * How well a shape explains a strum: the powers of its strings added up, each a little stronger or
 * weaker than the others at a price, beside what was heard, in dB. What differs smoothly over the
 * octaves is the guitar's and the room's and counts for nothing.
 */
public final class ShapeFit {

    private static final double FLOOR_DB = -42;

    /** What stands less over the floor says nothing, and from here on all. */
    private static final double FAINT_DB = 3;

    private static final double FULL_DB = 25;

    /** Fewer bins than this around one say little of what is smooth. */
    private static final double FEW = 6;

    private static final double MOST_DB = 18;
    private static final double STEP_DB = 3;
    private static final int STEPS = 3;

    /** How far one string may be from another for nothing much, in dB. */
    private static final double SPREAD_DB = 4.5;

    private static final double PRIOR = 0.35;

    /** How far to both sides, in bins, a difference is smoothed. */
    private static final int HALF = 6 * PitchScale.A_SEMITONE;

    /** How much of a smooth difference is taken for the room's. */
    private static final double SMOOTH = 0.8;

    private final StringSounds sounds;
    private final double[] heard;
    private final double[] heardDb;
    private final double floor;
    private final double floorDb;
    private final double loudness;
    private final double[] sum;
    private final double[] off;
    private final double[] model;

    /** What each bin counts, 0 to 1. */
    private final double[] counts;

    /** Of all before a bin the weights, and what they weigh; bins begin after half a width. */
    private final double[] weights;

    private final double[] offs;

    public ShapeFit(StringSounds sounds, double[] heard) {
        this.sounds = sounds;
        this.heard = heard;
        double top = Arrays.stream(heard).max().orElse(0) + 1e-20;
        floor = top * Math.pow(10, FLOOR_DB / 10);
        heardDb = new double[heard.length];
        int n = heard.length;
        sum = new double[n];
        off = new double[n];
        model = new double[n];
        counts = new double[n];
        weights = new double[n + 1 + 2 * HALF];
        offs = new double[n + 1 + 2 * HALF];
        floorDb = db(floor);
        loudness = Arrays.stream(heard).sum();
        for (int b = 0; b < heard.length; b++) {
            heardDb[b] = db(heard[b] + floor);
        }
    }

    /** Ten times the logarithm to within 0.03 dB, from the number's own exponent. */
    static double db(double p) {
        long bits = Double.doubleToRawLongBits(p);
        double m = Double.longBitsToDouble(bits & 0xFFFFFFFFFFFFFL | 0x3FF0000000000000L);
        double log2 = (bits >> 52) - 1023 + (-1.0 / 3 * m + 2) * m - 5.0 / 3;
        return 3.010299956639812 * log2;
    }

    /** Price of a shape with all strings as strong as each other. */
    public double rough(Shape shape) {
        int[] strings = shape.sounded().stream().mapToInt(i -> i).toArray();
        double[][] parts = new double[strings.length][];
        for (int i = 0; i < strings.length; i++) {
            parts[i] = sounds.of(strings[i], shape.fret(strings[i]));
        }
        return cost(parts, new double[strings.length]);
    }

    /** Price of a shape: 0 where it explains all. */
    public double cost(Shape shape) {
        int[] strings = shape.sounded().stream().mapToInt(i -> i).toArray();
        double[] level = new double[strings.length];
        double[][] parts = new double[strings.length][];
        for (int i = 0; i < strings.length; i++) {
            parts[i] = sounds.of(strings[i], shape.fret(strings[i]));
        }
        double best = cost(parts, level);
        for (int round = 0; round < 2; round++) {
            boolean moved = false;
            for (int i = 0; i < level.length; i++) {
                for (int way = -1; way <= 1; way += 2) {
                    for (int n = 0; n < STEPS; n++) {
                        level[i] += way * STEP_DB;
                        double c = cost(parts, level);
                        if (c < best - 1e-9) {
                            best = c;
                            moved = true;
                        } else {
                            level[i] -= way * STEP_DB;
                            break;
                        }
                    }
                }
            }
            if (!moved) {
                break;
            }
        }
        return best;
    }

    private double cost(double[][] parts, double[] level) {
        int n = heard.length;
        Arrays.fill(sum, 0);
        double mean = 0;
        for (double l : level) {
            mean += l / level.length;
        }
        double price = 0;
        for (int i = 0; i < parts.length; i++) {
            double gain = level[i] == 0 ? 1 : Math.pow(10, level[i] / 10);
            double[] p = parts[i];
            for (int b = 0; b < n; b++) {
                sum[b] += gain * p[b];
            }
            double off = (level[i] - mean) / SPREAD_DB;
            price += PRIOR * off * off;
        }
        // Bring both to one loudness over what is heard.
        double all = 1e-30;
        for (int b = 0; b < n; b++) {
            all += sum[b];
        }
        double g = loudness / all;
        // One step after the other: most of them are then done for several bins at a time.
        for (int b = 0; b < n; b++) {
            sum[b] = g * sum[b] + floor;
        }
        for (int b = 0; b < n; b++) {
            model[b] = db(sum[b]);
        }
        for (int b = 0; b < n; b++) {
            off[b] = heardDb[b] - model[b];
        }
        for (int b = 0; b < n; b++) {
            counts[b] = Math.min(1, (Math.max(heardDb[b], model[b]) - floorDb) / FULL_DB);
        }
        for (int b = 0; b < n; b++) {
            sum[b] = Math.max(-MOST_DB, Math.min(MOST_DB, off[b]));
        }
        double seen = 0;
        double apart = 0;
        for (int b = 0; b < n; b++) {
            double w = counts[b] < FAINT_DB / FULL_DB ? 0 : counts[b];
            counts[b] = w;
            seen += w;
            apart += w * sum[b];
            weights[b + HALF + 1] = seen;
            offs[b + HALF + 1] = apart;
        }
        Arrays.fill(weights, n + HALF + 1, weights.length, weights[n + HALF]);
        Arrays.fill(offs, n + HALF + 1, offs.length, offs[n + HALF]);
        return price + left();
    }

    /** What differs on the average after what differs over an octave together is taken out. */
    private double left() {
        int n = heard.length;
        int width = 2 * HALF + 1;
        for (int b = 0; b < n; b++) {
            sum[b] = SMOOTH * (offs[b + width] - offs[b]);
        }
        for (int b = 0; b < n; b++) {
            sum[b] /= weights[b + width] - weights[b] + FEW;
        }
        for (int b = 0; b < n; b++) {
            sum[b] = counts[b] * Math.min(MOST_DB, Math.abs(off[b] - sum[b]));
        }
        double total = 0;
        for (int b = 0; b < n; b++) {
            total += sum[b];
        }
        return total / (weights[n + HALF] + 1e-9);
    }
}
