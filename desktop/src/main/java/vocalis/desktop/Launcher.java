package vocalis.desktop;

import java.util.Optional;
import java.util.logging.Logger;
import javafx.application.Application;

/** Starts the window. Not an Application itself, so that it runs from the class path too. */
public final class Launcher {

    /** Held, for a logger that nobody holds forgets what it was told. */
    private static final Logger TOOLKIT = Logger.getLogger("javafx");

    private Launcher() {}

    /** Takes {@code [FILE]} or {@code --demo}. Exit code 2 where no window can be had. */
    public static void main(String[] args) {
        // An archive of loaded classes can be made anywhere only with the toolkit on the class
        // path;
        // its one warning about that says nothing to a player.
        TOOLKIT.setFilter(
                r ->
                        !String.valueOf(r.getMessage())
                                .startsWith("Unsupported JavaFX configuration"));
        VocalisApp.prepare(args);
        try {
            Application.launch(VocalisApp.class, args);
        } catch (UnsupportedOperationException | UnsatisfiedLinkError e) {
            System.err.println("vocalis: " + noWindow(e));
            System.exit(2);
        } catch (RuntimeException e) {
            Optional<String> why = missing(e);
            if (why.isEmpty()) {
                throw e;
            }
            System.err.println("vocalis: " + why.get());
            System.exit(2);
        }
    }

    /** What to do where a cause of this is that the toolkit found no display. */
    private static Optional<String> missing(Throwable e) {
        for (Throwable t = e; t != null; t = t.getCause()) {
            if (t instanceof UnsupportedOperationException || t instanceof UnsatisfiedLinkError) {
                return Optional.of(noWindow(t));
            }
        }
        return Optional.empty();
    }

    /** Why no window opens, in one line. */
    static String noWindow(Throwable e) {
        String why = String.valueOf(e.getMessage()).lines().findFirst().orElse("");
        String display = System.getenv("DISPLAY");
        return e instanceof UnsatisfiedLinkError
                ? "a library of the window is missing ("
                        + why
                        + "). Install it: apt-get install libgtk-3-0 libxtst6 libxxf86vm1 libgl1"
                : "no window can open on the display \""
                        + (display == null ? "" : display)
                        + "\" ("
                        + why
                        + "). Start it from a desktop, or use a command: ./vocalis --help";
    }
}
