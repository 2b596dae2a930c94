package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ListView;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Treatment;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Onset;
import vocalis.core.voicing.Family;
import vocalis.workbench.demo.Demo;

/** A riff from nothing into the hands by the mouse alone, with the clicks counted. */
@ExtendWith(ApplicationExtension.class)
class MouseFlowTest extends WindowDriver {

    private FxRobot robot;
    private int clicks;

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.blank("mouse");
    }

    @Override
    boolean fromTheBeginning() {
        return true;
    }

    private void click(String id) {
        await(id, () -> robot.lookup(id).tryQuery().filter(Node::isVisible).isPresent());
        clicks++;
        clickOn(robot, id);
        WaitForAsyncUtils.waitForFxEvents(2);
        settle();
    }

    private void click(Point2D at) {
        clicks++;
        clickOn(robot, at);
        WaitForAsyncUtils.waitForFxEvents(2);
        settle();
    }

    private void drag(Point2D from, Point2D to) {
        clicks++;
        over(robot, from).press(MouseButton.PRIMARY).moveTo(to).release(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents(2);
        settle();
    }

    private Point2D chordAt(int i) {
        Node band = robot.lookup("#voice-band").query();
        double w = fx(() -> band.getBoundsInLocal().getWidth());
        return at(band, 52 + (i + 0.5) * (w - 52 - 64) / 4, 60);
    }

    private Point2D cardAt() {
        return at(robot.lookup("#cards").query(), 60, 30);
    }

    /** A step of the lane, counted in eighths, at a height. */
    private Point2D step(int eighth, double y) {
        Node lane = robot.lookup("#lane").query();
        double w = fx(() -> lane.getBoundsInLocal().getWidth());
        return at(lane, 53 + eighth * (w - 52 - 64) / 32, y);
    }

    @Test
    void aRiffWithoutAKey(FxRobot given) throws Exception {
        robot = given;
        click("#begin-skip");
        // Four chords: the second two steps up, the third five, the fourth a step down.
        click(chordAt(1));
        click("#strip-root-up");
        click("#strip-root-up");
        click(chordAt(2));
        for (int i = 0; i < 3; i++) {
            click("#strip-root-down");
        }
        click(chordAt(3));
        click("#strip-root-down");
        assertThat(riff().roots().stream().map(r -> r.root().step())).containsExactly(1, 3, 5, 7);
        // Another family for the third, heard against the first, taken.
        click(chordAt(2));
        click("#family-3");
        awaitCards(Family.THIRD);
        heard(cardAt());
        click("#use-voicing");
        assertThat(riff().treatments())
                .extracting(Treatment::family)
                .containsExactly(Family.POWER, Family.POWER, Family.THIRD, Family.POWER);
        heard(chordAt(0));
        // Strokes between the beats of every bar; two under the palm, accents by dragging.
        for (int e : new int[] {1, 5}) {
            click(step(e, 60));
            click("#strip-stroke");
        }
        assertThat(fx(() -> model().derived().score().onsets().size())).isEqualTo(24);
        double under = fx(() -> robot.lookup("#lane").query().getBoundsInLocal().getHeight()) - 12;
        drag(step(1, under), step(2, under));
        drag(step(4, 6), step(5, 6));
        List<Onset> all = fx(() -> model().derived().score().onsets());
        assertThat(all.stream().filter(o -> o.at() < Ticks.WHOLE).filter(o -> o.manner().palm()))
                .extracting(Onset::at)
                .containsExactly(Ticks.EIGHTH, Ticks.QUARTER);
        assertThat(
                        all.stream()
                                .filter(o -> o.at() < Ticks.WHOLE)
                                .filter(o -> o.dynamics() == Dynamics.ACCENT))
                .extracting(Onset::at)
                .containsExactly(2 * Ticks.QUARTER, 2 * Ticks.QUARTER + Ticks.EIGHTH);
        // Heard, saved under the name that is offered, found in the logbook.
        click("#play");
        await("sound", () -> shell.player().telemetry().latest().playing());
        click("#play");
        click("#save-now");
        click("#ask-take");
        Path saved = folder.resolve("riffs").resolve("a-minor-at-110.vocalis.json");
        await("saved", () -> Files.exists(saved) && fx(() -> !shell.workspace().changed()));
        click("#screen-logbook");
        ListView<?> list = robot.lookup("#logbook").queryListView();
        await("in the logbook", () -> fx(() -> list.getItems().size()) == 1);
        click("#sheet-close");
        // Practised at two thirds.
        click("#screen-practise");
        click("#strip-tempo-two-thirds");
        assertThat(fx(() -> shell.models().practice().pace().tempo())).isEqualTo(73);
        click("#play");
        await("practised", () -> shell.player().telemetry().latest().playing());
        click("#play");
        System.out.println("clicks of a riff by mouse alone: " + clicks);
        assertThat(clicks).isLessThan(60);
    }

    /** Held, it sounds; let go, it ends. */
    private void heard(Point2D at) {
        clicks++;
        over(robot, at).press(MouseButton.PRIMARY);
        await("heard", () -> shell.player().telemetry().latest().audition());
        robot.release(MouseButton.PRIMARY);
        await("silence", () -> !shell.player().telemetry().latest().audition());
        WaitForAsyncUtils.waitForFxEvents(2);
    }
}
