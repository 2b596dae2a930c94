package vocalis.core.piece;

import java.util.Objects;
import vocalis.core.riff.Riff;

/**
 * A riff as it once stood, kept.
 *
 * @param id names it in the piece
 * @param name as it is shown, not blank, at most 200 characters
 * @param note a note to oneself; may be empty
 * @param riff the recipe
 */
public record Version(String id, String name, String note, Riff riff) {
    public Version {
        Ids.check("a version", id);
        Objects.requireNonNull(riff, "riff");
        Texts.title(name);
        Texts.about(note);
    }
}
