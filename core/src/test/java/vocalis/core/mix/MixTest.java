package vocalis.core.mix;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import vocalis.core.riff.Tone;

/** The invalid cannot be made, and its message says what and what range. */
class MixTest {

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
    void everyChangeOfTheMixTouchesItsOwnPartAlone() {
        Mix b = Mix.ALONE;
        assertThat(b.withKit(Fader.ON, Feel.SWUNG).withKit(Fader.OFF, Feel.EIGHTHS)).isEqualTo(b);
        assertThat(b.withBass(Fader.ON, Mix.BassLine.PEDAL).bass()).isEqualTo(Fader.ON);
        assertThat(b.withClick(Fader.ON).kit()).isEqualTo(Fader.OFF);
        Mix second = b.withSecond(Fader.ON, Tone.CLEAN, Controls.USUAL, 3);
        assertThat(second.secondTone()).isEqualTo(Tone.CLEAN);
        assertThat(second.controls()).isEqualTo(b.controls());
        assertThatThrownBy(() -> b.withSecond(Fader.ON, Tone.CLEAN, Controls.USUAL, 11))
                .hasMessageContaining("11");
    }
}
