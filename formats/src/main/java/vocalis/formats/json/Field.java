package vocalis.formats.json;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import vocalis.formats.FormatException;

/**
 * A value in a JSON tree that knows its path, so that every complaint says where, and remembers
 * what was asked for, so that the rest can be kept.
 */
final class Field {

    private static final int MOST_ITEMS = 20_000;

    private final JsonNode node;
    private final String path;
    private final Map<JsonNode, Set<String>> asked;

    private Field(JsonNode node, String path, Map<JsonNode, Set<String>> asked) {
        this.node = node;
        this.path = path;
        this.asked = asked;
    }

    /** The top of a tree. */
    static Field top(JsonNode node) {
        return new Field(node, "", new IdentityHashMap<>());
    }

    /** Makes a value; what its constructor refuses is told with the path. */
    interface Maker<T> {
        T make() throws FormatException;
    }

    /** What of the whole tree was not asked for so far. */
    Extras extras() {
        return Extras.of(node, asked);
    }

    Field get(String name) throws FormatException {
        if (!node.isObject()) {
            throw wrong("must be an object");
        }
        JsonNode child = ask(name);
        if (child == null || child.isNull()) {
            throw new FormatException(
                    "the file cannot be read: \""
                            + below(name)
                            + "\" is missing; it must be there");
        }
        return new Field(child, below(name), asked);
    }

    private JsonNode ask(String name) {
        asked.computeIfAbsent(node, k -> new HashSet<>()).add(name);
        return node.get(name);
    }

    private String below(String name) {
        return path.isEmpty() ? name : path + "." + name;
    }

    boolean has(String name) {
        ask(name);
        return node.has(name);
    }

    /** A text, or another where there is none. */
    String text(String name, String otherwise) throws FormatException {
        return has(name) ? get(name).text() : otherwise;
    }

    List<String> names() throws FormatException {
        if (!node.isObject()) {
            throw wrong("must be an object");
        }
        List<String> names = new ArrayList<>();
        node.fieldNames().forEachRemaining(names::add);
        names.forEach(this::ask);
        return names;
    }

    List<Field> items() throws FormatException {
        if (!node.isArray()) {
            throw wrong("must be a list");
        }
        if (node.size() > MOST_ITEMS) {
            throw wrong("must have at most " + MOST_ITEMS + " entries, but has " + node.size());
        }
        List<Field> items = new ArrayList<>();
        for (int i = 0; i < node.size(); i++) {
            items.add(new Field(node.get(i), path + "[" + i + "]", asked));
        }
        return items;
    }

    String text() throws FormatException {
        if (!node.isTextual()) {
            throw wrong("must be text, but is " + shown());
        }
        return node.asText();
    }

    int integer(int least, int most) throws FormatException {
        String expected = "must be a whole number from " + least + " to " + most;
        if (!node.isIntegralNumber() || !node.canConvertToInt()) {
            throw wrong(expected + ", but is " + shown());
        }
        int v = node.asInt();
        if (v < least || v > most) {
            throw wrong(expected + ", but is " + v);
        }
        return v;
    }

    double number(double least, double most) throws FormatException {
        boolean fits = node.isNumber() && node.asDouble() >= least && node.asDouble() <= most;
        if (!fits) {
            throw wrong("must be a number from " + least + " to " + most + ", but is " + shown());
        }
        return node.asDouble();
    }

    boolean flag() throws FormatException {
        if (!node.isBoolean()) {
            throw wrong("must be true or false, but is " + shown());
        }
        return node.asBoolean();
    }

    private String shown() {
        String text = node.toString();
        return text.length() > 40 ? text.substring(0, 40) + "…" : text;
    }

    <T> T build(Maker<T> maker) throws FormatException {
        try {
            return maker.make();
        } catch (IllegalArgumentException e) {
            throw new FormatException(
                    "the file cannot be read at \""
                            + (path.isEmpty() ? "top" : path)
                            + "\": "
                            + e.getMessage(),
                    e);
        }
    }

    FormatException wrong(String what) {
        return new FormatException(
                "the file cannot be read: \"" + (path.isEmpty() ? "top" : path) + "\" " + what);
    }
}
