package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import vocalis.core.edit.FigureText;
import vocalis.core.mix.Mix;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.Pattern;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.workbench.document.Edits;

/** Ideas, sparks and lines for the bass, by keys and by mouse, heard before they are taken. */
@ExtendWith(ApplicationExtension.class)
class IdeaWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    private void awaitRow(FxRobot robot, String name) {
        await(name, () -> robot.lookup(name).tryQuery().isPresent());
    }

    /** By keys: F3, the word, the rule, its first setting; heard, taken, undone in one step. */
    @Test
    void anIdeaIsHeardTakenAndUndone(FxRobot robot) {
        Riff before = riff();
        press(robot, KeyCode.F3);
        robot.write("ideas");
        press(robot, KeyCode.ENTER);
        awaitRow(robot, "Pedal riff …");
        press(robot, KeyCode.ENTER);
        await("settings", () -> robot.lookup(this::isSetting).tryQuery().isPresent());
        robot.press(KeyCode.H);
        await("heard", () -> fx(() -> model().hearing().previewing()));
        robot.release(KeyCode.H);
        await("ended", () -> !fx(() -> model().hearing().previewing()));
        assertThat(riff()).isEqualTo(before);
        press(robot, KeyCode.ENTER);
        settle();
        assertThat(riff()).isNotEqualTo(before);
        assertThat(riff().passes().get(0).events()).anyMatch(e -> e instanceof LineNote);
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(riff()).isEqualTo(before);
    }

    private boolean isSetting(javafx.scene.Node n) {
        return n instanceof Button b && b.getText().matches("(Fifths|Fourths|Thirds), .*");
    }

    /** By mouse: the menu's line, a spark, and undo. */
    @Test
    void aSparkTakesTheRiffsPlace(FxRobot robot) {
        Riff before = riff();
        run("sparks");
        awaitRow(robot, "Six others …");
        long shown =
                robot.lookup(n -> n instanceof Button b && b.getText().contains(", "))
                        .queryAll()
                        .size();
        assertThat(shown).isGreaterThanOrEqualTo(6);
        Button first =
                robot.lookup(
                                n ->
                                        n instanceof Button b
                                                && b.getStyleClass().contains("quiet-button")
                                                && b.getText().contains(", "))
                        .query();
        robot.clickOn(first);
        settle();
        assertThat(riff()).isNotEqualTo(before);
        assertThat(riff().ground()).isEqualTo(before.ground());
        assertThat(riff().bars()).isLessThanOrEqualTo(4);
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(riff()).isEqualTo(before);
    }

    /** One line locks bass and kick; the band says so. */
    @Test
    void bassAndKickLock(FxRobot robot) {
        run("ideas");
        awaitRow(robot, "Lock bass and kick");
        robot.clickOn("Lock bass and kick");
        settle();
        Mix mix = fx(() -> model().session().piece().mix());
        assertThat(mix.bassLine()).isEqualTo(Mix.BassLine.LOCKED);
        assertThat(mix.bass().on() && mix.kit().on()).isTrue();
    }

    /** In Arrange a line for the bass is chosen from some with why, and stands in the section. */
    @Test
    void theBassHasLinesToChooseFrom(FxRobot robot) {
        press(robot, KeyCode.F7);
        settle();
        run("bass-lines");
        awaitRow(robot, "Octaves");
        robot.clickOn("Octaves");
        settle();
        var line = fx(() -> model().session().piece().sections().get(0).band().line());
        assertThat(line).isPresent();
        assertThat(line.get().text()).startsWith("1 8 1 8");
    }

    /** A line of single notes is harmonised by guitar two; the whole of it or its second half. */
    @Test
    void aLineIsHarmonised(FxRobot robot) {
        Riff line =
                riff().withPattern(
                                Pattern.of(
                                        FigureText.of(
                                                "line", "line", Ticks.EIGHTH, "1 2 3 5 4 3 2 1")))
                        .withTouches(List.of());
        fx(() -> model().session().apply(Edits.riff("write a line", r -> line)));
        settle();
        run("ideas");
        awaitRow(robot, "Harmonise the line …");
        robot.clickOn("Harmonise the line …");
        awaitRow(robot, "The line in thirds above, second half");
        robot.clickOn("The line in thirds above, second half");
        settle();
        Riff second =
                fx(
                        () -> {
                            Piece p = model().session().piece();
                            return p.secondOf(p.riffs().get(0).id(), Optional.empty());
                        });
        long half = second.meters().start(second.bars() / 2);
        List<Long> struck =
                second.passes().stream()
                        .flatMap(
                                p ->
                                        p.events().stream()
                                                .filter(Event::sounds)
                                                .map(e -> p.start() + e.at()))
                        .toList();
        assertThat(struck).isNotEmpty().allMatch(at -> at >= half);
        assertThat(fx(() -> model().session().piece().mix().second().on())).isTrue();
    }
}
