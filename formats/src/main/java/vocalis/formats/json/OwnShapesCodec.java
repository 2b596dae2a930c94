package vocalis.formats.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import vocalis.core.choice.OwnShape;
import vocalis.core.voicing.ShapeClass;
import vocalis.formats.FormatException;

/** Reads and writes the shapes that a player keeps as their own. */
public final class OwnShapesCodec {

    private static final ObjectMapper MAPPER = new ObjectMapper();

    private OwnShapesCodec() {}

    /** The file's bytes. */
    public static byte[] write(List<OwnShape> shapes) {
        ObjectNode top = MAPPER.createObjectNode();
        top.put("format", "vocalis-shapes").put("version", 1);
        ArrayNode all = top.putArray("shapes");
        shapes.forEach(
                s ->
                        all.addObject()
                                .put("name", s.name())
                                .put("shapeClass", s.shapeClass().text()));
        try {
            return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsBytes(top);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a tree of plain values always writes", e);
        }
    }

    /**
     * Reads a file.
     *
     * @throws FormatException saying what is wrong
     */
    public static List<OwnShape> read(byte[] bytes) throws FormatException {
        try {
            JsonNode top = MAPPER.readTree(bytes);
            if (top == null || !"vocalis-shapes".equals(top.path("format").asText())) {
                throw new FormatException(
                        "the list of own shapes is damaged; it was left as it is");
            }
            List<OwnShape> all = new ArrayList<>();
            for (Field f : new Field(top, "").get("shapes").items()) {
                all.add(
                        f.build(
                                () ->
                                        new OwnShape(
                                                f.get("name").text(),
                                                ShapeClass.parse(f.get("shapeClass").text()))));
            }
            return all;
        } catch (IOException e) {
            throw new FormatException("the list of own shapes is damaged; it was left as it is", e);
        }
    }
}
