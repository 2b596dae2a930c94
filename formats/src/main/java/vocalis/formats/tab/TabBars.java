package vocalis.formats.tab;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import vocalis.core.instrument.Fretboard;
import vocalis.core.names.ChordSymbol;
import vocalis.core.pattern.Limits;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Harmony;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.score.Technique;
import vocalis.core.theory.Spelling;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.NoteDraft;

/** Puts the bars of systems one after another and makes notes of what stands in them. */
final class TabBars {

    private static final int USUAL_VIBRATO_CENTS = 30;
    private static final long USUAL_WAY = Ticks.SIXTEENTH / 2;

    private final Fretboard board;
    private final Set<String> remarks;
    private final long pickup;
    private final List<Meter> meters = new ArrayList<>();
    private final List<NoteDraft> drafts = new ArrayList<>();
    private final TreeMap<Long, Integer> tempos = new TreeMap<>();
    private final TreeMap<Long, String> chords = new TreeMap<>();
    private final NoteDraft[] last;
    private Meter meter;
    private long at;

    TabBars(Fretboard board, Meter meter, long pickup, int tempo, Set<String> remarks) {
        this.board = board;
        this.meter = meter;
        this.pickup = pickup;
        this.remarks = remarks;
        this.last = new NoteDraft[board.strings()];
        tempos.put(0L, tempo);
    }

    /** What begins in one column: tokens by string. */
    private record Moment(int column, Map<Integer, TabToken> tokens) {

        /** An x beside frets is a string of the grip held silent, not a dead stroke. */
        void silence() {
            if (tokens.values().stream().anyMatch(t -> !t.dead())) {
                tokens.values().removeIf(TabToken::bareX);
            }
        }
    }

    void add(TabSystem s) throws FormatException {
        if (s.lines().size() != board.strings()) {
            throw TabToken.wrong(
                    s.lines().get(0),
                    0,
                    "this system has "
                            + s.lines().size()
                            + " strings, the tuning "
                            + board.strings());
        }
        List<Integer> edges = new ArrayList<>(s.bars());
        int from = s.lines().stream().mapToInt(TabSystem.Line::from).min().orElse(0);
        int to = s.lines().stream().mapToInt(l -> l.text().length()).max().orElse(0);
        if (edges.isEmpty() || edges.get(0) > from + 1) {
            edges.add(0, from - 1);
        }
        if (edges.get(edges.size() - 1) < to - 1) {
            edges.add(to);
        }
        firstOfSystem = true;
        boolean values = s.has(TabWriter.VALUE);
        if (!values && s.bars().stream().noneMatch(b -> b > from + 1) && unbarred(s, from, to)) {
            return;
        }
        int before = bars.size();
        boolean signs = false;
        for (int i = 0; i + 1 < edges.size(); i++) {
            int begins = edges.get(i) + 1;
            int ends = edges.get(i + 1);
            if (s.repeatBegins(edges.get(i)) && !values) {
                repeatFrom = bars.size();
            }
            if (ends - begins >= 2) {
                bar(s, begins, ends);
                bars.add(new Bar(s, begins, ends, bars.size() == before));
            }
            if (s.repeatEnds(ends) && !values && ends - begins >= 2) {
                signs = true;
                again(repeatFrom, s.times() == 0 ? 2 : s.times());
            }
        }
        if (!signs && s.times() > 1) {
            again(before, s.times());
        }
    }

    /** A bar that was read, to be read once more where it is repeated. */
    private record Bar(TabSystem system, int from, int to, boolean first) {}

    private final List<Bar> bars = new ArrayList<>();
    private int repeatFrom;
    private boolean firstOfSystem;

    /** Plays what was read from a bar on until it was heard so often. */
    private void again(int from, int times) throws FormatException {
        List<Bar> repeated = List.copyOf(bars.subList(from, bars.size()));
        remarks.add("Repeats were written out.");
        for (int n = 1; n < times; n++) {
            for (Bar b : repeated) {
                firstOfSystem = b.first();
                bar(b.system(), b.from(), b.to());
            }
        }
        repeatFrom = bars.size();
    }

