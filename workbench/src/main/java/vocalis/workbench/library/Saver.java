package vocalis.workbench.library;

import java.nio.file.Path;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import java.util.function.Supplier;
import vocalis.core.piece.Piece;
import vocalis.formats.json.Extras;
import vocalis.workbench.base.Log;

/**
 * Writes documents on a thread of its own, one after another in the order asked, so that a slow
 * disk holds up nothing else. The program does not end before what was asked is written.
 */
public final class Saver implements AutoCloseable {

    /** How a save went. */
    public sealed interface Outcome {

        /** It is on disk. */
        record Saved(Path file, String stamp) implements Outcome {}

        /** It was not written; why, and what to do. */
        record Failed(String why) implements Outcome {}

        /** It was not written: somebody else changed the file. */
        record Changed(Path file, String why) implements Outcome {}
    }

    private final ExecutorService writer =
            Executors.newSingleThreadExecutor(r -> new Thread(r, "vocalis-save"));
    private final Executor home;

    /**
     * @param home where outcomes are told
     */
    public Saver(Executor home) {
        this.home = home;
    }

    /**
     * Writes a snapshot; {@code then} is told how it went.
     *
     * @param piece makes it ready on the thread that writes
     */
    public void save(
            Supplier<Piece> piece, Extras extras, Path file, String known, Consumer<Outcome> then) {
        writer.execute(
                () -> {
                    Outcome outcome = now(piece, extras, file, known);
                    home.execute(() -> then.accept(outcome));
                });
    }

    private static Outcome now(Supplier<Piece> piece, Extras extras, Path file, String known) {
        try {
            return new Outcome.Saved(file, PieceFiles.write(piece.get(), extras, file, known));
        } catch (PieceFiles.ChangedOnDisk e) {
            return new Outcome.Changed(file, e.getMessage());
        } catch (PieceFiles.PieceFileException e) {
            Log.note(e.getMessage());
            return new Outcome.Failed(e.getMessage());
        } catch (RuntimeException e) {
            Log.failed("saving", e);
            return new Outcome.Failed(file.getFileName() + " was not saved: " + e.getMessage());
        }
    }

    /** Waits for what was asked, some seconds at most, and ends. */
    @Override
    public void close() {
        writer.shutdown();
        try {
            writer.awaitTermination(20, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
