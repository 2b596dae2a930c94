package vocalis.sound.dsp;

import java.util.Arrays;

/**
 * Doubles or halves the sample rate with a Kaiser-windowed half-band FIR of 47 taps in its two
 * phases: flat to 0.2 and over 90 dB down from 0.3 of the higher rate. One direction per object;
 * one thread; no allocation.
 */
final class Halfband {

    private static final double KAISER_BETA = 9;

    private final int side;
    private final double[] odd;
    private final double[] history;
    private final double[] centre;
    private int at;
    private int centreAt;

    /**
     * @param side taps of the odd phase on each side of the middle
     */
    Halfband(int side) {
        this.side = side;
        odd = new double[2 * side];
        history = new double[4 * side];
        centre = new double[side + 1];
        double sum = 0;
        for (int i = 0; i < 2 * side; i++) {
            double k = 2 * (i - side) + 1;
            double window =
                    bessel(KAISER_BETA * Math.sqrt(1 - Math.pow(k / (2 * side), 2)))
                            / bessel(KAISER_BETA);
            odd[i] = Math.sin(Math.PI * k / 2) / (Math.PI * k) * window;
            sum += odd[i];
        }
        for (int i = 0; i < odd.length; i++) {
            odd[i] *= 0.5 / sum;
        }
    }

    /** Modified Bessel function of the first kind and order 0, for Kaiser windows. */
    static double bessel(double x) {
        double sum = 1;
        double term = 1;
        for (int k = 1; k < 40; k++) {
            term *= x / (2 * k) * (x / (2 * k));
            sum += term;
        }
        return sum;
    }

    private double filterOdd(double x) {
        history[at] = x;
        history[at + 2 * side] = x;
        at = at == 0 ? 2 * side - 1 : at - 1;
        double y = 0;
        for (int i = 0; i < 2 * side; i++) {
            y += odd[i] * history[at + 1 + i];
        }
        return y;
    }

    private double delayed(double x, int by) {
        centre[centreAt] = x;
        int read = centreAt - by;
        double y = centre[read < 0 ? read + centre.length : read];
        centreAt = centreAt + 1 == centre.length ? 0 : centreAt + 1;
        return y;
    }

    /** One frame in, two out, at {@code out[to]} and {@code out[to + 1]}. */
    void up(double x, double[] out, int to) {
        out[to] = 2 * filterOdd(x);
        out[to + 1] = delayed(x, side - 1);
    }

    /** Two frames in, one out. */
    double down(double first, double second) {
        return filterOdd(second) + 0.5 * delayed(first, side - 1);
    }

    void reset() {
        Arrays.fill(history, 0);
        Arrays.fill(centre, 0);
    }
}
