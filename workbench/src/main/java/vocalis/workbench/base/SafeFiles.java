package vocalis.workbench.base;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFileAttributeView;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.locks.ReentrantLock;

/**
 * Replaces a file as a whole or not at all: what is written goes to a temporary file beside it, is
 * flushed to the disk, and then takes its name; the folder is flushed too. The temporary file has
 * one name per target, so that one left by a killed program is used again. Rights of the file that
 * is replaced stay; a new one has those that the system gives. A symbolic link is followed; a file
 * that has several names is written in place, after a copy of it was put aside, so that the names
 * stay one file. What is read-only, a folder, a pipe or a device is refused.
 */
public final class SafeFiles {

    /**
     * Threads of this program wait for each other here: a system may give back every lock of a
     * process on a file when it closes any of its channels to it.
     */
    private static final Map<Path, ReentrantLock> THREADS = new ConcurrentHashMap<>();

    private SafeFiles() {}

    /** Writes content. */
    @FunctionalInterface
    public interface Content {
        void writeTo(OutputStream out) throws IOException;
    }

    /** Replaces a file's content. */
    public static void write(Path file, byte[] bytes) throws IOException {
        write(file, out -> out.write(bytes));
    }

    /** Asked while nobody else can write the file; what it throws leaves the file as it is. */
    @FunctionalInterface
    public interface Guard {
        void check() throws IOException;
    }

    /** Replaces a file's content by what is written as it comes. */
    public static void write(Path file, Content content) throws IOException {
        write(file, content, () -> {});
    }

    /** The same if a guard agrees; other windows wait meanwhile. */
    public static void write(Path file, Content content, Guard guard) throws IOException {
        Path target = Files.isSymbolicLink(file) ? linked(file) : file.toAbsolutePath();
        ReentrantLock mine = THREADS.computeIfAbsent(target, t -> new ReentrantLock());
        mine.lock();
        try {
            FileChannel held = lock(target);
            try {
                guard.check();
                replace(target, content);
            } finally {
                held.close();
            }
        } finally {
            mine.unlock();
        }
    }

    private static void replace(Path target, Content content) throws IOException {
        check(target);
        if (names(target) > 1) {
            inPlace(target, content);
            return;
        }
        Path temp = target.resolveSibling("." + target.getFileName() + ".vocalis-tmp");
        // Nothing half written stays when the program is interrupted.
        Thread sweep = new Thread(() -> deleteQuietly(temp));
        Runtime.getRuntime().addShutdownHook(sweep);
        try (FileChannel channel = openTemp(temp)) {
            channel.truncate(0);
            fill(channel, content);
            keepRights(target, temp);
            move(temp, target);
            flushFolder(target.getParent());
        } catch (IOException | RuntimeException e) {
            Files.deleteIfExists(temp);
            throw e;
        } finally {
            keep(sweep);
        }
    }

    private static void deleteQuietly(Path temp) {
        try {
            Files.deleteIfExists(temp);
        } catch (IOException e) {
            Log.note(temp + " stays: " + e.getMessage());
        }
    }

    private static void keep(Thread sweep) {
        try {
            Runtime.getRuntime().removeShutdownHook(sweep);
        } catch (IllegalStateException e) {
            Log.note("interrupted while a file was written");
        }
    }

    private static Path linked(Path file) throws IOException {
        return Files.exists(file)
                ? file.toRealPath()
                : file.resolveSibling(Files.readSymbolicLink(file)).toAbsolutePath();
    }

    private static void check(Path target) throws IOException {
        if (!Files.exists(target)) {
            return;
        }
        if (!Files.isRegularFile(target)) {
            throw new FileSystemException(
                    target.toString(), null, "it is no ordinary file; choose another name");
        }
        if (readOnly(target)) {
            throw new AccessDeniedException(
                    target.toString(), null, "it is read-only; choose another name");
        }
    }

    /** By its own rights too: an administrator may write everything, but was asked not to. */
    private static boolean readOnly(Path target) throws IOException {
        PosixFileAttributeView posix =
                Files.getFileAttributeView(target, PosixFileAttributeView.class);
        boolean noneMayWrite =
                posix != null
                        && posix.readAttributes().permissions().stream()
                                .noneMatch(p -> p.name().endsWith("WRITE"));
        return noneMayWrite || !Files.isWritable(target);
    }

