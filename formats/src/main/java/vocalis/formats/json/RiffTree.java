package vocalis.formats.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vocalis.core.instrument.Gauge;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.pattern.Limits;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Tone;
import vocalis.core.riff.Treatment;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.ShapeClass;
import vocalis.formats.FormatException;

/** A riff's recipe as a tree. */
final class RiffTree {

    private static final int LONGEST = (int) Limits.LONGEST_FIGURE;

    private RiffTree() {}

    static void write(Riff riff, ObjectNode into) {
        into.set("ground", ground(riff.ground()));
        ArrayNode meters = into.putArray("meters");
        riff.meters()
                .changes()
                .forEach(
                        c ->
                                meters.addObject()
                                        .put("bar", c.bar())
                                        .put("meter", c.meter().symbol()));
        into.put("pickup", riff.meters().pickup());
        ArrayNode tempos = into.putArray("tempos");
        riff.time()
                .tempos()
                .changes()
                .forEach(c -> tempos.addObject().put("at", c.at()).put("tempo", c.tempo()));
        ArrayNode roots = into.putArray("roots");
        for (RootSpan r : riff.roots()) {
            roots.addObject()
                    .put("step", r.root().step())
                    .put("alter", r.root().alter())
                    .put("length", r.length());
        }
        ArrayNode treatments = into.putArray("treatments");
        riff.treatments().forEach(t -> treatments.add(treatment(t)));
        into.set("pattern", PatternCodec.write(riff.pattern()));
        ArrayNode touches = into.putArray("touches");
        riff.touches().forEach(t -> touches.add(TouchCodec.write(t)));
    }

    private static ObjectNode ground(Ground g) {
        ObjectNode n = Json.MAPPER.createObjectNode();
        ObjectNode instrument = n.putObject("instrument");
        Tuning tuning = g.instrument().tuning();
        instrument.put("tuning", tuning.name());
        ArrayNode open = instrument.putArray("openMidi");
        tuning.open().forEach(open::add);
        instrument.put("frets", g.instrument().frets());
        instrument.put("scaleMm", g.instrument().scaleMm());
        instrument.put("leftHanded", g.instrument().leftHanded());
        instrument.put("gauge", Json.id(g.instrument().gauge()));
        n.put("capo", g.capo());
        ObjectNode key = n.putObject("key");
        key.put("tonic", g.key().tonic().ascii());
        key.put("mode", g.key().mode().name());
        ArrayNode degrees = key.putArray("degrees");
        g.key().mode().degrees().forEach(d -> degrees.add(d.ascii()));
        n.put("tone", Json.id(g.tone()));
        n.put("a4Hz", g.a4Hz());
        return n;
    }

    private static ObjectNode treatment(Treatment t) {
        ObjectNode n = Json.MAPPER.createObjectNode();
        n.put("family", Json.id(t.family()));
        t.bass().ifPresent(b -> n.putObject("bass").put("step", b.step()).put("alter", b.alter()));
        t.settled().ifPresent(s -> n.put("settled", s.text()));
        t.fingers().ifPresent(all -> all.forEach(n.withArray("fingers")::add));
        ObjectNode members = n.putObject("members");
        for (Family f : Family.values()) {
            Member m = t.members().get(f);
            if (m instanceof Member.OfClass found) {
                members.putObject(Json.id(f))
                        .put("kind", "found")
                        .put("shapeClass", found.shapeClass().text())
                        .put("lowString", found.lowString())
                        .put("nearFret", found.nearFret());
            } else if (m instanceof Member.ByHand hand) {
                members.putObject(Json.id(f))
                        .put("kind", "byHand")
                        .put("shape", hand.shape().text())
                        .put("root", hand.root());
            }
        }
        return n;
    }

    static Riff read(Field f) throws FormatException {
        Ground ground = ground(f.get("ground"));
        MeterMap meters = meters(f);
        TempoMap tempos = tempos(f.get("tempos"));
        List<RootSpan> roots = roots(f.get("roots"));
        List<Treatment> treatments = treatments(f.get("treatments"));
        Pattern pattern = PatternCodec.read(f.get("pattern"));
        List<Touch> touches = new ArrayList<>();
        for (Field t : f.get("touches").items()) {
            touches.add(TouchCodec.read(t));
        }
        TimeLine time = new TimeLine(meters, tempos);
        return f.build(() -> new Riff(ground, time, roots, treatments, pattern, touches));
    }

