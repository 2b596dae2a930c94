package vocalis.benchmarks.beside;

import java.util.Arrays;
import org.jtransforms.fft.DoubleFFT_1D;
import vocalis.sound.dsp.Biquad;

/**
 * What is measured of one note: attack, level, brightness, pitch. A note begins where it first
 * passes a fiftieth of its highest sample.
 */
final class Sounding {

    private static final double RATE = 48_000;
    private static final double BEGINS = 0.02;

    /** Levels are taken over so many seconds. */
    private static final double LEVEL_SECONDS = 0.05;

    private final double[] x;
    private final int from;

    Sounding(double[] x) {
        this.x = x;
        double most = 0;
        for (double v : x) {
            most = Math.max(most, Math.abs(v));
        }
        int i = 0;
        while (i < x.length - 1 && Math.abs(x[i]) < BEGINS * most) {
            i++;
        }
        from = i;
    }

    private int at(double seconds) {
        return Math.min(x.length, from + (int) Math.round(seconds * RATE));
    }

    private static double db(double power) {
        return 10 * Math.log10(power + 1e-30);
    }

    private static double power(double[] x, int a, int b) {
        double sum = 0;
        for (int i = a; i < b; i++) {
            sum += x[i] * x[i];
        }
        return sum / Math.max(1, b - a);
    }

    /** Milliseconds until its level over 8 ms is 0.7 of the highest in its first 0.3 s. */
    double attackMs() {
        int window = (int) (0.008 * RATE);
        int hop = (int) (0.001 * RATE);
        int n = 300;
        double[] level = new double[n];
        for (int i = 0; i < n; i++) {
            int a = from + i * hop;
            level[i] = Math.sqrt(power(x, a, Math.min(x.length, a + window)));
        }
        double most = Arrays.stream(level).max().orElse(0);
        int i = 0;
        while (level[i] < 0.7 * most) {
            i++;
        }
        return i;
    }

    /** Peak over level of the first 50 ms, in dB. */
    double crestDb() {
        double most = 0;
        for (int i = from; i < at(0.05); i++) {
            most = Math.max(most, Math.abs(x[i]));
        }
        return 20 * Math.log10(most) - db(power(x, from, at(0.05)));
    }

    /** Level in dB of a stretch. */
    double levelDb(double a, double b) {
        return db(power(x, at(a), at(b)));
    }

    /** Level in dB at a time, against that of 50 to 150 ms. */
    double laterDb(double seconds) {
        return levelDb(seconds, seconds + LEVEL_SECONDS) - levelDb(0.05, 0.15);
    }

    /** The first 20 ms above 2.8 kHz, against 100 to 200 ms, in dB. */
    double burstDb() {
        double[] y = filtered(Biquad.highpass(RATE, 2800, 0.54), Biquad.highpass(RATE, 2800, 1.31));
        return db(power(y, from, at(0.02))) - db(power(y, at(0.1), at(0.2)));
    }

    private double[] octave() {
        return filtered(
                Biquad.highpass(RATE, 2800, 0.54),
                Biquad.highpass(RATE, 2800, 1.31),
                Biquad.lowpass(RATE, 5600, 0.54),
                Biquad.lowpass(RATE, 5600, 1.31));
    }

    /** From 2.8 to 5.6 kHz in the first 100 ms, against the whole, in dB. */
    double highDb() {
        return db(power(octave(), from, at(0.1))) - levelDb(0, 0.1);
    }

    /** How fast 2.8 to 5.6 kHz falls in the half second after the first tenth, in dB a second. */
    double highFalls() {
        double[] y = octave();
        return (db(power(y, at(0.1), at(0.2))) - db(power(y, at(0.6), at(0.7)))) / 0.5;
    }

    private double[] filtered(Biquad... filters) {
        double[] y = x.clone();
        for (Biquad f : filters) {
            for (int i = 0; i < y.length; i++) {
                y[i] = f.next(y[i]);
            }
        }
        return y;
    }

