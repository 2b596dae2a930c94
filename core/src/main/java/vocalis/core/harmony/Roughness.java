package vocalis.core.harmony;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.theory.Pitch;

/**
 * Sensory roughness of a set of notes: R. Plomp and W. Levelt, "Tonal consonance and critical
 * bandwidth", JASA 38 (1965), in the form of W. Sethares, "Local consonance and the relationship
 * between timbre and scale", JASA 94 (1993). Each note has six harmonics falling by a factor 0.88;
 * the amplitude of a pair is the smaller of the two. Relative units; two notes far apart come near
 * 0.
 */
public final class Roughness {

    private static final int HARMONICS = 6;
    private static final double FALL = 0.88;
    private static final double B1 = 3.5;
    private static final double B2 = 5.75;
    private static final double MAXIMUM_AT = 0.24;
    private static final double S1 = 0.0207;
    private static final double S2 = 18.96;

    private Roughness() {}

    /** Roughness of notes given as MIDI numbers in equal temperament. */
    public static double of(List<Integer> midi) {
        return ofHz(midi.stream().map(m -> Pitch.hz(m)).toList());
    }

    /** Roughness of notes given by their fundamentals in Hz. */
    public static double ofHz(List<Double> fundamentals) {
        List<double[]> partials = new ArrayList<>();
        for (double hz : fundamentals) {
            for (int n = 1; n <= HARMONICS; n++) {
                partials.add(new double[] {hz * n, Math.pow(FALL, n - 1)});
            }
        }
        double sum = 0;
        for (int i = 0; i < partials.size(); i++) {
            for (int j = i + 1; j < partials.size(); j++) {
                sum += pair(partials.get(i), partials.get(j));
            }
        }
        return sum;
    }

    private static double pair(double[] a, double[] b) {
        return pair(a[0], a[1], b[0], b[1]);
    }

    /** Roughness of two pure tones by their frequencies in Hz and amplitudes. */
    public static double pair(double hz, double amplitude, double otherHz, double otherAmplitude) {
        double apart = Math.abs(hz - otherHz);
        double s = MAXIMUM_AT / (S1 * Math.min(hz, otherHz) + S2);
        double loudness = Math.min(amplitude, otherAmplitude);
        return loudness * (Math.exp(-B1 * s * apart) - Math.exp(-B2 * s * apart));
    }
}
