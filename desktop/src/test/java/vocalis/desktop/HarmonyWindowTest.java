package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import javafx.stage.Window;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import vocalis.core.choice.Filter;
import vocalis.core.edit.Chords;
import vocalis.core.instrument.Tuning;
import vocalis.core.riff.Riff;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Edits;

/** Finding, comparing, drones, idle fingers and hands in the real window. */
@ExtendWith(ApplicationExtension.class)
class HarmonyWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private void awaitFound(String text, List<Integer> pitchClasses) {
        await(
                text,
                () ->
                        fx(
                                () ->
                                        model().offer().found().filter(text::equals).isPresent()
                                                && !model().shown().cardsProperty().get().isEmpty()
                                                && model().shown()
                                                        .cardsProperty()
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
        // Common practice.
        find(robot, "x-9-11-11-0-0");
        assertThat(fx(() -> model().shown().voicing().shape().text())).isEqualTo("x-9-11-11-0-0");
        assertThat(readout(robot, "readout-name")).isEqualTo("F♯7sus4");
        press(robot, KeyCode.ESCAPE);
        find(robot, "F#7sus4");
        awaitFound("F#7sus4", List.of(1, 4, 6, 11));
        for (var card : fx(() -> model().shown().cardsProperty().get())) {
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

    /** What is shown, what the riff has and the next cards; more by +, walked and put in by key. */
    @Test
    void voicingsAreComparedSideBySideByKeyboard(FxRobot robot) {
        await("cards", () -> fx(() -> model().shown().cardsProperty().get().size() > 5));
        robot.interact(() -> shell.models().whereabouts().placeProperty().set(WritePlace.CARDS));
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.C);
        await("compare", () -> robot.lookup("#compare-2").tryQuery().isPresent());
        await("caret", () -> fx(() -> focused("compare-0")));
        press(robot, KeyCode.PLUS);
        await("a fourth", () -> robot.lookup("#compare-3").tryQuery().isPresent());
        press(robot, KeyCode.PLUS);
        assertThat(robot.lookup(".compare-name").queryAll()).hasSize(4);
        await("caret", () -> fx(() -> focused("compare-3")));
        press(robot, KeyCode.DELETE);
        await("three", () -> robot.lookup("#compare-3").tryQuery().isEmpty());
        press(robot, KeyCode.LEFT);
        robot.press(KeyCode.H);
        await("heard", () -> fx(() -> shell.player().telemetry().latest().audition()));
        robot.release(KeyCode.H);
        await("released", () -> fx(() -> !shell.player().telemetry().latest().audition()));
        press(robot, KeyCode.ENTER);
        await("closed", () -> robot.lookup(".compare-name").tryQuery().isEmpty());
        assertThat(fx(() -> model().shown().isInRiff())).isTrue();
    }

    private boolean focused(String id) {
        Node owner = stage.getScene().getFocusOwner();
        return owner != null && id.equals(owner.getId());
    }

    @Test
    void theDroneMapSetsTheGround(FxRobot robot) {
        run("drones");
        await("map", () -> robot.lookup(".drone-cell").tryQuery().isPresent());
        await("caret on the cell of the ground", () -> fx(HarmonyWindowTest::caretOnACell));
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.DOWN);
        press(robot, KeyCode.ENTER);
        await("closed", () -> robot.lookup(".drone-cell").tryQuery().isEmpty());
        assertThat(riff().ground().capo()).isEqualTo(1);
        assertThat(riff().ground().key().symbol()).isEqualTo("E♭ phrygian");
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(riff()).isEqualTo(Demo.pieces().get(0).riff());
    }

    /** A list finds its entries by typed letters: the key that opens the panel is none of them. */
    @Test
    void theKeyThatOpensTheDroneMapIsNotTypedIntoItsList(FxRobot robot) {
        choose(robot, "#tuning", Tuning.STANDARD);
        press(robot, KeyCode.ESCAPE);
        run("drones");
        await("map", () -> robot.lookup(".drone-cell").tryQuery().isPresent());
        await("caret on the cell of the ground", () -> fx(HarmonyWindowTest::caretOnACell));
        ComboBox<Tuning> tunings = robot.lookup(".sheet .combo-box").queryComboBox();
        assertThat(fx(tunings::getValue)).isEqualTo(Tuning.STANDARD);
        press(robot, KeyCode.ESCAPE);
    }

    private static boolean caretOnACell() {
        return Window.getWindows().stream()
                .map(w -> w.getScene().getFocusOwner())
                .anyMatch(n -> n != null && n.getStyleClass().contains("drone-cell"));
    }

    @Test
    void anIdleFingerIsAdded(FxRobot robot) {
        find(robot, "x-x-7-7-x-x");
        run("idle");
        await("rows", () -> robot.lookup(".sheet .figures .quiet-button").tryQuery().isPresent());
        press(robot, KeyCode.ENTER);
        await("added", () -> fx(() -> model().shown().voicing().voices()) == 3);
        assertThat(fx(() -> model().shown().voicing().shape().fret(2))).isEqualTo(7);
        assertThat(fx(() -> model().shown().voicing().shape().fret(3))).isEqualTo(7);
    }

    /** Common practice: a stack, and what is left without its second voice. */
    @Test
    void voicesAreLeftOutCountedFromTheTop(FxRobot robot) {
        choose(robot, "#tuning", Tuning.STANDARD);
        find(robot, "5-7-7-x-x-x");
        press(robot, KeyCode.ALT, KeyCode.DIGIT2);
        assertThat(fx(() -> model().shown().voicing().shape().text())).isEqualTo("5-x-7-x-x-x");
        press(robot, KeyCode.ALT, KeyCode.DIGIT4);
        assertThat(fx(() -> model().shown().voicing().shape().text())).isEqualTo("5-x-7-x-x-x");
        press(robot, KeyCode.ALT, KeyCode.DIGIT1);
        assertThat(fx(() -> model().shown().voicing().shape().text())).isEqualTo("5-x-x-x-x-x");
    }

    @Test
    void theReadoutTurnsItsPagesAndSaysWhyAShapeCannotBeHeld(FxRobot robot) {
        choose(robot, "#tuning", Tuning.STANDARD);
        assertThat(robot.lookup("#figure-effort").tryQuery()).isEmpty();
        run("page");
        assertThat(robot.lookup("#figure-effort").query().getParent().isVisible()).isTrue();
        assertThat(robot.lookup("#figure-notes").query().getParent().isVisible()).isFalse();
        find(robot, "1-x-9-x-x-x");
        await("why not", () -> robot.lookup("#figure-hand").tryQuery().isPresent());
        assertThat(readout(robot, "figure-hand"))
                .startsWith("unplayable: needs")
                .contains("fret 1 to fret 9");
        run("support");
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
                                        model().offer()
                                                        .found()
                                                        .filter("own shapes"::equals)
                                                        .isPresent()
                                                && model().shown().cardsProperty().get().size()
                                                        == 1));
        var places = fx(() -> model().shown().cardsProperty().get().get(0).places());
        int root = fx(() -> model().currentChord().root());
        assertThat(places)
                .isNotEmpty()
                .allSatisfy(c -> assertThat(c.voicing().root()).isEqualTo(root));
    }

    /** A family taken by its digit keeps to the filter, for one chord and for all, in one step. */
    @Test
    void theDigitsKeepToTheFilter(FxRobot robot) {
        Filter high = Filter.NONE.with(Filter.Position.HIGH);
        robot.interact(
                () -> {
                    shell.models()
                            .session()
                            .apply(Edits.riff("unchosen", HarmonyWindowTest::unchosen));
                    shell.models().whereabouts().placeProperty().set(WritePlace.BAND);
                    model().offer().filterProperty().set(high);
                });
        Riff before = riff();
        assertThat(passing(high, 0)).isFalse();
        press(robot, KeyCode.DIGIT1);
        await("the chord passes", () -> passing(high, 0));
        assertThat(riff().treatments().subList(1, before.treatments().size()))
                .isEqualTo(before.treatments().subList(1, before.treatments().size()));
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(riff()).isEqualTo(before);
        press(robot, KeyCode.CONTROL, KeyCode.DIGIT1);
        int chords = before.roots().size();
        await("all pass", () -> IntStream.range(0, chords).allMatch(i -> passing(high, i)));
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(riff()).isEqualTo(before);
    }

    private boolean passing(Filter filter, int chord) {
        return fx(
                () ->
                        filter.accepts(
                                model().derived().chords().get(chord).candidate(),
                                shell.models().session().hand()));
    }

    /** The riff with no shape chosen. */
    private static Riff unchosen(Riff riff) {
        Riff out = riff;
        for (int i = 0; i < riff.roots().size(); i++) {
            out = Chords.bestMember(out, i);
        }
        return out;
    }

    /** Dark voicings under one key; the shape along the neck, taken to another place. */
    @Test
    void darkOnesAndTheSeriesByKey(FxRobot robot) {
        choose(robot, "#tuning", Tuning.STANDARD);
        run("dark");
        await(
                "dark rows",
                () -> robot.lookup(".sheet .figures .quiet-button").tryQuery().isPresent());
        Voicing before = fx(() -> model().shown().voicing());
        robot.press(KeyCode.H);
        await("heard", () -> fx(() -> shell.player().telemetry().latest().audition()));
        robot.release(KeyCode.H);
        press(robot, KeyCode.DOWN);
        press(robot, KeyCode.ENTER);
        Voicing dark = fx(() -> model().shown().voicing());
        assertThat(dark.shape()).isNotEqualTo(before.shape());
        // ♭9, tritone or ♭6 above the root.
        int root = dark.root();
        assertThat(dark.soundings().stream().map(n -> Math.floorMod(n.midi() - root, 12)))
                .containsAnyOf(1, 6, 8);
        press(robot, KeyCode.ESCAPE);
        find(robot, "x-5-7-7-0-0");
        run("series");
        await("the series", () -> robot.lookup("x-3-5-5-0-0").tryQuery().isPresent());
        clickOn(robot, "x-3-5-5-0-0");
        await(
                "taken there",
                () -> fx(() -> model().shown().voicing().shape().text().equals("x-3-5-5-0-0")));
    }

    @Test
    void theHandDecidesWhatIsOffered(FxRobot robot) {
        await("cards", () -> fx(() -> !model().shown().cardsProperty().get().isEmpty()));
        press(robot, KeyCode.DIGIT5);
        awaitCards(Family.TRIAD);
        int medium = fx(() -> model().offer().all());
        robot.interact(() -> shell.workspace().setHand(vocalis.core.hands.Hand.SMALL));
        await("fewer", () -> fx(() -> model().offer().all()) < medium);
        robot.interact(() -> shell.workspace().setHand(vocalis.core.hands.Hand.LARGE));
        await("more", () -> fx(() -> model().offer().all()) > medium);
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
        run("instrument");
        await("dialog", () -> robot.lookup("#tuning-notes").tryQuery().isPresent());
        clickOn(robot, "#tuning-notes").eraseText(40).write("B1 E2 A2 D3 G3 B3 E4");
        press(robot, KeyCode.ENTER);
        await("seven", () -> riff().ground().board().strings() == 7);
        assertThat(chord(0).candidate().voicing().shape().strings()).isEqualTo(7);
        await("cards", () -> fx(() -> !model().shown().cardsProperty().get().isEmpty()));
    }
}
