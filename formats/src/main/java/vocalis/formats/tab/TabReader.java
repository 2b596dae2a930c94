package vocalis.formats.tab;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.pattern.Limits;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.TempoMap;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.score.Score;
import vocalis.core.theory.Key;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.Imported;
import vocalis.formats.sheet.Sheet;

/** Reads tab: finds the systems in a text, and what the lines around them say of the whole. */
final class TabReader {

    private static final int FEWEST_STRINGS = 4;
    private static final int MOST_STRINGS = 9;

    /** Rows stand at most so many lines away from their system. */
    private static final int NEAR = 6;

    private final String[] text;
    private final Set<String> remarks = new LinkedHashSet<>();
    private String title = "";
    private Optional<Tuning> tuning = Optional.empty();
    private Optional<Key> key = Optional.empty();
    private int capo;
    private int frets;
    private int tempo;
    private long pickup;
    private Meter meter;

    TabReader(String text) {
        this.text = text.replace("\uFEFF", "").split("\\r\\n|\\r|\\n", -1);
        for (int i = 0; i < this.text.length; i++) {
            // Quoted in mail.
            this.text[i] = this.text[i].replaceFirst("^\\s*(?:>\\s?)+", "");
        }
    }

    Imported read() throws FormatException {
        List<List<TabSystem>> guitars = systems();
        if (guitars.isEmpty()) {
            throw new FormatException(
                    "no tab was found: it has a line for each string beneath each other, such as"
                            + " \"E|--3--5--|\"");
        }
        LeftOut.complete(guitars, tuning, remarks);
        Tuning tuned = tuning(guitars.get(0).get(0));
        Fretboard board = board(guitars, tuned);
        takeUsualTime();
        List<Sheet.Guitar> all = new ArrayList<>();
        boolean harmonies = false;
        for (List<TabSystem> systems : guitars) {
            TabBars bars = new TabBars(board, meter, pickup, tempo, remarks);
            for (TabSystem s : systems) {
                bars.add(s);
            }
            Score score = bars.score();
            harmonies |= !score.harmonies().isEmpty();
            all.add(new Sheet.Guitar(names.get(all.size()), score));
        }
        Key found = key.orElseGet(() -> Key.parse("C major"));
        try {
            Ground ground = new Ground(board.instrument(), capo, found, Tone.GAIN, 440);
            String named = title.isBlank() ? "Imported" : title;
            return new Imported(
                    new Sheet(named, ground, all),
                    List.copyOf(remarks),
                    true,
                    harmonies,
                    key.isPresent());
        } catch (IllegalArgumentException e) {
            throw new FormatException("this tab cannot be played here: " + e.getMessage(), e);
        }
    }

    private void takeUsualTime() {
        if (meter == null) {
            remarks.add("The tab says no meter; 4/4 was taken.");
            meter = Meter.COMMON;
        }
        if (tempo == 0) {
            remarks.add("The tab says no tempo; 120 was taken.");
            tempo = 120;
        }
    }

    private Fretboard board(List<List<TabSystem>> guitars, Tuning tuned) throws FormatException {
        try {
            int highest = highest(guitars);
            Instrument usual = Instrument.of(tuned);
            int has = Math.max(frets == 0 ? usual.frets() : frets, highest + capo);
            Instrument instrument = new Instrument(tuned, has, usual.scaleMm(), false);
            return new Fretboard(instrument, capo);
        } catch (IllegalArgumentException e) {
            throw new FormatException(
                    "this tab is for no instrument known here: " + e.getMessage(), e);
        }
    }

    private final List<String> names = new ArrayList<>();

    /** A system with what is written over it, as far as the one before reaches. */
    private TabSystem system(List<TabLine> lines, int from) throws FormatException {
        TabSystem s = new TabSystem(lines, remarks);
        int first = lines.get(0).number() - 1;
        for (int k = Math.max(from, first - NEAR); k < first; k++) {
            if (TabSystem.line(k + 1, text[k]) == null) {
                s.above(k + 1, text[k]);
            }
        }
        return s;
    }

