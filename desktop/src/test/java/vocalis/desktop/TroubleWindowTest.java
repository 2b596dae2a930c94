package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.workbench.base.Log;

/**
 * What nobody expected to fail is shown, once, with a report that names nothing of the player's.
 */
@ExtendWith(ApplicationExtension.class)
class TroubleWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private static Exception failure(String message) {
        return new IllegalStateException(message);
    }

    @Test
    void itIsShownOnceAndCanBeCopied(FxRobot robot) throws IOException {
        Exception e = failure("nothing at " + folder.resolve("My Song.vocalis.json"));
        Log.unexpected("drawing the tab", e);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(fx(() -> robot.lookup("#trouble-copy").tryQuery().isPresent())).isTrue();
        assertThat(text(robot)).contains("drawing the tab", "journal", "next start");
        press(robot, KeyCode.ENTER);
        String report = fx(() -> Clipboard.getSystemClipboard().getString());
        assertThat(report)
                .contains("drawing the tab", "IllegalStateException", "TroubleWindowTest")
                .doesNotContain("My Song", folder.toString());
        Log.unexpected("drawing the tab", e);
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(fx(() -> robot.lookup("#trouble-copy").tryQuery().isPresent()))
                .as("the same failure again")
                .isFalse();
    }

    private static String text(FxRobot robot) {
        return fx(
                () ->
                        robot
                                .lookup(".help .label")
                                .queryAllAs(javafx.scene.control.Label.class)
                                .stream()
                                .map(javafx.scene.control.Label::getText)
                                .reduce("", (a, b) -> a + "\n" + b));
    }
}
