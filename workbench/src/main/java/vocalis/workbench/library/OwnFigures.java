package vocalis.workbench.library;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import vocalis.core.pattern.Figure;
import vocalis.formats.FormatException;
import vocalis.formats.json.Extras;
import vocalis.formats.json.OwnFiguresCodec;
import vocalis.workbench.base.SafeFiles;

/** The player's own figures, kept in a file of the user's data folder. */
public final class OwnFigures {

    private final Path file;

    public OwnFigures(Path folder) {
        this.file = folder.resolve("own-figures.json");
    }

    /** All figures, the oldest first; none when nothing was kept yet. */
    public List<Figure> all() throws PieceFiles.PieceFileException {
        return content().figures();
    }

    private OwnFiguresCodec.Content content() throws PieceFiles.PieceFileException {
        try {
            return Files.exists(file)
                    ? OwnFiguresCodec.read(Files.readAllBytes(file))
                    : new OwnFiguresCodec.Content(List.of(), Extras.NONE);
        } catch (IOException | FormatException e) {
            throw new PieceFiles.PieceFileException(file + ": " + e.getMessage(), e);
        }
    }

    /**
     * Keeps a figure under a name; one of the same name is replaced. A file that cannot be read, or
     * that a newer Vocalis wrote, is left as it is.
     */
    public void keep(Figure figure, String name) throws PieceFiles.PieceFileException {
        OwnFiguresCodec.Content before = content();
        List<Figure> all = new ArrayList<>(before.figures());
        all.removeIf(f -> f.name().equals(name));
        int n = 1;
        while (taken(all, "own-" + n)) {
            n++;
        }
        all.add(new Figure("own-" + n, name, figure.length(), figure.events()));
        write(all, before.extras());
    }

    private static boolean taken(List<Figure> all, String id) {
        return all.stream().anyMatch(f -> f.id().equals(id));
    }

    private void write(List<Figure> all, Extras extras) throws PieceFiles.PieceFileException {
        try {
            Files.createDirectories(file.getParent());
            SafeFiles.write(file, OwnFiguresCodec.write(all, extras));
        } catch (IOException | FormatException e) {
            throw new PieceFiles.PieceFileException(
                    "the figure was not kept: " + e.getMessage(), e);
        }
    }
}
