package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.application.Platform;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import javafx.stage.Stage;
import javafx.stage.WindowEvent;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.instrument.Tuning;
import vocalis.core.pattern.Struck;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Tone;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Sounding;
import vocalis.desktop.session.Whereabouts;
import vocalis.desktop.writing.WritePlace;
import vocalis.sound.device.AudioOutput;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.library.PieceFiles;

/** Writing, voicing, hearing and saving in the real window, by mouse and by keyboard. */
@ExtendWith(ApplicationExtension.class)
class WriteWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    // By mouse.

    @Test
    void aRiffIsVoicedHeardAndSavedByMouse(FxRobot robot) throws Exception {
        choose(robot, "#tone", Tone.CLEAN);
        choose(robot, "#tuning", Tuning.STANDARD);
        assertThat(riff().ground().instrument().tuning()).isEqualTo(Tuning.STANDARD);
        assertThat(riff().ground().tone()).isEqualTo(Tone.CLEAN);
        Node band = robot.lookup("#voice-band").query();
        click(robot, band, 420, 60);
        assertThat(fx(() -> model().caret().chordProperty().get())).isEqualTo(1);
        doubleClick(robot, band, 420, 60);
        await(
                "cards in focus",
                () ->
                        fx(() -> shell.models().whereabouts().placeProperty().get())
                                == WritePlace.CARDS);
        clickOn(robot, "#family-4");
        awaitCards(Family.OCTAVE);
        Node cards = robot.lookup("#cards").query();
        click(robot, cards, 60, 40);
        List<Sounding> shown = fx(() -> model().shown().voicing().soundings());
        assertThat(readout(robot, "readout-name")).endsWith("octave");
        clickOn(robot, "#use-voicing");
        WaitForAsyncUtils.waitForFxEvents();
        settle();
        assertThat(chord(1).candidate().voicing().soundings()).isEqualTo(shown);
        assertThat(riff().treatments().get(1).family()).isEqualTo(Family.OCTAVE);

        tap.clear();
        over(robot, at(cards, 60, 40)).press(MouseButton.PRIMARY);
        listen(0.9);
        double fifth = Tap.hz(shown.get(0).midi() + 7);
        assertSounds(shown, fifth);
        robot.release(MouseButton.PRIMARY);

        Path saved = folder.resolve("riffs").resolve("winch-house.vocalis.json");
        press(robot, KeyCode.CONTROL, KeyCode.S);
        press(robot, KeyCode.ENTER);
        await("saved", () -> Files.exists(saved) && fx(() -> !shell.workspace().changed()));
        Piece content = fx(() -> shell.workspace().content());
        Piece rested = PieceFiles.read(saved).piece();
        assertThat(rested.riff().treatments())
                .as("each chord says its shape")
                .allMatch(t -> t.member().isPresent() || t.settled().isPresent());
        assertThat(fx(() -> shell.workspace().resting()).kept(rested)).isEqualTo(content);
        assertThat(readout(robot, "saved-state")).isEqualTo("saved");
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
        settle();
        assertThat(riff().roots().get(2)).isEqualTo(before.roots().get(1));
        assertThat(riff().roots().get(1)).isEqualTo(before.roots().get(2));
        robot.drag(at(band, 52 + perBar, 90), MouseButton.PRIMARY)
                .moveTo(at(band, 52 + 1.25 * perBar, 90))
                .drop();
        WaitForAsyncUtils.waitForFxEvents();
        settle();
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
        await("cards", () -> fx(() -> !model().shown().cardsProperty().get().isEmpty()));
        assertThat(chord(0).candidate().voicing().shape().text()).isEqualTo("0-0-0-x-x-x");
        double third = fx(() -> (neckWire(2) + neckWire(3)) / 2);
        double stringG = fx(() -> neckString(3));
        tap.clear();
        over(robot, at(neck, third, stringG)).press(MouseButton.PRIMARY);
        await(
                "the shape",
                () -> fx(() -> model().shown().voicing().shape().text()).equals("0-0-0-3-x-x"));
        listen(0.9);
        // Over D A D the B flat of fret 3 makes a ♭13 over a bare fifth.
        assertThat(fx(() -> model().shown().voicing().shape().text())).isEqualTo("0-0-0-3-x-x");
        assertThat(readout(robot, "readout-name")).isEqualTo("D5(♭13)");
        assertThat(readout(robot, "figure-notes")).isEqualTo("D2  A2  D3  B♭3");
        assertSounds(fx(() -> model().shown().voicing().soundings()), Tap.hz(61));
        robot.release(MouseButton.PRIMARY);
        clickOn(robot, "#use-voicing");
        WaitForAsyncUtils.waitForFxEvents();
        settle();
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

    private vocalis.desktop.neck.NeckGeometry geometry(Node neck) {
        Bounds b = neck.getBoundsInLocal();
        return vocalis.desktop.neck.NeckGeometry.of(ground().board(), b.getWidth(), b.getHeight());
    }

    @Test
    void strokesAreEditedByMouse(FxRobot robot) {
        Node lane = robot.lookup("#lane").query();
        double width = fx(() -> lane.getBoundsInLocal().getWidth());
        double perSixteenth = (width - 52 - 64) / 64;
        int before = fx(() -> model().derived().score().onsets().size());
        // Bar 2, beat 1, third sixteenth: the first stroke sounds on there.
        double x = 52 + 18 * perSixteenth;
        doubleClick(robot, lane, x, 60);
        WaitForAsyncUtils.waitForFxEvents();
        settle();
        assertThat(fx(() -> model().derived().score().onsets().size())).isEqualTo(before + 1);
        clickOn(robot, "#strip-palm");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(fx(() -> model().lane().strokeAtCaret().orElseThrow().muted())).isTrue();
        robot.rightClickOn(at(lane, x, 60));
        clickOn(robot, "Strike");
        clickOn(robot, "Strike low");
        WaitForAsyncUtils.waitForFxEvents();
        assertThat(fx(() -> model().lane().strokeAtCaret().orElseThrow().struck()))
                .isEqualTo(Struck.Named.LOW);
    }

    // By keyboard alone.

    @Test
    void theSameByKeyboardAlone(FxRobot robot) throws Exception {
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.RIGHT);
        assertThat(fx(() -> model().caret().chordProperty().get())).isEqualTo(2);
        int root = chord(2).root();
        press(robot, KeyCode.ALT, KeyCode.UP);
        assertThat(chord(2).root()).isEqualTo((root + 1) % 12);
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        press(robot, KeyCode.DIGIT2);
        awaitCards(Family.FOURTH);
        assertThat(riff().treatments().get(2).family()).isEqualTo(Family.FOURTH);
        press(robot, KeyCode.ENTER);
        assertThat(fx(() -> shell.models().whereabouts().placeProperty().get()))
                .isEqualTo(WritePlace.CARDS);
        String best = fx(() -> model().shown().voicing().shape().text());
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.UP);
        String walked = fx(() -> model().shown().voicing().shape().text());
        assertThat(walked).isNotEqualTo(best);
        assertThat(chord(2).candidate().voicing().shape().text()).isEqualTo(best);
        press(robot, KeyCode.ENTER);
        assertThat(chord(2).candidate().voicing().shape().text()).isEqualTo(walked);
        press(robot, KeyCode.ESCAPE);
        assertThat(fx(() -> shell.models().whereabouts().placeProperty().get()))
                .isEqualTo(WritePlace.BAND);
        press(robot, KeyCode.SHIFT, KeyCode.LEFT);
        press(robot, KeyCode.CONTROL, KeyCode.D);
        press(robot, KeyCode.DELETE);
        press(robot, KeyCode.ALT, KeyCode.LEFT);

        press(robot, KeyCode.CONTROL, KeyCode.TAB);
        assertThat(fx(() -> shell.models().whereabouts().placeProperty().get()))
                .isEqualTo(WritePlace.LANE);
        int strikes = fx(() -> model().derived().score().onsets().size());
        press(robot, KeyCode.CONTROL, KeyCode.RIGHT);
        press(robot, KeyCode.DELETE);
        assertThat(fx(() -> model().derived().score().onsets().size())).isLessThan(strikes);
        press(robot, KeyCode.ENTER);
        press(robot, KeyCode.UP);
        press(robot, KeyCode.M);
        press(robot, KeyCode.A);
        var stroke = fx(() -> model().lane().strokeAtCaret().orElseThrow());
        assertThat(stroke.muted()).isTrue();
        assertThat(stroke.accented()).isTrue();
        assertThat(stroke.struck()).isEqualTo(Struck.Named.LOW);

        press(robot, KeyCode.CONTROL, KeyCode.TAB);
        press(robot, KeyCode.CONTROL, KeyCode.TAB);
        assertThat(fx(() -> shell.models().whereabouts().placeProperty().get()))
                .isEqualTo(WritePlace.NECK);
        press(robot, KeyCode.UP);
        press(robot, KeyCode.ENTER);
        assertThat(fx(() -> model().shown().draftProperty().get())).isNotNull();
        String built = fx(() -> model().shown().voicing().shape().text());
        press(robot, KeyCode.CONTROL, KeyCode.ENTER);
        assertThat(fx(() -> model().currentChord().candidate().voicing().shape().text()))
                .isEqualTo(built);

        press(robot, KeyCode.CONTROL, KeyCode.TAB);
        assertThat(fx(() -> shell.models().whereabouts().placeProperty().get()))
                .isEqualTo(Whereabouts.Around.GROUND);
        press(robot, KeyCode.TAB);
        press(robot, KeyCode.DOWN);
        assertThat(riff().ground().capo()).isEqualTo(1);
        press(robot, KeyCode.ESCAPE);

        press(robot, KeyCode.CONTROL, KeyCode.S);
        press(robot, KeyCode.ENTER);
        Path saved = folder.resolve("riffs").resolve("winch-house.vocalis.json");
        await("saved", () -> Files.exists(saved) && fx(() -> !shell.workspace().changed()));
        Piece content = fx(() -> shell.workspace().content());
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
            listen(SETTLE);
            tap.clear();
            listen(2.4);
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
        listen(0.7);
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
    void spacePlaysFromEverythingThatIsNotTypedInto(FxRobot robot) {
        for (String id :
                new String[] {"#tuning", "#lane", "#cards", "#neck", "#volume", "#along"}) {
            Node node = robot.lookup(id).query();
            robot.interact(node::requestFocus);
            press(robot, KeyCode.SPACE);
            await(id + " plays", () -> fx(() -> shell.player().telemetry().latest().playing()));
            press(robot, KeyCode.SPACE);
            await(id + " stops", () -> fx(() -> !shell.player().telemetry().latest().playing()));
        }
        assertThat(riff()).isEqualTo(Demo.pieces().get(0).riff());
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
            await(
                    "message",
                    () -> robot.lookup("#ask-ok").tryQuery().filter(Node::isFocused).isPresent());
            assertThat(robot.lookup(".sheet-title").queryAs(Label.class).getText())
                    .isEqualTo("This riff was not opened");
            assertThat(robot.lookup(".sheet .label").queryAllAs(Label.class))
                    .anyMatch(l -> l.getText().contains("bad.vocalis.json"));
            press(robot, KeyCode.ENTER);
            await("closed", () -> robot.lookup("#ask-ok").tryQuery().isEmpty());
            assertThat(riff()).isEqualTo(before);
            assertThat(Files.readString(bad)).isEqualTo(text);
        }
    }

    @Test
    void closingWithUnsavedChangesAsks(FxRobot robot) {
        press(robot, KeyCode.DIGIT4);
        assertThat(fx(() -> shell.workspace().changed())).isTrue();
        askToClose(robot);
        press(robot, KeyCode.ESCAPE);
        await("no question", () -> robot.lookup("#ask-save").tryQuery().isEmpty());
        assertThat(fx(() -> stage.isShowing())).isTrue();
        askToClose(robot);
        clickOn(robot, "#ask-save");
        await("its name", () -> robot.lookup("#ask-line").tryQuery().isPresent());
        press(robot, KeyCode.ENTER);
        Path saved = folder.resolve("riffs").resolve("winch-house.vocalis.json");
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
        await("question", () -> robot.lookup("#ask-save").tryQuery().isPresent());
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
                .contains("H", "Space", "Esc", "Enter", "Ctrl Z", "Shift ←", "F6", "Ctrl S", "?");
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
        await("cards", () -> fx(() -> !model().shown().cardsProperty().get().isEmpty()));
        Button use = robot.lookup("#use-voicing").queryButton();
        assertThat(use.isDisabled()).isTrue();
        robot.interact(() -> model().shown().moveCard(1));
        assertThat(use.isDisabled()).isFalse();
    }

    /** What was pasted past the page is on the screen, and so is the caret. */
    @Test
    void thePageTurnsToWhatWasPasted(FxRobot robot) {
        int chords = riff().roots().size();
        press(robot, KeyCode.END);
        press(robot, KeyCode.CONTROL, KeyCode.C);
        for (int i = 0; i < 5; i++) {
            press(robot, KeyCode.CONTROL, KeyCode.V);
        }
        assertThat(riff().roots()).hasSize(chords + 5);
        int caret = fx(() -> model().caret().chordProperty().get());
        assertThat(caret).isEqualTo(chords + 4);
        long start = riff().start(caret);
        await(
                "the page",
                () -> fx(() -> model().caret().view().shownProperty().get().shows(start)));
        assertThat(fx(() -> model().caret().view().shownProperty().get().shows(0))).isFalse();
    }
}
