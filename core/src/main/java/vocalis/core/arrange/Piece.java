package vocalis.core.arrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import vocalis.core.riff.Chords;
import vocalis.core.riff.Riff;
import vocalis.core.voicing.Family;

/**
 * The document: riffs with their versions, the parts that play them, the arrangement of sections,
 * and the mix. One riff alone is a piece with one section.
 *
 * @param id names it wherever it is kept; stays when title and file change
 * @param title working title, not blank
 * @param about a note to oneself; may be empty
 * @param tags words to find it by, each not blank
 * @param riffs at least one
 * @param parts the guitars, at least one
 * @param sections in the order they are played, at least one
 * @param mix who plays along, and how the guitars are turned
 * @param standing what the player thinks of it, and how far it is
 */
public record Piece(
        String id,
        String title,
        String about,
        List<String> tags,
        List<PieceRiff> riffs,
        List<Part> parts,
        List<Section> sections,
        Mix mix,
        Standing standing) {

    /** Not judged yet. */
    public Piece(
            String id,
            String title,
            String about,
            List<String> tags,
            List<PieceRiff> riffs,
            List<Part> parts,
            List<Section> sections,
            Mix mix) {
        this(id, title, about, tags, riffs, parts, sections, mix, Standing.NONE);
    }

    /** Most riffs, sections and tags of a piece. */
    public static final int MOST = 200;

    private static final Part ONE = new Part("guitar-1", "Guitar one", Optional.empty());
    private static final Part TWO = new Part("guitar-2", "Guitar two", Optional.empty());

    public Piece {
        Ids.check("a piece", id);
        Texts.title(title);
        Texts.about(about);
        Objects.requireNonNull(mix, "mix");
        Objects.requireNonNull(standing, "standing");
        tags = List.copyOf(tags);
        riffs = List.copyOf(riffs);
        parts = List.copyOf(parts);
        sections = List.copyOf(sections);
        for (int count : new int[] {riffs.size(), parts.size(), sections.size()}) {
            if (count < 1 || count > MOST) {
                throw new IllegalArgumentException(
                        "a piece has 1 to " + MOST + " riffs, parts and sections, not " + count);
            }
        }
        if (tags.size() > MOST || tags.stream().anyMatch(t -> t.isBlank() || t.length() > 80)) {
            throw new IllegalArgumentException(
                    "a piece has at most " + MOST + " tags of 1 to 80 characters");
        }
        Ids.different("riffs", riffs.stream().map(PieceRiff::id).toList());
        Ids.different("parts", parts.stream().map(Part::id).toList());
        Ids.different("sections", sections.stream().map(Section::id).toList());
        for (Section s : sections) {
            if (riffs.stream().noneMatch(r -> r.id().equals(s.riff()))) {
                throw new IllegalArgumentException(
                        "section \""
                                + s.name()
                                + "\" plays the riff \""
                                + s.riff()
                                + "\", which"
                                + " the piece does not have");
            }
        }
    }

    /** One riff alone, played by two guitars of which the second waits. */
    public static Piece of(String id, String title, String about, Riff riff) {
        return new Piece(
                id,
                title,
                about,
                List.of(),
                List.of(new PieceRiff("riff-1", riff, List.of())),
                List.of(ONE, TWO),
                List.of(new Section("section-1", "riff", "riff-1", 1)),
                Mix.ALONE);
    }

    /** The riff that is worked on: the first. */
    public Riff riff() {
        return riffs.get(0).riff();
    }

    /** The guitar that plays second, if the piece has one. */
    public Optional<Part> second() {
        return parts.size() > 1 ? Optional.of(parts.get(1)) : Optional.empty();
    }

    /** With another riff in place of the one worked on. */
    public Piece with(Riff other) {
        return withFirst(riffs.get(0).with(other));
    }

    /** The versions that are kept of the riff worked on, oldest first. */
    public List<Version> versions() {
        return riffs.get(0).versions();
    }

    /** With the riff as it stands kept as a version. */
    public Piece keeping(String name) {
        return keeping(name, "");
    }

    /** The same with a note to oneself. */
    public Piece keeping(String name, String note) {
        return withFirst(riffs.get(0).keeping(name, note));
    }

    /** With a version in place of the riff worked on. */
    public Piece taking(String version) {
        return versions().stream()
                .filter(v -> v.id().equals(version))
                .findFirst()
                .map(v -> with(v.riff()))
                .orElse(this);
    }

    /** Without a version. */
    public Piece dropping(String version) {
        return withFirst(riffs.get(0).dropping(version));
    }

    /** With every riff and every version of it changed. */
    public Piece everyRiff(UnaryOperator<Riff> change) {
        List<PieceRiff> changed = riffs.stream().map(r -> r.every(change)).toList();
        return new Piece(id, title, about, tags, changed, parts, sections, mix, standing);
    }

    private Piece withFirst(PieceRiff first) {
        List<PieceRiff> changed = new ArrayList<>(riffs);
        changed.set(0, first);
        return new Piece(id, title, about, tags, changed, parts, sections, mix, standing);
    }

    public Piece titled(String other) {
        return new Piece(id, other, about, tags, riffs, parts, sections, mix, standing);
    }

    public Piece noted(String other) {
        return new Piece(id, title, other, tags, riffs, parts, sections, mix, standing);
    }

    /** With other words to find it by. */
    public Piece tagged(List<String> others) {
        return new Piece(id, title, about, others, riffs, parts, sections, mix, standing);
    }

    /** Judged otherwise. */
    public Piece standing(Standing other) {
        return new Piece(id, title, about, tags, riffs, parts, sections, mix, other);
    }

    public Piece mixed(Mix other) {
        return new Piece(id, title, about, tags, riffs, parts, sections, other, standing);
    }

    /** With the second guitar voicing the roots in a family of its own, or as the riff stands. */
    public Piece secondVoicedIn(Optional<Family> family) {
        List<Part> changed = new ArrayList<>(parts);
        if (changed.size() < 2) {
            changed.add(TWO);
        }
        changed.set(1, changed.get(1).voicedIn(family));
        List<PieceRiff> shared = riffs.stream().map(r -> r.withSecond(Optional.empty())).toList();
        return new Piece(id, title, about, tags, shared, changed, sections, mix, standing);
    }

    /** What the second guitar plays of the riff that is worked on, were it to play. */
    public Riff secondRiff() {
        Optional<Family> family = second().flatMap(Part::family);
        return riffs.get(0)
                .second()
                .orElseGet(() -> family.map(f -> Chords.familyOfAll(riff(), f)).orElse(riff()));
    }

    /** With a riff of the second guitar's own on the roots of the one that is worked on. */
    public Piece withSecondRiff(Riff own) {
        Piece free = secondVoicedIn(Optional.empty());
        List<PieceRiff> changed = new ArrayList<>(riffs);
        changed.set(0, riffs.get(0).withSecond(Optional.of(own)));
        return new Piece(id, title, about, tags, changed, free.parts(), sections, mix, standing);
    }

    /** The same piece under another id: a copy. */
    public Piece as(String otherId) {
        return new Piece(otherId, title, about, tags, riffs, parts, sections, mix, standing);
    }
}
