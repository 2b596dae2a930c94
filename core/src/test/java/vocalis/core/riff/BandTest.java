package vocalis.core.riff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import org.junit.jupiter.api.Test;
import vocalis.core.voicing.Family;

/** The invalid cannot be made, and its message says what and what range. */
class BandTest {

    @Test
    void controlsStayInTheirRange() {
        assertThat(Controls.USUAL.turned(0, 5).steps()).containsExactly(5, 0, 0, 0, 0, 0);
        assertThat(Controls.USUAL.turned(5, -5).level()).isEqualTo(-5);
        assertThat(Controls.USUAL.withPickup(true).neckPickup()).isTrue();
        assertThat(Controls.USUAL.withPick(0, 10))
                .isEqualTo(new Controls(0, 0, 0, 0, 0, 0, false, 0, 10));
        assertThatThrownBy(() -> Controls.USUAL.turned(1, 6)).hasMessageContaining("6");
        assertThatThrownBy(() -> Controls.USUAL.withPick(11, 0)).hasMessageContaining("11");
    }

    @Test
    void faderStepsAreTwoDecibels() {
        assertThat(Fader.ON.linear()).isEqualTo(1);
        assertThat(Fader.OFF.linear()).isZero();
        assertThat(Fader.ON.at(0).linear()).isZero();
        double ratio = Fader.ON.at(9).linear() / Fader.ON.at(8).linear();
        assertThat(20 * Math.log10(ratio)).isCloseTo(2, within(1e-9));
        assertThat(Fader.ON.on(false)).isEqualTo(Fader.OFF);
        assertThatThrownBy(() -> new Fader(true, 11)).hasMessageContaining("11");
    }

    @Test
    void everyChangeOfTheBandTouchesItsOwnPartAlone() {
        Band b = Band.ALONE;
        assertThat(b.withKit(Fader.ON, Feel.SWUNG).withKit(Fader.OFF, Feel.EIGHTHS)).isEqualTo(b);
        assertThat(b.withBass(Fader.ON, Band.BassLine.PEDAL).bass()).isEqualTo(Fader.ON);
        assertThat(b.withClick(Fader.ON).kit()).isEqualTo(Fader.OFF);
        Band second =
                b.withSecond(Fader.ON, Optional.of(Family.THIRD), Tone.CLEAN, Controls.USUAL, 3);
        assertThat(second.secondFamily()).contains(Family.THIRD);
        assertThat(second.controls()).isEqualTo(b.controls());
        assertThatThrownBy(
                        () ->
                                b.withSecond(
                                        Fader.ON, Optional.empty(), Tone.CLEAN, Controls.USUAL, 11))
                .hasMessageContaining("11");
    }

    @Test
    void ornamentsSayWhereTheyEnd() {
        assertThat(new Touch.Ornament(0, 1, Touch.Kind.HAMMER, 2, 0, 0).endFret(5)).isEqualTo(7);
        assertThat(new Touch.Ornament(0, 1, Touch.Kind.PULL, 5, 0, 0).endFret(5)).isZero();
        assertThat(new Touch.Ornament(0, 1, Touch.Kind.SLIDE, -3, 0, 9).endFret(5)).isEqualTo(2);
        assertThat(new Touch.Ornament(0, 1, Touch.Kind.BEND, 200, 0, 9).endFret(5)).isEqualTo(5);
        assertThatThrownBy(() -> new Touch.Ornament(0, 1, Touch.Kind.BEND, 900, 0, 9))
                .hasMessageContaining("bend")
                .hasMessageContaining("900");
        assertThatThrownBy(() -> new Touch.Ornament(-1, 1, Touch.Kind.VIBRATO, 30, 0, 9))
                .hasMessageContaining("-1");
        assertThatThrownBy(() -> new Touch.Ornament(0, 1, Touch.Kind.SLIDE, 0, 0, 9))
                .hasMessageContaining("slide");
    }

    @Test
    void strokesKeepTheirMannerWhenTheyChange() {
        Stroke s = new Stroke(0, 100, Struck.Named.ALL, Manner.PALM_HEAVY, true);
        assertThat(s.muted()).isTrue();
        assertThat(s.lasting(50).manner()).isEqualTo(Manner.PALM_HEAVY);
        assertThat(s.striking(Struck.Named.LOW).accented(false).manner())
                .isEqualTo(Manner.PALM_HEAVY);
        assertThat(s.played(Manner.LET_RING).muted()).isFalse();
        assertThat(new Stroke(0, 1, Struck.Named.ALL, true, false).manner()).isEqualTo(Manner.PALM);
    }
}
