package vocalis.sound;

import java.util.Arrays;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.jtransforms.fft.DoubleFFT_1D;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Settings;
import vocalis.sound.engine.StringBank;

/**
 * Measures what the engine renders, with the FFT of JTransforms 3.1 (a general-purpose library).
 */
public final class Measure {

    public static final double RATE = 48000;
    public static final int[] OPEN_MIDI = {40, 45, 50, 55, 59, 64};
    private static StringBank bank;

    private Measure() {}

    /** The strings of a guitar in standard tuning; note frequencies after ISO 16. */
    public static synchronized StringBank bank() {
        if (bank == null) {
            double[] open = Arrays.stream(OPEN_MIDI).mapToDouble(Measure::hz).toArray();
            bank = StringBank.of(open, 24, RATE);
        }
        return bank;
    }

    public static double hz(int midi) {
        return 440 * Math.pow(2, (midi - 69) / 12.0);
    }

    public static Engine engine(AmpSettings amp) {
        return new Engine(RATE, new Settings(bank(), amp, 120, 1), 11);
    }

    /** One string, strummed alone, left channel. */
    public static double[] single(AmpSettings amp, int string, int fret, double seconds) {
        int[] frets = new int[6];
        Arrays.fill(frets, -1);
        frets[string] = fret;
        Engine engine = engine(amp);
        engine.hear(frets);
        return left(engine, seconds);
    }

    public static double[] left(Engine engine, double seconds) {
        int frames = (int) (seconds * RATE);
        float[] stereo = new float[2 * frames];
        engine.render(stereo, frames);
        double[] left = new double[frames];
        for (int i = 0; i < frames; i++) {
            left[i] = stereo[2 * i];
        }
        return left;
    }

    /** Amplitude spectrum (Hann, scaled so that a sine of amplitude a reads a). */
    public static double[] spectrum(double[] x, int from, int size) {
        double[] buffer = windowed(x, from, size);
        double[] magnitude = new double[size / 2];
        for (int k = 1; k < size / 2; k++) {
            magnitude[k] = 4 * Math.hypot(buffer[2 * k], buffer[2 * k + 1]) / size;
        }
        return magnitude;
    }

    /** By size: a window and a transform take longer to make than to use. */
    private static final Map<Integer, DoubleFFT_1D> TRANSFORMS = new ConcurrentHashMap<>();

    private static final Map<Integer, double[]> HANN = new ConcurrentHashMap<>();

    private static double[] windowed(double[] x, int from, int size) {
        double[] window = HANN.computeIfAbsent(size, Measure::hann);
        double[] buffer = new double[size];
        for (int i = 0; i < size; i++) {
            buffer[i] = window[i] * x[from + i];
        }
        TRANSFORMS.computeIfAbsent(size, DoubleFFT_1D::new).realForward(buffer);
        return buffer;
    }

    private static double[] hann(int size) {
        double[] window = new double[size];
        for (int i = 0; i < size; i++) {
            window[i] = 0.5 - 0.5 * Math.cos(2 * Math.PI * i / size);
        }
        return window;
    }

    /**
     * Frequency of the partial nearest to {@code expected}, from the phase advance over a short
     * hop.
     */
    public static double frequency(double[] x, int from, int size, double expected) {
        int hop = 256;
        double[] a = windowed(x, from, size);
        double[] b = windowed(x, from + hop, size);
        int k = peakBin(a, size, expected);
        double advance = Math.atan2(b[2 * k + 1], b[2 * k]) - Math.atan2(a[2 * k + 1], a[2 * k]);
        double nominal = 2 * Math.PI * hop * k / size;
        double off = Math.IEEEremainder(advance - nominal, 2 * Math.PI);
        return (nominal + off) / (2 * Math.PI * hop) * RATE;
    }

    /**
     * The same over a stretch of time: the mean of the phase's advance from {@code from} over a
     * number of hops, in which what beats with the partial evens out.
     */
    public static double steadyFrequency(
            double[] x, int from, int size, double expected, int hops) {
        int hop = 512;
        int k = peakBin(windowed(x, from, size), size, expected);
        double nominal = 2 * Math.PI * hop * k / size;
        double sum = 0;
        double before = Double.NaN;
        for (int h = 0; h <= hops; h++) {
            double[] a = windowed(x, from + h * hop, size);
            double phase = Math.atan2(a[2 * k + 1], a[2 * k]);
            if (h > 0) {
                sum += nominal + Math.IEEEremainder(phase - before - nominal, 2 * Math.PI);
            }
            before = phase;
        }
        return sum / hops / (2 * Math.PI * hop) * RATE;
    }

    private static int peakBin(double[] fft, int size, double expected) {
        int middle = (int) Math.round(expected * size / RATE);
        int span = Math.max(2, (int) (0.02 * middle));
        int best = middle;
        double most = -1;
        for (int k = middle - span; k <= middle + span; k++) {
            double m = Math.hypot(fft[2 * k], fft[2 * k + 1]);
            if (m > most) {
                most = m;
                best = k;
            }
        }
        return best;
    }

    /** Level in dB of the strongest bin within 3 % of a frequency. */
    public static double levelDb(double[] x, int from, int size, double hz) {
        double[] fft = windowed(x, from, size);
        int k = peakBin(fft, size, hz);
        return 20 * Math.log10(4 * Math.hypot(fft[2 * k], fft[2 * k + 1]) / size + 1e-15);
    }

    public static double cents(double from, double to) {
        return 1200 * Math.log(to / from) / Math.log(2);
    }

    public static double peak(double[] x, int from, int to) {
        double peak = 0;
        for (int i = from; i < to; i++) {
            peak = Math.max(peak, Math.abs(x[i]));
        }
        return peak;
    }

    public static double rms(double[] x, int from, int to) {
        double sum = 0;
        for (int i = from; i < to; i++) {
            sum += x[i] * x[i];
        }
        return Math.sqrt(sum / (to - from));
    }
}
