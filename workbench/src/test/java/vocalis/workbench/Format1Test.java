package vocalis.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.piece.Piece;
import vocalis.formats.FormatException;
import vocalis.formats.json.PieceCodec;
import vocalis.sound.engine.Program;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.playing.SoundEvents;

/**
 * Files that version 0.1 wrote, beside the events that version 0.1 played for them, dumped from its
 * own program: the three demo riffs and five random ones with every touch, manner, meter and
 * companion of the format. All their chords leave the shape to the program, and the program chooses
 * otherwise now: so the shapes may differ, and with them which strings are struck and what a touch
 * leads to; when something is played, how hard, and all that bass and kit play may not.
 */
class Format1Test {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "winch-house",
                "wet-slate",
                "nine-terraces",
                "random-1",
                "random-2",
                "random-3",
                "random-4",
                "random-5"
            })
    void oldFilesKeepTheirRhythmDynamicsAndCompanions(String name)
            throws IOException, FormatException {
        Piece piece = PieceCodec.read(bytes(name + ".json")).piece();
        Workspace workspace = new Workspace(new Catalogue(), piece);
        Program program = SoundEvents.program(workspace.heard());
        List<String> before =
                new String(bytes(name + ".events"), StandardCharsets.UTF_8).lines().toList();
        assertThat(strikes(dump(program))).isEqualTo(strikes(before));
        assertThat(any(dump(program), " hit ")).isEqualTo(any(before, " hit "));
        assertThat(any(dump(program), " bass ")).isEqualTo(any(before, " bass "));
    }

    private static boolean any(List<String> lines, String what) {
        return lines.stream().anyMatch(l -> l.contains(what));
    }

    private static List<String> dump(Program p) {
        return IntStream.range(0, p.events()).mapToObj(e -> p.at(e) + " " + p.describe(e)).toList();
    }

    /**
     * What falls on one tick may be listed in another order; the band plays by rules of its own.
     */
    private static List<String> strikes(List<String> lines) {
        return lines.stream()
                .filter(l -> l.matches("\\d+ strike .*"))
                .map(Format1Test::withoutShape)
                .sorted()
                .toList();
    }

    /** A strike without its frets, and without what depends on which strings are struck. */
    private static String withoutShape(String line) {
        return line.replaceAll("\\[.*?\\]", "[…]");
    }

    private byte[] bytes(String name) throws IOException {
        try (InputStream in = getClass().getResourceAsStream("/format-1/" + name)) {
            return in.readAllBytes();
        }
    }
}
