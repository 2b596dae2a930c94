package vocalis.core.arrange;

import java.util.List;
import java.util.Objects;
import vocalis.core.riff.Riff;

/**
 * A riff of a piece with the versions of it that are kept.
 *
 * @param id names it in the piece
 * @param riff as it stands
 * @param versions as it stood, oldest first
 */
public record PieceRiff(String id, Riff riff, List<Version> versions) {

    /** Most versions kept of a riff. */
    public static final int MOST_VERSIONS = 200;

    public PieceRiff {
        Ids.check("a riff", id);
        Objects.requireNonNull(riff, "riff");
        versions = List.copyOf(versions);
        if (versions.size() > MOST_VERSIONS) {
            throw new IllegalArgumentException(
                    "at most "
                            + MOST_VERSIONS
                            + " versions of a riff are kept, not "
                            + versions.size());
        }
        Ids.different("versions", versions.stream().map(Version::id).toList());
    }

    public PieceRiff with(Riff other) {
        return new PieceRiff(id, other, versions);
    }
}
