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

    private final BiFunction<Integer, Integer, List<Line>> pluck;
    private final PitchScale scale;
    private final double[][][] power;

    /**
     * @param pluck lines of a string, 0 for the lowest, struck alone at a fret, as {@link
     *     Dictionary#lines(Take)} gives them
     */
    public StringSounds(
            int strings, int frets, double a4Hz, BiFunction<Integer, Integer, List<Line>> pluck) {
        this.pluck = pluck;
        scale = new PitchScale(a4Hz, LOWEST_MIDI, HIGHEST_HZ);
        power = new double[strings][frets + 1][];
    }

    /** Makes all strings up to a fret, so that nobody waits for them later. */
    public void prepare(int fret) {
        for (int s = 0; s < power.length; s++) {
            for (int f = 0; f <= Math.min(fret, power[s].length - 1); f++) {
                of(s, f);
            }
        }
    }

    synchronized double[] of(int string, int fret) {
        double[] p = power[string][fret];
        if (p == null) {
            p = power(pluck.apply(string, fret), 0);
            power[string][fret] = p;
        }
        return p;
    }

    /** Power of lines on the scale, of a guitar that lies so many cents high. */
    public double[] power(List<Line> lines, double cents) {
        return scale.power(lines, cents);
    }
}
