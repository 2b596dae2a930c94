package vocalis.formats.tab;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import vocalis.core.instrument.Fretboard;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Notation;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.score.Dynamics;
import vocalis.core.score.Harmony;
import vocalis.core.score.Manner;
import vocalis.core.score.Score;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;
import vocalis.core.theory.Note;
import vocalis.core.theory.Spelling;
import vocalis.formats.sheet.Sheet;
import vocalis.formats.sheet.Written;

/** Writes a sheet as text: for every moment a column, for every system some rows. */
final class TabWriter {

    static final String CHORD = "chord";
    static final String METER = "meter";
    static final String TEMPO = "tempo";
    static final String VALUE = "value";
    static final String MARK = "mark";
    static final String HIT = "hit";
    static final String PICK = "pick";

    private static final int MARGIN = 7;

    private static final String LEGEND =
            """
            value: w h q e s t x from whole to 64th; a dot lengthens; e3 is an eighth of a triplet;
                   a value over nothing is a rest
            h hammer-on   p pull-off   / \\ slide   7b9 bend to the pitch of fret 9   r release
            ~ vibrato   x dead   (5) held on from before
            mark: pm palm mute (pm- light, pm+ heavy), ring let ring, stac short, trem8 tremolo,
                  pinch3 pinch harmonic; :2 behind it: on string 2 alone
            hit: > accent, . soft, o ghost      pick: d down, u up, f fingers
            """;

    private final Sheet sheet;
    private final int width;
    private final StringBuilder out = new StringBuilder();

    /** Notes of a guitar that have begun and not ended, and the first that has not begun. */
    private final List<ScoreNote> sounding = new ArrayList<>();

    private int next;

    TabWriter(Sheet sheet, int width) {
        this.sheet = sheet;
        this.width = width;
    }

    String text() {
        Fretboard board = sheet.score().board();
        out.append(sheet.title()).append("\n\n");
        String tuning = board.instrument().tuning().name();
        line("tuning: " + notes(board) + " (" + tuning + ")");
        line("capo: " + (board.capo() == 0 ? "none" : String.valueOf(board.capo())));
        line("frets: " + board.instrument().frets());
        line("key: " + sheet.ground().key().symbol());
        line("tempo: " + sheet.score().time().tempos().first());
        line("meter: " + sheet.score().time().meters().meter(0).symbol());
        if (sheet.score().time().meters().pickup() > 0) {
            line("pickup: #" + sheet.score().time().meters().pickup());
        }
        for (Sheet.Guitar g : sheet.guitars()) {
            line("");
            line("guitar: " + g.name());
            guitar(g.score());
        }
        line("");
        out.append(LEGEND);
        return out.toString();
    }

    private void line(String text) {
        out.append(text.stripTrailing()).append('\n');
    }

    private static String notes(Fretboard board) {
        List<String> all = new ArrayList<>();
        for (int midi : board.instrument().tuning().open()) {
            all.add(Note.at(Spelling.plain(midi), midi).ascii());
        }
        return String.join(" ", all);
    }

    /** What stands in one column: row name to text. */
    private static final class Column {
        private final Map<String, String> cells = new LinkedHashMap<>();
        private final boolean barLine;

        Column(boolean barLine) {
            this.barLine = barLine;
        }

        int width() {
            return cells.values().stream().mapToInt(String::length).max().orElse(0) + 1;
        }
    }

    private static String row(int string) {
        return "string " + string;
    }

    private void guitar(Score score) {
        sounding.clear();
        next = 0;
        MeterMap meters = score.time().meters();
        List<List<Column>> bars = new ArrayList<>();
        int first = meters.pickup() > 0 ? MeterMap.PICKUP_BAR : 0;
        TreeMap<Long, List<Written.Head>> heads = new TreeMap<>();
        TreeSet<Long> times = new TreeSet<>();
        for (List<Written.Item> voice : Written.voices(score)) {
            for (Written.Item i : voice) {
                heads.computeIfAbsent(i.at(), k -> new ArrayList<>()).addAll(i.heads());
                times.add(i.at());
                times.add(i.end());
            }
        }
        for (int bar = first; bar < meters.bars(score.length()); bar++) {
            bars.add(bar(score, bar, times, heads));
        }
        List<Column> system = new ArrayList<>();
        int taken = MARGIN;
        for (List<Column> bar : bars) {
            int wide = bar.stream().mapToInt(Column::width).sum() + 2;
            if (!system.isEmpty() && taken + wide > width) {
                system(score, system);
                system = new ArrayList<>();
                taken = MARGIN;
            }
            system.addAll(bar);
            system.add(new Column(true));
            taken += wide;
        }
        system(score, system);
    }

