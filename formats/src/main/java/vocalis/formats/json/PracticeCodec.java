package vocalis.formats.json;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.SerializationFeature;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.nio.charset.StandardCharsets;
import java.time.DateTimeException;
import java.time.Instant;
import vocalis.core.practice.Entry;
import vocalis.formats.FormatException;

/** Reads and writes what was practised: an object a line, so that a line is added at a time. */
public final class PracticeCodec {

    private static final int MOST = 1_000_000;

    private PracticeCodec() {}

    /** An entry as a line, its end included. */
    public static byte[] line(Entry e) {
        ObjectNode o = Json.MAPPER.createObjectNode();
        o.put("format", "vocalis-practice")
                .put("at", Instant.ofEpochMilli(e.at()).toString())
                .put("piece", e.piece());
        o.put("title", e.title()).put("what", e.what()).put("goal", e.goal());
        o.put("best", e.best()).put("last", e.last()).put("passes", e.passes());
        o.put("failed", e.failed()).put("seconds", Math.round(e.seconds() * 10) / 10.0);
        try {
            String text = Json.MAPPER.writer().without(PRETTY).writeValueAsString(o);
            return (text + "\n").getBytes(StandardCharsets.UTF_8);
        } catch (JsonProcessingException x) {
            throw new IllegalStateException("an entry of plain values can be written", x);
        }
    }

    private static final SerializationFeature PRETTY = SerializationFeature.INDENT_OUTPUT;

    /**
     * Reads a line.
     *
     * @throws FormatException saying what is wrong with it
     */
    public static Entry read(String line) throws FormatException {
        Field f =
                Field.top(
                        Json.tree(
                                line.getBytes(StandardCharsets.UTF_8),
                                "vocalis-practice",
                                "practice log"));
        f.has("format");
        return f.build(
                () ->
                        new Entry(
                                instant(f.get("at")),
                                f.get("piece").text(),
                                f.get("title").text(),
                                f.get("what").text(),
                                f.get("goal").integer(0, 400),
                                f.get("best").integer(0, 400),
                                f.get("last").integer(0, 400),
                                f.get("passes").integer(0, MOST),
                                f.get("failed").integer(0, MOST),
                                f.get("seconds").number(0, MOST)));
    }

    private static long instant(Field f) throws FormatException {
        try {
            return Instant.parse(f.text()).toEpochMilli();
        } catch (DateTimeException | ArithmeticException e) {
            throw f.wrong("must be a time such as 2026-01-31T18:00:00Z");
        }
    }
}
