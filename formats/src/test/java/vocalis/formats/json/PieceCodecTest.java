package vocalis.formats.json;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.networknt.schema.JsonSchema;
import com.networknt.schema.JsonSchemaFactory;
import com.networknt.schema.SpecVersion;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.core.piece.Piece;
import vocalis.formats.FormatException;

class PieceCodecTest {

    private static final ObjectMapper MAPPER = new ObjectMapper();

    private static byte[] good() throws FormatException {
        return PieceCodec.write(Pieces.everything(), Extras.NONE);
    }

    @Test
    void whatIsReadEqualsWhatWasWritten() throws FormatException {
        PieceCodec.Content content = PieceCodec.read(good());
        assertThat(content.piece()).isEqualTo(Pieces.everything());
        assertThat(content.extras().isEmpty()).isTrue();
        assertThat(PieceCodec.write(content.piece(), content.extras())).isEqualTo(good());
    }

    private static JsonSchema schema() throws IOException {
        return JsonSchemaFactory.getInstance(SpecVersion.VersionFlag.V202012)
                .getSchema(Files.readString(Path.of("../docs/vocalis-2.schema.json")));
    }

    /** The published schema of the format (JSON Schema 2020-12), by a general-purpose validator. */
    @Test
    void filesAreValidAgainstTheDocumentedSchema() throws Exception {
        assertThat(schema().validate(MAPPER.readTree(good()))).isEmpty();
        JsonNode broken = MAPPER.readTree("{\"format\":\"vocalis\",\"version\":2}");
        assertThat(schema().validate(broken)).isNotEmpty();
        JsonNode example = MAPPER.readTree(Path.of("../docs/example.vocalis.json").toFile());
        assertThat(schema().validate(example)).isEmpty();
        assertThat(PieceCodec.read(MAPPER.writeValueAsBytes(example)).piece().riff().bars())
                .isEqualTo(2);
    }

    /**
     * Fields of others, wherever they stand, come back where they stood, and follow their thing.
     */
    @Test
    void unknownFieldsAreKept() throws Exception {
        ObjectNode tree = (ObjectNode) MAPPER.readTree(good());
        tree.put("colour", "slate");
        ((ObjectNode) tree.at("/riffs/1")).put("mood", 3);
        ((ObjectNode) tree.at("/riffs/0/pattern/figures/1/events/0")).putObject("ink").put("a", 1);
        ((ObjectNode) tree.at("/mix/bass")).put("player", "none");
        PieceCodec.Content content = PieceCodec.read(MAPPER.writeValueAsBytes(tree));
        assertThat(content.extras().names()).hasSize(4);
        JsonNode again = MAPPER.readTree(PieceCodec.write(content.piece(), content.extras()));
        assertThat(again).isEqualTo(tree);
        Piece renamed = content.piece().withTitle("other");
        JsonNode moved = MAPPER.readTree(PieceCodec.write(renamed, content.extras()));
        assertThat(moved.get("colour").asText()).isEqualTo("slate");
        assertThat(moved.at("/riffs/1/mood").asInt()).isEqualTo(3);
    }

    /**
     * What is known of a newer file is read; it says that it is newer, and nothing unknown is kept.
     */
    @Test
    void aNewerFileIsReadAsFarAsItIsKnown() throws Exception {
        ObjectNode tree = (ObjectNode) MAPPER.readTree(good());
        PieceCodec.Content now = PieceCodec.read(good());
        tree.put("version", PieceCodec.VERSION + 1).put("colour", "slate");
        byte[] bytes = MAPPER.writeValueAsBytes(tree);
        PieceCodec.Content newer = PieceCodec.read(bytes);
        assertThat(newer.piece()).isEqualTo(now.piece());
        assertThat(newer.newer()).isTrue();
        assertThat(newer.extras().isEmpty()).isTrue();
        assertThat(PieceCodec.newer(bytes)).isTrue();
        assertThat(now.newer() || PieceCodec.newer(good())).isFalse();
    }

