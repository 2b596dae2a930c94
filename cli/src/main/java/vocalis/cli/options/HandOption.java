package vocalis.cli.options;

import java.util.Locale;
import picocli.CommandLine.Option;
import vocalis.core.hands.Hand;

/** The option that says whose hand. */
public final class HandOption {

    @Option(
            names = "--hand",
            defaultValue = "medium",
            paramLabel = "H",
            description = "small, medium or large.")
    private String hand;

    public Hand hand() {
        String wanted = hand.toLowerCase(Locale.ROOT);
        return Hand.offered().stream()
                .filter(h -> h.name().equals(wanted))
                .findFirst()
                .orElseThrow(
                        () ->
                                new IllegalArgumentException(
                                        "\""
                                                + hand
                                                + "\" is no hand; small, medium and large are known"));
    }
}
