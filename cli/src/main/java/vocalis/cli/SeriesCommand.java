package vocalis.cli;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;
import vocalis.cli.options.HandOption;
import vocalis.cli.options.JsonOption;
import vocalis.cli.options.KeyOption;
import vocalis.cli.options.NeckOptions;
import vocalis.cli.options.Standard;
import vocalis.core.choice.Series;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.Voicing;

/** One shape along the neck under its ringing strings, named fret by fret. */
@Command(
        name = "series",
        mixinStandardHelpOptions = true,
        description = "Slide a shape along the neck under its open strings, named fret by fret.")
final class SeriesCommand implements Callable<Integer> {

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Parameters(
            paramLabel = "SHAPE",
            description =
                    "Frets from the lowest string, x-5-7-7-0-0; - reads shapes from standard input.")
    private String shape;

    @Mixin private NeckOptions neck;

    @Mixin private KeyOption keyed;

    @Mixin private HandOption hand;

    @Mixin private JsonOption json;

    @Override
    public Integer call() throws IOException {
        PrintWriter out = spec.commandLine().getOut();
        for (String s : Standard.shapes(shape)) {
            print(new Voicing(Shape.parse(s), neck.board(), 0), out);
        }
        out.flush();
        return 0;
    }

    private void print(Voicing v, PrintWriter out) throws IOException {
        Series series = Series.of(v, keyed.key(), hand.hand());
        if (!json.on()) {
            out.println(v.shape().text() + " along the neck, named " + keyed.assumed());
        }
        ObjectMapper mapper = new ObjectMapper();
        for (Series.Step s : series.steps()) {
            if (json.on()) {
                ObjectNode n = mapper.createObjectNode();
                n.put("shape", s.voicing().shape().text()).put("fret", s.fret());
                n.put("name", s.name().ascii()).put("outside", s.outside());
                n.put("playable", s.playable());
                out.println(mapper.writeValueAsString(n));
            } else {
                String fit =
                        keyed.key().isEmpty()
                                ? ""
                                : s.outside() == 0 ? "in the key" : s.outside() + " outside";
                out.printf(
                        "%-20s %-18s %s%s%n",
                        s.voicing().shape().text(),
                        s.name().ascii(),
                        fit,
                        s.playable() ? "" : " (out of reach)");
            }
        }
    }
}
