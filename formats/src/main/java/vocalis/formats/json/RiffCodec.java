package vocalis.formats.json;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonLocation;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Band;
import vocalis.core.riff.Cell;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Manner;
import vocalis.core.riff.Member;
import vocalis.core.riff.NamedRiff;
import vocalis.core.riff.Pattern;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Stroke;
import vocalis.core.riff.Struck;
import vocalis.core.riff.Tone;
import vocalis.core.riff.Touch;
import vocalis.core.riff.Treatment;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.ShapeClass;
import vocalis.formats.FormatException;

/**
 * Reads and writes {@code .vocalis.json}, the recipe of a riff; the schema is
 * docs/vocalis-1.schema.json. Times are ticks of a quarter note's 20160, which the file states.
 * What was read equals what was written. A file of a newer version is refused. Input is bounded to
 * 4 MB and 60 levels.
 */
public final class RiffCodec {

    /** Version that is written; up to it files are read. */
    public static final int VERSION = 1;

    /** Largest file read, in bytes. */
    public static final int MOST_BYTES = 4_000_000;

    private static final ObjectMapper MAPPER =
            new ObjectMapper(
                    JsonFactory.builder()
                            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                            .streamReadConstraints(
                                    StreamReadConstraints.builder()
                                            .maxNestingDepth(60)
                                            .maxDocumentLength(MOST_BYTES)
                                            .build())
                            .build());

    private RiffCodec() {}

    /** The file's bytes, UTF-8, indented. */
    public static byte[] write(NamedRiff named) {
        ObjectNode top = MAPPER.createObjectNode();
        top.put("format", "vocalis");
        top.put("version", VERSION);
        top.put("ticksPerQuarter", Ticks.QUARTER);
        top.put("title", named.title());
        top.put("about", named.about());
        Riff riff = named.riff();
        top.set("ground", ground(riff.ground()));
        ArrayNode roots = top.putArray("roots");
        for (RootSpan r : riff.roots()) {
            roots.addObject()
                    .put("step", r.root().step())
                    .put("alter", r.root().alter())
                    .put("length", r.length());
        }
        ArrayNode treatments = top.putArray("treatments");
        riff.treatments().forEach(t -> treatments.add(treatment(t)));
        ArrayNode pattern = top.putArray("pattern");
        riff.pattern().bars().forEach(c -> pattern.add(cell(c)));
        ArrayNode touches = top.putArray("touches");
        for (Touch t : riff.touches()) {
            if (t instanceof Touch.ChangedNote c) {
                touches.addObject()
                        .put("kind", "changedNote")
                        .put("at", c.at())
                        .put("string", c.string())
                        .put("fret", c.fret());
            } else if (t instanceof Touch.Ornament o) {
                touches.addObject()
                        .put("kind", name(o.kind()))
                        .put("at", o.at())
                        .put("string", o.string())
                        .put("amount", o.amount())
                        .put("after", o.after())
                        .put("lasting", o.lasting());
            }
        }
        try {
            return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsBytes(top);
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("a tree of plain values always writes", e);
        }
    }

    private static ObjectNode ground(Ground g) {
        ObjectNode n = MAPPER.createObjectNode();
        ObjectNode instrument = n.putObject("instrument");
        Tuning tuning = g.instrument().tuning();
        instrument.put("tuning", tuning.name());
        ArrayNode open = instrument.putArray("openMidi");
        tuning.open().forEach(open::add);
        instrument.put("frets", g.instrument().frets());
        instrument.put("scaleMm", g.instrument().scaleMm());
        instrument.put("leftHanded", g.instrument().leftHanded());
        n.put("capo", g.capo());
        ObjectNode key = n.putObject("key");
        key.put("tonic", g.key().tonic().ascii());
        key.put("mode", g.key().mode().name());
        ArrayNode degrees = key.putArray("degrees");
        g.key().mode().degrees().forEach(d -> degrees.add(d.ascii()));
        n.put("tempo", g.tempo());
        n.put("meter", g.meter().symbol());
        n.put("tone", g.tone().label());
        n.put("a4Hz", g.a4Hz());
        if (!g.band().equals(Band.ALONE)) {
            n.set("band", BandCodec.write(g.band()));
        }
        return n;
    }

