package vocalis.sound.gain;

/**
 * Lines that gain adds and that are no note: partials far up, which stiffness has moved, mix with
 * one another and come out beside the chord's own notes.
 *
 * @param lines how many of the loudest that are told, 1 or more
 * @param db level of the loudest under the strongest line after the cabinet, in dB (negative)
 */
public record Mixture(int lines, double db) {}