    /**
     * A line without bar lines whose strokes stand on even columns: each column is an eighth, or a
     * quarter where there are four at most. False where they do not.
     */
    private boolean unbarred(TabSystem s, int from, int to) throws FormatException {
        TreeSet<Integer> columns = new TreeSet<>();
        for (TabSystem.Line l : s.lines()) {
            for (TabToken t : TabToken.read(l, Math.max(from, l.from()), to)) {
                columns.add(t.column());
            }
        }
        int gap = 0;
        Integer before = null;
        for (int c : columns) {
            gap = before == null ? 0 : gcd(gap, c - before);
            before = c;
        }
        if (columns.size() < 3 || gap < 2) {
            return false;
        }
        int steps = (columns.last() - columns.first()) / gap + 1;
        long step = steps <= 4 ? Ticks.QUARTER : Ticks.EIGHTH;
        if (meter.barTicks() % step != 0) {
            return false;
        }
        int wide = (int) (meter.barTicks() / step) * gap;
        remarks.add(
                "The tab has no bar lines: "
                        + (step == Ticks.EIGHTH ? "eighths" : "quarters")
                        + " were taken, in bars of "
                        + meter.symbol()
                        + ".");
        for (int at = columns.first(); at <= columns.last(); at += wide) {
            bar(s, at, at + wide);
        }
        return true;
    }

    private static int gcd(int a, int b) {
        return b == 0 ? a : gcd(b, a % b);
    }

    private void bar(TabSystem s, int from, int to) throws FormatException {
        TreeMap<Integer, Moment> moments = new TreeMap<>();
        for (int i = 0; i < s.lines().size(); i++) {
            int string = board.strings() - 1 - i;
            TabSystem.Line line = s.lines().get(i);
            for (TabToken t : TabToken.read(line, Math.max(from, line.from()), to)) {
                moment(moments, t, s.has(TabWriter.VALUE)).tokens().put(string, t);
            }
        }
        for (Moment m : moments.values()) {
            m.silence();
        }
        for (TabSystem.Word w : s.row(TabWriter.METER, from, to)) {
            try {
                meter = Meter.parse(w.text());
            } catch (IllegalArgumentException e) {
                throw TabToken.wrong(
                        s.lines().get(0), w.column(), "\"" + w.text() + "\" above is no meter");
            }
        }
        if (s.has(TabWriter.VALUE)) {
            written(s, from, to, moments);
        } else {
            guessed(s, from, to, moments);
        }
        if (meters.size() > Limits.MOST_BARS) {
            throw TabToken.wrong(
                    s.lines().get(0),
                    from,
                    "more than " + Limits.MOST_BARS + " bars; take a part of it");
        }
    }

    /** The moment that a token belongs to: numbers over each other begin together. */
    private static Moment moment(TreeMap<Integer, Moment> moments, TabToken t, boolean exact) {
        if (exact) {
            return moments.computeIfAbsent(t.lead(), c -> new Moment(c, new TreeMap<>()));
        }
        Map.Entry<Integer, Moment> before = moments.floorEntry(t.column());
        if (before != null && overlaps(before.getValue(), t)) {
            return before.getValue();
        }
        Map.Entry<Integer, Moment> after = moments.higherEntry(t.column());
        if (after != null
                && t.width() > 1
                && after.getKey() < t.column() + Math.min(2, t.width())) {
            return after.getValue();
        }
        return moments.computeIfAbsent(t.column(), c -> new Moment(c, new TreeMap<>()));
    }

    private static boolean overlaps(Moment m, TabToken t) {
        if (m.column() == t.column()) {
            return true;
        }
        return m.tokens().values().stream()
                .anyMatch(o -> o.width() > 1 && t.column() < o.column() + Math.min(2, o.width()));
    }