    private List<List<TabSystem>> systems() throws FormatException {
        List<List<TabSystem>> guitars = new ArrayList<>();
        Map<String, List<TabSystem>> byName = new HashMap<>();
        List<TabSystem> now = null;
        String name = "";
        TabSystem last = null;
        int lastLine = -NEAR - 1;
        int above = 0;
        int i = 0;
        while (i < text.length) {
            List<TabLine> lines = new ArrayList<>();
            while (i < text.length && TabSystem.line(i + 1, text[i]) != null) {
                lines.add(TabSystem.line(i + 1, text[i]));
                i++;
            }
            if (lines.isEmpty()) {
                String t = text[i];
                Optional<String> guitar = guitar(t);
                if (guitar.isPresent()) {
                    name = guitar.get();
                    now = byName.get(name);
                    last = null;
                } else if (last != null && i - lastLine <= NEAR) {
                    last.below(i + 1, t);
                }
                heading(i + 1, t, guitars.isEmpty());
                i++;
                continue;
            }
            for (List<TabLine> part : parted(lines)) {
                TabSystem s = system(part, above);
                if (now == null) {
                    now = new ArrayList<>();
                    guitars.add(now);
                    byName.put(name, now);
                    names.add(name.isBlank() ? "Guitar " + guitars.size() : name);
                    if (guitars.size() > Sheet.MOST_GUITARS) {
                        throw TabToken.wrong(part.get(0), 0, "more than 8 guitars");
                    }
                }
                now.add(s);
                last = s;
                lastLine = i;
                above = i;
            }
        }
        return guitars;
    }

    private static final Pattern GUITAR =
            Pattern.compile(
                    "(?i)^\\s*[\\[(]?\\s*(?:guitar:\\s*(.+?)"
                            + "|((?:gtr|gt|guitar|git)\\.?\\s*(?:\\d|i{1,3}|one|two)\\b[^|]{0,40}?))"
                            + "\\s*[\\])]?\\s*:?\\s*$");

    /** The guitar that a line says the following systems are for. */
    private static Optional<String> guitar(String line) {
        Matcher m = GUITAR.matcher(line);
        if (!m.matches()) {
            return Optional.empty();
        }
        return Optional.of((m.group(1) != null ? m.group(1) : m.group(2)).strip());
    }

    /** Lines of one system, or of several without a blank line between them. */
    private static List<List<TabLine>> parted(List<TabLine> lines) throws FormatException {
        int n = lines.size();
        if (n < FEWEST_STRINGS) {
            throw TabToken.wrong(
                    lines.get(0),
                    0,
                    "a system of "
                            + n
                            + (n == 1 ? " string" : " strings")
                            + "; tab has a line for each of 4 to 9 strings");
        }
        if (n <= MOST_STRINGS) {
            return List.of(lines);
        }
        for (int strings : new int[] {6, 7, 8, 5, 4, 9}) {
            if (n % strings == 0) {
                List<List<TabLine>> parts = new ArrayList<>();
                for (int i = 0; i < n; i += strings) {
                    parts.add(lines.subList(i, i + strings));
                }
                return parts;
            }
        }
        throw TabToken.wrong(
                lines.get(MOST_STRINGS),
                0,
                n + " lines of strings without a break; leave a blank line between systems");
    }

    private void tempo(String lower) {
        Matcher t =
                Pattern.compile("(?:tempo:?|♩ ?=|q ?=)\\s*(\\d{2,3})|(\\d{2,3})\\s*bpm")
                        .matcher(lower);
        if (tempo == 0 && t.find()) {
            int said = Integer.parseInt(t.group(1) != null ? t.group(1) : t.group(2));
            tempo = Math.max(TempoMap.SLOWEST, Math.min(TempoMap.FASTEST, said));
        }
    }