    @Test
    void aNewerFileThatCannotBeReadIsRefusedInWordsThatSayWhatToDo() {
        assertThatThrownBy(() -> read("{\"format\":\"vocalis\",\"version\":3}"))
                .isInstanceOf(FormatException.class)
                .hasMessageContaining("newer Vocalis")
                .hasMessageContaining("left as it is");
    }

    @Test
    void damageIsToldWithItsPlaceAndWhatWasExpected() throws Exception {
        String text = new String(good(), StandardCharsets.UTF_8);
        assertThatThrownBy(() -> read(text.substring(0, text.length() / 2)))
                .hasMessageContaining("damaged")
                .hasMessageContaining("line");
        assertThatThrownBy(() -> read(text + " trailing")).hasMessageContaining("damaged");
        assertThatThrownBy(() -> read(text.replace("\"tempo\" : 73", "\"tempo\" : 7300")))
                .hasMessageContaining("riffs[0].tempos[0].tempo")
                .hasMessageContaining("from 20 to 400")
                .hasMessageContaining("7300");
        assertThatThrownBy(() -> read(text.replace("\"alter\" : 3", "\"alter\" : \"x\"")))
                .hasMessageContaining("roots[1].alter")
                .hasMessageContaining("whole number from -6 to 6");
        assertThatThrownBy(() -> read(text.replace("\"shape\" : \"x-x-x", "\"shape\" : \"x-q-x")))
                .hasMessageContaining("treatments[0].members.fourth")
                .hasMessageContaining("place 2");
        assertThatThrownBy(() -> read(text.replace("\"7/8\"", "\"/\"")))
                .hasMessageContaining("meters[0].meter")
                .hasMessageContaining("4/4");
        assertThatThrownBy(() -> read(text.replace("\"palmHeavy\"", "\"soft\"")))
                .hasMessageContaining("manner")
                .hasMessageContaining("palmHeavy");
        assertThatThrownBy(() -> read("[1,2]")).hasMessageContaining("no Vocalis riff");
        assertThatThrownBy(() -> read("plain words")).hasMessageContaining("no Vocalis riff");
        assertThatThrownBy(() -> read("{\"format\":\"vocalis\",\"format\":\"vocalis\"}"))
                .hasMessageContaining("damaged");
        assertThatThrownBy(() -> read("{\"a\":".repeat(2000))).isInstanceOf(FormatException.class);
        assertThatThrownBy(() -> PieceCodec.read(new byte[PieceCodec.MOST_BYTES + 1]))
                .hasMessageContaining("bytes");
    }

    private static PieceCodec.Content read(String text) throws FormatException {
        return PieceCodec.read(text.getBytes(StandardCharsets.UTF_8));
    }

    /**
     * Ten thousand mutated files: each is read as a whole piece or refused with a message, never
     * more.
     */
    @Test
    void mutatedFilesAreReadOrRefused() throws FormatException {
        byte[] good = good();
        Random random = new Random(42);
        int refused = 0;
        List<String> wrong = new ArrayList<>();
        for (int i = 0; i < 10_000; i++) {
            byte[] bad = mutate(good, random);
            try {
                PieceCodec.read(bad);
            } catch (FormatException e) {
                refused++;
                if (e.getMessage() == null || e.getMessage().isBlank()) {
                    wrong.add("no message");
                }
            } catch (RuntimeException e) {
                wrong.add(e + " on " + new String(bad, StandardCharsets.UTF_8));
            }
        }
        assertThat(wrong).isEmpty();
        assertThat(refused).isGreaterThan(5000);
    }

    private static byte[] mutate(byte[] good, Random random) {
        byte[] bad = good.clone();
        int changes = 1 + random.nextInt(4);
        for (int c = 0; c < changes; c++) {
            int at = random.nextInt(bad.length);
            switch (random.nextInt(4)) {
                case 0 -> bad[at] = (byte) random.nextInt(256);
                case 1 -> bad[at] = (byte) "0123456789-\"{}[],:".charAt(random.nextInt(18));
                case 2 -> bad = java.util.Arrays.copyOf(bad, Math.max(1, at));
                default -> {
                    int from = random.nextInt(bad.length);
                    int n = Math.min(bad.length - Math.max(at, from), random.nextInt(40));
                    if (n > 0) {
                        System.arraycopy(good, from, bad, at, n);
                    }
                }
            }
        }
        return bad;
    }

