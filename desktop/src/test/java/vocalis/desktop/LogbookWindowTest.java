package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Standing;
import vocalis.formats.json.Extras;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.library.Journal;
import vocalis.workbench.library.LibraryEntry;

/** The logbook by keyboard in the real window: caught, found, judged, put away, brought back. */
@ExtendWith(ApplicationExtension.class)
class LogbookWindowTest extends WindowDriver {

    private static final String LEFT = "left behind by another window";

    /** Another window left work behind before this one opens. */
    @Start
    void start(Stage stage) throws IOException {
        Journal dead = Journal.in(folder.resolve("journal"));
        dead.keep(
                Demo.pieces().get(3).withAbout(LEFT),
                Extras.NONE,
                Optional.empty(),
                Optional.empty());
        dead.close();
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.pieces().get(0);
    }

    private boolean sheet() {
        return fx(() -> shell.sheets().top().isPresent());
    }

    private void answerWhatWasFound(FxRobot robot) {
        await(
                "unsaved work is offered",
                () -> sheet() && robot.lookup("#recover").tryQuery().isPresent());
        press(robot, KeyCode.ESCAPE);
    }

    @SuppressWarnings("unchecked")
    private List<LibraryEntry> listed(FxRobot robot) {
        return fx(() -> List.copyOf(robot.lookup("#logbook").queryAs(ListView.class).getItems()));
    }

    private String detail(FxRobot robot) {
        return fx(() -> robot.lookup("#logbook-detail").queryAs(Label.class).getText());
    }

    @Test
    void unsavedWorkOfAnotherWindowIsTakenUp(FxRobot robot) {
        await("unsaved work is offered", () -> robot.lookup("#recover").tryQuery().isPresent());
        press(robot, KeyCode.ENTER);
        await("it is taken up", () -> fx(() -> shell.workspace().content().about()).equals(LEFT));
        // It would be lost again, and says so.
        assertThat(fx(() -> shell.workspace().changed())).isTrue();
    }

    @Test
    void ideasAreCaughtFoundJudgedPutAwayAndBroughtBack(FxRobot robot) {
        answerWhatWasFound(robot);
        press(robot, KeyCode.CONTROL, KeyCode.J);
        await(
                "caught",
                () ->
                        fx(() -> shell.models().session().saidProperty().get())
                                .startsWith("Caught as winch-house"));
        // Another riff, caught too: the logbook has both.
        press(robot, KeyCode.UP);
        press(robot, KeyCode.CONTROL, KeyCode.J);
        await(
                "caught again",
                () -> {
                    try (var all = Files.list(shell.keeping().library().folder())) {
                        return all.count() == 2;
                    } catch (IOException e) {
                        throw new AssertionError(e);
                    }
                });
        press(robot, KeyCode.F9);
        await("two riffs", () -> listed(robot).size() == 2);
        LibraryEntry first = listed(robot).get(0);
        assertThat(first.status()).isEqualTo(Standing.Status.IDEA.words());

        // A title typed at once is looked for: it rates nothing and opens nothing.
        robot.write("5 thorn");
        await("looked for", () -> listed(robot).isEmpty());
        press(robot, KeyCode.CONTROL, KeyCode.A);
        press(robot, KeyCode.DELETE);
        await("both again", () -> listed(robot).size() == 2);
        assertThat(listed(robot)).allMatch(e -> e.rating() == 0);
        press(robot, KeyCode.DOWN);
        press(robot, KeyCode.DIGIT4);
        await("rated", () -> listed(robot).stream().anyMatch(e -> e.rating() == 4));
        press(robot, KeyCode.T);
        assertThat(fx(() -> robot.lookup("#ask-line").queryTextInputControl().getText()))
                .as("the key that opened the field is not in it")
                .isEmpty();
        robot.write("slate, opener");
        press(robot, KeyCode.ENTER);
        await(
                "tagged",
                () ->
                        listed(robot).stream()
                                .anyMatch(e -> e.tags().equals(List.of("slate", "opener"))));
        press(robot, KeyCode.DIGIT3);
        await(
                "the list has the keys again",
                () -> listed(robot).stream().anyMatch(e -> e.rating() == 3));
        press(robot, KeyCode.CONTROL, KeyCode.F);
        robot.write("tag:slate key:d");
        await("found", () -> listed(robot).size() == 1);
        robot.write("x");
        await("nothing", () -> listed(robot).isEmpty());
        await("said why", () -> nothing(robot).startsWith("No riff fits"));
        press(robot, KeyCode.CONTROL, KeyCode.A);
        press(robot, KeyCode.DELETE);
        await("all again", () -> listed(robot).size() == 2);

        // Held, it is heard; let go, it ends.
        press(robot, KeyCode.DOWN);
        robot.press(KeyCode.H);
        await(
                "it plays",
                () -> fx(() -> shell.models().session().player().telemetry().latest().playing()));
        robot.release(KeyCode.H);
        await(
                "it ends",
                () -> !fx(() -> shell.models().session().player().telemetry().latest().playing()));

        press(robot, KeyCode.DELETE);
        await("put away", () -> listed(robot).size() == 1);
        press(robot, KeyCode.Z);
        await("brought back", () -> listed(robot).size() == 2);
        assertThat(detail(robot)).isNotBlank();
        // The one that the search leaves is opened from there.
        press(robot, KeyCode.CONTROL, KeyCode.F);
        robot.write("tag:slate");
        await("found", () -> listed(robot).size() == 1);
        press(robot, KeyCode.ENTER);
        await("opened", () -> !sheet() || robot.lookup("#ask-discard").tryQuery().isPresent());
        if (sheet()) {
            clickOn(robot, "#ask-discard");
        }
        await("opened", () -> fx(() -> shell.workspace().file().isPresent()));
    }

    /** A kept version above the riff as it is: both are painted, what differs is said. */
    private String nothing(FxRobot robot) {
        return fx(() -> robot.lookup("#logbook-nothing").queryLabeled().getText());
    }

    @Test
    void anEmptyLogbookSaysHowRiffsComeIntoIt(FxRobot robot) {
        answerWhatWasFound(robot);
        press(robot, KeyCode.F9);
        await("said how", () -> nothing(robot).startsWith("Nothing here: Ctrl J catches"));
        assertThat(listed(robot)).isEmpty();
    }

    @Test
    void aVersionIsComparedAndRestored(FxRobot robot) {
        answerWhatWasFound(robot);
        var before = riff();
        run("keep-version");
        press(robot, KeyCode.DIGIT5);
        assertThat(riff()).isNotEqualTo(before);
        settle();
        run("versions");
        press(robot, KeyCode.C);
        await(
                "what differs",
                () ->
                        robot.lookup("#compare-differs").tryQuery().isPresent()
                                && fx(() ->
                                                robot.lookup("#compare-differs")
                                                        .queryAs(Label.class)
                                                        .getText())
                                        .contains("chord 1 becomes"));
        press(robot, KeyCode.ENTER);
        assertThat(riff()).isEqualTo(before);
        press(robot, KeyCode.ESCAPE);
    }
}