    private List<Column> bar(
            Score score, int bar, TreeSet<Long> times, TreeMap<Long, List<Written.Head>> heads) {
        MeterMap meters = score.time().meters();
        long start = meters.start(bar);
        long end = Math.min(score.length(), meters.end(bar));
        TreeSet<Long> starts = new TreeSet<>(times.subSet(start, end));
        starts.add(start);
        List<Long> cuts = new ArrayList<>(starts);
        cuts.add(end);
        List<Column> columns = new ArrayList<>();
        for (int i = 0; i + 1 < cuts.size(); i++) {
            for (Notation.TiedValue p :
                    Notation.parts(cuts.get(i), cuts.get(i + 1) - cuts.get(i), meters)) {
                Column c = new Column(false);
                c.cells.put(VALUE, Values.letter(p.value()));
                head(score, c, p.at(), p.at() + p.value().ticks());
                notes(score, c, p.at(), heads.getOrDefault(p.at(), List.of()));
                columns.add(c);
            }
        }
        Meter m = meters.meter(bar);
        if (bar > 0 && !m.equals(meters.meter(bar - 1))) {
            columns.get(0).cells.put(METER, m.symbol());
        }
        return columns;
    }

    private static void head(Score score, Column c, long from, long to) {
        for (Harmony h : score.harmonies()) {
            if (h.at() >= from && h.at() < to && !h.symbol().isEmpty()) {
                String late = h.at() == from ? "" : "@" + (h.at() - from);
                c.cells.merge(CHORD, h.symbol().replace(' ', '_') + late, (a, b) -> a + ";" + b);
            }
        }
        for (TempoMap.Change t : score.time().tempos().changes()) {
            if (t.at() > 0 && t.at() >= from && t.at() < to) {
                String late = t.at() == from ? "" : "@" + (t.at() - from);
                c.cells.merge(TEMPO, t.tempo() + late, (a, b) -> a + ";" + b);
            }
        }
    }

    private void notes(Score score, Column c, long at, List<Written.Head> here) {
        List<ScoreNote> struck = new ArrayList<>();
        boolean whole = here.stream().allMatch(h -> h.note().manner() == Manner.DEAD);
        for (Written.Head h : here) {
            c.cells.put(row(h.note().string()), fret(h, at, whole));
            if (h.first() && !h.note().tied()) {
                struck.add(h.note());
            }
        }
        if (!struck.isEmpty()) {
            marks(c, struck, score.board());
        }
        goesOn(score, c, at);
    }

    /** Voices that go on under others that begin; columns are asked in the order of time. */
    private void goesOn(Score score, Column c, long at) {
        while (next < score.notes().size() && score.notes().get(next).at() < at) {
            sounding.add(score.notes().get(next++));
        }
        sounding.removeIf(n -> n.end() <= at);
        for (ScoreNote n : sounding) {
            c.cells.putIfAbsent(row(n.string()), "(" + fretAt(n, at) + ")");
        }
    }

    private static int fretAt(ScoreNote n, long at) {
        int fret = n.fret();
        for (Technique t : n.techniques()) {
            Optional<Long> arrives = Written.arrives(n, t);
            fret = arrives.isPresent() && n.at() + arrives.get() <= at ? t.to() : fret;
        }
        return fret;
    }

    /**
     * What stands on a string.
     *
     * @param whole whether all that is struck with it is dead too: an x beside frets would be read
     *     as a string held silent
     */
    private static String fret(Written.Head h, long at, boolean whole) {
        String text = String.valueOf(h.fret());
        if (h.arriving().isPresent()) {
            Technique t = h.arriving().get();
            int before = fretAt(h.note(), at - 1);
            text =
                    switch (t.kind()) {
                                case HAMMER -> "h";
                                case PULL -> "p";
                                default -> h.fret() >= before ? "/" : "\\";
                            }
                            + text;
        } else if (h.tiedFrom()) {
            text = "(" + text + ")";
        } else if (h.note().manner() == Manner.DEAD) {
            text = h.fret() == 0 && whole ? "x" : "x" + text;
        }
        return h.first() ? text + done(h.note()) : text;
    }

