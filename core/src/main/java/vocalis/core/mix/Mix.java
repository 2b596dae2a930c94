package vocalis.core.mix;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.Objects;
import vocalis.core.riff.Tone;

/**
 * Who plays along, and how the guitars are turned; no part of a riff.
 *
 * @param controls of the first guitar
 * @param second the second guitar
 * @param secondTone amplifier of the second guitar
 * @param secondControls how it is turned
 * @param spread how far the two guitars stand apart, 0 (together) to 10 (left and right)
 * @param bass the bass
 * @param bassLine what it plays
 * @param bassHand what strikes it
 * @param kit the kit
 * @param feel what it plays
 * @param click the click
 * @param timing how the players keep time
 * @param room how much of a small room is heard, 0 (none) to 10; 3 is usual
 */
@RecordBuilder
public record Mix(
        Controls controls,
        Fader second,
        Tone secondTone,
        Controls secondControls,
        int spread,
        Fader bass,
        BassLine bassLine,
        BassHand bassHand,
        Fader kit,
        Feel feel,
        Fader click,
        Timing timing,
        int room)
        implements MixBuilder.With {

    /** What the bass plays. */
    public enum BassLine {
        ROOTS("the roots"),
        PEDAL("a pedal on the tonic"),
        LOCKED("locked to the accents"),
        FOLLOWING("the riff's rhythm"),
        BETWEEN("between the strokes");

        private final String label;

        BassLine(String label) {
            this.label = label;
        }

        /** As it is shown. */
        public String label() {
            return label;
        }
    }

    /** What strikes the strings of the bass. */
    public enum BassHand {
        FINGERS("with fingers"),
        PICK("with a pick");

        private final String label;

        BassHand(String label) {
            this.label = label;
        }

        /** As it is shown. */
        public String label() {
            return label;
        }
    }

    /** The guitar alone. */
    public static final Mix ALONE =
            new Mix(
                    Controls.USUAL,
                    Fader.OFF,
                    Tone.EDGE,
                    Controls.USUAL,
                    6,
                    Fader.OFF,
                    BassLine.ROOTS,
                    BassHand.FINGERS,
                    Fader.OFF,
                    Feel.EIGHTHS,
                    Fader.OFF,
                    new Timing(5, 50, 0),
                    3);

    public Mix {
        Objects.requireNonNull(controls, "controls");
        Objects.requireNonNull(second, "second");
        Objects.requireNonNull(secondTone, "secondTone");
        Objects.requireNonNull(secondControls, "secondControls");
        Objects.requireNonNull(bass, "bass");
        Objects.requireNonNull(bassLine, "bassLine");
        Objects.requireNonNull(bassHand, "bassHand");
        Objects.requireNonNull(kit, "kit");
        Objects.requireNonNull(feel, "feel");
        Objects.requireNonNull(click, "click");
        Objects.requireNonNull(timing, "timing");
        if (room < 0 || room > 10) {
            throw new IllegalArgumentException("the room lies from 0 to 10, not at " + room);
        }
        if (spread < 0 || spread > 10) {
            throw new IllegalArgumentException("the spread lies from 0 to 10, not at " + spread);
        }
    }

    public Mix withSecond(Fader f, Tone tone, Controls c, int apart) {
        return with(b -> b.second(f).secondTone(tone).secondControls(c).spread(apart));
    }

    public Mix withBass(Fader f, BassLine line) {
        return with(b -> b.bass(f).bassLine(line));
    }

    public Mix withKit(Fader f, Feel other) {
        return with(b -> b.kit(f).feel(other));
    }

    /** How freely the players play, 0 to 10. */
    public int hands() {
        return timing.hands();
    }

    public Mix timed(Timing other) {
        return withTiming(other);
    }

    public Mix withHands(int freely, int ofRoom) {
        return with(
                b -> b.timing(new Timing(freely, timing.swing(), timing.behind())).room(ofRoom));
    }
}
