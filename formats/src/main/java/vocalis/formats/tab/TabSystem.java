package vocalis.formats.tab;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import vocalis.core.names.ChordSymbol;
import vocalis.formats.FormatException;

/** The lines of one system: strings beneath each other, and the rows around them. */
final class TabSystem {

    /** Letters before a string: a note, perhaps with an octave, or a number. */
    private static final Pattern STRING_LINE =
            Pattern.compile("^(\\s*(?:[A-Ga-g][#b♯♭]?\\d?|\\d(?=\\s*[|:]))?\\s*)([|:\\-0-9x(].*)$");

    private static final String SAID = "0123456789hHpPbBrRxXsStTvV/\\~|()<>[]{}.*=^:'\"oO+- \t";

    private static final String TIMES = "\\(?(?:[xX]\\s*(\\d{1,2})|(\\d{1,2})\\s*[xX])\\)?";

    /** {@code | x4} behind the last bar line. */
    private static final Pattern TIMES_BEHIND = Pattern.compile("^(.*\\|)\\s*" + TIMES + "$");

    /** A line of its own that says how often. */
    private static final Pattern TIMES_ALONE =
            Pattern.compile("(?i)^\\s*(?:repeat|play)?\\s*" + TIMES + "(?:\\s*times)?\\s*$");

    private static final int MOST_TIMES = 16;

    private static final List<String> ABOVE =
            List.of(TabWriter.CHORD, TabWriter.METER, TabWriter.TEMPO, TabWriter.VALUE);

    private static final List<String> BELOW =
            List.of(TabWriter.MARK, TabWriter.HIT, TabWriter.PICK);

    /** A word of a row and the column that it begins in. */
    record Word(int line, int column, String text) {}

    private List<TabLine> lines;
    private final Map<String, List<Word>> rows = new LinkedHashMap<>();
    private final Map<String, Integer> rowLines = new HashMap<>();
    private final List<Integer> bars = new ArrayList<>();
    private final List<Word> bare = new ArrayList<>();
    private int palmLine;
    private String palm = "";
    private int times;

    /**
     * @param remarks what was taken for what is added here
     */
    TabSystem(List<TabLine> lines, Collection<String> remarks) throws FormatException {
        List<TabLine> plain = new ArrayList<>();
        for (TabLine l : lines) {
            Matcher m = TIMES_BEHIND.matcher(l.text());
            if (m.matches()) {
                times = number(m, 2);
                plain.add(new TabLine(l.number(), l.label(), m.group(1), l.from()));
            } else {
                plain.add(l);
            }
        }
        this.lines = List.copyOf(Straightened.of(plain, remarks));
        findBars();
    }

    private static int number(Matcher m, int group) {
        String said = m.group(group) != null ? m.group(group) : m.group(group + 1);
        return Math.max(1, Math.min(MOST_TIMES, Integer.parseInt(said)));
    }

    /**
     * How often it is played, as {@code x4} behind its last bar line or beside it says; 0 unsaid.
     */
    int times() {
        return times;
    }

    /** Whether a bar line begins what is repeated: {@code |:}, {@code |*} or {@code |o}. */
    boolean repeatBegins(int bar) {
        return dots(bar + 1);
    }

    /** Whether a bar line ends what is repeated. */
    boolean repeatEnds(int bar) {
        return dots(bar - 1);
    }

    /** Two strings or more have a dot of a repeat sign in a column. */
    private boolean dots(int column) {
        long dotted =
                lines.stream()
                        .filter(
                                l ->
                                        column >= l.from()
                                                && column < l.text().length()
                                                && ":*oO".indexOf(l.text().charAt(column)) >= 0)
                        .count();
        return dotted >= 2;
    }

    /** A line of a string, or null where it is something else. */
    static TabLine line(int number, String raw) {
        String text = raw.replace('–', '-').replace('—', '-').replace('│', '|').stripTrailing();
        Matcher m = STRING_LINE.matcher(text);
        if (!m.matches()) {
            return null;
        }
        String body = m.group(2);
        long dashes = body.chars().filter(c -> c == '-').count();
        long strange = body.chars().filter(c -> SAID.indexOf(c) < 0).count();
        boolean framed = body.length() > 2 && body.startsWith("|") && body.endsWith("|");
        boolean tab =
                dashes >= (framed ? 1 : 3)
                        && dashes * (framed ? 8 : 4) >= body.length()
                        && strange * 4 <= dashes;
        return tab ? new TabLine(number, m.group(1).strip(), text, m.group(1).length()) : null;
    }

    List<TabLine> lines() {
        return lines;
    }

    /**
     * Adds silent lines where strings have none.
     *
     * @param places for each line, highest string first, its place among all
     * @param letters of all strings, highest first
     */
    void complete(int[] places, List<String> letters) {
        TabLine like = lines.get(0);
        String body = like.text().substring(like.from()).replaceAll("[^|]", "-");
        String text = " ".repeat(like.from()) + body;
        List<TabLine> whole = new ArrayList<>();
        for (String letter : letters) {
            whole.add(new TabLine(like.number(), letter, text, like.from()));
        }
        for (int i = 0; i < places.length; i++) {
            whole.set(places[i], lines.get(i));
        }
        lines = List.copyOf(whole);
    }

