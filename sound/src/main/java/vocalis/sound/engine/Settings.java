package vocalis.sound.engine;

import java.util.Objects;
import vocalis.sound.amp.AmpSettings;

/**
 * What the engine is set to; immutable, published by one write and read once per block.
 *
 * @param first the guitar that plays the riff, and single voicings
 * @param second the guitar that plays the second part
 * @param tempo quarter notes per minute, 20 to 400
 * @param bass linear gain of the bass, 0 to 4
 * @param kit linear gain of the kit
 * @param click linear gain of the click
 * @param cents how far the tuning standard lies from A4 = 440 Hz, for the bass
 * @param human how freely the players keep time and force, and how much of their hands is heard, 0
 *     (machines) to 1
 * @param room how much of a small room is heard, 0 (none) to 1
 * @param volume linear gain before the limiter, 0 to 2
 */
public record Settings(
        Rig first,
        Rig second,
        double tempo,
        double bass,
        double kit,
        double click,
        double cents,
        double human,
        double room,
        double volume) {

    /** The program starts quiet: 12 dB under full. */
    public static final double QUIET = 0.25;

    public Settings {
        Objects.requireNonNull(first, "first");
        Objects.requireNonNull(second, "second");
        if (!(tempo >= 20 && tempo <= 400)) {
            throw new IllegalArgumentException("the tempo lies between 20 and 400, not " + tempo);
        }
        if (!(volume >= 0 && volume <= 2)) {
            throw new IllegalArgumentException("the volume lies between 0 and 2, not " + volume);
        }
        if (!(room >= 0 && room <= 1)) {
            throw new IllegalArgumentException("the room lies from 0 to 1, not at " + room);
        }
        if (!(human >= 0 && human <= 1)) {
            throw new IllegalArgumentException("humanising lies from 0 to 1, not at " + human);
        }
        for (double gain : new double[] {bass, kit, click}) {
            if (!(gain >= 0 && gain <= 4)) {
                throw new IllegalArgumentException("a gain lies between 0 and 4, not " + gain);
            }
        }
    }

    /** One guitar in the middle, kept like a machine, bass, kit and click at a usual level. */
    public Settings(StringBank bank, AmpSettings amp, double tempo, double volume) {
        this(new Rig(bank, amp, 0, 1), new Rig(bank, amp, 0, 1), tempo, 0.5, 0.5, 0.5, 0, volume);
    }

    /** Kept like machines, without a room: as analysis wants it. */
    public Settings(
            Rig first,
            Rig second,
            double tempo,
            double bass,
            double kit,
            double click,
            double cents,
            double volume) {
        this(first, second, tempo, bass, kit, click, cents, 0, 0, volume);
    }

    /** With the first or the second guitar silent, or both. */
    public Settings with(boolean firstPlays, boolean secondPlays) {
        return new Settings(
                firstPlays ? first : first.silent(),
                secondPlays ? second : second.silent(),
                tempo,
                bass,
                kit,
                click,
                cents,
                human,
                room,
                volume);
    }

    public Settings withVolume(double linear) {
        return new Settings(first, second, tempo, bass, kit, click, cents, human, room, linear);
    }
}
