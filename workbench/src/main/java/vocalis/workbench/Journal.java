package vocalis.workbench;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicReference;
import vocalis.core.arrange.Piece;
import vocalis.formats.FormatException;
import vocalis.formats.json.Extras;
import vocalis.formats.json.PieceCodec;

/**
 * Keeps what is not saved yet: after every edit the document as it is, in a file of its own, on a
 * thread of its own, of several that wait only the newest. What a window leaves behind when it is
 * killed is found by the next one; a window that lives holds a lock on its own.
 */
public final class Journal implements AutoCloseable {

    private static final String ENDING = ".journal.json";
    private static final ObjectMapper MAPPER = new ObjectMapper();

    /**
     * What was left behind.
     *
     * @param piece as it was after the last edit
     * @param file where it was last saved; empty for a riff that never was
     * @param at the journal's own file
     */
    public record Left(Piece piece, Extras extras, Optional<Path> file, Path at) {}

    private record Snapshot(Piece piece, Extras extras, Optional<Path> file) {}

    private final Path folder;
    private final Path own;
    private final Path lockFile;
    private final FileChannel lock;
    private final ExecutorService writer =
            Executors.newSingleThreadExecutor(r -> new Thread(r, "vocalis-journal"));
    private final AtomicReference<Snapshot> waiting = new AtomicReference<>();
    private volatile boolean broken;

    private Journal(Path folder, Path own, Path lockFile, FileChannel lock) {
        this.folder = folder;
        this.own = own;
        this.lockFile = lockFile;
        this.lock = lock;
    }

    /** A journal in a folder, which is made. */
    public static Journal in(Path folder) throws IOException {
        Files.createDirectories(folder);
        String name = UUID.randomUUID().toString();
        Path lockFile = folder.resolve(name + ".lock");
        FileChannel lock =
                FileChannel.open(lockFile, StandardOpenOption.WRITE, StandardOpenOption.CREATE);
        lock.tryLock();
        return new Journal(folder, folder.resolve(name + ENDING), lockFile, lock);
    }

    /** Keeps a document as it is now; returns at once. */
    public void keep(Piece piece, Extras extras, Optional<Path> file) {
        if (waiting.getAndSet(new Snapshot(piece, extras, file)) == null) {
            writer.execute(this::write);
        }
    }

    /** There is nothing unsaved any more. */
    public void forget() {
        waiting.set(null);
        writer.execute(this::delete);
    }

    private void delete() {
        if (waiting.get() != null) {
            return;
        }
        try {
            Files.deleteIfExists(own);
        } catch (IOException e) {
            Log.note("the journal stays: " + e.getMessage());
        }
    }

    private void write() {
        Snapshot s = waiting.getAndSet(null);
        if (s == null) {
            return;
        }
        try {
            ObjectNode top = MAPPER.createObjectNode();
            s.file().ifPresent(f -> top.put("file", f.toAbsolutePath().toString()));
            top.set("piece", MAPPER.readTree(PieceCodec.write(s.piece(), s.extras())));
            SafeFiles.write(own, MAPPER.writeValueAsBytes(top));
            broken = false;
        } catch (IOException | FormatException e) {
            // Said once, not at every edit.
            if (!broken) {
                broken = true;
                Log.failed("keeping unsaved work (save it yourself)", e);
            }
        }
    }

    /** Waits until all that was asked is written. */
    public void settle() {
        try {
            writer.submit(() -> {}).get(20, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException | TimeoutException e) {
            Log.failed("waiting for the journal", e);
        }
    }

    /** What windows that are no more left behind, the newest first. */
    public List<Left> left() {
        List<Path> all = new ArrayList<>();
        try (DirectoryStream<Path> files = Files.newDirectoryStream(folder, "*" + ENDING)) {
            files.forEach(all::add);
        } catch (IOException e) {
            Log.failed("looking for unsaved work", e);
        }
        all.sort(Comparator.comparing(Journal::modified).reversed());
        List<Left> found = new ArrayList<>();
        for (Path p : all) {
            if (!p.equals(own) && !lives(p)) {
                read(p).ifPresent(found::add);
            }
        }
        return found;
    }

    private static long modified(Path p) {
        try {
            return Files.getLastModifiedTime(p).toMillis();
        } catch (IOException e) {
            return 0;
        }
    }

    private Path lockOf(Path journal) {
        String name = journal.getFileName().toString();
        return folder.resolve(name.substring(0, name.length() - ENDING.length()) + ".lock");
    }

    /** Whether the window of a journal is still there. */
    private boolean lives(Path journal) {
        Path file = lockOf(journal);
        if (!Files.exists(file)) {
            return false;
        }
        try (FileChannel c = FileChannel.open(file, StandardOpenOption.WRITE)) {
            return c.tryLock() == null;
        } catch (OverlappingFileLockException e) {
            return true;
        } catch (IOException e) {
            Log.note("a journal's lock cannot be asked: " + e.getMessage());
            return true;
        }
    }

    private static Optional<Left> read(Path p) {
        try {
            JsonNode top = MAPPER.readTree(Files.readAllBytes(p));
            PieceCodec.Content content =
                    PieceCodec.read(MAPPER.writeValueAsBytes(top.path("piece")));
            Map<String, Object> said = MAPPER.convertValue(top, new TypeReference<>() {});
            Optional<Path> file =
                    Optional.ofNullable(said.get("file")).map(f -> Path.of(String.valueOf(f)));
            return Optional.of(new Left(content.piece(), content.extras(), file, p));
        } catch (IOException | FormatException | IllegalArgumentException e) {
            Log.failed("reading unsaved work in " + p.getFileName(), e);
            return Optional.empty();
        }
    }

    /** Lets go of what was left behind, once it was taken or refused. */
    public void discard(Left left) {
        try {
            Files.deleteIfExists(left.at());
            Files.deleteIfExists(lockOf(left.at()));
        } catch (IOException e) {
            Log.note("a journal stays: " + e.getMessage());
        }
    }

    /** Writes what waits and lets go; what is unsaved stays to be found. */
    @Override
    public void close() {
        writer.shutdown();
        try {
            writer.awaitTermination(20, TimeUnit.SECONDS);
            lock.close();
            if (!Files.exists(own)) {
                Files.deleteIfExists(lockFile);
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (IOException e) {
            Log.note("the journal's lock stays: " + e.getMessage());
        }
    }
}
