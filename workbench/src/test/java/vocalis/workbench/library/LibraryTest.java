package vocalis.workbench.library;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Standing;
import vocalis.formats.json.Extras;
import vocalis.workbench.demo.Demo;

/** The library's folder and what is asked of it. */
class LibraryTest {

    @TempDir Path folder;
    private Library library;

    @BeforeEach
    void fill() throws Exception {
        library = new Library(folder.resolve("riffs"), folder.resolve("data"));
        for (Piece p : Demo.pieces()) {
            library.keep(p, Extras.NONE);
        }
    }

    private List<LibraryEntry> scan(AtomicInteger read) throws Exception {
        return library.scan((n, soFar) -> read.set(n), () -> false);
    }

    private List<String> found(String query) throws Exception {
        return scan(new AtomicInteger()).stream()
                .filter(LibraryQuery.of(query))
                .map(LibraryEntry::title)
                .sorted()
                .toList();
    }

    @Test
    void onlyWhatIsNewIsReadAgain() throws Exception {
        AtomicInteger read = new AtomicInteger();
        assertThat(scan(read)).hasSize(5);
        assertThat(read.get()).isEqualTo(5);
        read.set(0);
        assertThat(scan(read)).hasSize(5);
        assertThat(read.get()).isZero();
        assertThat(library.remembered()).hasSize(5);
        LibraryEntry first = library.remembered().get(0);
        library.change(first, p -> p.standing(new Standing(4, Standing.Status.DONE)));
        assertThat(scan(read).stream().filter(e -> e.rating() == 4)).hasSize(1);
        assertThat(read.get()).isEqualTo(1);
    }

    @Test
    void queriesFindByKeyTuningFamilyTempoTextAndChange() throws Exception {
        assertThat(found("winch")).containsExactly("Winch House");
        assertThat(found("key:dphrygian")).containsExactly("Winch House");
        assertThat(found("tuning:dadgbe")).contains("Winch House");
        assertThat(found("tempo:100-110")).contains("Winch House").doesNotContain("Wet Slate");
        assertThat(found("change:d-f")).contains("Winch House");
        assertThat(found("change:1-b3")).contains("Winch House");
        assertThat(found("change:bm-x")).isEmpty();
        assertThat(found("key:d nothing-like-it")).isEmpty();
        assertThat(found("")).hasSize(5);
        for (LibraryEntry e : scan(new AtomicInteger())) {
            for (String f : e.families()) {
                assertThat(found("family:" + f.split("[ ,]")[0])).contains(e.title());
            }
        }
    }

    @Test
    void whatIsTrashedComesBack() throws Exception {
        LibraryEntry e = scan(new AtomicInteger()).get(0);
        byte[] before = Files.readAllBytes(library.file(e));
        Path trashed = library.trash(e);
        assertThat(scan(new AtomicInteger())).hasSize(4);
        assertThat(library.trashed()).containsExactly(trashed);
        Path back = library.restore(trashed);
        assertThat(Files.readAllBytes(back)).isEqualTo(before);
        assertThat(scan(new AtomicInteger())).hasSize(5);
    }

    @Test
    void aFileThatCannotBeReadIsShownWithItsTrouble() throws Exception {
        Files.writeString(library.folder().resolve("bad" + PieceFiles.ENDING), "{");
        LibraryEntry bad =
                scan(new AtomicInteger()).stream()
                        .filter(e -> !e.readable())
                        .findFirst()
                        .orElseThrow();
        assertThat(bad.trouble()).contains("bad" + PieceFiles.ENDING);
        assertThat(found("tempo:60-200")).hasSize(5);
    }

    @Test
    void twoOfOneTitleLieBesideEachOther() throws Exception {
        Piece p = Demo.pieces().get(0);
        Path second = library.keep(p, Extras.NONE);
        assertThat(second.getFileName().toString()).isEqualTo("winch-house-2" + PieceFiles.ENDING);
    }

    @Test
    void theLastTenOfAFileAreKept() throws Exception {
        Backups backups = new Backups(folder.resolve("data"));
        Path file = folder.resolve("x" + PieceFiles.ENDING);
        for (int i = 0; i < 25; i++) {
            backups.before(file);
            Files.writeString(file, "version " + i);
        }
        List<Path> all = backups.all(file);
        assertThat(all).hasSize(Backups.KEPT);
        assertThat(Files.readString(all.get(0))).isEqualTo("version 23");
        assertThat(Files.readString(all.get(9))).isEqualTo("version 14");
    }
}
