package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.Touch;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Version;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.voicing.Family;
import vocalis.workbench.demo.Demo;

/**
 * A whole riff written by keyboard alone from an empty one: four bars of five quarters with a
 * pattern of their own, three roots, one of them in two families, a last bar with a line of six
 * notes, a slide and a pull-off in it, another ending, heard, and kept in two versions.
 */
@ExtendWith(ApplicationExtension.class)
class WritingFlowTest extends WindowDriver {

    private int presses;
    private FxRobot robot;

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.blank("writing");
    }

    /** One press; keys held beside another count as one press with it. */
    private void tap(KeyCode... keys) {
        presses++;
        press(robot, keys);
    }

    private void taps(KeyCode... each) {
        for (KeyCode k : each) {
            tap(k);
        }
    }

    private void type(String text) {
        presses += text.length();
        robot.write(text);
        WaitForAsyncUtils.waitForFxEvents();
        settle();
    }

    @Test
    void aWholeRiffTakesFewPresses(FxRobot given) {
        robot = given;
        // Five quarters to the bar: back to the ground, on to the meter.
        tap(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.TAB);
        taps(KeyCode.TAB, KeyCode.TAB, KeyCode.TAB, KeyCode.TAB, KeyCode.TAB);
        type("5");
        tap(KeyCode.ESCAPE);
        assertThat(riff().meters().meter(0).symbol()).isEqualTo("5/4");
        // Three roots, the first of two bars and in two families.
        tap(KeyCode.CONTROL, KeyCode.R);
        type("a:2 f g");
        tap(KeyCode.ENTER);
        tap(KeyCode.CONTROL, KeyCode.K);
        tap(KeyCode.RIGHT);
        tap(KeyCode.DIGIT2);
        // The pattern of every bar, in eighths.
        tap(KeyCode.HOME);
        tap(KeyCode.CONTROL, KeyCode.TAB);
        tap(KeyCode.L);
        tap(KeyCode.ENTER);
        tap(KeyCode.A);
        tap(KeyCode.SHIFT, KeyCode.ENTER);
        tap(KeyCode.SHIFT, KeyCode.ENTER);
        taps(KeyCode.ENTER, KeyCode.T, KeyCode.R, KeyCode.ENTER);
        tap(KeyCode.SHIFT, KeyCode.ENTER);
        tap(KeyCode.SHIFT, KeyCode.ENTER);
        tap(KeyCode.ENTER);
        // One key too many, as it happens: the figure is full, and nothing is written over.
        Riff full = riff();
        tap(KeyCode.ENTER);
        assertThat(riff()).isEqualTo(full);
        // The last bar is another: a stroke, then the line with its slide and pull-off.
        taps(KeyCode.ESCAPE, KeyCode.END, KeyCode.END, KeyCode.F, KeyCode.L);
        tap(KeyCode.ENTER);
        tap(KeyCode.SHIFT, KeyCode.ENTER);
        taps(KeyCode.DIGIT1, KeyCode.DIGIT2, KeyCode.DIGIT3, KeyCode.S, KeyCode.DIGIT4);
        // A wrong note, taken back.
        taps(KeyCode.DIGIT6, KeyCode.BACK_SPACE);
        taps(KeyCode.DIGIT5, KeyCode.P, KeyCode.DIGIT3);
        // Kept, ended otherwise, kept again.
        run("keep-version");
        run("versions");
        taps(KeyCode.DOWN, KeyCode.DOWN, KeyCode.ENTER);
        run("keep-version");
        // Each of the three by the search: its key, its first letters, Enter.
        presses += 3 * 6;
        System.out.println("presses of the whole riff, corrections included: " + presses);
        assertThat(presses).isLessThan(90);
        written();
        heard();
    }

    private void written() {
        Riff riff = riff();
        assertThat(riff.bars()).isEqualTo(4);
        assertThat(riff.roots().stream().map(r -> r.root().step()).limit(3))
                .containsExactly(1, 1, 6);
        assertThat(riff.treatments().get(0).family()).isEqualTo(Family.POWER);
        assertThat(riff.treatments().get(1).family()).isEqualTo(Family.FOURTH);
        assertThat(riff.passes()).hasSize(4);
        assertThat(riff.passes().get(0).events()).hasSize(9);
        List<LineNote> line =
                riff.passes().get(3).events().stream()
                        .filter(LineNote.class::isInstance)
                        .map(LineNote.class::cast)
                        .toList();
        assertThat(line).hasSize(4);
        assertThat(riff.touches()).hasSize(2);
        assertThat(riff.touches()).hasAtLeastOneElementOfType(Touch.Slide.class);
        assertThat(riff.touches()).hasAtLeastOneElementOfType(Touch.Legato.class);
        List<Version> kept = fx(() -> shell.workspace().content().versions());
        assertThat(kept).hasSize(2);
        assertThat(kept.get(0).riff().roots().get(3))
                .isNotEqualTo(kept.get(1).riff().roots().get(3));
        assertThat(kept.get(1).riff()).isEqualTo(riff);
        assertThat(fx(() -> model().derived().findings())).isEmpty();
    }

    /**
     * The first version's line over G: g a b, sliding to c, d pulled off to b, an eighth each from
     * the third eighth of the last bar. Each is found in the sound against the notes a whole tone
     * beside it.
     */
    private void heard() {
        fx(
                () -> {
                    shell.workspace()
                            .apply(vocalis.workbench.document.Edits.takeVersion("version-1"));
                    return null;
                });
        settle();
        press(robot, KeyCode.ESCAPE);
        press(robot, KeyCode.ESCAPE);
        press(robot, KeyCode.END);
        tap.clear();
        press(robot, KeyCode.SPACE);
        await("sound", () -> tap.firstSound() >= 0);
        listen(3.5);
        press(robot, KeyCode.SPACE);
        double eighth = Ticks.seconds(Ticks.EIGHTH, riff().tempo());
        double from = tap.firstSound();
        int[] midi = {55, 57, 59, 60, 62, 59};
        for (int i = 0; i < midi.length; i++) {
            double at = from + (2 + i) * eighth + 0.06;
            double here = tap.levelDb(Tap.hz(midi[i]), at, eighth - 0.07);
            for (int beside : new int[] {-2, 2}) {
                assertThat(here - tap.levelDb(Tap.hz(midi[i] + beside), at, eighth - 0.07))
                        .as("note %d of the line against %d semitones off", i + 1, beside)
                        .isGreaterThan(6);
            }
        }
    }
}
