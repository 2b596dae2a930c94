package vocalis.formats.tab;

import java.util.Optional;
import vocalis.core.rhythm.Notation;
import vocalis.core.rhythm.Ticks;

/**
 * Note values as letters: w h q e s t x from the whole note to the 64th, dots after them, and the
 * number of a tuplet: {@code e3} is an eighth of a triplet. What no value says is counted in ticks
 * after a {@code #}.
 */
final class Values {

    private static final String LETTERS = "whqestx";

    private Values() {}

    static String letter(Notation.Value v) {
        long plain = v.plain();
        int at = 0;
        for (long t = Ticks.WHOLE; t > plain; t /= 2) {
            at++;
        }
        boolean said = v.exact() && at < LETTERS.length() && plain <= Ticks.WHOLE;
        return said
                ? LETTERS.charAt(at) + ".".repeat(v.dots()) + (v.tuplet() == 1 ? "" : v.tuplet())
                : "#" + v.ticks();
    }

    /** Ticks of a value; empty where the word is none. */
    static Optional<Long> ticks(String word) {
        if (word.matches("#[1-9]\\d{0,8}")) {
            return Optional.of(Long.parseLong(word.substring(1)));
        }
        if (!word.matches("[whqestx]\\.{0,2}[357]?")) {
            return Optional.empty();
        }
        long ticks = Ticks.WHOLE >> LETTERS.indexOf(word.charAt(0));
        int dots = (int) word.chars().filter(c -> c == '.').count();
        ticks = ticks * ((1L << (dots + 1)) - 1) / (1L << dots);
        char last = word.charAt(word.length() - 1);
        if (Character.isDigit(last)) {
            int tuplet = last - '0';
            ticks = ticks * Integer.highestOneBit(tuplet) / tuplet;
        }
        return Optional.of(ticks);
    }
}
