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

    /** With the riff as it stands kept as a version under a name. */
    PieceRiff keeping(String name) {
        int n = 1;
        java.util.Set<String> taken =
                new java.util.HashSet<>(versions.stream().map(Version::id).toList());
        while (taken.contains("version-" + n)) {
            n++;
        }
        List<Version> more = new java.util.ArrayList<>(versions);
        more.add(new Version("version-" + n, name, "", riff));
        return new PieceRiff(id, riff, more);
    }

    /** Without a version. */
    PieceRiff dropping(String version) {
        return new PieceRiff(
                id, riff, versions.stream().filter(v -> !v.id().equals(version)).toList());
    }

    PieceRiff every(java.util.function.UnaryOperator<Riff> change) {
        List<Version> changed =
                versions.stream()
                        .map(v -> new Version(v.id(), v.name(), v.note(), change.apply(v.riff())))
                        .toList();
        return new PieceRiff(id, change.apply(riff), changed);
    }
}
