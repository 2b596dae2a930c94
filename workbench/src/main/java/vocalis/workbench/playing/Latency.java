package vocalis.workbench.playing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How late what is played comes in: clicks that went out beside the strokes that were heard,
 * through a cable, a loudspeaker or a hand that taps along. Most clicks must have a stroke at the
 * same distance, or nothing is said.
 */
public final class Latency {

    private static final double EARLIEST = -0.08;
    private static final double LATEST = 0.45;
    private static final double TOGETHER = 0.03;
    private static final double MOST_OF_THEM = 0.6;

    private Latency() {}

    /**
     * What was found.
     *
     * @param seconds the middle of all distances
     * @param spreadMs how far they lie from it, root of the mean square
     */
    public record Delay(double seconds, double spreadMs) {}

    /**
     * The distance that most clicks have to a stroke; empty where there is none.
     *
     * @param onsets heard, in seconds
     * @param clicks sent out, in seconds of the same clock
     */
    public static Optional<Delay> of(List<Double> onsets, List<Double> clicks) {
        List<Double> best = List.of();
        for (double o : onsets) {
            for (double c : clicks) {
                double distance = o - c;
                if (distance >= EARLIEST && distance <= LATEST) {
                    List<Double> those = at(distance, onsets, clicks);
                    best = those.size() > best.size() ? those : best;
                }
            }
        }
        if (clicks.isEmpty() || best.size() < MOST_OF_THEM * clicks.size()) {
            return Optional.empty();
        }
        List<Double> sorted = best.stream().sorted().toList();
        double middle = sorted.get(sorted.size() / 2);
        double sum = 0;
        for (double d : sorted) {
            sum += (d - middle) * (d - middle) / sorted.size();
        }
        return Optional.of(new Delay(middle, 1000 * Math.sqrt(sum)));
    }

    private static List<Double> at(double distance, List<Double> onsets, List<Double> clicks) {
        List<Double> all = new ArrayList<>();
        for (double c : clicks) {
            double nearest = Double.NaN;
            for (double o : onsets) {
                double off = Math.abs(o - c - distance);
                boolean nearer = Double.isNaN(nearest) || off < Math.abs(nearest - c - distance);
                nearest = off < TOGETHER && nearer ? o : nearest;
            }
            if (!Double.isNaN(nearest)) {
                all.add(nearest - c);
            }
        }
        return all;
    }
}
