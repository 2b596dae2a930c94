package vocalis.cli;

import java.io.PrintWriter;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import vocalis.workbench.base.Places;
import vocalis.workbench.health.Doctor;
import vocalis.workbench.health.Version;

/** Says what the program finds on this machine, and what to do where something lacks. */
@Command(
        name = "doctor",
        mixinStandardHelpOptions = true,
        description =
                "Looks at Java, display, sound out and in, folders and free space, and says what to"
                        + " do where something lacks. Exit code 1 where the program cannot work as"
                        + " it should.")
final class DoctorCommand implements Callable<Integer> {

    @CommandLine.Spec private CommandLine.Model.CommandSpec spec;

    @Override
    public Integer call() {
        PrintWriter out = spec.commandLine().getOut();
        out.println("Vocalis " + Version.NUMBER);
        List<Doctor.Finding> all = Doctor.look(Doctor.Machine.here(), Places.ofPlatform());
        for (Doctor.Finding f : all) {
            String state =
                    switch (f.state()) {
                        case WELL -> "well";
                        case LACKS -> "lacks";
                        case BROKEN -> "BROKEN";
                    };
            out.println(String.format(Locale.ROOT, "%-17s %-7s %s", f.what(), state, f.says()));
            if (!f.todo().isEmpty()) {
                out.println(" ".repeat(26) + f.todo());
            }
        }
        return all.stream().anyMatch(f -> f.state() == Doctor.State.BROKEN) ? 1 : 0;
    }
}
