package vocalis.formats.json;

import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Pattern;
import vocalis.formats.FormatException;

/**
 * Reads and writes the figures that a player keeps as their own, as a pattern that lays each once.
 * Fields that are not known are kept; a file of a newer version is refused.
 */
public final class OwnFiguresCodec {

    /** Version that is written; up to it files are read. */
    public static final int VERSION = 1;

    private static final String WHAT = "list of own figures";

    /**
     * What a file holds.
     *
     * @param figures what is known
     * @param extras what is not, to be written back
     */
    public record Content(List<Figure> figures, Extras extras) {
        public Content {
            figures = List.copyOf(figures);
        }
    }

    private OwnFiguresCodec() {}

    /** The file's bytes; one figure at least. */
    public static byte[] write(List<Figure> figures, Extras extras) throws FormatException {
        ObjectNode top = Json.MAPPER.createObjectNode();
        top.put("format", "vocalis-figures").put("version", VERSION);
        top.set("pattern", PatternCodec.write(Pattern.inOrder(figures)));
        extras.into(top);
        return Json.bytes(top, WHAT);
    }

    /**
     * Reads a file.
     *
     * @throws FormatException saying what is wrong and where
     */
    public static Content read(byte[] bytes) throws FormatException {
        Field top = Field.top(Json.tree(bytes, "vocalis-figures", WHAT));
        top.has("format");
        Json.version(top, VERSION, WHAT);
        return new Content(PatternCodec.read(top.get("pattern")).figures(), top.extras());
    }
}
