package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.piece.Piece;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.demo.Demo;

/** Press and hold with the mouse, and it sounds; let go, and it ends: wherever a key does so. */
@ExtendWith(ApplicationExtension.class)
class HoldWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    /** The one with a song, a clash and versions. */
    @Override
    Piece first() {
        return Demo.pieces().get(1);
    }

    private boolean sounds() {
        var t = shell.player().telemetry().latest();
        return t.playing() || t.audition();
    }

    private void held(FxRobot robot, String what, Point2D at) {
        assertThat(sounds()).as("before " + what).isFalse();
        over(robot, at).press(MouseButton.PRIMARY);
        await(what + " sounds", this::sounds);
        robot.release(MouseButton.PRIMARY);
        await(what + " ends", () -> !sounds());
        WaitForAsyncUtils.waitForFxEvents(2);
    }

    private Point2D in(FxRobot robot, String id, double x, double y) {
        return at(robot.lookup(id).query(), x, y);
    }

    @Test
    void onTheWriteScreen(FxRobot robot) {
        await("cards", () -> fx(() -> model().shown().cardsProperty().get().size() > 3));
        held(robot, "a chord", in(robot, "#voice-band", 120, 60));
        held(robot, "a stroke", in(robot, "#lane", 54, 60));
        held(robot, "a card", in(robot, "#cards", 60, 30));
        held(robot, "the strip", in(robot, "#strip-hear", 10, 10));
    }

    /** The first press on a row gives it the keys as well, and sounds all the same. */
    @Test
    void onRowsOfPanelsAndSheets(FxRobot robot) {
        run("series");
        await("rows", () -> robot.lookup(".sheet .figures .quiet-button").tryQuery().isPresent());
        Node[] rows = robot.lookup(".sheet .figures .quiet-button").queryAll().toArray(new Node[0]);
        var before = fx(() -> model().shown().voicing());
        held(robot, "another row", at(rows[2], 10, 8));
        assertThat(fx(() -> model().shown().voicing())).as("held, not taken").isEqualTo(before);
        held(robot, "the chord explored", in(robot, "#explore-hear", 10, 8));
        press(robot, KeyCode.ESCAPE);
        var riff = riff();
        run("variations");
        await("rows", () -> robot.lookup(".rows .quiet-button").queryAll().size() > 3);
        Node[] moves = robot.lookup(".rows .quiet-button").queryAll().toArray(new Node[0]);
        held(robot, "a variation", at(moves[3], 10, 8));
        assertThat(riff()).as("held, not taken").isEqualTo(riff);
        press(robot, KeyCode.ESCAPE);
    }

    @Test
    void onRevoice(FxRobot robot) {
        press(robot, KeyCode.F6);
        await("rows", () -> fx(() -> shell.models().revoice().rows().size() > 8));
        held(robot, "a cell", in(robot, "#revoice", 200, 34 + 27 * 5.5));
        held(robot, "a row", in(robot, "#revoice", 60, 34 + 27 * 5.5));
    }

    @Test
    void onArrange(FxRobot robot) {
        press(robot, KeyCode.F7);
        await("a clash", () -> robot.lookup("#clashes .field").tryQuery().isPresent());
        held(robot, "a clash", at(robot.lookup("#clashes .field").query(), 20, 8));
        held(robot, "a section", in(robot, "#song-strip", 300, 40));
    }

    @Test
    void inTheLogbook(FxRobot robot) {
        fx(
                () -> {
                    shell.keeping().keepDemo();
                    return null;
                });
        await("said", () -> readout(robot, "message").startsWith("The demo riffs are in"));
        press(robot, KeyCode.F9);
        ListView<?> list = robot.lookup("#logbook").queryListView();
        await("riffs", () -> fx(() -> list.getItems().size()) == Demo.pieces().size());
        held(robot, "a riff", at(list, 120, 50));
        press(robot, KeyCode.ESCAPE);
    }

    /** What is searched from the place to begin leads out of it. */
    @Test
    void theSearchLeadsOutOfThePlaceToBegin(FxRobot robot) {
        run("begin");
        press(robot, KeyCode.F3);
        await("the search", () -> robot.lookup("#find-command").tryQuery().isPresent());
        robot.write("palm");
        press(robot, KeyCode.ENTER);
        assertThat(robot.lookup("#begin").query().isVisible()).isFalse();
        assertThat(fx(() -> shell.models().whereabouts().place())).isEqualTo(WritePlace.LANE);
        assertThat(fx(() -> stage.getScene().getFocusOwner().getId())).isEqualTo("lane");
    }
}
