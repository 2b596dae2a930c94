package vocalis.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.InputStream;
import java.io.PrintStream;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import javax.sound.sampled.AudioSystem;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import vocalis.cli.options.Standard;
import vocalis.core.edit.Chords;
import vocalis.core.instrument.Shape;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.formats.json.Extras;
import vocalis.formats.json.PieceCodec;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.library.PieceFiles;

/** Standard streams in place of files, and terminals that know ASCII alone. */
class StreamsTest {

    @TempDir Path folder;

    private record Answer(int code, byte[] bytes) {
        String text() {
            return new String(bytes, StandardCharsets.UTF_8);
        }
    }

    /** Runs a command on the standard streams. */
    private static Answer run(byte[] in, String... args) {
        InputStream usualIn = System.in;
        PrintStream usualOut = System.out;
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        System.setIn(new ByteArrayInputStream(in));
        System.setOut(new PrintStream(out, true, StandardCharsets.UTF_8));
        try {
            return new Answer(Main.run(args), out.toByteArray());
        } finally {
            System.setIn(usualIn);
            System.setOut(usualOut);
        }
    }

    private static byte[] riff(int index) throws Exception {
        return PieceCodec.write(Demo.pieces().get(index), Extras.NONE);
    }

    /** Both are there afterwards; the second used to be written over the first. */
    @Test
    void twoRiffsOfOneNameBecomeTwoFiles() throws Exception {
        Path a = Files.createDirectories(folder.resolve("a")).resolve("x.vocalis.json");
        Path b = Files.createDirectories(folder.resolve("b")).resolve("x.vocalis.json");
        Path out = Files.createDirectories(folder.resolve("out"));
        PieceFiles.write(Demo.pieces().get(0), Extras.NONE, a, null);
        PieceFiles.write(Demo.pieces().get(1), Extras.NONE, b, null);
        String[] args = {"export", a.toString(), b.toString(), "-o", out.toString(), "--to", "tab"};
        assertThat(Main.run(args)).isZero();
        assertThat(Files.readString(out.resolve("x.tab.txt"))).contains("Winch House");
        assertThat(Files.readString(out.resolve("x-2.tab.txt"))).contains("Wet Slate");
        Path back = Files.createDirectories(folder.resolve("back"));
        Path c = Files.copy(out.resolve("x.tab.txt"), folder.resolve("a").resolve("y.tab.txt"));
        Path d = Files.copy(out.resolve("x-2.tab.txt"), folder.resolve("b").resolve("y.tab.txt"));
        assertThat(Main.run("import", c.toString(), d.toString(), "-o", back.toString())).isZero();
        assertThat(back.resolve("y.vocalis.json")).exists();
        assertThat(back.resolve("y-2.vocalis.json")).exists();
    }

    @Test
    void aRenderGoesToStandardOutput() throws Exception {
        Answer a = run(riff(1), "render", "-", "-o", "-", "--tone", "clean");
        assertThat(a.code()).isZero();
        try (var wav = AudioSystem.getAudioInputStream(new ByteArrayInputStream(a.bytes()))) {
            assertThat(wav.getFrameLength()).isGreaterThan(48000 * 7);
        }
        assertThat(Path.of("-")).doesNotExist();
        assertThat(run(riff(1), "render", "-", "-o", "-", "--stems").code()).isEqualTo(2);
    }

    @Test
    void riffsAndShapesAreReadFromStandardInput() throws Exception {
        assertThat(run(riff(0), "check", "-").code()).isBetween(0, 1);
        assertThat(run(riff(0), "revoice", "-", "--row", "fourth").text()).contains("fourth");
        Answer voiced = run(riff(0), "revoice", "-", "--row", "fourth", "-o", "-");
        assertThat(PieceCodec.read(voiced.bytes()).piece().riff().treatments())
                .allMatch(t -> t.family() == Family.FOURTH);
        byte[] shapes = "x-4-6-6-0-0\n\n3-5-5-x-x-x\n".getBytes(StandardCharsets.UTF_8);
        assertThat(run(shapes, "series", "-").text())
                .contains("x-4-6-6-0-0 along", "3-5-5-x-x-x along");
        assertThat(run(shapes, "gain", "-").text()).contains("x-4-6-6-0-0", "3-5-5-x-x-x");
    }

    /** It is told, and nobody stumbles over it: exit 0. A shape that no hand holds: exit 1. */
    @Test
    void aLoopThatEndsOnItsFirstRootIsNoFault() throws Exception {
        Piece blank = Demo.blank("loop");
        Riff riff = blank.riff();
        Key key = riff.ground().key();
        int[] roots = {9, 5, 9};
        for (int i = 0; i < roots.length; i++) {
            riff = Chords.root(riff, i + 1, Root.of(key, roots[i]));
        }
        riff = Chords.root(riff, 0, Root.of(key, 9));
        Answer a = run(PieceCodec.write(blank.with(riff), Extras.NONE), "check", "-");
        assertThat(a.code()).as(a.text()).isZero();
        assertThat(a.text()).contains("nothing to stumble over");
        Riff wide =
                Chords.member(
                        riff, 0, Family.POWER, new Member.ByHand(Shape.parse("1-9-x-x-x-x"), 5));
        byte[] impossible = PieceCodec.write(blank.with(wide), Extras.NONE);
        assertThat(run(impossible, "check", "-").code()).isEqualTo(1);
        String csv = run(impossible, "export", "-", "-o", "-", "--to", "csv").text();
        assertThat(csv).doesNotContain("E18", "9223");
        assertThat(csv.lines().count()).isEqualTo(5);
    }

    /** A terminal of the POSIX locale has no flats and sharps. */
    @Test
    void aTerminalWithoutTheSignsGetsLetters() {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        PrintWriter ascii = Standard.text(out, StandardCharsets.US_ASCII);
        assertThat(Main.run(ascii, "name", "x-1-3-3-x-x", "--key", "Bb minor")).isZero();
        ascii.print("♭3 F♯°7 … ü");
        ascii.flush();
        String said = out.toString(StandardCharsets.US_ASCII);
        assertThat(said).contains("Bb5", "b3 F#o7 ... ?");
        assertThat(said.chars()).allMatch(c -> c < 128);
    }

    /** Names with commas in them are not listed by commas. */
    @Test
    void tuningsAreListedSoThatTheyCanBeTold() {
        assertThat(run(new byte[0], "drones", "--tuning", "no such").code()).isEqualTo(2);
        assertThat(vocalis.core.instrument.Tuning.offered()).hasSizeGreaterThan(5);
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> vocalis.core.instrument.Tuning.named("no such"))
                .hasMessageContaining("; 7 strings, low A; ");
    }
}
