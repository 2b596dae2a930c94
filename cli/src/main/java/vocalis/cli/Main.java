package vocalis.cli;

import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.riff.Chords;
import vocalis.core.riff.Derivation;
import vocalis.core.riff.NamedRiff;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Tone;
import vocalis.core.voicing.Family;
import vocalis.formats.wav.WavCodec;
import vocalis.workbench.OfflineRender;
import vocalis.workbench.Player;
import vocalis.workbench.RiffFiles;

/** The command line. Exit 0, or 2 for bad input with one line on standard error. */
@Command(
        name = "vocalis",
        version = "Vocalis 0.1.0",
        mixinStandardHelpOptions = true,
        subcommands = {
            NameCommand.class,
            VoicingsCommand.class,
            DronesCommand.class,
            Main.Render.class
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

    /** Renders a riff to a WAV file. */
    @Command(
            name = "render",
            mixinStandardHelpOptions = true,
            description = "Render a riff to a 24-bit WAV file, faster than real time.")
    static final class Render implements Callable<Integer> {

        @Parameters(paramLabel = "FILE", description = "The riff, a .vocalis.json file.")
        private Path file;

        @Option(
                names = "-o",
                required = true,
                paramLabel = "X.wav",
                description = "Where the sound goes.")
        private Path out;

        @Option(
                names = "--treatment",
                paramLabel = "F",
                description = "A family for every chord: power, fourth, third, octave, triad, …")
        private Family family;

        @Option(
                names = "--tone",
                paramLabel = "T",
                description = "clean, edge or gain instead of the riff's own.")
        private Tone tone;

        @Option(
                names = "--times",
                defaultValue = "1",
                paramLabel = "N",
                description = "Rounds of the loop.")
        private int times;

        @Override
        public Integer call() throws Exception {
            if (times < 1 || times > 100) {
                throw new IllegalArgumentException(
                        "--times lies between 1 and 100, but is " + times);
            }
            NamedRiff named = RiffFiles.read(file);
            Riff riff = named.riff();
            if (family != null) {
                riff = Chords.familyOfAll(riff, family);
            }
            Riff toned =
                    Optional.ofNullable(tone)
                            .map(riff.ground()::withTone)
                            .map(riff::withGround)
                            .orElse(riff);
            float[] sound =
                    OfflineRender.riff(
                            Derivation.score(toned, Hand.MEDIUM, new Catalogue()), times, 2.5);
            Files.write(out, WavCodec.write(sound, (int) Player.RATE));
            return 0;
        }
    }
}
