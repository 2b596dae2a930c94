package vocalis.sound.engine;

import java.util.Objects;
import vocalis.sound.dsp.AmpSettings;

/**
 * One guitar with its amplifier and its place in the picture.
 *
 * @param bank patches of its strings
 * @param amp amplifier setting
 * @param pan −1 (left) to 1 (right), equal power
 * @param gain linear, 0 to 4
 */
public record Rig(StringBank bank, AmpSettings amp, double pan, double gain) {

    public Rig {
        Objects.requireNonNull(bank, "bank");
        Objects.requireNonNull(amp, "amp");
        if (!(pan >= -1 && pan <= 1)) {
            throw new IllegalArgumentException("pan lies from -1 to 1, not at " + pan);
        }
        if (!(gain >= 0 && gain <= 4)) {
            throw new IllegalArgumentException("gain lies from 0 to 4, not at " + gain);
        }
    }
}
