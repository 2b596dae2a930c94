package vocalis.cli;

import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import vocalis.cli.options.EachFile;
import vocalis.cli.options.HandOption;
import vocalis.cli.options.Standard;
import vocalis.core.choice.Catalogue;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Ground;
import vocalis.core.theory.Key;
import vocalis.core.unpick.Unpicked;
import vocalis.formats.json.Extras;
import vocalis.formats.json.PieceCodec;
import vocalis.formats.sheet.Imported;
import vocalis.workbench.document.SettledShapes;
import vocalis.workbench.exchange.Exchange;
import vocalis.workbench.exchange.UnpickWords;
import vocalis.workbench.library.PieceFiles;

/** Takes files of other programs apart into riffs. */
@Command(
        name = "import",
        mixinStandardHelpOptions = true,
        description =
                "Read MusicXML, MIDI or text tab, take it apart into shapes, figures and lines, and"
                        + " write it as a riff. What was assumed goes to standard error.")
final class ImportCommand implements Callable<Integer> {

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Parameters(
            paramLabel = "X",
            arity = "1..*",
            description = "Files of other programs; - reads one from standard input.")
    private List<Path> files;

    @Option(
            names = "-o",
            required = true,
            paramLabel = "FILE",
            description = "The riff's file, a folder, or - for standard output.")
    private Path out;

    @Option(names = "--key", paramLabel = "K", description = "The key, where the file is wrong.")
    private String key;

    @Mixin private HandOption hand;

    @Override
    public Integer call() throws Exception {
        EachFile each = new EachFile(files, out, spec.commandLine().getErr());
        Catalogue catalogue = new Catalogue();
        Exchange exchange = new Exchange(catalogue, hand.hand());
        SettledShapes resting = new SettledShapes(catalogue, hand.hand());
        return each.run(f -> one(exchange, resting, f, each));
    }

    private void one(Exchange exchange, SettledShapes resting, Path file, EachFile each)
            throws Exception {
        PrintWriter err = each.err();
        boolean stdin = Standard.is(file);
        Imported read = stdin ? Exchange.read(System.in.readAllBytes()) : Exchange.read(file);
        Ground ground = Exchange.ground(read);
        Unpicked u = exchange.unpick(read, key == null ? ground : ground.withKey(Key.parse(key)));
        read.remarks().forEach(r -> err.println(file + ": " + r));
        UnpickWords.cautions(read).forEach(r -> err.println(file + ": " + r));
        err.println(file + ": " + UnpickWords.whole(u));
        Piece piece = resting.settled(Exchange.piece(read, u, UUID.randomUUID().toString()));
        if (Standard.is(out)) {
            System.out.write(PieceCodec.write(piece, Extras.NONE));
            System.out.flush();
            return;
        }
        Path to = out;
        if (each.folder()) {
            to =
                    each.target(
                            stdin ? Path.of("imported") : file,
                            ImportCommand::stem,
                            PieceFiles.ENDING);
        }
        to = PieceFiles.withEnding(to);
        if (Files.exists(to)) {
            throw new IllegalArgumentException(to + " is there already; name another file");
        }
        PieceFiles.write(piece, Extras.NONE, to, null);
    }

    private static String stem(String name) {
        return name.replaceFirst("(\\.tab)?\\.[A-Za-z]+$", "");
    }
}
