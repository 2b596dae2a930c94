package vocalis.cli;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;
import vocalis.core.check.Caution;
import vocalis.core.check.Check;
import vocalis.core.choice.Catalogue;
import vocalis.core.riff.Derived;
import vocalis.core.riff.Deriver;
import vocalis.core.riff.Riff;
import vocalis.workbench.CheckWords;
import vocalis.workbench.PieceFiles;
import vocalis.workbench.Resting;

/** Looks through a riff for what a player would stumble over. */
@Command(
        name = "check",
        mixinStandardHelpOptions = true,
        description =
                "Look through a riff for what a player would stumble over: hands, changes, seam, landing,"
                        + " strings that nothing silences. Exit 1 when something is found.")
final class CheckCommand implements Callable<Integer> {

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Parameters(paramLabel = "FILE", description = "The riff, a .vocalis.json file.")
    private Path file;

    @Mixin private HandOption hand;

    @Mixin private JsonOption json;

    @Override
    public Integer call() throws Exception {
        Catalogue catalogue = new Catalogue();
        Resting resting = new Resting(catalogue, hand.hand());
        Riff riff = resting.kept(PieceFiles.read(file).piece()).riff();
        Derived derived = Deriver.once(riff, hand.hand(), catalogue);
        List<Caution> all = Check.of(derived);
        PrintWriter out = spec.commandLine().getOut();
        ObjectMapper mapper = new ObjectMapper();
        for (Caution c : all) {
            if (json.on()) {
                var place = riff.meters().place(c.at());
                ObjectNode n = mapper.createObjectNode();
                n.put("kind", c.getClass().getSimpleName());
                n.put("bar", place.bar()).put("beat", place.beat());
                n.put("chord", c.chord() + 1).put("words", CheckWords.of(c, riff));
                out.println(mapper.writeValueAsString(n));
            } else {
                out.println(CheckWords.place(c, riff) + ": " + CheckWords.of(c, riff));
            }
        }
        if (!json.on()) {
            out.println(CheckWords.landing(riff));
            out.println(
                    all.isEmpty()
                            ? "nothing to stumble over"
                            : all.size() == 1 ? "1 thing found" : all.size() + " things found");
        }
        out.flush();
        return all.isEmpty() ? 0 : 1;
    }
}
