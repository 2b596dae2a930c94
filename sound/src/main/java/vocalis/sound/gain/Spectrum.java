package vocalis.sound.gain;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * Lines of a sound: a Hann-windowed FFT, its local maxima, each refined by a parabola through the
 * logarithms of three bins (J. Smith and X. Serra, "PARSHL", ICMC 1987). Frequencies of steady
 * lines more than four bins apart are exact to about a twentieth of a bin.
 */
public final class Spectrum {

    private Spectrum() {}

    /** Hann-windowed FFT: real and imaginary parts in turn, as JTransforms gives them. */
    public static double[] transform(double[] x, int from, int size) {
        double[] buffer = Arrays.copyOfRange(x, from, from + size);
        HannTransform.of(size).transform(buffer);
        return buffer;
    }

    /**
     * The lines of a stretch of sound, lowest first.
     *
     * @param size frames, a power of two
     * @param floorDb lines further under the strongest are left out
     */
    public static List<Line> lines(
            double[] x, int from, int size, double sampleRate, double floorDb) {
        double[] fft = transform(x, from, size);
        int bins = size / 2;
        double[] magnitude = new double[bins];
        double strongest = 0;
        for (int k = 1; k < bins; k++) {
            double re = fft[2 * k];
            double im = fft[2 * k + 1];
            magnitude[k] = 4 * Math.sqrt(re * re + im * im) / size;
            strongest = Math.max(strongest, magnitude[k]);
        }
        double floor = strongest * Math.pow(10, floorDb / 20);
        List<Line> lines = new ArrayList<>();
        for (int k = 8; k < bins - 1; k++) {
            boolean top = magnitude[k] > magnitude[k - 1] && magnitude[k] >= magnitude[k + 1];
            if (top && magnitude[k] > floor) {
                double a = Math.log(magnitude[k - 1] + 1e-30);
                double b = Math.log(magnitude[k]);
                double c = Math.log(magnitude[k + 1] + 1e-30);
                double off = 0.5 * (a - c) / (a - 2 * b + c);
                double height = Math.exp(b - 0.25 * (a - c) * off);
                lines.add(new Line((k + off) * sampleRate / size, height));
            }
        }
        return lines;
    }

    /**
     * Lines closer than some cents to a stronger one added to it in power, at the stronger one's
     * frequency; lowest first.
     */
    static List<Line> merged(List<Line> lines, double cents) {
        return merged(lines, cents, 0);
    }

    /** The same where lines are one that lie within so many cents or so many hertz. */
    static List<Line> merged(List<Line> lines, double cents, double hz) {
        List<Line> byLevel = new ArrayList<>(lines);
        byLevel.sort(Comparator.comparingDouble(Line::amplitude).reversed());
        List<Line> out = new ArrayList<>();
        while (!byLevel.isEmpty()) {
            Line top = byLevel.get(0);
            double power = 0;
            for (Line l : byLevel) {
                power += close(l, top, cents, hz) ? l.amplitude() * l.amplitude() : 0;
            }
            byLevel.removeIf(l -> close(l, top, cents, hz));
            out.add(new Line(top.hz(), Math.sqrt(power)));
        }
        out.sort(Comparator.comparingDouble(Line::hz));
        return out;
    }

    private static boolean close(Line a, Line b, double cents, double hz) {
        return Math.abs(a.hz() - b.hz()) < hz
                || Math.abs(Math.log(a.hz() / b.hz())) < cents * Math.log(2) / 1200;
    }
}
