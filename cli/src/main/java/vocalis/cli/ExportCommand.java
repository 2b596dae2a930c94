package vocalis.cli;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
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
import vocalis.formats.FormatException;
import vocalis.workbench.base.Places;
import vocalis.workbench.base.SafeFiles;
import vocalis.workbench.document.SettledShapes;
import vocalis.workbench.exchange.Exchange;
import vocalis.workbench.exchange.Export;
import vocalis.workbench.exchange.Target;
import vocalis.workbench.library.PieceFiles;
import vocalis.workbench.library.PracticeLog;

/** Writes riffs in formats of other programs. */
@Command(
        name = "export",
        mixinStandardHelpOptions = true,
        description =
                "Write riffs as MusicXML, MIDI, text tab, PDF, CSV or sound. Several files, or a"
                        + " folder after -o, with --to; - is standard output.")
final class ExportCommand implements Callable<Integer> {

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Parameters(
            paramLabel = "FILE",
            arity = "0..*",
            description = "Riffs, .vocalis.json files; - reads one from standard input.")
    private List<Path> files = List.of();

    @Option(
            names = "-o",
            required = true,
            paramLabel = "X",
            description = "The file that is written, a folder, or - for standard output.")
    private Path out;

    @Option(
            converter = ExportCommand.TargetConverter.class,
            names = "--to",
            paramLabel = "FORMAT",
            description =
                    "musicxml, mxl, midi, tab, pdf, wav, flac or csv; otherwise the ending says.")
    private Target to;

    @Option(
            names = "--times",
            defaultValue = "1",
            paramLabel = "N",
            description = "Rounds of the loop, for sound.")
    private int times;

    @Option(
            names = "--song",
            description = "All sections as they are arranged, instead of the riff worked on.")
    private boolean song;

    @Option(
            names = "--practice",
            description = "The practice log as CSV, of the riffs named or of all.")
    private boolean practice;

    @Mixin private HandOption hand;

    @Override
    public Integer call() throws Exception {
        if (practice) {
            return practice();
        }
        if (files.isEmpty()) {
            throw new IllegalArgumentException("name a riff's file, or ask for --practice");
        }
        if (times < 1 || times > 100) {
            throw new IllegalArgumentException("--times lies between 1 and 100, but is " + times);
        }
        EachFile each = new EachFile(files, out, spec.commandLine().getErr());
        Target target = target(each.folder() || Standard.is(out));
        if (song && (target == Target.PDF || target == Target.CSV)) {
            throw new IllegalArgumentException(
                    "the sheet and the table are of a riff and not of a song: leave --song out, or"
                            + " write the song as musicxml, mxl, midi, tab, wav or flac");
        }
        Catalogue catalogue = new Catalogue();
        Exchange exchange = new Exchange(catalogue, hand.hand());
        SettledShapes resting = new SettledShapes(catalogue, hand.hand());
        return each.run(f -> one(exchange, resting, f, target, each));
    }

    /** The log of what was practised, or of some pieces alone. */
    private int practice() throws Exception {
        if (to != null && to != Target.CSV) {
            throw new IllegalArgumentException("the practice log is written as csv only");
        }
        Set<String> pieces = new HashSet<>();
        for (Path f : files) {
            pieces.add(PieceFiles.read(f).piece().id());
        }
        PracticeLog.Content log = new PracticeLog(Places.ofPlatform().data()).read();
        if (log.unread() > 0) {
            spec.commandLine().getErr().println(log.unread() + " lines could not be read");
        }
        byte[] table =
                PracticeLog.csv(
                        log.entries().stream()
                                .filter(e -> pieces.isEmpty() || pieces.contains(e.piece()))
                                .toList());
        if (Standard.is(out)) {
            System.out.write(table);
            System.out.flush();
        } else {
            SafeFiles.write(out, table);
        }
        return 0;
    }

    private Target target(boolean needed) {
        if (to != null) {
            return to;
        }
        if (needed) {
            throw new IllegalArgumentException("say the format with --to, such as --to musicxml");
        }
        return Target.of(out)
                .orElseThrow(
                        () ->
                                new IllegalArgumentException(
                                        out.getFileName()
                                                + " ends like no format that is known; say it with"
                                                + " --to"));
    }

    private void one(
            Exchange exchange, SettledShapes resting, Path file, Target target, EachFile each)
            throws Exception {
        Piece piece = resting.kept(Standard.read(file).piece());
        Path to = each.folder() ? each.target(file, ExportCommand::stem, target.ending()) : out;
        try {
            if (Standard.is(out)) {
                OutputStream raw = System.out;
                raw.write(bytes(away(exchange, piece), target));
                raw.flush();
            } else if (SafeFiles.same(file, to)) {
                throw new IllegalArgumentException(
                        "it would be written over the riff " + file + "; name another file");
            } else {
                away(exchange, piece).write(target, to, times, () -> false);
            }
        } catch (FileSystemException e) {
            String why = e.getReason() == null ? "the folder does not exist" : e.getReason();
            throw new IllegalArgumentException(to + " was not written: " + why, e);
        } catch (IOException e) {
            throw new IllegalArgumentException(to + " was not written: " + e.getMessage(), e);
        }
    }

    private static String stem(String name) {
        return name.endsWith(PieceFiles.ENDING)
                ? name.substring(0, name.length() - PieceFiles.ENDING.length())
                : name;
    }

    /** A file's bytes; sound is rendered into a file of the system's and read back. */
    private byte[] bytes(Export away, Target target) throws IOException, FormatException {
        if (!target.sound()) {
            return away.bytes(target);
        }
        Path lent = Files.createTempFile("vocalis", target.ending());
        try {
            away.write(target, lent, times, () -> false);
            return Files.readAllBytes(lent);
        } finally {
            Files.deleteIfExists(lent);
        }
    }

    private Export away(Exchange exchange, Piece piece) {
        return song ? exchange.song(piece) : exchange.away(piece);
    }

    /** Reads a target's name, whatever its case. */
    static final class TargetConverter implements CommandLine.ITypeConverter<Target> {
        @Override
        public Target convert(String text) {
            try {
                return Target.valueOf(text.toUpperCase(Locale.ROOT));
            } catch (IllegalArgumentException e) {
                throw new CommandLine.TypeConversionException(
                        "\"" + text + "\" is no format; see ./vocalis export --help");
            }
        }
    }
}
