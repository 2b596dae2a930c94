package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.DialogPane;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import javafx.stage.Window;
import javafx.stage.WindowEvent;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.instrument.Tuning;
import vocalis.core.riff.Member;
import vocalis.core.riff.NamedRiff;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Score;
import vocalis.core.riff.Struck;
import vocalis.core.riff.Tone;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Sounding;
import vocalis.desktop.write.WriteModel;
import vocalis.desktop.write.Zone;
import vocalis.sound.device.AudioOutput;
import vocalis.sound.device.Clock;
import vocalis.workbench.Demo;
import vocalis.workbench.RiffFiles;

/** The real window, driven by mouse and by keyboard, with a tapped sound device. */
@ExtendWith(ApplicationExtension.class)
class WindowTest {

    private static final double SETTLE = 0.6;

    @TempDir Path folder;
    private final Tap tap = new Tap(true);
    private Path chosenFile;
    private Shell shell;
    private Stage stage;

    @Start
    void start(Stage stage) {
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

    private static void sleep(double seconds) {
        try {
            Thread.sleep((long) (seconds * 1000));
        } catch (InterruptedException e) {
            throw new AssertionError(e);
        }
    }

    private static void await(String what, BooleanSupplier condition) {
        long end = System.nanoTime() + 20_000_000_000L;
        while (!condition.getAsBoolean()) {
            assertThat(System.nanoTime()).as("waited too long for " + what).isLessThan(end);
            sleep(0.02);
            WaitForAsyncUtils.waitForFxEvents();
        }
    }

    private static <T> T fx(Supplier<T> supplier) {
        return WaitForAsyncUtils.waitForAsyncFx(10_000, supplier::get);
    }

    private WriteModel model() {
        return shell.model();
    }

    private Riff riff() {
        return fx(() -> model().riff());
    }

    private String readout(FxRobot robot, String id) {
        return robot.lookup("#" + id).queryAs(Label.class).getText();
    }

    private void awaitCards(Family family) {
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

    private Point2D at(Node node, double x, double y) {
        return fx(
                () -> {
                    Bounds b = node.localToScreen(node.getBoundsInLocal());
                    return new Point2D(b.getMinX() + x, b.getMinY() + y);
                });
    }

    private void click(FxRobot robot, Node node, double x, double y) {
        robot.clickOn(at(node, x, y));
        WaitForAsyncUtils.waitForFxEvents();
    }

    private static void press(FxRobot robot, KeyCode... keys) {
        robot.push(keys);
        WaitForAsyncUtils.waitForFxEvents();
    }

    private Score.Chord chord(int i) {
        return fx(() -> model().score().chords().get(i));
    }

    private <T> void choose(FxRobot robot, String id, T value) {
        ComboBox<T> box = robot.lookup(id).queryComboBox();
        robot.interact(() -> box.setValue(value));
        WaitForAsyncUtils.waitForFxEvents();
    }

    /** The shape's own notes sound, and a note that it lacks does not. */
    private void assertSounds(List<Sounding> notes, double absentHz) {
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

    // Steps 2 to 8 by mouse.

    @Test
    void aRiffIsVoicedHeardAndSavedByMouse(FxRobot robot) throws Exception {
        choose(robot, "#tone", Tone.CLEAN);
        choose(robot, "#tuning", Tuning.STANDARD);
        assertThat(riff().ground().instrument().tuning()).isEqualTo(Tuning.STANDARD);
        assertThat(riff().ground().tone()).isEqualTo(Tone.CLEAN);
        Node band = robot.lookup("#voice-band").query();
        click(robot, band, 420, 60);
        assertThat(fx(() -> model().chordProperty().get())).isEqualTo(1);
        robot.doubleClickOn(at(band, 420, 60));
        await("cards in focus", () -> fx(() -> model().zoneProperty().get()) == Zone.CARDS);
        robot.clickOn("#family-4");
        awaitCards(Family.OCTAVE);
        Node cards = robot.lookup("#cards").query();
        click(robot, cards, 60, 40);
        List<Sounding> shown = fx(() -> model().shownProperty().get().soundings());
        assertThat(readout(robot, "readout-name")).endsWith("octave");
        robot.clickOn("#use-voicing");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(chord(1).candidate().voicing().soundings()).isEqualTo(shown);
        assertThat(riff().treatments().get(1).family()).isEqualTo(Family.OCTAVE);

        tap.clear();
        robot.moveTo(at(cards, 60, 40)).press(MouseButton.PRIMARY);
        sleep(0.9);
        double fifth = Tap.hz(shown.get(0).midi() + 7);
        assertSounds(shown, fifth);
        robot.release(MouseButton.PRIMARY);

        Path saved = folder.resolve("winch-house.vocalis.json");
        press(robot, KeyCode.CONTROL, KeyCode.S);
        await("saved", () -> Files.exists(saved) && fx(() -> !shell.workspace().changed()));
        NamedRiff content = fx(() -> shell.workspace().content());
        assertThat(RiffFiles.read(saved)).isEqualTo(content);
        assertThat(readout(robot, "saved-state")).contains("winch-house.vocalis.json");
    }

    @Test
    void chordsAreDraggedAndLengthenedByMouse(FxRobot robot) {
        Node band = robot.lookup("#voice-band").query();
        double width = fx(() -> band.getBoundsInLocal().getWidth());
        double perBar = (width - 52 - 64) / 4;
        Riff before = riff();
        robot.drag(at(band, 52 + 1.25 * perBar, 90), MouseButton.PRIMARY)
                .moveTo(at(band, 52 + 1.75 * perBar, 90))
                .drop();
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(riff().roots().get(2)).isEqualTo(before.roots().get(1));
        assertThat(riff().roots().get(1)).isEqualTo(before.roots().get(2));
        robot.drag(at(band, 52 + perBar, 90), MouseButton.PRIMARY)
                .moveTo(at(band, 52 + 1.25 * perBar, 90))
                .drop();
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(riff().roots().get(0).length())
                .isEqualTo(before.roots().get(0).length() * 5 / 4);
        assertThat(riff().length()).isEqualTo(before.length());
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(riff()).isEqualTo(before);
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.Z);
        assertThat(riff()).isNotEqualTo(before);
    }

    @Test
    void aShapeIsBuiltOnTheNeckNamedAndHeard(FxRobot robot) {
        choose(robot, "#tone", Tone.CLEAN);
        Node neck = robot.lookup("#neck").query();
        await("cards", () -> fx(() -> !model().cardsProperty().get().isEmpty()));
        assertThat(chord(0).candidate().voicing().shape().text()).isEqualTo("0-0-0-x-x-x");
        double third = fx(() -> (neckWire(2) + neckWire(3)) / 2);
        double stringG = fx(() -> neckString(3));
        tap.clear();
        robot.moveTo(at(neck, third, stringG)).press(MouseButton.PRIMARY);
        WaitForAsyncUtils.waitForFxEvents();
        sleep(0.9);
        // Over D A D the B flat of fret 3 makes a ♭13 over a bare fifth.
        assertThat(fx(() -> model().shownProperty().get().shape().text())).isEqualTo("0-0-0-3-x-x");
        assertThat(readout(robot, "readout-name")).isEqualTo("D5(♭13)");
        assertThat(readout(robot, "figure-notes")).isEqualTo("D2  A2  D3  B♭3");
        assertSounds(fx(() -> model().shownProperty().get().soundings()), Tap.hz(61));
        robot.release(MouseButton.PRIMARY);
        robot.clickOn("#use-voicing");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(chord(0).byHand()).isTrue();
        assertThat(riff().treatments().get(0).member()).containsInstanceOf(Member.ByHand.class);
    }

    private vocalis.core.riff.Ground ground() {
        return model().riff().ground();
    }

    private double neckWire(int fret) {
        Node neck = stage.getScene().lookup("#neck");
        return geometry(neck).wire(fret);
    }

    private double neckString(int string) {
        Node neck = stage.getScene().lookup("#neck");
        return geometry(neck).y(string);
    }

    private vocalis.desktop.write.NeckGeometry geometry(Node neck) {
        Bounds b = neck.getBoundsInLocal();
        return vocalis.desktop.write.NeckGeometry.of(ground().board(), b.getWidth(), b.getHeight());
    }

    @Test
    void strokesAreEditedByMouse(FxRobot robot) {
        Node lane = robot.lookup("#lane").query();
        double width = fx(() -> lane.getBoundsInLocal().getWidth());
        double perSixteenth = (width - 52 - 64) / 64;
        int before = fx(() -> model().score().strikes().size());
        // Bar 2, beat 1, third sixteenth: the first stroke sounds on there.
        double x = 52 + 18 * perSixteenth;
        robot.doubleClickOn(at(lane, x, 60));
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(fx(() -> model().score().strikes().size())).isEqualTo(before + 1);
        robot.rightClickOn(at(lane, x, 60));
        robot.clickOn("Palm mute");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(fx(() -> model().lane().strokeAtCaret().orElseThrow().muted())).isTrue();
        robot.rightClickOn(at(lane, x, 60));
        robot.clickOn("Strike low");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(fx(() -> model().lane().strokeAtCaret().orElseThrow().struck()))
                .isEqualTo(Struck.Named.LOW);
    }

    // Steps 2 to 8 by keyboard alone.

    @Test
    void theSameByKeyboardAlone(FxRobot robot) throws Exception {
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.RIGHT);
        assertThat(fx(() -> model().chordProperty().get())).isEqualTo(2);
        int root = chord(2).root();
        press(robot, KeyCode.ALT, KeyCode.UP);
        assertThat(chord(2).root()).isEqualTo((root + 1) % 12);
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        press(robot, KeyCode.DIGIT2);
        awaitCards(Family.FOURTH);
        assertThat(riff().treatments().get(2).family()).isEqualTo(Family.FOURTH);
        press(robot, KeyCode.ENTER);
        assertThat(fx(() -> model().zoneProperty().get())).isEqualTo(Zone.CARDS);
        String best = fx(() -> model().shownProperty().get().shape().text());
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.UP);
        String walked = fx(() -> model().shownProperty().get().shape().text());
        assertThat(walked).isNotEqualTo(best);
        assertThat(chord(2).candidate().voicing().shape().text()).isEqualTo(best);
        press(robot, KeyCode.ENTER);
        assertThat(chord(2).candidate().voicing().shape().text()).isEqualTo(walked);
        press(robot, KeyCode.ESCAPE);
        assertThat(fx(() -> model().zoneProperty().get())).isEqualTo(Zone.BAND);
        press(robot, KeyCode.SHIFT, KeyCode.LEFT);
        press(robot, KeyCode.CONTROL, KeyCode.D);
        press(robot, KeyCode.DELETE);
        press(robot, KeyCode.ALT, KeyCode.LEFT);

        press(robot, KeyCode.F6);
        assertThat(fx(() -> model().zoneProperty().get())).isEqualTo(Zone.LANE);
        int strikes = fx(() -> model().score().strikes().size());
        press(robot, KeyCode.CONTROL, KeyCode.RIGHT);
        press(robot, KeyCode.DELETE);
        assertThat(fx(() -> model().score().strikes().size())).isEqualTo(strikes - 1);
        press(robot, KeyCode.ENTER);
        press(robot, KeyCode.UP);
        press(robot, KeyCode.M);
        press(robot, KeyCode.A);
        var stroke = fx(() -> model().lane().strokeAtCaret().orElseThrow());
        assertThat(stroke.muted()).isTrue();
        assertThat(stroke.accent()).isTrue();
        assertThat(stroke.struck()).isEqualTo(Struck.Named.LOW);

        press(robot, KeyCode.F6);
        press(robot, KeyCode.F6);
        assertThat(fx(() -> model().zoneProperty().get())).isEqualTo(Zone.NECK);
        press(robot, KeyCode.UP);
        press(robot, KeyCode.ENTER);
        assertThat(fx(() -> model().draftProperty().get())).isNotNull();
        String built = fx(() -> model().shownProperty().get().shape().text());
        press(robot, KeyCode.CONTROL, KeyCode.ENTER);
        assertThat(fx(() -> model().currentChord().candidate().voicing().shape().text()))
                .isEqualTo(built);

        press(robot, KeyCode.F6);
        assertThat(fx(() -> model().zoneProperty().get())).isEqualTo(Zone.GROUND);
        press(robot, KeyCode.TAB);
        press(robot, KeyCode.DOWN);
        assertThat(riff().ground().capo()).isEqualTo(1);
        press(robot, KeyCode.ESCAPE);

        press(robot, KeyCode.CONTROL, KeyCode.S);
        Path saved = folder.resolve("winch-house.vocalis.json");
        await("saved", () -> Files.exists(saved) && fx(() -> !shell.workspace().changed()));
        NamedRiff content = fx(() -> shell.workspace().content());
        chosenFile = saved;
        press(robot, KeyCode.CONTROL, KeyCode.N);
        assertThat(fx(() -> shell.workspace().content())).isNotEqualTo(content);
        press(robot, KeyCode.CONTROL, KeyCode.O);
        await("opened", () -> fx(() -> shell.workspace().content()).equals(content));
    }

