package vocalis.cli;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import vocalis.cli.options.JsonOption;
import vocalis.cli.options.NeckOptions;
import vocalis.core.harmony.DroneMap;
import vocalis.core.theory.Mode;

/** The drone map: which open strings are root, fifth, colour or rub in which key. */
@Command(
        name = "drones",
        mixinStandardHelpOptions = true,
        description =
                "Which open strings are root, fifth, of the scale or outside it (R 5 + x) in which key.")
final class DronesCommand implements Callable<Integer> {

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Mixin private NeckOptions ground;

    @Mixin private JsonOption json;

    @Option(
            names = "--mode",
            defaultValue = "major",
            paramLabel = "M",
            description = "Such as minor.")
    private String mode;

    @Override
    public Integer call() throws IOException {
        Mode m =
                Mode.named(mode)
                        .orElseThrow(
                                () ->
                                        new IllegalArgumentException(
                                                "\"" + mode + "\" is no mode that is known here"));
        PrintWriter out = spec.commandLine().getOut();
        ObjectMapper mapper = new ObjectMapper();
        DroneMap map = DroneMap.of(ground.tuning(), m);
        if (ground.capo() > DroneMap.MOST_CAPO) {
            throw new IllegalArgumentException("the map goes up to capo " + DroneMap.MOST_CAPO);
        }
        for (DroneMap.Cell c : map.rows().get(ground.capo()).cells()) {
            int best = map.rescue(c.key().tonic().pitchClass());
            if (json.on()) {
                ObjectNode n = mapper.createObjectNode();
                n.put("key", c.key().tonic().ascii() + " " + m.name()).put("capo", c.capo());
                ArrayNode roles = n.putArray("strings");
                c.roles().forEach(r -> roles.add(r.name().toLowerCase(Locale.ROOT)));
                n.put("fits", c.fits()).put("bestCapo", best);
                out.println(mapper.writeValueAsString(n));
            } else {
                String strings =
                        c.roles().stream()
                                .map(DronesCommand::mark)
                                .collect(Collectors.joining(" "));
                out.printf(
                        "%-3s %-18s %s   %d in the scale, best capo %d%n",
                        c.key().tonic().ascii(), m.name(), strings, c.fits(), best);
            }
        }
        out.flush();
        return 0;
    }

    private static String mark(DroneMap.Role r) {
        return switch (r) {
            case ROOT -> "R";
            case FIFTH -> "5";
            case COLOUR -> "+";
            case RUB -> "x";
        };
    }
}
