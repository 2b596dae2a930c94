package vocalis.workbench.health;

import java.io.PrintWriter;
import java.io.StringWriter;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What a player may send to somebody who can mend it: version, Java, system, and where the program
 * was, without the names of folders and files, which are the player's own.
 */
public final class TroubleReport {

    /** Something that begins like a path, and the rest of its line: names may have spaces. */
    private static final Pattern PATH =
            Pattern.compile("(?<=^|[\\s\"'(=:])(?:file:|~)?(?:[A-Za-z]:[\\\\/]|\\\\\\\\|/|~).*");

    private static final String HIDDEN = "(a path)";

    /** A line of a stack trace names classes alone. */
    private static final Pattern FRAME = Pattern.compile("\\s*(?:at |\\.\\.\\. \\d).*");

    private TroubleReport() {}

    /**
     * The report as text.
     *
     * @param where what the program was doing, such as "showing the window"
     */
    public static String of(String where, Throwable e) {
        StringWriter trace = new StringWriter();
        e.printStackTrace(new PrintWriter(trace));
        String body =
                trace.toString()
                        .lines()
                        .map(TroubleReport::cleared)
                        .collect(Collectors.joining("\n"));
        return String.join(
                        "\n",
                        List.of(
                                "Vocalis " + Version.NUMBER + " failed while " + where,
                                "Java "
                                        + System.getProperty("java.version")
                                        + " ("
                                        + System.getProperty("java.vendor")
                                        + "), "
                                        + System.getProperty("os.name")
                                        + " "
                                        + System.getProperty("os.version")
                                        + " "
                                        + System.getProperty("os.arch"),
                                body))
                + "\n";
    }

    private static String cleared(String line) {
        return FRAME.matcher(line).matches() ? line : PATH.matcher(line).replaceAll(HIDDEN);
    }
}
