package vocalis.workbench.library;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vocalis.core.piece.Piece;
import vocalis.formats.json.Extras;
import vocalis.workbench.demo.Demo;

class PieceFilesTest {

    @TempDir Path folder;

    private static String write(Piece piece, Path file) throws Exception {
        return PieceFiles.write(piece, Extras.NONE, file, null);
    }

    @Test
    void aPieceIsSavedAndReopenedEqual() throws Exception {
        Path file = folder.resolve("a.vocalis.json");
        for (Piece piece : Demo.pieces()) {
            String stamp = write(piece, file);
            PieceFiles.ReadPiece opened = PieceFiles.read(file);
            assertThat(opened.piece()).isEqualTo(piece);
            assertThat(opened.stamp()).isEqualTo(stamp);
        }
        assertThat(names()).containsExactly("a.vocalis.json");
    }

    /** A dialog may add a part of the ending by itself; the file has all of it, once. */
    @Test
    void aFileIsNamedWithItsWholeEnding() {
        for (String typed : List.of("kiln", "kiln.json", "kiln.vocalis", "kiln.vocalis.json")) {
            assertThat(PieceFiles.withEnding(Path.of("in", typed)))
                    .isEqualTo(Path.of("in", "kiln.vocalis.json"));
        }
        assertThat(PieceFiles.withEnding(Path.of("v1.2"))).hasToString("v1.2.vocalis.json");
        assertThat(PieceFiles.stem(Path.of("in", "kiln.vocalis.json"))).isEqualTo("kiln");
    }

    @Test
    void whatCannotBeSavedIsSaidAndLeavesTheOldFile() throws Exception {
        Path missing = folder.resolve("nowhere").resolve("a.vocalis.json");
        assertThatThrownBy(() -> write(Demo.blank(), missing))
                .hasMessageContaining("a.vocalis.json")
                .hasMessageContaining("not saved")
                .hasMessageContaining("folder does not exist");
        assertThatThrownBy(() -> PieceFiles.read(missing)).hasMessageContaining("does not exist");
        Path bad = folder.resolve("bad.vocalis.json");
        Files.writeString(bad, "{");
        assertThatThrownBy(() -> PieceFiles.read(bad)).hasMessageContaining("bad.vocalis.json");
        assertThat(Files.readString(bad)).isEqualTo("{");
    }

    /** A file of a newer program is opened to look at; nothing here writes over it. */
    @Test
    void aNewerFileIsNeverWrittenOver() throws Exception {
        Path file = folder.resolve("a.vocalis.json");
        write(Demo.pieces().get(1), file);
        String newer =
                Files.readString(file)
                        .replaceFirst("\"version\" : 2", "\"version\" : 3, \"hue\" : 7");
        Files.writeString(file, newer);
        PieceFiles.ReadPiece opened = PieceFiles.read(file);
        assertThat(opened.newer()).isTrue();
        assertThat(opened.piece()).isEqualTo(Demo.pieces().get(1));
        for (String known : new String[] {null, opened.stamp()}) {
            assertThatThrownBy(() -> PieceFiles.write(opened.piece(), opened.extras(), file, known))
                    .isInstanceOf(PieceFiles.PieceFileException.class)
                    .hasMessageContaining("a newer Vocalis wrote what lies there")
                    .hasMessageContaining("save it to another place");
        }
        assertThat(Files.readString(file)).isEqualTo(newer);
        assertThat(names()).containsExactly("a.vocalis.json");
    }

    /** What somebody else wrote meanwhile is not written over unasked. */
    @Test
    void aFileChangedOnDiskIsNoticed() throws Exception {
        Path file = folder.resolve("a.vocalis.json");
        String stamp = write(Demo.pieces().get(0), file);
        write(Demo.pieces().get(1), file);
        assertThatThrownBy(() -> PieceFiles.write(Demo.pieces().get(0), Extras.NONE, file, stamp))
                .isInstanceOf(PieceFiles.ChangedOnDisk.class);
        assertThat(PieceFiles.read(file).piece()).isEqualTo(Demo.pieces().get(1));
        String now = PieceFiles.read(file).stamp();
        PieceFiles.write(Demo.pieces().get(2), Extras.NONE, file, now);
        assertThat(PieceFiles.read(file).piece()).isEqualTo(Demo.pieces().get(2));
    }

