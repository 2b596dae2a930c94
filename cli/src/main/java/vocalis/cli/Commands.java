package vocalis.cli;

import picocli.CommandLine;
import picocli.CommandLine.Command;
import vocalis.cli.ears.HoldCommand;
import vocalis.cli.ears.ListenCommand;
import vocalis.cli.ears.TranscribeCommand;
import vocalis.cli.ears.TuneCommand;
import vocalis.workbench.health.Version;

/** All commands together: for help, manual pages and the completion of shells. */
@Command(
        name = "vocalis",
        versionProvider = Commands.Numbered.class,
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
final class Commands implements Runnable {

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    /** The version, as the build was given it. */
    static final class Numbered implements CommandLine.IVersionProvider {
        @Override
        public String[] getVersion() {
            return new String[] {"Vocalis " + Version.NUMBER};
        }
    }

    @Override
    public void run() {
        spec.commandLine().usage(spec.commandLine().getOut());
    }
}
