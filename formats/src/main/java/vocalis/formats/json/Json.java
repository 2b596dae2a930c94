package vocalis.formats.json;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.function.Function;
import java.util.stream.Collectors;
import vocalis.formats.FormatException;

/** What the codecs of this package share: bounded reading of a tree, its first checks, ids. */
final class Json {

    /** Largest file read and written, in bytes. */
    static final int MOST_BYTES = 32_000_000;

    /** Deepest nesting read. */
    static final int MOST_LEVELS = 60;

    static final ObjectMapper MAPPER =
            new ObjectMapper(
                            JsonFactory.builder()
                                    .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                                    .streamReadConstraints(
                                            StreamReadConstraints.builder()
                                                    .maxNestingDepth(MOST_LEVELS)
                                                    .maxDocumentLength(MOST_BYTES)
                                                    .build())
                                    .build())
                    .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS);

    private Json() {}

    /**
     * Reads a tree whose "format" is the one wanted.
     *
     * @param what such as "riff", for messages
     */
    static JsonNode tree(byte[] bytes, String format, String what) throws FormatException {
        if (bytes.length > MOST_BYTES) {
            throw new FormatException(
                    "the file has "
                            + bytes.length
                            + " bytes, more than the "
                            + MOST_BYTES
                            + " that a "
                            + what
                            + " may have; is it the right one?");
        }
        JsonNode top;
        try {
            top = MAPPER.readTree(bytes);
        } catch (JsonProcessingException e) {
            throw claims(bytes, format)
                    ? new FormatException(
                            "the file is damaged"
                                    + place(e)
                                    + ": what stands there is no JSON that can follow; open an"
                                    + " earlier copy of it",
                            e)
                    : none(what);
        } catch (IOException e) {
            throw new FormatException("the file cannot be read: " + e.getMessage(), e);
        }
        if (top == null || !top.isObject() || !format.equals(top.path("format").asText())) {
            throw none(what);
        }
        return top;
    }

    private static FormatException none(String what) {
        return new FormatException(
                "this is no Vocalis " + what + ": it does not begin as one; choose another file");
    }

    /** Whether a text that cannot be read was once a file of a format. */
    private static boolean claims(byte[] bytes, String format) {
        String head = new String(bytes, 0, Math.min(bytes.length, 400), StandardCharsets.UTF_8);
        return head.contains("\"format\"") && head.contains("\"" + format + "\"");
    }

    private static String place(JsonProcessingException e) {
        JsonLocation at = e.getLocation();
        return at == null ? "" : " at line " + at.getLineNr() + ", column " + at.getColumnNr();
    }

    /** The version of a tree, refused when it is newer than what is known. */
    static int version(Field top, int newest, String what) throws FormatException {
        int version = top.get("version").integer(1, Integer.MAX_VALUE);
        if (version > newest) {
            throw newer(version, newest, what);
        }
        return version;
    }

    static FormatException newer(int version, int newest, String what) {
        return new FormatException(
                "the "
                        + what
                        + " was written by a newer Vocalis (format "
                        + version
                        + ", this one knows "
                        + newest
                        + "); it is left as it is: open it with the newer program");
    }

    /** The bytes of a tree, UTF-8: indented where that fits, compact where only that does. */
    static byte[] bytes(ObjectNode top, String what) throws FormatException {
        try {
            byte[] wide = MAPPER.writerWithDefaultPrettyPrinter().writeValueAsBytes(top);
            byte[] out = wide.length <= MOST_BYTES ? wide : MAPPER.writeValueAsBytes(top);
            if (out.length > MOST_BYTES) {
                throw new FormatException(
                        "the "
                                + what
                                + " is too large to be read again ("
                                + out.length
                                + " bytes; at most "
                                + MOST_BYTES
                                + "); delete versions of it");
            }
            return out;
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a tree of plain values always writes", e);
        }
    }

    /** The id under which a file names one of an enumeration: {@code PALM_LIGHT}, palmLight. */
    static String id(Enum<?> value) {
        StringBuilder out = new StringBuilder();
        boolean up = false;
        for (char c : value.name().toCharArray()) {
            if (c == '_') {
                up = true;
            } else {
                out.append(up ? c : Character.toLowerCase(c));
                up = false;
            }
        }
        return out.toString();
    }

    /** The one of an enumeration that a field names by its id. */
    static <T extends Enum<T>> T one(Field f, T[] all) throws FormatException {
        return one(f, all, Json::id);
    }

    /** The one of a few things that a field names. */
    static <T> T one(Field f, T[] all, Function<T, String> name) throws FormatException {
        String text = f.text();
        for (T t : all) {
            if (name.apply(t).equals(text)) {
                return t;
            }
        }
        String known = Arrays.stream(all).map(name).collect(Collectors.joining(", "));
        throw f.wrong("must be one of " + known + ", but is \"" + text + "\"");
    }
}
