package vocalis.cli.ears;

import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import vocalis.cli.options.NeckOptions;
import vocalis.cli.options.Takes;
import vocalis.workbench.listening.Tuner;

/** Says how far the strings of a recording are from their tuning. */
@Command(
        name = "tune",
        mixinStandardHelpOptions = true,
        description =
                "How far strings plucked one after another are from their tuning, in cents: each"
                        + " stroke beside the nearest open string.")
public final class TuneCommand implements Callable<Integer> {

    private static final double LOWEST_A4 = 430;
    private static final double HIGHEST_A4 = 450;

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Parameters(paramLabel = "TAKE", description = "WAV, AIFF or AU; - reads one.")
    private Path take;

    @Mixin private NeckOptions neck;

    @Option(
            names = "--a4",
            paramLabel = "HZ",
            defaultValue = "440",
            description = "What the A over middle C is, 430 to 450 Hz.")
    private double a4;

    @Override
    public Integer call() throws Exception {
        if (!(a4 >= LOWEST_A4 && a4 <= HIGHEST_A4)) {
            throw new IllegalArgumentException("--a4 is 430 to 450 Hz, not " + a4);
        }
        PrintWriter out = spec.commandLine().getOut();
        List<Tuner.Plucked> all = Tuner.of(Takes.read(take), neck.board(), a4);
        for (Tuner.Plucked p : all) {
            out.println(
                    String.format(
                            Locale.ROOT,
                            "%.2f s  string %d  %s  %+.1f cents  %.2f Hz",
                            p.seconds(),
                            neck.board().strings() - p.string(),
                            p.note().symbol(),
                            p.cents(),
                            p.hz()));
        }
        if (all.isEmpty()) {
            out.println("No string was heard by itself: pluck one after another.");
        }
        return all.isEmpty() ? 1 : 0;
    }
}
