package vocalis.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
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

    /** What GTK's dialog makes of "kilnyard": the last part of the ending alone. */
    @Test
    void aRiffSavedUnderAWordIsInTheLogbookUnderIt(FxRobot robot) throws Exception {
        press(robot, KeyCode.UP);
        await("an edit", () -> fx(() -> shell.workspace().changed()));
        chosenTarget = riffs().resolve("kilnyard.json");
        press(robot, KeyCode.CONTROL, KeyCode.S);
        Path saved = riffs().resolve("kilnyard.vocalis.json");
        await("saved", () -> Files.exists(saved) && fx(() -> !shell.workspace().changed()));
        assertThat(offered).isEqualTo(riffs());
        assertThat(riffs().resolve("kilnyard.json")).doesNotExist();
        assertThat(PieceFiles.read(saved).piece().title()).isEqualTo("kilnyard");
        assertThat(fx(() -> shell.workspace().content().title())).isEqualTo("kilnyard");
        assertThat(new Library(riffs(), folder).scan(n -> {}, () -> false))
                .extracting(LibraryEntry::title)
                .contains("kilnyard");
    }

    /** The dialog asked about kilnyard.json; the riff that is there has another name for it. */
    @Test
    void anotherRiffOfThatNameIsNotWrittenOver(FxRobot robot) throws Exception {
        Path there = riffs().resolve("kilnyard.vocalis.json");
        Files.createDirectories(riffs());
        PieceFiles.write(Demo.pieces().get(2), Extras.NONE, there, null);
        press(robot, KeyCode.UP);
        chosenTarget = riffs().resolve("kilnyard");
        press(robot, KeyCode.CONTROL, KeyCode.S);
        await("it asks", () -> robot.lookup("#ask-over").tryQuery().isPresent());
        press(robot, KeyCode.ESCAPE);
        assertThat(PieceFiles.read(there).piece()).isEqualTo(Demo.pieces().get(2));
        assertThat(fx(() -> shell.workspace().changed())).isTrue();
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
