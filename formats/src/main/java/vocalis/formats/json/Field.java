package vocalis.formats.json;

import com.fasterxml.jackson.databind.JsonNode;
import java.util.ArrayList;
import java.util.List;
import vocalis.formats.FormatException;

/** A value in a JSON tree that knows its path, so that every complaint says where. */
final class Field {

    private static final int MOST_ITEMS = 20_000;

    private final JsonNode node;
    private final String path;

    Field(JsonNode node, String path) {
        this.node = node;
        this.path = path;
    }

    /** Makes a value; what its constructor refuses is told with the path. */
    interface Maker<T> {
        T make() throws FormatException;
    }

    Field get(String name) throws FormatException {
        JsonNode child = node.get(name);
        String childPath = path.isEmpty() ? name : path + "." + name;
        if (child == null || child.isNull()) {
            throw new FormatException("the riff cannot be read: \"" + childPath + "\" is missing");
        }
        return new Field(child, childPath);
    }

    boolean has(String name) {
        return node.hasNonNull(name);
    }

    List<String> names() throws FormatException {
        if (!node.isObject()) {
            throw wrong("must be an object");
        }
        List<String> names = new ArrayList<>();
        node.fieldNames().forEachRemaining(names::add);
        return names;
    }

    List<Field> items() throws FormatException {
        if (!node.isArray()) {
            throw wrong("must be a list");
        }
        if (node.size() > MOST_ITEMS) {
            throw wrong("has " + node.size() + " entries, more than any riff needs");
        }
        List<Field> items = new ArrayList<>();
        for (int i = 0; i < node.size(); i++) {
            items.add(new Field(node.get(i), path + "[" + i + "]"));
        }
        return items;
    }

    String text() throws FormatException {
        if (!node.isTextual()) {
            throw wrong("must be text");
        }
        return node.asText();
    }

    int integer(int least, int most) throws FormatException {
        if (!node.isIntegralNumber() || !node.canConvertToInt()) {
            throw wrong("must be a whole number");
        }
        int v = node.asInt();
        if (v < least || v > most) {
            throw wrong("must be from " + least + " to " + most + ", but is " + v);
        }
        return v;
    }

    long ticks() throws FormatException {
        return integer(1, Integer.MAX_VALUE);
    }

    double number() throws FormatException {
        if (!node.isNumber()) {
            throw wrong("must be a number");
        }
        return node.asDouble();
    }

    boolean flag() throws FormatException {
        if (!node.isBoolean()) {
            throw wrong("must be true or false");
        }
        return node.asBoolean();
    }

    <T> T build(Maker<T> maker) throws FormatException {
        try {
            return maker.make();
        } catch (IllegalArgumentException e) {
            throw new FormatException(
                    "the riff cannot be read at \""
                            + (path.isEmpty() ? "top" : path)
                            + "\": "
                            + e.getMessage(),
                    e);
        }
    }

    FormatException wrong(String what) {
        return new FormatException("the riff cannot be read: \"" + path + "\" " + what);
    }
}
