package vocalis.workbench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import vocalis.core.choice.OwnShape;
import vocalis.formats.FormatException;
import vocalis.formats.json.OwnShapesCodec;

/** The player's own shapes, kept in a file of the user's data folder. */
public final class OwnShapes {

    private final Path file;

    public OwnShapes(Path folder) {
        this.file = folder.resolve("own-shapes.json");
    }

    /**
     * The user's data folder: {@code $XDG_DATA_HOME/vocalis}, or {@code ~/.local/share/vocalis}.
     */
    public static Path userFolder() {
        String set = System.getProperty("vocalis.data", "");
        if (!set.isEmpty()) {
            return Path.of(set);
        }
        String xdg = System.getenv("XDG_DATA_HOME");
        Path data =
                xdg == null || xdg.isBlank()
                        ? Path.of(System.getProperty("user.home"), ".local", "share")
                        : Path.of(xdg);
        return data.resolve("vocalis");
    }

    /** All shapes, the oldest first; none when nothing was kept yet. */
    public List<OwnShape> all() throws RiffFiles.RiffFileException {
        try {
            return Files.exists(file) ? OwnShapesCodec.read(Files.readAllBytes(file)) : List.of();
        } catch (IOException | FormatException e) {
            throw new RiffFiles.RiffFileException(file + ": " + e.getMessage(), e);
        }
    }

    /** Keeps a shape; one of the same class is replaced. */
    public void keep(OwnShape shape) throws RiffFiles.RiffFileException {
        List<OwnShape> all = new ArrayList<>(all());
        all.removeIf(s -> s.shapeClass().equals(shape.shapeClass()));
        all.add(shape);
        try {
            Files.createDirectories(file.getParent());
            RiffFiles.writeAtomically(file, OwnShapesCodec.write(all));
        } catch (IOException e) {
            throw new RiffFiles.RiffFileException("the shape was not kept: " + e.getMessage(), e);
        }
    }
}
