package vocalis.sound.listen;

import java.util.List;
import java.util.function.IntFunction;
import vocalis.sound.gain.Line;
import vocalis.sound.gain.Spectrum;

/**
 * What each pitch of a neck looks like: spectra of single notes, rendered by our own strings or
 * recorded, on a scale of fractions of a semitone. Compressed by the square root, as what is heard
 * is.
 */
public final class Dictionary {

    static final double SETTLED_SECONDS = 0.05;

    static final double WINDOW_SECONDS = 0.34;

    /** What is looked at of a note. */
    public static final double PLUCK_SECONDS = 0.4;

    private static final int LOWEST_MIDI = 30;
    private static final double HIGHEST_HZ = 5000;
    private static final double FLOOR_DB = -60;

    private final int low;
    private final PitchScale scale;
    private final double[][] notes;

    private Dictionary(double a4Hz, int low, int high) {
        this.low = low;
        scale = new PitchScale(a4Hz, LOWEST_MIDI, HIGHEST_HZ);
        notes = new double[high - low + 1][];
    }

    /**
     * From a note of each pitch.
     *
     * @param pluck lines of a MIDI number struck alone, as {@link #lines(Take)} gives them
     */
    public static Dictionary of(IntFunction<List<Line>> pluck, double a4Hz, int low, int high) {
        Dictionary d = new Dictionary(a4Hz, low, high);
        for (int m = low; m <= high; m++) {
            d.notes[m - low] = d.spectrum(pluck.apply(m), 0);
        }
        return d;
    }

    /**
     * The lines of a note that is struck at a take's beginning.
     *
     * @param take at least {@link #PLUCK_SECONDS} long
     */
    public static List<Line> lines(Take take) {
        int size = Windows.size(WINDOW_SECONDS, take.rate());
        return lines(take, take.frame(SETTLED_SECONDS), size);
    }

    static List<Line> lines(Take take, int from, int size) {
        return Spectrum.lines(take.stretch(from, size), 0, size, take.rate(), FLOOR_DB);
    }

    int low() {
        return low;
    }

    int high() {
        return low + notes.length - 1;
    }

    double[] note(int midi) {
        return notes[midi - low];
    }

    /** Where on the scale a pitch's fundamental lies. */
    int bin(int midi) {
        return scale.bin(midi);
    }

    double midi(double hz) {
        return scale.midi(hz);
    }

    /** Lines of a guitar that lies so many cents high, on the scale; their sum 1. */
    double[] spectrum(List<Line> lines, double cents) {
        double[] power = scale.power(lines, cents);
        double sum = 1e-12;
        for (int b = 0; b < power.length; b++) {
            power[b] = Math.sqrt(Math.sqrt(power[b]));
            sum += power[b];
        }
        for (int b = 0; b < power.length; b++) {
            power[b] /= sum;
        }
        return power;
    }
}
