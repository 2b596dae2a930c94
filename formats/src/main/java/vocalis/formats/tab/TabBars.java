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

    private final Fretboard board;
    private final Set<String> remarks;
    private final TabMarks marks;
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
        this.marks = new TabMarks(board, remarks);
        this.last = new NoteDraft[board.strings()];
        tempos.put(0L, tempo);
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
        int from = s.lines().stream().mapToInt(TabLine::from).min().orElse(0);
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
        for (TabLine l : s.lines()) {
            for (TabToken t : TabToken.read(l, Math.max(from, l.from()), to)) {
                columns.add(t.column());
            }
        }
        int gap = 0;
        Integer before = null;
        for (int c : columns) {
            gap = before == null ? 0 : TabMoments.gcd(gap, c - before);
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

    private void bar(TabSystem s, int from, int to) throws FormatException {
        TreeMap<Integer, TabMoment> moments = new TreeMap<>();
        for (int i = 0; i < s.lines().size(); i++) {
            int string = board.strings() - 1 - i;
            TabLine line = s.lines().get(i);
            for (TabToken t : TabToken.read(line, Math.max(from, line.from()), to)) {
                TabMoments.moment(moments, t, s.has(TabWriter.VALUE)).tokens().put(string, t);
            }
        }
        for (TabMoment m : moments.values()) {
            m.silence();
        }
        for (TabSystem.Word w : s.row(TabWriter.METER, from, to)) {
            try {
                meter = Meter.parse(w.text());
            } catch (IllegalArgumentException e) {
                throw TabToken.wrong(
                        w.line(), w.column(), "\"" + w.text() + "\" is no meter such as 7/8");
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

    /** A bar over which its values stand. */
    private void written(TabSystem s, int from, int to, TreeMap<Integer, TabMoment> moments)
            throws FormatException {
        int line = s.lineOf(TabWriter.VALUE);
        long start = at;
        List<TabSystem.Word> words = s.row(TabWriter.VALUE, from, to);
        List<Integer> columns = new ArrayList<>();
        for (int i = 0; i < words.size(); i++) {
            TabSystem.Word w = words.get(i);
            Optional<Long> ticks = Values.ticks(w.text());
            if (ticks.isEmpty() || ticks.get() > Limits.LONGEST_FIGURE) {
                throw TabToken.wrong(
                        w.line(),
                        w.column(),
                        "\"" + w.text() + "\" is no value of a note; one is written like e or q.");
            }
            columns.add(w.column());
            int until = i + 1 < words.size() ? words.get(i + 1).column() : to;
            around(s, w.column(), until);
            for (TabMoment m : moments.subMap(w.column(), until).values()) {
                if (m.column() != w.column()) {
                    throw TabToken.wrong(line, m.column(), "no value stands over the notes below");
                }
                notes(s, m, ticks.get(), true);
            }
            at += ticks.get();
        }
        for (TabMoment m : moments.values()) {
            if (!columns.contains(m.column())) {
                throw TabToken.wrong(line, m.column(), "no value stands over the notes below");
            }
        }
        close(line, words.isEmpty() ? from : words.get(0).column(), start);
    }

    /** A bar's values come to its meter. */
    private void close(int line, int column, long start) throws FormatException {
        long length = at - start;
        boolean first = meters.isEmpty() && start == 0 && pickup > 0;
        if (length != (first ? pickup : meter.barTicks())) {
            throw TabToken.wrong(
                    line,
                    column,
                    "the values of this bar come to "
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
                chords.put(at + TabMoments.late(parts), parts[0].replace('_', ' '));
            }
        }
        for (TabSystem.Word w : s.row(TabWriter.TEMPO, from, to)) {
            for (String said : w.text().split(";")) {
                String[] parts = said.split("@", 2);
                if (parts[0].matches("\\d{2,3}")) {
                    int tempo = Integer.parseInt(parts[0]);
                    tempos.put(
                            at + TabMoments.late(parts),
                            Math.max(TempoMap.SLOWEST, Math.min(TempoMap.FASTEST, tempo)));
                }
            }
        }
    }

    /** A bar without values: time follows from the spacing. */
    private void guessed(TabSystem s, int from, int to, TreeMap<Integer, TabMoment> moments)
            throws FormatException {
        remarks.add("The tab says no note values: they were taken from the spacing.");
        long bar = meter.barTicks();
        List<TabMoment> all = new ArrayList<>(moments.values());
        List<Long> times =
                Spacing.times(all.stream().map(TabMoment::column).toList(), from, to, meter);
        long start = at;
        for (TabSystem.Word w : s.bareChords()) {
            // What stands over the letters before the strings is for the first bar.
            if (w.column() < to && (w.column() >= from || firstOfSystem)) {
                chords.put(start + TabMoments.when(w.column(), all, times), w.text());
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

    private void notes(TabSystem s, TabMoment m, long length, boolean exact)
            throws FormatException {
        boolean chord = m.tokens().size() > 1;
        for (Map.Entry<Integer, TabToken> e : m.tokens().entrySet()) {
            TabToken t = e.getValue();
            int string = e.getKey();
            TabLine line = s.lines().get(board.strings() - 1 - string);
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
                marks.lead(before, t, at);
                before.length += length;
                marks.after(before, t, at - before.at, length);
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
            d.add(Technique.Kind.SLIDE, t.fret(), 0, Math.min(TabMarks.USUAL_WAY, length / 2));
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
        marks.around(s, t.lead(), d);
        marks.after(d, t, 0, length);
        return d;
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
