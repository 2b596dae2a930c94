package vocalis.cli;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Card;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Ranking;
import vocalis.core.hands.Hand;
import vocalis.core.harmony.Readout;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;

/** Lists every playable voicing of a root in a family, best first. */
@Command(
        name = "voicings",
        mixinStandardHelpOptions = true,
        description = "Every playable voicing of a root in a family, best first.")
final class VoicingsCommand implements Callable<Integer> {

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Parameters(paramLabel = "ROOT", description = "Such as F# or Bb.")
    private String root;

    @Option(
            names = "--family",
            required = true,
            paramLabel = "F",
            description = "${COMPLETION-CANDIDATES}")
    private Family family;

    @Option(
            names = "--hand",
            defaultValue = "medium",
            paramLabel = "H",
            description = "small, medium or large.")
    private String hand;

    @Mixin private GroundOptions ground;

    @Override
    public Integer call() throws IOException {
        PrintWriter out = spec.commandLine().getOut();
        Spelling spelled = Spelling.parse(root);
        Hand player = GroundOptions.hand(hand);
        Key key = ground.key().orElseGet(() -> new Key(spelled, Mode.named("minor").orElseThrow()));
        List<Candidate> all =
                new Catalogue().candidates(ground.board(), player, family, spelled.pitchClass());
        ObjectMapper mapper = new ObjectMapper();
        for (Card card : new Ranking(family, List.of(), key).cards(all)) {
            for (Candidate c : card.places()) {
                String shape = c.voicing().shape().text();
                String name = Readout.nameOf(c.voicing(), key).ascii();
                if (ground.json()) {
                    ObjectNode n = mapper.createObjectNode();
                    n.put("shape", shape).put("name", name).put("class", card.shapeClass().text());
                    n.put("fingers", c.fingering().inWords());
                    n.put("reachMm", Math.round(c.fingering().reachMm()));
                    out.println(mapper.writeValueAsString(n));
                } else {
                    out.printf("%-20s %-18s %s%n", shape, name, c.fingering().inWords());
                }
            }
        }
        out.flush();
        return all.isEmpty() ? 1 : 0;
    }
}
