package vocalis.sound.engine;

import java.util.Arrays;

/**
 * One voicing to be heard by itself.
 *
 * @param frets per string, lowest first, -1 for silence
 * @param cents per string, how far it is drawn out of tune; empty for none
 * @param gain linear gain that brings it to the loudness of the others, 0 to 8
 * @param under power chord sounded with it on the second guitar, per string; empty for none
 */
public record Sample(int[] frets, double[] cents, double gain, int[] under) {

    /** Most strings of an instrument. */
    public static final int MOST_STRINGS = 9;

    public Sample {
        if (frets.length > MOST_STRINGS || under.length > MOST_STRINGS) {
            throw new IllegalArgumentException(
                    "at most " + MOST_STRINGS + " strings, not " + frets.length);
        }
        if (cents.length != 0 && cents.length != frets.length) {
            throw new IllegalArgumentException("cents for each string, or for none");
        }
        if (!(gain >= 0 && gain <= 8)) {
            throw new IllegalArgumentException("gain lies from 0 to 8, not at " + gain);
        }
        frets = frets.clone();
        cents = cents.clone();
        under = under.clone();
    }

    /** A shape as it is. */
    public static Sample of(int... frets) {
        return new Sample(frets, new double[0], 1, new int[0]);
    }

    /** Whether any string of it sounds; without, only the power chord does, over the loop. */
    boolean sounds() {
        for (int f : frets) {
            if (f >= 0) {
                return true;
            }
        }
        return false;
    }

    double centsOf(int string) {
        return cents.length == 0 ? 0 : cents[string];
    }

    @Override
    public String toString() {
        return Arrays.toString(frets) + " at " + gain;
    }
}
