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

    private static final int A_SEMITONE = 4;
    private static final int LOWEST_MIDI = 30;
    private static final double HIGHEST_HZ = 5000;
    private static final double FLOOR_DB = -60;

    /** How wide a line lies on the scale, in semitones. */
    private static final double WIDTH = 0.22;

    private final double a4Hz;
    private final int low;
    private final int bins;
    private final double[][] notes;

    private Dictionary(double a4Hz, int low, int high) {
        this.a4Hz = a4Hz;
        this.low = low;
        bins = (int) (A_SEMITONE * (midi(HIGHEST_HZ) - LOWEST_MIDI));
        notes = new double[high - low + 1][];
    }

    /**
     * From a note of each pitch.
     *
     * @param pluck a take of a MIDI number, struck at its beginning, half a second at least
     */
    public static Dictionary of(IntFunction<Take> pluck, double a4Hz, int low, int high) {
        Dictionary d = new Dictionary(a4Hz, low, high);
        for (int m = low; m <= high; m++) {
            Take take = pluck.apply(m);
            int size = Windows.size(ChordReader.WINDOW_SECONDS, take.rate());
            List<Line> lines = lines(take, take.frame(ChordReader.SETTLED_SECONDS), size);
            d.notes[m - low] = d.spectrum(lines, 0);
        }
        return d;
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
        return A_SEMITONE * (midi - LOWEST_MIDI);
    }

    double midi(double hz) {
        return 69 + 12 * Math.log(hz / a4Hz) / Math.log(2);
    }

    /** Lines of a guitar that lies so many cents high, on the scale; their sum 1. */
    double[] spectrum(List<Line> lines, double cents) {
        double[] power = new double[bins];
        double width = A_SEMITONE * WIDTH;
        for (Line l : lines) {
            double at = A_SEMITONE * (midi(l.hz()) - cents / 100 - LOWEST_MIDI);
            for (int b = (int) Math.ceil(at - 2 * width); b <= at + 2 * width; b++) {
                if (b >= 0 && b < bins) {
                    double off = (b - at) / width;
                    power[b] += l.amplitude() * l.amplitude() * Math.exp(-off * off);
                }
            }
        }
        double sum = 1e-12;
        for (int b = 0; b < bins; b++) {
            power[b] = Math.sqrt(Math.sqrt(power[b]));
            sum += power[b];
        }
        for (int b = 0; b < bins; b++) {
            power[b] /= sum;
        }
        return power;
    }
}
