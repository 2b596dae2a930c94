package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import vocalis.core.piece.Piece;
import vocalis.core.voicing.Family;
import vocalis.desktop.arrange.ArrangePlace;
import vocalis.desktop.revoice.RevoicePlace;
import vocalis.desktop.session.Place;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.demo.Demo;

/** An empty riff opens on four ways in; each leads on, and none is in the way. */
@ExtendWith(ApplicationExtension.class)
class BeginWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.blank("begin");
    }

    @Override
    boolean fromTheBeginning() {
        return true;
    }

    private boolean begins(FxRobot robot) {
        return fx(() -> robot.lookup("#begin").query().isVisible());
    }

    private String focus() {
        return fx(() -> String.valueOf(stage.getScene().getFocusOwner().getId()));
    }

    private Place place() {
        return fx(() -> shell.models().whereabouts().place());
    }

    private void next(FxRobot robot) {
        clickOn(robot, "#next-step-go");
    }

    /** The ground in a line, the roots in a line, and from step to step into Arrange. */
    @Test
    void rootsAreTypedAndTheWayLeadsOn(FxRobot robot) {
        assertThat(begins(robot)).isTrue();
        await("the keys in the first field", () -> focus().equals("begin-roots"));
        press(robot, KeyCode.SHIFT, KeyCode.TAB);
        assertThat(focus()).isEqualTo("begin-ground");
        robot.write("nonsense 5/4");
        press(robot, KeyCode.ENTER);
        assertThat(readout(robot, "begin-said")).containsIgnoringCase("nonsense");
        press(robot, KeyCode.CONTROL, KeyCode.A);
        robot.write("bb dorian 96 5/4");
        press(robot, KeyCode.ENTER);
        assertThat(begins(robot)).as("the ground is no beginning").isTrue();
        assertThat(riff().ground().key().symbol()).isEqualTo("B♭ dorian");
        assertThat(riff().tempo()).isEqualTo(96);
        assertThat(riff().meters().meter(0).symbol()).isEqualTo("5/4");
        assertThat(focus()).isEqualTo("begin-roots");
        robot.write("bb x");
        press(robot, KeyCode.ENTER);
        assertThat(readout(robot, "begin-said")).contains("\"x\"");
        press(robot, KeyCode.BACK_SPACE);
        robot.write("eb ab");
        press(robot, KeyCode.ENTER);
        assertThat(begins(robot)).isFalse();
        assertThat(riff().roots()).hasSize(3);
        assertThat(place()).isEqualTo(WritePlace.BAND);
        assertThat(focus()).isEqualTo("voice-band");
        next(robot);
        await("revoice", () -> place() == RevoicePlace.GRID);
        next(robot);
        await("rhythm", () -> place() == WritePlace.LANE);
        next(robot);
        await("endings", () -> fx(() -> shell.sheets().top().isPresent()));
        press(robot, KeyCode.ESCAPE);
        next(robot);
        await("arrange", () -> place() == ArrangePlace.STRIP);
        clickOn(robot, "#next-step-away");
        assertThat(robot.lookup("#next-step").query().isVisible()).isFalse();
    }

    /** A rhythm first: the lowest open string goes through, and the figure is tapped or taken. */
    @Test
    void aRhythmComesFirst(FxRobot robot) {
        clickOn(robot, "#begin-figure");
        await("figures", () -> fx(() -> shell.sheets().top().isPresent()));
        press(robot, KeyCode.DOWN);
        press(robot, KeyCode.ENTER);
        assertThat(begins(robot)).isFalse();
        int low = riff().ground().board().midi(0, 0) % 12;
        assertThat(riff().roots()).allMatch(r -> r.root().pitchClass(riff().ground().key()) == low);
        // One step for the string, one for the figure.
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(riff()).isEqualTo(Demo.blank("begin").riff());
    }

    @Test
    void aDroneIsFound(FxRobot robot) {
        clickOn(robot, "#begin-drone");
        await("the map", () -> robot.lookup(".drone-cell").tryQuery().isPresent());
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.ENTER);
        assertThat(begins(robot)).isFalse();
        assertThat(riff().treatments()).allMatch(t -> t.family() == Family.DRONE);
        assertThat(fx(() -> shell.sheets().top())).isEmpty();
    }

    @Test
    void fingersGoOnTheNeck(FxRobot robot) {
        clickOn(robot, "#begin-neck");
        assertThat(place()).isEqualTo(WritePlace.NECK);
        assertThat(focus()).isEqualTo("neck");
        assertThat(begins(robot)).isFalse();
    }

    @Test
    void aTabIsPasted(FxRobot robot) {
        fx(
                () -> {
                    ClipboardContent c = new ClipboardContent();
                    c.putString(
                            """
                            e|-----------------|
                            B|-----------------|
                            G|-----------------|
                            D|-5-5-7-7-5-5-3-3-|
                            A|-5-5-7-7-5-5-3-3-|
                            E|-3-3-5-5-3-3-1-1-|
                            """);
                    return Clipboard.getSystemClipboard().setContent(c);
                });
        clickOn(robot, "#begin-tab");
        await("taken apart", () -> fx(() -> shell.sheets().top().isPresent()));
    }

    /** Esc leaves four bars; the place to begin can be called again, and another riff taken. */
    @Test
    void itIsLeftAndCalledAgain(FxRobot robot) {
        press(robot, KeyCode.ESCAPE);
        assertThat(begins(robot)).isFalse();
        assertThat(focus()).isEqualTo("voice-band");
        press(robot, KeyCode.DIGIT2);
        run("begin");
        assertThat(begins(robot)).isTrue();
        assertThat(focus()).isEqualTo("begin-roots");
        press(robot, KeyCode.ESCAPE);
        assertThat(riff().treatments().get(0).family()).isEqualTo(Family.FOURTH);
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        press(robot, KeyCode.CONTROL, KeyCode.N);
        assertThat(begins(robot)).isTrue();
        clickOn(robot, "Wet Slate (demo)");
        await("opened", () -> fx(() -> shell.workspace().content().title()).equals("Wet Slate"));
        assertThat(begins(robot)).isFalse();
    }
}