    /** Columns of the bar lines, ascending. */
    List<Integer> bars() {
        return bars;
    }

    boolean has(String row) {
        return rows.containsKey(row);
    }

    /** The line of the text in which a row stands. */
    int lineOf(String row) {
        return rowLines.getOrDefault(row, lines.get(0).number());
    }

    List<Word> row(String row) {
        return rows.getOrDefault(row, List.of());
    }

    /** Words of a row between two columns. */
    List<Word> row(String row, int from, int to) {
        return row(row).stream().filter(w -> w.column() >= from && w.column() < to).toList();
    }

    /** Takes a line over the system as one of its rows, when it is one. */
    void above(int number, String text) {
        near(number, text, ABOVE);
    }

    /** Takes a line under the system as one of its rows, when it is one. */
    void below(int number, String text) {
        near(number, text, BELOW);
    }

    private void near(int number, String text, List<String> known) {
        String head = text.strip().split("\\s+", 2)[0].toLowerCase(Locale.ROOT);
        if (known.contains(head) && text.indexOf(head) == 0) {
            List<Word> words = new ArrayList<>();
            Matcher m = Pattern.compile("\\S+").matcher(text);
            m.find();
            while (m.find()) {
                words.add(new Word(number, m.start(), m.group()));
            }
            rows.put(head, words);
            rowLines.put(head, number);
        } else if (text.toUpperCase(Locale.ROOT).matches("[\\s|]*P\\.?M\\.?[\\s\\-.|PM]*")) {
            palm = text;
            palmLine = number;
        } else if (TIMES_ALONE.matcher(text).matches()) {
            Matcher m = TIMES_ALONE.matcher(text);
            times = m.matches() && times == 0 ? number(m, 1) : times;
        } else if (known == ABOVE && !chords(number, text).isEmpty()) {
            bare.clear();
            bare.addAll(chords(number, text));
        }
    }

    /** The chords of a row that holds nothing else, by column; empty where it holds more. */
    static List<Word> chords(int number, String text) {
        List<Word> words = new ArrayList<>();
        Matcher m = Pattern.compile("\\S+").matcher(text);
        while (m.find()) {
            String w = m.group();
            boolean other = w.matches("[|/%-]+|(?i)n\\.?c\\.?") || w.matches(TIMES);
            if (!other) {
                try {
                    ChordSymbol.parse(w);
                } catch (IllegalArgumentException e) {
                    return List.of();
                }
                words.add(new Word(number, m.start(), w));
            }
        }
        return words;
    }

    /** Chords that stand over the system without a word before them. */
    List<Word> bareChords() {
        return has(TabWriter.CHORD) ? List.of() : bare;
    }

    /** Whether the palm lies on the strings in a column, as a line of {@code PM---|} says. */
    boolean palm(int column) {
        if (palmLine == 0 || column >= palm.length() + 1) {
            return false;
        }
        int from = -1;
        String upper = palm.toUpperCase(Locale.ROOT);
        for (int i = 0; i < upper.length(); i++) {
            char c = upper.charAt(i);
            boolean inside = c == 'P' || c == 'M' || c == '-' || c == '.' || c == '|';
            if (inside && from < 0) {
                from = i;
            }
            if (from >= 0 && (!inside || i == upper.length() - 1)) {
                int to = inside ? i : i - 1;
                if (column >= from && column <= to) {
                    return true;
                }
                from = -1;
            }
        }
        return false;
    }

    private void findBars() throws FormatException {
        TreeMap<Integer, Integer> count = new TreeMap<>();
        for (TabLine l : lines) {
            for (int i = l.from(); i < l.text().length(); i++) {
                if (l.text().charAt(i) == '|') {
                    count.merge(i, 1, Integer::sum);
                }
            }
        }
        for (Map.Entry<Integer, Integer> e : count.entrySet()) {
            if (e.getValue() == lines.size()) {
                bars.add(e.getKey());
            } else {
                crooked(e.getKey());
            }
        }
    }

    /** A bar line that not all strings have where they reach so far is no bar line. */
    private void crooked(int column) throws FormatException {
        TreeSet<Integer> with = new TreeSet<>();
        TreeSet<Integer> without = new TreeSet<>();
        for (TabLine l : lines) {
            if (column < l.text().length()) {
                (l.text().charAt(column) == '|' ? with : without).add(l.number());
            }
        }
        if (without.isEmpty()) {
            bars.add(column);
            return;
        }
        // The fewer are the ones at fault.
        TreeSet<Integer> fault = with.size() < without.size() ? with : without;
        throw new FormatException(
                "line "
                        + fault.first()
                        + ", column "
                        + (column + 1)
                        + ": the bar lines of this system do not stand beneath each other; add or"
                        + " take away dashes until they do");
    }
}
