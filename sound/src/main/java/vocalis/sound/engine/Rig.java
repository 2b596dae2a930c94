package vocalis.sound.engine;

import java.util.Objects;
import vocalis.sound.amp.AmpSettings;

/**
 * One guitar with its amplifier and its place in the picture.
 *
 * @param bank patches of its strings
 * @param amp amplifier setting
 * @param pan −1 (left) to 1 (right), equal power
 * @param gain linear, 0 to 4
 * @param feedback whether held notes come back into the strings where the tone has the gain for it
 */
public record Rig(StringBank bank, AmpSettings amp, double pan, double gain, boolean feedback) {

    /** Without feedback. */
    public Rig(StringBank bank, AmpSettings amp, double pan, double gain) {
        this(bank, amp, pan, gain, false);
    }

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

    Rig silent() {
        return new Rig(bank, amp, pan, 0, feedback);
    }
}
