package vocalis.cli.options;

import picocli.CommandLine.Option;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;

/** The options that say on what instrument. */
public final class NeckOptions {

    @Option(
            names = "--tuning",
            paramLabel = "T",
            defaultValue = "standard",
            description =
                    "A named tuning (drop D, half step down, DADGAD), or its notes from the lowest"
                            + " string: \"D A D G B E\".")
    private String tuning;

    @Option(
            names = "--capo",
            paramLabel = "N",
            defaultValue = "0",
            description = "Fret of the capo.")
    private int capo;

    public Tuning tuning() {
        return Tuning.named(tuning);
    }

    public Instrument instrument() {
        return Instrument.of(tuning());
    }

    public Fretboard board() {
        return new Fretboard(instrument(), capo);
    }

    public int capo() {
        return capo;
    }
}
