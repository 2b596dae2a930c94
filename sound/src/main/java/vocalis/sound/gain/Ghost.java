package vocalis.sound.gain;

import java.util.Optional;

/**
 * A line that gain adds: no partial of any sounding string.
 *
 * @param hz frequency in Hz
 * @param db level under the strongest line after the cabinet, in dB (negative)
 * @param midi nearest note
 * @param cents how far it lies above that note, -50 to 50
 * @param relation where it comes from; empty when it is no simple combination
 */
public record Ghost(double hz, double db, int midi, double cents, Optional<Relation> relation) {}
