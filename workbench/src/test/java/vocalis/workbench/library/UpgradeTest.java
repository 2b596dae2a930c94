package vocalis.workbench.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vocalis.core.piece.Piece;
import vocalis.formats.json.Extras;
import vocalis.workbench.base.Preferences;

/**
 * The folder that version 0.1.0 left behind, written by that program itself in its window: a riff
 * kept as an idea, a looped pass, the light colours, and an edit that was never saved, as the
 * program was killed. All of it is taken up, and what is written again is as it was.
 */
class UpgradeTest {

    @TempDir Path folder;

    @BeforeEach
    void copied() throws Exception {
        Path kept = Path.of(UpgradeTest.class.getResource("/upgrade").toURI());
        try (Stream<Path> all = Files.walk(kept)) {
            for (Path p : all.toList()) {
                Path to = folder.resolve(kept.relativize(p).toString());
                if (Files.isDirectory(p)) {
                    Files.createDirectories(to);
                } else {
                    Files.copy(p, to);
                }
            }
        }
    }

    @Test
    void settingsAreTakenUp() {
        Preferences p = Preferences.in(folder);
        assertThat(p.text("theme")).contains("light");
        assertThat(p.hand().comfortMm()).isEqualTo(100);
        assertThat(p.number("sound.volumeDb", -60, 0, 0)).isEqualTo(-12);
        assertThat(p.number("sound.buffer", 64, 8192, 0)).isEqualTo(2048);
        assertThat(p.number("window.width", 100, 9000, 0)).isEqualTo(1280);
    }

    @Test
    void thePracticeLogIsTakenUpAndGoesOn() throws IOException {
        PracticeLog log = new PracticeLog(folder);
        PracticeLog.Content read = log.read();
        assertThat(read.unread()).isZero();
        assertThat(read.entries()).hasSize(1);
        assertThat(read.entries().get(0).title()).isEqualTo("Winch House");
        assertThat(read.entries().get(0).seconds()).isEqualTo(9.2);
        log.add(read.entries().get(0));
        assertThat(new PracticeLog(folder).read().entries()).hasSize(2);
    }

    @Test
    void theLogbookShowsWhatWasKept() throws Exception {
        Library library = new Library(folder.resolve("riffs"), folder);
        List<LibraryEntry> all = library.scan((n, soFar) -> {}, () -> false);
        assertThat(all).hasSize(1);
        assertThat(all.get(0).title()).startsWith("Winch House");
        Path file = library.file(all.get(0));
        PieceFiles.ReadPiece opened = PieceFiles.read(file);
        assertThat(opened.extras().isEmpty()).isTrue();
        Piece piece = opened.piece();
        PieceFiles.write(piece, opened.extras(), file, opened.stamp());
        assertThat(PieceFiles.read(file).piece()).isEqualTo(piece);
    }

    @Test
    void theUnsavedEditIsOffered() throws IOException {
        try (Journal journal = Journal.in(folder.resolve("journal"))) {
            List<Journal.Left> left = journal.left();
            assertThat(left).hasSize(1);
            assertThat(journal.damaged()).isEmpty();
            assertThat(left.get(0).piece().title()).isEqualTo("Winch House");
            assertThat(left.get(0).extras()).isEqualTo(Extras.NONE);
            assertThat(left.get(0).file()).isEqualTo(Optional.empty());
            // Three steps up from the fifth degree: the fourth root is the tonic's again.
            assertThat(left.get(0).piece().riff().roots().get(3).root().step()).isEqualTo(1);
        }
    }
}
