package vocalis.workbench.playedin;

import java.util.Arrays;
import java.util.List;

/** Where the first bar of what was played to a click begins, whose delay may not be known. */
final class Beginning {

    /** Triplets lie so much closer together than sixteenths where they are played. */
    private static final double CLOSER = 0.2;

    /** So many strokes between the eighths, of all, are a delay; of few it is not told. */
    private static final double MOSTLY = 0.8;

    private static final int FEW = 4;

    private Beginning() {}

    /**
     * The beginning of the bar as the strokes have it, which may all be late by the same: on
     * sixteenths, or on triplets where they lie closer together on these.
     */
    static double of(List<Double> times, double one, double quarter) {
        double[] straight = phase(times, one, quarter / Draft.SIXTEENTHS);
        double[] triplets = phase(times, one, quarter / Draft.TRIPLETS);
        return one + (triplets[1] > straight[1] + CLOSER ? triplets[0] : straight[0]);
    }

    /** How far strokes lie behind a grid, in seconds, and how close together they do, 0 to 1. */
    private static double[] phase(List<Double> times, double one, double step) {
        double x = 0;
        double y = 0;
        for (double t : times) {
            double turn = 2 * Math.PI * (t - one) / step;
            x += Math.cos(turn);
            y += Math.sin(turn);
        }
        return new double[] {
            step * Math.atan2(y, x) / (2 * Math.PI), Math.hypot(x, y) / times.size()
        };
    }

    /**
     * How much of the delay was taken for rhythm, in seconds: nobody plays between the eighths
     * throughout. A sixteenth or none; the way that puts more strokes on the beat.
     */
    static double delay(List<Double> times, double begins, double quarter) {
        double step = quarter / Draft.SIXTEENTHS;
        long[] at = times.stream().mapToLong(t -> Math.round((t - begins) / step)).toArray();
        long between = Arrays.stream(at).filter(i -> i % 2 != 0).count();
        if (at.length < FEW || between < MOSTLY * at.length) {
            return 0;
        }
        return onBeats(at, 1) >= onBeats(at, -1) ? step : -step;
    }

    /** How many strokes lie on a beat if all came late by so many sixteenths; the first counts. */
    private static long onBeats(long[] at, int late) {
        long on = Arrays.stream(at).filter(i -> (i - late) % Draft.SIXTEENTHS == 0).count();
        return 2 * on + ((at[0] - late) % Draft.SIXTEENTHS == 0 ? 1 : 0);
    }
}
