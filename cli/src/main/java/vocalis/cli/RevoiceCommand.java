package vocalis.cli;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import vocalis.cli.options.FamilyConverter;
import vocalis.cli.options.HandOption;
import vocalis.cli.options.JsonOption;
import vocalis.cli.options.Standard;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.piece.Piece;
import vocalis.core.revoice.Intent;
import vocalis.core.revoice.Row;
import vocalis.core.riff.Riff;
import vocalis.core.voicing.Family;
import vocalis.formats.json.PieceCodec;
import vocalis.workbench.document.Revoicing;
import vocalis.workbench.document.SettledShapes;
import vocalis.workbench.library.PieceFiles;
import vocalis.workbench.words.RevoiceWords;

/** Shows a riff in every treatment, or writes it in one. */
@Command(
        name = "revoice",
        mixinStandardHelpOptions = true,
        description =
                "Show a riff in every family and by every intent, or write it in one of them.")
final class RevoiceCommand implements Callable<Integer> {

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Parameters(
            paramLabel = "FILE",
            description = "The riff, a .vocalis.json file; - is standard input.")
    private Path file;

    @Option(
            converter = FamilyConverter.class,
            names = "--row",
            paramLabel = "F",
            description = "A family: power, fourth, third, …")
    private Family family;

    @Option(
            names = "--intent",
            paramLabel = "I",
            converter = IntentConverter.class,
            description =
                    "smooth-top, rising-top, falling-top, held-note, rising-tension, least-hand,"
                            + " tight, moving-bass, contrary-motion, leanest, darkest, brightest or surprise.")
    private Intent intent;

    @Option(
            names = "--seed",
            paramLabel = "N",
            description = "Of a surprise; 1 unless said otherwise.")
    private Long seed;

    @Option(
            names = "-o",
            paramLabel = "OUT",
            description = "Where the riff so voiced is written; - is standard output.")
    private Path out;

    @Mixin private HandOption hand;

    @Mixin private JsonOption json;

    /** Reads smooth-top. */
    static final class IntentConverter implements CommandLine.ITypeConverter<Intent> {
        @Override
        public Intent convert(String text) {
            for (Intent i : Intent.values()) {
                if (i.name().replace('_', '-').equalsIgnoreCase(text)) {
                    return i;
                }
            }
            throw new CommandLine.TypeConversionException(
                    "\"" + text + "\" is no intent; see ./vocalis revoice --help");
        }
    }

    @Override
    public Integer call() throws Exception {
        check();
        Catalogue catalogue = new Catalogue();
        SettledShapes resting = new SettledShapes(catalogue, hand.hand());
        PieceFiles.ReadPiece opened = Standard.read(file);
        Piece piece = resting.kept(opened.piece());
        Revoicing revoicing = new Revoicing(catalogue, hand.hand());
        long surprise = seed == null ? 1 : seed;
        List<Row> rows = new ArrayList<>();
        if (family != null) {
            rows.add(revoicing.of(piece.riff(), family));
        } else if (intent != null) {
            rows.add(by(revoicing, piece.riff(), intent, surprise));
        } else {
            revoicing.rows(
                    piece.riff(), piece.versions(), Set.of(), surprise, () -> false, rows::add);
        }
        if (out != null) {
            Piece voiced = resting.settled(piece.with(rows.get(0).riff()));
            if (Standard.is(out)) {
                System.out.write(PieceCodec.write(voiced, opened.extras()));
                System.out.flush();
                return 0;
            }
            PieceFiles.write(voiced, opened.extras(), PieceFiles.withEnding(out), null);
        }
        print(rows);
        return 0;
    }

    private void check() {
        boolean one = family != null || intent != null;
        if (family != null && intent != null) {
            throw new IllegalArgumentException("name a row or an intent, not both");
        }
        if (out != null && !one) {
            throw new IllegalArgumentException("-o writes one row: name it with --row or --intent");
        }
        if (seed != null && intent != null && intent != Intent.SURPRISE
                || seed != null && family != null) {
            throw new IllegalArgumentException(
                    "--seed does nothing here; it belongs to the surprise");
        }
        if (out != null && !Standard.is(out) && Files.exists(PieceFiles.withEnding(out))) {
            throw new IllegalArgumentException(
                    PieceFiles.withEnding(out) + " is there already; name another file");
        }
    }

    /** The row of an intent. */
    static Row by(Revoicing revoicing, Riff riff, Intent intent, long seed) {
        return revoicing
                .by(riff, intent, Set.of(), seed)
                .orElseThrow(
                        () ->
                                new IllegalArgumentException(
                                        "no note can be held through every chord of this riff"));
    }

    private void print(List<Row> rows) throws Exception {
        PrintWriter to = spec.commandLine().getOut();
        ObjectMapper mapper = new ObjectMapper();
        for (Row r : rows) {
            if (json.on()) {
                ObjectNode n = mapper.createObjectNode().put("row", RevoiceWords.name(r));
                ArrayNode cells = n.putArray("cells");
                for (int i = 0; i < r.derived().chords().size(); i++) {
                    Derived.Chord c = r.derived().chords().get(i);
                    cells.addObject()
                            .put("name", r.derived().score().harmonies().get(i).symbol())
                            .put("shape", c.candidate().voicing().shape().text())
                            .put("tension", r.tension().get(i));
                }
                n.put("travelMm", Math.round(r.way().travelMm()));
                n.put("effort", Math.round(10 * r.way().effort()) / 10.0);
                n.put("words", RevoiceWords.what(r));
                to.println(mapper.writeValueAsString(n));
            } else {
                to.println(RevoiceWords.name(r) + ": " + RevoiceWords.what(r));
                StringBuilder line = new StringBuilder();
                for (int i = 0; i < r.derived().chords().size(); i++) {
                    String name = r.derived().score().harmonies().get(i).symbol();
                    String shape = r.derived().chords().get(i).candidate().voicing().shape().text();
                    line.append(String.format("  %-12s %-16s", name, shape));
                }
                to.println(line.toString().stripTrailing());
            }
        }
        to.flush();
    }
}
