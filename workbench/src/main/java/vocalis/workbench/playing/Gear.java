package vocalis.workbench.playing;

import vocalis.core.instrument.Fretboard;
import vocalis.core.mix.Controls;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.score.Manner;
import vocalis.core.theory.Pitch;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.amp.Cabinet;
import vocalis.sound.guitar.Guitar;
import vocalis.sound.guitar.Pickup;
import vocalis.sound.strings.Damping;

/** The guitar, its strings and the amplifier that a ground and a mix ask for. */
public final class Gear {

    /** Frames per second of all that sounds. */
    static final double RATE = 48_000;

    private static final double OTHER_MICROPHONE = 0.25;

    private static final double NEAREST_PICK = 0.055;

    private static final double FARTHEST_PICK = 0.255;

    private Gear() {}

    /** What lies on the strings of a stroke. */
    public static Damping damping(Manner manner) {
        return switch (manner) {
            case PLAIN, LET_RING, STACCATO -> Damping.OPEN;
            case PALM_LIGHT -> Damping.LIGHT;
            case PALM -> Damping.HALF;
            case PALM_HEAVY -> Damping.HEAVY;
            case DEAD -> Damping.DEAD;
        };
    }

    /** Frequencies of the open strings over the capo in Hz, lowest first. */
    public static double[] openHz(Ground ground) {
        Fretboard board = ground.board();
        double[] hz = new double[board.strings()];
        for (int s = 0; s < hz.length; s++) {
            hz[s] = Pitch.hz(board.midi(s, 0), ground.a4Hz());
        }
        return hz;
    }

    /** The amplifier setting of a tone. */
    public static AmpSettings amp(Tone tone) {
        return switch (tone) {
            case CLEAN -> AmpSettings.CLEAN;
            case EDGE -> AmpSettings.EDGE;
            case GAIN -> AmpSettings.GAIN;
        };
    }

    /** The amplifier setting of a tone with its controls turned. */
    public static AmpSettings amp(Tone tone, Controls controls) {
        return amp(tone).turned(controls.steps()).through(cabinet(controls));
    }

    /** The cabinet that controls ask for. */
    public static Cabinet cabinet(Controls c) {
        return new Cabinet(
                c.closedCabinet() ? Cabinet.Speaker.CLOSED : Cabinet.Speaker.OPEN,
                c.microphone() / 10.0);
    }

    /** The second guitar's: the same kind, its microphone a little elsewhere. */
    public static Cabinet otherCabinet(Controls c) {
        Cabinet asked = cabinet(c);
        return new Cabinet(asked.speaker(), Math.min(1, asked.microphone() + OTHER_MICROPHONE));
    }

    /** The guitar that controls ask for, with a ground's strings. */
    public static Guitar guitar(Controls c, Ground ground) {
        double at = NEAREST_PICK + (FARTHEST_PICK - NEAREST_PICK) * c.pick() / 10;
        Pickup pickup = c.neckPickup() ? Pickup.NECK : Pickup.BRIDGE;
        return new Guitar(pickup, at, c.hardness() / 10.0, ground.instrument().gauge().thickness());
    }
}
