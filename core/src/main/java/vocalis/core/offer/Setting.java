package vocalis.core.offer;

import vocalis.core.voicing.Family;

/** What a rule was set to. */
public sealed interface Setting {

    /**
     * A pedal.
     *
     * @param string string index, 0 is the lowest
     * @param grid ticks from stroke to stroke
     * @param group strokes from accent to accent
     * @param family of the dyads
     */
    record Pedal(int string, long grid, int group, Family family) implements Setting {}

    /** How much of the riff stays, in hundredths. */
    record Kept(int hundredths) implements Setting {}

    /** A way to stop. */
    enum Stop implements Setting {
        SHORT,
        HALF_TIME,
        UNISON,
        LONGER
    }

    /**
     * A group over the bar lines.
     *
     * @param eighths that it lasts
     * @param bars after which it is set right
     */
    record Group(int eighths, int bars) implements Setting {}

    /** Every so many bars; 0 for the last alone. */
    record EveryBars(int bars) implements Setting {}

    /** Semitones from the root: −1 below, 1 above. */
    record Semitone(int from) implements Setting {}

    /**
     * What single notes become.
     *
     * @param family of the dyads
     * @param accents whether only accented notes do
     */
    record Thick(Family family, boolean accents) implements Setting {}
}
