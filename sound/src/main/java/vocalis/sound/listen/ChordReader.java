package vocalis.sound.listen;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import vocalis.sound.gain.Line;

/**
 * Reads the notes of a strum: its spectrum as a sum of those of single notes, none below zero (D.
 * Lee, H. Seung, "Learning the parts of objects by non-negative matrix factorization", Nature 401,
 * 1999, with the parts given; the idea after M. Mauch, S. Dixon, ISMIR 2010; both from memory). A
 * note stays only where its own fundamental is there and the sound cannot be explained as well
 * without it. Thresholds set by hand on renders of our own.
 */
public final class ChordReader {

    private static final int ROUNDS = 80;
    private static final int ROUNDS_OF_FEW = 30;
    private static final int MOST = 12;

    /** Weights under this share of the strongest are not looked at. */
    private static final double FAINT = 0.03;

    /** What the sound must lose without a note for it to stay, as divergence. */
    private static final double NEEDED = 0.02;

    /** How far from its place a fundamental may lie, in cents. */
    private static final double WITHIN_CENTS = 35;

    /** How far under the strongest line it may be, in dB. */
    private static final double OWN_DB = -22;

    /** An octave is there from so many times on what the notes below put in its place. */
    private static final double OCTAVE = 1.1;

    /** A note's least weight as a share of the strongest's. */
    private static final double LEAST_SHARE = 0.18;

    /** Where a thin sound begins to lack. */
    private static final double THIN_HZ = 300;

    private final Take take;
    private final Dictionary dictionary;
    private final boolean thin;

    /**
     * @param thin whether the sound lacks its low end, as through a filter at 300 Hz of 12 dB an
     *     octave; it is put back
     */
    public ChordReader(Take take, Dictionary dictionary, boolean thin) {
        this.take = take;
        this.thin = thin;
        this.dictionary = dictionary;
    }

    /**
     * What sounds after a stroke.
     *
     * @param onset in seconds
     * @param until when the next one comes
     */
    public HeardNotes at(double onset, double until) {
        int size = Windows.size(Dictionary.WINDOW_SECONDS, take.rate());
        double room = until - onset - Dictionary.SETTLED_SECONDS;
        while (size > 4096 && size / take.rate() > Math.max(0.08, room)) {
            size /= 2;
        }
        int from =
                take.frame(onset + Math.min(Dictionary.SETTLED_SECONDS, Math.max(0.01, room / 4)));
        List<Line> lines =
                thin
                        ? restored(Dictionary.lines(take, from, size))
                        : Dictionary.lines(take, from, size);
        double cents = offset(lines);
        return notes(lines, cents);
    }

    private static List<Line> restored(List<Line> lines) {
        List<Line> all = new ArrayList<>();
        for (Line l : lines) {
            double octaves = Math.max(1, THIN_HZ / l.hz());
            all.add(new Line(l.hz(), l.amplitude() * octaves * octaves));
        }
        return all;
    }

    /** How far the lines lie over equal temperament on the whole: their circular mean, in cents. */
    private double offset(List<Line> lines) {
        double x = 0;
        double y = 0;
        for (Line l : lines) {
            if (l.hz() < 1000 && l.hz() > 60) {
                double turn = 2 * Math.PI * dictionary.midi(l.hz());
                x += l.amplitude() * Math.cos(turn);
                y += l.amplitude() * Math.sin(turn);
            }
        }
        return x == 0 && y == 0 ? 0 : 100 * Math.atan2(y, x) / (2 * Math.PI);
    }

    private HeardNotes notes(List<Line> lines, double cents) {
        Mixture heard = new Mixture(dictionary.spectrum(lines, cents));
        List<Integer> all = new ArrayList<>();
        for (int m = dictionary.low(); m <= dictionary.high(); m++) {
            if (own(m, lines, cents)) {
                all.add(m);
            }
        }
        List<Integer> kept = likeliest(all, heard.weights(all, ROUNDS));
        int least = 0;
        while (least >= 0 && kept.size() > 1) {
            double[] now = heard.weights(kept, ROUNDS_OF_FEW);
            double with = heard.divergence(kept, now);
            least = -1;
            double leastLoss = NEEDED;
            for (int i = 0; i < kept.size(); i++) {
                List<Integer> without = new ArrayList<>(kept);
                without.remove(i);
                double[] w = heard.weights(without, ROUNDS_OF_FEW);
                double loss = heard.divergence(without, w) - with;
                if (loss < leastLoss) {
                    least = i;
                    leastLoss = loss;
                }
            }
            if (least >= 0) {
                kept.remove(least);
            }
        }
        kept.addAll(heard.octaves(kept));
        double[] w = heard.weights(kept, ROUNDS);
        double strongest = Arrays.stream(w).max().orElse(0);
        for (int i = kept.size() - 1; i >= 0; i--) {
            if (w[i] < LEAST_SHARE * strongest) {
                kept.remove(i);
            }
        }
        w = heard.weights(kept, ROUNDS_OF_FEW);
        double sum = Arrays.stream(w).sum();
        List<HeardNotes.Note> notes = new ArrayList<>();
        for (int i = 0; i < kept.size(); i++) {
            notes.add(new HeardNotes.Note(kept.get(i), sum == 0 ? 0 : w[i] / sum));
        }
        notes.sort(Comparator.comparingInt(HeardNotes.Note::midi));
        return new HeardNotes(notes, cents, heard.divergence(kept, w), lines);
    }

