package vocalis.cli.options;

import picocli.CommandLine.Option;

/** The option that asks for an answer to machines. */
public final class JsonOption {

    @Option(names = "--json", description = "For machines: one JSON object a line.")
    private boolean json;

    public boolean on() {
        return json;
    }
}
