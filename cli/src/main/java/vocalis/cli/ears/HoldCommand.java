package vocalis.cli.ears;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;
import vocalis.cli.options.HandOption;
import vocalis.cli.options.JsonOption;
import vocalis.cli.options.KeyOption;
import vocalis.cli.options.NeckOptions;
import vocalis.cli.options.Takes;
import vocalis.core.choice.Catalogue;
import vocalis.workbench.listening.Holding;

/** Names what is strummed in a recording. */
@Command(
        name = "hold",
        mixinStandardHelpOptions = true,
        description =
                "What is held in a recording of a strum: its notes, and the shapes that have them,"
                        + " likeliest first. One strum; of driven sound a guess.")
public final class HoldCommand implements Callable<Integer> {

    private static final double A4_HZ = 440;

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Parameters(paramLabel = "TAKE", arity = "1..*", description = "WAV, AIFF or AU; - reads one.")
    private List<Path> takes;

    @Mixin private NeckOptions neck;

    @Mixin private KeyOption keyed;

    @Mixin private HandOption hand;

    @Mixin private JsonOption json;

    @Override
    public Integer call() throws Exception {
        PrintWriter out = spec.commandLine().getOut();
        Catalogue catalogue = new Catalogue();
        for (Path file : takes) {
            Holding held =
                    Holding.of(
                            Takes.read(file),
                            neck.board(),
                            A4_HZ,
                            hand.hand(),
                            catalogue,
                            keyed.key());
            out.println(json.on() ? json(held) : words(held));
        }
        return 0;
    }

    private String words(Holding held) {
        StringBuilder out = new StringBuilder(held.words(neck.board(), keyed.key()));
        for (Holding.Named n : held.shapes()) {
            out.append(
                    String.format(
                            "%n  %-18s %-12s %3.0f %%",
                            n.shape().text(), n.name().symbol(), 100 * n.share()));
        }
        return out.toString();
    }

    private String json(Holding held) throws Exception {
        ObjectNode n = JsonOption.mapper().createObjectNode();
        ArrayNode midi = n.putArray("midi");
        held.midi(neck.board()).forEach(midi::add);
        ArrayNode classes = n.putArray("pitchClasses");
        held.pitchClasses(neck.board(), keyed.key()).forEach(classes::add);
        ArrayNode shapes = n.putArray("shapes");
        for (Holding.Named s : held.shapes()) {
            shapes.addObject()
                    .put("shape", s.shape().text())
                    .put("name", s.name().ascii())
                    .put("share", Math.round(1000 * s.share()) / 1000.0);
        }
        n.put("words", held.words(neck.board(), keyed.key()));
        return JsonOption.mapper().writeValueAsString(n);
    }
}
