package vocalis.workbench.library;

import com.fasterxml.jackson.core.type.TypeReference;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.attribute.BasicFileAttributes;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.BooleanSupplier;
import java.util.function.UnaryOperator;
import vocalis.core.piece.Piece;
import vocalis.formats.json.Extras;
import vocalis.workbench.base.Log;
import vocalis.workbench.base.SafeFiles;

/**
 * A plain folder of riffs that the player may back up or sync. What the logbook shows of each is
 * remembered elsewhere, by the file's time and size, so that a large library opens at once; what
 * was changed meanwhile, here or by another window, is read anew. Deleted riffs go to a folder of
 * the library and come back from it.
 */
public final class Library {

    private static final String TRASH = ".trash";

    /** Made when it is first needed, on the thread that reads: it takes a while. */
    private static final class Json {
        static final ObjectMapper MAPPER = new ObjectMapper();
    }

    private final Path folder;
    private final Path index;

    /**
     * @param folder where the riffs are; made when the first is kept
     * @param data where this program keeps what it remembers
     */
    public Library(Path folder, Path data) {
        this.folder = folder.toAbsolutePath();
        this.index = data.resolve("library-index.json");
    }

    public Path folder() {
        return folder;
    }

    /** What was remembered when the library was last looked through; at once. */
    public List<LibraryEntry> remembered() {
        try {
            return Files.exists(index)
                    ? Json.MAPPER.readValue(
                            Files.readAllBytes(index), new TypeReference<List<LibraryEntry>>() {})
                    : List.of();
        } catch (IOException e) {
            Log.note("the library is looked through anew: " + e.getMessage());
            return List.of();
        }
    }

    /**
     * Looks the folder through, reading what is new or changed; long the first time.
     *
     * @param read told after each file that is read how many were, and all that is found so far
     * @param cancelled asked between files; then what was found so far is given
     */
    public List<LibraryEntry> scan(
            BiConsumer<Integer, List<LibraryEntry>> read, BooleanSupplier cancelled)
            throws IOException {
        Map<String, LibraryEntry> known = new HashMap<>();
        remembered().forEach(e -> known.put(e.file(), e));
        List<LibraryEntry> found = new ArrayList<>();
        int fresh = 0;
        for (Path f : files()) {
            if (cancelled.getAsBoolean()) {
                return found;
            }
            BasicFileAttributes a = attributes(f);
            if (a == null) {
                continue;
            }
            String name = name(f);
            LibraryEntry e = known.get(name);
            long modified = a.lastModifiedTime().toMillis();
            if (e == null || e.modified() != modified || e.size() != a.size()) {
                e = read(f, name, modified, a.size());
                found.add(e);
                read.accept(++fresh, Collections.unmodifiableList(found));
                continue;
            }
            found.add(e);
        }
        found.sort(Comparator.comparingLong(LibraryEntry::modified).reversed());
        if (fresh > 0 || found.size() != known.size()) {
            Files.createDirectories(index.getParent());
            SafeFiles.write(index, Json.MAPPER.writeValueAsBytes(found));
        }
        return found;
    }

    /** The riffs of the folder, and those elsewhere that were opened or saved here. */
    private List<Path> files() throws IOException {
        List<Path> all = new ArrayList<>();
        if (Files.isDirectory(folder)) {
            try (DirectoryStream<Path> files = Files.newDirectoryStream(folder, "*.json")) {
                for (Path f : files) {
                    if (!f.getFileName().toString().startsWith(".")) {
                        all.add(f);
                    }
                }
            }
        }
        elsewhere().stream().map(Path::of).filter(Files::isRegularFile).forEach(all::add);
        return all;
    }

    /** How an entry names its file: by its name in the folder, else by its whole path. */
    private String name(Path file) {
        Path whole = file.toAbsolutePath().normalize();
        return folder.normalize().equals(whole.getParent())
                ? whole.getFileName().toString()
                : whole.toString();
    }

    private Path elsewhereFile() {
        return index.resolveSibling("library-elsewhere.json");
    }

    private List<String> elsewhere() {
        try {
            return Files.exists(elsewhereFile())
                    ? Json.MAPPER.readValue(
                            Files.readAllBytes(elsewhereFile()),
                            new TypeReference<List<String>>() {})
                    : List.of();
        } catch (IOException e) {
            Log.note("riffs outside the logbook's folder are not known: " + e.getMessage());
            return List.of();
        }
    }

    /** A riff was opened or saved: the logbook shows it wherever it lies. */
    public void know(Path file) {
        String name = name(file);
        List<String> all = new ArrayList<>(elsewhere());
        if (!Path.of(name).isAbsolute() || all.contains(name)) {
            return;
        }
        all.add(name);
        try {
            Files.createDirectories(index.getParent());
            SafeFiles.write(elsewhereFile(), Json.MAPPER.writeValueAsBytes(all));
        } catch (IOException e) {
            Log.note("the logbook does not show " + name + ": " + e.getMessage());
        }
    }

