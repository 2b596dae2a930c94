package vocalis.workbench.listening;

import java.util.Random;
import java.util.function.UnaryOperator;
import vocalis.sound.listen.Take;

/** What happens to a take between the strings and the file, done outside the engine. */
enum Altered {
    AS_IT_IS(x -> x),
    NOISE(x -> noise(x, 30)),
    HUM(Altered::hum),
    SEVEN_CENTS_HIGH(x -> resampled(x, Math.pow(2, 7 / 1200.0))),
    ROOM(Altered::room),
    PHONE(Altered::phone),
    AT_44100(x -> resampled(x, 48_000 / 44_100.0));

    private static final double RATE = 48_000;
    private final UnaryOperator<double[]> how;

    Altered(UnaryOperator<double[]> how) {
        this.how = how;
    }

    Take of(double[] samples) {
        return new Take(how.apply(samples), this == AT_44100 ? 44_100 : RATE);
    }

    private static double rms(double[] x) {
        double sum = 0;
        for (double v : x) {
            sum += v * v;
        }
        return Math.sqrt(sum / x.length);
    }

    /** White noise so many decibels under the sound. */
    private static double[] noise(double[] x, double db) {
        Random random = new Random(1);
        double level = rms(x) * Math.pow(10, -db / 20);
        double[] y = x.clone();
        for (int i = 0; i < y.length; i++) {
            y[i] += level * random.nextGaussian();
        }
        return y;
    }

    /** Mains at 50 Hz and its third, 30 dB under the sound. */
    private static double[] hum(double[] x) {
        double level = rms(x) * Math.pow(10, -30 / 20.0);
        double[] y = x.clone();
        for (int i = 0; i < y.length; i++) {
            double turn = 2 * Math.PI * 50 * i / RATE;
            y[i] += level * (Math.sin(turn) + 0.5 * Math.sin(3 * turn));
        }
        return y;
    }

    /** Faster by a factor, between samples in a straight line. */
    static double[] resampled(double[] x, double faster) {
        double[] y = new double[(int) (x.length / faster) - 2];
        for (int i = 0; i < y.length; i++) {
            double at = i * faster;
            int k = (int) at;
            y[i] = x[k] + (at - k) * (x[k + 1] - x[k]);
        }
        return y;
    }

    /** Sixty reflections over a third of a second. */
    private static double[] room(double[] x) {
        Random random = new Random(3);
        double[] y = x.clone();
        for (int tap = 0; tap < 60; tap++) {
            int late = (int) ((0.004 + 0.3 * random.nextDouble()) * RATE);
            double level = 0.12 * random.nextGaussian() * Math.exp(-10.0 * late / RATE);
            for (int i = late; i < y.length; i++) {
                y[i] += level * x[i - late];
            }
        }
        return y;
    }

    /** What a telephone lets through: 200 Hz to 6 kHz. */
    private static double[] phone(double[] x) {
        double[] y = x.clone();
        for (int pass = 0; pass < 2; pass++) {
            double keep = Math.exp(-2 * Math.PI * 200 / RATE);
            double take = 1 - Math.exp(-2 * Math.PI * 6000 / RATE);
            double before = 0;
            double high = 0;
            double low = 0;
            for (int i = 0; i < y.length; i++) {
                high = keep * (high + y[i] - before);
                before = y[i];
                low += take * (high - low);
                y[i] = low;
            }
        }
        return y;
    }
}