    private static FileChannel openTemp(Path temp) throws IOException {
        if (Files.exists(temp, LinkOption.NOFOLLOW_LINKS) && !Files.isRegularFile(temp)) {
            Files.delete(temp);
        }
        return FileChannel.open(temp, StandardOpenOption.WRITE, StandardOpenOption.CREATE);
    }

    private static final long WAIT_MS = 2000;

    /**
     * Holds a file against other windows: by a lock elsewhere, for the file itself is replaced and
     * what is locked of it would be the old one. Given back when the channel is closed.
     */
    private static FileChannel lock(Path target) throws IOException {
        Path folder =
                Path.of(
                        System.getProperty("java.io.tmpdir"),
                        "vocalis-" + System.getProperty("user.name"));
        Files.createDirectories(folder);
        String name = stamp(target.toString().getBytes(StandardCharsets.UTF_8));
        Path file = folder.resolve(name.substring(0, 32) + ".lock");
        FileChannel channel =
                FileChannel.open(file, StandardOpenOption.WRITE, StandardOpenOption.CREATE);
        long end = System.nanoTime() + WAIT_MS * 1_000_000;
        while (true) {
            if (channel.tryLock() != null) {
                return channel;
            }
            if (System.nanoTime() > end) {
                channel.close();
                throw new FileSystemException(
                        target.toString(),
                        null,
                        "another window is writing it just now; try again");
            }
            try {
                Thread.sleep(3);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                channel.close();
                throw new FileSystemException(target.toString(), null, "the program is ending");
            }
        }
    }

    private static void fill(FileChannel channel, Content content) throws IOException {
        OutputStream out =
                new java.io.BufferedOutputStream(Channels.newOutputStream(channel), 1 << 16);
        content.writeTo(out);
        out.flush();
        channel.force(true);
    }

    private static void keepRights(Path from, Path to) throws IOException {
        PosixFileAttributeView old =
                Files.exists(from)
                        ? Files.getFileAttributeView(from, PosixFileAttributeView.class)
                        : null;
        if (old != null) {
            Files.setPosixFilePermissions(to, old.readAttributes().permissions());
        }
    }

    private static void move(Path temp, Path target) throws IOException {
        try {
            Files.move(temp, target, StandardCopyOption.ATOMIC_MOVE);
        } catch (AtomicMoveNotSupportedException e) {
            Files.move(temp, target, StandardCopyOption.REPLACE_EXISTING);
        }
    }

    /** How many names a file has; 1 where the system does not say. */
    private static int names(Path file) throws IOException {
        if (!Files.exists(file)) {
            return 1;
        }
        try {
            return (Integer) Files.getAttribute(file, "unix:nlink");
        } catch (UnsupportedOperationException | IllegalArgumentException e) {
            return 1;
        }
    }

    private static void inPlace(Path target, Content content) throws IOException {
        Path aside = target.resolveSibling("." + target.getFileName() + ".vocalis-before");
        Files.copy(target, aside, StandardCopyOption.REPLACE_EXISTING);
        java.io.ByteArrayOutputStream whole = new java.io.ByteArrayOutputStream();
        content.writeTo(whole);
        try (FileChannel channel = FileChannel.open(target, StandardOpenOption.WRITE)) {
            channel.truncate(0);
            fill(channel, out -> whole.writeTo(out));
        } catch (IOException e) {
            Files.copy(aside, target, StandardCopyOption.REPLACE_EXISTING);
            throw e;
        } finally {
            Files.deleteIfExists(aside);
        }
    }

    /** Flushes the rename itself, where the system can. */
    private static void flushFolder(Path folder) {
        try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
            channel.force(true);
        } catch (IOException e) {
            // Some systems cannot open a folder; the file itself is flushed all the same.
            return;
        }
    }

    /** Whether two paths are one file, whatever they are called. */
    public static boolean same(Path a, Path b) throws IOException {
        return Files.exists(a) && Files.exists(b) && Files.isSameFile(a, b);
    }

    /** A fingerprint of content: SHA-256, for times of files cannot be trusted. */
    public static String stamp(byte[] bytes) {
        try {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            return HexFormat.of().formatHex(digest.digest(bytes));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java platform has SHA-256", e);
        }
    }
}