    private static MeterMap meters(Field f) throws FormatException {
        List<MeterMap.Change> changes = new ArrayList<>();
        for (Field c : f.get("meters").items()) {
            changes.add(
                    c.build(
                            () ->
                                    new MeterMap.Change(
                                            c.get("bar").integer(0, Limits.MOST_BARS),
                                            meter(c.get("meter")))));
        }
        return f.build(() -> new MeterMap(changes, f.get("pickup").integer(0, LONGEST)));
    }

    static Meter meter(Field f) throws FormatException {
        return f.build(() -> Meter.parse(f.text()));
    }

    private static TempoMap tempos(Field f) throws FormatException {
        List<TempoMap.Change> changes = new ArrayList<>();
        for (Field c : f.items()) {
            changes.add(
                    c.build(
                            () ->
                                    new TempoMap.Change(
                                            c.get("at").integer(0, LONGEST),
                                            c.get("tempo")
                                                    .integer(TempoMap.SLOWEST, TempoMap.FASTEST))));
        }
        return f.build(() -> new TempoMap(changes));
    }

    static List<RootSpan> roots(Field f) throws FormatException {
        List<RootSpan> roots = new ArrayList<>();
        for (Field r : f.items()) {
            roots.add(r.build(() -> new RootSpan(root(r), r.get("length").integer(1, LONGEST))));
        }
        return roots;
    }

    private static Root root(Field r) throws FormatException {
        return r.build(() -> new Root(r.get("step").integer(1, 7), r.get("alter").integer(-6, 6)));
    }

    /** All of the ground that both formats have in common. */
    static Ground ground(Field g) throws FormatException {
        Field i = g.get("instrument");
        List<Integer> open = new ArrayList<>();
        for (Field f : i.get("openMidi").items()) {
            open.add(f.integer(16, 88));
        }
        Tuning tuning = i.build(() -> new Tuning(i.get("tuning").text(), open));
        Instrument instrument =
                i.build(
                        () ->
                                new Instrument(
                                        tuning,
                                        i.get("frets").integer(12, 27),
                                        i.get("scaleMm").number(300, 900),
                                        i.get("leftHanded").flag(),
                                        i.has("gauge")
                                                ? Json.one(i.get("gauge"), Gauge.values())
                                                : Gauge.USUAL));
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
        return g.build(
                () ->
                        new Ground(
                                instrument,
                                g.get("capo").integer(0, 12),
                                key,
                                Json.one(g.get("tone"), Tone.values()),
                                g.get("a4Hz").number(430, 450)));
    }

    static Family family(Field at, String id) throws FormatException {
        for (Family family : Family.values()) {
            if (Json.id(family).equals(id)) {
                return family;
            }
        }
        throw at.wrong(
                "must be a family ("
                        + java.util.Arrays.stream(Family.values())
                                .map(Json::id)
                                .collect(java.util.stream.Collectors.joining(", "))
                        + "), but is \""
                        + id
                        + "\"");
    }

    static List<Treatment> treatments(Field f) throws FormatException {
        List<Treatment> all = new ArrayList<>();
        for (Field t : f.items()) {
            all.add(treatment(t));
        }
        return all;
    }

    private static Treatment treatment(Field t) throws FormatException {
        Family family = family(t.get("family"), t.get("family").text());
        Map<Family, Member> members = new EnumMap<>(Family.class);
        Field all = t.get("members");
        for (String name : all.names()) {
            members.put(family(all, name), member(all.get(name)));
        }
        Optional<Root> bass = t.has("bass") ? Optional.of(root(t.get("bass"))) : Optional.empty();
        Optional<Shape> settled =
                t.has("settled")
                        ? Optional.of(t.build(() -> Shape.parse(t.get("settled").text())))
                        : Optional.empty();
        Optional<List<Integer>> fingers = Optional.empty();
        if (t.has("fingers")) {
            List<Integer> each = new ArrayList<>();
            for (Field one : t.get("fingers").items()) {
                each.add(one.integer(0, 5));
            }
            fingers = Optional.of(each);
        }
        Optional<List<Integer>> wanted = fingers;
        return t.build(() -> new Treatment(family, members, bass, settled, wanted));
    }

    private static Member member(Field m) throws FormatException {
        return switch (m.get("kind").text()) {
            case "found" ->
                    m.build(
                            () ->
                                    new Member.OfClass(
                                            ShapeClass.parse(m.get("shapeClass").text()),
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
    }
}
