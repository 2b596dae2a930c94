package vocalis.core.revoice;

/** What a row of the revoicing is after. */
public enum Intent {
    /** The highest note moves by steps. */
    SMOOTH_TOP,
    /** The highest note climbs from chord to chord. */
    RISING_TOP,
    /** The highest note falls from chord to chord. */
    FALLING_TOP,
    /** One note sounds in every chord. */
    HELD_NOTE,
    /** Tension grows up to the seam. */
    RISING_TENSION,
    /** The hand has the least to do. */
    LEAST_HAND,
    /** One shape on the same strings, the root lowest, few voices. */
    TIGHT,
    /** The lowest note moves by steps from chord to chord. */
    MOVING_BASS,
    /** The highest note goes up where the lowest goes down, and the other way round. */
    CONTRARY_MOTION,
    /** Little for the amplifier to grind: few and even intervals. */
    LEANEST,
    /** Low, with the dark degrees. */
    DARKEST,
    /** High, with the bright ones and open strings. */
    BRIGHTEST,
    /** Something by chance, the same for the same seed. */
    SURPRISE
}
