package vocalis.sound.guitar;

import java.util.Objects;

/**
 * How the strings are struck and heard.
 *
 * @param pickup which pickup
 * @param pickAt where the pick strikes, as a share of the open string from the bridge, 0.04 to 0.5
 * @param hardness 0 (a thumb) to 1 (a stiff pick); 0.5 is a usual pick
 * @param thickness of the strings against a usual set's, 0.7 to 1.4
 */
public record Guitar(Pickup pickup, double pickAt, double hardness, double thickness) {

    /** With usual strings. */
    public Guitar(Pickup pickup, double pickAt, double hardness) {
        this(pickup, pickAt, hardness, 1);
    }

    /** The bridge pickup and a usual pick between the pickups. */
    public static final Guitar USUAL = new Guitar(Pickup.BRIDGE, 0.155, 0.5);

    public Guitar {
        Objects.requireNonNull(pickup, "pickup");
        if (!(pickAt >= 0.04 && pickAt <= 0.5)) {
            throw new IllegalArgumentException(
                    "the pick strikes at 0.04 to 0.5 of the string, not at " + pickAt);
        }
        if (!(thickness >= 0.7 && thickness <= 1.4)) {
            throw new IllegalArgumentException(
                    "strings are 0.7 to 1.4 times as thick as usual, not " + thickness);
        }
        if (!(hardness >= 0 && hardness <= 1)) {
            throw new IllegalArgumentException("hardness lies from 0 to 1, not at " + hardness);
        }
    }
}
