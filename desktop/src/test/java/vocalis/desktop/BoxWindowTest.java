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
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Ticks;
import vocalis.core.scale.Box;
import vocalis.core.score.ScoreNote;
import vocalis.core.theory.Key;
import vocalis.desktop.neck.NeckGeometry;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.demo.Demo;

/**
 * A box of a scale on the neck, its notes written by pointing and typing, fills to the next root.
 */
@ExtendWith(ApplicationExtension.class)
class BoxWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.blank();
    }

    private void at(WritePlace place) {
        fx(
                () -> {
                    model().go(place);
                    return null;
                });
        WaitForAsyncUtils.waitForFxEvents();
    }

    private Box box() {
        return fx(() -> model().boxes().box().orElseThrow());
    }

    private List<List<Integer>> places(long from, long to) {
        settle();
        return fx(
                () ->
                        model().derived().score().notes().stream()
                                .filter(n -> n.at() >= from && n.at() < to)
                                .map(n -> List.of(n.string(), n.fret()))
                                .toList());
    }

    private static List<List<Integer>> placesOf(List<Box.Spot> spots) {
        return spots.stream().map(s -> List.of(s.string(), s.fret())).toList();
    }

    /** A pentatonic over a minor riff, walked by keys; the riff is what it was. */
    @Test
    void boxesAreWalkedByKeys(FxRobot robot) {
        var before = riff();
        fx(
                () -> {
                    model().looks()
                            .scale()
                            .set(java.util.Optional.of(Key.parse("A minor pentatonic")));
                    return null;
                });
        at(WritePlace.NECK);
        press(robot, KeyCode.ALT, KeyCode.RIGHT);
        assertThat(box().start()).as("the box nearest to the hand").isEqualTo(3);
        press(robot, KeyCode.ALT, KeyCode.UP);
        assertThat(box().start()).isEqualTo(15);
        press(robot, KeyCode.ALT, KeyCode.UP);
        assertThat(box().start()).isEqualTo(3);
        press(robot, KeyCode.ALT, KeyCode.RIGHT);
        assertThat(box().position()).isEqualTo(5);
        press(robot, KeyCode.ALT, KeyCode.LEFT);
        press(robot, KeyCode.ALT, KeyCode.LEFT);
        assertThat(box().atNut()).isTrue();
        run("box-off");
        assertThat(fx(() -> model().boxes().box())).isEmpty();
        press(robot, KeyCode.SHIFT, KeyCode.ENTER);
        assertThat(riff()).isEqualTo(before);
    }

    /** Two notes pointed at, by mouse and by key, then two typed as degrees of the box. */
    @Test
    void notesOfTheBoxAreWritten(FxRobot robot) {
        at(WritePlace.NECK);
        clickOn(robot, "#strip-box-next");
        run("box-next");
        Box box = box();
        Box.Spot low = box.spots().get(2);
        Box.Spot high = box.spots().get(4);
        Node neck = robot.lookup("#neck").query();
        NeckGeometry g =
                fx(
                        () ->
                                NeckGeometry.of(
                                        riff().ground().board(),
                                        neck.getBoundsInLocal().getWidth(),
                                        neck.getBoundsInLocal().getHeight()));
        Point2D there = at(neck, g.mark(low.fret()), g.y(low.string()));
        clickOn(robot, there);
        settle();
        fx(
                () -> {
                    model().neck().stringProperty().set(high.string());
                    model().neck().fretProperty().set(high.fret());
                    return null;
                });
        press(robot, KeyCode.SHIFT, KeyCode.ENTER);
        assertThat(places(0, Ticks.QUARTER)).isEqualTo(placesOf(List.of(low, high)));
        // Typed: D goes on to degrees of the box, 1 is its nearest tonic, 9 the second above it.
        at(WritePlace.LANE);
        press(robot, KeyCode.L);
        for (int i = 0; i < 3; i++) {
            press(robot, KeyCode.D);
        }
        assertThat(fx(() -> model().typing().inWords())).endsWith("degrees of the box");
        press(robot, KeyCode.DIGIT1);
        press(robot, KeyCode.DIGIT9);
        List<List<Integer>> typed = places(Ticks.QUARTER, 2 * Ticks.QUARTER);
        assertThat(typed).hasSize(2);
        for (int i = 0; i < 2; i++) {
            var place = typed.get(i);
            Box.Spot spot = box.at(place.get(0), place.get(1)).orElseThrow();
            assertThat(box.scale().degree(spot.midi()).number()).isEqualTo(i + 1);
        }
        press(robot, KeyCode.ESCAPE);
    }

    /** A fill is heard before it is taken, and stands in that one bar alone. */
    @Test
    void aFillLeadsToTheNextRoot(FxRobot robot) {
        fx(
                () -> {
                    model().session().apply(vocalis.workbench.document.Edits.setRoot(1, 5));
                    return null;
                });
        settle();
        at(WritePlace.LANE);
        for (int i = 0; i < 4; i++) {
            press(robot, KeyCode.RIGHT);
        }
        var before = riff();
        press(robot, KeyCode.SHIFT, KeyCode.L);
        await("fills", () -> robot.lookup("Up the scale, 4 notes").tryQuery().isPresent());
        var focus = fx(() -> stage.getScene().getFocusOwner());
        robot.press(KeyCode.H);
        await("heard", () -> fx(() -> model().hearing().previewing()));
        robot.release(KeyCode.H);
        await("ended", () -> !fx(() -> model().hearing().previewing()));
        assertThat(riff()).isEqualTo(before);
        assertThat(fx(() -> stage.getScene().getFocusOwner())).isSameAs(focus);
        press(robot, KeyCode.ENTER);
        long bar = 4 * Ticks.QUARTER;
        List<ScoreNote> notes = fx(() -> model().derived().score().notes());
        assertThat(notes.stream().filter(n -> n.at() >= bar / 2 && n.at() < bar)).hasSize(4);
        int last = places(bar / 2, bar).get(3).get(1);
        assertThat(last).isLessThan(8);
        assertThat(places(3 * bar / 2, 2 * bar)).hasSizeGreaterThan(4);
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(riff()).isEqualTo(before);
    }
}
