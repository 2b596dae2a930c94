package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import vocalis.core.choice.Fingers;
import vocalis.core.instrument.Shape;
import vocalis.core.piece.Piece;
import vocalis.core.vary.Ringing;
import vocalis.core.vary.RootTune;
import vocalis.core.voicing.Family;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.demo.Demo;

/** Fingers chosen and kept, strings that ring through, other scales, the roots' tune bent. */
@ExtendWith(ApplicationExtension.class)
class NeckSheetsWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.pieces().get(1);
    }

    private boolean sheetOpen() {
        return fx(() -> shell.sheets().top().isPresent());
    }

    @Test
    void otherFingersAreChosenAndKept(FxRobot robot) {
        assertThat(riff().treatments().get(0).fingers()).isEmpty();
        run("fingers");
        press(robot, KeyCode.DOWN);
        press(robot, KeyCode.DOWN);
        press(robot, KeyCode.ENTER);
        List<Integer> wanted = riff().treatments().get(0).fingers().orElseThrow();
        Shape shape = chord(0).candidate().voicing().shape();
        assertThat(Fingers.onStrings(chord(0).candidate().fingering(), shape)).isEqualTo(wanted);
        run("fingers");
        press(robot, KeyCode.ENTER);
        assertThat(riff().treatments().get(0).fingers()).as("as the way has it").isEmpty();
        // The second chord of this riff is two open strings.
        press(robot, KeyCode.RIGHT);
        run("fingers");
        assertThat(sheetOpen()).isFalse();
        assertThat(fx(() -> model().session().quiet())).as("it is said why").isFalse();
    }

    @Test
    void stringsRingThroughTheRiff(FxRobot robot) {
        run("drones-held");
        await("the sheet", this::sheetOpen);
        press(robot, KeyCode.ENTER);
        assertThat(riff().treatments()).allMatch(t -> t.family() == Family.DRONE);
        List<Integer> open =
                chord(0).candidate().voicing().shape().sounded().stream()
                        .filter(s -> chord(0).candidate().voicing().shape().fret(s) == 0)
                        .toList();
        assertThat(open).isNotEmpty();
        for (int i = 1; i < riff().roots().size(); i++) {
            Shape shape = chord(i).candidate().voicing().shape();
            assertThat(open).allMatch(s -> shape.fret(s) == 0);
        }
    }

    @Test
    void everyStringAndEveryTwoNeighboursAreShown(FxRobot robot) {
        run("drones-held");
        await("the sheet", this::sheetOpen);
        long rows =
                robot.lookup(n -> n instanceof Button).queryAllAs(Button.class).stream()
                        .filter(b -> b.getText().contains("(string "))
                        .count();
        assertThat(rows).isEqualTo(2L * riff().ground().board().strings() - 1);
    }

    @Test
    void anotherScaleIsShownAndTheKeyStays(FxRobot robot) {
        var key = riff().ground().key();
        run("other-scale");
        press(robot, KeyCode.DOWN);
        press(robot, KeyCode.ENTER);
        assertThat(fx(() -> model().looks().scale().get())).isPresent();
        assertThat(fx(() -> model().looks().scaleSteps().get())).isTrue();
        assertThat(riff().ground().key()).isEqualTo(key);
    }

    @Test
    void theTuneOfTheRootsIsBentByKeys(FxRobot robot) {
        fx(
                () -> {
                    model().go(WritePlace.BAND);
                    return null;
                });
        int before = fx(() -> RootTune.of(model().derived()).get(0));
        press(robot, KeyCode.CONTROL, KeyCode.UP);
        await("the bend", () -> fx(() -> RootTune.of(model().derived()).get(0)) == before + 12);
        press(robot, KeyCode.CONTROL, KeyCode.DOWN);
        await("the way back", () -> fx(() -> RootTune.of(model().derived()).get(0)) == before);
        press(robot, KeyCode.B);
        assertThat(fx(() -> model().hearing().previewing())).isTrue();
        press(robot, KeyCode.B);
        assertThat(fx(() -> model().hearing().previewing())).isFalse();
        press(robot, KeyCode.SHIFT, KeyCode.N);
        assertThat(readout(robot, "readout-name")).isNotEmpty();
        assertThat(robot.lookup("#readout-why-here").queryAs(Label.class)).isNotNull();
    }

    /** A voice goes on inside the chord: found by search and Enter, undone by one key. */
    @Test
    void aLineMovesInsideAChord(FxRobot robot) {
        var before = riff();
        int chords = before.roots().size();
        press(robot, KeyCode.F3);
        robot.write("line inside");
        press(robot, KeyCode.ENTER);
        await("the sheet", this::sheetOpen);
        press(robot, KeyCode.ENTER);
        assertThat(riff().roots().size()).isBetween(chords + 1, chords + 3);
        assertThat(riff().length()).isEqualTo(before.length());
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(riff()).isEqualTo(before);
    }

    /** One switch lets open strings ring, the same silences them; it says what the hand does. */
    @Test
    void openStringsRingOrAreMuted(FxRobot robot) {
        boolean rang = fx(() -> Ringing.rings(model().derived()));
        var before = riff();
        run("ringing");
        await("switched", () -> !riff().equals(before));
        settle();
        assertThat(fx(() -> Ringing.rings(model().derived()))).isNotEqualTo(rang);
        assertThat(readout(robot, "message"))
                .contains(rang ? "lay the fingers flatter" : "arch the");
    }
}
