package vocalis.workbench.library;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.AccessDeniedException;
import java.nio.file.DirectoryStream;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import vocalis.core.piece.Piece;
import vocalis.formats.FormatException;
import vocalis.formats.json.Extras;
import vocalis.formats.json.PieceCodec;
import vocalis.workbench.base.Log;
import vocalis.workbench.base.SafeFiles;

/**
 * Keeps what is not saved yet: after every edit the document as it is, in a file of its own, on a
 * thread of its own, of several that wait only the newest. Windows take numbered places; one that
 * lives holds a lock on its own, and what lies in a place that nobody holds was left behind.
 */
public final class Journal implements AutoCloseable {

    private static final String ENDING = ".journal.json";
    private static final ObjectMapper MAPPER = new ObjectMapper();

    /**
     * What was left behind.
     *
     * @param piece as it was after the last edit
     * @param file where it was last saved; empty for a riff that never was
     * @param stamp what that file held then
     * @param at the journal's own file
     */
    public record Left(
            Piece piece, Extras extras, Optional<Path> file, Optional<String> stamp, Path at) {}

    /** What the journal's file shall hold: one state, of which only the newest waits. */
    private sealed interface Wish {

        /** The document as it is. */
        record Keep(Piece piece, Extras extras, Optional<Path> file, Optional<String> stamp)
                implements Wish {}

        /** Nothing: all is saved. */
        record Forget() implements Wish {}
    }

    /** Where the file is written; tests put a slow disk in its place. */
    interface Disk {
        void write(Path file, byte[] bytes) throws IOException;

        void delete(Path file) throws IOException;

        /** The real one. */
        static Disk real() {
            return new Disk() {
                @Override
                public void write(Path file, byte[] bytes) throws IOException {
                    SafeFiles.write(file, bytes);
                }

                @Override
                public void delete(Path file) throws IOException {
                    Files.deleteIfExists(file);
                }
            };
        }
    }

    /** Places of this program's own windows, whose locks it must not touch. */
    private static final Set<Path> HELD = ConcurrentHashMap.newKeySet();

    private static final int MOST_PLACES = 1000;

    private final Path folder;
    private final Path own;
    private final Path lockFile;
    private final FileChannel lock;
    private final ExecutorService writer =
            Executors.newSingleThreadExecutor(r -> new Thread(r, "vocalis-journal"));
    private final AtomicReference<Wish> waiting = new AtomicReference<>();
    private final Disk disk;
    private final List<Path> damaged = new CopyOnWriteArrayList<>();
    private volatile Optional<String> trouble = Optional.empty();
    private volatile Consumer<Optional<String>> told = why -> {};

    private Journal(Path folder, Path own, Path lockFile, FileChannel lock, Disk disk) {
        this.disk = disk;
        this.folder = folder;
        this.own = own;
        this.lockFile = lockFile;
        this.lock = lock;
    }

    /** A journal in a folder, which is made: in the first place that is free and empty. */
    public static Journal in(Path folder) throws IOException {
        return in(folder, Disk.real());
    }

    static Journal in(Path folder, Disk disk) throws IOException {
        Files.createDirectories(folder);
        for (int n = 1; n <= MOST_PLACES; n++) {
            Path own = folder.resolve(n + ENDING);
            Path lockFile = folder.resolve(n + ".lock");
            FileChannel lock = HELD.contains(lockFile) ? null : held(lockFile);
            if (lock != null && !Files.exists(own)) {
                HELD.add(lockFile);
                return new Journal(folder, own, lockFile, lock, disk);
            }
            if (lock != null) {
                lock.close();
            }
        }
        throw new IOException("all " + MOST_PLACES + " places of the journal are taken");
    }

    /** The lock of a place; null when another program has it. */
    private static FileChannel held(Path lockFile) throws IOException {
        FileChannel lock =
                FileChannel.open(lockFile, StandardOpenOption.WRITE, StandardOpenOption.CREATE);
        if (lock.tryLock() != null) {
            return lock;
        }
        lock.close();
        return null;
    }

    /**
     * Keeps a document as it is now; returns at once.
     *
     * @param file where it was last saved
     * @param stamp what that file held then
     */
    public void keep(Piece piece, Extras extras, Optional<Path> file, Optional<String> stamp) {
        wish(new Wish.Keep(piece, extras, file, stamp));
    }

