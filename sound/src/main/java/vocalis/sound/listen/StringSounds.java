package vocalis.sound.listen;

import java.util.List;
import java.util.function.BiFunction;
import vocalis.sound.gain.Line;

/**
 * What each string sounds like at each fret: power over a scale of fractions of a semitone. A fret
 * is made when it is first asked for and kept.
 */
public final class StringSounds {

    static final int A_SEMITONE = 4;
    static final int LOWEST_MIDI = 28;
    private static final double HIGHEST_HZ = 6000;
    private static final double WIDTH = 0.22;

    private final BiFunction<Integer, Integer, Take> pluck;
    private final double a4Hz;
    private final int bins;
    private final double[][][] power;

    /**
     * @param pluck a string, 0 for the lowest, and a fret, struck at the take's beginning and half
     *     a second long at least
     */
    public StringSounds(
            int strings, int frets, double a4Hz, BiFunction<Integer, Integer, Take> pluck) {
        this.pluck = pluck;
        this.a4Hz = a4Hz;
        bins = (int) (A_SEMITONE * (midi(HIGHEST_HZ) - LOWEST_MIDI));
        power = new double[strings][frets + 1][];
    }

    double midi(double hz) {
        return 69 + 12 * Math.log(hz / a4Hz) / Math.log(2);
    }

    /** Frets that were made ready for. */
    int frets() {
        return power[0].length - 1;
    }

    synchronized double[] of(int string, int fret) {
        double[] p = power[string][fret];
        if (p == null) {
            Take take = pluck.apply(string, fret);
            int size = Windows.size(ChordReader.WINDOW_SECONDS, take.rate());
            p = power(Dictionary.lines(take, take.frame(ChordReader.SETTLED_SECONDS), size), 0);
            power[string][fret] = p;
        }
        return p;
    }

    /** Power of lines on the scale, of a guitar that lies so many cents high. */
    public double[] power(List<Line> lines, double cents) {
        double[] out = new double[bins];
        double width = A_SEMITONE * WIDTH;
        for (Line l : lines) {
            double at = A_SEMITONE * (midi(l.hz()) - cents / 100 - LOWEST_MIDI);
            for (int b = (int) Math.ceil(at - 2 * width); b <= at + 2 * width; b++) {
                if (b >= 0 && b < bins) {
                    double off = (b - at) / width;
                    out[b] += l.amplitude() * l.amplitude() * Math.exp(-off * off);
                }
            }
        }
        return out;
    }
}
