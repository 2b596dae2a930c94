package vocalis.formats.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import vocalis.core.mix.BassFigure;
import vocalis.core.mix.Feel;
import vocalis.core.piece.Meant;
import vocalis.core.piece.Part;
import vocalis.core.piece.Section;
import vocalis.core.riff.Tone;
import vocalis.core.voicing.Family;
import vocalis.formats.FormatException;

/** The parts of a piece's file that say who plays, what, in which order. */
final class SectionCodec {

    private SectionCodec() {}

    static void write(Part p, ObjectNode o) {
        o.put("id", p.id()).put("name", p.name());
        p.family().ifPresent(f -> o.put("family", Json.id(f)));
        if (!p.register().equals(Part.Register.ALL)) {
            o.put("floor", p.register().floor()).put("ceiling", p.register().ceiling());
        }
    }

    static Part part(Field p) throws FormatException {
        Optional<Family> family =
                p.has("family")
                        ? Optional.of(RiffTree.family(p.get("family"), p.get("family").text()))
                        : Optional.empty();
        int floor = p.has("floor") ? p.get("floor").integer(0, 127) : 0;
        int ceiling = p.has("ceiling") ? p.get("ceiling").integer(0, 127) : 127;
        return p.build(
                () ->
                        new Part(
                                p.get("id").text(),
                                p.get("name").text(),
                                family,
                                new Part.Register(floor, ceiling)));
    }

    static void write(Section s, ObjectNode o) {
        o.put("id", s.id()).put("name", s.name()).put("riff", s.riff()).put("times", s.times());
        s.version().ifPresent(v -> o.put("version", v));
        s.ending().ifPresent(v -> o.put("ending", v));
        if (s.tempo() != 100) {
            o.put("tempo", s.tempo());
        }
        if (!s.band().equals(Section.Band.USUAL)) {
            Section.Band b = s.band();
            ObjectNode band = o.putObject("band").put("kit", b.kit());
            b.feel().ifPresent(f -> band.put("feel", Json.id(f)));
            band.put("fill", b.fill()).put("bass", b.bass());
            b.line().ifPresent(l -> band.put("line", l.text()));
        }
        if (!s.words().isEmpty()) {
            o.put("words", s.words());
        }
        if (!s.parts().isEmpty()) {
            ObjectNode parts = o.putObject("parts");
            new TreeMap<>(s.parts())
                    .forEach(
                            (id, p) -> {
                                ObjectNode own = parts.putObject(id).put("plays", p.plays());
                                p.tone().ifPresent(t -> own.put("tone", Json.id(t)));
                            });
        }
    }

    static Section section(Field s) throws FormatException {
        Optional<String> version = text(s, "version");
        Optional<String> ending = text(s, "ending");
        int tempo = s.has("tempo") ? s.get("tempo").integer(Section.SLOWEST, Section.FASTEST) : 100;
        Section.Band band = s.has("band") ? band(s.get("band")) : Section.Band.USUAL;
        Map<String, Section.Playing> parts = new TreeMap<>();
        if (s.has("parts")) {
            for (String id : s.get("parts").names()) {
                Field p = s.get("parts").get(id);
                Optional<Tone> tone =
                        p.has("tone")
                                ? Optional.of(Json.one(p.get("tone"), Tone.values()))
                                : Optional.empty();
                parts.put(id, new Section.Playing(p.get("plays").flag(), tone));
            }
        }
        String words = s.text("words", "");
        return s.build(
                () ->
                        new Section(
                                s.get("id").text(),
                                s.get("name").text(),
                                s.get("riff").text(),
                                version,
                                s.get("times").integer(1, 99),
                                ending,
                                tempo,
                                band,
                                parts,
                                words));
    }

    private static Section.Band band(Field b) throws FormatException {
        Optional<Feel> feel =
                b.has("feel")
                        ? Optional.of(Json.one(b.get("feel"), Feel.values()))
                        : Optional.empty();
        Optional<BassFigure> line = Optional.empty();
        if (b.has("line")) {
            Field l = b.get("line");
            line = Optional.of(l.build(() -> BassFigure.parse(l.text())));
        }
        return new Section.Band(
                b.get("kit").flag(), feel, b.get("fill").flag(), b.get("bass").flag(), line);
    }

    private static Optional<String> text(Field f, String name) throws FormatException {
        return f.has(name) ? Optional.of(f.get(name).text()) : Optional.empty();
    }

    static void write(List<Meant> meant, ObjectNode top) {
        if (meant.isEmpty()) {
            return;
        }
        ArrayNode all = top.putArray("meant");
        for (Meant m : meant) {
            all.addObject()
                    .put("riff", m.riff())
                    .put("at", m.at())
                    .put("one", m.one())
                    .put("two", m.two());
        }
    }

    static List<Meant> meant(Field top) throws FormatException {
        List<Meant> all = new ArrayList<>();
        if (top.has("meant")) {
            for (Field m : top.get("meant").items()) {
                all.add(
                        m.build(
                                () ->
                                        new Meant(
                                                m.get("riff").text(),
                                                m.get("at").integer(0, Integer.MAX_VALUE),
                                                m.get("one").integer(0, 11),
                                                m.get("two").integer(0, 11))));
            }
        }
        return all;
    }
}
