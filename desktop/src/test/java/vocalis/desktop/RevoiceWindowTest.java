package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import vocalis.core.derive.Derived;
import vocalis.core.instrument.Shape;
import vocalis.core.piece.Piece;
import vocalis.core.revoice.Intent;
import vocalis.core.revoice.Row;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Treatment;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Sounding;
import vocalis.desktop.revoice.RevoicePlace;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.words.RevoiceWords;

/** The Revoice screen by keyboard alone in the real window, its sound tapped. */
@ExtendWith(ApplicationExtension.class)
class RevoiceWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.pieces().get(4);
    }

    private List<Row> rows() {
        return fx(() -> List.copyOf(shell.models().revoice().rows()));
    }

    private void opened(FxRobot robot) {
        press(robot, KeyCode.F6);
        assertThat(fx(() -> shell.models().whereabouts().placeProperty().get()))
                .isEqualTo(RevoicePlace.GRID);
        found();
    }

    /** Waits until every row is there and belongs to the riff as it is now. */
    private void found() {
        await(
                "all rows",
                () -> {
                    List<Row> all = rows();
                    Riff now = riff();
                    return all.size() >= 1 + Family.values().length + Intent.values().length - 1
                            && all.stream().allMatch(r -> r.riff().pattern().equals(now.pattern()))
                            && all.get(0).riff().equals(now);
                });
    }

    private void to(FxRobot robot, String row) {
        await("row " + row, () -> rows().stream().map(RevoiceWords::name).anyMatch(row::equals));
        int wanted = rows().stream().map(RevoiceWords::name).toList().indexOf(row);
        int now = fx(() -> shell.models().revoice().rowProperty().get());
        for (int i = 0; i < Math.abs(wanted - now); i++) {
            press(robot, wanted > now ? KeyCode.DOWN : KeyCode.UP);
        }
    }

    private Shape shapeUnderCaret() {
        return fx(
                () ->
                        shell.models()
                                .revoice()
                                .current()
                                .orElseThrow()
                                .derived()
                                .chords()
                                .get(shell.models().revoice().columnProperty().get())
                                .candidate()
                                .voicing()
                                .shape());
    }

    /** Families of what the second guitar plays. */
    private List<Family> families() {
        return fx(
                () ->
                        shell.workspace().content().secondRiff().treatments().stream()
                                .map(Treatment::family)
                                .toList());
    }

    @Test
    void familiesIntentsAndTheMixStandSideBySide(FxRobot robot) {
        opened(robot);
        List<Row> all = rows();
        assertThat(all.get(0).mix()).isTrue();
        for (int i = 0; i < Family.values().length; i++) {
            assertThat(all.get(1 + i).family()).contains(Family.values()[i]);
            Family f = Family.values()[i];
            assertThat(all.get(1 + i).derived().chords())
                    .allMatch(c -> f.accepts(c.candidate().voicing()));
        }
        assertThat(all.stream().filter(r -> r.intent().isPresent()).count())
                .isGreaterThanOrEqualTo(Intent.values().length - 1);
        to(robot, "Smooth top");
        assertThat(robot.lookup("#revoice-does").queryAs(Label.class).getText())
                .contains("semitones a round");
        // A locked chord stays as the mix has it in every row by intent.
        press(robot, KeyCode.K);
        Derived mix = fx(() -> model().derived());
        await(
                "rows with the lock",
                () ->
                        rows().stream()
                                .filter(r -> r.intent().isPresent())
                                .allMatch(
                                        r ->
                                                r.derived()
                                                        .chords()
                                                        .get(0)
                                                        .candidate()
                                                        .voicing()
                                                        .equals(
                                                                mix.chords()
                                                                        .get(0)
                                                                        .candidate()
                                                                        .voicing())));
        Riff before = riff();
        to(robot, "Brightest");
        press(robot, KeyCode.CONTROL, KeyCode.ENTER);
        assertThat(riff()).isNotEqualTo(before);
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(riff()).isEqualTo(before);
        press(robot, KeyCode.ESCAPE);
        assertThat(fx(() -> shell.models().whereabouts().placeProperty().get()))
                .isEqualTo(WritePlace.BAND);
    }

    /** Digits switch the riff, with Shift one chord; cells of three rows make a mix; it is kept. */
    @Test
    void aMixIsMadeOfThreeRowsAndKept(FxRobot robot) {
        opened(robot);
        press(robot, KeyCode.DIGIT4);
        assertThat(riff().treatments()).allMatch(t -> t.family() == Family.OCTAVE);
        press(robot, KeyCode.HOME);
        press(robot, KeyCode.SHIFT, KeyCode.DIGIT5);
        assertThat(riff().treatments().get(0).family()).isEqualTo(Family.TRIAD);
        found();
        String[] from = {"Power", "Extended", "Sus, add"};
        Family[] families = {Family.POWER, Family.EXTENDED, Family.SUSPENDED};
        for (int i = 0; i < 3; i++) {
            to(robot, from[i]);
            press(robot, KeyCode.RIGHT);
            press(robot, KeyCode.ENTER);
            found();
            assertThat(riff().treatments().get(i + 1).family()).isEqualTo(families[i]);
        }
        // Another shape of a family, and another place of it, for the last chord.
        to(robot, "Power");
        for (KeyCode[] keys : new KeyCode[][] {{KeyCode.PLUS}, {KeyCode.ALT, KeyCode.UP}}) {
            Shape was = shapeUnderCaret();
            press(robot, keys);
            await("another shape", () -> !shapeUnderCaret().equals(was));
            found();
            assertThat(riff().treatments().get(3).family()).isEqualTo(Family.SUSPENDED);
        }
        run("keep-version");
        assertThat(fx(() -> shell.workspace().content().versions()))
                .singleElement()
                .satisfies(v -> assertThat(v.riff()).isEqualTo(riff()));
        // What was kept stands beside what comes after it, and gives a cell back.
        Riff kept = riff();
        press(robot, KeyCode.DIGIT1);
        await("the version's row", () -> rows().stream().anyMatch(r -> r.version().isPresent()));
        found();
        to(robot, "Version 1");
        press(robot, KeyCode.ENTER);
        assertThat(riff().treatments().get(3)).isEqualTo(kept.treatments().get(3));
    }

    /** Held, the cell under the caret is what sounds, and the row is what plays. */
    @Test
    void whatIsHeldSoundsAndBlindChoicesAreCounted(FxRobot robot) {
        opened(robot);
        to(robot, "Brightest");
        Row row = fx(() -> shell.models().revoice().current().orElseThrow());
        tap.clear();
        robot.press(KeyCode.J);
        listen(SETTLE + 0.4);
        List<Sounding> notes = row.derived().chords().get(0).candidate().voicing().soundings();
        for (Sounding n : notes) {
            assertThat(tap.levelDb(Tap.hz(n.midi()), 0.5)).isGreaterThan(-62);
        }
        robot.release(KeyCode.J);
        listen(SETTLE);
        Riff before = riff();
        Piece unchanged = fx(() -> shell.workspace().content());
        robot.press(KeyCode.H);
        await(
                "the row plays",
                () -> fx(() -> shell.models().session().player().telemetry().latest().playing()));
        robot.release(KeyCode.H);
        await(
                "it ends",
                () -> !fx(() -> shell.models().session().player().telemetry().latest().playing()));
        assertThat(riff()).isEqualTo(before);

        // The row in place of the mix, until the screen is left.
        press(robot, KeyCode.C);
        await(
                "the other plays",
                () -> fx(() -> shell.models().session().player().telemetry().latest().playing()));
        press(robot, KeyCode.ESCAPE);
        await(
                "it ends",
                () -> !fx(() -> shell.models().session().player().telemetry().latest().playing()));
        press(robot, KeyCode.F6);

        // The second guitar takes a cell and a row of its own over the mix; the riff stays.
        to(robot, "Octave");
        run("second-guitar");
        assertThat(robot.lookup("#revoice-changes").queryAs(Label.class).getText())
                .startsWith("Second guitar over what is written");
        Riff mix = riff();
        press(robot, KeyCode.HOME);
        press(robot, KeyCode.ENTER);
        assertThat(families()).first().isEqualTo(Family.OCTAVE);
        assertThat(families().subList(1, families().size()))
                .isEqualTo(mix.treatments().stream().skip(1).map(Treatment::family).toList());
        assertThat(fx(() -> shell.workspace().content().mix().second().on())).isTrue();
        found();
        to(robot, "Guitar two");
        to(robot, "Triad");
        press(robot, KeyCode.CONTROL, KeyCode.ENTER);
        assertThat(families()).containsOnly(Family.TRIAD);
        press(robot, KeyCode.SHIFT, KeyCode.DIGIT1);
        assertThat(families().get(fx(() -> shell.models().revoice().columnProperty().get())))
                .isEqualTo(Family.POWER);
        assertThat(riff()).isEqualTo(before);
        for (int i = 0; i < 3; i++) {
            press(robot, KeyCode.CONTROL, KeyCode.Z);
        }
        assertThat(fx(() -> shell.workspace().content())).isEqualTo(unchanged);
        run("second-guitar");

        // Blind: two choices are counted and told at the end; without a second row it says so.
        to(robot, "as written");
        run("blind");
        assertThat(fx(() -> shell.sheets().top())).isEmpty();
        to(robot, "Drone");
        run("blind");
        press(robot, KeyCode.DIGIT1);
        press(robot, KeyCode.ENTER);
        press(robot, KeyCode.DIGIT2);
        press(robot, KeyCode.ENTER);
        assertThat(robot.lookup("#blind").queryAs(Label.class).getText()).contains("2");
        press(robot, KeyCode.ESCAPE);
        assertThat(fx(() -> shell.models().session().saidProperty().get()))
                .contains("Of 2 choices");
        assertThat(fx(() -> shell.models().session().player().telemetry().latest().playing()))
                .isFalse();
    }
}
