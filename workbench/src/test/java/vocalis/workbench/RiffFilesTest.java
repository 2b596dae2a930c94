package vocalis.workbench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vocalis.core.riff.NamedRiff;

class RiffFilesTest {

    @TempDir Path folder;

    @Test
    void aRiffIsSavedAndReopenedEqual() throws Exception {
        Path file = folder.resolve("a.vocalis.json");
        for (NamedRiff riff : Demo.riffs()) {
            RiffFiles.write(riff, file);
            assertThat(RiffFiles.read(file)).isEqualTo(riff);
        }
        assertThat(names()).containsExactly("a.vocalis.json");
        assertThat(RiffFiles.withEnding(Path.of("x"))).hasToString("x.vocalis.json");
    }

    @Test
    void whatCannotBeSavedIsSaidAndLeavesTheOldFile() throws Exception {
        Path missing = folder.resolve("nowhere").resolve("a.vocalis.json");
        assertThatThrownBy(() -> RiffFiles.write(Demo.blank(), missing))
                .hasMessageContaining("a.vocalis.json")
                .hasMessageContaining("not saved");
        assertThatThrownBy(() -> RiffFiles.read(missing)).hasMessageContaining("does not exist");
        Path bad = folder.resolve("bad.vocalis.json");
        Files.writeString(bad, "{");
        assertThatThrownBy(() -> RiffFiles.read(bad)).hasMessageContaining("bad.vocalis.json");
        assertThat(Files.readString(bad)).isEqualTo("{");
    }

    /** A writer killed at any moment leaves the old riff or the new one, whole. */
    @Test
    void aKilledWriterLeavesAWholeFile() throws Exception {
        Path file = folder.resolve("kept.vocalis.json");
        RiffFiles.write(Demo.riffs().get(0), file);
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
                Thread.sleep(5);
            }
            Thread.sleep(random.nextInt(60));
            writer.destroyForcibly().waitFor(10, TimeUnit.SECONDS);
            Files.delete(folder.resolve("started"));
            assertThat(Demo.riffs()).contains(RiffFiles.read(file));
        }
    }

    /** Saves one riff after the other until it is killed. */
    static final class Writer {
        public static void main(String[] args) throws Exception {
            Path file = Path.of(args[0]);
            Files.createFile(file.resolveSibling("started"));
            for (int i = 0; ; i++) {
                RiffFiles.write(Demo.riffs().get(i % 3), file);
            }
        }
    }

    private Stream<String> names() throws IOException {
        return Files.list(folder).map(p -> p.getFileName().toString());
    }
}
