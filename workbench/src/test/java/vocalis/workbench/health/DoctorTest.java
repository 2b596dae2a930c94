package vocalis.workbench.health;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vocalis.sound.device.InputLine;
import vocalis.sound.device.OutputLine;
import vocalis.workbench.base.Places;

/** What is said of machines that have all, and of those that lack something. */
class DoctorTest {

    @TempDir Path folder;

    private static Doctor.Machine machine(
            int java, Map<String, String> environment, boolean sound) {
        return new Doctor.Machine(
                java,
                "Linux",
                environment::get,
                (rate, frames) -> {
                    if (!sound) {
                        throw new OutputLine.NoDevice("no sound device was found", null);
                    }
                    return new OutputLine() {
                        @Override
                        public int write(byte[] bytes, int count) {
                            return count;
                        }

                        @Override
                        public void close() {
                            // Nothing is held.
                        }
                    };
                },
                (rate, frames) -> {
                    if (!sound) {
                        throw new OutputLine.NoDevice("no sound input was found", null);
                    }
                    return new InputLine() {
                        @Override
                        public int read(byte[] bytes, int count) {
                            return count;
                        }

                        @Override
                        public void close() {
                            // Nothing is held.
                        }
                    };
                });
    }

    @Test
    void aMachineWithAllIsWell() throws IOException {
        Path data = folder.resolve("not there yet").resolve("vocalis");
        var found = Doctor.look(machine(21, Map.of("DISPLAY", ":7"), true), Places.in(data));
        assertThat(found).extracting(Doctor.Finding::state).containsOnly(Doctor.State.WELL);
        assertThat(found).extracting(Doctor.Finding::todo).containsOnly("");
        try (var left = Files.list(folder)) {
            assertThat(left).as("nothing is left behind").isEmpty();
        }
    }

    @Test
    void whatLacksIsNamedWithWhatToDo() {
        var found = Doctor.look(machine(11, Map.of(), false), Places.in(folder));
        assertThat(found)
                .extracting(Doctor.Finding::what, Doctor.Finding::state)
                .contains(
                        tuple("Java", Doctor.State.BROKEN),
                        tuple("Display", Doctor.State.LACKS),
                        tuple("Sound out", Doctor.State.LACKS),
                        tuple("Sound in", Doctor.State.LACKS));
        assertThat(found)
                .filteredOn(f -> f.state() != Doctor.State.WELL)
                .allSatisfy(f -> assertThat(f.todo()).isNotBlank());
    }

    /** A file stands where the folder should be: root may write anywhere else. */
    @Test
    void aFolderThatCannotBeWrittenIsBroken() throws IOException {
        Path file = Files.createFile(folder.resolve("vocalis"));
        var found = Doctor.look(machine(17, Map.of("DISPLAY", ":0"), true), Places.in(file));
        assertThat(found)
                .filteredOn(f -> f.state() == Doctor.State.BROKEN)
                .extracting(Doctor.Finding::what)
                .containsExactly("Riffs and shapes", "Settings", "Log");
    }

    @Test
    void aReportNamesNoFileOfThePlayers() {
        Path own = folder.resolve("My Band").resolve("Secret Riff.vocalis.json");
        Throwable inner = new IOException("cannot read \"" + own + "\" at line 3");
        Throwable e = new IllegalStateException(own.toString(), inner);
        String report = TroubleReport.of("opening a riff", e);
        assertThat(report)
                .contains(
                        "Vocalis " + Version.NUMBER,
                        "opening a riff",
                        "IllegalStateException",
                        "IOException",
                        "DoctorTest.java",
                        System.getProperty("java.version"))
                .doesNotContain("Secret", "My Band", folder.toString());
        assertThat(TroubleReport.of("x", new IOException("C:\\Users\\Mia\\Riffs\\a b.json")))
                .doesNotContain("Mia", "a b");
        // A name without a path is the player's own too.
        assertThat(TroubleReport.of("x", new IOException("Secret Riff was not saved")))
                .doesNotContain("Secret");
        assertThat(TroubleReport.of("x", new ArithmeticException("/ by zero")))
                .contains("/ by zero");
    }

    @Test
    void theVersionIsTheBuilds() {
        assertThat(Version.NUMBER).matches("\\d+\\.\\d+\\.\\d+");
    }
}