    // Sound.

    @Test
    void theWholeRiffIsRevoicedWhileItPlays(FxRobot robot) {
        choose(robot, "#tone", Tone.CLEAN);
        // One chord for the whole loop, so that what sounds is known at any time.
        robot.interact(
                () -> {
                    for (int i = 0; i < 5; i++) {
                        model().chords().deleteChord();
                    }
                });
        int root = chord(0).root();
        press(robot, KeyCode.CONTROL, KeyCode.DIGIT1);
        press(robot, KeyCode.SPACE);
        await("playing", () -> fx(() -> shell.player().telemetry().latest().playing()));
        for (Family family : new Family[] {Family.OCTAVE, Family.FOURTH, Family.POWER}) {
            KeyCode digit = KeyCode.getKeyCode(String.valueOf(family.digit()));
            press(robot, KeyCode.CONTROL, digit);
            List<Sounding> notes = chord(0).candidate().voicing().soundings();
            assertThat(family.accepts(chord(0).candidate().voicing())).isTrue();
            sleep(SETTLE);
            tap.clear();
            sleep(2.4);
            double low = Tap.hz(notes.get(0).midi());
            assertThat(tap.levelDb(low, 2.2)).as("%s bass", family).isGreaterThan(-70);
            if (family == Family.OCTAVE) {
                double third = Tap.hz(notes.get(0).midi() + 4);
                double fifth = Tap.hz(notes.get(0).midi() + 7);
                assertThat(Math.max(tap.levelDb(fifth, 2.2), tap.levelDb(third, 2.2)))
                        .isLessThan(tap.levelDb(low, 2.2) - 20);
            }
        }
        assertThat(root).isEqualTo(chord(0).root());
        press(robot, KeyCode.SPACE);
        await("stopped", () -> fx(() -> !shell.player().telemetry().latest().playing()));
        assertThat(fx(() -> shell.player().output().sink())).isEqualTo(AudioOutput.Sink.DEVICE);
    }

