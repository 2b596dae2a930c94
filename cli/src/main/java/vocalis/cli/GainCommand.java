package vocalis.cli;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import vocalis.cli.options.JsonOption;
import vocalis.cli.options.KeyOption;
import vocalis.cli.options.NeckOptions;
import vocalis.cli.options.Standard;
import vocalis.core.choice.PlainPower;
import vocalis.core.instrument.Shape;
import vocalis.core.mix.Controls;
import vocalis.core.names.ChordNamer;
import vocalis.core.names.HeardRoot;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Key;
import vocalis.core.theory.Pitch;
import vocalis.core.voicing.Voicing;
import vocalis.sound.gain.GainReading;
import vocalis.sound.gain.Ghost;
import vocalis.sound.gain.Relation;
import vocalis.workbench.playing.GainReadings;
import vocalis.workbench.words.GainWords;

/** What gain adds to a shape. */
@Command(
        name = "gain",
        mixinStandardHelpOptions = true,
        description =
                "Ghosts, roughness, mud and bite of a shape under a tone, against the plain power chord.")
final class GainCommand implements Callable<Integer> {

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Parameters(
            paramLabel = "SHAPE",
            description =
                    "Frets from the lowest string, x-4-2-x-x-x; - reads shapes from standard input.")
    private String shape;

    @Mixin private NeckOptions options;

    @Mixin private KeyOption keyed;

    @Mixin private JsonOption json;

    @Option(
            names = "--tone",
            paramLabel = "T",
            defaultValue = "gain",
            description = "clean, edge or gain.")
    private Tone tone;

    @Option(names = "--pure", description = "Draw thirds above the root pure.")
    private boolean pure;

    @Override
    public Integer call() throws IOException {
        PrintWriter out = spec.commandLine().getOut();
        for (String s : Standard.shapes(shape)) {
            print(new Voicing(Shape.parse(s), options.board(), 0), out);
        }
        out.flush();
        return 0;
    }

    private void print(Voicing v, PrintWriter out) throws IOException {
        Optional<Key> key = keyed.key();
        Ground ground =
                new Ground(
                        options.instrument(),
                        options.capo(),
                        key.orElseGet(() -> Key.parse("C major")),
                        tone,
                        Pitch.STANDARD_A4_HZ);
        int root = HeardRoot.of(v, key).root();
        double[] cents = pure ? GainReadings.pure(v, root) : new double[0];
        GainReadings.Against a = new GainReadings().of(v, root, ground, Controls.USUAL, cents);
        if (json.on()) {
            out.println(JsonOption.mapper().writeValueAsString(json(v, root, a, key)));
        } else {
            words(out, v, a, key, cents);
        }
    }

    private ObjectNode json(Voicing v, int root, GainReadings.Against a, Optional<Key> key) {
        GainWords words = new GainWords(v, key);
        GainReading r = a.reading();
        ObjectNode n = JsonOption.mapper().createObjectNode();
        n.put("shape", v.shape().text());
        n.put("name", ChordNamer.name(v, key).ascii());
        n.put("tone", tone.label());
        ArrayNode ghosts = n.putArray("ghosts");
        for (Ghost g : r.ghosts()) {
            ObjectNode o = ghosts.addObject();
            o.put("hz", round(g.hz(), 2));
            o.put("db", round(g.db(), 1));
            o.put("note", words.note(g.midi()).ascii());
            o.put("cents", round(g.cents(), 1));
            Relation x = g.relation();
            o.put("relation", x.formula().replace("−", "-"))
                    .put("ratio", x.ratioUpper() + ":" + x.ratioLower())
                    .put("deviationCents", round(x.cents(), 1));
        }
        r.mixture()
                .ifPresent(
                        m ->
                                n.putObject("mixture")
                                        .put("lines", m.lines())
                                        .put("db", round(m.db(), 1)));
        n.put("roughnessClean", round(r.roughClean(), 3));
        n.put("roughness", round(r.roughGain(), 3));
        n.put("growl", round(a.growl(), 3));
        n.put("mud", round(r.mud(), 3));
        n.put("biteHz", round(r.biteHz(), 0));
        r.beatsHz().ifPresent(b -> n.put("beatsHz", round(b, 2)));
        r.commonHz().ifPresent(c -> n.put("commonFundamentalHz", round(c, 2)));
        PlainPower.against(v, root).ifPresent(p -> n.put("against", p.shape().text()));
        return n;
    }

    private static double round(double x, int places) {
        double scale = Math.pow(10, places);
        return Math.round(x * scale) / scale;
    }

    private void words(
            PrintWriter out, Voicing v, GainReadings.Against a, Optional<Key> key, double[] cents) {
        GainWords words = new GainWords(v, key);
        GainReading r = a.reading();
        out.println(
                v.shape().text() + "  " + ChordNamer.name(v, key).symbol() + "  " + tone.label());
        out.println("  " + words.summary(a, tone));
        GainWords.intonation(cents).ifPresent(s -> out.println("  " + s));
        out.println("  added by distortion" + (r.ghosts().isEmpty() ? ": no note" : ""));
        for (Ghost g : r.ghosts()) {
            out.printf(
                    Locale.ROOT,
                    "    %7.1f Hz  %5.1f dB  %-10s  %s%n",
                    g.hz(),
                    g.db(),
                    words.place(g),
                    words.origin(g));
        }
        GainWords.mixture(r).ifPresent(m -> out.println("    " + m));
        out.printf(
                Locale.ROOT,
                "  roughness %.2f, clean %.2f; growl %.2f; mud %.2f; bite %.0f Hz%n",
                r.roughGain(),
                r.roughClean(),
                a.growl(),
                r.mud(),
                r.biteHz());
        r.beatsHz().ifPresent(b -> out.printf(Locale.ROOT, "  slowest beats %.1f a second%n", b));
        r.commonHz().ifPresent(c -> out.printf(Locale.ROOT, "  common fundamental %.1f Hz%n", c));
    }
}
