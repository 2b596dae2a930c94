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
import vocalis.core.practice.Entry;

/** A round for the ear by keys, one question by mouse, and what is kept of it. */
@ExtendWith(ApplicationExtension.class)
class EarWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private void asked(FxRobot robot) {
        await("a question", () -> robot.lookup("#ear-answer-1").tryQuery().isPresent());
    }

    private static String result(FxRobot robot) {
        return robot.lookup("#ear-result").queryAs(Label.class).getText();
    }

    @Test
    void aRoundIsHeardAnsweredToldAndKept(FxRobot robot) {
        run("ear");
        for (int i = 0; i < 8; i++) {
            asked(robot);
            assertThat(result(robot)).isEmpty();
            if (i == 0) {
                tap.clear();
                robot.press(KeyCode.H);
                await("the first to sound", () -> tap.left().length > 24_000);
                robot.release(KeyCode.H);
                clickOn(robot, "#ear-answer-1");
            } else {
                press(robot, KeyCode.DIGIT1);
            }
            assertThat(result(robot)).matches("(?s)(Yes\\.|No: ).*The root is from .*");
            String told = result(robot);
            press(robot, KeyCode.DIGIT2);
            assertThat(result(robot)).as("a second answer changes nothing").isEqualTo(told);
            assertThat(robot.lookup("#ear-next").queryAs(Button.class).isDisabled()).isFalse();
            press(robot, KeyCode.ENTER);
        }
        await("the end", () -> robot.lookup("#ear-next").tryQuery().isEmpty());
        List<Entry> kept =
                fx(
                        () ->
                                shell.models().practice().diary().all().stream()
                                        .filter(e -> e.what().startsWith("ear: "))
                                        .toList());
        assertThat(kept.stream().mapToInt(Entry::passes).sum()).isEqualTo(8);
        assertThat(kept).allMatch(e -> e.failed() <= e.passes());
    }
}