    @Test
    void aHeldKeySoundsUntilItIsReleasedRepeatsAndAll(FxRobot robot) {
        choose(robot, "#tone", Tone.CLEAN);
        robot.interact(() -> stage.getScene().lookup("#voice-band").requestFocus());
        robot.press(KeyCode.H);
        robot.press(KeyCode.H);
        robot.press(KeyCode.H);
        sleep(0.7);
        assertThat(fx(() -> shell.player().telemetry().latest().audition())).isTrue();
        robot.release(KeyCode.H);
        await("released", () -> fx(() -> !shell.player().telemetry().latest().audition()));
        robot.press(KeyCode.H);
        await("held", () -> fx(() -> shell.player().telemetry().latest().audition()));
        press(robot, KeyCode.ESCAPE);
        await("ended by Esc", () -> fx(() -> !shell.player().telemetry().latest().audition()));
        robot.release(KeyCode.H);
    }

    @Test
    void spacePlaysFromAnyFieldAndNeverPressesIt(FxRobot robot) {
        for (String id :
                new String[] {"#tuning", "#tempo", "#lane", "#cards", "#neck", "#volume"}) {
            Node node = robot.lookup(id).query();
            robot.interact(node::requestFocus);
            press(robot, KeyCode.SPACE);
            await(id + " plays", () -> fx(() -> shell.player().telemetry().latest().playing()));
            press(robot, KeyCode.SPACE);
            await(id + " stops", () -> fx(() -> !shell.player().telemetry().latest().playing()));
        }
        assertThat(riff()).isEqualTo(Demo.riffs().get(0).riff());
    }

