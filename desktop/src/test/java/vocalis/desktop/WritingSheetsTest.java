package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.workbench.demo.Demo;

/** The sheets for writing, by keyboard in the real window. */
@ExtendWith(ApplicationExtension.class)
class WritingSheetsTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.pieces().get(4);
    }

    private boolean open() {
        return fx(() -> shell.sheets().top().isPresent());
    }

    /** Every row of every sheet: taken, it changes the riff; one undo gives it back exactly. */
    @Test
    void whateverIsTakenOneUndoGivesBack(FxRobot robot) {
        Riff before = riff();
        int taken = 0;
        // Every third row; every row in the long run.
        int step = Boolean.getBoolean("vocalis.long") ? 1 : 3;
        for (String key : List.of("variations", "next-root", "ways")) {
            for (int row = 0; row < (key.equals("next-root") ? 3 : 40); row += step) {
                press(robot, KeyCode.ESCAPE);
                run(key);
                await("the sheet", this::open);
                int rows = fx(() -> robot.lookup(".rows .quiet-button").queryAll().size());
                if (row >= rows) {
                    press(robot, KeyCode.ESCAPE);
                    break;
                }
                // From the nearer end.
                boolean below = row > rows / 2;
                if (below) {
                    press(robot, KeyCode.END);
                }
                for (int i = 0; i < (below ? rows - 1 - row : row); i++) {
                    press(robot, below ? KeyCode.UP : KeyCode.DOWN);
                }
                press(robot, KeyCode.ENTER);
                assertThat(open()).as("row %d of %s", row, key).isFalse();
                assertThat(riff()).as("row %d of %s", row, key).isNotEqualTo(before);
                press(robot, KeyCode.CONTROL, KeyCode.Z);
                assertThat(riff()).as("row %d of %s undone", row, key).isEqualTo(before);
                taken++;
            }
        }
        assertThat(taken).isGreaterThan(20 / step);
    }

    /**
     * Held, H plays the riff with what a row offers; let go, the riff itself, and nothing changed.
     */
    @Test
    void aVariationIsHeardBeforeItIsTaken(FxRobot robot) {
        Riff before = riff();
        run("variations");
        await("the sheet", this::open);
        tap.clear();
        robot.press(KeyCode.H);
        await("sound", () -> tap.firstSound() >= 0);
        assertThat(fx(() -> shell.models().session().player().telemetry().latest().playing()))
                .isTrue();
        robot.release(KeyCode.H);
        await(
                "silence",
                () -> !fx(() -> shell.models().session().player().telemetry().latest().playing()));
        assertThat(riff()).isEqualTo(before);
        press(robot, KeyCode.ESCAPE);
    }

    @Test
    void versionsAreKeptTakenAndForgotten(FxRobot robot) {
        Riff before = riff();
        run("keep-version");
        press(robot, KeyCode.UP);
        Riff other = riff();
        assertThat(other).isNotEqualTo(before);
        run("versions");
        press(robot, KeyCode.ENTER);
        assertThat(riff()).isEqualTo(before);
        run("versions");
        press(robot, KeyCode.DELETE);
        assertThat(fx(() -> shell.workspace().content().versions())).isEmpty();
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(fx(() -> shell.workspace().content().versions())).hasSize(1);
        // Under a name, with a note: what is kept says both.
        run("keep-named");
        press(robot, KeyCode.CONTROL, KeyCode.A);
        robot.write("darker");
        press(robot, KeyCode.ENTER);
        robot.write("for the second verse");
        press(robot, KeyCode.ENTER);
        assertThat(open()).isFalse();
        assertThat(fx(() -> shell.workspace().content().versions()))
                .last()
                .satisfies(
                        v -> {
                            assertThat(v.name()).isEqualTo("darker");
                            assertThat(v.note()).isEqualTo("for the second verse");
                        });
    }

    @Test
    void rootsThatCannotBeReadAreToldWhereTheyStand(FxRobot robot) {
        Riff before = riff();
        press(robot, KeyCode.CONTROL, KeyCode.R);
        robot.write("b f# qq");
        press(robot, KeyCode.ENTER);
        assertThat(open()).isTrue();
        assertThat(robot.lookup(".help .caption").queryAs(Label.class).getText())
                .contains("word 3")
                .contains("qq");
        assertThat(riff()).isEqualTo(before);
        press(robot, KeyCode.ESCAPE);
        assertThat(open()).isFalse();
    }

    /** Four taps a second at 120 are eighths; the figure under the caret takes them. */
    @Test
    void aTappedFigureIsLaid(FxRobot robot) {
        press(robot, KeyCode.CONTROL, KeyCode.TAB);
        run("tap-figure");
        await("the sheet", this::open);
        for (int i = 0; i < 4; i++) {
            robot.push(KeyCode.J);
            sleep(0.3);
        }
        assertThat(robot.lookup("#tapped").queryAs(Label.class).getText()).startsWith("Understood");
        press(robot, KeyCode.ENTER);
        assertThat(riff().passes().get(0).events()).hasSizeBetween(2, 4);
        assertThat(riff().passes().get(0).figure().name()).isEqualTo("tapped");
    }

    @Test
    void theCheckGoesToThePlace(FxRobot robot) {
        press(robot, KeyCode.CONTROL, KeyCode.R);
        robot.write("b e b");
        press(robot, KeyCode.ENTER);
        press(robot, KeyCode.CONTROL, KeyCode.G);
        await("the sheet", this::open);
        press(robot, KeyCode.ENTER);
        assertThat(open()).isFalse();
        assertThat(fx(() -> model().caret().chordProperty().get())).isEqualTo(2);
    }
}
