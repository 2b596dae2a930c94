package vocalis.workbench.playedin;

import java.util.List;

/**
 * Finds the tempo of strokes: the one whose quarters, eighths and sixteenths they fall on best,
 * among those that are usual (common practice; weights set by hand).
 */
final class TempoFinder {

    private static final double SLOWEST = 60;
    private static final double FASTEST = 200;
    private static final double STEP = 0.25;
    private static final double USUAL = 110;

    /** How much less a tempo counts that is twice or half the usual one, as a spread of octaves. */
    private static final double SPREAD = 0.7;

    private TempoFinder() {}

    /**
     * Quarter notes a minute.
     *
     * @param seconds onsets by time, two at least
     */
    static double of(List<Double> seconds) {
        double best = USUAL;
        double most = Double.NEGATIVE_INFINITY;
        for (double tempo = SLOWEST; tempo <= FASTEST; tempo += STEP) {
            double quarter = 60 / tempo;
            double fits =
                    0.25 * on(seconds, quarter)
                            + on(seconds, quarter / 2)
                            + 0.4 * on(seconds, quarter / 4);
            double off = Math.log(tempo / USUAL) / Math.log(2) / SPREAD;
            double score = fits * Math.exp(-0.5 * off * off);
            if (score > most) {
                most = score;
                best = tempo;
            }
        }
        return best;
    }

    /** From -1 to 1: how well onsets fall on the steps of a grid that begins with the first. */
    private static double on(List<Double> seconds, double step) {
        double sum = 0;
        for (double s : seconds) {
            sum += Math.cos(2 * Math.PI * (s - seconds.get(0)) / step);
        }
        return sum / seconds.size();
    }
}
