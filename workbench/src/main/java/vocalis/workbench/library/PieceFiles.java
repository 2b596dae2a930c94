package vocalis.workbench.library;

import java.io.IOException;
import java.nio.file.AccessDeniedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import vocalis.core.piece.Piece;
import vocalis.formats.FormatException;
import vocalis.formats.json.Extras;
import vocalis.formats.json.PieceCodec;
import vocalis.workbench.base.SafeFiles;

/** Pieces on disk. Saving never leaves a half-written file in the place of a whole one. */
public final class PieceFiles {

    /** Ending of a piece's file. */
    public static final String ENDING = ".vocalis.json";

    private PieceFiles() {}

    /** A file that cannot be read or written, told to the user as it stands. */
    public static final class PieceFileException extends Exception {
        public PieceFileException(String message, Throwable cause) {
            super(message, cause);
        }
    }

    /** A file that was changed by somebody else since it was read or saved here. */
    public static final class ChangedOnDisk extends Exception {
        public ChangedOnDisk(Path file) {
            super(file.getFileName() + " was changed on disk since it was opened here");
        }
    }

    /** Somebody else wrote meanwhile. */
    private static final class Overtaken extends IOException {}

    /** What a newer program wrote is not written over: it would lose what only that one knows. */
    private static final class WrittenByNewer extends IOException {
        WrittenByNewer() {
            super("a newer Vocalis wrote what lies there");
        }
    }

    /**
     * A piece with the file that it came from.
     *
     * @param stamp of the file's content
     * @param newer whether a newer program wrote it: to look at, and never written over
     */
    public record ReadPiece(Piece piece, Extras extras, Path file, String stamp, boolean newer) {
        /** The same file with its piece made ready to be worked on. */
        public ReadPiece with(Piece ready) {
            return new ReadPiece(ready, extras, file, stamp, newer);
        }
    }

    /** Reads a piece; the message of what it throws names the file, the trouble and the way out. */
    public static ReadPiece read(Path file) throws PieceFileException {
        try {
            if (!Files.exists(file)) {
                throw new NoSuchFileException(file.toString());
            }
            if (!Files.isRegularFile(file)) {
                throw new PieceFileException(
                        file + " is no ordinary file; choose a " + ENDING + " file", null);
            }
            if (Files.size(file) > PieceCodec.MOST_BYTES) {
                throw new PieceFileException(
                        file.getFileName() + " is far too large for a riff; is it the right file?",
                        null);
            }
            byte[] bytes = Files.readAllBytes(file);
            PieceCodec.Content content = PieceCodec.read(bytes);
            return opened(content, file, bytes);
        } catch (NoSuchFileException e) {
            throw new PieceFileException(file + " does not exist", e);
        } catch (FormatException e) {
            throw new PieceFileException(file.getFileName() + ": " + e.getMessage(), e);
        } catch (IOException e) {
            throw new PieceFileException(file + " cannot be read: " + reason(e), e);
        }
    }

    private static ReadPiece opened(PieceCodec.Content content, Path file, byte[] bytes) {
        String stamp = SafeFiles.stamp(bytes);
        return new ReadPiece(content.piece(), content.extras(), file, stamp, content.newer());
    }

    /** Whether a file is there and holds something else than when it had a stamp. */
    public static boolean differs(Path file, String stamp) {
        try {
            return Files.isRegularFile(file)
                    && !SafeFiles.stamp(Files.readAllBytes(file)).equals(stamp);
        } catch (IOException e) {
            return false;
        }
    }

    /**
     * A piece of bytes that came from elsewhere than a file.
     *
     * @param from what they came from, in words
     */
    public static ReadPiece opened(byte[] bytes, String from) throws PieceFileException {
        try {
            PieceCodec.Content content = PieceCodec.read(bytes);
            return opened(content, Path.of(from), bytes);
        } catch (FormatException e) {
            throw new PieceFileException(from + ": " + e.getMessage(), e);
        }
    }

    /**
     * Writes a piece: to a temporary file beside it, flushed to the disk, then renamed over it.
     *
     * @param known stamp of the content that may be replaced; null where anything may be
     * @return stamp of what was written
     * @throws ChangedOnDisk when the file holds something else than what is known; it is left
     */
    public static String write(Piece piece, Extras extras, Path file, String known)
            throws PieceFileException, ChangedOnDisk {
        try {
            byte[] bytes = PieceCodec.write(piece, extras);
            SafeFiles.write(
                    file,
                    out -> out.write(bytes),
                    () -> {
                        byte[] there = Files.isRegularFile(file) ? Files.readAllBytes(file) : null;
                        if (there != null && PieceCodec.newer(there)) {
                            throw new WrittenByNewer();
                        }
                        if (there != null
                                && known != null
                                && !SafeFiles.stamp(there).equals(known)) {
                            throw new Overtaken();
                        }
                    });
            return SafeFiles.stamp(bytes);
        } catch (Overtaken e) {
            throw new ChangedOnDisk(file);
        } catch (IOException | FormatException e) {
            String why = e instanceof IOException io ? reason(io) : e.getMessage();
            throw new PieceFileException(
                    file.getFileName()
                            + " was not saved ("
                            + why
                            + "); your riff is still open here: save it to another place",
                    e);
        }
    }

    /** What an exception of the file system means, without the path that everybody knows. */
    public static String reason(IOException e) {
        if (e instanceof AccessDeniedException denied) {
            return denied.getReason() != null ? denied.getReason() : "it may not be written there";
        }
        if (e instanceof NoSuchFileException) {
            return "the folder does not exist";
        }
        if (e instanceof FileSystemException fs && fs.getReason() != null) {
            return fs.getReason();
        }
        return e.getMessage() == null ? e.getClass().getSimpleName() : e.getMessage();
    }

    /**
     * The path with the whole ending of a piece's file, of which a dialog may have added a part.
     */
    public static Path withEnding(Path file) {
        return file.resolveSibling(stem(file) + ENDING);
    }

    /** The name of a piece's file without any of its ending. */
    public static String stem(Path file) {
        String name = file.getFileName().toString();
        for (String ending : List.of(ENDING, ".json", ".vocalis")) {
            boolean longer = name.length() > ending.length();
            if (longer && name.toLowerCase(Locale.ROOT).endsWith(ending)) {
                return name.substring(0, name.length() - ending.length());
            }
        }
        return name;
    }
}
