package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;

/** A window that has no place for unsaved work says so, and goes on saying it. */
@ExtendWith(ApplicationExtension.class)
class UnkeptWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) throws IOException {
        // A file lies where the folder would be made.
        Files.writeString(folder.resolve("journal"), "in the way");
        open(stage);
    }

    @Test
    void itIsSaidAndStays(FxRobot robot) {
        assertThat(fx(() -> robot.lookup("#unkept").query().isVisible())).isTrue();
        press(robot, KeyCode.UP);
        press(robot, KeyCode.DOWN);
        assertThat(fx(() -> robot.lookup("#unkept").query().isVisible())).isTrue();
    }
}
