package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.exchange.Exchange;
import vocalis.workbench.exchange.Target;

/** Riffs taken away and brought in by keyboard in the real window. */
@ExtendWith(ApplicationExtension.class)
class ExchangeWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.pieces().get(1);
    }

    private String label(FxRobot robot, String id) {
        return fx(() -> robot.lookup("#" + id).queryAs(Label.class).getText());
    }

    private boolean sheet() {
        return fx(() -> shell.sheets().top().isPresent());
    }

    private List<String> shapes() {
        return fx(
                () ->
                        model().derived().chords().stream()
                                .map(Derived.Chord::candidate)
                                .map(c -> c.voicing().shape().text())
                                .toList());
    }

    /** Every target is previewed, says what is lost, and is written where it was asked. */
    @Test
    void everyTargetIsPreviewedAndWritten(FxRobot robot) throws IOException {
        for (Target t : Target.values()) {
            press(robot, KeyCode.CONTROL, KeyCode.E);
            await("the sheet", this::sheet);
            press(robot, KeyCode.HOME);
            for (int i = 0; i < t.ordinal(); i++) {
                press(robot, KeyCode.DOWN);
            }
            await("a preview", () -> !label(robot, "export-losses").equals("…"));
            assertThat(label(robot, "export-losses")).startsWith("It leaves out");
            press(robot, KeyCode.ENTER);
            Path file = folder.resolve("wet-slate" + t.ending());
            await("the file", () -> Files.exists(file) && !sheet());
            assertThat(Files.size(file)).isGreaterThan(100);
        }
    }

    @Test
    void aRenderThatIsCancelledLeavesNothing(FxRobot robot) {
        press(robot, KeyCode.CONTROL, KeyCode.E);
        press(robot, KeyCode.HOME);
        for (int i = 0; i < Target.WAV.ordinal(); i++) {
            press(robot, KeyCode.DOWN);
        }
        // Without waiting for the preview, so that rendering waits behind it.
        robot.push(KeyCode.ENTER);
        await("rendering", this::sheet);
        press(robot, KeyCode.ESCAPE);
        await(
                "cancelled",
                () ->
                        fx(() -> shell.models().session().saidProperty().get())
                                .contains("cancelled"));
        assertThat(folder.resolve("wet-slate.wav")).doesNotExist();
    }

    /** The riff's own tab, pasted, comes back as the same shapes and figures. */
    @Test
    void aTabIsCopiedPastedAndUnpicked(FxRobot robot) {
        settle();
        List<String> before = shapes();
        Riff riff = riff();
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.C);
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.V);
        await("the sheet", this::sheet);
        await("unpicked", () -> label(robot, "unpick-said").contains("every one of the"));
        assertThat(label(robot, "unpick-tab")).contains("value");
        press(robot, KeyCode.ENTER);
        await("taken", () -> !sheet());
        settle();
        assertThat(shapes()).isEqualTo(before);
        assertThat(riff()).isNotSameAs(riff);
        // It can be voiced anew like any riff.
        press(robot, KeyCode.CONTROL, KeyCode.DIGIT4);
        settle();
        assertThat(shapes()).isNotEqualTo(before);
    }

    @Test
    void aRootIsCorrectedBeforeItIsTaken(FxRobot robot) {
        fx(
                () -> {
                    ClipboardContent c = new ClipboardContent();
                    c.putString(
                            "e|-------|\nB|-------|\nG|-------|\nD|-5---5-|\nA|-3---3-|\nE|-3---3-|\n");
                    return Clipboard.getSystemClipboard().setContent(c);
                });
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.V);
        await("the sheet", this::sheet);
        await("unpicked", () -> label(robot, "unpick-said").contains("gives back"));
        assertThat(label(robot, "unpick-remarks")).contains("spacing").contains("tempo");
        String before = fx(() -> robot.lookup("#unpick-chord-0").queryButton().getText());
        press(robot, KeyCode.RIGHT);
        await(
                "another root",
                () ->
                        !fx(() -> robot.lookup("#unpick-chord-0").queryButton().getText())
                                .equals(before));
        press(robot, KeyCode.ESCAPE);
        assertThat(sheet()).isFalse();
    }

    @Test
    void aFileThatIsDroppedIsTakenApartAndABadOneIsTold(FxRobot robot) throws Exception {
        settle();
        Piece other = Demo.pieces().get(0);
        Path good = folder.resolve("other.musicxml");
        new Exchange(CATALOGUE, Hand.MEDIUM)
                .away(other)
                .write(Target.MUSICXML, good, 1, () -> false);
        Path bad = Files.writeString(folder.resolve("bad.musicxml"), "<score-partwise><part");
        Piece open = fx(() -> shell.workspace().content());
        fx(
                () -> {
                    shell.exchange().importFile(bad);
                    return 0;
                });
        await("told", this::sheet);
        assertThat(fx(() -> shell.workspace().content())).isEqualTo(open);
        press(robot, KeyCode.ENTER);
        chosenFile = good;
        press(robot, KeyCode.CONTROL, KeyCode.I);
        await("unpicked", () -> sheet() && label(robot, "unpick-said").contains("every one"));
        press(robot, KeyCode.ENTER);
        await("taken", () -> !sheet());
        assertThat(fx(() -> shell.workspace().content().title())).isEqualTo(other.title());
    }
}
