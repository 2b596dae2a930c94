package vocalis.formats.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import vocalis.core.choice.OwnShape;
import vocalis.core.voicing.ShapeClass;
import vocalis.formats.FormatException;

/**
 * Reads and writes the shapes that a player keeps as their own. Fields that are not known are kept;
 * a file of a newer version is refused, so that it is never written over.
 */
public final class OwnShapesCodec {

    /** Version that is written; up to it files are read. */
    public static final int VERSION = 1;

    /**
     * What a file holds.
     *
     * @param shapes what is known
     * @param extras what is not, to be written back
     */
    public record Content(List<OwnShape> shapes, Extras extras) {
        public Content {
            shapes = List.copyOf(shapes);
        }
    }

    private OwnShapesCodec() {}

    /** The file's bytes. */
    public static byte[] write(List<OwnShape> shapes, Extras extras) throws FormatException {
        ObjectNode top = Json.MAPPER.createObjectNode();
        top.put("format", "vocalis-shapes").put("version", VERSION);
        ArrayNode all = top.putArray("shapes");
        for (OwnShape s : shapes) {
            all.addObject().put("name", s.name()).put("shapeClass", s.shapeClass().text());
        }
        extras.into(top);
        return Json.bytes(top, "list of own shapes");
    }

    /**
     * Reads a file.
     *
     * @throws FormatException saying what is wrong and where
     */
    public static Content read(byte[] bytes) throws FormatException {
        Field top = Field.top(Json.tree(bytes, "vocalis-shapes", "list of own shapes"));
        top.has("format");
        Json.version(top, VERSION, "list of own shapes");
        List<OwnShape> all = new ArrayList<>();
        for (Field f : top.get("shapes").items()) {
            all.add(
                    f.build(
                            () ->
                                    new OwnShape(
                                            f.get("name").text(),
                                            ShapeClass.parse(f.get("shapeClass").text()))));
        }
        return new Content(all, top.extras());
    }
}
