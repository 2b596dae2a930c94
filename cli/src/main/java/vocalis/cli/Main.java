package vocalis.cli;

import java.io.PrintWriter;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import vocalis.cli.options.FamilyConverter;
import vocalis.cli.options.Standard;
import vocalis.core.voicing.Family;
import vocalis.workbench.exchange.Exchange;

/**
 * The command line. Exit 0; 1 where a check finds something; 2 for bad input with one line on
 * standard error.
 */
@Command(
        name = "vocalis",
        version = "Vocalis 0.1.0",
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
            ImportCommand.class
        },
        description = "Write a riff and hear what each voicing does to it.",
        footer = {"", "Without a command the window opens: ./vocalis [FILE], ./vocalis --demo."})
public final class Main implements Runnable {

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    public static void main(String[] args) {
        System.exit(run(args));
    }

    /** Runs a command; the exit code. */
    static int run(String... args) {
        return run(null, args);
    }

    /** The same with its standard output elsewhere; null for the process's own. */
    static int run(PrintWriter out, String... args) {
        CommandLine line = new CommandLine(new Main()).setCaseInsensitiveEnumValuesAllowed(true);
        line.registerConverter(Family.class, new FamilyConverter());
        line.registerConverter(Exchange.Target.class, new ExportCommand.TargetConverter());
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
