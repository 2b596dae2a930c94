package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import vocalis.core.check.Caution;
import vocalis.core.check.Check;
import vocalis.core.derive.Finding;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Hand;
import vocalis.core.harmony.Context;
import vocalis.core.instrument.Shape;
import vocalis.core.pattern.Touch;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Edits;
import vocalis.workbench.exchange.Exchange;

/** The caret is where it is drawn; what a key says stays; joined notes are what was typed. */
@ExtendWith(ApplicationExtension.class)
class CaretWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.blank("caret");
    }

    private long caret() {
        return fx(() -> model().lane().caretProperty().get());
    }

    private int chord() {
        return fx(() -> model().caret().chordProperty().get());
    }

    private String said() {
        return fx(() -> shell.models().session().saidProperty().get());
    }

    /** The lane's caret stands in the chosen chord before the lane is entered, and stays put. */
    @Test
    void enteringTheLaneMovesNothing(FxRobot robot) {
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.RIGHT);
        assertThat(chord()).isEqualTo(2);
        long drawn = caret();
        assertThat(drawn).isEqualTo(riff().start(2));
        press(robot, KeyCode.CONTROL, KeyCode.TAB);
        assertThat(caret()).isEqualTo(drawn);
        press(robot, KeyCode.RIGHT);
        long moved = caret();
        assertThat(moved).isGreaterThan(drawn);
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.TAB);
        press(robot, KeyCode.CONTROL, KeyCode.TAB);
        assertThat(caret()).isEqualTo(moved);
    }

    @Test
    void undoAndRedoBringTheCaretBack(FxRobot robot) {
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.UP);
        assertThat(fx(() -> shell.workspace().changed())).isTrue();
        press(robot, KeyCode.END);
        assertThat(chord()).isEqualTo(3);
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(chord()).isEqualTo(1);
        assertThat(caret()).isEqualTo(riff().start(1));
        press(robot, KeyCode.HOME);
        press(robot, KeyCode.CONTROL, KeyCode.Y);
        assertThat(chord()).isEqualTo(1);
    }

    /** A click on a far bar of a long riff: caret and page are there, and 9 voices what is seen. */
    @Test
    void aClickInTheOverviewTakesTheCaretAlong(FxRobot robot) {
        fx(
                () ->
                        shell.models()
                                .session()
                                .apply(Edits.riff("long", r -> repeated(repeated(repeated(r))))));
        settle();
        assertThat(riff().roots()).hasSize(32);
        await("overview", () -> robot.lookup(".overview").tryQuery().isPresent());
        Node overview = robot.lookup(".overview").query();
        // It is there before it is laid out, and would take a click for its beginning.
        await("laid out", () -> fx(() -> overview.getLayoutBounds().getWidth() > 300));
        settle();
        fx(
                () -> {
                    var b = overview.getLayoutBounds();
                    overview.fireEvent(
                            new javafx.scene.input.MouseEvent(
                                    javafx.scene.input.MouseEvent.MOUSE_PRESSED,
                                    b.getWidth() * 0.8,
                                    b.getHeight() / 2,
                                    0,
                                    0,
                                    javafx.scene.input.MouseButton.PRIMARY,
                                    1,
                                    false,
                                    false,
                                    false,
                                    false,
                                    true,
                                    false,
                                    false,
                                    false,
                                    false,
                                    false,
                                    null));
                    return null;
                });
        assertThat(chord()).isBetween(24, 27);
        assertThat(fx(() -> model().caret().view().shownProperty().get().shows(caret()))).isTrue();
        int seen = chord();
        press(robot, KeyCode.DIGIT9);
        assertThat(riff().treatments().get(seen).family().digit()).isEqualTo(9);
    }

    private static Riff repeated(Riff r) {
        int n = r.roots().size();
        return Chords.copy(r, 0, n - 1, n);
    }

    // What a key says.

    @Test
    void whatAKeySaysIsNotWipedByTheSameKey(FxRobot robot) {
        press(robot, KeyCode.CONTROL, KeyCode.TAB);
        press(robot, KeyCode.L);
        press(robot, KeyCode.S);
        assertThat(said()).isEqualTo("First write the note that it begins on.");
        press(robot, KeyCode.DIGIT0);
        assertThat(said()).startsWith("Degrees are 1 to 7");
        press(robot, KeyCode.ENTER);
        assertThat(said()).isEmpty();
        press(robot, KeyCode.S);
        assertThat(said()).isEqualTo("First write the note that it begins on.");
    }

    @Test
    void homeAndEndWalkTheBarsWhileWriting(FxRobot robot) {
        writing(robot);
        press(robot, KeyCode.END);
        assertThat(caret()).isEqualTo(riff().meters().start(1));
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.HOME);
        assertThat(caret()).isLessThanOrEqualTo(riff().meters().start(1));
    }

    /** Alt 2 and Alt 3 leave out the second and the third from the top, not the fourth. */
    @Test
    void voicesKeepTheirNumbersWhileTheyAreLeftOut(FxRobot robot) {
        fx(
                () -> {
                    model().shown().take(Shape.parse("3-5-5-4-3-3"));
                    model().thin(2);
                    model().thin(3);
                    return null;
                });
        assertThat(fx(() -> model().shown().voicing().shape().text())).isEqualTo("3-5-5-x-x-3");
        fx(
                () -> {
                    model().thin(2);
                    return null;
                });
        assertThat(fx(() -> model().shown().voicing().shape().text())).isEqualTo("3-5-5-x-3-3");
    }

    // Joined notes.

    private void writing(FxRobot robot) {
        press(robot, KeyCode.CONTROL, KeyCode.TAB);
        press(robot, KeyCode.L);
    }

    private String tab() {
        settle();
        Piece piece = fx(() -> shell.workspace().content());
        return new Exchange(shell.models().session().catalogue(), Hand.MEDIUM).away(piece).tab(96);
    }

    @Test
    void aChainOfSlidesIsWhatWasTyped(FxRobot robot) {
        writing(robot);
        press(robot, KeyCode.D);
        press(robot, KeyCode.D);
        press(robot, KeyCode.DIGIT5);
        press(robot, KeyCode.S);
        press(robot, KeyCode.DIGIT8);
        press(robot, KeyCode.S);
        press(robot, KeyCode.SHIFT, KeyCode.DIGIT0);
        assertThat(firstNote().techniques())
                .extracting(Technique::kind, Technique::to)
                .containsExactly(tuple(Technique.Kind.SLIDE, 8), tuple(Technique.Kind.SLIDE, 10));
        assertThat(tab().replace("-", "")).contains("5/8/10");
    }

    /** A hammer-on, a slide and a pull-off in one chain: each from where the one before it led. */
    @Test
    void aChainOfDifferentJoins(FxRobot robot) {
        writing(robot);
        press(robot, KeyCode.D);
        press(robot, KeyCode.D);
        press(robot, KeyCode.DIGIT3);
        press(robot, KeyCode.P);
        press(robot, KeyCode.DIGIT5);
        press(robot, KeyCode.S);
        press(robot, KeyCode.DIGIT8);
        press(robot, KeyCode.P);
        press(robot, KeyCode.DIGIT7);
        assertThat(firstNote().techniques())
                .extracting(Technique::kind, Technique::to)
                .containsExactly(
                        tuple(Technique.Kind.HAMMER, 5),
                        tuple(Technique.Kind.SLIDE, 8),
                        tuple(Technique.Kind.PULL, 7));
        assertThat(tab().replace("-", "")).contains("3h5/8p7");
    }

    /** The seventh joined to the root: the root beside it, not the one an octave off. */
    @Test
    void aDegreeIsJoinedInTheNearestOctave(FxRobot robot) {
        writing(robot);
        press(robot, KeyCode.DIGIT7);
        press(robot, KeyCode.P);
        press(robot, KeyCode.DIGIT1);
        ScoreNote n = firstNote();
        assertThat(n.techniques()).hasSize(1);
        assertThat(n.techniques().get(0).to() - n.fret()).isEqualTo(2);
        assertThat(n.techniques().get(0).kind()).isEqualTo(Technique.Kind.HAMMER);
    }

    @Test
    void aChainPastTheFiguresEndIsRefusedInWords(FxRobot robot) {
        writing(robot);
        int steps = (int) (riff().bars() > 0 ? riff().pattern().figures().get(0).length() : 0);
        long grain = fx(() -> model().lane().grainProperty().get());
        for (long at = 0; at + grain < steps; at += grain) {
            press(robot, KeyCode.RIGHT);
        }
        press(robot, KeyCode.DIGIT1);
        press(robot, KeyCode.P);
        press(robot, KeyCode.DIGIT2);
        assertThat(said()).startsWith("The figure ends here");
        settle();
        assertThat(riff().touches()).noneMatch(Touch.Legato.class::isInstance);
        assertThat(fx(() -> model().derived().findings()))
                .noneMatch(Finding.TouchUnplaced.class::isInstance);
    }

    @Test
    void aJoinWiderThanAHandIsFound(FxRobot robot) {
        writing(robot);
        press(robot, KeyCode.D);
        press(robot, KeyCode.D);
        press(robot, KeyCode.DIGIT1);
        press(robot, KeyCode.P);
        press(robot, KeyCode.DIGIT9);
        settle();
        assertThat(Check.of(fx(() -> model().derived())))
                .anyMatch(c -> c instanceof Caution.WideJoin j && j.from() == 1 && j.to() == 9);
    }

    private ScoreNote firstNote() {
        settle();
        return fx(() -> model().derived().score().notes().get(0));
    }

    // The readout.

    /** Numeral, tension and pull are those of the chord whose name stands above them. */
    @Test
    void theReadoutTellsTheChordUnderTheCaret(FxRobot robot) {
        fx(
                () ->
                        shell.models()
                                .session()
                                .apply(
                                        Edits.riff(
                                                "roots",
                                                r -> Chords.familyOfAll(r, Family.FOURTH))));
        settle();
        for (int i = 0; i < riff().roots().size(); i++) {
            press(robot, KeyCode.UP);
            settle();
            Key key = riff().ground().key();
            String row = robot.lookup("#figure-in-the-key").queryAs(Label.class).getText();
            var v = fx(() -> model().shown().voicing());
            int tension = Context.tension(v, key);
            assertThat(row).contains("tension " + tension + " of 100");
            press(robot, KeyCode.RIGHT);
        }
    }
}