    private double[] spectrum(double seconds, int size) {
        double[] s = new double[size];
        for (int i = 0; i < size; i++) {
            double t = 2 * Math.PI * i / size;
            // Blackman-Harris, 92 dB down beside its peak (F. Harris, Proc. IEEE 66, 1978).
            double w =
                    0.35875
                            - 0.48829 * Math.cos(t)
                            + 0.14128 * Math.cos(2 * t)
                            - 0.01168 * Math.cos(3 * t);
            int at = at(seconds) + i;
            s[i] = at < x.length ? w * x[at] : 0;
        }
        new DoubleFFT_1D(size).realForward(s);
        double[] power = new double[size / 2];
        for (int k = 1; k < power.length; k++) {
            power[k] = s[2 * k] * s[2 * k] + s[2 * k + 1] * s[2 * k + 1];
        }
        return power;
    }

    /** Centre of the magnitudes up to 8 kHz, in kHz. */
    double centroidKhz(double seconds) {
        int size = 4096;
        double[] p = spectrum(seconds, size);
        double sum = 0;
        double moment = 0;
        for (int k = 1; k < 8000 * size / RATE; k++) {
            sum += Math.sqrt(p[k]);
            moment += Math.sqrt(p[k]) * k * RATE / size;
        }
        return moment / sum / 1000;
    }

    /** What lies between the partials from 60 Hz to 2 kHz, against all of it, in dB. */
    double betweenPartialsDb(double hz) {
        int size = 65_536;
        double[] p = spectrum(0.4, size);
        double all = 0;
        double between = 0;
        for (int k = (int) (60 * size / RATE); k < 2000 * size / RATE; k++) {
            double n = k * RATE / size / hz;
            all += p[k];
            between += Math.abs(n - Math.round(n)) > 0.25 ? p[k] : 0;
        }
        return db(between) - db(all);
    }

    /** Cents by which the first 100 ms lie over 0.4 s later, by the strongest partial of 1 to 6. */
    double sharpCents(double hz) {
        double[] later = spectrum(0.4, 8192);
        int n = 1;
        for (int k = 2; k <= 6; k++) {
            n = peak(later, k * hz, 8192) > peak(later, n * hz, 8192) ? k : n;
        }
        double early = frequency(0.01, n * hz);
        double late = frequency(0.4, n * hz);
        return 1200 * Math.log(early / late) / Math.log(2);
    }

    private static double peak(double[] p, double hz, int size) {
        int k = (int) Math.round(hz * size / RATE);
        return p[k - 1] + p[k] + p[k + 1];
    }

    /** The mean frequency of a partial over 90 ms, by its phase. */
    private double frequency(double seconds, double hz) {
        int n = (int) (0.045 * RATE);
        double first = phase(at(seconds), n, hz);
        double second = phase(at(seconds) + n, n, hz);
        double off = Math.IEEEremainder(second - first - 2 * Math.PI * hz * n / RATE, 2 * Math.PI);
        return hz + off * RATE / (2 * Math.PI * n);
    }

    private double phase(int start, int n, double hz) {
        double re = 0;
        double im = 0;
        for (int i = 0; i < n; i++) {
            double w = 0.5 - 0.5 * Math.cos(2 * Math.PI * i / n);
            double a = 2 * Math.PI * hz * i / RATE;
            double v = start + i < x.length ? w * x[start + i] : 0;
            re += v * Math.cos(a);
            im -= v * Math.sin(a);
        }
        return Math.atan2(im, re);
    }

    /** Share of its first 120 ms that lies within a third of an octave about its strongest line. */
    double inOneLine() {
        int size = 8192;
        double[] p = spectrum(0, size);
        int top = 1;
        double all = 0;
        for (int k = 1; k < p.length; k++) {
            top = p[k] > p[top] ? k : top;
            all += p[k];
        }
        double near = 0;
        for (int k = (int) (top / 1.122); k <= top * 1.122; k++) {
            near += p[k];
        }
        return near / all;
    }

    /** A band about a frequency, a third of an octave wide, against the whole, in dB. */
    double bandDb(double hz) {
        double edge = Math.pow(2, 1.0 / 6);
        double[] y =
                filtered(
                        Biquad.highpass(RATE, hz / edge, 0.54),
                        Biquad.highpass(RATE, hz / edge, 1.31),
                        Biquad.lowpass(RATE, hz * edge, 0.54),
                        Biquad.lowpass(RATE, hz * edge, 1.31));
        return db(power(y, from, y.length)) - db(power(x, from, x.length));
    }
}
