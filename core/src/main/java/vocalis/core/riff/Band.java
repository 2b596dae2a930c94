package vocalis.core.riff;

import java.util.Objects;
import java.util.Optional;
import vocalis.core.voicing.Family;

/**
 * Who plays along, and how the guitars are turned.
 *
 * @param controls of the first guitar
 * @param second the second guitar
 * @param secondFamily how the second guitar voices the roots; empty when it doubles the first
 * @param secondTone amplifier of the second guitar
 * @param secondControls how it is turned
 * @param spread how far the two guitars stand apart, 0 (together) to 10 (left and right)
 * @param bass the bass
 * @param bassLine what it plays
 * @param kit the kit
 * @param feel what it plays
 * @param click the click
 */
public record Band(
        Controls controls,
        Fader second,
        Optional<Family> secondFamily,
        Tone secondTone,
        Controls secondControls,
        int spread,
        Fader bass,
        BassLine bassLine,
        Fader kit,
        Feel feel,
        Fader click) {

    /** What the bass plays. */
    public enum BassLine {
        ROOTS("the roots"),
        PEDAL("a pedal on the tonic");

        private final String label;

        BassLine(String label) {
            this.label = label;
        }

        /** As it is shown. */
        public String label() {
            return label;
        }
    }

    /** The guitar alone. */
    public static final Band ALONE =
            new Band(
                    Controls.USUAL,
                    Fader.OFF,
                    Optional.empty(),
                    Tone.EDGE,
                    Controls.USUAL,
                    6,
                    Fader.OFF,
                    BassLine.ROOTS,
                    Fader.OFF,
                    Feel.EIGHTHS,
                    Fader.OFF);

    public Band {
        Objects.requireNonNull(controls, "controls");
        Objects.requireNonNull(second, "second");
        Objects.requireNonNull(secondFamily, "secondFamily");
        Objects.requireNonNull(secondTone, "secondTone");
        Objects.requireNonNull(secondControls, "secondControls");
        Objects.requireNonNull(bass, "bass");
        Objects.requireNonNull(bassLine, "bassLine");
        Objects.requireNonNull(kit, "kit");
        Objects.requireNonNull(feel, "feel");
        Objects.requireNonNull(click, "click");
        if (spread < 0 || spread > 10) {
            throw new IllegalArgumentException("the spread lies from 0 to 10, not at " + spread);
        }
    }

    public Band withControls(Controls c) {
        return new Band(
                c,
                second,
                secondFamily,
                secondTone,
                secondControls,
                spread,
                bass,
                bassLine,
                kit,
                feel,
                click);
    }

    public Band withSecond(Fader f, Optional<Family> family, Tone tone, Controls c, int apart) {
        return new Band(controls, f, family, tone, c, apart, bass, bassLine, kit, feel, click);
    }

    public Band withBass(Fader f, BassLine line) {
        return new Band(
                controls,
                second,
                secondFamily,
                secondTone,
                secondControls,
                spread,
                f,
                line,
                kit,
                feel,
                click);
    }

    public Band withKit(Fader f, Feel other) {
        return new Band(
                controls,
                second,
                secondFamily,
                secondTone,
                secondControls,
                spread,
                bass,
                bassLine,
                f,
                other,
                click);
    }

    public Band withClick(Fader f) {
        return new Band(
                controls,
                second,
                secondFamily,
                secondTone,
                secondControls,
                spread,
                bass,
                bassLine,
                kit,
                feel,
                f);
    }
}
