package vocalis.sound.gain;

import java.util.List;

/**
 * Where a ghost comes from and where it would lie if the interval were just: {@code |a·fi − b·fj|}
 * or {@code a·fi + b·fj} of the fundamentals of two strings.
 *
 * @param upper index of the upper string's note among the sounding ones
 * @param lower index of the lower string's note
 * @param a multiple of the upper fundamental; negative when it is taken from the lower's
 * @param b multiple of the lower fundamental; negative when it is taken from the upper's
 * @param ratioUpper numerator of the just interval between the two notes, such as 5 of 5:4
 * @param ratioLower denominator
 * @param justHz where it would lie over the lower note if the interval were just
 * @param cents how far the ghost lies above that place
 */
public record Relation(
        int upper,
        int lower,
        int a,
        int b,
        int ratioUpper,
        int ratioLower,
        double justHz,
        double cents) {

    private static final int MOST_MULTIPLE = 6;
    private static final double NEAR_CENTS = 14;
    private static final double LEAST_HZ = 1.5;

    /** Just intervals by semitones within an octave: the simplest ratios in common use. */
    private static final int[][] JUST = {
        {1, 1}, {16, 15}, {9, 8}, {6, 5}, {5, 4}, {4, 3}, {7, 5}, {3, 2}, {8, 5}, {5, 3}, {9, 5},
        {15, 8}
    };

    /** The ratio of the just interval nearest to two fundamentals, such as {@code {5, 4}}. */
    public static int[] just(double upperHz, double lowerHz) {
        int semitones = (int) Math.round(12 * Math.log(upperHz / lowerHz) / Math.log(2));
        int[] within = JUST[Math.floorMod(semitones, 12)];
        int up = within[0];
        int down = within[1];
        for (int octave = Math.floorDiv(semitones, 12); octave > 0; octave--) {
            if (down % 2 == 0) {
                down /= 2;
            } else {
                up *= 2;
            }
        }
        return new int[] {up, down};
    }

    /**
     * The simplest combination of two fundamentals at a frequency, or null when there is none of up
     * to {@value #MOST_MULTIPLE} times each.
     *
     * @param fundamentals of the sounding strings, in any order
     */
    static Relation of(double hz, List<Double> fundamentals) {
        Relation best = null;
        double least = Double.MAX_VALUE;
        for (int i = 0; i < fundamentals.size(); i++) {
            for (int j = 0; j < fundamentals.size(); j++) {
                double up = fundamentals.get(i);
                double down = fundamentals.get(j);
                if (up <= down * 1.001) {
                    continue;
                }
                for (int a = -MOST_MULTIPLE; a <= MOST_MULTIPLE; a++) {
                    for (int b = -MOST_MULTIPLE; b <= MOST_MULTIPLE; b++) {
                        double at = a * up + b * down;
                        int order = Math.abs(a) + Math.abs(b);
                        if (a == 0 || b == 0 || at <= 0) {
                            continue;
                        }
                        double off = Math.abs(1200 * Math.log(hz / at) / Math.log(2));
                        boolean near = off < NEAR_CENTS || Math.abs(hz - at) < LEAST_HZ;
                        double cost = order + off / 50 + Math.log(up / down) / 2;
                        if (near && cost < least) {
                            least = cost;
                            best = between(i, j, a, b, up, down, at);
                        }
                    }
                }
            }
        }
        return best;
    }

    private static Relation between(int i, int j, int a, int b, double up, double down, double at) {
        int[] ratio = just(up, down);
        double just = down * Math.abs((double) a * ratio[0] + (double) b * ratio[1]) / ratio[1];
        double cents = just == 0 ? 0 : 1200 * Math.log(at / just) / Math.log(2);
        return new Relation(i, j, a, b, ratio[0], ratio[1], just, cents);
    }

    /** Such as {@code f2 − f1} or {@code 2f1 − f2}, f1 the lower note. */
    public String formula() {
        String up = (Math.abs(a) == 1 ? "" : Math.abs(a)) + "f2";
        String low = (Math.abs(b) == 1 ? "" : Math.abs(b)) + "f1";
        if (a > 0 && b > 0) {
            return up + " + " + low;
        }
        return a > 0 ? up + " − " + low : low + " − " + up;
    }
}