    /** There is nothing unsaved any more. */
    public void forget() {
        wish(new Wish.Forget());
    }

    /**
     * Each wish replaces the one that waits, so that whatever the disk's pace the last one asked is
     * the last one done: deeds in a queue could overtake what they were asked for.
     */
    private void wish(Wish wish) {
        if (waiting.getAndSet(wish) == null) {
            writer.execute(this::fulfil);
        }
    }

    private void fulfil() {
        Wish wish = waiting.getAndSet(null);
        if (wish instanceof Wish.Keep k) {
            write(k);
        } else {
            delete();
        }
    }

    private void delete() {
        try {
            disk.delete(own);
            state(Optional.empty());
        } catch (IOException e) {
            Log.note("the journal stays: " + e.getMessage());
        }
    }

    private void write(Wish.Keep s) {
        try {
            ObjectNode top = MAPPER.createObjectNode();
            s.file().ifPresent(f -> top.put("file", f.toAbsolutePath().toString()));
            s.stamp().ifPresent(x -> top.put("stamp", x));
            top.set("piece", MAPPER.readTree(PieceCodec.write(s.piece(), s.extras())));
            disk.write(own, MAPPER.writeValueAsBytes(top));
            state(Optional.empty());
        } catch (IOException | FormatException e) {
            // Written down once, not at every edit.
            if (trouble.isEmpty()) {
                Log.note("unsaved work is not kept: " + e);
            }
            state(Optional.of(why(e)));
        }
    }

    /** Why a place for unsaved work cannot be used, in a clause. */
    public static String why(Exception e) {
        if (e instanceof FileSystemException f && f.getFile() != null && f.getReason() == null) {
            return f.getFile()
                    + (f instanceof AccessDeniedException
                            ? " may not be written"
                            : f instanceof FileAlreadyExistsException
                                    ? " is in the way of the folder"
                                    : " cannot be written");
        }
        return e.getMessage() == null ? e.toString() : e.getMessage();
    }

    private void state(Optional<String> now) {
        boolean other = !now.equals(trouble);
        trouble = now;
        if (other) {
            told.accept(now);
        }
    }

    /** Why nothing is kept at the moment; empty where it is. */
    public Optional<String> trouble() {
        return trouble;
    }

    /**
     * Hears why unsaved work cannot be kept, or that it is kept again; on the writing thread, and
     * at once what holds now.
     */
    public void onTrouble(Consumer<Optional<String>> listener) {
        told = listener;
        listener.accept(trouble);
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
                Optional<Left> left = read(p);
                left.ifPresentOrElse(found::add, () -> aside(p));
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
        if (HELD.contains(file)) {
            return true;
        }
        try {
            FileChannel lock = held(file);
            if (lock != null) {
                lock.close();
            }
            return lock == null;
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
            Optional<String> file = Optional.ofNullable(top.path("file").textValue());
            Optional<String> stamp = Optional.ofNullable(top.path("stamp").textValue());
            return Optional.of(
                    new Left(content.piece(), content.extras(), file.map(Path::of), stamp, p));
        } catch (IOException | FormatException | IllegalArgumentException e) {
            Log.note("unsaved work cannot be read in " + p.getFileName() + ": " + e);
            return Optional.empty();
        }
    }

    /** Puts a file that cannot be read aside, under a name that says so; it stays as it is. */
    private void aside(Path p) {
        String name = p.getFileName().toString();
        String stem = name.substring(0, name.length() - ENDING.length());
        for (int n = 1; n <= MOST_PLACES; n++) {
            Path to = folder.resolve(stem + "-damaged-" + n + ".json");
            if (!Files.exists(to)) {
                try {
                    Files.move(p, to);
                    damaged.add(to);
                } catch (IOException e) {
                    Log.note("damaged work stays where it is: " + e.getMessage());
                    damaged.add(p);
                }
                return;
            }
        }
    }

    /** Files that were found and could not be read, where they lie now. */
    public List<Path> damaged() {
        return List.copyOf(damaged);
    }

    /** Lets go of what was left behind, once it was taken or refused. */
    public void discard(Left left) {
        try {
            Files.deleteIfExists(left.at());
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
            HELD.remove(lockFile);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (IOException e) {
            Log.note("the journal's lock stays: " + e.getMessage());
        }
    }
}
