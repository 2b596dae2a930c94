package vocalis.desktop.keys;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import vocalis.desktop.session.Place;

/**
 * Finds commands by words: every word typed begins a word of the command's name, of its other
 * words, of its place, or is its key. Where none has them all, those that have most of them.
 */
public final class CommandSearch {

    /** How well one fits. */
    private record Fit(Command command, int points, int order) {}

    private static final int WHOLE_NAME = 100;
    private static final int NAME = 40;
    private static final int WHOLE_WORD = 1;
    private static final int NAMES_FIRST = 20;
    private static final int KEY = 60;
    private static final int OTHER = 15;
    private static final int PLACE = 4;
    private static final int HERE = 3;
    private static final int MOST_USED = 12;

    /** Words that say little of what is wanted, where no command has all that was typed. */
    private static final Set<String> FILL =
            Set.copyOf(
                    words(
                            "a an and are can do get go how i is it make me my of on open please see"
                                    + " show take the this to want where"));

    private final Commands commands;
    private final OtherWords other;
    private final Map<String, Integer> used;

    /**
     * @param used how often a command was asked for, by id
     */
    public CommandSearch(Commands commands, OtherWords other, Map<String, Integer> used) {
        this.commands = commands;
        this.other = other;
        this.used = used;
    }

    /**
     * What fits, the best first; with nothing typed the most used, then those of the place.
     *
     * @param here where the caret is; what works there stands before what does not, all else equal
     */
    public List<Command> find(String typed, Place here) {
        List<String> wanted = words(typed);
        List<Command> all = find(wanted, typed, here, wanted.size());
        List<String> telling = wanted.stream().filter(w -> !FILL.contains(w)).toList();
        for (int least = telling.size(); all.isEmpty() && least > 0; least--) {
            all = find(telling, typed, here, least);
        }
        return all;
    }

    /** Those that have at least so many of the words. */
    private List<Command> find(List<String> wanted, String typed, Place here, int least) {
        List<Fit> fits = new ArrayList<>();
        int order = 0;
        for (Command c : commands.all()) {
            order++;
            if (c.named()) {
                int points = points(c, wanted, typed, least);
                if (points > 0 || wanted.isEmpty()) {
                    int often = Math.min(MOST_USED, used.getOrDefault(c.id(), 0));
                    fits.add(new Fit(c, points + often + here(c, here), order));
                }
            }
        }
        return fits.stream()
                .sorted(
                        Comparator.comparingInt((Fit f) -> -f.points())
                                .thenComparingInt(Fit::order))
                .map(Fit::command)
                .toList();
    }

    private static int here(Command c, Place here) {
        return c.places().contains(here) ? HERE : 0;
    }

    private int points(Command c, List<String> wanted, String typed, int least) {
        List<String> name = words(c.words());
        List<String> more = words(other.of(c));
        List<String> place = new ArrayList<>();
        c.places().forEach(p -> place.addAll(words(p.words())));
        String key = plain(c.printedKey());
        if (!key.isEmpty() && key.equals(plain(typed).strip())) {
            return KEY + WHOLE_NAME;
        }
        int sum = plain(c.words()).equals(plain(typed).strip()) ? WHOLE_NAME : 0;
        int had = 0;
        for (String w : wanted) {
            int best = begins(name, w) ? NAME + (name.contains(w) ? WHOLE_WORD : 0) : 0;
            best =
                    Math.max(
                            best,
                            !name.isEmpty() && name.get(0).startsWith(w) ? NAME + NAMES_FIRST : 0);
            best = Math.max(best, begins(more, w) ? OTHER + (more.contains(w) ? OTHER : 0) : 0);
            best = Math.max(best, words(c.printedKey()).contains(w) ? PLACE : 0);
            best = Math.max(best, begins(place, w) ? PLACE : 0);
            had += best > 0 ? 1 : 0;
            sum += best;
        }
        return had < least ? 0 : sum;
    }

    private static boolean begins(List<String> words, String wanted) {
        return words.stream().anyMatch(w -> w.startsWith(wanted));
    }

    private static List<String> words(String s) {
        List<String> all = new ArrayList<>();
        for (String w : plain(s).split("[^a-z0-9♯♭#−+\u2190-\u2193?/]+")) {
            if (!w.isEmpty()) {
                all.add(w);
            }
        }
        return all;
    }

    /** Small letters without accents. */
    private static String plain(String s) {
        return Normalizer.normalize(s, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT);
    }
}