    /** A bar over which its values stand. */
    private void written(TabSystem s, int from, int to, TreeMap<Integer, Moment> moments)
            throws FormatException {
        TabSystem.Line top = s.lines().get(0);
        long start = at;
        List<TabSystem.Word> words = s.row(TabWriter.VALUE, from, to);
        List<Integer> columns = new ArrayList<>();
        for (int i = 0; i < words.size(); i++) {
            TabSystem.Word w = words.get(i);
            Optional<Long> ticks = Values.ticks(w.text());
            if (ticks.isEmpty() || ticks.get() > Limits.LONGEST_FIGURE) {
                throw TabToken.wrong(
                        top,
                        w.column(),
                        "the value \""
                                + w.text()
                                + "\" above is none; one is written like e or q.");
            }
            columns.add(w.column());
            int until = i + 1 < words.size() ? words.get(i + 1).column() : to;
            around(s, w.column(), until);
            for (Moment m : moments.subMap(w.column(), until).values()) {
                if (m.column() != w.column()) {
                    throw TabToken.wrong(top, m.column(), "no value stands over these notes");
                }
                notes(s, m, ticks.get(), true);
            }
            at += ticks.get();
        }
        for (Moment m : moments.values()) {
            if (!columns.contains(m.column())) {
                throw TabToken.wrong(top, m.column(), "no value stands over these notes");
            }
        }
        long length = at - start;
        boolean first = meters.isEmpty() && start == 0 && pickup > 0;
        if (length != (first ? pickup : meter.barTicks())) {
            throw TabToken.wrong(
                    top,
                    from,
                    "the values above this bar come to "
                            + Math.round(1000.0 * length / Ticks.QUARTER) / 1000.0
                            + " quarters, but "
                            + meter.symbol()
                            + " has "
                            + Math.round(1000.0 * meter.barTicks() / Ticks.QUARTER) / 1000.0);
        }
        if (!first) {
            meters.add(meter);
        }
    }

    /** Chords and tempos over a column. */
    private void around(TabSystem s, int from, int to) {
        for (TabSystem.Word w : s.row(TabWriter.CHORD, from, to)) {
            for (String said : w.text().split(";")) {
                String[] parts = said.split("@", 2);
                chords.put(at + late(parts), parts[0].replace('_', ' '));
            }
        }
        for (TabSystem.Word w : s.row(TabWriter.TEMPO, from, to)) {
            for (String said : w.text().split(";")) {
                String[] parts = said.split("@", 2);
                if (parts[0].matches("\\d{2,3}")) {
                    int tempo = Integer.parseInt(parts[0]);
                    tempos.put(
                            at + late(parts),
                            Math.max(TempoMap.SLOWEST, Math.min(TempoMap.FASTEST, tempo)));
                }
            }
        }
    }

    private static long late(String[] parts) {
        return parts.length == 2 && parts[1].matches("\\d{1,9}") ? Long.parseLong(parts[1]) : 0;
    }

    /** A bar without values: time follows from the spacing. */
    private void guessed(TabSystem s, int from, int to, TreeMap<Integer, Moment> moments)
            throws FormatException {
        remarks.add("The tab says no note values: they were taken from the spacing.");
        long bar = meter.barTicks();
        List<Moment> all = new ArrayList<>(moments.values());
        List<Long> times =
                Spacing.times(all.stream().map(Moment::column).toList(), from, to, meter);
        long start = at;
        for (TabSystem.Word w : s.bareChords()) {
            // What stands over the letters before the strings is for the first bar.
            if (w.column() < to && (w.column() >= from || firstOfSystem)) {
                chords.put(start + when(w.column(), all, times), w.text());
            }
        }
        firstOfSystem = false;
        for (int i = 0; i < all.size(); i++) {
            at = start + times.get(i);
            long until = i + 1 < all.size() ? times.get(i + 1) : bar;
            notes(s, all.get(i), until - times.get(i), false);
        }
        at = start + bar;
        meters.add(meter);
    }

    /** When a chord begins that stands over a column: with the strokes nearest to it. */
    private static long when(int column, List<Moment> all, List<Long> times) {
        int nearest = 0;
        for (int i = 1; i < all.size(); i++) {
            int there = Math.abs(all.get(i).column() - column);
            nearest = there < Math.abs(all.get(nearest).column() - column) ? i : nearest;
        }
        return nearest == 0 ? 0 : times.get(nearest);
    }

