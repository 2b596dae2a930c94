package vocalis.cli.ears;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;
import vocalis.cli.options.HandOption;
import vocalis.cli.options.JsonOption;
import vocalis.cli.options.Standard;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.riff.Riff;
import vocalis.workbench.listening.Ear;
import vocalis.workbench.listening.FollowWords;
import vocalis.workbench.listening.FollowedPass;
import vocalis.workbench.listening.Follower;
import vocalis.workbench.listening.Played;
import vocalis.workbench.listening.Written;

/** Holds a recording against the riff that it is of. */
@Command(
        name = "listen",
        mixinStandardHelpOptions = true,
        description =
                "Hold a recording against the riff that it is of, pass by pass: what came early or"
                        + " late, what was missing or too many, which string was not as written."
                        + " Exit 1 when something is found.")
public final class ListenCommand implements Callable<Integer> {

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Parameters(index = "0", paramLabel = "RIFF", description = "The riff's file.")
    private Path riffFile;

    @Parameters(index = "1", paramLabel = "TAKE", description = "WAV, AIFF or AU; - reads one.")
    private Path take;

    @Mixin private HandOption hand;

    @Mixin private JsonOption json;

    @Override
    public Integer call() throws Exception {
        Riff riff = Standard.read(riffFile).piece().riff();
        Catalogue catalogue = new Catalogue();
        Derived derived = Deriver.once(riff, hand.hand(), catalogue);
        double a4Hz = riff.ground().a4Hz();
        Ear ear =
                new Ear(
                        derived.score().board(),
                        a4Hz,
                        hand.hand(),
                        catalogue,
                        Optional.of(riff.ground().key()));
        List<FollowedPass> passes = new ArrayList<>();
        Follower.of(
                new Written(derived.score(), riff.ground()),
                LongTake.read(take, spec.commandLine().getErr()),
                ear,
                p -> {
                    passes.add(p);
                    tell(p, derived);
                });
        if (passes.isEmpty()) {
            throw new IllegalArgumentException(take + ": nothing is struck in it");
        }
        return passes.stream().allMatch(p -> p.faults().isEmpty()) ? 0 : 1;
    }

    private void tell(FollowedPass p, Derived derived) {
        PrintWriter out = spec.commandLine().getOut();
        String words = FollowWords.of(derived).of(p);
        out.println(json.on() ? json(p, words, derived) : "pass " + p.number() + ": " + words);
        out.flush();
    }

    private static String json(FollowedPass p, String words, Derived derived) {
        ObjectNode n = JsonOption.mapper().createObjectNode();
        n.put("pass", p.number()).put("bars", p.bars()).put("onOne", p.onOne());
        ArrayNode events = n.putArray("events");
        int strings = derived.riff().ground().board().strings();
        for (Played e : p.strokes()) {
            ObjectNode one = events.addObject();
            one.put("bar", e.bar()).put("tick", e.tick());
            one.put("ms", Math.round(10 * e.ms()) / 10.0);
            one.put("state", e.state().name().toLowerCase(Locale.ROOT));
            ArrayNode faults = one.putArray("strings");
            for (Played.StringFault f : e.strings()) {
                faults.addObject()
                        .put("string", strings - f.string())
                        .put("what", f.what().name().toLowerCase(Locale.ROOT))
                        .put("fret", f.fret());
            }
            one.put("muted", e.muted());
        }
        n.put("words", words);
        return n.toString();
    }
}
