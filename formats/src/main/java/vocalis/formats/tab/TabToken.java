package vocalis.formats.tab;

import java.util.ArrayList;
import java.util.List;
import vocalis.formats.FormatException;

/**
 * What stands on one string in one place.
 *
 * @param column where the number begins
 * @param width columns that the number takes
 * @param fret fret; 0 for a dead note without one
 * @param dead whether it is an x
 * @param bracketed whether it stands in round brackets
 * @param harmonic whether it stands in pointed or square ones
 * @param lead column where it begins with what leads to it
 * @param before h, p, /, \ or s that leads to it; 0 for none
 * @param after marks behind it, such as {@code b9r7~}
 */
record TabToken(
        int column,
        int width,
        int fret,
        boolean dead,
        boolean bracketed,
        boolean harmonic,
        int lead,
        char before,
        String after) {

    private static final int MOST_FRET = 27;
    private static final int MOST_DASHES = 6;

    /** Reads what stands on a string between two columns. */
    static List<TabToken> read(TabLine line, int from, int to) throws FormatException {
        List<TabToken> all = new ArrayList<>();
        String t = line.text();
        int end = Math.min(to, t.length());
        int i = from;
        char before = 0;
        while (i < end) {
            char c = t.charAt(i);
            if (Character.isDigit(c) || c == 'x' || c == 'X' || c == '(' || c == '<' || c == '[') {
                i = number(line, i, end, before, all);
                before = 0;
            } else if ("hHpPsStT/\\".indexOf(c) >= 0) {
                boolean last =
                        (i + 1 >= end || "-| \t".indexOf(t.charAt(i + 1)) >= 0)
                                && !leads(t, i, end, all);
                if (last && (c == '/' || c == '\\') && !all.isEmpty() && touches(all, t, i)) {
                    append(all, c);
                } else {
                    before = Character.toLowerCase(c);
                }
                i++;
            } else if ("-| \t=:*.'\"oO{}+^><])".indexOf(c) >= 0) {
                boolean bridges = before != 0 && (c == '-' || c == '=');
                before = c == '|' || bridges ? before : 0;
                if (c == '^' && !all.isEmpty()) {
                    append(all, 'b');
                }
                i++;
            } else if ("~vVbBrR".indexOf(c) >= 0) {
                if (!all.isEmpty() && "~vV".indexOf(c) >= 0) {
                    append(all, '~');
                } else if (all.isEmpty() || "bB".indexOf(c) < 0 && "rR".indexOf(c) < 0) {
                    throw wrong(line, i, "\"" + c + "\" follows no note");
                } else {
                    append(all, Character.toLowerCase(c));
                }
                i++;
            } else {
                throw wrong(line, i, "\"" + c + "\" is nothing that a tab says");
            }
        }
        return all;
    }

    /**
     * Whether a slide leads over some dashes to a fret on its side: {@code 3/--5} is a slide from 3
     * to 5, {@code 5/--3} one out of 5 and then a 3.
     */
    private static boolean leads(String t, int at, int end, List<TabToken> all) {
        int i = at + 1;
        while (i < end && i - at <= MOST_DASHES && t.charAt(i) == '-') {
            i++;
        }
        int begins = i;
        while (i < end && Character.isDigit(t.charAt(i))) {
            i++;
        }
        if (all.isEmpty() || i == begins || i - begins > 2) {
            return false;
        }
        int way = Integer.parseInt(t.substring(begins, i)) - all.get(all.size() - 1).fret;
        return t.charAt(at) == '/' ? way > 0 : t.charAt(at) == '\\' && way < 0;
    }

    /** An x without a fret: where others of its stroke have frets, a string held silent. */
    boolean bareX() {
        return dead && width == 1;
    }

    private static boolean touches(List<TabToken> all, String t, int at) {
        return at > 0 && t.charAt(at - 1) != '-' && !all.isEmpty();
    }

    private static void append(List<TabToken> all, char mark) {
        TabToken l = all.get(all.size() - 1);
        all.set(
                all.size() - 1,
                new TabToken(
                        l.column,
                        l.width,
                        l.fret,
                        l.dead,
                        l.bracketed,
                        l.harmonic,
                        l.lead,
                        l.before,
                        l.after + mark));
    }

    private static int number(TabLine line, int at, int end, char before, List<TabToken> all)
            throws FormatException {
        String t = line.text();
        int i = at;
        boolean round = t.charAt(i) == '(';
        boolean pointed = t.charAt(i) == '<' || t.charAt(i) == '[';
        if (round || pointed) {
            i++;
        }
        if (i >= end) {
            return i;
        }
        boolean dead = t.charAt(i) == 'x' || t.charAt(i) == 'X';
        if (dead) {
            i++;
        }
        int begins = i;
        while (i < end && Character.isDigit(t.charAt(i))) {
            i++;
        }
        String digits = t.substring(begins, i);
        if (digits.isEmpty() && !dead) {
            if (round || pointed) {
                return Math.max(i, at + 1);
            }
            throw wrong(line, at, "a fret is missing");
        }
        int fret = digits.isEmpty() ? 0 : digits.length() > 2 ? 99 : Integer.parseInt(digits);
        if (fret > MOST_FRET) {
            throw wrong(line, begins, "there is no fret " + digits);
        }
        if ((round || pointed) && i < end && ")>]".indexOf(t.charAt(i)) >= 0) {
            i++;
        }
        int[] next = {i};
        String after = marks(t, next, end);
        int column = dead ? begins - 1 : begins;
        int from = round || pointed ? column - 1 : column;
        boolean led = before != 0 && at > 0 && Character.toLowerCase(t.charAt(at - 1)) == before;
        all.add(
                new TabToken(
                        from,
                        Math.max(1, i - at),
                        fret,
                        dead,
                        round,
                        pointed,
                        led ? from - 1 : from,
                        before,
                        after));
        return next[0];
    }

    /** Bends, releases and vibrato that follow a number at once. */
    private static String marks(String t, int[] at, int end) {
        StringBuilder after = new StringBuilder();
        int i = at[0];
        while (i < end && "bBrR~vV".indexOf(t.charAt(i)) >= 0) {
            char c = Character.toLowerCase(t.charAt(i));
            after.append(c == 'v' ? '~' : c);
            i++;
            boolean round = i < end && t.charAt(i) == '(';
            int from = round ? i + 1 : i;
            int to = from;
            while (to < end
                    && (Character.isDigit(t.charAt(to))
                            || t.charAt(to) == '.'
                                    && to + 1 < end
                                    && Character.isDigit(t.charAt(to + 1)))) {
                to++;
            }
            if (to > from && "br".indexOf(c) >= 0 && to - from <= 5) {
                after.append(t, from, to);
                i = round && to < end && t.charAt(to) == ')' ? to + 1 : to;
            }
        }
        at[0] = i;
        return after.toString();
    }

    static FormatException wrong(TabLine line, int column, String what) {
        return wrong(line.number(), column, what);
    }

    /** What is wrong at a line of the text, counted from 1, and a column, counted from 0. */
    static FormatException wrong(int line, int column, String what) {
        return new FormatException("line " + line + ", column " + (column + 1) + ": " + what);
    }
}