    private void notes(TabSystem s, Moment m, long length, boolean exact) throws FormatException {
        boolean chord = m.tokens().size() > 1;
        for (Map.Entry<Integer, TabToken> e : m.tokens().entrySet()) {
            TabToken t = e.getValue();
            int string = e.getKey();
            TabSystem.Line line = s.lines().get(board.strings() - 1 - string);
            if (t.fret() > board.frets()) {
                throw TabToken.wrong(
                        line, t.column(), "there is no fret " + t.fret() + " over the capo");
            }
            NoteDraft before = last[string];
            boolean follows = before != null && before.end() == at;
            boolean held =
                    t.bracketed() && (exact || before != null && before.endFret() == t.fret());
            if (before != null
                    && t.before() != 0
                    && !exact
                    && before.end() < at
                    && at - before.end() < meter.barTicks()) {
                before.length = at - before.at;
                follows = true;
            }
            if (follows && held && before.endFret() == t.fret() && t.before() == 0) {
                before.length += length;
            } else if (follows && t.before() != 0) {
                lead(before, t);
                before.length += length;
                after(before, t, at - before.at, length);
            } else {
                NoteDraft d = draft(s, t, string, length, chord, t.bracketed() && !exact);
                last[string] = d;
                drafts.add(d);
            }
        }
    }

    private NoteDraft draft(
            TabSystem s, TabToken t, int string, long length, boolean chord, boolean ghost) {
        boolean slidesIn = t.before() == '/' || t.before() == '\\' || t.before() == 's';
        int from = t.before() == '\\' ? t.fret() + 2 : t.fret() - 2;
        boolean room = slidesIn && from >= 0 && from <= board.frets();
        NoteDraft d = new NoteDraft(string, room ? from : t.fret(), at, length);
        if (room) {
            d.add(Technique.Kind.SLIDE, t.fret(), 0, Math.min(USUAL_WAY, length / 2));
        }
        d.rings = chord;
        d.down =
                (at - meters.stream().mapToLong(Meter::barTicks).sum() - pickup) % Ticks.EIGHTH
                        == 0;
        d.manner = t.dead() ? Manner.DEAD : s.palm(t.column()) ? Manner.PALM : Manner.PLAIN;
        d.dynamics = ghost ? Dynamics.GHOST : Dynamics.PLAIN;
        if (t.harmonic()) {
            remarks.add("Natural harmonics are played as plain notes.");
        }
        around(s, t.lead(), d);
        after(d, t, 0, length);
        return d;
    }

    /** What the rows beneath say of a column. */
    private void around(TabSystem s, int column, NoteDraft d) {
        for (TabSystem.Word w : s.row(TabWriter.MARK, column, column + 1)) {
            for (String mark : w.text().split(",")) {
                mark(mark, d);
            }
        }
        for (TabSystem.Word w : s.row(TabWriter.HIT, column, column + 1)) {
            for (String hit : w.text().split(",")) {
                if (meant(hit, d)) {
                    d.dynamics =
                            switch (hit.charAt(0)) {
                                case '>' -> Dynamics.ACCENT;
                                case '.' -> Dynamics.SOFT;
                                case 'o' -> Dynamics.GHOST;
                                case '=' -> Dynamics.PLAIN;
                                default -> d.dynamics;
                            };
                }
            }
        }
        for (TabSystem.Word w : s.row(TabWriter.PICK, column, column + 1)) {
            d.plucked = w.text().equals("f");
            d.down = !w.text().equals("u");
        }
    }

    /** Whether a mark is for a note's string. */
    private boolean meant(String mark, NoteDraft d) {
        int colon = mark.indexOf(':');
        String number = String.valueOf(board.instrument().tuning().number(d.string));
        return !mark.isEmpty() && (colon < 0 || mark.substring(colon + 1).equals(number));
    }