    // Finding, comparing, drones, idle fingers, hand.

    private void find(FxRobot robot, String text) {
        press(robot, KeyCode.CONTROL, KeyCode.F);
        robot.write(text);
        press(robot, KeyCode.ENTER);
    }

    private void awaitFound(String text, List<Integer> pitchClasses) {
        await(
                text,
                () ->
                        fx(
                                () ->
                                        model().found().filter(text::equals).isPresent()
                                                && !model().cardsProperty().get().isEmpty()
                                                && model().cardsProperty()
                                                        .get()
                                                        .get(0)
                                                        .first()
                                                        .voicing()
                                                        .pitchClasses()
                                                        .equals(pitchClasses)));
    }

    @Test
    void aShapeANameAndNotesAreFound(FxRobot robot) {
        choose(robot, "#tuning", Tuning.STANDARD);
        // C6, common practice.
        find(robot, "x-9-11-11-0-0");
        assertThat(fx(() -> model().shownProperty().get().shape().text()))
                .isEqualTo("x-9-11-11-0-0");
        assertThat(readout(robot, "readout-name")).isEqualTo("F♯7sus4");
        press(robot, KeyCode.ESCAPE);
        find(robot, "F#7sus4");
        awaitFound("F#7sus4", List.of(1, 4, 6, 11));
        for (var card : fx(() -> model().cardsProperty().get())) {
            assertThat(card.first().voicing().pitchClasses()).containsExactly(1, 4, 6, 11);
            assertThat(card.first().voicing().bass() % 12).isEqualTo(6);
        }
        press(robot, KeyCode.ESCAPE);
        find(robot, "B E C");
        awaitFound("B E C", List.of(0, 4, 11));
        press(robot, KeyCode.ESCAPE);
        Riff before = riff();
        find(robot, "Hm7b5");
        assertThat(robot.lookup(".family-bar .caption").queryAs(Label.class).getText())
                .contains("Hm7b5");
        assertThat(riff()).isEqualTo(before);
    }

    @Test
    void fourVoicingsAreComparedSideBySide(FxRobot robot) {
        await("cards", () -> fx(() -> model().cardsProperty().get().size() > 5));
        robot.interact(() -> model().zoneProperty().set(Zone.CARDS));
        for (int i = 0; i < 5; i++) {
            press(robot, KeyCode.C);
            await("compare", () -> robot.lookup(".compare-column").tryQuery().isPresent());
            press(robot, KeyCode.ESCAPE);
            await("closed", () -> robot.lookup(".compare-column").tryQuery().isEmpty());
            press(robot, KeyCode.RIGHT);
        }
        press(robot, KeyCode.C);
        await("compare", () -> robot.lookup(".compare-column").tryQuery().isPresent());
        assertThat(robot.lookup(".compare-column").queryAll()).hasSize(4);
        press(robot, KeyCode.ESCAPE);
    }

