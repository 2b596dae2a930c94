package vocalis.workbench.base;

import java.io.IOException;
import java.lang.System.Logger.Level;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.BiConsumer;
import java.util.function.Consumer;
import java.util.logging.FileHandler;
import java.util.logging.Handler;
import java.util.logging.Logger;
import java.util.logging.SimpleFormatter;

/**
 * What went wrong, written through {@link System.Logger} to a small rotating file, and told to
 * whoever shows it. Safe for use by several threads.
 */
public final class Log {

    /** A file's size at most, and how many are kept. */
    private static final int BYTES = 256 * 1024;

    private static final int FILES = 3;

    private static final System.Logger LOGGER = System.getLogger("vocalis");
    private static final Logger BACKEND = Logger.getLogger("vocalis");
    private static final List<Consumer<String>> TOLD = new CopyOnWriteArrayList<>();
    private static final List<BiConsumer<String, Throwable>> CAUGHT = new CopyOnWriteArrayList<>();

    private Log() {}

    /**
     * Begins to write to files {@code vocalis.0.log} … in a folder. Where that is not possible,
     * what went wrong goes to standard error as before.
     *
     * @return ends writing to them
     */
    public static Subscription to(Path folder) {
        try {
            Files.createDirectories(folder);
            Handler file =
                    new FileHandler(
                            folder.resolve("vocalis.%g.log").toString(), BYTES, FILES, true);
            file.setFormatter(new SimpleFormatter());
            file.setEncoding("UTF-8");
            BACKEND.addHandler(file);
            return () -> {
                BACKEND.removeHandler(file);
                file.close();
            };
        } catch (IOException e) {
            LOGGER.log(Level.WARNING, "the log cannot be written to " + folder, e);
            return () -> {};
        }
    }

    /** Tells somebody, in one line, of everything that goes wrong; on the thread where it did. */
    public static Subscription tell(Consumer<String> listener) {
        TOLD.add(listener);
        return () -> TOLD.remove(listener);
    }

    /**
     * Something failed that should not have.
     *
     * @param where what the program was doing, such as "deriving the riff"
     */
    public static void failed(String where, Throwable e) {
        LOGGER.log(Level.ERROR, "failed while " + where, e);
        TOLD.forEach(
                l ->
                        l.accept(
                                "Something went wrong while "
                                        + where
                                        + "; your riff is as it was. The log says more."));
    }

    /** Tells somebody of every failure that nobody expected; on the thread where it happened. */
    public static Subscription caught(BiConsumer<String, Throwable> listener) {
        CAUGHT.add(listener);
        return () -> CAUGHT.remove(listener);
    }

    /**
     * Something failed that nobody expected: told to those who {@link #caught} it, or else in a
     * line as {@link #failed} is.
     *
     * @param where what the program was doing, such as "showing the window"
     */
    public static void unexpected(String where, Throwable e) {
        if (CAUGHT.isEmpty()) {
            failed(where, e);
            return;
        }
        LOGGER.log(Level.ERROR, "failed while " + where, e);
        CAUGHT.forEach(l -> l.accept(where, e));
    }

    /** Something worth knowing later. */
    public static void note(String what) {
        LOGGER.log(Level.INFO, what);
    }
}
