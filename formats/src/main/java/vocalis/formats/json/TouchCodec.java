package vocalis.formats.json;

import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Limits;
import vocalis.core.pattern.Touch;
import vocalis.core.score.Dynamics;
import vocalis.formats.FormatException;

/** The part of a riff's file that holds its touches. */
final class TouchCodec {

    private static final int LONGEST = (int) Limits.LONGEST_FIGURE;

    private TouchCodec() {}

    static ObjectNode write(Touch t) {
        // The kind stands first; which one it is, the writer of that kind says.
        ObjectNode n = Json.MAPPER.createObjectNode().put("kind", "");
        Anchor a = t.anchor();
        n.put("figure", a.figure()).put("event", a.event());
        a.pass().ifPresent(p -> n.put("pass", p));
        if (a.voice() instanceof Anchor.Voice.FromTop top) {
            n.put("fromTop", top.rank());
        } else if (a.voice() instanceof Anchor.Voice.OnString s) {
            n.put("string", s.string());
        }
        return t.say(new Writer(n));
    }

    /** What each kind of touch holds besides its note. */
    private record Writer(ObjectNode n) implements Touch.Cases<ObjectNode> {

        private void kind(String kind) {
            n.put("kind", kind);
        }

        @Override
        public ObjectNode legato(Touch.Legato l) {
            kind("legato");
            ArrayNode steps = n.putArray("steps");
            l.steps()
                    .forEach(
                            s -> steps.addObject().put("frets", s.frets()).put("after", s.after()));
            return n;
        }

        @Override
        public ObjectNode slide(Touch.Slide s) {
            kind("slide");
            return n.put("frets", s.frets()).put("after", s.after()).put("lasting", s.lasting());
        }

        @Override
        public ObjectNode bend(Touch.Bend b) {
            kind("bend");
            n.put("cents", b.cents()).put("after", b.after()).put("lasting", b.lasting());
            b.release().ifPresent(r -> n.put("release", r));
            return n;
        }

        @Override
        public ObjectNode vibrato(Touch.Vibrato v) {
            kind("vibrato");
            return n.put("cents", v.cents()).put("hz", v.hz()).put("after", v.after());
        }

        @Override
        public ObjectNode level(Touch.Level l) {
            kind("level");
            return n.put("dynamics", Json.id(l.dynamics()));
        }

        @Override
        public ObjectNode tremolo(Touch.Tremolo r) {
            kind("tremolo");
            return n.put("strokes", r.strokes());
        }

        @Override
        public ObjectNode pinch(Touch.Pinch p) {
            kind("pinch");
            return n.put("partial", p.partial());
        }

        @Override
        public ObjectNode moved(Touch.Moved m) {
            kind("moved");
            return n.put("frets", m.frets());
        }

        @Override
        public ObjectNode pinned(Touch.Pinned p) {
            kind("pinned");
            return n.put("fret", p.fret());
        }
    }

    static Touch read(Field f) throws FormatException {
        Anchor anchor = anchor(f);
        return switch (f.get("kind").text()) {
            case "legato" -> legato(f, anchor);
            case "slide" -> slide(f, anchor);
            case "bend" -> bend(f, anchor);
            case "vibrato" -> vibrato(f, anchor);
            case "level" ->
                    f.build(
                            () ->
                                    new Touch.Level(
                                            anchor,
                                            Json.one(f.get("dynamics"), Dynamics.values())));
            case "tremolo" ->
                    f.build(() -> new Touch.Tremolo(anchor, f.get("strokes").integer(2, 16)));
            case "pinch" ->
                    f.build(
                            () ->
                                    new Touch.Pinch(
                                            anchor,
                                            f.get("partial").integer(2, Touch.Pinch.HIGHEST)));
            case "moved" -> f.build(() -> new Touch.Moved(anchor, f.get("frets").integer(-36, 36)));
            case "pinned" -> f.build(() -> new Touch.Pinned(anchor, f.get("fret").integer(0, 36)));
            default ->
                    throw f.get("kind")
                            .wrong(
                                    "must be one of legato, slide, bend, vibrato, level, tremolo, pinch,"
                                            + " moved, pinned,"
                                            + " but is \""
                                            + f.get("kind").text()
                                            + "\"");
        };
    }

    private static Touch legato(Field f, Anchor anchor) throws FormatException {
        List<Touch.Step> steps = new ArrayList<>();
        for (Field s : f.get("steps").items()) {
            steps.add(
                    s.build(
                            () ->
                                    new Touch.Step(
                                            s.get("frets").integer(-36, 36),
                                            s.get("after").integer(0, LONGEST))));
        }
        return f.build(() -> new Touch.Legato(anchor, steps));
    }

    private static Touch slide(Field f, Anchor anchor) throws FormatException {
        return f.build(
                () ->
                        new Touch.Slide(
                                anchor,
                                f.get("frets").integer(-36, 36),
                                f.get("after").integer(0, LONGEST),
                                f.get("lasting").integer(0, LONGEST)));
    }

    private static Touch bend(Field f, Anchor anchor) throws FormatException {
        OptionalLong release =
                f.has("release")
                        ? OptionalLong.of(f.get("release").integer(0, LONGEST))
                        : OptionalLong.empty();
        return f.build(
                () ->
                        new Touch.Bend(
                                anchor,
                                f.get("cents").integer(25, 400),
                                f.get("after").integer(0, LONGEST),
                                f.get("lasting").integer(0, LONGEST),
                                release));
    }

    private static Touch vibrato(Field f, Anchor anchor) throws FormatException {
        return f.build(
                () ->
                        new Touch.Vibrato(
                                anchor,
                                f.get("cents").integer(5, 200),
                                f.get("hz").number(2, 10),
                                f.get("after").integer(0, LONGEST)));
    }

    private static Anchor anchor(Field f) throws FormatException {
        Optional<Integer> pass =
                f.has("pass")
                        ? Optional.of(f.get("pass").integer(0, Limits.MOST_STRUCK))
                        : Optional.empty();
        return f.build(
                () ->
                        new Anchor(
                                f.get("figure").text(),
                                f.get("event").integer(0, Integer.MAX_VALUE - 1),
                                pass,
                                f.has("string")
                                        ? new Anchor.Voice.OnString(f.get("string").integer(0, 8))
                                        : new Anchor.Voice.FromTop(
                                                f.get("fromTop").integer(0, 8))));
    }
}
