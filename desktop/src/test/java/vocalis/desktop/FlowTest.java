package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.pattern.Stroke;
import vocalis.core.piece.Piece;
import vocalis.core.voicing.Family;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.library.PieceFiles;

/** A riff of ordinary length from nothing, by keyboard alone, with the presses counted. */
@ExtendWith(ApplicationExtension.class)
class FlowTest extends WindowDriver {

    private int presses;
    private FxRobot robot;

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.blank("flow");
    }

    @Override
    boolean fromTheBeginning() {
        return true;
    }

    /** One press; keys held beside another count as one press with it. */
    private void tap(KeyCode... keys) {
        presses++;
        press(robot, keys);
    }

    private void type(String text) {
        presses += text.length();
        robot.write(text);
        WaitForAsyncUtils.waitForFxEvents();
        settle();
    }

    /**
     * F dorian, 88, five eighths to the bar, three bars of four, a stroke pattern of its own in the
     * second, four families, a line with a slide and a pull-off at the end, heard, named and saved.
     */
    @Test
    void anOrdinaryRiffTakesFewPresses(FxRobot given) throws Exception {
        robot = given;
        await("the first field", () -> fx(() -> stage.getScene().getFocusOwner()) != null);
        // The ground and the roots, a line each.
        tap(KeyCode.SHIFT, KeyCode.TAB);
        type("f dorian 88 5/8");
        tap(KeyCode.ENTER);
        assertThat(riff().ground().key().symbol()).isEqualTo("F dorian");
        type("f bb eb c");
        tap(KeyCode.ENTER);
        // A family each: octave, sus, power, and a triad of which the second shape is taken.
        tap(KeyCode.DIGIT4);
        tap(KeyCode.RIGHT);
        tap(KeyCode.DIGIT6);
        tap(KeyCode.RIGHT);
        tap(KeyCode.RIGHT);
        tap(KeyCode.DIGIT5);
        tap(KeyCode.ENTER);
        awaitCards(Family.TRIAD);
        tap(KeyCode.RIGHT);
        tap(KeyCode.ENTER);
        tap(KeyCode.ESCAPE);
        // The second bar has strokes of its own: plain, two chugs, accent, chug.
        tap(KeyCode.HOME);
        tap(KeyCode.RIGHT);
        tap(KeyCode.CONTROL, KeyCode.TAB);
        tap(KeyCode.F);
        tap(KeyCode.L);
        tap(KeyCode.ENTER);
        tap(KeyCode.SHIFT, KeyCode.ENTER);
        tap(KeyCode.SHIFT, KeyCode.ENTER);
        tap(KeyCode.ENTER);
        tap(KeyCode.A);
        tap(KeyCode.SHIFT, KeyCode.ENTER);
        tap(KeyCode.ESCAPE);
        // The last bar ends in a line: a slide, a pull-off.
        tap(KeyCode.END);
        tap(KeyCode.END);
        tap(KeyCode.F);
        tap(KeyCode.L);
        tap(KeyCode.RIGHT);
        tap(KeyCode.RIGHT);
        tap(KeyCode.DIGIT3);
        tap(KeyCode.S);
        tap(KeyCode.DIGIT5);
        tap(KeyCode.P);
        tap(KeyCode.DIGIT3);
        // Heard, and named.
        tap(KeyCode.ESCAPE);
        tap(KeyCode.SPACE);
        await("sound", () -> shell.player().telemetry().latest().playing());
        tap(KeyCode.SPACE);
        tap(KeyCode.CONTROL, KeyCode.S);
        type("Ladder");
        tap(KeyCode.ENTER);
        Path saved = folder.resolve("riffs").resolve("ladder.vocalis.json");
        await("saved", () -> Files.exists(saved) && fx(() -> !shell.workspace().changed()));
        Piece piece = PieceFiles.read(saved).piece();
        assertThat(piece.title()).isEqualTo("Ladder");
        assertThat(piece.riff().tempo()).isEqualTo(88);
        assertThat(piece.riff().meters().meter(0).symbol()).isEqualTo("5/8");
        assertThat(piece.riff().bars()).isEqualTo(4);
        assertThat(piece.riff().treatments())
                .extracting(t -> t.family())
                .containsExactly(Family.OCTAVE, Family.SUSPENDED, Family.POWER, Family.TRIAD);
        List<?> second = piece.riff().passes().get(1).events();
        assertThat(second).hasSize(5).isNotEqualTo(piece.riff().passes().get(0).events());
        assertThat(second).filteredOn(e -> ((Stroke) e).muted()).hasSize(3);
        assertThat(piece.riff().touches())
                .extracting(t -> t.getClass().getSimpleName())
                .containsExactlyInAnyOrder("Slide", "Legato");
        System.out.println("presses of an ordinary riff: " + presses);
        assertThat(presses).isLessThanOrEqualTo(82);
    }
}
