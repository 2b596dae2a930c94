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
 * @param secondVersions what the second guitar made of it before, oldest first
 */
public record PieceRiff(
        String id,
        Riff riff,
        List<Version> versions,
        Optional<Riff> second,
        List<Version> secondVersions) {

    /** Most versions kept of a riff. */
    public static final int MOST_VERSIONS = 200;

    public PieceRiff {
        Ids.check("a riff", id);
        Objects.requireNonNull(riff, "riff");
        versions = List.copyOf(versions);
        secondVersions = List.copyOf(secondVersions);
        second.ifPresent(own -> together(riff, own));
        check(versions);
        check(secondVersions);
    }

    private static void together(Riff riff, Riff second) {
        if (!second.roots().equals(riff.roots())) {
            throw new IllegalArgumentException(
                    "both guitars play the same roots, but the second has others");
        }
        if (!second.ground().board().equals(riff.ground().board())) {
            throw new IllegalArgumentException(
                    "both guitars have the same strings, capo and frets, but the second has others");
        }
        if (!second.time().equals(riff.time())) {
            throw new IllegalArgumentException(
                    "both guitars play in the same meters and tempos, but the second has others");
        }
    }

    private static void check(List<Version> kept) {
        if (kept.size() > MOST_VERSIONS) {
            throw new IllegalArgumentException(
                    "at most "
                            + MOST_VERSIONS
                            + " versions of a riff are kept, not "
                            + kept.size());
        }
        Ids.different("versions", kept.stream().map(Version::id).toList());
    }

    /** Without anything of the second guitar's own. */
    public PieceRiff(String id, Riff riff, List<Version> versions) {
        this(id, riff, versions, Optional.empty(), List.of());
    }

    /** With another riff; what the second guitar has of its own follows its ground and roots. */
    public PieceRiff with(Riff other) {
        return with(other, second.map(s -> following(s, other)));
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
        return with(riff, other.map(s -> following(s, riff)));
    }

    /**
     * With what the second guitar plays changed. Ground, time and roots are shared: what is done to
     * them is done to the riff too, and where that cannot be, the riff follows.
     *
     * @param own what it plays now
     * @throws IllegalArgumentException saying why it cannot be done
     */
    PieceRiff changingSecond(Riff own, UnaryOperator<Riff> change) {
        Riff after = change.apply(own);
        if (shares(after, riff)) {
            return with(riff, Optional.of(after));
        }
        Riff first;
        try {
            first = change.apply(riff);
        } catch (IllegalArgumentException e) {
            first = riff;
        }
        // What makes the same riff of any is meant for the second guitar alone.
        boolean both = shares(after, first) && !first.equals(after) || own.equals(riff);
        return with(both ? first : following(riff, after, false), Optional.of(after));
    }

    /** Whether two guitars can play these together. */
    private static boolean shares(Riff one, Riff two) {
        return one.ground().equals(two.ground())
                && one.time().equals(two.time())
                && one.roots().equals(two.roots());
    }

    private PieceRiff with(Riff other, Optional<Riff> own) {
        return new PieceRiff(id, other, versions, own, secondVersions);
    }

    /** A version that the second guitar kept, on the ground, time and roots that are played now. */
    Optional<Riff> secondKept(String version) {
        return secondVersions.stream()
                .filter(v -> v.id().equals(version))
                .findFirst()
                .map(v -> following(v.riff(), riff, false));
    }

    /**
     * What the second guitar plays when the first guitar's riff becomes another: its roots are the
     * new ones, each voiced as the second guitar voiced what sounded there before. While it shares
     * the first guitar's pattern and touches it goes on to share them.
     */
    private Riff following(Riff own, Riff other) {
        return following(
                own,
                other,
                own.pattern().equals(riff.pattern()) && own.touches().equals(riff.touches()));
    }

    private static Riff following(Riff own, Riff other, boolean shares) {
        List<Treatment> treatments = new ArrayList<>();
        boolean same = own.roots().size() == other.roots().size();
        for (int i = 0; i < other.roots().size(); i++) {
            int from = same ? i : own.chordAt(Math.min(other.start(i), own.length() - 1));
            treatments.add(own.treatments().get(from));
        }
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
        return new PieceRiff(id, riff, more(versions, name, note, kept), second, secondVersions);
    }

    /** With a riff of the second guitar's kept as a version of its own. */
    PieceRiff keepingSecond(String name, String note, Riff kept) {
        return new PieceRiff(id, riff, versions, second, more(secondVersions, name, note, kept));
    }

    private static List<Version> more(List<Version> all, String name, String note, Riff kept) {
        String free = Ids.fresh("version", all.stream().map(Version::id));
        List<Version> more = new ArrayList<>(all);
        more.add(new Version(free, name, note, kept));
        return more;
    }

    /** Without a version. */
    PieceRiff dropping(String version) {
        return new PieceRiff(id, riff, without(versions, version), second, secondVersions);
    }

    /** Without a version of the second guitar's. */
    PieceRiff droppingSecond(String version) {
        return new PieceRiff(id, riff, versions, second, without(secondVersions, version));
    }

    private static List<Version> without(List<Version> all, String version) {
        return all.stream().filter(v -> !v.id().equals(version)).toList();
    }

    PieceRiff every(UnaryOperator<Riff> change) {
        return new PieceRiff(
                id,
                change.apply(riff),
                changed(versions, change),
                second.map(change),
                changed(secondVersions, change));
    }

    private static List<Version> changed(List<Version> all, UnaryOperator<Riff> change) {
        return all.stream()
                .map(v -> new Version(v.id(), v.name(), v.note(), change.apply(v.riff())))
                .toList();
    }
}
