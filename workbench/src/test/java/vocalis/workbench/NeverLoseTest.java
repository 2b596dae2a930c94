package vocalis.workbench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vocalis.core.piece.Piece;
import vocalis.formats.json.Extras;
import vocalis.workbench.base.SafeFiles;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.library.Journal;
import vocalis.workbench.library.PieceFiles;

/** Processes killed while they write, two that write one file, a disk that is full. */
class NeverLoseTest {

    /**
     * The whole number is for {@code -Dvocalis.kills=200}; starting so many processes takes long.
     */
    private static final int KILLS = Boolean.getBoolean("vocalis.long") ? 60 : 6;

    private static final int SAVES = 500;

    @TempDir Path folder;

    private static Process process(String... args) throws IOException {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(
                List.of(
                        "-XX:TieredStopAtLevel=1",
                        "-cp",
                        System.getProperty("java.class.path"),
                        Hammering.class.getName()));
        command.addAll(List.of(args));
        return new ProcessBuilder(command).redirectErrorStream(true).start();
    }

    private static int number(String about) {
        return Integer.parseInt(about.replace("edit ", ""));
    }

    /**
     * Whenever it is killed: the file is whole, and the journal has the last edit that was kept.
     */
    @Test
    void killedAtRandomMomentsNothingIsLost() throws Exception {
        Random random = new Random(17);
        for (int k = 0; k < KILLS; k++) {
            Path file = folder.resolve("riff-" + k + PieceFiles.ENDING);
            Path journals = folder.resolve("journal-" + k);
            Process p = process("journal", file.toString(), journals.toString());
            AtomicInteger kept = new AtomicInteger();
            AtomicInteger saved = new AtomicInteger();
            Thread reader =
                    new Thread(
                            () -> {
                                try (BufferedReader in =
                                        new BufferedReader(
                                                new InputStreamReader(
                                                        p.getInputStream(),
                                                        StandardCharsets.UTF_8))) {
                                    for (String l = in.readLine(); l != null; l = in.readLine()) {
                                        if (l.startsWith("kept ")) {
                                            kept.set(Integer.parseInt(l.substring(5)));
                                        } else if (l.startsWith("saved ")) {
                                            saved.set(Integer.parseInt(l.substring(6)));
                                        }
                                    }
                                } catch (IOException e) {
                                    // The process was killed.
                                    return;
                                }
                            });
            reader.start();
            while (saved.get() == 0 && p.isAlive()) {
                Thread.sleep(5);
            }
            Thread.sleep(random.nextInt(150));
            p.destroyForcibly().waitFor();
            reader.join();
            assertThat(saved.get()).isPositive();
            assertThat(number(PieceFiles.read(file).piece().about()))
                    .isGreaterThanOrEqualTo(saved.get());
            try (Journal mine = Journal.in(journals)) {
                List<Journal.Left> left = mine.left();
                assertThat(left).hasSize(1);
                assertThat(number(left.get(0).piece().about())).isGreaterThanOrEqualTo(kept.get());
                assertThat(left.get(0).file()).contains(file);
            }
        }
    }

    /** A thousand saves of two processes by turns as it comes: every one of them is in the file. */
    @Test
    void twoProcessesSaveOneFileAThousandTimes() throws Exception {
        Path file = folder.resolve("shared" + PieceFiles.ENDING);
        PieceFiles.write(Demo.blank().withAbout(""), Extras.NONE, file, null);
        Process a = process("tags", file.toString(), "a", String.valueOf(SAVES));
        Process b = process("tags", file.toString(), "b", String.valueOf(SAVES));
        String outA = new String(a.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        String outB = new String(b.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(a.waitFor()).as(outA).isZero();
        assertThat(b.waitFor()).as(outB).isZero();
        Piece piece = PieceFiles.read(file).piece();
        assertThat(piece.tags()).contains("a-" + SAVES, "b-" + SAVES);
        assertThat(piece.about().chars().filter(c -> c == 'a').count()).isEqualTo(SAVES);
        assertThat(piece.about().chars().filter(c -> c == 'b').count()).isEqualTo(SAVES);
    }

    /** A disk that is full while it is written: said, the old file stays, nothing is left about. */
    @Test
    void aFullDiskHarmsNothing() throws Exception {
        Path file = folder.resolve("riff" + PieceFiles.ENDING);
        Piece piece = Demo.pieces().get(0);
        PieceFiles.write(piece, Extras.NONE, file, null);
        byte[] before = Files.readAllBytes(file);
        assertThatThrownBy(
                        () ->
                                SafeFiles.write(
                                        file,
                                        out -> {
                                            out.write(before, 0, before.length / 2);
                                            out.flush();
                                            throw new IOException("No space left on device");
                                        }))
                .hasMessageContaining("No space left");
        assertThat(Files.readAllBytes(file)).isEqualTo(before);
        try (var all = Files.list(folder)) {
            assertThat(all.toList()).containsExactly(file);
        }
    }

    /** The device that is always full, where the system has one. */
    @Test
    void aDeviceIsNoPlaceForARiff() {
        Path full = Path.of("/dev/full");
        if (Files.exists(full)) {
            assertThatThrownBy(
                            () -> PieceFiles.write(Demo.pieces().get(0), Extras.NONE, full, null))
                    .isInstanceOf(PieceFiles.PieceFileException.class)
                    .hasMessageContaining("was not saved");
        }
    }

    @Test
    void aJournalIsForgottenWhenAllIsSavedAndOfferedOnce() throws Exception {
        Path at = folder.resolve("journal");
        Journal gone = Journal.in(at);
        Piece piece = Demo.pieces().get(1).withAbout("unsaved");
        gone.keep(piece, Extras.NONE, Optional.empty(), Optional.empty());
        try (Journal beside = Journal.in(at)) {
            // The window lives: its work is its own.
            gone.settle();
            assertThat(beside.left()).isEmpty();
        }
        gone.close();
        try (Journal next = Journal.in(at)) {
            Journal.Left left = next.left().get(0);
            assertThat(left.piece()).isEqualTo(piece);
            assertThat(left.file()).isEmpty();
            next.discard(left);
            assertThat(next.left()).isEmpty();
            next.keep(piece, Extras.NONE, Optional.empty(), Optional.empty());
            next.forget();
        }
        try (Journal last = Journal.in(at)) {
            assertThat(last.left()).isEmpty();
        }
    }
}