    /**
     * Six hundred files, two thousand in the long run, of which one value was changed, taken away
     * or doubled: what the codec accepts the schema accepts, and what the schema refuses the codec
     * refuses. The codec alone refuses what lies between fields (bars that do not add up, strokes
     * that overlap), and says where.
     */
    @Test
    void schemaAndCodecAgree() throws Exception {
        JsonSchema schema = schema();
        Random random = new Random(7);
        List<String> disagree = new ArrayList<>();
        int accepted = 0;
        int refusedByBoth = 0;
        int mutants = Boolean.getBoolean("vocalis.long") ? 2000 : 600;
        for (int i = 0; i < mutants; i++) {
            ObjectNode tree = (ObjectNode) MAPPER.readTree(good());
            String what = changeOne(tree, random);
            boolean valid = schema.validate(tree).isEmpty();
            try {
                PieceCodec.read(MAPPER.writeValueAsBytes(tree));
                accepted++;
                if (!valid) {
                    disagree.add("accepted, but not valid: " + what);
                }
            } catch (FormatException e) {
                refusedByBoth += valid ? 0 : 1;
                if (!e.getMessage().contains("\"")
                        && !e.getMessage().contains("newer")
                        && !e.getMessage().contains("no Vocalis riff")) {
                    disagree.add("no place: " + e.getMessage());
                }
            }
        }
        assertThat(disagree.subList(0, Math.min(12, disagree.size()))).isEmpty();
        assertThat(accepted).isGreaterThan(mutants / 14);
        assertThat(refusedByBoth).isGreaterThan(mutants * 5 / 14);
    }

    /** Changes one value of a tree; says which and how. */
    private static String changeOne(ObjectNode top, Random random) {
        List<JsonNode> holders = new ArrayList<>();
        collect(top, holders);
        JsonNode holder = holders.get(random.nextInt(holders.size()));
        if (holder instanceof ArrayNode list) {
            int at = random.nextInt(list.size());
            JsonNode other = other(list.get(at), random);
            if (random.nextInt(4) == 0) {
                list.remove(at);
                return "[" + at + "] removed";
            }
            list.set(at, other);
            return "[" + at + "] to " + other;
        }
        ObjectNode o = (ObjectNode) holder;
        List<String> names = new ArrayList<>();
        o.fieldNames().forEachRemaining(names::add);
        String name = names.get(random.nextInt(names.size()));
        if (random.nextInt(4) == 0) {
            o.remove(name);
            return name + " removed";
        }
        JsonNode other = other(o.get(name), random);
        o.set(name, other);
        return name + " to " + other;
    }

    private static void collect(JsonNode n, List<JsonNode> out) {
        if (n.isContainerNode() && n.size() > 0) {
            out.add(n);
            n.forEach(c -> collect(c, out));
        }
    }

    private static JsonNode other(JsonNode was, Random random) {
        JsonNodeFactory f = JsonNodeFactory.instance;
        return switch (random.nextInt(9)) {
            case 0 -> f.textNode("x");
            case 1 -> f.numberNode(-1);
            case 2 -> f.numberNode(random.nextInt(2000));
            case 3 -> f.numberNode(random.nextInt(12));
            case 4 -> f.booleanNode(random.nextBoolean());
            case 5 -> f.nullNode();
            case 6 -> f.objectNode();
            case 7 -> f.arrayNode();
            default -> was.isNumber() ? f.numberNode(was.asInt() + 1) : f.textNode("");
        };
    }

    /** A piece too large to be read again is not written, and that is said. */
    @Test
    void whatCouldNotBeReadAgainIsNotWritten() throws FormatException {
        ObjectNode big = MAPPER.createObjectNode();
        big.put("x", "y".repeat(PieceCodec.MOST_BYTES));
        assertThatThrownBy(() -> Json.bytes(big, "riff")).hasMessageContaining("too large");
    }
}
