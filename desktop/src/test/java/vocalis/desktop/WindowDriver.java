package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.event.Event;
import javafx.event.EventType;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Sounding;
import vocalis.desktop.desks.Prompts;
import vocalis.desktop.view.Background;
import vocalis.desktop.writing.WriteModel;
import vocalis.sound.device.Clock;
import vocalis.sound.device.OutputLine;
import vocalis.workbench.base.Places;
import vocalis.workbench.base.Preferences;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.playing.Measured;

/** Opens the real window with a tapped sound device, and presses and reads what a user would. */
abstract class WindowDriver {

    /** Voicings searched once for all windows of a run; the search has tests of its own. */
    static final Catalogue CATALOGUE = new Catalogue();

    /**
     * What voicings sound like, measured once for all windows of a run, and riffs that stand for a
     * second: those that a test only passes through are not measured.
     */
    static final Measured MEASURED = new Measured(1000);

    static final double SETTLE = 0.6;

    @TempDir Path folder;
    final Tap tap = new Tap(true);
    Path chosenFile;

    /** What the player types into the dialog that saves; null takes what is suggested. */
    Path chosenTarget;

    /** The folder in which that dialog opened. */
    Path offered;

    Shell shell;
    Stage stage;

    /** What the window opens with. */
    Piece first() {
        return Demo.pieces().get(0);
    }

    /** Whether an empty riff stays on the place to begin; most tests go on from its four bars. */
    boolean fromTheBeginning() {
        return false;
    }

    /**
     * Whether the window opens as large as the screen. The offscreen toolkit fails to paint a
     * window that grew: one that is resized only ever shrinks.
     */
    boolean large() {
        return false;
    }

    /** What the window plays through. */
    OutputLine.Opener device() {
        return tap;
    }

    /** Opens the window; each test class calls it from its own start. */
    final void open(Stage stage) {
        System.setProperty("vocalis.data", folder.toString());
        this.stage = stage;
        if (large()) {
            Preferences left = Preferences.in(Places.in(folder).settings());
            left.set("window.width", 1920);
            left.set("window.height", 1080);
            left.save();
        }
        Theme.loadFonts();
        Prompts prompts =
                new Prompts() {
                    @Override
                    public Optional<Path> fileToOpen(Window owner, Path in) {
                        return Optional.ofNullable(chosenFile);
                    }

                    @Override
                    public Optional<Path> fileToSave(Window owner, String suggestedName, Path in) {
                        offered = in;
                        return Optional.of(
                                chosenTarget != null
                                        ? chosenTarget
                                        : folder.resolve(suggestedName));
                    }

                    @Override
                    public Optional<Path> fileToImport(Window owner) {
                        return Optional.ofNullable(chosenFile);
                    }

                    @Override
                    public Optional<Path> fileToExport(
                            Window owner, String suggestedName, String what) {
                        return Optional.of(folder.resolve(suggestedName));
                    }
                };
        Shell.Prepared prepared =
                Shell.Prepared.of(
                        CATALOGUE,
                        MEASURED,
                        first(),
                        device(),
                        Clock.system(),
                        5,
                        Places.in(folder),
                        Background.HOME);
        shell = new Shell(stage, prepared, prompts);
        if (!fromTheBeginning()) {
            shell.commands().get("leave").action().run();
        }
        stage.show();
    }

    @AfterEach
    void close() {
        Platform.runLater(() -> stage.hide());
        WaitForAsyncUtils.waitForFxEvents();
    }

    // Helpers.

    /** Makes the window smaller, or leaves it: see {@link #large()}. */
    void size(double width, double height) {
        fx(
                () -> {
                    assertThat(width).isLessThanOrEqualTo(stage.getWidth());
                    stage.setWidth(width);
                    stage.setHeight(height);
                    return null;
                });
        WaitForAsyncUtils.waitForFxEvents();
        await("the size", () -> fx(() -> Math.abs(stage.getScene().getWidth() - width) < 20));
        WaitForAsyncUtils.waitForFxEvents();
    }

    static void sleep(double seconds) {
        try {
            Thread.sleep((long) (seconds * 1000));
        } catch (InterruptedException e) {
            throw new AssertionError(e);
        }
    }

    /**
     * Waits until the device has taken so many more seconds of sound: on a busy machine that is
     * later than the clock says. Without a device it gives up after ten times as long.
     */
    void listen(double seconds) {
        long enough = tap.frames() + (long) (seconds * Tap.RATE);
        sleep(seconds);
        long end = System.nanoTime() + (long) (seconds * 9e9);
        while (tap.frames() < enough && System.nanoTime() < end) {
            sleep(0.01);
        }
    }

    static void await(String what, BooleanSupplier condition) {
        long end = System.nanoTime() + 180_000_000_000L;
        while (!condition.getAsBoolean()) {
            assertThat(System.nanoTime()).as("waited too long for " + what).isLessThan(end);
            sleep(0.02);
            WaitForAsyncUtils.waitForFxEvents();
        }
    }

    static <T> T fx(Supplier<T> supplier) {
        return WaitForAsyncUtils.waitForAsyncFx(120_000, supplier::get);
    }

