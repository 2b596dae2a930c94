package vocalis.cli.ears;

import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import vocalis.cli.options.HandOption;
import vocalis.cli.options.JsonOption;
import vocalis.cli.options.KeyOption;
import vocalis.cli.options.NeckOptions;
import vocalis.cli.options.Standard;
import vocalis.core.choice.Catalogue;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Meter;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Key;
import vocalis.core.unpick.Unpicked;
import vocalis.formats.json.Extras;
import vocalis.formats.json.PieceCodec;
import vocalis.workbench.document.SettledShapes;
import vocalis.workbench.exchange.Exchange;
import vocalis.workbench.exchange.UnpickWords;
import vocalis.workbench.library.PieceFiles;
import vocalis.workbench.playedin.Draft;
import vocalis.workbench.playedin.PlayIn;

/** Writes down what is played in a recording. */
@Command(
        name = "transcribe",
        mixinStandardHelpOptions = true,
        description =
                "Write down what is played in a recording: strokes on a grid, taken apart into"
                        + " shapes, figures and lines. Of driven sound a guess; what was assumed goes to"
                        + " standard error.")
public final class TranscribeCommand implements Callable<Integer> {

    private static final double A4_HZ = 440;

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Parameters(paramLabel = "TAKE", description = "WAV, AIFF or AU; - reads one.")
    private Path take;

    @Option(
            names = "-o",
            paramLabel = "FILE",
            description = "The riff's file, or - for standard output.")
    private Path out;

    @Option(
            names = "--tempo",
            paramLabel = "BPM",
            description = "Quarter notes a minute; found from the strokes if not given.")
    private Double tempo;

    @Option(names = "--meter", paramLabel = "4/4", defaultValue = "4/4", description = "Its meter.")
    private String meter;

    @Mixin private NeckOptions neck;

    @Mixin private KeyOption keyed;

    @Mixin private HandOption hand;

    @Mixin private JsonOption json;

    @Override
    public Integer call() throws Exception {
        if (out == null && !json.on()) {
            throw new IllegalArgumentException(
                    "say where to with -o FILE, or --json for the notes");
        }
        if (tempo != null && !(tempo >= 20 && tempo <= 400)) {
            throw new IllegalArgumentException("--tempo is 20 to 400, not " + tempo);
        }
        Key key = keyed.key().orElseGet(() -> Key.parse("E minor"));
        Ground ground = new Ground(neck.instrument(), neck.capo(), key, Tone.CLEAN, A4_HZ);
        Draft t =
                new PlayIn(ground, keyed.key(), hand.hand(), new Catalogue())
                        .of(
                                LongTake.read(take, spec.commandLine().getErr()),
                                Optional.ofNullable(tempo),
                                OptionalDouble.empty(),
                                Meter.parse(meter),
                                name());
        if (json.on()) {
            notes(t);
        }
        if (out != null) {
            write(t, ground);
        }
        return 0;
    }

    private String name() {
        return Standard.is(take)
                ? "take"
                : take.getFileName().toString().replaceFirst("\\.[A-Za-z]+$", "");
    }

    private void notes(Draft t) throws Exception {
        PrintWriter lines = spec.commandLine().getOut();
        for (Draft.HeardNote n : t.notes()) {
            lines.println(
                    JsonOption.mapper()
                            .writeValueAsString(
                                    JsonOption.mapper()
                                            .createObjectNode()
                                            .put("string", neck.board().strings() - n.string())
                                            .put("fret", n.fret())
                                            .put("onsetSeconds", rounded(n.onsetSeconds()))
                                            .put("seconds", rounded(n.seconds()))
                                            .put("muted", n.muted())
                                            .put("sure", rounded(n.sure()))));
        }
    }

    private static double rounded(double x) {
        return Math.round(1000 * x) / 1000.0;
    }

    private void write(Draft t, Ground ground) throws Exception {
        PrintWriter err = spec.commandLine().getErr();
        Catalogue catalogue = new Catalogue();
        Exchange exchange = new Exchange(catalogue, hand.hand());
        Unpicked u = exchange.unpick(t.sheet(), ground);
        t.sheet().remarks().forEach(r -> err.println(take + ": " + r));
        err.println(take + ": " + UnpickWords.whole(u, t.certain(u)));
        SettledShapes resting = new SettledShapes(catalogue, hand.hand());
        String id = UUID.randomUUID().toString();
        Piece piece = resting.settled(Exchange.piece(t.sheet(), u, id));
        if (Standard.is(out)) {
            System.out.write(PieceCodec.write(piece, Extras.NONE));
            System.out.flush();
            return;
        }
        Path to = PieceFiles.withEnding(out);
        if (Files.exists(to)) {
            throw new IllegalArgumentException(to + " is there already; name another file");
        }
        PieceFiles.write(piece, Extras.NONE, to, null);
    }
}
