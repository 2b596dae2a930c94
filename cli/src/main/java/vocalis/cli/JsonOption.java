package vocalis.cli;

import picocli.CommandLine.Option;

/** The option that asks for an answer to machines. */
final class JsonOption {

    @Option(names = "--json", description = "For machines: one JSON object a line.")
    private boolean json;

    boolean on() {
        return json;
    }
}
