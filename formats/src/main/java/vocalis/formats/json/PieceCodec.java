package vocalis.formats.json;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Meant;
import vocalis.core.piece.Part;
import vocalis.core.piece.Piece;
import vocalis.core.piece.PieceRiff;
import vocalis.core.piece.Section;
import vocalis.core.piece.Standing;
import vocalis.core.piece.Version;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.formats.FormatException;

/**
 * Reads and writes {@code .vocalis.json}; the schema is docs/vocalis-2.schema.json. Times are ticks
 * of a quarter note's 20160, which the file states. What was read equals what was written. Fields
 * that are not known are kept and written back. Of a file of a newer version what is known here is
 * read where that makes sense, and refused otherwise; one of version 1 is read as {@link Format1}
 * says. Input is bounded to 32 MB and 60 levels.
 */
public final class PieceCodec {

    /** Version that is written; up to it files are read. */
    public static final int VERSION = 2;

    /** Largest file read, in bytes. */
    public static final int MOST_BYTES = Json.MOST_BYTES;

    /**
     * What a file holds.
     *
     * @param piece what is known
     * @param extras what is not, to be written back
     * @param newer whether a newer program wrote it: it may say more, and is not to be written over
     */
    public record Content(Piece piece, Extras extras, boolean newer) {}

    private PieceCodec() {}

    /**
     * The file's bytes, UTF-8, indented.
     *
     * @throws FormatException when they would be more than can be read again
     */
    public static byte[] write(Piece piece, Extras extras) throws FormatException {
        ObjectNode top = Json.MAPPER.createObjectNode();
        top.put("format", "vocalis");
        top.put("version", VERSION);
        top.put("ticksPerQuarter", Ticks.QUARTER);
        top.put("id", piece.id());
        top.put("title", piece.title());
        top.put("about", piece.about());
        ArrayNode tags = top.putArray("tags");
        piece.tags().forEach(tags::add);
        ArrayNode riffs = top.putArray("riffs");
        for (PieceRiff r : piece.riffs()) {
            ObjectNode o = riffs.addObject().put("id", r.id());
            RiffTree.write(r.riff(), o);
            write(r.versions(), o.putArray("versions"));
            r.second().ifPresent(own -> RiffTree.write(own, o.putObject("second")));
            if (!r.secondVersions().isEmpty()) {
                write(r.secondVersions(), o.putArray("secondVersions"));
            }
        }
        ArrayNode parts = top.putArray("parts");
        for (Part p : piece.parts()) {
            SectionCodec.write(p, parts.addObject());
        }
        ArrayNode sections = top.putArray("sections");
        for (Section s : piece.sections()) {
            SectionCodec.write(s, sections.addObject());
        }
        top.set("mix", MixCodec.write(piece.mix()));
        if (!piece.standing().equals(Standing.NONE)) {
            top.putObject("standing")
                    .put("rating", piece.standing().rating())
                    .put("status", Json.id(piece.standing().status()));
        }
        SectionCodec.write(piece.meant(), top);
        extras.into(top);
        return Json.bytes(top, "riff");
    }

    private static void write(List<Version> versions, ArrayNode to) {
        for (Version v : versions) {
            ObjectNode kept = to.addObject().put("id", v.id()).put("name", v.name());
            kept.put("note", v.note());
            RiffTree.write(v.riff(), kept.putObject("riff"));
        }
    }

    /**
     * Reads a file.
     *
     * @throws FormatException saying what is wrong, where in the file, and what was expected
     */
    public static Content read(byte[] bytes) throws FormatException {
        JsonNode tree = Json.tree(bytes, "vocalis", "riff");
        Field top = Field.top(tree);
        top.has("format");
        int version = top.get("version").integer(1, Integer.MAX_VALUE);
        if (version > VERSION) {
            try {
                return new Content(piece(top), Extras.NONE, true);
            } catch (FormatException e) {
                throw Json.newer(version, VERSION, "riff");
            }
        }
        int perQuarter = top.get("ticksPerQuarter").integer(1, Integer.MAX_VALUE);
        if (perQuarter != Ticks.QUARTER) {
            throw top.get("ticksPerQuarter")
                    .wrong("must be " + Ticks.QUARTER + ", but is " + perQuarter);
        }
        return version == 1
                ? new Content(Format1.read(top, bytes), Format1.moved(top.extras()), false)
                : new Content(piece(top), top.extras(), false);
    }

    /** Whether bytes are a riff that a newer program wrote. */
    public static boolean newer(byte[] bytes) {
        try {
            return Json.tree(bytes, "vocalis", "riff").path("version").asLong() > VERSION;
        } catch (FormatException e) {
            return false;
        }
    }

    private static Piece piece(Field top) throws FormatException {
        List<String> tags = new ArrayList<>();
        for (Field t : top.get("tags").items()) {
            tags.add(t.text());
        }
        List<PieceRiff> riffs = new ArrayList<>();
        for (Field r : top.get("riffs").items()) {
            riffs.add(pieceRiff(r));
        }
        List<Part> parts = new ArrayList<>();
        for (Field p : top.get("parts").items()) {
            parts.add(SectionCodec.part(p));
        }
        List<Section> sections = new ArrayList<>();
        for (Field s : top.get("sections").items()) {
            sections.add(SectionCodec.section(s));
        }
        List<Meant> meant = SectionCodec.meant(top);
        Mix mix = MixCodec.read(top.get("mix"));
        Standing standing = top.has("standing") ? standing(top.get("standing")) : Standing.NONE;
        return top.build(
                () ->
                        new Piece(
                                top.get("id").text(),
                                top.get("title").text(),
                                top.get("about").text(),
                                tags,
                                riffs,
                                parts,
                                sections,
                                mix,
                                standing,
                                meant));
    }

    private static Standing standing(Field s) throws FormatException {
        return new Standing(
                s.get("rating").integer(0, 5), Json.one(s.get("status"), Standing.Status.values()));
    }

    private static PieceRiff pieceRiff(Field r) throws FormatException {
        Riff riff = RiffTree.read(r);
        List<Version> versions = versions(r.get("versions"));
        Optional<Riff> second =
                r.has("second") ? Optional.of(RiffTree.read(r.get("second"))) : Optional.empty();
        List<Version> secondVersions =
                r.has("secondVersions") ? versions(r.get("secondVersions")) : List.of();
        return r.build(
                () -> new PieceRiff(r.get("id").text(), riff, versions, second, secondVersions));
    }

    private static List<Version> versions(Field all) throws FormatException {
        List<Version> versions = new ArrayList<>();
        for (Field v : all.items()) {
            Riff kept = RiffTree.read(v.get("riff"));
            versions.add(
                    v.build(
                            () ->
                                    new Version(
                                            v.get("id").text(),
                                            v.get("name").text(),
                                            v.get("note").text(),
                                            kept)));
        }
        return versions;
    }
}