    /** A file's attributes; null when it has just gone. */
    private static BasicFileAttributes attributes(Path f) {
        try {
            return Files.readAttributes(f, BasicFileAttributes.class);
        } catch (IOException e) {
            return null;
        }
    }

    private static LibraryEntry read(Path f, String name, long modified, long size) {
        try {
            return LibraryEntry.of(PieceFiles.read(f).piece(), name, modified, size);
        } catch (PieceFiles.PieceFileException e) {
            return LibraryEntry.unreadable(name, modified, size, e.getMessage());
        }
    }

    /** When riffs were last heard or opened, in ms since 1970, by id. */
    public Map<String, Long> played() {
        Path file = index.resolveSibling("library-played.json");
        try {
            return Files.exists(file)
                    ? Json.MAPPER.readValue(
                            Files.readAllBytes(file), new TypeReference<Map<String, Long>>() {})
                    : Map.of();
        } catch (IOException e) {
            Log.note("when riffs were played is not known: " + e.getMessage());
            return Map.of();
        }
    }

    /** Remembers that a riff was heard. */
    public void played(String id, long at) {
        Map<String, Long> all = new HashMap<>(played());
        all.put(id, at);
        try {
            Files.createDirectories(index.getParent());
            SafeFiles.write(
                    index.resolveSibling("library-played.json"),
                    Json.MAPPER.writeValueAsBytes(all));
        } catch (IOException e) {
            Log.note("when a riff was played is not remembered: " + e.getMessage());
        }
    }

    public Path file(LibraryEntry e) {
        return folder.resolve(e.file());
    }

    /** A file name without its ending, made of a title. */
    public static String stem(String title) {
        String stem = title.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", "-");
        stem = stem.length() > 80 ? stem.substring(0, 80) : stem;
        return stem.isBlank() || stem.equals("-") ? "riff" : stem;
    }

    /** A file name that is free, made of a title. */
    public Path free(String title) {
        String stem = stem(title);
        Path file = folder.resolve(stem + PieceFiles.ENDING);
        for (int n = 2; Files.exists(file); n++) {
            file = folder.resolve(stem + "-" + n + PieceFiles.ENDING);
        }
        return file;
    }

    /** Keeps a piece as a new file; gives the file. */
    public Path keep(Piece piece, Extras extras) throws PieceFiles.PieceFileException {
        try {
            Files.createDirectories(folder);
            Path file = free(piece.title());
            PieceFiles.write(piece, extras, file, null);
            return file;
        } catch (IOException | PieceFiles.ChangedOnDisk e) {
            throw new PieceFiles.PieceFileException(
                    "the idea was not kept in " + folder + ": " + e.getMessage(), e);
        }
    }

    /** Changes a piece in its file, unless somebody else did meanwhile. */
    public void change(LibraryEntry e, UnaryOperator<Piece> change)
            throws PieceFiles.PieceFileException, PieceFiles.ChangedOnDisk {
        PieceFiles.ReadPiece o = PieceFiles.read(file(e));
        Piece after = change.apply(o.piece());
        if (!after.equals(o.piece())) {
            PieceFiles.write(after, o.extras(), file(e), o.stamp());
        }
    }

    /** Puts a riff away; gives the file that {@link #restore} brings back. */
    public Path trash(LibraryEntry e) throws IOException {
        Path to = folder.resolve(TRASH);
        Files.createDirectories(to);
        long when = System.currentTimeMillis();
        String name = file(e).getFileName().toString();
        while (Files.exists(to.resolve(when + "-" + name))) {
            when++;
        }
        Path there = to.resolve(when + "-" + name);
        // A file elsewhere may lie on another disk, to which nothing is moved in one step.
        return Path.of(e.file()).isAbsolute()
                ? Files.move(file(e), there)
                : Files.move(file(e), there, StandardCopyOption.ATOMIC_MOVE);
    }

    /** What lies in the trash, what was put away last first. */
    public List<Path> trashed() throws IOException {
        Path in = folder.resolve(TRASH);
        List<Path> all = new ArrayList<>();
        if (Files.isDirectory(in)) {
            try (DirectoryStream<Path> files = Files.newDirectoryStream(in, "*.json")) {
                files.forEach(all::add);
            }
        }
        all.sort(Comparator.comparing((Path p) -> p.getFileName().toString()).reversed());
        return all;
    }

    /** Brings a riff back from the trash; gives its file. */
    public Path restore(Path trashed) throws IOException {
        String name = trashed.getFileName().toString().replaceFirst("^\\d+-", "");
        Path back = folder.resolve(name);
        String stem = PieceFiles.stem(back);
        return Files.move(
                trashed, Files.exists(back) ? free(stem) : back, StandardCopyOption.ATOMIC_MOVE);
    }
}
