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
import vocalis.core.edit.Scope;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Touch;
import vocalis.core.piece.Piece;
import vocalis.core.voicing.Family;
import vocalis.desktop.writing.WritePlace;
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
     * Key E phrygian, tempo 132, four bars with a stroke pattern of its own in the first, five
     * families, one hammer-on, named and saved. Version 0.1 needed 149 presses.
     */
    @Test
    void anOrdinaryRiffTakesFewPresses(FxRobot given) throws Exception {
        robot = given;
        // The ground: back from the chords to the fields, and letters find.
        tap(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.TAB);
        tap(KeyCode.TAB);
        tap(KeyCode.TAB);
        type("e");
        tap(KeyCode.TAB);
        presses += 2;
        letters("ph");
        settle();
        tap(KeyCode.TAB);
        type("132");
        tap(KeyCode.ESCAPE);
        assertThat(riff().ground().key().symbol()).isEqualTo("E phrygian");
        assertThat(riff().tempo()).isEqualTo(132);
        // Roots: 1, 2, 7, 6.
        tap(KeyCode.DIGIT1);
        tap(KeyCode.RIGHT);
        tap(KeyCode.UP);
        tap(KeyCode.DIGIT2);
        tap(KeyCode.RIGHT);
        tap(KeyCode.DOWN);
        tap(KeyCode.DIGIT3);
        tap(KeyCode.RIGHT);
        tap(KeyCode.DOWN);
        tap(KeyCode.DOWN);
        tap(KeyCode.DIGIT4);
        // Split the last bar for a fifth family.
        tap(KeyCode.CONTROL, KeyCode.K);
        tap(KeyCode.RIGHT);
        tap(KeyCode.DIGIT5);
        // The pattern of the first bar alone.
        tap(KeyCode.HOME);
        tap(KeyCode.CONTROL, KeyCode.TAB);
        tap(KeyCode.O);
        tap(KeyCode.A);
        tap(KeyCode.RIGHT);
        tap(KeyCode.ENTER);
        tap(KeyCode.M);
        tap(KeyCode.RIGHT);
        tap(KeyCode.M);
        tap(KeyCode.RIGHT);
        tap(KeyCode.ENTER);
        tap(KeyCode.UP);
        tap(KeyCode.CONTROL, KeyCode.RIGHT);
        tap(KeyCode.UP);
        // The hammer-on.
        tap(KeyCode.E);
        tap(KeyCode.DOWN);
        tap(KeyCode.ENTER);
        // Saving asks for the name.
        tap(KeyCode.CONTROL, KeyCode.S);
        type("Ladder");
        tap(KeyCode.ENTER);
        Path saved = folder.resolve("riffs").resolve("ladder.vocalis.json");
        await("saved", () -> Files.exists(saved) && fx(() -> !shell.workspace().changed()));
        Piece piece = PieceFiles.read(saved).piece();
        assertThat(piece.title()).isEqualTo("Ladder");
        assertThat(piece.riff().roots().stream().map(r -> r.root().step()))
                .containsExactly(1, 2, 7, 6, 6);
        assertThat(piece.riff().treatments())
                .extracting(t -> t.family())
                .containsExactly(
                        Family.POWER, Family.FOURTH, Family.THIRD, Family.OCTAVE, Family.TRIAD);
        assertThat(piece.riff().bars()).isEqualTo(4);
        assertThat(piece.riff().touches()).singleElement().isInstanceOf(Touch.Legato.class);
        assertThat(piece.riff().pattern().figures()).hasSize(1);
        List<?> first = piece.riff().passes().get(0).events();
        List<?> second = piece.riff().passes().get(1).events();
        assertThat(first).isNotEqualTo(second).hasSize(6);
        assertThat(first).filteredOn(e -> ((Stroke) e).muted()).hasSize(2);
        assertThat(fx(() -> model().lane().scopeProperty().get())).isEqualTo(Scope.THIS_PASS);
        assertThat(fx(() -> shell.models().whereabouts().placeProperty().get()))
                .isEqualTo(WritePlace.LANE);
        System.out.println("presses of the ordinary riff: " + presses);
        assertThat(presses).isLessThan(80);
    }
}
