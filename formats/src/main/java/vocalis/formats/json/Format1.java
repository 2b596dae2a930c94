package vocalis.formats.json;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.Set;
import java.util.UUID;
import vocalis.core.mix.Controls;
import vocalis.core.mix.Feel;
import vocalis.core.mix.Mix;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Direction;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Limits;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Restart;
import vocalis.core.pattern.Stroke;
import vocalis.core.pattern.Struck;
import vocalis.core.pattern.Touch;
import vocalis.core.piece.Piece;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Tone;
import vocalis.core.riff.Treatment;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Manner;
import vocalis.core.voicing.Family;
import vocalis.formats.FormatException;

/**
 * Reads files of version 1 with their rhythm, dynamics, roots and companions; a shape that they
 * leave to the program is chosen as this version chooses. There a pattern had one cell a bar and
 * named manners by the words of the interface; touches had a tick of the riff and a string, and
 * each was counted from the fret that the stroke struck. Cells become figures, equal ones the same;
 * touches are pinned to their string at their pass. A touch whose stroke was gone is kept on an
 * event that does not exist, and found missing as before.
 */
final class Format1 {

    private static final Map<String, Manner> MANNERS =
            Map.of(
                    "plain", Manner.PLAIN,
                    "let ring", Manner.LET_RING,
                    "staccato", Manner.STACCATO,
                    "light palm mute", Manner.PALM_LIGHT,
                    "palm mute", Manner.PALM,
                    "heavy palm mute", Manner.PALM_HEAVY,
                    "dead note", Manner.DEAD);
    private static final Map<String, Feel> FEELS =
            Map.of(
                    "straight eighths", Feel.EIGHTHS,
                    "half-time", Feel.HALF_TIME,
                    "swung", Feel.SWUNG,
                    "sixteenth drive", Feel.SIXTEENTHS);
    private static final Map<String, Mix.BassLine> LINES =
            Map.of("the roots", Mix.BassLine.ROOTS, "a pedal on the tonic", Mix.BassLine.PEDAL);
    private static final int LONGEST = (int) Limits.LONGEST_FIGURE;

    /** A touch as the file has it. */
    private record Old(long at, int string, String kind, int amount, long after, long lasting) {}

    private final Field top;
    private final Meter meter;
    private final List<String> order = new ArrayList<>();
    private final Map<String, Figure> figures = new LinkedHashMap<>();

    private Format1(Field top, Meter meter) {
        this.top = top;
        this.meter = meter;
    }

    /** Reads the whole tree; the piece's id is made from the file's bytes. */
    static Piece read(Field top, byte[] bytes) throws FormatException {
        Field g = top.get("ground");
        return new Format1(top, RiffTree.meter(g.get("meter"))).piece(bytes);
    }

    /** What was not known of the tree, where it stands now. */
    static Extras moved(Extras extras) {
        return extras.moved(
                Set.of("ground", "roots", "treatments"), List.of("riffs", "[id riff-1]"));
    }

    private Piece piece(byte[] bytes) throws FormatException {
        Field g = top.get("ground");
        Ground ground = RiffTree.ground(g);
        int tempo = g.get("tempo").integer(TempoMap.SLOWEST, TempoMap.FASTEST);
        List<RootSpan> roots = RiffTree.roots(top.get("roots"));
        List<Treatment> treatments = RiffTree.treatments(top.get("treatments"));
        Field cells = top.get("pattern");
        cells.build(
                () -> {
                    readCells(cells);
                    return order;
                });
        Pattern pattern =
                cells.build(
                        () ->
                                new Pattern(
                                        List.copyOf(figures.values()),
                                        shortest(order),
                                        0,
                                        Restart.RUNS_ON,
                                        List.of()));
        List<Touch> touches = touches(top.get("touches"));
        TimeLine time = TimeLine.of(meter, tempo);
        String id = UUID.nameUUIDFromBytes(bytes).toString();
        Piece plain =
                top.build(
                        () ->
                                Piece.of(
                                        id,
                                        top.get("title").text(),
                                        top.get("about").text(),
                                        new Riff(
                                                ground,
                                                time,
                                                roots,
                                                treatments,
                                                pattern,
                                                touches)));
        return g.has("band") ? band(plain, g.get("band")) : plain;
    }

    /** Cells that are equal are one figure. */
    private void readCells(Field cells) throws FormatException {
        Map<List<Event>, String> known = new HashMap<>();
        for (Field c : cells.items()) {
            List<Event> events = new ArrayList<>();
            for (Field s : c.items()) {
                events.add(stroke(s, events.size()));
            }
            String id = known.computeIfAbsent(events, k -> "bar-" + (known.size() + 1));
            if (!figures.containsKey(id)) {
                figures.put(id, c.build(() -> new Figure(id, "", meter.barTicks(), events)));
            }
            order.add(id);
        }
    }

    private static List<String> shortest(List<String> order) {
        for (int n = 1; n < order.size(); n++) {
            boolean round = order.size() % n == 0;
            for (int i = n; i < order.size() && round; i++) {
                round = order.get(i).equals(order.get(i - n));
            }
            if (round) {
                return order.subList(0, n);
            }
        }
        return order;
    }

    private static Stroke stroke(Field s, int id) throws FormatException {
        return s.build(
                () ->
                        new Stroke(
                                id,
                                s.get("at").integer(0, LONGEST),
                                s.get("length").integer(1, LONGEST),
                                struck(s),
                                word(s.get("manner"), MANNERS),
                                s.get("accent").flag() ? Dynamics.ACCENT : Dynamics.PLAIN,
                                Direction.ALTERNATE,
                                false));
    }

