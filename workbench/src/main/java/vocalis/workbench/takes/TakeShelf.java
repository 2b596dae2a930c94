package vocalis.workbench.takes;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import vocalis.formats.FormatException;
import vocalis.formats.wav.WavCodec;
import vocalis.formats.wav.WavReader;
import vocalis.sound.listen.Take;
import vocalis.workbench.base.SafeFiles;

/**
 * Takes on disk: a WAV file and a line of words each, in a folder of the piece. Nothing else leaves
 * the memory of what was heard.
 */
public final class TakeShelf {

    private static final String SOUND = ".wav";
    private static final String WORDS = ".txt";
    private static final DateTimeFormatter NAME =
            DateTimeFormatter.ofPattern("uuuu-MM-dd HH-mm-ss", Locale.ROOT);

    private final Path folder;

    /**
     * @param data where the program keeps what is the player's
     */
    public TakeShelf(Path data) {
        folder = data.resolve("takes");
    }

    /**
     * A take that was kept.
     *
     * @param file its sound
     * @param when as it is in the file's name
     * @param words what was told of it
     */
    public record Kept(Path file, String when, String words) {}

    /**
     * Keeps a take.
     *
     * @param piece id of the piece
     * @param words what is told of it, such as tempo and what was heard
     */
    public Kept keep(String piece, LocalDateTime when, String words, Take take) throws IOException {
        Path of = of(piece);
        Files.createDirectories(of);
        String name = when.format(NAME);
        for (int i = 2; Files.exists(of.resolve(name + SOUND)); i++) {
            name = when.format(NAME) + " " + i;
        }
        SafeFiles.write(
                of.resolve(name + SOUND),
                WavCodec.write(take.stereo(), (int) Math.round(take.rate())));
        SafeFiles.write(of.resolve(name + WORDS), words.getBytes(StandardCharsets.UTF_8));
        return new Kept(of.resolve(name + SOUND), name, words);
    }

    private Path of(String piece) {
        return folder.resolve(piece.replaceAll("[^A-Za-z0-9-]", "_"));
    }

    /** The takes of a piece, newest first. */
    public List<Kept> all(String piece) throws IOException {
        Path of = of(piece);
        if (!Files.isDirectory(of)) {
            return List.of();
        }
        List<Kept> all = new ArrayList<>();
        try (Stream<Path> files = Files.list(of)) {
            for (Path f : files.filter(p -> p.toString().endsWith(SOUND)).toList()) {
                String name = f.getFileName().toString().replace(SOUND, "");
                Path words = of.resolve(name + WORDS);
                all.add(new Kept(f, name, Files.exists(words) ? Files.readString(words) : ""));
            }
        }
        all.sort(Comparator.comparing(Kept::when).reversed());
        return all;
    }

    /**
     * The sound of a take.
     *
     * @throws IOException saying of which file what is wrong
     */
    public static Take read(Kept kept) throws IOException {
        try {
            return WavReader.read(new ByteArrayInputStream(Files.readAllBytes(kept.file())));
        } catch (FormatException e) {
            throw new IOException(kept.file().getFileName() + ": " + e.getMessage(), e);
        }
    }

    /** Throws a take away. */
    public static void delete(Kept kept) throws IOException {
        Files.deleteIfExists(kept.file());
        Files.deleteIfExists(
                kept.file()
                        .resolveSibling(
                                kept.file().getFileName().toString().replace(SOUND, WORDS)));
    }
}
