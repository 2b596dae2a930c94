package vocalis.workbench.health;

import java.util.List;

/**
 * What a player may send to somebody who can mend it: version, Java, system, and where the program
 * was. What an exception says in words may name a file, a folder or a riff, with or without a path,
 * so only those speak whose words the machine itself makes of the code.
 */
public final class TroubleReport {

    /** Their words name classes, variables and numbers. */
    private static final List<Class<? extends Throwable>> OF_THE_CODE =
            List.of(
                    NullPointerException.class,
                    ClassCastException.class,
                    ArithmeticException.class,
                    ArrayIndexOutOfBoundsException.class);

    private static final int MOST_CAUSES = 10;

    private TroubleReport() {}

    /**
     * The report as text.
     *
     * @param where what the program was doing, such as "showing the window"
     */
    public static String of(String where, Throwable e) {
        StringBuilder out = new StringBuilder();
        out.append(String.format("Vocalis %s failed while %s%n", Version.NUMBER, where));
        out.append(
                String.format(
                        "Java %s (%s), %s %s %s%n",
                        System.getProperty("java.version"),
                        System.getProperty("java.vendor"),
                        System.getProperty("os.name"),
                        System.getProperty("os.version"),
                        System.getProperty("os.arch")));
        Throwable t = e;
        for (int n = 0; t != null && n < MOST_CAUSES; n++, t = t.getCause()) {
            out.append(n == 0 ? "" : "Caused by: ").append(t.getClass().getName());
            boolean speaks = OF_THE_CODE.contains(t.getClass()) && t.getMessage() != null;
            out.append(speaks ? ": " + t.getMessage() : "").append('\n');
            for (StackTraceElement frame : t.getStackTrace()) {
                out.append("\tat ").append(frame).append('\n');
            }
        }
        return out.toString();
    }
}
