package vocalis.core.hands;

import java.util.List;
import vocalis.core.instrument.Fretboard;

/**
 * A player's fretting hand.
 *
 * @param name as it is shown
 * @param comfortMm reach from index to little finger along the neck that stays comfortable, 50 to
 *     180 mm
 */
public record Hand(String name, double comfortMm) {

    /** How far past comfort the limit lies: a fifth (common practice, from memory). */
    public static final double LIMIT_OVER_COMFORT = 1.2;

    /** Comfortable reaches from memory, adjustable. */
    public static final Hand SMALL = new Hand("small", 85);

    public static final Hand MEDIUM = new Hand("medium", 100);
    public static final Hand LARGE = new Hand("large", 115);

    public Hand {
        if (name.isBlank()) {
            throw new IllegalArgumentException("a hand needs a name");
        }
        if (!(comfortMm >= 50 && comfortMm <= 180)) {
            throw new IllegalArgumentException(
                    "a comfortable reach lies between 50 and 180 mm, but this one is " + comfortMm);
        }
    }

    /** The hands that are offered. */
    public static List<Hand> offered() {
        return List.of(SMALL, MEDIUM, LARGE);
    }

    /** Farthest reach in mm. */
    public double limitMm() {
        return comfortMm * LIMIT_OVER_COMFORT;
    }

    /**
     * How far a fingertip, 10 to 15 mm wide, lies from the fret wire that it presses against, or
     * behind it: what a stretch gains, in mm (from memory).
     */
    private static final double FINGERTIP_MM = 5;

    /** Shares of the farthest reach that two fingers have, index to little (from memory). */
    private static final double[][] SHARES = {
        {0, 0.6, 0.85, 1}, {0.6, 0, 0.5, 0.8}, {0.85, 0.5, 0, 0.55}, {1, 0.8, 0.55, 0}
    };

    /**
     * Farthest that two fingers lie apart along the neck, in mm.
     *
     * @param a finger 1 (index) to 4 (little finger)
     * @param b another
     */
    public double limitMm(int a, int b) {
        return limitMm() * SHARES[a - 1][b - 1] + FINGERTIP_MM;
    }

    /** Whether frets from {@code low} to {@code high} can be held at once. */
    public boolean withinReach(Fretboard board, int low, int high) {
        return board.spanMm(low, high) <= limitMm(1, 4);
    }
}