    @Test
    void theDroneMapSetsTheGround(FxRobot robot) {
        press(robot, KeyCode.D);
        await("map", () -> robot.lookup(".drone-cell").tryQuery().isPresent());
        await("caret on the cell of the ground", () -> fx(WindowTest::caretOnACell));
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.DOWN);
        press(robot, KeyCode.ENTER);
        await("closed", () -> robot.lookup(".drone-cell").tryQuery().isEmpty());
        assertThat(riff().ground().capo()).isEqualTo(1);
        assertThat(riff().ground().key().symbol()).isEqualTo("E♭ phrygian");
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(riff()).isEqualTo(Demo.riffs().get(0).riff());
    }

    private static boolean caretOnACell() {
        return Window.getWindows().stream()
                .map(w -> w.getScene().getFocusOwner())
                .anyMatch(n -> n != null && n.getStyleClass().contains("drone-cell"));
    }

    @Test
    void anIdleFingerIsAdded(FxRobot robot) {
        find(robot, "x-x-7-7-x-x");
        press(robot, KeyCode.I);
        await("menu", () -> robot.lookup(".context-menu").tryQuery().isPresent());
        press(robot, KeyCode.DOWN);
        press(robot, KeyCode.ENTER);
        await("added", () -> fx(() -> model().shownProperty().get().voices()) == 3);
        assertThat(fx(() -> model().shownProperty().get().shape().fret(2))).isEqualTo(7);
        assertThat(fx(() -> model().shownProperty().get().shape().fret(3))).isEqualTo(7);
    }

    /** C22 and C23 (common practice): a stack, and what is left without its second voice. */
    @Test
    void voicesAreLeftOutCountedFromTheTop(FxRobot robot) {
        choose(robot, "#tuning", Tuning.STANDARD);
        find(robot, "5-7-7-x-x-x");
        press(robot, KeyCode.ALT, KeyCode.DIGIT2);
        assertThat(fx(() -> model().shownProperty().get().shape().text())).isEqualTo("5-x-7-x-x-x");
        press(robot, KeyCode.ALT, KeyCode.DIGIT4);
        assertThat(fx(() -> model().shownProperty().get().shape().text())).isEqualTo("5-x-7-x-x-x");
        press(robot, KeyCode.ALT, KeyCode.DIGIT1);
        assertThat(fx(() -> model().shownProperty().get().shape().text())).isEqualTo("5-x-x-x-x-x");
    }

    @Test
    void theReadoutTurnsItsPagesAndSaysWhyAShapeCannotBeHeld(FxRobot robot) {
        choose(robot, "#tuning", Tuning.STANDARD);
        assertThat(robot.lookup("#figure-effort").query().getParent().isVisible()).isFalse();
        press(robot, KeyCode.P);
        assertThat(robot.lookup("#figure-effort").query().getParent().isVisible()).isTrue();
        assertThat(robot.lookup("#figure-notes").query().getParent().isVisible()).isFalse();
        find(robot, "1-x-9-x-x-x");
        assertThat(readout(robot, "figure-hand"))
                .startsWith("unplayable: needs")
                .contains("fret 1 to fret 9");
        press(robot, KeyCode.R);
        assertThat(readout(robot, "figure-support")).contains(", ");
    }

    @Test
    void aShapeIsKeptAndFoundAgainOnAnotherRoot(FxRobot robot) {
        find(robot, "x-x-5-7-8-x");
        press(robot, KeyCode.CONTROL, KeyCode.B);
        press(robot, KeyCode.ESCAPE);
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.DIGIT0);
        await(
                "own shapes",
                () ->
                        fx(
                                () ->
                                        model().found().filter("own shapes"::equals).isPresent()
                                                && model().cardsProperty().get().size() == 1));
        var places = fx(() -> model().cardsProperty().get().get(0).places());
        int root = fx(() -> model().currentChord().root());
        assertThat(places)
                .isNotEmpty()
                .allSatisfy(c -> assertThat(c.voicing().root()).isEqualTo(root));
    }

    @Test
    void theHandDecidesWhatIsOffered(FxRobot robot) {
        await("cards", () -> fx(() -> !model().cardsProperty().get().isEmpty()));
        int medium = fx(() -> offered());
        robot.interact(() -> shell.workspace().setHand(vocalis.core.hands.Hand.SMALL));
        await("fewer", () -> fx(() -> offered()) < medium);
        robot.interact(() -> shell.workspace().setHand(vocalis.core.hands.Hand.LARGE));
        await("more", () -> fx(() -> offered()) > medium);
    }

    private int offered() {
        return model().cardsProperty().get().stream().mapToInt(c -> c.places().size()).sum();
    }

    @Test
    void anotherBassIsPutUnderAChordByKeyboard(FxRobot robot) {
        choose(robot, "#tuning", Tuning.STANDARD);
        robot.interact(() -> model().chords().voiceAll(Family.POWER));
        robot.interact(() -> stage.getScene().lookup("#voice-band").requestFocus());
        press(robot, KeyCode.SHIFT, KeyCode.DOWN);
        int wanted = 0;
        assertThat(riff().treatments().get(0).bass()).isPresent();
        int bass = chord(0).candidate().voicing().bass() % 12;
        assertThat(bass).isEqualTo(wanted);
        press(robot, KeyCode.SHIFT, KeyCode.UP);
        assertThat(riff().treatments().get(0).bass()).isEmpty();
    }

    @Test
    void sevenStringsAreTakenFromTheirNotes(FxRobot robot) {
        press(robot, KeyCode.F3);
        await("dialog", () -> robot.lookup("#tuning-notes").tryQuery().isPresent());
        robot.clickOn("#tuning-notes").eraseText(40).write("B1 E2 A2 D3 G3 B3 E4");
        robot.clickOn("OK");
        await("seven", () -> riff().ground().board().strings() == 7);
        assertThat(chord(0).candidate().voicing().shape().strings()).isEqualTo(7);
        await("cards", () -> fx(() -> !model().cardsProperty().get().isEmpty()));
    }

    // Files and closing.

    // Hear the truth: tone, gain, roots, misses, devices, the band.

    private void awaitGain(String shape) {
        await(
                "gain of " + shape,
                () ->
                        fx(
                                () ->
                                        model().shownProperty().get().shape().text().equals(shape)
                                                && stage.getScene().lookup("#gain-summary") != null
                                                && !model().gain().reckoning()));
    }

    private double held(FxRobot robot, double hz) {
        robot.press(KeyCode.H);
        sleep(SETTLE);
        tap.clear();
        sleep(0.6);
        double db = tap.levelDb(hz, 0.5) - tap.levelDb(Tap.hz(57), 0.5);
        robot.release(KeyCode.H);
        sleep(0.3);
        return db;
    }

    /** A3 and C sharp 4: under gain 2f2 − f1 sounds at 334.6 Hz, clean it hardly does. */
    @Test
    void toneAndGainChangeWhatIsHeardAndWhatIsRead(FxRobot robot) {
        choose(robot, "#tuning", Tuning.STANDARD);
        find(robot, "x-x-7-6-x-x");
        awaitGain("x-x-7-6-x-x");
        String summary = readout(robot, "gain-summary");
        assertThat(summary).contains("as rough");
        double ghost = 2 * Tap.hz(61) - Tap.hz(57);
        double dirty = held(robot, ghost);
        press(robot, KeyCode.J);
        await("pure", () -> robot.lookup("#gain-intonation").tryQuery().isPresent());
        assertThat(readout(robot, "gain-intonation")).contains("13.7");
        assertThat(readout(robot, "gain-summary")).isNotEqualTo(summary);
        press(robot, KeyCode.J);
        choose(robot, "#tone", Tone.CLEAN);
        find(robot, "x-x-7-6-x-x");
        await("read clean", () -> fx(() -> !model().gain().reckoning()));
        double clean = held(robot, ghost);
        assertThat(dirty).isGreaterThan(clean + 15);
    }

    @Test
    void theRootIsProvedByPowerChordsUnderIt(FxRobot robot) {
        choose(robot, "#tuning", Tuning.STANDARD);
        choose(robot, "#tone", Tone.CLEAN);
        // C13, common practice: the fourth F sharp and B has its root on top.
        find(robot, "x-x-4-4-x-x");
        press(robot, KeyCode.U);
        await("sheet", () -> robot.lookup("#prove-all").tryQuery().isPresent());
        assertThat(readout(robot, "verdict")).contains("Root B");
        assertThat(robot.lookup("#prove-0").queryButton().getText()).isEqualTo("B5");
        press(robot, KeyCode.ENTER);
        sleep(0.6);
        tap.clear();
        sleep(0.7);
        // The power chord on B sounds under it, from B2 on the fifth string.
        assertThat(tap.levelDb(Tap.hz(47), 0.6)).isGreaterThan(-60);
        press(robot, KeyCode.ESCAPE);
        await("closed", () -> robot.lookup("#prove-all").tryQuery().isEmpty());
        sleep(0.8);
        tap.clear();
        sleep(0.3);
        assertThat(tap.levelDb(Tap.hz(47), 0.25)).isLessThan(-70);
    }

    @Test
    void theMissIsHeard(FxRobot robot) {
        choose(robot, "#tuning", Tuning.STANDARD);
        choose(robot, "#tone", Tone.CLEAN);
        find(robot, "x-x-7-7-x-x");
        robot.interact(() -> model().zoneProperty().set(Zone.NECK));
        robot.interact(() -> model().neckStringProperty().set(5));
        robot.press(KeyCode.M);
        sleep(SETTLE);
        tap.clear();
        sleep(0.6);
        double miss = tap.levelDb(Tap.hz(64), 0.5);
        robot.release(KeyCode.M);
        sleep(0.5);
        robot.press(KeyCode.H);
        sleep(SETTLE);
        tap.clear();
        sleep(0.6);
        double clean = tap.levelDb(Tap.hz(64), 0.5);
        robot.release(KeyCode.H);
        assertThat(miss).isGreaterThan(clean + 15);
    }

    @Test
    void aDeviceIsLostAndFoundAgainMuted(FxRobot robot) {
        press(robot, KeyCode.SPACE);
        await("playing", () -> fx(() -> shell.player().telemetry().latest().playing()));
        tap.present(false);
        await(
                "the stand-in",
                () -> fx(() -> shell.player().output().sink() == AudioOutput.Sink.SILENT));
        await("a sign of it", () -> readout(robot, "sink").contains("no sound device"));
        assertThat(fx(() -> shell.player().telemetry().latest().playing())).isTrue();
        await(
                "the meter moves",
                () -> fx(() -> shell.player().telemetry().latest().peak()) > 0.005);
        tap.present(true);
        await("found", () -> fx(() -> shell.player().output().sink() == AudioOutput.Sink.DEVICE));
        await("muted", () -> readout(robot, "sink").contains("muted"));
        tap.clear();
        sleep(0.5);
        assertThat(loudest()).isZero();
        press(robot, KeyCode.CONTROL, KeyCode.M);
        sleep(0.3);
        tap.clear();
        sleep(1);
        assertThat(loudest()).isGreaterThan(0.003);
        press(robot, KeyCode.SPACE);
    }

    private double loudest() {
        double peak = 0;
        for (double v : tap.left()) {
            peak = Math.max(peak, Math.abs(v));
        }
        return peak;
    }

    @Test
    void theBandPlaysAlongAndTheToneIsTurned(FxRobot robot) {
        press(robot, KeyCode.W);
        await("band", () -> robot.lookup("#kit-on").tryQuery().isPresent());
        robot.interact(() -> robot.lookup("#kit-on").query().requestFocus());
        press(robot, KeyCode.ENTER);
        robot.interact(() -> robot.lookup("#bass-on").query().requestFocus());
        press(robot, KeyCode.ENTER);
        assertThat(riff().ground().band().kit().on()).isTrue();
        press(robot, KeyCode.SPACE);
        await(
                "plays from the sheet",
                () -> fx(() -> shell.player().telemetry().latest().playing()));
        tap.clear();
        sleep(1.5);
        // D2 of the bass is an octave under the riff's lowest string.
        double[] x = tap.left();
        assertThat(x.length).isGreaterThan(24000);
        press(robot, KeyCode.SPACE);
        press(robot, KeyCode.ESCAPE);
        press(robot, KeyCode.T);
        await("tone", () -> robot.lookup("#first-gain").tryQuery().isPresent());
        robot.interact(() -> robot.lookup("#first-gain").query().requestFocus());
        press(robot, KeyCode.LEFT);
        press(robot, KeyCode.LEFT);
        assertThat(riff().ground().band().controls().gain()).isEqualTo(-2);
        press(robot, KeyCode.ESCAPE);
        robot.interact(() -> stage.getScene().lookup("#voice-band").requestFocus());
        for (int i = 0; i < 4 && !riff().equals(Demo.riffs().get(0).riff()); i++) {
            press(robot, KeyCode.CONTROL, KeyCode.Z);
        }
        assertThat(riff()).isEqualTo(Demo.riffs().get(0).riff());
    }

    @Test
    void aNoteIsEmbellishedByKeyboard(FxRobot robot) {
        robot.interact(() -> model().zoneProperty().set(Zone.LANE));
        press(robot, KeyCode.E);
        await("menu", () -> robot.lookup(".context-menu").tryQuery().isPresent());
        press(robot, KeyCode.DOWN);
        press(robot, KeyCode.ENTER);
        await("hammer", () -> riff().touches().size() == 1);
        assertThat(fx(() -> model().score().strikes().get(0).ornaments())).hasSize(1);
        press(robot, KeyCode.M);
        press(robot, KeyCode.SHIFT, KeyCode.M);
        press(robot, KeyCode.X);
        assertThat(fx(() -> model().score().strikes().get(0).stroke().manner()))
                .isEqualTo(vocalis.core.riff.Manner.DEAD);
        press(robot, KeyCode.X);
        assertThat(fx(() -> model().score().strikes().get(0).stroke().manner()))
                .isEqualTo(vocalis.core.riff.Manner.PLAIN);
    }

    @Test
    void theOutputAndTheTuningStringsAreShown(FxRobot robot) {
        press(robot, KeyCode.F5);
        await("output", () -> robot.lookup("#output-state").tryQuery().isPresent());
        assertThat(readout(robot, "output-state")).contains("ms from a key to the device");
        press(robot, KeyCode.ESCAPE);
        await("closed", () -> robot.lookup("#output-state").tryQuery().isEmpty());
        press(robot, KeyCode.F4);
        await("strings", () -> robot.lookup("#tune-6").tryQuery().isPresent());
        robot.interact(() -> robot.lookup("#tune-6").query().requestFocus());
        robot.press(KeyCode.H);
        sleep(SETTLE);
        tap.clear();
        sleep(0.6);
        // The low string is dropped to D2 in this riff.
        assertThat(tap.levelDb(Tap.hz(38), 0.5)).isGreaterThan(-62);
        robot.release(KeyCode.H);
        press(robot, KeyCode.ESCAPE);
    }

    @Test
    void aDamagedOrNewerFileGivesOneMessageAndHarmsNothing(FxRobot robot) throws IOException {
        Riff before = riff();
        Path bad = folder.resolve("bad.vocalis.json");
        for (String text :
                List.of("{\"format\":\"vocalis\",", "{\"format\":\"vocalis\",\"version\":99}")) {
            Files.writeString(bad, text, StandardCharsets.UTF_8);
            chosenFile = bad;
            Platform.runLater(() -> shell.open(bad));
            await("message", () -> robot.lookup(".dialog-pane").tryQuery().isPresent());
            DialogPane pane = robot.lookup(".dialog-pane").queryAs(DialogPane.class);
            assertThat(pane.getHeaderText()).isEqualTo("This riff was not opened");
            assertThat(pane.getContentText()).contains("bad.vocalis.json");
            robot.clickOn("OK");
            await("closed", () -> robot.lookup(".dialog-pane").tryQuery().isEmpty());
            assertThat(riff()).isEqualTo(before);
            assertThat(Files.readString(bad)).isEqualTo(text);
        }
    }

    @Test
    void closingWithUnsavedChangesAsks(FxRobot robot) {
        press(robot, KeyCode.DIGIT4);
        assertThat(fx(() -> shell.workspace().changed())).isTrue();
        askToClose(robot);
        robot.clickOn("Cancel");
        await("still open", () -> fx(() -> stage.isShowing()));
        askToClose(robot);
        robot.clickOn("Save");
        Path saved = folder.resolve("winch-house.vocalis.json");
        await("saved and closed", () -> Files.exists(saved) && fx(() -> !stage.isShowing()));
    }

    private void askToClose(FxRobot robot) {
        Platform.runLater(
                () -> {
                    WindowEvent e = new WindowEvent(stage, WindowEvent.WINDOW_CLOSE_REQUEST);
                    stage.fireEvent(e);
                    if (!e.isConsumed()) {
                        stage.hide();
                    }
                });
        await("question", () -> robot.lookup(".dialog-pane").tryQuery().isPresent());
    }

    // Keys.

    @Test
    void theHelpSheetShowsEveryKeyAndOpensByF1(FxRobot robot) {
        press(robot, KeyCode.F1);
        await("sheet", () -> robot.lookup(".help-key").tryQuery().isPresent());
        List<String> keys =
                robot.lookup(".help-key").queryAllAs(Label.class).stream()
                        .map(Label::getText)
                        .toList();
        assertThat(keys)
                .contains("H held", "Space", "Esc", "Enter", "Ctrl Z", "Shift ←", "F6", "Ctrl S");
        press(robot, KeyCode.ESCAPE);
        await("sheet closed", () -> robot.lookup(".help-key").tryQuery().isEmpty());
    }

    @Test
    void aChangeOfThemeRepaints(FxRobot robot) {
        int before = pixel();
        press(robot, KeyCode.CONTROL, KeyCode.T);
        await("light", () -> pixel() != before);
        press(robot, KeyCode.CONTROL, KeyCode.T);
        await("dark again", () -> pixel() == before);
    }

    private int pixel() {
        return fx(() -> stage.getScene().snapshot(null).getPixelReader().getArgb(600, 320));
    }

    @Test
    void theButtonsSayWhatTheyDoAndUseItIsOffForWhatIsInTheRiff(FxRobot robot) {
        await("cards", () -> fx(() -> !model().cardsProperty().get().isEmpty()));
        Button use = robot.lookup("#use-voicing").queryButton();
        assertThat(use.isDisabled()).isTrue();
        robot.interact(() -> model().moveCard(1));
        assertThat(use.isDisabled()).isFalse();
    }
}
