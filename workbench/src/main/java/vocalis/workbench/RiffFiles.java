package vocalis.workbench;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import vocalis.core.riff.NamedRiff;
import vocalis.formats.FormatException;
import vocalis.formats.json.RiffCodec;

/** Riffs on disk. Saving never leaves a half-written file in the place of a whole one. */
public final class RiffFiles {

    /** Ending of a riff's file. */
    public static final String ENDING = ".vocalis.json";

    private RiffFiles() {}

    /** A file that cannot be read or written, told to the user as it stands. */
    public static final class RiffFileException extends Exception {
        public RiffFileException(String message, Throwable cause) {
            super(message, cause);
        }
    }

    /** Reads a riff; the message of what it throws names the file, the trouble and the way out. */
    public static NamedRiff read(Path file) throws RiffFileException {
        try {
            if (Files.size(file) > RiffCodec.MOST_BYTES) {
                throw new RiffFileException(
                        file.getFileName() + " is far too large for a riff; is it the right file?",
                        null);
            }
            return RiffCodec.read(Files.readAllBytes(file));
        } catch (NoSuchFileException e) {
            throw new RiffFileException(file + " does not exist", e);
        } catch (FormatException e) {
            throw new RiffFileException(file.getFileName() + ": " + e.getMessage(), e);
        } catch (IOException e) {
            throw new RiffFileException(file + " cannot be read: " + e.getMessage(), e);
        }
    }

    /** Writes a riff: to a temporary file beside it, flushed to the disk, then renamed over it. */
    public static void write(NamedRiff named, Path file) throws RiffFileException {
        try {
            writeAtomically(file, RiffCodec.write(named));
        } catch (IOException e) {
            throw new RiffFileException(
                    file.getFileName()
                            + " was not saved ("
                            + e.getMessage()
                            + "); your riff is still open here: save it to another place",
                    e);
        }
    }

    /** Replaces a file's content as a whole or not at all. */
    public static void writeAtomically(Path file, byte[] bytes) throws IOException {
        Path target = Files.isSymbolicLink(file) ? file.toRealPath() : file.toAbsolutePath();
        Path temp = Files.createTempFile(target.getParent(), ".vocalis-", ".tmp");
        try {
            try (FileChannel channel = FileChannel.open(temp, StandardOpenOption.WRITE)) {
                ByteBuffer buffer = ByteBuffer.wrap(bytes);
                while (buffer.hasRemaining()) {
                    channel.write(buffer);
                }
                channel.force(true);
            }
            try {
                Files.move(temp, target, StandardCopyOption.ATOMIC_MOVE);
            } catch (AtomicMoveNotSupportedException e) {
                Files.move(temp, target, StandardCopyOption.REPLACE_EXISTING);
            }
            syncFolder(target.getParent());
        } finally {
            Files.deleteIfExists(temp);
        }
    }

    /** Flushes the rename itself, where the system can. */
    private static void syncFolder(Path folder) {
        try (FileChannel channel = FileChannel.open(folder, StandardOpenOption.READ)) {
            channel.force(true);
        } catch (IOException e) {
            // Some systems cannot open a folder; the file itself is flushed all the same.
        }
    }

    /** The path with the ending of a riff's file. */
    public static Path withEnding(Path file) {
        String name = file.getFileName().toString();
        return name.endsWith(".json") ? file : file.resolveSibling(name + ENDING);
    }
}
