package vocalis.core.piece;

import io.soabase.recordbuilder.core.RecordBuilder;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.function.UnaryOperator;
import vocalis.core.edit.Chords;
import vocalis.core.mix.Mix;
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
 * @param meant clashes between the guitars, or with the bass, that are meant
 */
@RecordBuilder
public record Piece(
        String id,
        String title,
        String about,
        List<String> tags,
        List<PieceRiff> riffs,
        List<Part> parts,
        List<Section> sections,
        Mix mix,
        Standing standing,
        List<Meant> meant)
        implements PieceBuilder.With {

    /** Without clashes that are meant. */
    public Piece(
            String id,
            String title,
            String about,
            List<String> tags,
            List<PieceRiff> riffs,
            List<Part> parts,
            List<Section> sections,
            Mix mix,
            Standing standing) {
        this(id, title, about, tags, riffs, parts, sections, mix, standing, List.of());
    }

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

    /** Most clashes that are meant. */
    public static final int MOST_MEANT = 10_000;

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
        meant = List.copyOf(meant);
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
            s.playsOneOf(riffs);
        }
        if (meant.size() > MOST_MEANT) {
            throw new IllegalArgumentException(
                    "a piece has at most " + MOST_MEANT + " clashes that are meant");
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

    /** What a guitar plays of the riff that is worked on. */
    public Riff riff(Guitar guitar) {
        return guitar == Guitar.ONE ? riff() : secondRiff();
    }

    /**
     * With what a guitar plays of the riff worked on changed. What is done to ground, time and
     * roots holds for both guitars.
     *
     * @throws IllegalArgumentException saying why it cannot be done
     */
    public Piece changing(Guitar guitar, UnaryOperator<Riff> change) {
        Riff before = riff(guitar);
        if (guitar == Guitar.ONE) {
            Riff after = change.apply(before);
            return after.equals(before) ? this : with(after);
        }
        PieceRiff changed = riffs.get(0).changingSecond(before, change);
        boolean nothing =
                changed.riff().equals(riff()) && changed.second().orElseThrow().equals(before);
        return nothing ? this : withSecondRiff(before).withFirst(changed);
    }

    /** The versions that are kept of the riff worked on, oldest first. */
    public List<Version> versions() {
        return versions(Guitar.ONE);
    }

    /** The versions that are kept of what a guitar plays of it, oldest first. */
    public List<Version> versions(Guitar guitar) {
        PieceRiff first = riffs.get(0);
        return guitar == Guitar.ONE ? first.versions() : first.secondVersions();
    }

    /** With the riff as it stands kept as a version. */
    public Piece keeping(String name) {
        return keeping(name, "");
    }

    /** The same with a note to oneself. */
    public Piece keeping(String name, String note) {
        return withFirst(riffs.get(0).keeping(name, note));
    }

    /** With what a guitar plays of it kept as a version. */
    public Piece keeping(Guitar guitar, String name, String note) {
        return guitar == Guitar.ONE
                ? keeping(name, note)
                : withFirst(riffs.get(0).keepingSecond(name, note, secondRiff()));
    }

    /** With a version in place of what a guitar plays of it. */
    public Piece taking(Guitar guitar, String version) {
        return guitar == Guitar.ONE
                ? taking(version)
                : riffs.get(0).secondKept(version).map(this::withSecondRiff).orElse(this);
    }

    /**
     * Without a version of what a guitar plays of it.
     *
     * @throws IllegalArgumentException naming the section that plays it
     */
    public Piece dropping(Guitar guitar, String version) {
        return guitar == Guitar.ONE
                ? dropping(version)
                : withFirst(riffs.get(0).droppingSecond(version));
    }

    /** With a version in place of the riff worked on. */
    public Piece taking(String version) {
        return versions().stream()
                .filter(v -> v.id().equals(version))
                .findFirst()
                .map(v -> with(v.riff()))
                .orElse(this);
    }

    /**
     * Without a version.
     *
     * @throws IllegalArgumentException naming the section that plays it
     */
    public Piece dropping(String version) {
        for (Section s : sections) {
            boolean plays =
                    s.version().filter(version::equals).isPresent()
                            || s.ending().filter(version::equals).isPresent();
            if (plays && s.riff().equals(riffs.get(0).id())) {
                throw new IllegalArgumentException(
                        "section \""
                                + s.name()
                                + "\" plays this version; let it play another one first");
            }
        }
        return withFirst(riffs.get(0).dropping(version));
    }

    /** With every riff and every version of it changed. */
    public Piece everyRiff(UnaryOperator<Riff> change) {
        List<PieceRiff> changed = riffs.stream().map(r -> r.every(change)).toList();
        return withRiffs(changed);
    }

    private Piece withFirst(PieceRiff first) {
        List<PieceRiff> changed = new ArrayList<>(riffs);
        changed.set(0, first);
        return withRiffs(changed);
    }

    /** Judged otherwise. */
    public Piece standing(Standing other) {
        return withStanding(other);
    }

    public Piece mixed(Mix other) {
        return withMix(other);
    }

    /** With the second guitar voicing the roots in a family of its own, or as the riff stands. */
    public Piece secondVoicedIn(Optional<Family> family) {
        List<Part> changed = new ArrayList<>(parts);
        if (changed.size() < 2) {
            changed.add(TWO);
        }
        changed.set(1, changed.get(1).voicedIn(family));
        List<PieceRiff> shared = riffs.stream().map(r -> r.withSecond(Optional.empty())).toList();
        return with(b -> b.riffs(shared).parts(changed));
    }

    /** What the second guitar plays of the riff that is worked on, were it to play. */
    public Riff secondRiff() {
        return secondOf(riffs.get(0).id(), Optional.empty());
    }

    /** What it plays of one of the riffs, or of a version of it: its own, a family, the same. */
    public Riff secondOf(String riffId, Optional<String> version) {
        PieceRiff played = riff(riffId);
        Riff shared = played.at(version);
        return played.secondAt(version)
                .or(() -> second().flatMap(Part::family).map(f -> Chords.familyOfAll(shared, f)))
                .orElse(shared);
    }

    /** With a riff of the second guitar's own on the roots of the one that is worked on. */
    public Piece withSecondRiff(Riff own) {
        return withSecond(riffs.get(0).id(), own);
    }

    /**
     * With a riff of the second guitar's own on the roots of one of the riffs; what it plays of the
     * others stays.
     */
    public Piece withSecond(String riffId, Riff own) {
        Optional<Family> family = second().flatMap(Part::family);
        List<PieceRiff> changed = new ArrayList<>();
        for (PieceRiff r : riffs) {
            Optional<Riff> kept =
                    family.isPresent()
                            ? Optional.of(secondOf(r.id(), Optional.empty()))
                            : r.second();
            changed.add(r.withSecond(r.id().equals(riffId) ? Optional.of(own) : kept));
        }
        List<Part> free = secondVoicedIn(Optional.empty()).parts();
        return with(b -> b.riffs(changed).parts(free));
    }

    /** The same piece under another id: a copy. */
    public Piece as(String otherId) {
        return withId(otherId);
    }

    /** The riff of an id. */
    public PieceRiff riff(String riffId) {
        return riffs.stream()
                .filter(r -> r.id().equals(riffId))
                .findFirst()
                .orElseThrow(
                        () ->
                                new IllegalArgumentException(
                                        "the piece has no riff \"" + riffId + "\""));
    }

    /** With another of its riffs as the one that is worked on. */
    public Piece working(String riffId) {
        List<PieceRiff> order = new ArrayList<>(riffs);
        PieceRiff wanted = riff(riffId);
        order.remove(wanted);
        order.add(0, wanted);
        return withRiffs(order);
    }

    /** With one more riff, under an id that is free. */
    public Piece adding(Riff riff) {
        List<PieceRiff> more = new ArrayList<>(riffs);
        more.add(
                new PieceRiff(
                        Ids.fresh("riff", riffs.stream().map(PieceRiff::id)), riff, List.of()));
        return withRiffs(more);
    }

    /** With a riff replaced by another state of it. */
    public Piece replacing(PieceRiff other) {
        List<PieceRiff> changed =
                riffs.stream().map(r -> r.id().equals(other.id()) ? other : r).toList();
        return withRiffs(changed);
    }

    /** In another order of sections. */
    public Piece arranged(List<Section> others) {
        return withSections(others);
    }

    /** With one section changed. */
    public Piece arranged(int index, Section other) {
        List<Section> changed = new ArrayList<>(sections);
        changed.set(index, other);
        return arranged(changed);
    }

    /** With a guitar changed. */
    public Piece with(Part other) {
        List<Part> changed =
                parts.stream().map(p -> p.id().equals(other.id()) ? other : p).toList();
        return withParts(changed);
    }

    /** With a clash meant, or not any more. */
    public Piece meaning(Meant clash, boolean on) {
        List<Meant> changed = new ArrayList<>(meant);
        changed.remove(clash);
        if (on) {
            changed.add(clash);
        }
        return withMeant(changed);
    }

    /** An id that none of its sections has. */
    public String freeSection() {
        return Ids.fresh("section", sections.stream().map(Section::id));
    }
}
