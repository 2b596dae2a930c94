package vocalis.core.arrange;

import java.util.Objects;
import java.util.Optional;
import vocalis.core.voicing.Family;

/**
 * One of the guitars of a piece.
 *
 * @param id names it in the piece
 * @param name as it is shown
 * @param family how it voices the shared roots; empty where it plays the riff as it stands
 */
public record Part(String id, String name, Optional<Family> family) {
    public Part {
        Ids.check("a part", id);
        Objects.requireNonNull(family, "family");
        if (name.isBlank() || name.length() > 80) {
            throw new IllegalArgumentException("a part's name has 1 to 80 characters");
        }
    }

    public Part voicedIn(Optional<Family> other) {
        return new Part(id, name, other);
    }
}
