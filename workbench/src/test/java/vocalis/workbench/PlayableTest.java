package vocalis.workbench;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Finding;
import vocalis.core.piece.Piece;
import vocalis.formats.FormatException;
import vocalis.formats.json.Extras;
import vocalis.formats.json.PieceCodec;
import vocalis.sound.engine.Engine;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.playing.OfflineRender;
import vocalis.workbench.playing.SoundEvents;
import vocalis.workbench.words.FindingWords;

/** What a file may hold can be derived, said and rendered, however odd it is. */
class PlayableTest {

    private static final ObjectMapper MAPPER = new ObjectMapper();

    /** Ground, time, roots, figures and touches of demo and old files with numbers changed. */
    @Test
    void whatIsAcceptedCanBePlayed() throws Exception {
        List<JsonNode> seeds = new ArrayList<>();
        for (Piece p : Demo.pieces()) {
            seeds.add(MAPPER.readTree(PieceCodec.write(p, Extras.NONE)));
        }
        for (int i = 1; i <= 5; i++) {
            try (InputStream in =
                    getClass().getResourceAsStream("/format-1/random-" + i + ".json")) {
                Piece old = PieceCodec.read(in.readAllBytes()).piece();
                seeds.add(MAPPER.readTree(PieceCodec.write(old, Extras.NONE)));
            }
        }
        Random random = new Random(11);
        Catalogue catalogue = new Catalogue();
        int accepted = 0;
        int changed = Boolean.getBoolean("vocalis.long") ? 1500 : 400;
        for (int i = 0; i < changed; i++) {
            // Seed by seed, for the catalogue knows the last two necks alone.
            JsonNode tree = seeds.get(i * seeds.size() / changed).deepCopy();
            String what = "";
            for (int c = 0; c <= random.nextInt(2); c++) {
                what += changeNumber(tree, random) + " ";
            }
            Piece piece;
            try {
                piece = PieceCodec.read(MAPPER.writeValueAsBytes(tree)).piece();
            } catch (FormatException e) {
                continue;
            }
            accepted++;
            play(piece, catalogue, what, accepted % 12 == 0);
        }
        assertThat(accepted).isGreaterThan(changed / 6);
    }

    private static void play(Piece piece, Catalogue catalogue, String what, boolean render) {
        Workspace w = new Workspace(catalogue, piece);
        assertThat(w.derived().chords()).as(what).hasSize(piece.riff().roots().size());
        for (Finding f : w.derived().findings()) {
            assertThat(FindingWords.of(f, piece.riff())).as(what).endsWith(".");
        }
        var program = SoundEvents.program(w.heard());
        assertThat(program.length()).as(what).isEqualTo(piece.riff().length());
        if (render) {
            Heard h = w.heard();
            Engine engine = OfflineRender.engine(h.ground(), h.mix(), piece.riff().tempo());
            engine.publish(program);
            engine.play(0);
            float[] out = new float[2 * 4800];
            engine.render(out, 4800);
            for (float v : out) {
                assertThat(Float.isFinite(v)).as(what).isTrue();
            }
        }
    }

    private static String changeNumber(JsonNode tree, Random random) {
        List<Object[]> numbers = new ArrayList<>();
        collect(tree, numbers);
        Object[] at = numbers.get(random.nextInt(numbers.size()));
        JsonNode was = (JsonNode) at[2];
        int[] steps = {-1, 1, 2, -2, 12, -12, 1260, 5040, 20160};
        double v =
                random.nextInt(3) == 0
                        ? random.nextInt(90)
                        : was.asDouble() + steps[random.nextInt(9)];
        JsonNode now =
                was.isIntegralNumber()
                        ? JsonNodeFactory.instance.numberNode((long) v)
                        : JsonNodeFactory.instance.numberNode(v);
        if (at[0] instanceof ObjectNode o) {
            o.set((String) at[1], now);
        } else {
            ((ArrayNode) at[0]).set((Integer) at[1], now);
        }
        return at[1] + ": " + was + " to " + now;
    }

    private static void collect(JsonNode n, List<Object[]> out) {
        if (n.isObject()) {
            n.properties()
                    .forEach(
                            e -> {
                                if (e.getValue().isNumber()) {
                                    out.add(new Object[] {n, e.getKey(), e.getValue()});
                                }
                                collect(e.getValue(), out);
                            });
        } else if (n.isArray()) {
            for (int i = 0; i < n.size(); i++) {
                if (n.get(i).isNumber()) {
                    out.add(new Object[] {n, i, n.get(i)});
                }
                collect(n.get(i), out);
            }
        }
    }
}