    private static ObjectNode treatment(Treatment t) {
        ObjectNode n = MAPPER.createObjectNode();
        n.put("family", familyName(t.family()));
        t.bass().ifPresent(b -> n.putObject("bass").put("step", b.step()).put("alter", b.alter()));
        ObjectNode members = n.putObject("members");
        for (Family f : Family.values()) {
            Member m = t.members().get(f);
            if (m instanceof Member.Found found) {
                members.putObject(familyName(f))
                        .put("kind", "found")
                        .put("shapeClass", found.shapeClass().text())
                        .put("lowString", found.lowString())
                        .put("nearFret", found.nearFret());
            } else if (m instanceof Member.ByHand hand) {
                members.putObject(familyName(f))
                        .put("kind", "byHand")
                        .put("shape", hand.shape().text())
                        .put("root", hand.root());
            }
        }
        return n;
    }

    static String familyName(Family f) {
        return f.name().toLowerCase(Locale.ROOT);
    }

    private static ArrayNode cell(Cell c) {
        ArrayNode n = MAPPER.createArrayNode();
        for (Stroke s : c.strokes()) {
            ObjectNode o = n.addObject().put("at", s.at()).put("length", s.length());
            if (s.struck() instanceof Struck.Named named) {
                o.put("strike", named.name().toLowerCase(Locale.ROOT));
            } else if (s.struck() instanceof Struck.Picked picked) {
                o.put("voices", picked.mask());
            }
            o.put("manner", s.manner().words()).put("accent", s.accent());
        }
        return n;
    }

    /**
     * Reads a file.
     *
     * @throws FormatException saying what is wrong, where in the file, and what to do
     */
    public static NamedRiff read(byte[] bytes) throws FormatException {
        if (bytes.length > MOST_BYTES) {
            throw new FormatException(
                    "the file has "
                            + bytes.length
                            + " bytes, more than any riff needs; is it the right one?");
        }
        JsonNode top;
        try {
            top = MAPPER.readTree(bytes);
        } catch (JsonProcessingException e) {
            throw new FormatException(
                    "the file is damaged" + place(e) + "; open an earlier copy of it", e);
        } catch (IOException e) {
            throw new FormatException("the file cannot be read: " + e.getMessage(), e);
        }
        if (top == null || !top.isObject() || !"vocalis".equals(top.path("format").asText())) {
            throw new FormatException("this is no Vocalis riff: it does not begin as one");
        }
        Field root = new Field(top, "");
        int version = root.get("version").integer(1, Integer.MAX_VALUE);
        if (version > VERSION) {
            throw new FormatException(
                    "the riff was written by a newer Vocalis (format "
                            + version
                            + ", this one knows "
                            + VERSION
                            + "); it is left as it is: open it with the newer program");
        }
        return named(root);
    }

    private static String place(JsonProcessingException e) {
        JsonLocation at = e.getLocation();
        return at == null ? "" : " at line " + at.getLineNr() + ", column " + at.getColumnNr();
    }

    private static NamedRiff named(Field top) throws FormatException {
        long perQuarter = top.get("ticksPerQuarter").integer(1, Integer.MAX_VALUE);
        if (perQuarter != Ticks.QUARTER) {
            throw top.get("ticksPerQuarter").wrong("must be " + Ticks.QUARTER);
        }
        Ground ground = ground(top.get("ground"));
        List<RootSpan> roots = new ArrayList<>();
        for (Field f : top.get("roots").items()) {
            Root root =
                    f.build(
                            () ->
                                    new Root(
                                            f.get("step").integer(1, 7),
                                            f.get("alter").integer(-6, 6)));
            roots.add(new RootSpan(root, f.get("length").ticks()));
        }
        List<Treatment> treatments = new ArrayList<>();
        for (Field f : top.get("treatments").items()) {
            treatments.add(treatment(f));
        }
        List<Cell> cells = new ArrayList<>();
        for (Field f : top.get("pattern").items()) {
            cells.add(cell(f));
        }
        List<Touch> touches = new ArrayList<>();
        for (Field f : top.get("touches").items()) {
            touches.add(touch(f));
        }
        return top.build(
                () ->
                        new NamedRiff(
                                top.get("title").text(),
                                top.get("about").text(),
                                new Riff(ground, roots, treatments, new Pattern(cells), touches)));
    }

    private static Touch touch(Field f) throws FormatException {
        int at = f.get("at").integer(0, Integer.MAX_VALUE);
        int string = f.get("string").integer(0, 8);
        if ("changedNote".equals(f.get("kind").text())) {
            return new Touch.ChangedNote(at, string, f.get("fret").integer(0, 36));
        }
        Touch.Kind kind = BandCodec.oneOf(f.get("kind"), Touch.Kind.values(), RiffCodec::name);
        return f.build(
                () ->
                        new Touch.Ornament(
                                at,
                                string,
                                kind,
                                f.get("amount").integer(-400, 400),
                                f.get("after").integer(0, Integer.MAX_VALUE),
                                f.get("lasting").integer(0, Integer.MAX_VALUE)));
    }

