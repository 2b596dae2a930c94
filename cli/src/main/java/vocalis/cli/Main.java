package vocalis.cli;

import java.io.PrintWriter;
import java.util.Arrays;
import java.util.Map;
import java.util.Optional;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.UsageMessageSpec;
import vocalis.cli.ears.HoldCommand;
import vocalis.cli.ears.ListenCommand;
import vocalis.cli.ears.TranscribeCommand;
import vocalis.cli.ears.TuneCommand;
import vocalis.cli.options.FamilyConverter;
import vocalis.cli.options.Standard;
import vocalis.core.voicing.Family;
import vocalis.workbench.exchange.Target;
import vocalis.workbench.health.Version;

/**
 * The command line. Exit 0; 1 where a check finds something; 2 for bad input with one line on
 * standard error.
 */
@Command(
        name = "vocalis",
        versionProvider = Main.Numbered.class,
        mixinStandardHelpOptions = true,
        subcommands = {
            NameCommand.class,
            VoicingsCommand.class,
            SeriesCommand.class,
            DronesCommand.class,
            GainCommand.class,
            RenderCommand.class,
            CheckCommand.class,
            RevoiceCommand.class,
            ExportCommand.class,
            ImportCommand.class,
            HoldCommand.class,
            ListenCommand.class,
            TranscribeCommand.class,
            TuneCommand.class,
            DoctorCommand.class,
            CommandLine.HelpCommand.class
        },
        description = "Write a riff and hear what each voicing does to it.",
        footer = {"", "Without a command the window opens: ./vocalis [FILE], ./vocalis --demo."})
public final class Main implements Runnable {

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

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
     * Where one command is asked for by its name only that one is read in: reading in all of them
     * takes longer than most of them need for their work.
     */
    @Command(name = "vocalis", versionProvider = Numbered.class, mixinStandardHelpOptions = true)
    private static final class Alone {}

    private static CommandLine line(String... args) {
        Optional<Class<?>> asked =
                Arrays.stream(Main.class.getAnnotation(Command.class).subcommands())
                        .filter(c -> args.length > 0)
                        .filter(c -> c.getAnnotation(Command.class).name().equals(args[0]))
                        .filter(c -> c != CommandLine.HelpCommand.class)
                        .findFirst();
        return asked.map(c -> new CommandLine(new Alone()).addSubcommand(args[0], c))
                .orElseGet(() -> new CommandLine(new Main()));
    }

    /** The same with its standard output elsewhere; null for the process's own. */
    static int run(PrintWriter out, String... args) {
        CommandLine line = line(args).setCaseInsensitiveEnumValuesAllowed(true);
        line.registerConverter(Family.class, new FamilyConverter());
        line.registerConverter(Target.class, new ExportCommand.TargetConverter());
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
                    boolean command =
                            e.getCommandLine() == line && a.length > 0 && !a[0].startsWith("-");
                    if (command) {
                        line.getErr()
                                .println(
                                        "vocalis: \""
                                                + a[0]
                                                + "\" is no command and no file; commands are "
                                                + String.join(
                                                        ", ", line.getSubcommands().keySet()));
                        return 2;
                    }
                    e.getCommandLine().getErr().println("vocalis: " + line(e));
                    return 2;
                });
        int code = line.execute(args);
        line.getOut().flush();
        line.getErr().flush();
        return code;
    }

    /** The version, as the build was given it. */
    static final class Numbered implements CommandLine.IVersionProvider {
        @Override
        public String[] getVersion() {
            return new String[] {"Vocalis " + Version.NUMBER};
        }
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

    /** Defaults, exit codes and an example at the foot of a command's help. */
    private static void explain(String name, CommandLine command) {
        UsageMessageSpec usage = command.getCommandSpec().usageMessage();
        usage.showDefaultValues(true);
        String example = EXAMPLES.get(name);
        if (example != null) {
            usage.exitCodeListHeading("%nExit codes:%n");
            usage.exitCodeList(
                    Map.of(
                            "0",
                            "done",
                            "1",
                            "something was found",
                            "2",
                            "bad input, said in a line"));
            usage.footer("", "Example: ./vocalis " + example);
        }
    }

    /** What went wrong, in one line. */
    private static String line(Exception e) {
        String message = e.getMessage() == null ? e.getClass().getSimpleName() : e.getMessage();
        return message.lines().findFirst().orElse(message);
    }

    @Override
    public void run() {
        spec.commandLine().usage(spec.commandLine().getOut());
    }
}
