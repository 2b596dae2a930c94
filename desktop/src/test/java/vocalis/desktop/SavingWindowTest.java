package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;
import vocalis.core.piece.Piece;
import vocalis.formats.json.Extras;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Edits;
import vocalis.workbench.library.Library;
import vocalis.workbench.library.LibraryEntry;
import vocalis.workbench.library.PieceFiles;

/** A riff saved for the first time is found again; what is written while a file opens stays. */
@ExtendWith(ApplicationExtension.class)
class SavingWindowTest extends WindowDriver {

    @Start
    void start(Stage stage) {
        open(stage);
    }

    @Override
    Piece first() {
        return Demo.blank();
    }

    private Path riffs() {
        return folder.resolve("riffs");
    }

    /** Saving asks one thing, the name, and the riff is in the logbook under it. */
    @Test
    void aRiffSavedUnderAWordIsInTheLogbookUnderIt(FxRobot robot) throws Exception {
        press(robot, KeyCode.UP);
        await("an edit", () -> fx(() -> shell.workspace().changed()));
        assertThat(fx(() -> robot.lookup("#unkept").query().isVisible()))
                .as("unsaved work is kept, and nothing is said")
                .isFalse();
        press(robot, KeyCode.CONTROL, KeyCode.S);
        robot.write("Kilnyard");
        press(robot, KeyCode.ENTER);
        Path saved = riffs().resolve("kilnyard.vocalis.json");
        await("saved", () -> Files.exists(saved) && fx(() -> !shell.workspace().changed()));
        assertThat(PieceFiles.read(saved).piece().title()).isEqualTo("Kilnyard");
        assertThat(fx(() -> shell.workspace().content().title())).isEqualTo("Kilnyard");
        assertThat(new Library(riffs(), folder).scan((n, soFar) -> {}, () -> false))
                .extracting(LibraryEntry::title)
                .contains("Kilnyard");
    }

    /** Two riffs of one name lie beside each other. */
    @Test
    void anotherRiffOfThatNameIsNotWrittenOver(FxRobot robot) throws Exception {
        Path there = riffs().resolve("kilnyard.vocalis.json");
        Files.createDirectories(riffs());
        PieceFiles.write(Demo.pieces().get(2), Extras.NONE, there, null);
        press(robot, KeyCode.UP);
        press(robot, KeyCode.CONTROL, KeyCode.S);
        robot.write("kilnyard");
        press(robot, KeyCode.ENTER);
        Path beside = riffs().resolve("kilnyard-2.vocalis.json");
        await("saved", () -> Files.exists(beside) && fx(() -> !shell.workspace().changed()));
        assertThat(PieceFiles.read(there).piece()).isEqualTo(Demo.pieces().get(2));
        assertThat(PieceFiles.read(beside).piece().title()).isEqualTo("kilnyard");
    }

    /** What GTK's dialog makes of "quarry": the last part of the ending alone. */
    @Test
    void aCopyGoesElsewhereAndTheRiffStaysWhereItIs(FxRobot robot) throws Exception {
        press(robot, KeyCode.UP);
        chosenTarget = folder.resolve("quarry.json");
        press(robot, KeyCode.CONTROL, KeyCode.SHIFT, KeyCode.S);
        Path copy = folder.resolve("quarry.vocalis.json");
        await("written", () -> Files.exists(copy));
        await("told", () -> readout(robot, "message").startsWith("A copy lies in"));
        assertThat(PieceFiles.read(copy).piece().riff().roots()).isEqualTo(riff().roots());
        assertThat(fx(() -> shell.workspace().file())).isEmpty();
        assertThat(fx(() -> shell.workspace().changed())).isTrue();
    }

    /** A file of a newer program is opened to look at: saving asks for a name and makes another. */
    @Test
    void aNewerFileStaysAsItIs(FxRobot robot) throws Exception {
        Path file = folder.resolve("newer.vocalis.json");
        PieceFiles.write(Demo.pieces().get(2), Extras.NONE, file, null);
        String newer = Files.readString(file).replaceFirst("\"version\" : 2", "\"version\" : 9");
        Files.writeString(file, newer);
        fx(
                () -> {
                    shell.open(file);
                    return null;
                });
        await("told", () -> readout(robot, "message").startsWith("A newer Vocalis wrote this"));
        assertThat(fx(() -> shell.workspace().content())).isEqualTo(Demo.pieces().get(2));
        press(robot, KeyCode.UP);
        press(robot, KeyCode.CONTROL, KeyCode.S);
        await("asked", () -> robot.lookup("#sheet-close").tryQuery().isPresent());
        robot.write("Lower kiln");
        press(robot, KeyCode.ENTER);
        await("saved", () -> fx(() -> shell.workspace().file().isPresent()));
        assertThat(Files.readString(file)).isEqualTo(newer);
        assertThat(fx(() -> shell.workspace().file().orElseThrow())).isNotEqualTo(file);
    }

    /** A riff that was opened from anywhere stands in the logbook. */
    @Test
    void theLogbookShowsARiffFromElsewhere(FxRobot robot) throws Exception {
        Path file = folder.resolve("far").resolve("away.json");
        Files.createDirectories(file.getParent());
        PieceFiles.write(Demo.pieces().get(2), Extras.NONE, file, null);
        fx(
                () -> {
                    shell.open(file);
                    return null;
                });
        await("opened", () -> fx(() -> shell.workspace().file().isPresent()));
        Library library = new Library(riffs(), folder);
        await("known", () -> Files.exists(folder.resolve("library-elsewhere.json")));
        List<LibraryEntry> all = library.scan((n, soFar) -> {}, () -> false);
        assertThat(all).extracting(LibraryEntry::title).contains(Demo.pieces().get(2).title());
        assertThat(library.file(all.get(0))).isEqualTo(file);
        Path away = library.trash(all.get(0));
        assertThat(file).doesNotExist();
        assertThat(away).exists();
        assertThat(PieceFiles.read(library.restore(away)).piece()).isEqualTo(Demo.pieces().get(2));
    }

    /** The disk is slow: the riff that was open took an edit before the file was read. */
    @Test
    void whatIsWrittenWhileAFileOpensIsAskedAbout(FxRobot robot) throws Exception {
        Path file = folder.resolve("there.vocalis.json");
        PieceFiles.write(Demo.pieces().get(2), Extras.NONE, file, null);
        CountDownLatch disk = new CountDownLatch(1);
        fx(
                () -> {
                    shell.models()
                            .session()
                            .ask(
                                    "a slow disk",
                                    () -> {
                                        try {
                                            disk.await();
                                        } catch (InterruptedException e) {
                                            Thread.currentThread().interrupt();
                                        }
                                        return true;
                                    },
                                    done -> {});
                    shell.open(file);
                    return null;
                });
        // Not by a key: the driver would wait until the worker has answered.
        assertThat(fx(() -> shell.models().session().apply(Edits.rename("Written meanwhile"))))
                .isTrue();
        Piece written = fx(() -> shell.workspace().content());
        disk.countDown();
        await("it asks", () -> robot.lookup("#ask-save").tryQuery().isPresent());
        press(robot, KeyCode.ESCAPE);
        assertThat(fx(() -> shell.workspace().content())).isEqualTo(written);
        fx(
                () -> {
                    shell.open(file);
                    return null;
                });
        await(
                "untouched meanwhile, it opens",
                () -> fx(() -> shell.workspace().content().equals(Demo.pieces().get(2))));
    }
}