    /** Such as {@code bendRelease}. */
    private static String name(Touch.Kind kind) {
        return kind == Touch.Kind.BEND_RELEASE
                ? "bendRelease"
                : kind.name().toLowerCase(Locale.ROOT);
    }

    private static Ground ground(Field g) throws FormatException {
        Field i = g.get("instrument");
        List<Integer> open = new ArrayList<>();
        for (Field f : i.get("openMidi").items()) {
            open.add(f.integer(0, 127));
        }
        Tuning tuning = i.build(() -> new Tuning(i.get("tuning").text(), open));
        Instrument instrument =
                i.build(
                        () ->
                                new Instrument(
                                        tuning,
                                        i.get("frets").integer(1, 99),
                                        i.get("scaleMm").number(),
                                        i.get("leftHanded").flag()));
        Field k = g.get("key");
        List<Degree> degrees = new ArrayList<>();
        for (Field f : k.get("degrees").items()) {
            degrees.add(f.build(() -> Degree.parse(f.text())));
        }
        Key key =
                k.build(
                        () ->
                                new Key(
                                        Spelling.parse(k.get("tonic").text()),
                                        new Mode(k.get("mode").text(), degrees)));
        Band band = g.has("band") ? BandCodec.read(g.get("band")) : Band.ALONE;
        Field m = g.get("meter");
        String[] meter = m.text().split("/");
        return g.build(
                () ->
                        new Ground(
                                instrument,
                                g.get("capo").integer(0, 24),
                                key,
                                g.get("tempo").integer(0, 10000),
                                m.build(
                                        () ->
                                                new Meter(
                                                        Integer.parseInt(meter[0]),
                                                        Integer.parseInt(
                                                                meter.length > 1 ? meter[1] : ""))),
                                BandCodec.oneOf(g.get("tone"), Tone.values(), Tone::label),
                                g.get("a4Hz").number(),
                                band));
    }

    static Family family(Field f, String name) throws FormatException {
        for (Family family : Family.values()) {
            if (familyName(family).equals(name)) {
                return family;
            }
        }
        throw f.wrong("names the family \"" + name + "\", which is not known here");
    }

    private static Treatment treatment(Field t) throws FormatException {
        Family family = family(t.get("family"), t.get("family").text());
        Map<Family, Member> members = new EnumMap<>(Family.class);
        Field all = t.get("members");
        for (String name : all.names()) {
            Field m = all.get(name);
            Member member =
                    switch (m.get("kind").text()) {
                        case "found" ->
                                m.build(
                                        () ->
                                                new Member.Found(
                                                        ShapeClass.parse(
                                                                m.get("shapeClass").text()),
                                                        m.get("lowString").integer(0, 8),
                                                        m.get("nearFret").integer(0, 36)));
                        case "byHand" ->
                                m.build(
                                        () ->
                                                new Member.ByHand(
                                                        Shape.parse(m.get("shape").text()),
                                                        m.get("root").integer(0, 11)));
                        default -> throw m.get("kind").wrong("must be found or byHand");
                    };
            members.put(family(m, name), member);
        }
        Optional<Root> bass = Optional.empty();
        if (t.has("bass")) {
            Field b = t.get("bass");
            bass =
                    Optional.of(
                            b.build(
                                    () ->
                                            new Root(
                                                    b.get("step").integer(1, 7),
                                                    b.get("alter").integer(-6, 6))));
        }
        return new Treatment(family, members, bass);
    }

    private static Cell cell(Field c) throws FormatException {
        List<Stroke> strokes = new ArrayList<>();
        for (Field s : c.items()) {
            strokes.add(
                    s.build(
                            () ->
                                    new Stroke(
                                            s.get("at").integer(0, Integer.MAX_VALUE),
                                            s.get("length").ticks(),
                                            struck(s),
                                            BandCodec.oneOf(
                                                    s.get("manner"),
                                                    Manner.values(),
                                                    Manner::words),
                                            s.get("accent").flag())));
        }
        return c.build(() -> new Cell(strokes));
    }

    private static Struck struck(Field s) throws FormatException {
        if (s.has("voices")) {
            return new Struck.Picked(s.get("voices").integer(1, 511));
        }
        String name = s.get("strike").text();
        for (Struck.Named named : Struck.Named.values()) {
            if (named.name().toLowerCase(Locale.ROOT).equals(name)) {
                return named;
            }
        }
        throw s.get("strike").wrong("says \"" + name + "\", which is no selection of voices");
    }
}
