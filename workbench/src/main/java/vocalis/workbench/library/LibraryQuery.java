package vocalis.workbench.library;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;

/**
 * What is asked of the logbook: words that stand anywhere, and {@code key: tuning: family: tag:
 * status: tempo:90-120 rating:3 change:D-F} or {@code change:1-b3}, all of which must hold.
 */
public final class LibraryQuery implements Predicate<LibraryEntry> {

    private final List<Predicate<LibraryEntry>> all = new ArrayList<>();

    private LibraryQuery() {}

    /** Reads a query; what says nothing that is known is looked for as a word. */
    public static LibraryQuery of(String text) {
        LibraryQuery q = new LibraryQuery();
        for (String word : text.strip().toLowerCase(Locale.ROOT).split("\\s+")) {
            if (!word.isEmpty()) {
                q.all.add(asked(plain(word)));
            }
        }
        return q;
    }

    @Override
    public boolean test(LibraryEntry e) {
        for (Predicate<LibraryEntry> p : all) {
            if (!p.test(e)) {
                return false;
            }
        }
        return true;
    }

    private static String plain(String s) {
        return s.toLowerCase(Locale.ROOT).replace('♯', '#').replace('♭', 'b');
    }

    private static Predicate<LibraryEntry> asked(String word) {
        int colon = word.indexOf(':');
        String value = colon < 0 ? "" : word.substring(colon + 1);
        if (colon <= 0 || value.isEmpty()) {
            return e -> anywhere(e, word);
        }
        return switch (word.substring(0, colon)) {
            case "key" -> e -> plain(e.key()).replace(" ", "").startsWith(value);
            case "tuning" -> e -> plain(e.tuning()).replace(" ", "").contains(value);
            case "family" -> e -> e.families().stream().anyMatch(f -> f.contains(value));
            case "tag" -> e -> e.tags().stream().anyMatch(t -> plain(t).contains(value));
            case "status" -> e -> plain(e.status()).contains(value);
            case "rating" -> e -> value.matches("\\d") && e.rating() >= value.charAt(0) - '0';
            case "tempo" -> e -> tempo(e.tempo(), value);
            case "change" -> e -> change(e, value);
            default -> e -> anywhere(e, word);
        };
    }

    private static boolean anywhere(LibraryEntry e, String word) {
        return plain(e.title()).contains(word)
                || plain(e.about()).contains(word)
                || plain(e.key()).contains(word)
                || plain(e.tuning()).contains(word)
                || plain(e.status()).contains(word)
                || e.tags().stream().anyMatch(t -> plain(t).contains(word))
                || e.families().stream().anyMatch(f -> f.contains(word));
    }

    private static boolean tempo(int tempo, String value) {
        if (value.matches("\\d{1,3}")) {
            return tempo == Integer.parseInt(value);
        }
        if (!value.matches("\\d{0,3}-\\d{0,3}")) {
            return false;
        }
        String[] ends = value.split("-", -1);
        int low = ends[0].isEmpty() ? 0 : Integer.parseInt(ends[0]);
        int high = ends[1].isEmpty() ? Integer.MAX_VALUE : Integer.parseInt(ends[1]);
        return tempo >= low && tempo <= high;
    }

    /** Whether the roots follow each other somewhere, over the seam too. */
    private static boolean change(LibraryEntry e, String value) {
        String[] wanted = value.split("-");
        boolean degrees = Character.isDigit(wanted[0].charAt(wanted[0].length() - 1));
        List<String> has =
                (degrees ? e.steps() : e.roots()).stream().map(LibraryQuery::plain).toList();
        for (int from = 0; from < has.size(); from++) {
            boolean there = true;
            for (int i = 0; i < wanted.length && there; i++) {
                there = has.get((from + i) % has.size()).equals(wanted[i]);
            }
            if (there) {
                return true;
            }
        }
        return false;
    }
}
