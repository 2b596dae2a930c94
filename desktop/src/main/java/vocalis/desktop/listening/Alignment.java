package vocalis.desktop.listening;

import java.util.Arrays;

/**
 * When what is played comes in: the middle of many readings of both clocks at the same moment. Each
 * reading is uncertain by a block of either side, about 10 ms; a hundred of them by one.
 */
final class Alignment {

    private static final int MOST = 600;

    private final double[] differences = new double[MOST];
    private int count;

    /**
     * Takes a reading.
     *
     * @param played seconds since the player began
     * @param heard seconds since the input was opened
     */
    void add(double played, double heard) {
        differences[count++ % MOST] = heard - played;
    }

    /** The input's time of a moment of the player. */
    double heard(double played) {
        int n = Math.min(count, MOST);
        double[] sorted = Arrays.copyOf(differences, n);
        Arrays.sort(sorted);
        return played + (n == 0 ? 0 : sorted[n / 2]);
    }

    void clear() {
        count = 0;
    }
}
