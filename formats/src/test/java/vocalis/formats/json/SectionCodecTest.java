package vocalis.formats.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.mix.BassFigure;
import vocalis.core.mix.Feel;
import vocalis.core.piece.Meant;
import vocalis.core.piece.Part;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.riff.Tone;
import vocalis.formats.FormatException;

/** Sections, registers and clashes that are meant: written and read back, and refused by place. */
class SectionCodecTest {

    private static final ObjectMapper MAPPER = new ObjectMapper();

    private static <T> Optional<T> some(Random r, T[] all) {
        return r.nextInt(3) == 0 ? Optional.empty() : Optional.of(all[r.nextInt(all.length)]);
    }

    private static Optional<BassFigure> line(Random r) {
        String[] steps = {"1", "b3", "#4", "5", "b7", "8", "9", "-", "."};
        StringBuilder text = new StringBuilder("1");
        for (int i = 0; i < r.nextInt(16); i++) {
            text.append(' ').append(steps[r.nextInt(steps.length)]);
        }
        return r.nextBoolean() ? Optional.empty() : Optional.of(BassFigure.parse(text.toString()));
    }

    private static Section section(Random r, int i) {
        Section s = new Section("s" + i, "name " + i + " ♭\"", "riff-1", 1 + r.nextInt(99));
        s = s.at(50 + r.nextInt(151));
        s = r.nextBoolean() ? s.playing("riff-1", Optional.of("v-1")) : s;
        s = r.nextBoolean() ? s.ending(Optional.of("v-1")) : s;
        s = r.nextBoolean() ? s.singing("la | lá\n| ") : s;
        Section.Band b =
                new Section.Band(
                        r.nextBoolean(),
                        some(r, Feel.values()),
                        r.nextBoolean(),
                        r.nextBoolean(),
                        line(r));
        s = s.with(b);
        for (String part : new String[] {"guitar-1", "guitar-2", "other.part"}) {
            Section.Playing p = new Section.Playing(r.nextBoolean(), some(r, Tone.values()));
            s = r.nextBoolean() ? s.with(part, p) : s;
        }
        return s;
    }

    private static Piece piece(Random r) {
        Piece p = Pieces.everything();
        List<Section> sections = new ArrayList<>();
        for (int i = 0; i <= r.nextInt(8); i++) {
            sections.add(section(r, i));
        }
        int floor = r.nextInt(100);
        Part two = p.second().orElseThrow();
        p = p.with(two.keepingTo(new Part.Register(floor, floor + r.nextInt(28))));
        for (int i = 0; i < r.nextInt(5); i++) {
            p = p.meaning(new Meant("riff-1", r.nextInt(99_999), i, r.nextInt(12)), true);
        }
        return p.arranged(sections);
    }

    /** Two hundred pieces with any sections read back equal. */
    @Test
    void anySectionsReadBack() throws FormatException {
        Random r = new Random(31);
        for (int i = 0; i < 200; i++) {
            Piece p = piece(r);
            byte[] bytes = PieceCodec.write(p, Extras.NONE);
            assertThat(PieceCodec.read(bytes).piece()).as("piece %d", i).isEqualTo(p);
        }
    }

    /** A section as it was before sections had more to say is the usual one. */
    @Test
    void plainSectionsAreTheUsualOnes() throws Exception {
        ObjectNode tree = tree();
        ObjectNode plain = MAPPER.createObjectNode();
        plain.put("id", "s-1").put("name", "verse").put("riff", "riff-1").put("times", 3);
        tree.putArray("sections").add(plain);
        tree.remove("meant");
        Piece p = PieceCodec.read(MAPPER.writeValueAsBytes(tree)).piece();
        assertThat(p.sections()).containsExactly(new Section("s-1", "verse", "riff-1", 3));
        assertThat(p.meant()).isEmpty();
    }

    private static ObjectNode tree() throws Exception {
        return (ObjectNode) MAPPER.readTree(PieceCodec.write(Pieces.everything(), Extras.NONE));
    }

    /** What a section may not be is refused with the place where it stands. */
    @ParameterizedTest
    @CsvSource({
        "tempo, 49, sections[0].tempo",
        "tempo, 201, sections[0].tempo",
        "times, 0, sections[0].times",
        "times, 100, sections[0].times",
        "version, \"nobody\", nobody",
        "ending, \"nobody\", nobody",
        "riff, \"nobody\", nobody",
        "words, 4, sections[0].words",
        "band, 7, sections[0].band",
        "parts, [], sections[0].parts"
    })
    void wrongValuesAreRefusedByPlace(String field, String value, String place) throws Exception {
        ObjectNode tree = tree();
        ObjectNode section = (ObjectNode) tree.get("sections").get(0);
        section.set(field, MAPPER.readTree(value));
        assertThatThrownBy(() -> PieceCodec.read(MAPPER.writeValueAsBytes(tree)))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining(place);
    }

    /** So is a bass line of what is no step, a ceiling under its floor, a pitch class of 12. */
    @Test
    void wrongLinesRegistersAndClashesAreRefused() throws Exception {
        ObjectNode line = tree();
        ((ObjectNode) line.get("sections").get(0).get("band")).put("line", "1 2 zwei");
        assertThatThrownBy(() -> PieceCodec.read(MAPPER.writeValueAsBytes(line)))
                .hasMessageContaining("sections[0].band.line")
                .hasMessageContaining("zwei");
        ObjectNode register = tree();
        ((ObjectNode) register.get("parts").get(1)).put("floor", 90);
        assertThatThrownBy(() -> PieceCodec.read(MAPPER.writeValueAsBytes(register)))
                .hasMessageContaining("parts[1]")
                .hasMessageContaining("from 90 to 79");
        ObjectNode meant = tree();
        ((ObjectNode) meant.get("meant").get(0)).put("one", 12);
        assertThatThrownBy(() -> PieceCodec.read(MAPPER.writeValueAsBytes(meant)))
                .hasMessageContaining("meant[0].one");
    }
}
