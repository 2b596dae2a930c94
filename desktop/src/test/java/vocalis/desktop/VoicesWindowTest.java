package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import javafx.geometry.Point2D;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.piece.Piece;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.desktop.lane.Lane;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.demo.Demo;

/** Any voice of a stroke under the fingers, by keys and by mouse, in an empty riff. */
@ExtendWith(ApplicationExtension.class)
class VoicesWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.blank();
    }

    /** What is done on each string of the stroke under the caret, lowest string first. */
    private Map<Integer, List<Technique.Kind>> done() {
        settle();
        return fx(
                () ->
                        model().lane().touches().voices().here().stream()
                                .collect(
                                        Collectors.toMap(
                                                ScoreNote::string,
                                                n ->
                                                        n.techniques().stream()
                                                                .map(Technique::kind)
                                                                .toList())));
    }

    private String chosen() {
        return fx(() -> model().lane().touches().voices().inWords());
    }

    private void toLane() {
        fx(
                () -> {
                    model().go(WritePlace.LANE);
                    return null;
                });
        WaitForAsyncUtils.waitForFxEvents();
    }

    @Test
    void oneKeyGoesFromVoiceToVoice(FxRobot robot) {
        toLane();
        assertThat(chosen()).isEqualTo("the top note");
        press(robot, KeyCode.G);
        assertThat(chosen()).isEqualTo("all 3 notes");
        press(robot, KeyCode.G);
        assertThat(chosen()).isEqualTo("string 4, fret 2");
        press(robot, KeyCode.G);
        assertThat(chosen()).isEqualTo("string 5, fret 0");
        press(robot, KeyCode.G);
        assertThat(chosen()).isEqualTo("the top note");
        press(robot, KeyCode.G);
        press(robot, KeyCode.CONTROL, KeyCode.RIGHT);
        assertThat(chosen()).as("after the caret moved on").isEqualTo("the top note");
    }

    /** E opens the menu, Enter takes its first line; on all notes each is hammered. */
    @Test
    void theMenuActsOnTheNotesChosen(FxRobot robot) {
        toLane();
        press(robot, KeyCode.G);
        fx(
                () -> {
                    model().lane().touches().slide(2);
                    return null;
                });
        assertThat(done().values()).allMatch(List.of(Technique.Kind.SLIDE)::equals).hasSize(3);
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(done().values()).allMatch(List::isEmpty);
        run("lift-shape");
        assertThat(done())
                .isEqualTo(
                        Map.of(
                                1, List.of(),
                                2, List.of(Technique.Kind.PULL),
                                3, List.of(Technique.Kind.PULL)));
        run("slide-shape");
        assertThat(fx(() -> model().session().quiet())).as("it is said why not").isFalse();
        press(robot, KeyCode.E);
        assertThat(robot.lookup("On all 3 notes").tryQuery()).isPresent();
        assertThat(robot.lookup("The whole shape").tryQuery()).isPresent();
        press(robot, KeyCode.ESCAPE);
    }

    /** Ctrl-click takes the note on a string in, or out again. */
    @Test
    void aVoiceIsChosenByPointing(FxRobot robot) {
        toLane();
        Lane lane = robot.lookup("#lane").queryAs(Lane.class);
        long caret = fx(() -> model().lane().caretProperty().get());
        Point2D low =
                fx(
                        () -> {
                            double[] p = lane.at(caret, 1);
                            return lane.localToScreen(p[0], p[1]);
                        });
        robot.press(KeyCode.CONTROL);
        clickOn(robot, low);
        robot.release(KeyCode.CONTROL);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(chosen()).isEqualTo("string 3, fret 2 and string 5, fret 0");
        press(robot, KeyCode.ALT, KeyCode.UP);
        settle();
        assertThat(
                        fx(
                                () ->
                                        model().derived().score().onsets().get(0).notes().stream()
                                                .map(ScoreNote::fret)
                                                .toList()))
                .containsExactly(1, 2, 3);
    }
}
