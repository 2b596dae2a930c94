package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Score;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Sounding;
import vocalis.desktop.write.WriteModel;
import vocalis.sound.device.Clock;
import vocalis.workbench.Demo;

/** Opens the real window with a tapped sound device, and presses and reads what a user would. */
abstract class WindowDriver {

    static final double SETTLE = 0.6;

    @TempDir Path folder;
    final Tap tap = new Tap(true);
    Path chosenFile;
    Shell shell;
    Stage stage;

    /** Opens the window; each test class calls it from its own start. */
    final void open(Stage stage) {
        System.setProperty("vocalis.data", folder.toString());
        this.stage = stage;
        Theme.loadFonts();
        Prompts prompts =
                new Prompts() {
                    @Override
                    public Optional<Path> fileToOpen(Window owner) {
                        return Optional.ofNullable(chosenFile);
                    }

                    @Override
                    public Optional<Path> fileToSave(Window owner, String suggestedName) {
                        return Optional.of(folder.resolve(suggestedName));
                    }
                };
        Shell.Prepared prepared = Shell.Prepared.of(Demo.riffs().get(0), tap, Clock.system(), 5);
        shell = new Shell(stage, prepared, prompts);
        stage.show();
    }

    @AfterEach
    void close() {
        Platform.runLater(() -> stage.hide());
        WaitForAsyncUtils.waitForFxEvents();
    }

    // Helpers.

    static void sleep(double seconds) {
        try {
            Thread.sleep((long) (seconds * 1000));
        } catch (InterruptedException e) {
            throw new AssertionError(e);
        }
    }

    static void await(String what, BooleanSupplier condition) {
        long end = System.nanoTime() + 20_000_000_000L;
        while (!condition.getAsBoolean()) {
            assertThat(System.nanoTime()).as("waited too long for " + what).isLessThan(end);
            sleep(0.02);
            WaitForAsyncUtils.waitForFxEvents();
        }
    }

    static <T> T fx(Supplier<T> supplier) {
        return WaitForAsyncUtils.waitForAsyncFx(10_000, supplier::get);
    }

    WriteModel model() {
        return shell.model();
    }

    Riff riff() {
        return fx(() -> model().riff());
    }

    String readout(FxRobot robot, String id) {
        return robot.lookup("#" + id).queryAs(Label.class).getText();
    }

    void awaitCards(Family family) {
        await(
                family + " cards",
                () ->
                        fx(
                                () ->
                                        model().familyProperty().get() == family
                                                && !model().cardsProperty().get().isEmpty()
                                                && family.accepts(
                                                        model().cardsProperty()
                                                                .get()
                                                                .get(0)
                                                                .first()
                                                                .voicing())));
    }

    Point2D at(Node node, double x, double y) {
        return fx(
                () -> {
                    Bounds b = node.localToScreen(node.getBoundsInLocal());
                    return new Point2D(b.getMinX() + x, b.getMinY() + y);
                });
    }

    void click(FxRobot robot, Node node, double x, double y) {
        robot.clickOn(at(node, x, y));
        WaitForAsyncUtils.waitForFxEvents();
    }

    static void press(FxRobot robot, KeyCode... keys) {
        robot.push(keys);
        WaitForAsyncUtils.waitForFxEvents();
    }

    Score.Chord chord(int i) {
        return fx(() -> model().score().chords().get(i));
    }

    <T> void choose(FxRobot robot, String id, T value) {
        ComboBox<T> box = robot.lookup(id).queryComboBox();
        robot.interact(() -> box.setValue(value));
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** The shape's own notes sound, and a note that it lacks does not. */
    void assertSounds(List<Sounding> notes, double absentHz) {
        for (Sounding n : notes) {
            assertThat(tap.levelDb(Tap.hz(n.midi()), 0.5))
                    .as("MIDI %d", n.midi())
                    .isGreaterThan(-62);
        }
        double weakest =
                notes.stream()
                        .mapToDouble(n -> tap.levelDb(Tap.hz(n.midi()), 0.5))
                        .min()
                        .orElseThrow();
        assertThat(tap.levelDb(absentHz, 0.5)).isLessThan(weakest - 12);
    }

    void find(FxRobot robot, String text) {
        press(robot, KeyCode.CONTROL, KeyCode.F);
        robot.write(text);
        press(robot, KeyCode.ENTER);
    }
}
