package vocalis.cli;

import java.util.Locale;
import java.util.Optional;
import picocli.CommandLine.Option;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.theory.Key;

/** The options that say on what instrument and in what key. */
final class GroundOptions {

    @Option(
            names = "--tuning",
            paramLabel = "T",
            defaultValue = "standard",
            description = "A named tuning, or its notes from the lowest string: \"D A D G B E\".")
    private String tuning;

    @Option(
            names = "--capo",
            paramLabel = "N",
            defaultValue = "0",
            description = "Fret of the capo.")
    private int capo;

    @Option(
            names = "--key",
            paramLabel = "K",
            description = "Such as \"G minor\" or \"F# dorian\".")
    private String key;

    @Option(names = "--json", description = "For machines: one JSON object a line.")
    private boolean json;

    boolean json() {
        return json;
    }

    Tuning tuning() {
        return Tuning.offered().stream()
                .filter(t -> t.name().equalsIgnoreCase(tuning))
                .findFirst()
                .orElseGet(() -> Tuning.parse(tuning, tuning));
    }

    Fretboard board() {
        return new Fretboard(Instrument.of(tuning()), capo);
    }

    int capo() {
        return capo;
    }

    Optional<Key> key() {
        return Optional.ofNullable(key).map(Key::parse);
    }

    static Hand hand(String name) {
        String wanted = name.toLowerCase(Locale.ROOT);
        return Hand.offered().stream()
                .filter(h -> h.name().equals(wanted))
                .findFirst()
                .orElseThrow(
                        () ->
                                new IllegalArgumentException(
                                        "\""
                                                + name
                                                + "\" is no hand; small, medium and large are known"));
    }
}
