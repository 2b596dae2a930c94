package vocalis.sound.gain;

/**
 * A note that gain adds: no partial of any sounding string, but a simple combination of two.
 *
 * @param hz frequency in Hz
 * @param db level under the strongest line after the cabinet, in dB (negative)
 * @param midi nearest note
 * @param cents how far it lies above that note, -50 to 50
 * @param relation where it comes from
 */
public record Ghost(double hz, double db, int midi, double cents, Relation relation) {}