    private static double around(double[] x, int bin) {
        double sum = 0;
        for (int b = Math.max(0, bin - 1); b <= bin + 1 && b < x.length; b++) {
            sum += x[b];
        }
        return sum;
    }

    /** Whether a line lies where a note's fundamental, or its octave, would be. */
    private boolean own(int midi, List<Line> lines, double cents) {
        double strongest = 0;
        double here = 0;
        for (Line l : lines) {
            strongest = Math.max(strongest, l.amplitude());
            double off = 100 * (dictionary.midi(l.hz()) - midi) - cents;
            if (Math.abs(off) < WITHIN_CENTS) {
                here = Math.max(here, l.amplitude());
            }
        }
        return here > strongest * Math.pow(10, OWN_DB / 20);
    }

    private static List<Integer> likeliest(List<Integer> all, double[] weights) {
        double most = Arrays.stream(weights).max().orElse(0);
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < weights.length; i++) {
            if (weights[i] > FAINT * most) {
                order.add(i);
            }
        }
        order.sort(Comparator.comparingDouble(i -> -weights[i]));
        List<Integer> kept = new ArrayList<>();
        order.stream().limit(MOST).forEach(i -> kept.add(all.get(i)));
        return kept;
    }

    /**
     * What is heard beside sums of notes. Where nothing is heard no weight is moved, so only the
     * bins where something is are reckoned with.
     */
    private final class Mixture {

        private final double[] heard;
        private final double[] there;
        private final double[][] notes;
        private final double[] elsewhere;
        private final int[] bins;
        private final double[] sum;

        Mixture(double[] heard) {
            this.heard = heard;
            bins = IntStream.range(0, heard.length).filter(b -> heard[b] > 0).toArray();
            there = picked(heard);
            sum = new double[bins.length];
            notes = new double[dictionary.high() - dictionary.low() + 1][];
            elsewhere = new double[notes.length];
        }

        private double[] picked(double[] all) {
            double[] some = new double[bins.length];
            for (int i = 0; i < bins.length; i++) {
                some[i] = all[bins[i]];
            }
            return some;
        }

        private double[] note(int midi) {
            int at = midi - dictionary.low();
            if (notes[at] == null) {
                double[] all = dictionary.note(midi);
                notes[at] = picked(all);
                elsewhere[at] = Arrays.stream(all).sum() - Arrays.stream(notes[at]).sum();
            }
            return notes[at];
        }

        /** Weights of some pitches that together come nearest to what is heard. */
        double[] weights(List<Integer> pitches, int rounds) {
            double[] w = new double[pitches.size()];
            Arrays.fill(w, 1.0 / Math.max(1, w.length));
            double[][] parts = new double[w.length][];
            for (int i = 0; i < w.length; i++) {
                parts[i] = note(pitches.get(i));
            }
            for (int round = 0; round < rounds; round++) {
                add(parts, w, sum);
                for (int b = 0; b < sum.length; b++) {
                    sum[b] = there[b] / (sum[b] + 1e-9);
                }
                for (int i = 0; i < w.length; i++) {
                    w[i] *= product(parts[i], sum);
                }
            }
            return w;
        }

        /** How far the sum of weighted notes is from what is heard (Kullback and Leibler). */
        double divergence(List<Integer> pitches, double[] w) {
            double[][] parts = new double[w.length][];
            double d = 1e-5 * (heard.length - bins.length);
            for (int i = 0; i < w.length; i++) {
                parts[i] = note(pitches.get(i));
                d += w[i] * elsewhere[pitches.get(i) - dictionary.low()];
            }
            add(parts, w, sum);
            for (int b = 0; b < sum.length; b++) {
                double s = sum[b] + 1e-5;
                d += there[b] * Math.log(there[b] / s) - there[b] + s;
            }
            return d;
        }

        /** Octaves whose fundamental is stronger than the notes below explain. */
        List<Integer> octaves(List<Integer> kept) {
            double[][] parts = new double[kept.size()][];
            for (int i = 0; i < parts.length; i++) {
                parts[i] = dictionary.note(kept.get(i));
            }
            double[] all = new double[heard.length];
            add(parts, weights(kept, ROUNDS_OF_FEW), all);
            List<Integer> octaves = new ArrayList<>();
            for (int m : kept) {
                int up = m + 12;
                if (up <= dictionary.high() && !kept.contains(up)) {
                    int bin = dictionary.bin(up);
                    if (around(heard, bin) > OCTAVE * around(all, bin)) {
                        octaves.add(up);
                    }
                }
            }
            return octaves;
        }
    }

    private static void add(double[][] parts, double[] w, double[] into) {
        Arrays.fill(into, 0);
        for (int i = 0; i < w.length; i++) {
            double[] note = parts[i];
            double weight = w[i];
            for (int b = 0; b < into.length; b++) {
                into[b] += weight * note[b];
            }
        }
    }

    /** The sum of products, in two chains so that neither waits for the other. */
    private static double product(double[] a, double[] b) {
        double even = 0;
        double odd = 0;
        int i = 0;
        for (; i + 1 < a.length; i += 2) {
            even += a[i] * b[i];
            odd += a[i + 1] * b[i + 1];
        }
        return even + odd + (i < a.length ? a[i] * b[i] : 0);
    }
}