    /** What is done to a note while it sounds, but for what has a column of its own. */
    private static String done(ScoreNote n) {
        StringBuilder text = new StringBuilder();
        for (Technique t : n.techniques()) {
            switch (t.kind()) {
                case BEND -> text.append('b').append(tenths(n.fret() + t.to() / 100.0));
                case RELEASE -> text.append('r').append(tenths(n.fret() + t.to() / 100.0));
                case VIBRATO -> text.append('~');
                case SLIDE, HAMMER, PULL -> {
                    if (Written.arrives(n, t).isEmpty()) {
                        text.append(
                                t.kind() == Technique.Kind.HAMMER
                                        ? 'h'
                                        : t.kind() == Technique.Kind.PULL
                                                ? 'p'
                                                : t.to() >= n.fret() ? '/' : '\\');
                        text.append(t.to());
                    }
                }
                default -> {}
            }
        }
        return text.toString();
    }

    private static String tenths(double fret) {
        long hundredths = Math.round(100 * fret);
        return hundredths % 100 == 0
                ? String.valueOf(hundredths / 100)
                : String.valueOf(hundredths / 100.0);
    }

    /**
     * What stands under a column; what is not done to all notes names its string, counted from the
     * highest: {@code pinch3:2}.
     */
    private static void marks(Column c, List<ScoreNote> struck, Fretboard board) {
        ScoreNote first = struck.get(0);
        List<String> marks = new ArrayList<>();
        switch (first.manner()) {
            case PALM_LIGHT -> marks.add("pm-");
            case PALM -> marks.add("pm");
            case PALM_HEAVY -> marks.add("pm+");
            case LET_RING -> marks.add("ring");
            case STACCATO -> marks.add("stac");
            default -> {}
        }
        String hit = hit(first.dynamics());
        for (ScoreNote n : struck) {
            String on =
                    struck.size() == 1 ? "" : ":" + board.instrument().tuning().number(n.string());
            for (Technique t : n.techniques()) {
                if (t.kind() == Technique.Kind.TREMOLO) {
                    marks.add("trem" + t.to() + on);
                } else if (t.kind() == Technique.Kind.PINCH) {
                    marks.add("pinch" + t.to() + on);
                }
            }
            if (n.dynamics() != first.dynamics()) {
                String own = hit(n.dynamics());
                hit += (hit.isEmpty() ? "" : ",") + (own.isEmpty() ? "=" : own) + on;
            }
        }
        if (!marks.isEmpty()) {
            c.cells.put(MARK, String.join(",", marks));
        }
        if (!hit.isEmpty()) {
            c.cells.put(HIT, hit);
        }
        c.cells.put(PICK, first.plucked() ? "f" : first.down() ? "d" : "u");
    }

    private static String hit(Dynamics d) {
        return switch (d) {
            case ACCENT -> ">";
            case PLAIN -> "";
            case SOFT -> ".";
            case GHOST -> "o";
        };
    }

    private void system(Score score, List<Column> columns) {
        line("");
        for (String row : List.of(CHORD, METER, TEMPO, VALUE)) {
            words(columns, row);
        }
        int strings = score.board().strings();
        for (int s = strings - 1; s >= 0; s--) {
            string(score.board(), columns, s);
        }
        for (String row : List.of(MARK, HIT, PICK)) {
            words(columns, row);
        }
    }

    private void words(List<Column> columns, String row) {
        if (columns.stream().noneMatch(c -> c.cells.containsKey(row))) {
            return;
        }
        StringBuilder text = new StringBuilder(pad(row, MARGIN)).append("  ");
        for (Column c : columns) {
            text.append(pad(c.cells.getOrDefault(row, ""), c.barLine ? 2 : c.width()));
        }
        line(text.toString());
    }

    private static String pad(String text, int width) {
        return text + " ".repeat(Math.max(0, width - text.length()));
    }

    private void string(Fretboard board, List<Column> columns, int s) {
        String letter = Spelling.plain(board.instrument().tuning().open().get(s)).ascii();
        boolean high = s == board.strings() - 1;
        StringBuilder text =
                new StringBuilder(pad(high ? letter.toLowerCase(Locale.ROOT) : letter, MARGIN));
        text.append("|-");
        for (Column c : columns) {
            if (c.barLine) {
                text.append("|-");
                continue;
            }
            String cell = c.cells.getOrDefault(row(s), "");
            text.append(cell).append("-".repeat(c.width() - cell.length()));
        }
        text.setLength(text.length() - 1);
        line(text.toString());
    }
}
