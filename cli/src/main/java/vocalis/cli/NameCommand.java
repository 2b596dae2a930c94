package vocalis.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import vocalis.cli.options.HandOption;
import vocalis.cli.options.Hands;
import vocalis.cli.options.JsonOption;
import vocalis.cli.options.KeyOption;
import vocalis.cli.options.NeckOptions;
import vocalis.core.instrument.Shape;
import vocalis.core.names.Around;
import vocalis.core.names.ChordNamer;
import vocalis.core.names.ChordSymbol;
import vocalis.core.names.HeardRoot;
import vocalis.core.names.Reading;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Note;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Sounding;
import vocalis.core.voicing.Voicing;
import vocalis.workbench.words.ReadingWords;
import vocalis.workbench.words.RootWords;

/** Names shapes: readings and the heard root. */
@Command(
        name = "name",
        mixinStandardHelpOptions = true,
        description = "Name shapes: readings, best first, and the heard root.")
final class NameCommand implements Callable<Integer> {

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Parameters(
            paramLabel = "SHAPE",
            arity = "1..*",
            description =
                    "Frets from the lowest string, x-5-7-7-x-x; - reads shapes from standard input.")
    private List<String> shapes;

    @Mixin private NeckOptions neck;

    @Mixin private KeyOption keyed;

    @Mixin private HandOption hand;

    @Mixin private JsonOption json;

    @Option(
            names = "--root",
            paramLabel = "F",
            description =
                    "The root that the chord stands for; that of its first name if not given.")
    private String root;

    @Option(names = "--pedal", paramLabel = "D", description = "A bass under every shape.")
    private String pedal;

    @Override
    public Integer call() throws IOException {
        PrintWriter out = spec.commandLine().getOut();
        int code = 0;
        if (shapes.equals(List.of("-"))) {
            BufferedReader in =
                    new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8));
            for (String line = in.readLine(); line != null; line = in.readLine()) {
                if (!line.isBlank() && !answered(line.strip(), out)) {
                    code = 2;
                }
            }
        } else {
            for (String shape : shapes) {
                out.println(json.on() ? json(shape) : words(shape));
            }
        }
        out.flush();
        return code;
    }

    /** Answers a line in its place, a bad one with what is wrong with it. */
    private boolean answered(String line, PrintWriter out) throws IOException {
        boolean good = true;
        String answer;
        try {
            answer = json(line);
        } catch (IllegalArgumentException e) {
            good = false;
            answer =
                    JsonOption.mapper()
                            .writeValueAsString(
                                    JsonOption.mapper()
                                            .createObjectNode()
                                            .put("shape", line)
                                            .put("error", e.getMessage()));
        }
        out.println(answer);
        out.flush();
        return good;
    }

    /** On the root that is asked for; where none is, on that of its first name. */
    private Voicing voicing(String text) {
        Voicing bare = new Voicing(Shape.parse(text), neck.board(), 0);
        int on =
                root == null
                        ? ChordNamer.name(bare, keyed.key()).root().pitchClass()
                        : Spelling.parse(root).pitchClass();
        return new Voicing(bare.shape(), neck.board(), on);
    }

    private Optional<String> overPedal(Voicing v) {
        return Optional.ofNullable(pedal)
                .map(p -> ChordNamer.over(v, Spelling.parse(p).pitchClass(), keyed.key()).ascii());
    }

    private String json(String text) throws IOException {
        Voicing v = voicing(text);
        Optional<Key> key = keyed.key();
        HeardRoot heard = HeardRoot.of(v, key);
        ObjectNode n = JsonOption.mapper().createObjectNode();
        n.put("shape", v.shape().text());
        ArrayNode notes = n.putArray("notes");
        ArrayNode midi = n.putArray("midi");
        // Spelled as the name says them: the seventh of B♭7 is an A♭.
        ChordSymbol symbol = ChordSymbol.parse(ChordNamer.name(v, key).symbol());
        for (Sounding s : v.soundings()) {
            Spelling said =
                    symbol.spelled(s.pitchClass())
                            .filter(x -> Math.abs(x.alter()) < 2)
                            .orElseGet(() -> spell(s.pitchClass(), key));
            notes.add(Note.at(said, s.midi()).ascii());
            midi.add(s.midi());
        }
        Spelling root =
                symbol.spelled(heard.root())
                        .filter(x -> Math.abs(x.alter()) < 2)
                        .orElseGet(() -> spell(heard.root(), key));
        n.put("heardRoot", root.ascii());
        n.put("ambiguous", heard.ambiguous());
        key.ifPresent(k -> n.put("key", k.tonic().ascii() + " " + k.mode().name()));
        ChordNamer.ofFingering(v, Around.NOTHING).ifPresent(f -> n.put("fingeredAs", f.ascii()));
        Hands.put(n, v, hand.hand());
        overPedal(v).ifPresent(p -> n.put("overPedal", p));
        readings(n, v, key);
        return JsonOption.mapper().writeValueAsString(n);
    }

    private void readings(ObjectNode n, Voicing v, Optional<Key> key) {
        ArrayNode readings = n.putArray("readings");
        for (Reading r : Reading.all(v, key)) {
            ObjectNode o = readings.addObject();
            o.put("kind", r.kind().name().toLowerCase(Locale.ROOT));
            o.put("name", r.name().replace("♯", "#").replace("♭", "b"));
            o.put("root", r.root().ascii());
            o.put("bass", r.bass().ascii());
            ArrayNode degrees = o.putArray("degrees");
            r.degrees().forEach(d -> degrees.add(d.ascii()));
            ArrayNode omitted = o.putArray("omitted");
            r.omitted().forEach(d -> omitted.add(d.ascii()));
        }
    }

    private static Spelling spell(int pitchClass, Optional<Key> key) {
        return key.map(k -> k.say(pitchClass)).orElseGet(() -> Spelling.plain(pitchClass));
    }

    private String words(String text) {
        Voicing v = voicing(text);
        List<String> lines = new ArrayList<>();
        List<Reading> readings = Reading.all(v, keyed.key());
        lines.add(v.shape().text() + "  " + readings.get(0).name());
        lines.add(
                "  "
                        + RootWords.of(HeardRoot.of(v, keyed.key()), keyed.key())
                        + " Named "
                        + keyed.assumed()
                        + ".");
        ChordNamer.ofFingering(v, Around.NOTHING)
                .ifPresent(
                        n ->
                                lines.add(
                                        "  "
                                                + n.symbol()
                                                + " shape, sounds "
                                                + readings.get(0).name()));
        lines.add("  " + Hands.words(v, hand.hand()));
        for (Reading r : readings) {
            String degrees =
                    r.degrees().stream().map(Degree::symbol).collect(Collectors.joining(" "));
            lines.add(
                    "  "
                            + r.kind().name().toLowerCase(Locale.ROOT)
                            + "  "
                            + r.name()
                            + "  ("
                            + degrees
                            + "), "
                            + ReadingWords.reason(r));
        }
        overPedal(v).ifPresent(p -> lines.add("  over " + pedal + ": " + p));
        return String.join(System.lineSeparator(), lines);
    }
}