    private void mark(String mark, NoteDraft d) {
        if (!meant(mark, d)) {
            return;
        }
        String said = mark.split(":")[0];
        switch (said) {
            case "pm-" -> d.manner = Manner.PALM_LIGHT;
            case "pm" -> d.manner = Manner.PALM;
            case "pm+" -> d.manner = Manner.PALM_HEAVY;
            case "ring" -> d.manner = Manner.LET_RING;
            case "stac" -> d.manner = Manner.STACCATO;
            default -> {
                if (said.matches("trem([2-9]|1[0-6])")) {
                    d.add(Technique.Kind.TREMOLO, Integer.parseInt(said.substring(4)), 0, 0);
                } else if (said.matches("pinch[2-4]")) {
                    d.add(Technique.Kind.PINCH, said.charAt(5) - '0', 0, 0);
                }
            }
        }
    }

    private void lead(NoteDraft before, TabToken t) {
        long after = at - before.at;
        boolean slide = t.before() == '/' || t.before() == '\\' || t.before() == 's';
        if (slide) {
            long way = Math.min(USUAL_WAY, after);
            before.add(Technique.Kind.SLIDE, t.fret(), after - way, way);
        } else {
            boolean up = t.fret() >= before.endFret();
            before.add(up ? Technique.Kind.HAMMER : Technique.Kind.PULL, t.fret(), after, 0);
        }
    }

    /** Bends, releases, vibrato and slides out of a note. */
    private void after(NoteDraft d, TabToken t, long from, long length) {
        String marks = t.after();
        int i = 0;
        long when = from;
        while (i < marks.length()) {
            char c = marks.charAt(i++);
            int begins = i;
            while (i < marks.length() && "0123456789.".indexOf(marks.charAt(i)) >= 0) {
                i++;
            }
            String number = marks.substring(begins, i);
            long way = Math.max(1, Math.min(Ticks.SIXTEENTH, length / 2));
            switch (c) {
                case 'b' -> {
                    double to = number.isEmpty() ? t.fret() + 2 : Double.parseDouble(number);
                    int cents = (int) Math.round(100 * (to - t.fret()));
                    if (cents >= 25 && cents <= 400) {
                        d.add(Technique.Kind.BEND, cents, when, way);
                        when += length / 2;
                    } else {
                        remarks.add("Bends of more than four frets were left out.");
                    }
                }
                case 'r' -> d.add(Technique.Kind.RELEASE, 0, when, way);
                case '~' -> d.add(Technique.Kind.VIBRATO, USUAL_VIBRATO_CENTS, from, 0);
                case '/', '\\' -> {
                    int to = t.fret() + (c == '/' ? 3 : -3);
                    if (to >= 0 && to <= board.frets()) {
                        long slide = Math.max(1, length / 2);
                        d.add(Technique.Kind.SLIDE, to, from + length - slide, slide);
                    }
                }
                default -> {}
            }
        }
    }

    Score score() throws FormatException {
        if (meters.isEmpty()) {
            throw new FormatException("the tab holds no bars");
        }
        MeterMap map = MeterMap.ofBars(meters, pickup);
        List<TempoMap.Change> changes = new ArrayList<>();
        tempos.forEach((t, tempo) -> changes.add(new TempoMap.Change(t, tempo)));
        try {
            return new Score(
                    board,
                    new TimeLine(
                            map,
                            new TempoMap(
                                    changes.subList(
                                            0, Math.min(changes.size(), TempoMap.MOST_CHANGES)))),
                    at,
                    NoteDraft.apart(drafts),
                    harmonies());
        } catch (IllegalArgumentException e) {
            throw new FormatException("the tab cannot be read as a score: " + e.getMessage(), e);
        }
    }

    private List<Harmony> harmonies() {
        List<Harmony> all = new ArrayList<>();
        List<Long> starts = new ArrayList<>(chords.keySet());
        for (int i = 0; i < starts.size(); i++) {
            long from = starts.get(i);
            long to = i + 1 < starts.size() ? starts.get(i + 1) : at;
            String said = chords.get(from);
            try {
                ChordSymbol symbol = ChordSymbol.parse(said);
                int root = symbol.root().pitchClass();
                int bass = symbol.bass().map(Spelling::pitchClass).orElse(root);
                if (to > from) {
                    all.add(new Harmony(from, to - from, root, bass, said, List.of()));
                }
            } catch (IllegalArgumentException e) {
                remarks.add("\"" + said + "\" is no chord that is known here.");
            }
        }
        return all;
    }
}
