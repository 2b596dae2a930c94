package vocalis.desktop.keys;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;

/** Other words by which players look for a command. */
public final class OtherWords {

    private final Map<String, String> byId;

    private OtherWords(Map<String, String> byId) {
        this.byId = byId;
    }

    /** Those of the program: rows {@code id | words}; a star at the end stands for a number. */
    public static OtherWords ofProgram() {
        try (InputStream in =
                OtherWords.class.getResourceAsStream("/vocalis/desktop/other-words.txt")) {
            return read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static OtherWords read(String rows) {
        Map<String, String> all = new LinkedHashMap<>();
        for (String row : rows.split("\n")) {
            if (!row.isBlank() && !row.startsWith("#")) {
                String[] cells = row.split("\\|");
                all.put(cells[0].strip(), cells[1].strip());
            }
        }
        return new OtherWords(all);
    }

    /** The other words of a command; empty where it has none. */
    public String of(Command c) {
        String own = byId.get(c.id());
        return own != null ? own : byId.getOrDefault(c.id().replaceFirst("\\d+$", "*"), "");
    }

    /** The rows, by what they are for. */
    Map<String, String> rows() {
        return byId;
    }
}
