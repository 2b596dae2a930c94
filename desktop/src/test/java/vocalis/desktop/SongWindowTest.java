package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import vocalis.core.arrange.Clash;
import vocalis.core.arrange.Song;
import vocalis.core.piece.Part;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.practice.Entry;
import vocalis.core.practice.Ladder;
import vocalis.core.riff.Tone;
import vocalis.desktop.arrange.ArrangeModel;
import vocalis.desktop.arrange.ArrangePlace;
import vocalis.desktop.arrange.SectionField;
import vocalis.desktop.practise.PracticeModel;
import vocalis.desktop.practise.PractisePlace;
import vocalis.desktop.writing.WritePlace;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.library.PracticeLog;

/** A song is arranged, mended and practised by keyboard alone in the real window. */
@ExtendWith(ApplicationExtension.class)
class SongWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.pieces().get(1);
    }

    private ArrangeModel arrange() {
        return shell.models().arrange();
    }

    private PracticeModel practice() {
        return shell.models().practice();
    }

    private Piece piece() {
        return fx(() -> shell.workspace().content());
    }

    private List<Section> sections() {
        return piece().sections();
    }

    /** Waits until the song on the screen is the piece as it is now. */
    private Song played() {
        await(
                "the song",
                () ->
                        fx(
                                () ->
                                        arrange()
                                                .song()
                                                .filter(s -> s.piece().equals(piece()))
                                                .isPresent()));
        return fx(() -> arrange().song().orElseThrow());
    }

    private void opened(FxRobot robot) {
        press(robot, KeyCode.F7);
        assertThat(fx(() -> shell.models().whereabouts().placeProperty().get()))
                .isEqualTo(ArrangePlace.STRIP);
        played();
    }

    private void blank(FxRobot robot) {
        press(robot, KeyCode.CONTROL, KeyCode.N);
        settle();
        press(robot, KeyCode.ESCAPE);
        assertThat(sections()).hasSize(1);
    }

    private void field(FxRobot robot, SectionField f) {
        while (fx(() -> arrange().fieldProperty().get()) != f.ordinal()) {
            press(robot, KeyCode.DOWN);
        }
    }

    /** From an empty riff: three sections, the last set off by tone, repeats and a treatment. */
    @Test
    void threeSectionsFromAnEmptyRiff(FxRobot robot) {
        blank(robot);
        opened(robot);
        press(robot, KeyCode.INSERT);
        press(robot, KeyCode.INSERT);
        assertThat(sections().stream().map(Section::name))
                .hasSize(3)
                .doesNotHaveDuplicates()
                .as("an intro is none behind another section")
                .doesNotContain("intro");
        assertThat(fx(() -> arrange().sectionProperty().get())).isEqualTo(2);
        field(robot, SectionField.TIMES);
        press(robot, KeyCode.PLUS);
        assertThat(sections().get(2).times()).isEqualTo(2);
        field(robot, SectionField.FIRST);
        press(robot, KeyCode.PLUS);
        press(robot, KeyCode.PLUS);
        press(robot, KeyCode.PLUS);
        assertThat(sections().get(2).playing("guitar-1").tone()).contains(Tone.GAIN);
        field(robot, SectionField.NAME);
        press(robot, KeyCode.ENTER);
        press(robot, KeyCode.CONTROL, KeyCode.A);
        robot.write("the big one");
        press(robot, KeyCode.ENTER);
        assertThat(sections().get(2).name()).isEqualTo("the big one");
        played();
        run("register-two");
        assertThat(fx(() -> robot.lookup("#ask-line").queryTextInputControl().getText()))
                .as("the key that opened the field is not in it")
                .isEmpty();
        robot.write("E3 B4");
        press(robot, KeyCode.ENTER);
        assertThat(piece().second().orElseThrow().register()).isEqualTo(new Part.Register(52, 71));
        run("section-vary");
        press(robot, KeyCode.DOWN);
        press(robot, KeyCode.ENTER);
        await("the version", () -> sections().get(2).version().isPresent());
        assertThat(piece().riff(sections().get(2).riff()).versions()).hasSize(1);
        Song s = played();
        assertThat(s.passages()).hasSize(4);
        assertThat(s.first(2).turn().riff()).isNotEqualTo(s.first(0).turn().riff());
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        assertThat(sections().get(2).version()).isEmpty();
        press(robot, KeyCode.SHIFT, KeyCode.LEFT);
        assertThat(sections().get(1).name()).isEqualTo("the big one");
        press(robot, KeyCode.DELETE);
        assertThat(sections()).hasSize(2);
        await("no loudness left out", () -> fx(() -> arrange().loudness().size() == 2));
    }

    /** The demo's clash is heard alone, mended with what is offered, and comes back with undo. */
    @Test
    void aClashIsHeardAndMended(FxRobot robot) {
        opened(robot);
        List<Clash> before = fx(() -> arrange().clashes());
        assertThat(before).isNotEmpty();
        run("clash-next");
        Clash c = fx(() -> arrange().clashNow().orElseThrow());
        assertThat(fx(() -> arrange().sectionProperty().get())).isEqualTo(c.section());
        robot.press(KeyCode.J);
        await("sound", () -> shell.player().telemetry().latest().playing());
        robot.release(KeyCode.J);
        await("silence", () -> !shell.player().telemetry().latest().playing());
        run("clash-mend");
        await("what mends it", () -> fx(() -> shell.sheets().top().isPresent()));
        press(robot, KeyCode.ENTER);
        played();
        assertThat(fx(() -> arrange().clashes())).noneMatch(x -> x.key().equals(c.key()));
        press(robot, KeyCode.CONTROL, KeyCode.Z);
        played();
        run("clash-next");
        run("clash-meant");
        assertThat(piece().meant()).containsExactly(c.key());
    }

    /** A part for the second guitar is found and taken; guitar one is held and comes round. */
    @Test
    void aSecondPartIsFoundAndLooped(FxRobot robot) {
        blank(robot);
        opened(robot);
        assertThat(piece().mix().second().on()).isFalse();
        run("second-find");
        await("parts", () -> fx(() -> shell.sheets().top().isPresent()));
        press(robot, KeyCode.ENTER);
        assertThat(piece().mix().second().on()).isTrue();
        Song s = played();
        assertThat(s.second().orElseThrow().notes()).isNotEmpty();
        assertThat(fx(() -> arrange().clashes())).isEmpty();
        run("section-hold");
        assertThat(fx(() -> arrange().hearing().holding())).isTrue();
        press(robot, KeyCode.SPACE);
        await("round 1", () -> readout(robot, "loop-round").startsWith("round 1 of 4"));
        assertThat(readout(robot, "loop-round"))
                .contains("fill on 4")
                .contains("guitar one is held");
        press(robot, KeyCode.SPACE);
        press(robot, KeyCode.SHIFT, KeyCode.SPACE);
        assertThat(fx(() -> arrange().hearing().holding())).isFalse();
    }

    /** A bar at a time up the ladder; a pass that fails is said with one key, two go back. */
    @Test
    void aLadderWithFailedPasses(FxRobot robot) throws IOException {
        opened(robot);
        press(robot, KeyCode.F8);
        assertThat(fx(() -> shell.models().whereabouts().placeProperty().get()))
                .isEqualTo(PractisePlace.PAGE);
        played();
        for (int i = 0; i < 8; i++) {
            press(robot, KeyCode.SHIFT, KeyCode.LEFT);
        }
        assertThat(fx(() -> practice().what())).isEqualTo("bar 1");
        run("ladder");
        while (fx(() -> practice().pace().climb().orElseThrow().ladder().passes()) != 1) {
            run("rung-passes");
        }
        Ladder ladder = fx(() -> practice().pace().climb().orElseThrow().ladder());
        press(robot, KeyCode.SPACE);
        await("counting in", () -> shell.player().telemetry().latest().playing());
        await(
                "a clean pass",
                () -> fx(() -> practice().pace().tempo()) == ladder.start() + ladder.step());
        press(robot, KeyCode.BACK_SPACE);
        assertThat(fx(() -> practice().failing())).isTrue();
        await("the first failed", () -> fx(() -> practice().failed()) == 1);
        press(robot, KeyCode.BACK_SPACE);
        await("the second failed", () -> fx(() -> practice().failed()) == 2);
        assertThat(fx(() -> practice().pace().tempo())).isEqualTo(ladder.start());
        press(robot, KeyCode.SPACE);
        await("silence", () -> !shell.player().telemetry().latest().playing());
        PracticeLog log = new PracticeLog(folder);
        await("the log", () -> entries(log).size() == 1);
        Entry e = entries(log).get(0);
        assertThat(e.failed()).isEqualTo(2);
        assertThat(e.passes()).isGreaterThanOrEqualTo(3);
        assertThat(e.goal()).isEqualTo(126);
        assertThat(e.best()).isEqualTo(ladder.start());
        assertThat(e.what()).isEqualTo("bar 1");
        press(robot, KeyCode.ESCAPE);
        assertThat(fx(() -> shell.models().whereabouts().placeProperty().get()))
                .isEqualTo(WritePlace.BAND);
    }

    /** A window that is closed while one practises has written down what was played. */
    @Test
    void closingWritesPracticeDown(FxRobot robot) throws IOException {
        opened(robot);
        press(robot, KeyCode.F8);
        played();
        for (int i = 0; i < 8; i++) {
            press(robot, KeyCode.SHIFT, KeyCode.LEFT);
        }
        run("count-in");
        run("count-in");
        press(robot, KeyCode.ALT, KeyCode.UP);
        assertThat(fx(() -> practice().settings().countIn())).isZero();
        assertThat(fx(() -> practice().pace().tempo())).isEqualTo(136);
        press(robot, KeyCode.SPACE);
        await("a pass", () -> fx(() -> practice().passes()) == 1);
        close();
        assertThat(entries(new PracticeLog(folder)))
                .singleElement()
                .matches(e -> e.best() == 136 && e.passes() >= 1 && e.failed() == 0);
    }

    /** From the song's screens the whole song is taken away, from the chords the riff. */
    @Test
    void theWholeSongIsTakenAway(FxRobot robot) {
        opened(robot);
        press(robot, KeyCode.CONTROL, KeyCode.E);
        await("the sheet", () -> fx(() -> shell.sheets().top().isPresent()));
        assertThat(fx(() -> robot.lookup(".sheet-title").queryAs(Label.class).getText()))
                .isEqualTo("Export Wet Slate, the whole song");
        await("its tab", () -> preview(robot).contains("Wet Slate"));
        int song = preview(robot).length();
        press(robot, KeyCode.ESCAPE);
        press(robot, KeyCode.ESCAPE);
        press(robot, KeyCode.CONTROL, KeyCode.E);
        assertThat(fx(() -> robot.lookup(".sheet-title").queryAs(Label.class).getText()))
                .isEqualTo("Export Wet Slate");
        await("its tab", () -> preview(robot).contains("Wet Slate"));
        assertThat(preview(robot).length()).isLessThan(song / 2);
        press(robot, KeyCode.ESCAPE);
    }

    private String preview(FxRobot robot) {
        return fx(() -> robot.lookup("#export-preview").queryAs(Label.class).getText());
    }

    private static List<Entry> entries(PracticeLog log) {
        try {
            return log.read().entries();
        } catch (IOException e) {
            throw new AssertionError(e);
        }
    }

    /** The song is what sounds in Arrange, from the section on; the riff again outside. */
    @Test
    void theSongSoundsInArrange(FxRobot robot) {
        opened(robot);
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.RIGHT);
        press(robot, KeyCode.SPACE);
        Song s = played();
        await("play", () -> shell.player().telemetry().latest().playing());
        await("the chorus", () -> shell.player().telemetry().latest().tick() >= s.start(2));
        await("its section", () -> shell.player().telemetry().latest().section() == 2);
        await("its bar", () -> readout(robot, "position").startsWith("bar 13"));
        press(robot, KeyCode.ESCAPE);
        await("silence", () -> !shell.player().telemetry().latest().playing());
        press(robot, KeyCode.SPACE);
        await("the riff", () -> shell.player().telemetry().latest().playing());
        listen(0.3);
        assertThat(shell.player().telemetry().latest().tick()).isLessThan(riff().length());
    }
}
