package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import vocalis.core.instrument.Shape;
import vocalis.formats.wav.WavCodec;
import vocalis.workbench.listening.StandIn;

/** What the program does with what is played to it, the stand-in playing. */
@ExtendWith(ApplicationExtension.class)
class ListeningWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private static String label(FxRobot robot, String id) {
        return robot.lookup(id).queryAs(Label.class).getText();
    }

    private static boolean shown(FxRobot robot, String id) {
        return robot.lookup(id).tryQuery().isPresent();
    }

    /** A strum is named; Enter puts its shape into the riff, and undo takes it back. */
    @Test
    void aStrumBecomesTheChord(FxRobot robot) {
        Shape before = chord(0).candidate().voicing().shape();
        press(robot, KeyCode.F11);
        press(robot, KeyCode.S);
        await("a name", () -> shown(robot, "#played-shape-1"));
        assertThat(label(robot, "#played-words")).isNotEmpty();
        String offered = robot.lookup("#played-shape-1").queryAs(Button.class).getText();
        press(robot, KeyCode.ENTER);
        await("the sheet to go", () -> !shown(robot, "#played-name"));
        settle();
        Shape now = chord(0).candidate().voicing().shape();
        assertThat(offered).contains(now.text());
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        settle();
        assertThat(chord(0).candidate().voicing().shape()).isEqualTo(before);
    }

    /** What was heard is laid beside what stands in the riff by a click, and the riff stays. */
    @Test
    void aStrumIsComparedByMouse(FxRobot robot) {
        Shape before = chord(0).candidate().voicing().shape();
        run("listen");
        press(robot, KeyCode.S);
        await("a name", () -> shown(robot, "#played-compare"));
        fx(
                () -> {
                    robot.lookup("#played-compare").queryAs(Button.class).fire();
                    return null;
                });
        await("both side by side", () -> shown(robot, "#compare-1"));
        assertThat(shown(robot, "#played-name")).isFalse();
        assertThat(chord(0).candidate().voicing().shape()).isEqualTo(before);
    }

    /** A click on a string: the stand-in plucks it out of tune, and how far is told. */
    @Test
    void aStringIsTunedByMouse(FxRobot robot) {
        run("listen");
        var string = robot.lookup("#tuner-6").query().getParent().getChildrenUnmodifiable().get(0);
        fx(
                () -> {
                    ((Button) string).fire();
                    return null;
                });
        await("its cents", () -> label(robot, "#tuner-6").matches("in tune|\\d+ cents .*"));
    }

    /**
     * The stand-in plays as much of the riff in as is asked for: the tab as heard, beside what it
     * is made of. What is heard of the hand that damps the strings at the end is no bar more.
     */
    @Test
    void aRiffIsPlayedIn(FxRobot robot) {
        press(robot, KeyCode.F12);
        fx(
                () -> {
                    choice(robot, "#play-in-bars").setValue(2);
                    return null;
                });
        clickOn(robot, "#play-in-begin");
        await("what was heard", () -> shown(robot, "#unpick-tab"));
        String string =
                label(robot, "#unpick-tab")
                        .lines()
                        .filter(l -> l.matches("[A-G][b#]? +[|].*"))
                        .findFirst()
                        .orElseThrow();
        assertThat(string.chars().filter(c -> c == '|').count()).as(string).isEqualTo(3);
        press(robot, KeyCode.ESCAPE);
    }

    /** Only some bars: the others stay as they are, and one undo takes it back. */
    @Test
    void barsArePlayedIn(FxRobot robot) {
        var before = fx(() -> shell.models().session().now());
        long from = before.meters().start(1);
        press(robot, KeyCode.F12);
        fx(
                () -> {
                    choice(robot, "#play-in-what").setValue(false);
                    choice(robot, "#play-in-first").setValue(1);
                    choice(robot, "#play-in-last").setValue(1);
                    return null;
                });
        press(robot, KeyCode.ENTER);
        await("what was heard", () -> shown(robot, "#unpick-take"));
        await(
                "taken apart",
                () -> !robot.lookup("#unpick-take").queryAs(Button.class).isDisabled());
        assertThat(robot.lookup("#unpick-take").queryAs(Button.class).getText())
                .startsWith("Put it into bar 2");
        assertThat(shown(robot, "#unpick-key")).as("its key is the riff's").isFalse();
        press(robot, KeyCode.N);
        await(
                "taken apart",
                () -> !robot.lookup("#unpick-take").queryAs(Button.class).isDisabled());
        press(robot, KeyCode.ENTER);
        await("bar 2", () -> !fx(() -> shell.models().session().now()).equals(before));
        var now = fx(() -> shell.models().session().now());
        assertThat(now.length()).isEqualTo(before.length());
        assertThat(now.roots().get(0).root()).isEqualTo(before.roots().get(0).root());
        assertThat(now.start(now.chordAt(from))).as("a chord begins with the bar").isEqualTo(from);
        settle();
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        await("undone", () -> fx(() -> shell.models().session().now()).equals(before));
    }

    @SuppressWarnings("unchecked")
    private static <T> ComboBox<T> choice(FxRobot robot, String id) {
        return robot.lookup(id).queryAs(ComboBox.class);
    }

    /** A recording that is brought in is written down, and kept as a take of its riff. */
    @Test
    void aRecordingIsWrittenDown(FxRobot robot, @TempDir Path folder) throws IOException {
        var derived = fx(() -> shell.models().session().derived());
        var take = StandIn.play(derived.score(), derived.riff().ground(), StandIn.Errors.NONE, 1);
        Path file = folder.resolve("idea.WAV");
        Files.write(file, WavCodec.write(take.stereo(), 48_000));
        fx(
                () -> {
                    shell.exchange().importFile(file);
                    return null;
                });
        await("what was heard", () -> shown(robot, "#unpick-tab"));
        await(
                "what it is made of",
                () -> !robot.lookup("#unpick-take").queryAs(Button.class).isDisabled());
        press(robot, KeyCode.ENTER);
        await("the riff", () -> fx(() -> shell.models().session().piece().title()).equals("idea"));
        settle();
        run("takes");
        await("its take", () -> shown(robot, "#take-1"));
    }

    /** Every pass is told while one practises, and marked. */
    @Test
    void aPassIsTold(FxRobot robot) {
        press(robot, KeyCode.F8);
        run("listen-along");
        assertThat(fx(() -> shell.models().following().on())).isTrue();
        press(robot, KeyCode.SPACE);
        await("a pass", () -> !fx(() -> shell.models().following().passes()).isEmpty());
        press(robot, KeyCode.SPACE);
        var pass = fx(() -> shell.models().following().passes().get(0));
        assertThat(pass.strokes()).isNotEmpty();
        assertThat(fx(() -> shell.models().session().saidProperty().get())).isNotNull();
        run("listen-along");
        assertThat(fx(() -> shell.models().following().on())).isFalse();
        run("keep-take");
        await(
                "the take",
                () -> fx(() -> shell.models().session().saidProperty().get()).startsWith("Kept"));
        run("takes");
        await("its row", () -> shown(robot, "#take-1"));
        press(robot, KeyCode.DELETE);
        await("it to go", () -> !shown(robot, "#take-1"));
        assertThat(label(robot, "#takes-state")).startsWith("None yet");
    }
}
