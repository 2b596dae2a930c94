package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import vocalis.core.piece.Guitar;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.score.Onset;
import vocalis.core.score.ScoreNote;
import vocalis.core.voicing.Family;
import vocalis.desktop.lane.Lane;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.Written;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.words.RevoiceWords;

/** A part of guitar two's own, written over an empty riff once by keys and once by mouse. */
@ExtendWith(ApplicationExtension.class)
class GuitarTwoWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.blank();
    }

    private Piece piece() {
        return fx(() -> shell.models().session().piece());
    }

    /** What stands on the lane, in the order painted. */
    private List<String> lane(FxRobot robot) {
        Lane lane = robot.lookup("#lane").queryAs(Lane.class);
        return fx(
                () -> {
                    lane.layout();
                    return ((CanvasSkin<?>) lane.getSkin())
                            .written().stream().map(Written::text).toList();
                });
    }

    /** A lead typed as degrees over rests. */
    @Test
    void aLeadIsTypedOverTheRiff(FxRobot robot) {
        Riff one = riff();
        press(robot, KeyCode.F3);
        robot.write("part of its own");
        press(robot, KeyCode.ENTER);
        assertThat(fx(() -> model().whereabouts().place())).isEqualTo(WritePlace.LANE);
        assertThat(piece().mix().second().on()).as("it is heard").isTrue();
        assertThat(fx(() -> model().derived().score().notes())).isEmpty();
        press(robot, KeyCode.L);
        for (KeyCode k : new KeyCode[] {KeyCode.DIGIT1, KeyCode.DIGIT3, KeyCode.DIGIT5}) {
            press(robot, k);
        }
        press(robot, KeyCode.ESCAPE);
        assertThat(piece().riff()).isEqualTo(one);
        List<ScoreNote> lead = fx(() -> model().derived().score().notes());
        assertThat(lead).extracting(ScoreNote::at).containsExactly(0L, Ticks.EIGHTH, Ticks.QUARTER);
        List<String> shown = lane(robot);
        assertThat(shown).contains("guitar 1", "guitar 2");
        // Heard: the last of the three, the fifth, which guitar one strikes in no chord so high.
        Onset last = fx(() -> model().derived().score().onsets().get(2));
        ScoreNote fifth = last.notes().get(0);
        int midi = fx(() -> riff().ground().board().midi(fifth.string(), fifth.fret()));
        press(robot, KeyCode.HOME);
        double waits = Ticks.seconds(Ticks.QUARTER, riff().tempo());
        tap.clear();
        press(robot, KeyCode.SPACE);
        await("sound", () -> tap.firstSound() >= 0);
        listen(waits + 0.6);
        press(robot, KeyCode.SPACE);
        double from = tap.firstSound() + waits + 0.05;
        assertThat(tap.levelDb(Tap.hz(midi), from, 0.3))
                .isGreaterThan(tap.levelDb(Tap.hz(midi + 1), from, 0.3) + 6);
        // Back to guitar one: its own tab, the lead faintly below.
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.G);
        assertThat(fx(() -> model().derived().riff())).isEqualTo(one);
        assertThat(lane(robot)).contains("guitar 1", "guitar 2");
        assertThat(fx(() -> model().session().workspace().beside().orElseThrow().score().notes()))
                .isEqualTo(lead);
    }

    /** A button goes over, a click puts the caret, a button puts a stroke; versions are its own. */
    @Test
    void aPartIsClickedTogether(FxRobot robot) {
        Riff one = riff();
        Node lane = robot.lookup("#lane").query();
        click(robot, lane, 300, 60);
        clickOn(robot, "#strip-guitar");
        settle();
        assertThat(fx(() -> model().session().writtenProperty().get())).isEqualTo(Guitar.TWO);
        assertThat(lane(robot)).as("the same is not shown twice").doesNotContain("guitar 1");
        clickOn(robot, "#family-4");
        settle();
        clickOn(robot, "#use-voicing");
        settle();
        assertThat(piece().riff()).isEqualTo(one);
        assertThat(piece().secondRiff().treatments()).isNotEqualTo(one.treatments());
        assertThat(lane(robot)).contains("guitar 1", "guitar 2");
        run("keep-version");
        assertThat(piece().versions(Guitar.TWO)).hasSize(1);
        assertThat(piece().versions()).isEmpty();
        // A click on what guitar one plays changes nothing of it.
        Point2D faint = at(lane, 300, 40);
        clickOn(robot, faint);
        settle();
        assertThat(piece().riff()).isEqualTo(one);
        // Revoice works on what is written: a digit switches guitar two, guitar one is a row.
        press(robot, KeyCode.F6);
        await(
                "rows",
                () ->
                        fx(
                                () ->
                                        shell.models().revoice().rows().stream()
                                                .anyMatch(
                                                        r ->
                                                                RevoiceWords.name(r)
                                                                        .equals("Guitar one"))));
        press(robot, KeyCode.DIGIT3);
        assertThat(piece().secondRiff().treatments()).allMatch(t -> t.family() == Family.THIRD);
        assertThat(piece().riff()).isEqualTo(one);
        press(robot, KeyCode.F5);
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(piece().secondRiff()).isEqualTo(one);
    }
}