    WriteModel model() {
        return shell.models().write();
    }

    /** The riff as it is now. */
    Riff riff() {
        return fx(() -> shell.models().session().now());
    }

    /** Waits until what the riff comes to is on the screen. */
    void settle() {
        await("deriving", () -> fx(() -> shell.workspace().upToDate()));
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
                                        model().shown().familyProperty().get() == family
                                                && !model().shown().cardsProperty().get().isEmpty()
                                                && family.accepts(
                                                        model().shown()
                                                                .cardsProperty()
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

    /** Puts the pointer there at once: the robot by itself walks to every place in 200 steps. */
    static FxRobot over(FxRobot robot, Point2D there) {
        robot.robotContext().getMouseRobot().move(there);
        return robot;
    }

    static FxRobot clickOn(FxRobot robot, Point2D there) {
        over(robot, there).clickOn(there);
        return robot;
    }

    static FxRobot clickOn(FxRobot robot, String what) {
        // What was put there this moment lies elsewhere until it is laid out.
        fx(
                () -> {
                    Parent root = robot.lookup(what).query().getScene().getRoot();
                    root.applyCss();
                    root.layout();
                    return root;
                });
        return clickOn(robot, robot.point(what).query());
    }

    void click(FxRobot robot, Node node, double x, double y) {
        clickOn(robot, at(node, x, y));
        WaitForAsyncUtils.waitForFxEvents();
        settle();
    }

    /** What the toolkit tells of a click, in this order. */
    static final List<EventType<MouseEvent>> CLICK =
            List.of(MouseEvent.MOUSE_PRESSED, MouseEvent.MOUSE_RELEASED, MouseEvent.MOUSE_CLICKED);

    /** What the toolkit tells a node of its left button, at a place of its own. */
    static MouseEvent mouse(EventType<MouseEvent> type, Point2D at, Point2D screen, int clicks) {
        boolean down = type == MouseEvent.MOUSE_PRESSED;
        return new MouseEvent(
                type,
                at.getX(),
                at.getY(),
                screen.getX(),
                screen.getY(),
                MouseButton.PRIMARY,
                clicks,
                false,
                false,
                false,
                false,
                down,
                false,
                false,
                false,
                false,
                true,
                null);
    }

    /**
     * Clicks with the robot, and a second time as the toolkit tells a double click: under load the
     * robot's own two clicks may lie too far apart for one.
     */
    void doubleClick(FxRobot robot, Node node, double x, double y) {
        click(robot, node, x, y);
        Point2D here = new Point2D(x, y);
        fx(
                () -> {
                    Point2D screen = node.localToScreen(here);
                    CLICK.forEach(t -> Event.fireEvent(node, mouse(t, here, screen, 2)));
                    return null;
                });
        settle();
    }

    /** One press and release of all the keys, once what was asked before has come to rest. */
    void press(FxRobot robot, KeyCode... keys) {
        WaitForAsyncUtils.waitForFxEvents(2);
        var keyboard = robot.robotContext().getKeyboardRobot();
        keyboard.pressNoWait(keys);
        List<KeyCode> up = new ArrayList<>(List.of(keys));
        Collections.reverse(up);
        keyboard.releaseNoWait(up.toArray(KeyCode[]::new));
        WaitForAsyncUtils.waitForFxEvents(2);
        settle();
    }

    /** Does a command as search, menu and buttons do. */
    void run(String id) {
        WaitForAsyncUtils.waitForFxEvents(2);
        fx(
                () -> {
                    shell.commands().get(id).action().run();
                    return null;
                });
        WaitForAsyncUtils.waitForFxEvents(2);
        settle();
    }

    /** Types letters without a pause, as a list that finds by letters wants them. */
    void letters(String text) {
        fx(
                () -> {
                    for (char c : text.toCharArray()) {
                        String s = String.valueOf(c);
                        Event.fireEvent(
                                stage.getScene().getFocusOwner(),
                                new KeyEvent(
                                        KeyEvent.KEY_TYPED,
                                        s,
                                        "",
                                        KeyCode.UNDEFINED,
                                        false,
                                        false,
                                        false,
                                        false));
                    }
                    return null;
                });
        WaitForAsyncUtils.waitForFxEvents();
    }

    Derived.Chord chord(int i) {
        settle();
        return fx(() -> model().derived().chords().get(i));
    }

    <T> void choose(FxRobot robot, String id, T value) {
        ComboBox<T> box = robot.lookup(id).queryComboBox();
        robot.interact(() -> box.setValue(value));
        WaitForAsyncUtils.waitForFxEvents();
        settle();
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
        boolean shape = text.matches("[x0-9-]+");
        await(
                "found " + text,
                () ->
                        fx(
                                () ->
                                        shape
                                                ? model().shown()
                                                        .voicingProperty()
                                                        .get()
                                                        .shape()
                                                        .text()
                                                        .equals(text)
                                                : model().offer()
                                                                .found()
                                                                .filter(text::equals)
                                                                .isPresent()
                                                        || robot.lookup(".family-bar .caption")
                                                                .queryAs(Label.class)
                                                                .getText()
                                                                .contains(text)));
        press(robot, KeyCode.ENTER);
    }
}
