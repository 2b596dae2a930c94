package vocalis.cli.options;

import com.fasterxml.jackson.databind.ObjectMapper;
import picocli.CommandLine.Option;

/** The option that asks for an answer to machines. */
public final class JsonOption {

    @Option(names = "--json", description = "For machines: one JSON object a line.")
    private boolean json;

    public boolean on() {
        return json;
    }

    /** What writes JSON; read in when it is first asked for, for most answers are words. */
    public static ObjectMapper mapper() {
        return Writer.MAPPER;
    }

    private static final class Writer {
        static final ObjectMapper MAPPER = new ObjectMapper();
    }
}
