package vocalis.formats.tab;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * A system whose bar lines do not stand beneath each other because a dash or two are missing in a
 * string, or too many. The width that most strings have is taken; dashes come or go where the
 * string's notes then stand beneath most of the others', else at the end of the bar.
 */
final class Straightened {

    /** More dashes than this are no slip. */
    private static final int MOST = 2;

    private final List<TabLine> lines;
    private final List<List<String>> parts = new ArrayList<>();
    private final List<String> remarks = new ArrayList<>();

    private Straightened(List<TabLine> lines) {
        this.lines = lines;
        for (TabLine l : lines) {
            parts.add(new ArrayList<>(List.of(l.text().split("\\|", -1))));
        }
    }

    /**
     * The lines, mended where that is sure.
     *
     * @param remarks what was taken for what
     */
    static List<TabLine> of(List<TabLine> lines, Collection<String> remarks) {
        Straightened s = new Straightened(lines);
        int bars = s.parts.get(0).size();
        if (bars < 2 || s.parts.stream().anyMatch(p -> p.size() != bars)) {
            return lines;
        }
        // What stands before the first bar line are letters, behind the last nothing of the music.
        for (int k = 1; k + 1 < bars; k++) {
            if (!s.even(k)) {
                return lines;
            }
        }
        remarks.addAll(s.remarks);
        return s.remarks.isEmpty() ? lines : s.mended();
    }

    private List<TabLine> mended() {
        List<TabLine> all = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            TabLine l = lines.get(i);
            String text = String.join("|", parts.get(i));
            all.add(new TabLine(l.number(), l.label(), text, l.from()));
        }
        return all;
    }

    /** Brings a bar to one width on all strings; false where that is not sure. */
    private boolean even(int k) {
        Map<Integer, Integer> widths = new HashMap<>();
        parts.forEach(p -> widths.merge(p.get(k).length(), 1, Integer::sum));
        int width =
                widths.entrySet().stream().max(Map.Entry.comparingByValue()).orElseThrow().getKey();
        if (2 * widths.get(width) <= lines.size()) {
            return false;
        }
        Set<Integer> others = new HashSet<>();
        parts.stream()
                .filter(p -> p.get(k).length() == width)
                .forEach(p -> others.addAll(notes(p.get(k))));
        for (int i = 0; i < parts.size(); i++) {
            String part = parts.get(i).get(k);
            int lacks = width - part.length();
            if (lacks == 0) {
                continue;
            }
            if (Math.abs(lacks) > MOST) {
                return false;
            }
            part = lacks > 0 ? with(part, lacks, others) : without(part, -lacks, others);
            if (part.length() != width) {
                return false;
            }
            parts.get(i).set(k, part);
            remarks.add(remark(lines.get(i).number(), k, lacks));
        }
        return true;
    }

    private static String remark(int line, int bar, int lacks) {
        int n = Math.abs(lacks);
        String dashes = n == 1 ? "a dash" : n + " dashes";
        return "Line "
                + line
                + " has "
                + dashes
                + (lacks > 0 ? " too few" : " too many")
                + " in its bar "
                + bar
                + "; it was read as if "
                + (n == 1 ? "it" : "they")
                + (lacks > 0 ? " stood there." : " did not stand there.");
    }

    /** Columns in which a fret begins. */
    private static Set<Integer> notes(String part) {
        Set<Integer> all = new TreeSet<>();
        for (int i = 0; i < part.length(); i++) {
            boolean digit = Character.isDigit(part.charAt(i));
            if (digit && (i == 0 || !Character.isDigit(part.charAt(i - 1)))) {
                all.add(i);
            }
        }
        return all;
    }

    private static long beneath(String part, Set<Integer> others) {
        return notes(part).stream().filter(others::contains).count();
    }

    /** So many dashes more in one place. */
    private static String with(String part, int n, Set<Integer> others) {
        String best = part;
        long most = -1;
        for (int p = part.length(); p >= 0; p--) {
            boolean beside =
                    p == 0
                            || p == part.length()
                            || part.charAt(p) == '-'
                            || part.charAt(p - 1) == '-';
            String now = part.substring(0, p) + "-".repeat(n) + part.substring(p);
            if (beside && beneath(now, others) > most) {
                most = beneath(now, others);
                best = now;
            }
        }
        return best;
    }

    /** So many dashes less in one place. */
    private static String without(String part, int n, Set<Integer> others) {
        String best = part;
        long most = -1;
        for (int p = part.length() - n; p >= 0; p--) {
            String now = part.substring(0, p) + part.substring(p + n);
            boolean dashes = part.substring(p, p + n).equals("-".repeat(n));
            if (dashes && beneath(now, others) > most) {
                most = beneath(now, others);
                best = now;
            }
        }
        return best;
    }
}
