package vocalis.sound.engine;

import java.util.Objects;
import vocalis.sound.dsp.AmpSettings;

/**
 * What the engine is set to; immutable, published by one write and read once per block.
 *
 * @param bank patches of the strings
 * @param amp amplifier setting
 * @param tempo quarter notes per minute, 20 to 400
 * @param volume linear gain before the limiter, 0 to 2
 */
public record Settings(StringBank bank, AmpSettings amp, double tempo, double volume) {

    /** The program starts quiet: 12 dB under full. */
    public static final double QUIET = 0.25;

    public Settings {
        Objects.requireNonNull(bank, "bank");
        Objects.requireNonNull(amp, "amp");
        if (!(tempo >= 20 && tempo <= 400)) {
            throw new IllegalArgumentException("the tempo lies between 20 and 400, not " + tempo);
        }
        if (!(volume >= 0 && volume <= 2)) {
            throw new IllegalArgumentException("the volume lies between 0 and 2, not " + volume);
        }
    }
}
