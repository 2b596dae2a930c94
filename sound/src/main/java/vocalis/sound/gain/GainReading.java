package vocalis.sound.gain;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What an amplifier makes of a voicing.
 *
 * @param fundamentals of the sounding strings in Hz, lowest string first
 * @param ghosts loudest first
 * @param mixture what gain adds besides, of the same number of loudest lines
 * @param roughClean roughness of what the strings put in, relative units
 * @param roughGain roughness of what comes out, levels scaled to the strongest line
 * @param mud roughness below {@link GainAnalysis#MUD_HZ}, in the same units: it falls as a chord
 *     rises
 * @param biteHz spectral centroid in Hz
 * @param beatsHz slowest beats between strong lines in Hz; empty when none is slower than 25 Hz
 * @param commonHz common fundamental of the notes in Hz; empty when they have none within seven
 *     octaves of simple multiples
 */
public record GainReading(
        List<Double> fundamentals,
        List<Ghost> ghosts,
        Optional<Mixture> mixture,
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

    /** The same with other roughness. */
    GainReading rubbing(double clean, double gain, double low) {
        return new GainReading(
                fundamentals, ghosts, mixture, clean, gain, low, biteHz, beatsHz, commonHz);
    }

    /**
     * How much rougher it is under gain than another voicing, the plain power chord in its
     * register. High up that one hardly rubs, and a ratio to nothing would say nothing: to both is
     * added what is just heard as rough.
     */
    public double growl(GainReading plain) {
        return (roughGain + JUST_ROUGH) / (plain.roughGain + JUST_ROUGH);
    }

    /** Set by comparing power chords along the neck. */
    private static final double JUST_ROUGH = 0.15;
}