    private static Struck struck(Field s) throws FormatException {
        if (s.has("voices")) {
            return new Struck.Picked(s.get("voices").integer(1, 511));
        }
        return Json.one(
                s.get("strike"),
                Struck.Named.values(),
                n -> n.name().toLowerCase(java.util.Locale.ROOT));
    }

    private static <T> T word(Field f, Map<String, T> words) throws FormatException {
        T found = words.get(f.text());
        if (found == null) {
            throw f.wrong(
                    "must be one of "
                            + String.join(", ", words.keySet().stream().sorted().toList())
                            + ", but is \""
                            + f.text()
                            + "\"");
        }
        return found;
    }

    // Touches.

    private List<Touch> touches(Field all) throws FormatException {
        Map<List<Long>, List<Old>> byNote = new LinkedHashMap<>();
        for (Field f : all.items()) {
            Old o = old(f);
            byNote.computeIfAbsent(List.of(o.at(), (long) o.string()), k -> new ArrayList<>())
                    .add(o);
        }
        List<Touch> out = new ArrayList<>();
        for (List<Old> onNote : byNote.values()) {
            Anchor anchor = anchor(onNote.get(0), all);
            all.build(
                    () -> {
                        convert(onNote, anchor, out);
                        return out;
                    });
        }
        return out;
    }

    private static Old old(Field f) throws FormatException {
        long at = f.get("at").integer(0, LONGEST);
        int string = f.get("string").integer(0, 8);
        String kind = f.get("kind").text();
        if (kind.equals("changedNote")) {
            return new Old(at, string, kind, f.get("fret").integer(0, 36), 0, 0);
        }
        return new Old(
                at,
                string,
                kind,
                f.get("amount").integer(-400, 400),
                f.get("after").integer(0, LONGEST),
                f.get("lasting").integer(0, LONGEST));
    }

    private Anchor anchor(Old o, Field at) throws FormatException {
        int bar = (int) (o.at() / meter.barTicks());
        long in = o.at() % meter.barTicks();
        String figure = order.get(bar % order.size());
        Figure f = figures.get(figure);
        int event = f.beginning(in).map(Event::id).orElse(f.freeId());
        return at.build(
                () ->
                        new Anchor(
                                figure,
                                event,
                                Optional.of(bar),
                                new Anchor.Voice.OnString(o.string())));
    }

    private static Touch bend(Old o, Anchor anchor, OptionalLong release) {
        return new Touch.Bend(anchor, o.amount(), o.after(), o.lasting(), release);
    }

    /** Every fret was counted from the stroke's; now each is from the one before. */
    private static void convert(List<Old> onNote, Anchor anchor, List<Touch> out) {
        List<Old> ordered = new ArrayList<>(onNote);
        ordered.sort(Comparator.comparingLong(Old::after));
        List<Touch.Step> steps = new ArrayList<>();
        int reached = 0;
        for (Old o : ordered) {
            int to =
                    switch (o.kind()) {
                        case "hammer" -> checked(o, 1, 12);
                        case "pull" -> -checked(o, 1, 12);
                        case "slide" -> checked(o, -24, 24);
                        default -> reached;
                    };
            switch (o.kind()) {
                case "changedNote" -> out.add(new Touch.Pinned(anchor, o.amount()));
                case "hammer", "pull" -> {
                    if (to != reached) {
                        steps.add(new Touch.Step(to - reached, o.after()));
                    }
                }
                case "slide" -> {
                    if (to != reached) {
                        out.add(new Touch.Slide(anchor, to - reached, o.after(), o.lasting()));
                    }
                }
                case "bend" -> out.add(bend(o, anchor, OptionalLong.empty()));
                case "bendRelease" -> {
                    long let = o.after() + 2 * o.lasting();
                    out.add(bend(o, anchor, OptionalLong.of(let)));
                }
                case "vibrato" ->
                        out.add(
                                new Touch.Vibrato(
                                        anchor, o.amount(), Touch.Vibrato.USUAL_HZ, o.after()));
                default ->
                        throw new IllegalArgumentException(
                                "a touch's kind must be one of changedNote, hammer, pull, slide,"
                                        + " bend, bendRelease, vibrato, but is \""
                                        + o.kind()
                                        + "\"");
            }
            reached = to;
        }
        if (!steps.isEmpty()) {
            out.add(new Touch.Legato(anchor, steps));
        }
    }

    private static int checked(Old o, int least, int most) {
        if (o.amount() < least || o.amount() > most || o.amount() == 0) {
            throw new IllegalArgumentException(
                    "a "
                            + o.kind()
                            + " goes from "
                            + least
                            + " to "
                            + most
                            + " frets, not "
                            + o.amount());
        }
        return o.amount();
    }

    // Who plays along.

    private static Piece band(Piece piece, Field b) throws FormatException {
        Field second = b.get("second");
        Controls controls = MixCodec.readControls(b.get("controls"));
        Mix mix =
                b.build(
                        () ->
                                new Mix(
                                        controls,
                                        MixCodec.readFader(second),
                                        Json.one(second.get("tone"), Tone.values()),
                                        MixCodec.readControls(second.get("controls")),
                                        second.get("spread").integer(0, 10),
                                        MixCodec.readFader(b.get("bass")),
                                        word(b.get("bass").get("line"), LINES),
                                        Mix.ALONE.bassHand(),
                                        MixCodec.readFader(b.get("kit")),
                                        word(b.get("kit").get("feel"), FEELS),
                                        MixCodec.readFader(b.get("click")),
                                        Mix.ALONE.timing(),
                                        Mix.ALONE.room()));
        Optional<Family> family =
                second.has("family")
                        ? Optional.of(
                                RiffTree.family(second.get("family"), second.get("family").text()))
                        : Optional.empty();
        return piece.mixed(mix).secondVoicedIn(family);
    }
}
