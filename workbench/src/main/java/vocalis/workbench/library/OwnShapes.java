package vocalis.workbench.library;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import vocalis.core.choice.OwnShape;
import vocalis.formats.FormatException;
import vocalis.formats.json.Extras;
import vocalis.formats.json.OwnShapesCodec;
import vocalis.workbench.base.SafeFiles;

/** The player's own shapes, kept in a file of the user's data folder. */
public final class OwnShapes {

    private final Path file;

    public OwnShapes(Path folder) {
        this.file = folder.resolve("own-shapes.json");
    }

    /** The folder that it is kept in. */
    public Path folder() {
        return file.getParent();
    }

    /** All shapes, the oldest first; none when nothing was kept yet. */
    public List<OwnShape> all() throws PieceFiles.PieceFileException {
        return content().shapes();
    }

    private OwnShapesCodec.Content content() throws PieceFiles.PieceFileException {
        try {
            return Files.exists(file)
                    ? OwnShapesCodec.read(Files.readAllBytes(file))
                    : new OwnShapesCodec.Content(List.of(), Extras.NONE);
        } catch (IOException | FormatException e) {
            throw new PieceFiles.PieceFileException(file + ": " + e.getMessage(), e);
        }
    }

    /**
     * Keeps a shape; one of the same class is replaced. A file that cannot be read, or that a newer
     * Vocalis wrote, is left as it is.
     */
    public void keep(OwnShape shape) throws PieceFiles.PieceFileException {
        OwnShapesCodec.Content before = content();
        List<OwnShape> all = new ArrayList<>(before.shapes());
        all.removeIf(s -> s.shapeClass().equals(shape.shapeClass()));
        all.add(shape);
        try {
            Files.createDirectories(file.getParent());
            SafeFiles.write(file, OwnShapesCodec.write(all, before.extras()));
        } catch (IOException | FormatException e) {
            throw new PieceFiles.PieceFileException("the shape was not kept: " + e.getMessage(), e);
        }
    }
}
