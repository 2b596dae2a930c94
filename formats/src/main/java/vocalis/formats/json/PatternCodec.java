package vocalis.formats.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import vocalis.core.pattern.Direction;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.EventOverride;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Limits;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Rest;
import vocalis.core.pattern.Restart;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.formats.FormatException;

/** The part of a riff's file that holds its figures and how they are laid. */
final class PatternCodec {

    private static final int LONGEST = (int) Limits.LONGEST_FIGURE;

    private PatternCodec() {}

    static ObjectNode write(Pattern p) {
        ObjectNode n = Json.MAPPER.createObjectNode();
        ArrayNode figures = n.putArray("figures");
        for (Figure f : p.figures()) {
            ObjectNode o = figures.addObject().put("id", f.id()).put("name", f.name());
            o.put("length", f.length());
            ArrayNode events = o.putArray("events");
            f.events().forEach(e -> events.add(event(e)));
        }
        ArrayNode order = n.putArray("order");
        p.order().forEach(order::add);
        n.put("offset", p.offset()).put("restart", Json.id(p.restart()));
        ArrayNode overrides = n.putArray("overrides");
        for (EventOverride o : p.overrides()) {
            ObjectNode x = overrides.addObject().put("figure", o.figure()).put("pass", o.pass());
            x.set("event", event(o.event()));
        }
        return n;
    }

    private static ObjectNode event(Event e) {
        ObjectNode o = Json.MAPPER.createObjectNode().put("id", e.id());
        String kind = e instanceof Stroke ? "stroke" : e instanceof LineNote ? "lineNote" : "rest";
        o.put("kind", kind).put("at", e.at()).put("length", e.length());
        if (e instanceof Stroke s) {
            if (s.struck() instanceof Struck.Named named) {
                o.put("strike", Json.id(named));
            } else if (s.struck() instanceof Struck.Picked picked) {
                o.put("voices", picked.mask());
            } else if (s.struck() instanceof Struck.Strings strings) {
                o.put("strings", strings.mask());
            }
            o.put("manner", Json.id(s.manner())).put("dynamics", Json.id(s.dynamics()));
            o.put("direction", Json.id(s.direction())).put("tied", s.tied());
        } else if (e instanceof LineNote l) {
            if (l.pitch() instanceof LinePitch.Degree d) {
                o.putObject("degree")
                        .put("above", Json.id(d.above()))
                        .put("degree", d.degree())
                        .put("alter", d.alter())
                        .put("octave", d.octave());
            } else if (l.pitch() instanceof LinePitch.Place p) {
                o.putObject("place").put("string", p.string()).put("fret", p.fret());
            }
            o.put("manner", Json.id(l.manner())).put("dynamics", Json.id(l.dynamics()));
            o.put("tied", l.tied());
        }
        return o;
    }

    static Pattern read(Field f) throws FormatException {
        List<Figure> figures = new ArrayList<>();
        for (Field g : f.get("figures").items()) {
            List<Event> events = new ArrayList<>();
            for (Field e : g.get("events").items()) {
                events.add(readEvent(e));
            }
            figures.add(
                    g.build(
                            () ->
                                    new Figure(
                                            g.get("id").text(),
                                            g.text("name", ""),
                                            g.get("length").integer(1, LONGEST),
                                            events)));
        }
        List<String> order = new ArrayList<>();
        for (Field o : f.get("order").items()) {
            order.add(o.text());
        }
        List<EventOverride> overrides = new ArrayList<>();
        for (Field o : f.get("overrides").items()) {
            Event event = readEvent(o.get("event"));
            overrides.add(
                    o.build(
                            () ->
                                    new EventOverride(
                                            o.get("figure").text(),
                                            o.get("pass").integer(0, Limits.MOST_STRUCK),
                                            event)));
        }
        return f.build(
                () ->
                        new Pattern(
                                figures,
                                order,
                                f.get("offset").integer(0, Integer.MAX_VALUE),
                                Json.one(f.get("restart"), Restart.values()),
                                overrides));
    }

    private static Event readEvent(Field e) throws FormatException {
        int id = e.get("id").integer(0, Integer.MAX_VALUE - 1);
        long at = e.get("at").integer(0, LONGEST);
        long length = e.get("length").integer(1, LONGEST);
        return switch (e.get("kind").text()) {
            case "stroke" ->
                    e.build(
                            () ->
                                    new Stroke(
                                            id,
                                            at,
                                            length,
                                            struck(e),
                                            Json.one(e.get("manner"), Manner.values()),
                                            Json.one(e.get("dynamics"), Dynamics.values()),
                                            Json.one(e.get("direction"), Direction.values()),
                                            e.get("tied").flag()));
            case "lineNote" ->
                    e.build(
                            () ->
                                    new LineNote(
                                            id,
                                            at,
                                            length,
                                            pitch(e),
                                            Json.one(e.get("manner"), Manner.values()),
                                            Json.one(e.get("dynamics"), Dynamics.values()),
                                            e.get("tied").flag()));
            case "rest" -> e.build(() -> new Rest(id, at, length));
            default ->
                    throw e.get("kind")
                            .wrong(
                                    "must be one of stroke, lineNote, rest, but is \""
                                            + e.get("kind").text()
                                            + "\"");
        };
    }

    private static LinePitch pitch(Field e) throws FormatException {
        if (e.has("place")) {
            Field p = e.get("place");
            return p.build(
                    () ->
                            new LinePitch.Place(
                                    p.get("string").integer(0, 8), p.get("fret").integer(0, 36)));
        }
        Field d = e.get("degree");
        return d.build(
                () ->
                        new LinePitch.Degree(
                                Json.one(d.get("above"), LinePitch.Above.values()),
                                d.get("degree").integer(1, 7),
                                d.get("alter").integer(-2, 2),
                                d.get("octave").integer(0, 5)));
    }

    private static Struck struck(Field s) throws FormatException {
        if (s.has("voices")) {
            return new Struck.Picked(s.get("voices").integer(1, 511));
        }
        if (s.has("strings")) {
            return new Struck.Strings(s.get("strings").integer(1, 511));
        }
        return Json.one(s.get("strike"), Struck.Named.values());
    }
}
