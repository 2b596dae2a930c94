package vocalis.sound.learnt;

import vocalis.sound.listen.Take;
import vocalis.sound.listen.Windows;

/**
 * Says which notes are struck in a stroke, under gain too, by what a net has learnt from renders.
 * It sees three stretches of the take, in thirds of a semitone: just after the stroke, a longer
 * one, and just before it, which tells what only rings on.
 */
public final class NoteEar {

    /** The lowest note that it knows. */
    public static final int LOWEST_MIDI = 30;

    /** How many notes it knows. */
    public static final int NOTES = 60;

    private static final int BANDS = 240;
    private static final double LOW_HZ = 60;
    private static final double AN_OCTAVE = 36;

    private static final double SHORT_SECONDS = 0.0853;
    private static final double LONG_SECONDS = 0.171;
    private static final double SHORT_AFTER = 0.005;
    private static final double LONG_AFTER = 0.01;
    private static final double BEFORE = 0.01;

    /** What lies so far under the strongest, as a share of it, counts as silence. */
    private static final double SILENCE = 2e-3;

    /** Neighbouring strokes that lie further away make no difference, in seconds. */
    private static final double FAR = 0.5;

    private static final Layers NET = Layers.of("notes.net");

    private NoteEar() {}

    /**
     * What was struck.
     *
     * @param odds of each note from {@link #LOWEST_MIDI} up that it is struck, as logarithms
     * @param stopped how likely a hand stops the stroke at once
     * @param driven how likely an amplifier clips
     */
    public record Struck(float[] odds, double stopped, double driven) {

        /** The logarithm of a note's odds; as of one that is not there for notes nobody knows. */
        public double odds(int midi) {
            int i = midi - LOWEST_MIDI;
            return i < 0 || i >= NOTES ? -10 : odds[i];
        }

        /** How likely a note was struck. */
        public double share(int midi) {
            return Layers.share(odds(midi));
        }
    }

    /**
     * The notes of a stroke.
     *
     * @param at when it begins, in seconds
     * @param sinceLast seconds since the stroke before it
     * @param untilNext seconds until the next, or the end of the take
     * @param cents how far the guitar lies over 440 Hz
     */
    public static Struck of(
            Take take, double at, double sinceLast, double untilNext, double cents) {
        float[] out = NET.of(picture(take, at, sinceLast, untilNext, cents));
        float[] odds = new float[NOTES];
        System.arraycopy(out, 0, odds, 0, NOTES);
        return new Struck(odds, Layers.share(out[NOTES]), Layers.share(out[NOTES + 1]));
    }

    /** What the net sees of a stroke; parameters as for {@link #of}. */
    public static float[] picture(
            Take take, double at, double sinceLast, double untilNext, double cents) {
        double low = LOW_HZ * Math.pow(2, cents / 1200);
        int frame = take.frame(at);
        int before = frame - take.frame(BEFORE) - Windows.size(SHORT_SECONDS, take.rate());
        float[] in = new float[3 * BANDS + 2];
        double most =
                Math.max(
                        bands(take, SHORT_SECONDS, frame + take.frame(SHORT_AFTER), low, in, 0),
                        bands(take, LONG_SECONDS, frame + take.frame(LONG_AFTER), low, in, BANDS));
        bands(take, SHORT_SECONDS, before, low, in, 2 * BANDS);
        for (int i = 0; i < 3 * BANDS; i++) {
            in[i] = (float) Math.log(SILENCE + in[i] / (most + 1e-7));
        }
        in[3 * BANDS] = (float) Math.min(FAR, untilNext);
        in[3 * BANDS + 1] = (float) Math.min(FAR, sinceLast);
        return in;
    }

    /** The amplitude in each band of a stretch; gives the strongest. */
    private static double bands(
            Take take, double seconds, int from, double lowHz, float[] to, int first) {
        Windows windows = new Windows(take, Windows.size(seconds, take.rate()));
        double[] magnitudes = new double[windows.bins()];
        windows.magnitudes(from, magnitudes);
        double half = Math.pow(2, 0.5 / AN_OCTAVE);
        double most = 0;
        for (int b = 0; b < BANDS; b++) {
            double bin = lowHz * Math.pow(2, b / AN_OCTAVE) / windows.hz(1);
            double level = at(magnitudes, bin);
            int end = (int) Math.min(magnitudes.length - 1, Math.floor(bin * half));
            for (int k = (int) Math.ceil(bin / half); k <= end; k++) {
                level = Math.max(level, magnitudes[k]);
            }
            to[first + b] = (float) level;
            most = Math.max(most, level);
        }
        return most;
    }

    private static double at(double[] magnitudes, double bin) {
        int k = (int) bin;
        double part = bin - k;
        return k + 1 >= magnitudes.length
                ? 0
                : magnitudes[k] * (1 - part) + magnitudes[k + 1] * part;
    }
}
