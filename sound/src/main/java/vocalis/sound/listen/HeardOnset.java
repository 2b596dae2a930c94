package vocalis.sound.listen;

/**
 * Something struck.
 *
 * @param seconds from the beginning of the take
 * @param strength how much the sound changed, unitless; comparable within a take
 */
public record HeardOnset(double seconds, double strength) {}
