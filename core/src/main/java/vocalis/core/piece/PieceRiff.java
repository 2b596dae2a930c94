package vocalis.core.piece;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Treatment;

/**
 * A riff of a piece with the versions of it that are kept.
 *
 * @param id names it in the piece
 * @param riff as it stands
 * @param versions as it stood, oldest first
 * @param second what the second guitar makes of it, on the same ground, time and roots; empty where
 *     it has nothing of its own
 */
public record PieceRiff(String id, Riff riff, List<Version> versions, Optional<Riff> second) {

    /** Most versions kept of a riff. */
    public static final int MOST_VERSIONS = 200;

    public PieceRiff {
        Ids.check("a riff", id);
        Objects.requireNonNull(riff, "riff");
        versions = List.copyOf(versions);
        if (second.isPresent() && !second.get().roots().equals(riff.roots())) {
            throw new IllegalArgumentException(
                    "both guitars play the same roots, but the second has others");
        }
        if (versions.size() > MOST_VERSIONS) {
            throw new IllegalArgumentException(
                    "at most "
                            + MOST_VERSIONS
                            + " versions of a riff are kept, not "
                            + versions.size());
        }
        Ids.different("versions", versions.stream().map(Version::id).toList());
    }

    /** Without anything of the second guitar's own. */
    public PieceRiff(String id, Riff riff, List<Version> versions) {
        this(id, riff, versions, Optional.empty());
    }

    /** With another riff; what the second guitar has of its own follows its ground and roots. */
    public PieceRiff with(Riff other) {
        return new PieceRiff(id, other, versions, second.map(s -> following(s, other)));
    }

    /** The riff as a version has it, or as it stands. */
    public Riff at(Optional<String> version) {
        return version.flatMap(id -> versions.stream().filter(v -> v.id().equals(id)).findFirst())
                .map(Version::riff)
                .orElse(riff);
    }

    /** What the second guitar has of its own over a version. */
    Optional<Riff> secondAt(Optional<String> version) {
        return second.map(s -> version.isEmpty() ? s : following(s, at(version)));
    }

    /** With something of the second guitar's own, or without. */
    PieceRiff withSecond(Optional<Riff> other) {
        return new PieceRiff(id, riff, versions, other.map(s -> following(s, riff)));
    }

    /**
     * What the second guitar plays when the first guitar's riff becomes another: its roots are the
     * new ones, each voiced as the second guitar voiced what sounded there before. While it shares
     * the first guitar's pattern it goes on to share it.
     */
    private Riff following(Riff own, Riff other) {
        List<Treatment> treatments = new ArrayList<>();
        boolean same = own.roots().size() == other.roots().size();
        for (int i = 0; i < other.roots().size(); i++) {
            int from = same ? i : own.chordAt(Math.min(other.start(i), own.length() - 1));
            treatments.add(own.treatments().get(from));
        }
        boolean shares = own.pattern().equals(riff.pattern());
        Riff base = shares || own.length() != other.length() ? other : own;
        return new Riff(
                other.ground(),
                other.time(),
                other.roots(),
                treatments,
                base.pattern(),
                base.touches());
    }

    /** With the riff as it stands kept as a version under a name. */
    public PieceRiff keeping(String name, String note) {
        return keeping(name, note, riff);
    }

    /** With another riff kept as a version under a name. */
    public PieceRiff keeping(String name, String note, Riff kept) {
        String free = Piece.fresh("version", versions.stream().map(Version::id));
        List<Version> more = new ArrayList<>(versions);
        more.add(new Version(free, name, note, kept));
        return new PieceRiff(id, riff, more, second);
    }

    /** Without a version. */
    PieceRiff dropping(String version) {
        return new PieceRiff(
                id, riff, versions.stream().filter(v -> !v.id().equals(version)).toList(), second);
    }

    PieceRiff every(UnaryOperator<Riff> change) {
        List<Version> changed =
                versions.stream()
                        .map(v -> new Version(v.id(), v.name(), v.note(), change.apply(v.riff())))
                        .toList();
        return new PieceRiff(id, change.apply(riff), changed, second.map(change));
    }
}
