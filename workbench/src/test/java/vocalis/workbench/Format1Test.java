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
import vocalis.core.mix.Groove;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Ticks;
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
        List<Long> fills =
                Groove.fills(workspace.score().time().meters(), workspace.score().length());
        assertThat(sorted(dump(program), name, fills)).isEqualTo(sorted(before, name, fills));
    }

    private static List<String> dump(Program p) {
        return IntStream.range(0, p.events()).mapToObj(e -> p.at(e) + " " + p.describe(e)).toList();
    }

    /**
     * What falls on one tick may be listed in another order. In 7/8 (the second random riff) the
     * bass of 0.1 counted its pulses across the bar line; now it begins anew with every bar as the
     * kit does, so its repeated notes are left out there.
     */
    private static List<String> sorted(List<String> lines, String name, List<Long> fills) {
        boolean sevenEight = name.equals("random-2");
        return lines.stream()
                .filter(l -> !(sevenEight && l.contains(" bass ") && l.endsWith("0.750")))
                .filter(l -> !l.contains(" hit ") || !filled(l, fills))
                .filter(l -> l.matches("\\d+ (strike|hit|bass) .*"))
                .map(Format1Test::withoutShape)
                .sorted()
                .toList();
    }

    /** The kit fills now before a turn, and begins with a crash after one; 0.1 did not. */
    private static boolean filled(String hit, List<Long> fills) {
        long at = Long.parseLong(hit.substring(0, hit.indexOf(' ')));
        return hit.contains("hit " + vocalis.sound.band.Piece.CRASH.ordinal())
                || fills.stream().anyMatch(f -> at >= f && at < f + Ticks.QUARTER * 2);
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
