package vocalis.sound.listen;

import java.util.List;
import java.util.function.BiFunction;
import vocalis.sound.gain.Line;

/**
 * What each string sounds like at each fret: power over a scale of fractions of a semitone. A fret
 * is made when it is first asked for and kept.
 */
public final class StringSounds {

    private static final int LOWEST_MIDI = 28;
    private static final double HIGHEST_HZ = 6000;

    private final BiFunction<Integer, Integer, Take> pluck;
    private final PitchScale scale;
    private final double[][][] power;

    /**
     * @param pluck a string, 0 for the lowest, and a fret, struck at the take's beginning and half
     *     a second long at least
     */
    public StringSounds(
            int strings, int frets, double a4Hz, BiFunction<Integer, Integer, Take> pluck) {
        this.pluck = pluck;
        scale = new PitchScale(a4Hz, LOWEST_MIDI, HIGHEST_HZ);
        power = new double[strings][frets + 1][];
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
        return scale.power(lines, cents);
    }
}