    private void heading(int number, String line, boolean first) {
        String lower = line.strip().toLowerCase(Locale.ROOT);
        try {
            if (lower.startsWith("tuning:") || lower.startsWith("tuning ")) {
                tuning = Optional.of(named(line.strip().substring(7).strip()));
            } else if (lower.startsWith("title:")) {
                title = line.strip().substring(6).strip();
            } else if (lower.startsWith("capo")) {
                Matcher m = Pattern.compile("\\d{1,2}").matcher(lower);
                capo = m.find() ? Math.min(12, Integer.parseInt(m.group())) : 0;
            } else if (lower.matches("frets: \\d{1,2}")) {
                frets = Math.min(27, Integer.parseInt(lower.substring(7)));
            } else if (lower.startsWith("key:")) {
                key = Optional.of(Key.parse(line.strip().substring(4).strip()));
            } else if (lower.matches("pickup: #\\d{1,9}")) {
                pickup = Long.parseLong(lower.substring(9));
            }
            Matcher m = Pattern.compile("\\b(\\d{1,2}/(?:1|2|4|8|16|32))\\b").matcher(lower);
            if (meter == null
                    && (lower.startsWith("meter") || lower.startsWith("time"))
                    && m.find()) {
                meter = Meter.parse(m.group(1));
            }
        } catch (IllegalArgumentException e) {
            remarks.add("\"" + line.strip() + "\" could not be read.");
        }
        tempo(lower);
        if (first
                && title.isBlank()
                && !line.isBlank()
                && line.strip().length() <= 120
                && !lower.contains(":")
                && !lower.matches("[\\[(].*|[\\s|]*p\\.?m\\.?[\\s\\-.|pm]*")
                && guitar(line).isEmpty()
                && TabSystem.chords(number, line).isEmpty()) {
            title = line.strip();
        }
    }

    /** Notes of the strings from the lowest, perhaps with a name behind them. */
    private static Tuning named(String said) {
        Matcher m = Pattern.compile("^(.*?)\\s*\\((.*)\\)$").matcher(said);
        String notes = m.matches() ? m.group(1) : said;
        Tuning t = Tuning.named(notes);
        String name = m.matches() && !m.group(2).isBlank() ? m.group(2) : t.name();
        for (Tuning known : Tuning.offered()) {
            if (known.open().equals(t.open()) && (!m.matches() || known.name().equals(name))) {
                return known;
            }
        }
        return new Tuning(name, t.open());
    }

    /** The tuning that was said, or that the letters before the strings say. */
    private Tuning tuning(TabSystem first) {
        int strings = first.lines().size();
        if (tuning.isPresent() && tuning.get().strings() == strings) {
            return tuning.get();
        }
        tuning.ifPresent(
                t ->
                        remarks.add(
                                "The tuning that the tab says has "
                                        + t.strings()
                                        + " strings, the tab "
                                        + strings
                                        + ": the letters before the strings were taken."));
        List<String> letters = new ArrayList<>();
        for (int i = strings - 1; i >= 0; i--) {
            letters.add(
                    first.lines().get(i).label().replaceAll("\\d$", "").toUpperCase(Locale.ROOT));
        }
        if (letters.stream().allMatch(l -> l.matches("[A-G][#B♯♭]?"))) {
            String notes = String.join(" ", letters).replaceAll("(?<=[A-G])B", "b");
            Tuning said = Tuning.parse(notes, notes);
            return Tuning.offered().stream()
                    .filter(t -> t.open().equals(said.open()))
                    .findFirst()
                    .orElse(said);
        }
        remarks.add("The tab says no tuning; the usual one was taken.");
        return Tuning.offered().stream()
                .filter(t -> t.strings() == strings)
                .findFirst()
                .orElseGet(
                        () ->
                                strings <= 5
                                        ? Tuning.bass(strings)
                                        : new Tuning(
                                                strings + " strings",
                                                Tuning.STANDARD
                                                        .open()
                                                        .subList(0, Math.min(strings, 6))));
    }

    private static int highest(List<List<TabSystem>> guitars) throws FormatException {
        int highest = 0;
        for (List<TabSystem> systems : guitars) {
            for (TabSystem s : systems) {
                for (TabLine l : s.lines()) {
                    for (TabToken t : TabToken.read(l, l.from(), l.text().length())) {
                        highest = Math.max(highest, t.fret());
                    }
                }
            }
        }
        return Math.min(highest, Limits.MOST_STEPS);
    }
}
