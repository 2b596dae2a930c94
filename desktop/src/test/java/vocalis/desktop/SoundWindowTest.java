package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.instrument.Tuning;
import vocalis.core.mix.Mix;
import vocalis.core.riff.Tone;
import vocalis.desktop.writing.Page;
import vocalis.desktop.writing.WritePlace;
import vocalis.sound.device.AudioOutput;

/** Tone, gain, roots, misses, devices and the band in the real window. */
@ExtendWith(ApplicationExtension.class)
class SoundWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private void awaitGain(String shape) {
        WaitForAsyncUtils.waitForAsyncFx(
                5000,
                () -> {
                    model().pageProperty().set(Page.GAIN);
                    return null;
                });
        await(
                "gain of " + shape,
                () ->
                        fx(
                                () ->
                                        model().shown().voicing().shape().text().equals(shape)
                                                && stage.getScene().lookup("#gain-summary") != null
                                                && !model().gain().reckoning()));
    }

    private Mix mix() {
        return fx(() -> shell.workspace().content().mix());
    }

    private double held(FxRobot robot, double hz) {
        robot.press(KeyCode.H);
        listen(SETTLE);
        tap.clear();
        listen(0.6);
        double db = tap.levelDb(hz, 0.5) - tap.levelDb(Tap.hz(57), 0.5);
        robot.release(KeyCode.H);
        listen(0.3);
        return db;
    }

    /** A3 and C sharp 4: under gain 2f2 − f1 sounds at 334.6 Hz, clean it hardly does. */
    @Test
    void toneAndGainChangeWhatIsHeardAndWhatIsRead(FxRobot robot) {
        choose(robot, "#tuning", Tuning.STANDARD);
        find(robot, "x-x-7-6-x-x");
        awaitGain("x-x-7-6-x-x");
        String summary = readout(robot, "gain-summary");
        assertThat(summary).contains("as rough");
        double ghost = 2 * Tap.hz(61) - Tap.hz(57);
        double dirty = held(robot, ghost);
        run("pure");
        await("pure", () -> robot.lookup("#gain-intonation").tryQuery().isPresent());
        assertThat(readout(robot, "gain-intonation")).contains("13.7");
        assertThat(readout(robot, "gain-summary")).isNotEqualTo(summary);
        run("pure");
        choose(robot, "#tone", Tone.CLEAN);
        find(robot, "x-x-7-6-x-x");
        await("read clean", () -> fx(() -> !model().gain().reckoning()));
        double clean = held(robot, ghost);
        assertThat(dirty).isGreaterThan(clean + 15);
    }

    @Test
    void theRootIsProvedByPowerChordsUnderIt(FxRobot robot) {
        choose(robot, "#tuning", Tuning.STANDARD);
        choose(robot, "#tone", Tone.CLEAN);
        // Common practice: the fourth F sharp and B has its root on top.
        find(robot, "x-x-4-4-x-x");
        run("prove");
        await("sheet", () -> robot.lookup("#prove-all").tryQuery().isPresent());
        assertThat(readout(robot, "verdict")).startsWith("B");
        assertThat(robot.lookup("#prove-0").queryButton().getText()).isEqualTo("B5");
        press(robot, KeyCode.ENTER);
        listen(0.6);
        tap.clear();
        listen(0.7);
        // The power chord on B sounds under it, from B2 on the fifth string.
        assertThat(tap.levelDb(Tap.hz(47), 0.6)).isGreaterThan(-60);
        press(robot, KeyCode.ESCAPE);
        await("closed", () -> robot.lookup("#prove-all").tryQuery().isEmpty());
        listen(0.8);
        tap.clear();
        listen(0.3);
        assertThat(tap.levelDb(Tap.hz(47), 0.25)).isLessThan(-70);
    }

    @Test
    void theMissIsHeard(FxRobot robot) {
        choose(robot, "#tuning", Tuning.STANDARD);
        choose(robot, "#tone", Tone.CLEAN);
        find(robot, "x-x-7-7-x-x");
        robot.interact(() -> shell.models().whereabouts().placeProperty().set(WritePlace.NECK));
        robot.interact(() -> model().neck().stringProperty().set(5));
        robot.press(KeyCode.J);
        listen(SETTLE);
        tap.clear();
        listen(0.6);
        double miss = tap.levelDb(Tap.hz(64), 0.5);
        robot.release(KeyCode.J);
        listen(0.5);
        robot.press(KeyCode.H);
        listen(SETTLE);
        tap.clear();
        listen(0.6);
        double clean = tap.levelDb(Tap.hz(64), 0.5);
        robot.release(KeyCode.H);
        assertThat(miss).isGreaterThan(clean + 15);
    }

    @Test
    void aDeviceIsLostAndFoundAgainMuted(FxRobot robot) {
        press(robot, KeyCode.SPACE);
        await("playing", () -> fx(() -> shell.player().telemetry().latest().playing()));
        tap.present(false);
        await(
                "the stand-in",
                () -> fx(() -> shell.player().output().sink() == AudioOutput.Sink.SILENT));
        await("a sign of it", () -> readout(robot, "sink").contains("playing silently"));
        assertThat(fx(() -> shell.player().telemetry().latest().playing())).isTrue();
        await(
                "the meter moves",
                () -> fx(() -> shell.player().telemetry().latest().peak()) > 0.005);
        tap.present(true);
        await("found", () -> fx(() -> shell.player().output().sink() == AudioOutput.Sink.DEVICE));
        await("muted", () -> readout(robot, "sink").contains("muted"));
        tap.clear();
        listen(0.5);
        assertThat(loudest()).isZero();
        press(robot, KeyCode.CONTROL, KeyCode.M);
        listen(0.3);
        tap.clear();
        listen(1);
        assertThat(loudest()).isGreaterThan(0.003);
        press(robot, KeyCode.SPACE);
    }

    private double loudest() {
        double peak = 0;
        for (double v : tap.left()) {
            peak = Math.max(peak, Math.abs(v));
        }
        return peak;
    }

    @Test
    void theBandPlaysAlongAndTheToneIsTurned(FxRobot robot) {
        press(robot, KeyCode.W);
        await("band", () -> robot.lookup("#kit-on").tryQuery().isPresent());
        robot.interact(() -> robot.lookup("#kit-on").query().requestFocus());
        press(robot, KeyCode.ENTER);
        robot.interact(() -> robot.lookup("#bass-on").query().requestFocus());
        press(robot, KeyCode.ENTER);
        robot.interact(() -> robot.lookup("#bass-hand").query().requestFocus());
        press(robot, KeyCode.DOWN);
        assertThat(mix().bassHand()).isEqualTo(Mix.BassHand.PICK);
        assertThat(mix().kit().on()).isTrue();
        press(robot, KeyCode.SPACE);
        await(
                "plays from the sheet",
                () -> fx(() -> shell.player().telemetry().latest().playing()));
        listen(1);
        tap.clear();
        listen(2);
        double with = sizzle();
        robot.interact(() -> robot.lookup("#kit-on").query().requestFocus());
        press(robot, KeyCode.ENTER);
        assertThat(mix().kit().on()).isFalse();
        listen(1);
        tap.clear();
        listen(2);
        // The cabinet lets next to nothing of a guitar through up there; the hat lives there.
        assertThat(with).isGreaterThan(3 * sizzle());
        press(robot, KeyCode.SPACE);
        press(robot, KeyCode.ESCAPE);
        run("tone");
        await("tone", () -> robot.lookup("#first-gain").tryQuery().isPresent());
        robot.interact(() -> robot.lookup("#first-gain").query().requestFocus());
        press(robot, KeyCode.LEFT);
        press(robot, KeyCode.LEFT);
        assertThat(mix().controls().gain()).isEqualTo(-2);
        press(robot, KeyCode.ESCAPE);
        robot.interact(() -> stage.getScene().lookup("#voice-band").requestFocus());
        for (int i = 0; i < 9 && fx(() -> shell.workspace().changed()); i++) {
            press(robot, KeyCode.CONTROL, KeyCode.Z);
        }
        assertThat(mix()).isEqualTo(Mix.ALONE);
    }

    /** Size of the third difference of what sounded: what lies high. */
    private double sizzle() {
        double[] x = tap.left();
        double sum = 0;
        for (int i = 3; i < x.length; i++) {
            sum += Math.abs(x[i] - 3 * x[i - 1] + 3 * x[i - 2] - x[i - 3]);
        }
        return sum / x.length;
    }

    @Test
    void aNoteIsEmbellishedByKeyboard(FxRobot robot) {
        robot.interact(() -> shell.models().whereabouts().placeProperty().set(WritePlace.LANE));
        press(robot, KeyCode.E);
        await("menu", () -> robot.lookup(".context-menu").tryQuery().isPresent());
        press(robot, KeyCode.DOWN);
        press(robot, KeyCode.ENTER);
        await("hammer", () -> riff().touches().size() == 1);
        settle();
        assertThat(fx(() -> model().lane().topAtCaret().orElseThrow().techniques())).hasSize(1);
        press(robot, KeyCode.M);
        press(robot, KeyCode.SHIFT, KeyCode.M);
        press(robot, KeyCode.X);
        assertThat(fx(() -> model().derived().score().onsets().get(0).manner()))
                .isEqualTo(vocalis.core.score.Manner.DEAD);
        press(robot, KeyCode.X);
        assertThat(fx(() -> model().derived().score().onsets().get(0).manner()))
                .isEqualTo(vocalis.core.score.Manner.PLAIN);
    }

    @Test
    void theOutputAndTheTuningStringsAreShown(FxRobot robot) {
        run("output");
        await("output", () -> robot.lookup("#output-state").tryQuery().isPresent());
        assertThat(readout(robot, "output-state")).contains("ms from a key to the device");
        press(robot, KeyCode.ESCAPE);
        await("closed", () -> robot.lookup("#output-state").tryQuery().isEmpty());
        press(robot, KeyCode.F4);
        await("strings", () -> robot.lookup("#tune-6").tryQuery().isPresent());
        robot.interact(() -> robot.lookup("#tune-6").query().requestFocus());
        robot.press(KeyCode.H);
        listen(SETTLE);
        tap.clear();
        listen(0.6);
        // The low string is dropped to D2 in this riff.
        assertThat(tap.levelDb(Tap.hz(38), 0.5)).isGreaterThan(-62);
        robot.release(KeyCode.H);
        press(robot, KeyCode.ESCAPE);
    }
}
