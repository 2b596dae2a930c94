package vocalis.core.hands;

import java.util.List;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.Playability;

/**
 * A player's fretting hand.
 *
 * @param name as it is shown
 * @param comfortMm reach from index to little finger along the neck that stays comfortable, 50 to
 *     180 mm
 */
public record Hand(String name, double comfortMm) implements Playability {

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

    @Override
    public boolean withinReach(Fretboard board, int low, int high) {
        return board.spanMm(low, high) <= limitMm();
    }

    @Override
    public boolean playable(Fretboard board, Shape shape) {
        return Fingering.of(board, shape, this).isPresent();
    }
}
