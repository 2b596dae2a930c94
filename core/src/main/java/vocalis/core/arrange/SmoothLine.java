package vocalis.core.arrange;

import java.util.List;

/** The shortest way of single notes through choices of pitches, by dynamic programming. */
final class SmoothLine {

    private static final double LEAP = 3;

    private SmoothLine() {}

    /** What a pitch costs in its place, whatever is beside it. */
    interface Own {
        double of(int place, int midi);
    }

    /**
     * One note of each choice, so that the way through them is shortest: steps cost half their
     * semitones, leaps more.
     *
     * @param still what standing still costs
     */
    static int[] through(List<int[]> choices, Own own, double still) {
        int n = choices.size();
        double[][] best = new double[n][];
        int[][] from = new int[n][];
        for (int i = 0; i < n; i++) {
            best[i] = new double[choices.get(i).length];
            from[i] = new int[choices.get(i).length];
            for (int c = 0; c < best[i].length; c++) {
                int midi = choices.get(i)[c];
                double alone = own.of(i, midi);
                best[i][c] = i == 0 ? alone : Double.MAX_VALUE;
                for (int b = 0; i > 0 && b < best[i - 1].length; b++) {
                    double way = best[i - 1][b] + alone + step(midi - choices.get(i - 1)[b], still);
                    if (way < best[i][c]) {
                        best[i][c] = way;
                        from[i][c] = b;
                    }
                }
            }
        }
        int at = 0;
        for (int c = 0; c < best[n - 1].length; c++) {
            at = best[n - 1][c] < best[n - 1][at] ? c : at;
        }
        int[] notes = new int[n];
        for (int i = n - 1; i >= 0; i--) {
            notes[i] = choices.get(i)[at];
            at = from[i][at];
        }
        return notes;
    }

    private static double step(int semitones, double still) {
        int apart = Math.abs(semitones);
        return apart == 0 ? still : apart <= 4 ? apart / 2.0 : apart * LEAP / 2;
    }
}
