package vocalis.sound.gain;

import java.util.List;
import java.util.OptionalDouble;

/**
 * What an amplifier makes of a voicing.
 *
 * @param fundamentals of the sounding strings in Hz, lowest string first
 * @param ghosts loudest first
 * @param roughClean roughness of what the strings put in, relative units
 * @param roughGain roughness of what comes out, levels scaled to the strongest line
 * @param mud share of the roughness that lies below {@link GainAnalysis#MUD_HZ}, 0 to 1
 * @param biteHz spectral centroid in Hz
 * @param beatsHz slowest beats between strong lines in Hz; empty when none is slower than 25 Hz
 * @param commonHz common fundamental of the notes in Hz; empty when they have none within seven
 *     octaves of simple multiples
 */
public record GainReading(
        List<Double> fundamentals,
        List<Ghost> ghosts,
        double roughClean,
        double roughGain,
        double mud,
        double biteHz,
        OptionalDouble beatsHz,
        OptionalDouble commonHz) {

    public GainReading {
        fundamentals = List.copyOf(fundamentals);
        ghosts = List.copyOf(ghosts);
    }

    /** How much rougher it is under gain than another voicing, the plain power chord. */
    public double growl(GainReading plain) {
        return plain.roughGain == 0 ? 1 : roughGain / plain.roughGain;
    }
}
