package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.function.BooleanSupplier;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.Control;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import org.testfx.util.WaitForAsyncUtils;
import vocalis.core.piece.Guitar;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.core.voicing.Family;
import vocalis.desktop.keys.Command;
import vocalis.desktop.lane.Lane;
import vocalis.desktop.neck.NeckGeometry;
import vocalis.desktop.session.Place;
import vocalis.desktop.view.CanvasSkin;
import vocalis.desktop.view.Written;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.demo.Demo;

/**
 * What the hand does, nine jobs from an empty riff: a whole shape slid, fingers chosen, a part for
 * the second guitar, names in passing, a box with a fill, a line inside a chord, strings that ring,
 * another root and its reason, a round for the ear. Once by keys alone, once by mouse alone;
 * presses and clicks are counted and told.
 */
@ExtendWith(ApplicationExtension.class)
class HandFlowTest extends WindowDriver {

    private FxRobot robot;
    private int count;

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.blank("hands");
    }

    /** Prints what a job took; letters of a search count as presses. */
    private void told(String job) {
        System.out.println(job + ": " + count);
        assertThat(count).as(job).isLessThan(job.endsWith("keys") ? 35 : 12);
        count = 0;
    }

    // By keys.

    private void tap(KeyCode... keys) {
        count++;
        press(robot, keys);
    }

    /** Searches for a command by its letters, and does it. */
    private void search(String letters) {
        tap(KeyCode.F3);
        robot.write(letters);
        count += letters.length();
        tap(KeyCode.ENTER);
    }

    private void keysTo(Place place) {
        while (fx(() -> model().whereabouts().place()) != place) {
            tap(KeyCode.CONTROL, KeyCode.TAB);
        }
    }

    private void until(String what, BooleanSupplier is) {
        await(what, is);
        settle();
    }

    private boolean sheet() {
        return fx(() -> shell.sheets().top().isPresent());
    }

    private Piece piece() {
        return fx(() -> shell.models().session().piece());
    }

    /** Whether every string of the fourth stroke slides up two frets. */
    private boolean slid() {
        settle();
        List<ScoreNote> notes =
                fx(
                        () ->
                                model().derived().score().notes().stream()
                                        .filter(n -> n.at() == 3 * Ticks.QUARTER)
                                        .toList());
        return notes.size() == 3
                && notes.stream()
                        .allMatch(
                                n ->
                                        n.techniques().size() == 1
                                                && n.techniques().get(0).kind()
                                                        == Technique.Kind.SLIDE);
    }

    @Test
    void nineJobsByKeys(FxRobot given) {
        robot = given;
        // 1. The whole shape slides into the next chord, two steps of the scale up.
        tap(KeyCode.RIGHT);
        tap(KeyCode.UP);
        tap(KeyCode.UP);
        fretted();
        keysTo(WritePlace.LANE);
        tap(KeyCode.HOME);
        for (int i = 0; i < 3; i++) {
            tap(KeyCode.CONTROL, KeyCode.RIGHT);
        }
        search("slide the whole");
        assertThat(slid()).isTrue();
        told("1 the shape slid, keys");
        // 2. Other fingers; who stays and slides on the neck.
        keysTo(WritePlace.BAND);
        tap(KeyCode.SHIFT, KeyCode.F);
        assertThat(fx(() -> model().looks().fingersFrom().get())).isTrue();
        search("other fingers");
        until("the sheet", this::sheet);
        tap(KeyCode.DOWN);
        tap(KeyCode.ENTER);
        int chord = fx(() -> model().caret().chord());
        assertThat(riff().treatments().get(chord).fingers()).isPresent();
        told("2 fingers, keys");
        // 3. Three notes for guitar two over rests, and back.
        search("part of its own");
        tap(KeyCode.L);
        tap(KeyCode.DIGIT1);
        tap(KeyCode.DIGIT3);
        tap(KeyCode.DIGIT5);
        tap(KeyCode.ESCAPE);
        tap(KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.G);
        settle();
        assertThat(fx(() -> model().session().workspace().beside().orElseThrow().score().notes()))
                .hasSize(3);
        told("3 guitar two, keys");
        // 4. Names in passing, in full again.
        List<String> full = band();
        tap(KeyCode.SHIFT, KeyCode.N);
        assertThat(band()).isNotEqualTo(full).contains("C");
        tap(KeyCode.SHIFT, KeyCode.N);
        assertThat(band()).isEqualTo(full);
        told("4 names, keys");
        // 5. A box, a note out of it, a fill.
        keysTo(WritePlace.NECK);
        tap(KeyCode.ALT, KeyCode.RIGHT);
        assertThat(fx(() -> model().boxes().box())).isPresent();
        keysTo(WritePlace.LANE);
        tap(KeyCode.SHIFT, KeyCode.L);
        until("fills", this::sheet);
        var before = riff();
        tap(KeyCode.ENTER);
        assertThat(riff()).isNotEqualTo(before);
        told("5 box and fill, keys");
        // 6. The tune bent, a line inside the chord.
        keysTo(WritePlace.BAND);
        tap(KeyCode.END);
        search("line inside");
        until("lines", this::sheet);
        int chords = riff().roots().size();
        tap(KeyCode.ENTER);
        assertThat(riff().roots().size()).isGreaterThan(chords);
        told("6 a line inside, keys");
        // 7. Strings that ring through the riff; then muted.
        search("ring through");
        until("strings", this::sheet);
        tap(KeyCode.ENTER);
        assertThat(riff().treatments()).allMatch(t -> t.family() == Family.DRONE);
        var ringing = riff();
        search("ringing, or");
        until("muted", () -> !riff().equals(ringing));
        told("7 ringing and muted, keys");
        // 8. What could stand here, and the plain chord against it.
        tap(KeyCode.Q);
        until("roots", this::sheet);
        tap(KeyCode.DOWN);
        tap(KeyCode.ENTER);
        tap(KeyCode.B);
        until("heard", () -> fx(() -> model().hearing().previewing()));
        tap(KeyCode.B);
        told("8 another root, keys");
        // 9. One question for the ear.
        search("for the ear");
        until("a question", () -> robot.lookup("#ear-answer-1").tryQuery().isPresent());
        robot.press(KeyCode.H);
        until("heard", () -> shell.player().telemetry().latest().audition());
        robot.release(KeyCode.H);
        count++;
        tap(KeyCode.DIGIT1);
        assertThat(robot.lookup("#ear-next").queryButton().isDisabled()).isFalse();
        tap(KeyCode.ESCAPE);
        told("9 the ear, keys");
    }

    /** Both chords of the slide in one grip without open strings: only fretted shapes slide. */
    private void fretted() {
        fx(
                () -> {
                    var s = model().session();
                    for (int i = 0; i < 2; i++) {
                        int chord = i;
                        s.apply(
                                vocalis.workbench.document.Edits.riff(
                                        "a grip",
                                        r ->
                                                vocalis.core.edit.Chords.member(
                                                        r,
                                                        chord,
                                                        Family.POWER,
                                                        new vocalis.core.riff.Member.ByHand(
                                                                vocalis.core.instrument.Shape.parse(
                                                                        "5-7-7-x-x-x"),
                                                                9))));
                    }
                    return null;
                });
        settle();
    }

    // By mouse.

    private void click(String id) {
        await(id, () -> robot.lookup(id).tryQuery().filter(Node::isVisible).isPresent());
        count++;
        clickOn(robot, id);
        WaitForAsyncUtils.waitForFxEvents(2);
        settle();
    }

    private void click(Point2D there) {
        count++;
        clickOn(robot, there);
        WaitForAsyncUtils.waitForFxEvents(2);
        settle();
    }

    /** Everything of the place, the wheel down to a command, a click on it. */
    private void fromAll(String id) {
        click("#strip-all");
        await("the list", this::sheet);
        ListView<Command> list = robot.lookup("#found-commands").queryListView();
        Command wanted = fx(() -> shell.commands().get(id));
        count++;
        fx(
                () -> {
                    list.scrollTo(wanted);
                    list.layout();
                    return null;
                });
        WaitForAsyncUtils.waitForFxEvents(2);
        ListCell<?> cell =
                robot.lookup("#found-commands .list-cell").queryAllAs(ListCell.class).stream()
                        .filter(c -> c.getItem() == wanted && c.isVisible())
                        .findFirst()
                        .orElseThrow();
        Point2D there = at(cell, 60, 12);
        click(there);
    }

    /** The menu, down to a command, a click at each level. */
    private void menu(String id, String... through) {
        robot.clickOn("Menu");
        count++;
        for (String m : through) {
            entry(m);
        }
        entry(Command.capital(fx(() -> shell.commands().get(id).words())));
        settle();
    }

    private void entry(String words) {
        await(words, () -> fx(() -> shown(words) != null));
        Node node = fx(() -> shown(words));
        robot.clickOn(at(node, 8, 8));
        count++;
        WaitForAsyncUtils.waitForFxEvents(3);
    }

    /** The label of a menu's entry in a window that shows. */
    private Node shown(String words) {
        return robot.lookup(
                        (Node n) ->
                                n instanceof Labeled l
                                        && l.getText() != null
                                        && words.equals(l.getText().replace("_", ""))
                                        && n.getScene() != null
                                        && n.getScene().getWindow() != stage
                                        && n.getScene().getWindow().isShowing())
                .tryQuery()
                .orElse(null);
    }

    /** What stands on the voice band. */
    private List<String> band() {
        Control band = robot.lookup("#voice-band").queryAs(Control.class);
        return fx(
                () -> {
                    band.layout();
                    return ((CanvasSkin<?>) band.getSkin())
                            .written().stream().map(Written::text).toList();
                });
    }

    private Point2D chordAt(int i, int of) {
        Node band = robot.lookup("#voice-band").query();
        double w = fx(() -> band.getBoundsInLocal().getWidth());
        return at(band, 52 + (i + 0.5) * (w - 52 - 64) / of, 60);
    }

    private Point2D onLane(long tick, int string) {
        Lane lane = robot.lookup("#lane").queryAs(Lane.class);
        return fx(
                () -> {
                    double[] p = lane.at(tick, string);
                    return lane.localToScreen(p[0], p[1]);
                });
    }

    /** The rows of the sheet that is open, from the top. */
    private List<Node> rows() {
        return robot.lookup(".rows .quiet-button").queryAll().stream()
                .filter(HandFlowTest::seen)
                .sorted(Comparator.comparingDouble(b -> at(b, 0, 0).getY()))
                .toList();
    }

    private static boolean seen(Node n) {
        Node at = n;
        while (at != null && at.isVisible()) {
            at = at.getParent();
        }
        return at == null;
    }

    private void row(int n) {
        await("rows", () -> !rows().isEmpty());
        List<Node> rows = rows();
        click(at(rows.get(n), 12, 10));
        until("the sheet closed", () -> !sheet());
    }

    @Test
    void nineJobsByMouse(FxRobot given) {
        robot = given;
        click(chordAt(1, 4));
        click("#strip-root-up");
        click("#strip-root-up");
        fretted();
        count = 0;
        click(onLane(3 * Ticks.QUARTER, 1));
        click("#strip-embellish");
        robot.moveTo("The whole shape");
        clickOn(robot, "Slide it into the next stroke");
        count += 2;
        assertThat(slid()).isTrue();
        told("1 the shape slid, mouse");
        click(chordAt(1, 4));
        menu("fingers-from", "View", "On band and neck");
        assertThat(fx(() -> model().looks().fingersFrom().get())).isTrue();
        menu("fingers", "Variations and checks");
        row(1);
        int caret = fx(() -> model().caret().chord());
        assertThat(riff().treatments().get(caret).fingers()).isPresent();
        told("2 fingers, mouse");
        click(onLane(0, 1));
        click("#strip-guitar");
        click("#family-4");
        click("#use-voicing");
        assertThat(piece().secondRiff()).isNotEqualTo(piece().riff());
        click(onLane(0, 1));
        click("#strip-guitar");
        assertThat(fx(() -> model().session().writtenProperty().get())).isEqualTo(Guitar.ONE);
        told("3 guitar two, mouse");
        List<String> full = band();
        menu("passing-names", "View", "On band and neck");
        assertThat(band()).isNotEqualTo(full);
        told("4 names, mouse");
        Node neck = robot.lookup("#neck").query();
        click(at(neck, 400, 70));
        click("#strip-box-next");
        var spot = fx(() -> model().boxes().box().orElseThrow().spots().get(3));
        NeckGeometry g =
                fx(
                        () ->
                                NeckGeometry.of(
                                        riff().ground().board(),
                                        neck.getBoundsInLocal().getWidth(),
                                        neck.getBoundsInLocal().getHeight()));
        click(at(neck, g.mark(spot.fret()), g.y(spot.string())));
        assertThat(fx(() -> model().derived().score().onsets().get(0).notes())).hasSize(1);
        click(onLane(2 * Ticks.QUARTER, 1));
        fromAll("fill");
        var before = riff();
        row(0);
        assertThat(riff()).isNotEqualTo(before);
        told("5 box, note and fill, mouse");
        click(chordAt(3, 4));
        fromAll("inner-line");
        int chords = riff().roots().size();
        row(0);
        assertThat(riff().roots().size()).isGreaterThan(chords);
        told("6 a line inside, mouse");
        menu("drones-held", "Variations and checks");
        row(0);
        assertThat(riff().treatments()).allMatch(t -> t.family() == Family.DRONE);
        var ringing = riff();
        fromAll("ringing");
        until("muted", () -> !riff().equals(ringing));
        told("7 ringing and muted, mouse");
        click("#strip-next-root");
        row(1);
        fromAll("hear-plain");
        until("heard", () -> fx(() -> model().hearing().previewing()));
        fromAll("hear-plain");
        told("8 another root, mouse");
        click("#screen-practise");
        click("#strip-ear");
        until("a question", () -> robot.lookup("#ear-answer-1").tryQuery().isPresent());
        click("#ear-hear-1");
        click("#ear-answer-1");
        assertThat(robot.lookup("#ear-next").queryButton().isDisabled()).isFalse();
        click("#sheet-close");
        told("9 the ear, mouse");
    }
}