    /** Rights stay, hard links stay one file, symbolic links are followed. */
    @Test
    void theFileThatIsReplacedKeepsItsRightsAndNames() throws Exception {
        Path file = folder.resolve("a.vocalis.json");
        write(Demo.pieces().get(0), file);
        assertThat(Files.getPosixFilePermissions(file))
                .containsAll(PosixFilePermissions.fromString("rw-r--r--"));
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("rw-rw----"));
        write(Demo.pieces().get(1), file);
        assertThat(PosixFilePermissions.toString(Files.getPosixFilePermissions(file)))
                .isEqualTo("rw-rw----");
        Path second = folder.resolve("same.vocalis.json");
        Files.createLink(second, file);
        write(Demo.pieces().get(2), file);
        assertThat(Files.isSameFile(file, second)).isTrue();
        assertThat(PieceFiles.read(second).piece()).isEqualTo(Demo.pieces().get(2));
        Path link = folder.resolve("link.vocalis.json");
        Files.createSymbolicLink(link, second);
        write(Demo.pieces().get(0), link);
        assertThat(Files.isSymbolicLink(link)).isTrue();
        assertThat(PieceFiles.read(file).piece()).isEqualTo(Demo.pieces().get(0));
        assertThat(names())
                .containsExactlyInAnyOrder(
                        "a.vocalis.json", "same.vocalis.json", "link.vocalis.json");
    }

    @Test
    void readOnlyFilesFoldersAndPipesAreRefusedInWords() throws Exception {
        Path file = folder.resolve("a.vocalis.json");
        write(Demo.pieces().get(0), file);
        Files.setPosixFilePermissions(file, PosixFilePermissions.fromString("r--r--r--"));
        assertThatThrownBy(() -> write(Demo.pieces().get(1), file))
                .hasMessageContaining("read-only");
        assertThat(PieceFiles.read(file).piece()).isEqualTo(Demo.pieces().get(0));
        Path dir = Files.createDirectory(folder.resolve("dir.vocalis.json"));
        assertThatThrownBy(() -> write(Demo.pieces().get(1), dir))
                .hasMessageContaining("no ordinary file");
        Path pipe = folder.resolve("pipe.vocalis.json");
        new ProcessBuilder("mkfifo", pipe.toString()).start().waitFor();
        assertThatThrownBy(() -> write(Demo.pieces().get(1), pipe))
                .hasMessageContaining("no ordinary file");
        assertThatThrownBy(() -> PieceFiles.read(pipe)).hasMessageContaining("no ordinary file");
    }

    /** A writer killed at any moment leaves the old piece or the new one, whole. */
    @Test
    void aKilledWriterLeavesAWholeFileAndNoHeapOfOthers() throws Exception {
        Path file = folder.resolve("kept.vocalis.json");
        write(Demo.pieces().get(0), file);
        Random random = new Random(3);
        for (int i = 0; i < 12; i++) {
            Process writer =
                    new ProcessBuilder(
                                    Path.of(System.getProperty("java.home"), "bin", "java")
                                            .toString(),
                                    "-XX:TieredStopAtLevel=1",
                                    "-cp",
                                    System.getProperty("java.class.path"),
                                    Writer.class.getName(),
                                    file.toString())
                            .redirectErrorStream(true)
                            .redirectOutput(new File(folder.toFile(), "log"))
                            .start();
            while (!Files.exists(folder.resolve("started"))) {
                assertThat(writer.isAlive()).isTrue();
                Thread.onSpinWait();
            }
            TimeUnit.MILLISECONDS.sleep(random.nextInt(60));
            writer.destroyForcibly().waitFor(10, TimeUnit.SECONDS);
            Files.delete(folder.resolve("started"));
            assertThat(Demo.pieces()).contains(PieceFiles.read(file).piece());
        }
        assertThat(names().filter(n -> n.startsWith("."))).hasSizeLessThanOrEqualTo(1);
        write(Demo.pieces().get(1), file);
        assertThat(names()).containsExactlyInAnyOrder("kept.vocalis.json", "log");
    }

    /** Saves one piece after the other until it is killed. */
    static final class Writer {
        public static void main(String[] args) throws Exception {
            Path file = Path.of(args[0]);
            Files.createFile(file.resolveSibling("started"));
            for (int i = 0; ; i++) {
                write(Demo.pieces().get(i % 3), file);
            }
        }
    }

    /** Saves are written in the order asked, and all of them before the saver ends. */
    @Test
    void theSaverWritesInOrderAndToTheEnd() throws Exception {
        Path file = folder.resolve("a.vocalis.json");
        List<Saver.Outcome> told = new ArrayList<>();
        AtomicReference<Thread> on = new AtomicReference<>();
        try (Saver saver =
                new Saver(
                        r -> {
                            on.set(Thread.currentThread());
                            r.run();
                        })) {
            for (int i = 0; i < 20; i++) {
                Piece snapshot = Demo.pieces().get(i % 3);
                saver.save(() -> snapshot, Extras.NONE, file, null, told::add);
            }
            saver.save(Demo::blank, Extras.NONE, folder.resolve("no/where.json"), null, told::add);
        }
        assertThat(told).hasSize(21);
        assertThat(told.subList(0, 20)).allMatch(o -> o instanceof Saver.Outcome.Saved);
        assertThat(told.get(20)).isInstanceOf(Saver.Outcome.Failed.class);
        assertThat(on.get()).isNotSameAs(Thread.currentThread());
        assertThat(PieceFiles.read(file).piece()).isEqualTo(Demo.pieces().get(1));
    }

    private Stream<String> names() throws IOException {
        return Files.list(folder).map(p -> p.getFileName().toString());
    }
}
