package vocalis.cli;

import java.io.PrintWriter;
import picocli.CommandLine;
import picocli.CommandLine.Command;

/** The command line. Exit 0, or 2 for bad input with one line on standard error. */
@Command(
        name = "vocalis",
        version = "Vocalis 0.1.0",
        mixinStandardHelpOptions = true,
        subcommands = {
            NameCommand.class,
            VoicingsCommand.class,
            DronesCommand.class,
            GainCommand.class,
            RenderCommand.class
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
        if (out != null) {
            line.setOut(out);
        }
        line.setExecutionExceptionHandler(
                (e, commandLine, result) -> {
                    commandLine.getErr().println("vocalis: " + e.getMessage());
                    return 2;
                });
        line.setParameterExceptionHandler(
                (e, a) -> {
                    e.getCommandLine().getErr().println("vocalis: " + e.getMessage());
                    return 2;
                });
        return line.execute(args);
    }

    @Override
    public void run() {
        spec.commandLine().usage(spec.commandLine().getOut());
    }
}
