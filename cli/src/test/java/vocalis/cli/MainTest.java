package vocalis.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import javax.sound.sampled.AudioSystem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vocalis.workbench.Demo;
import vocalis.workbench.RiffFiles;

class MainTest {

    @TempDir Path folder;

    @Test
    void aRiffIsRenderedToAFileThatTheJdkPlays() throws Exception {
        Path riff = folder.resolve("r.vocalis.json");
        Path wav = folder.resolve("r.wav");
        RiffFiles.write(Demo.riffs().get(1), riff);
        assertThat(Main.run("render", riff.toString(), "-o", wav.toString(), "--tone", "clean"))
                .isZero();
        var format = AudioSystem.getAudioFileFormat(wav.toFile());
        assertThat(format.getFormat().getSampleSizeInBits()).isEqualTo(24);
        assertThat(format.getFrameLength()).isGreaterThan(48000 * 7);
    }

    @Test
    void badInputIsTwoAndOneLine() throws Exception {
        Path bad = folder.resolve("bad.vocalis.json");
        Files.writeString(bad, "{}");
        assertThat(Main.run("render", bad.toString(), "-o", "x.wav")).isEqualTo(2);
        assertThat(Main.run("render", "nowhere", "-o", "x.wav")).isEqualTo(2);
        assertThat(Main.run("sing")).isEqualTo(2);
        assertThat(Main.run("--version")).isZero();
    }
}
