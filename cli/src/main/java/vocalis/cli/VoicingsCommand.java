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
import vocalis.cli.options.FamilyConverter;
import vocalis.cli.options.HandOption;
import vocalis.cli.options.Hands;
import vocalis.cli.options.JsonOption;
import vocalis.cli.options.KeyOption;
import vocalis.cli.options.NeckOptions;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Card;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Ranking;
import vocalis.core.hands.Hand;
import vocalis.core.names.Readout;
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
            converter = FamilyConverter.class,
            names = "--family",
            required = true,
            paramLabel = "F",
            description =
                    "1 power, 2 fourth, 3 third, 4 octave, 5 triad, 6 suspended, 7 extended,"
                            + " 8 drone, 9 substitute; the digit or the name.")
    private Family family;

    @Option(
            names = "--first",
            defaultValue = "0",
            paramLabel = "N",
            description = "Only the first N shapes; all of them unless said otherwise.")
    private int first;

    @Mixin private NeckOptions neck;

    @Mixin private KeyOption keyed;

    @Mixin private HandOption hand;

    @Mixin private JsonOption json;

    @Override
    public Integer call() throws IOException {
        PrintWriter out = spec.commandLine().getOut();
        if (first < 0) {
            throw new IllegalArgumentException("--first is 0 for all, or more, but is " + first);
        }
        Spelling spelled = Spelling.parse(root);
        Hand player = hand.hand();
        Key key = keyed.key().orElseGet(() -> new Key(spelled, Mode.named("minor").orElseThrow()));
        List<Candidate> all =
                new Catalogue().candidates(neck.board(), player, family, spelled.pitchClass());
        if (!json.on()) {
            head(out, all.size(), spelled, key, player);
        }
        ObjectMapper mapper = new ObjectMapper();
        int printed = 0;
        for (Card card : new Ranking(family, List.of(), key).cards(all)) {
            for (Candidate c : card.places()) {
                if (first > 0 && printed++ >= first) {
                    break;
                }
                String shape = c.voicing().shape().text();
                String name = Readout.nameOf(c.voicing(), key).ascii();
                if (json.on()) {
                    ObjectNode n = mapper.createObjectNode();
                    n.put("shape", shape).put("name", name).put("class", card.shapeClass().text());
                    n.put("key", key.tonic().ascii() + " " + key.mode().name());
                    Hands.put(n, c.voicing(), player);
                    out.println(mapper.writeValueAsString(n));
                } else {
                    out.printf("%-20s %-18s %s%n", shape, name, Hands.words(c.voicing(), player));
                }
            }
        }
        out.flush();
        return all.isEmpty() ? 1 : 0;
    }

    private void head(PrintWriter out, int found, Spelling spelled, Key key, Hand player) {
        out.printf(
                "%d voicings of %s, %s, in %s%s, a %s hand%n",
                found,
                spelled.symbol(),
                family.label(),
                key.symbol(),
                keyed.key().isEmpty() ? " (assumed)" : "",
                player.name());
    }
}
