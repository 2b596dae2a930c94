package vocalis.cli;

import java.io.PrintWriter;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import picocli.CommandLine;
import picocli.CommandLine.Model.UsageMessageSpec;
import vocalis.cli.ears.HoldCommand;
import vocalis.cli.ears.ListenCommand;
import vocalis.cli.ears.TranscribeCommand;
import vocalis.cli.ears.TuneCommand;
import vocalis.cli.options.Standard;

/**
 * The command line. Exit 0; 1 where a check finds something; 2 for bad input with one line on
 * standard error.
 */
public final class Main {

    private Main() {}

    public static void main(String[] args) {
        int code = run(args);
        // All is written: an orderly end would only start a log that nobody reads.
        Runtime.getRuntime().halt(code);
    }

    /** Runs a command; the exit code. */
    static int run(String... args) {
        return run(null, args);
    }

    /**
     * The command of a name. Where one is asked for only that one is read in: to read in all of
     * them takes longer than most of them need for their work.
     */
    static Optional<Class<?>> command(String name) {
        return Optional.ofNullable(
                switch (name) {
                    case "name" -> NameCommand.class;
                    case "voicings" -> VoicingsCommand.class;
                    case "series" -> SeriesCommand.class;
                    case "drones" -> DronesCommand.class;
                    case "gain" -> GainCommand.class;
                    case "render" -> RenderCommand.class;
                    case "check" -> CheckCommand.class;
                    case "revoice" -> RevoiceCommand.class;
                    case "export" -> ExportCommand.class;
                    case "import" -> ImportCommand.class;
                    case "hold" -> HoldCommand.class;
                    case "listen" -> ListenCommand.class;
                    case "transcribe" -> TranscribeCommand.class;
                    case "tune" -> TuneCommand.class;
                    case "doctor" -> DoctorCommand.class;
                    default -> null;
                });
    }

    /** The same with its standard output elsewhere; null for the process's own. */
    static int run(PrintWriter out, String... args) {
        Optional<Class<?>> asked = args.length == 0 ? Optional.empty() : command(args[0]);
        CommandLine line =
                asked.map(CommandLine::new).orElseGet(() -> new CommandLine(new Commands()));
        if (asked.isPresent()) {
            line.setCommandName("vocalis " + args[0]);
            explain(args[0], line);
        }
        line.setCaseInsensitiveEnumValuesAllowed(true);
        line.getSubcommands().forEach(Main::explain);
        line.setOut(out != null ? out : Standard.text(System.out, Standard.charset()));
        line.setErr(Standard.text(System.err, Standard.charset()));
        line.setExecutionExceptionHandler(
                (e, commandLine, result) -> {
                    commandLine.getErr().println("vocalis: " + line(e));
                    return 2;
                });
        line.setParameterExceptionHandler(
                (e, a) -> {
                    boolean unknown =
                            asked.isEmpty()
                                    && e.getCommandLine() == line
                                    && a.length > 0
                                    && !a[0].startsWith("-");
                    e.getCommandLine()
                            .getErr()
                            .println("vocalis: " + (unknown ? unknown(a[0], line) : line(e)));
                    return 2;
                });
        int code =
                line.execute(asked.isPresent() ? Arrays.copyOfRange(args, 1, args.length) : args);
        line.getOut().flush();
        line.getErr().flush();
        return code;
    }

    private static String unknown(String word, CommandLine line) {
        return "\""
                + word
                + "\" is no command and no file; commands are "
                + String.join(", ", line.getSubcommands().keySet());
    }

    /** An example of each, which runs as it stands when the files that it names are there. */
    static final Map<String, String> EXAMPLES =
            Map.ofEntries(
                    Map.entry("name", "name x-3-5-5-x-x 6-8-8-7-6-6 --key Cm"),
                    Map.entry("voicings", "voicings Bb --family triad --first 5"),
                    Map.entry("series", "series x-7-9-9-0-0 --key Em"),
                    Map.entry("drones", "drones --tuning DADGAD"),
                    Map.entry("gain", "gain x-x-5-4-x-x --tone gain"),
                    Map.entry("render", "render --shape 3-5-5-x-x-x -o chord.wav"),
                    Map.entry("check", "check riff.vocalis.json"),
                    Map.entry("revoice", "revoice riff.vocalis.json"),
                    Map.entry("export", "export riff.vocalis.json -o riff.musicxml"),
                    Map.entry("import", "import riff.mid -o riff.vocalis.json"),
                    Map.entry("listen", "listen riff.vocalis.json take.wav --json"),
                    Map.entry("transcribe", "transcribe take.wav -o heard.vocalis.json"),
                    Map.entry("hold", "hold chord.wav --key Cm"),
                    Map.entry("tune", "tune strings.wav --a4 442"),
                    Map.entry("doctor", "doctor"));

    private static final Map<String, String> EXIT_CODES = new LinkedHashMap<>();

    static {
        EXIT_CODES.put("0", "done");
        EXIT_CODES.put("1", "something was found");
        EXIT_CODES.put("2", "bad input, said in a line");
    }

    /** Defaults, exit codes and an example at the foot of a command's help. */
    private static void explain(String name, CommandLine command) {
        UsageMessageSpec usage = command.getCommandSpec().usageMessage();
        usage.showDefaultValues(true);
        String example = EXAMPLES.get(name);
        if (example != null) {
            usage.exitCodeListHeading("%nExit codes:%n");
            usage.exitCodeList(EXIT_CODES);
            usage.footer("", "Example: ./vocalis " + example);
        }
    }

    /** What went wrong, in one line. */
    private static String line(Exception e) {
        String message = e.getMessage() == null ? e.getClass().getSimpleName() : e.getMessage();
        return message.lines().findFirst().orElse(message);
    }
}
