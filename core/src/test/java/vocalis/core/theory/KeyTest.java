package vocalis.core.theory;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class KeyTest {

    /**
     * Against the scales of the music-theory library tonal 6.4.3 (MIT): 17 tonics in every mode.
     */
    @Test
    void scalesAreSpelledAsTheTheoryLibrarySpellsThem() throws IOException {
        JsonNode rows =
                new ObjectMapper()
                        .readTree(getClass().getResourceAsStream("/reference/scales.json"))
                        .get("rows");
        int compared = 0;
        List<String> differ = new ArrayList<>();
        for (JsonNode row : rows) {
            var mode = Mode.named(row.get("mode").asText());
            if (mode.isEmpty()) {
                continue;
            }
            Key key = new Key(Spelling.parse(row.get("tonic").asText()), mode.get());
            List<String> ours = key.scale().stream().map(Spelling::ascii).toList();
            List<String> theirs = new ArrayList<>();
            row.get("notes").forEach(n -> theirs.add(n.asText()));
            compared++;
            if (!ours.equals(theirs)) {
                differ.add(key + ": " + ours + " against " + theirs);
            }
        }
        assertThat(compared).isEqualTo(17 * 14);
        assertThat(differ).isEmpty();
    }

    /** Common practice: which major scales hold a pair of open strings. */
    @Test
    void dronesBelongToAHandfulOfKeys() {
        assertThat(majorsWith("B", "E")).containsExactlyInAnyOrder("C", "G", "D", "A", "E", "B");
        assertThat(majorsWith("D", "G")).containsExactlyInAnyOrder("Eb", "Bb", "F", "C", "G", "D");
        Key fMinor = Key.parse("F minor");
        assertThat(fMinor.contains(Spelling.parse("B").pitchClass())).isFalse();
        assertThat(fMinor.contains(Spelling.parse("E").pitchClass())).isFalse();
    }

    private static List<String> majorsWith(String a, String b) {
        return IntStream.range(0, 12)
                .mapToObj(pc -> new Key(Spelling.plain(pc), Mode.named("major").orElseThrow()))
                .filter(k -> k.contains(Spelling.parse(a).pitchClass()))
                .filter(k -> k.contains(Spelling.parse(b).pitchClass()))
                .map(k -> k.tonic().ascii())
                .toList();
    }

    @Test
    void notesOutsideTheScaleAreSpelledByTheirUsualDegree() {
        Key key = Key.parse("D dorian");
        assertThat(key.note(63).symbol()).isEqualTo("E♭4");
        // Above a minor third the tritone is a ♭5, above a major one and a pure fifth a ♯4.
        assertThat(key.spell(8).symbol()).isEqualTo("A♭");
        assertThat(key.degree(8).symbol()).isEqualTo("♭5");
        assertThat(Key.parse("D mixolydian").degree(8).symbol()).isEqualTo("♯4");
        assertThat(Key.parse("B locrian").degree(5).symbol()).isEqualTo("♭5");
    }

    @Test
    void unknownKeysSayWhatIsKnown() {
        assertThatThrownBy(() -> Key.parse("G wobbly"))
                .hasMessageContaining("wobbly")
                .hasMessageContaining("dorian");
        assertThatThrownBy(() -> Key.parse("Q minor")).hasMessageContaining("\"Q\"");
        assertThatThrownBy(
                        () ->
                                new Mode(
                                        "odd",
                                        List.of(
                                                new Degree(1, 0),
                                                new Degree(3, 0),
                                                new Degree(2, 0))))
                .hasMessageContaining("ascend");
    }
}
