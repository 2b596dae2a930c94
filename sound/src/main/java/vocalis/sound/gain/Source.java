package vocalis.sound.gain;

import java.util.ArrayList;
import java.util.List;
import vocalis.sound.engine.StringBank;
import vocalis.sound.strings.Damping;
import vocalis.sound.strings.StringPatch;
import vocalis.sound.strings.StringVoice;

/**
 * One struck string as it stands 150 ms after the stroke: its partials, measured in what the string
 * model renders.
 *
 * @param string string index, 0 is the lowest
 * @param hz frequency of the first partial
 * @param partials what sounds
 */
public record Source(int string, double hz, List<Partial> partials) {

    /**
     * A partial.
     *
     * @param hz frequency in Hz, stretched by the string's stiffness
     * @param amplitude linear
     * @param phase radians of a cosine at {@link #AFTER_SECONDS} after the stroke
     * @param left what is left of it after a frame, under 1
     */
    public record Partial(double hz, double amplitude, double phase, double left) {}

    /** When after the stroke the partials are taken. */
    public static final double AFTER_SECONDS = 0.15;

    private static final int WINDOW = 8192;
    private static final int HOP = 128;
    private static final int MOST_PARTIALS = 60;
    private static final double HIGHEST_HZ = 9000;
    private static final double FLOOR_DB = -75;
    private static final double VELOCITY = 0.8;

    /** Time between two strings of a strum, as the engine strums at this velocity. */
    private static final double STRUM_SECONDS = 0.007 * (1.3 - 0.6 * VELOCITY);

    public Source {
        partials = List.copyOf(partials);
    }

    /**
     * The struck strings of a shape.
     *
     * @param frets per string, lowest first, -1 for silence
     * @param cents per string, how far it is drawn out of tune; empty for none
     * @param stroke which of the strokes, no two of which are alike
     */
    static List<Source> of(
            StringBank bank, int[] frets, double[] cents, double sampleRate, int stroke) {
        List<Source> all = new ArrayList<>();
        int reached = 0;
        for (int s = 0; s < frets.length; s++) {
            if (frets[s] >= 0) {
                double off = cents.length == 0 ? 0 : cents[s];
                int wait = (int) (reached++ * STRUM_SECONDS * sampleRate);
                all.add(
                        string(
                                bank.patch(s, frets[s], Damping.OPEN),
                                s,
                                off,
                                wait,
                                sampleRate,
                                stroke));
            }
        }
        return all;
    }

    private static Source string(
            StringPatch patch, int string, double cents, int wait, double sampleRate, int stroke) {
        StringVoice voice = new StringVoice(sampleRate, 31L + string + 1 + 1009L * stroke);
        voice.pluck(patch, VELOCITY, cents, wait);
        int middle = (int) ((AFTER_SECONDS + StringVoice.CHOKE_SECONDS) * sampleRate);
        double[] x = new double[middle + WINDOW];
        voice.add(x, 0, middle + WINDOW / 2);
        int from = middle - WINDOW / 2;
        double[] now = Spectrum.transform(x, from, WINDOW);
        double[] before = Spectrum.transform(x, from - HOP, WINDOW);
        double f0 = patch.hz() * Math.pow(2, cents / 1200);
        List<Partial> partials = new ArrayList<>();
        double strongest = 0;
        double drawn = Math.pow(2, cents / 1200);
        for (int n = 1; n <= MOST_PARTIALS && n * f0 < HIGHEST_HZ; n++) {
            double expected = patch.partialHz(n) * drawn;
            Partial p = partial(now, before, expected, f0, sampleRate, patch);
            partials.add(p);
            strongest = Math.max(strongest, p.amplitude());
        }
        double floor = strongest * Math.pow(10, FLOOR_DB / 20);
        partials.removeIf(p -> p.amplitude() < floor);
        return new Source(string, f0, partials);
    }

    /** The strongest bin near a frequency, its frequency by the phase's advance over a hop. */
    private static Partial partial(
            double[] now,
            double[] before,
            double expected,
            double f0,
            double sampleRate,
            StringPatch patch) {
        int middle = (int) Math.round(expected * WINDOW / sampleRate);
        int span = Math.max(1, (int) (0.1 * f0 * WINDOW / sampleRate));
        int best = middle;
        double most = -1;
        for (int k = Math.max(1, middle - span); k <= middle + span && k < WINDOW / 2; k++) {
            double m = Math.hypot(now[2 * k], now[2 * k + 1]);
            if (m > most) {
                most = m;
                best = k;
            }
        }
        double phase = Math.atan2(now[2 * best + 1], now[2 * best]);
        double earlier = Math.atan2(before[2 * best + 1], before[2 * best]);
        double nominal = 2 * Math.PI * HOP * best / WINDOW;
        double off = Math.IEEEremainder(phase - earlier - nominal, 2 * Math.PI);
        double hz = (nominal + off) / (2 * Math.PI * HOP) * sampleRate;
        double bins = hz * WINDOW / sampleRate - best;
        double amplitude = 4 * most / WINDOW / hann(bins);
        // The window's middle is the moment asked for; a bin's phase is told from its start.
        return new Partial(hz, amplitude, phase + Math.PI * best, patch.left(hz));
    }

    /** What a Hann window leaves of a line that lies some bins off: sinc(b)/(1 − b²). */
    private static double hann(double bins) {
        if (Math.abs(bins) < 1e-6) {
            return 1;
        }
        return Math.sin(Math.PI * bins) / (Math.PI * bins) / (1 - bins * bins);
    }
}
