package vocalis.core.names;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * A chord of five notes and more that players thin, and the notes without which it is not itself:
 * third, sixth or seventh, and its highest tension (common practice). Its fifth, and what lies
 * between seventh and tension, may be left out.
 *
 * @param symbol the chord on C, for its notes
 * @param needed semitones above the root that must sound
 */
public record Fuller(String suffix, ChordSymbol symbol, Set<Integer> needed) {

    private static final List<Fuller> ALL =
            List.of(
                    of("6/9", 4, 9, 2),
                    of("m6/9", 3, 9, 2),
                    of("9", 4, 10, 2),
                    of("m9", 3, 10, 2),
                    of("maj9", 4, 11, 2),
                    of("m(maj9)", 3, 11, 2),
                    of("11", 10, 5),
                    of("m11", 3, 10, 5),
                    of("maj11", 4, 11, 5),
                    of("m(maj11)", 3, 11, 5),
                    of("9♯11", 4, 10, 6),
                    of("maj9♯11", 4, 11, 6),
                    of("13", 4, 10, 9),
                    of("m13", 3, 10, 9),
                    of("maj13", 4, 11, 9),
                    of("7♭9", 4, 10, 1),
                    of("7♯9", 4, 10, 3),
                    of("7♭13", 4, 10, 8),
                    of("9♯5", 4, 10, 8, 2),
                    of("9♭5", 4, 10, 6, 2),
                    of("13♭9", 4, 10, 9, 1));

    private static Fuller of(String suffix, Integer... needed) {
        return new Fuller(suffix, ChordSymbol.parse("C" + suffix), Set.of(needed));
    }

    /** The suffixes of the chords that notes, as semitones above a root, stand in for. */
    static List<String> of(Set<Integer> above) {
        List<Fuller> found = new ArrayList<>();
        for (Fuller f : ALL) {
            if (above.containsAll(f.needed) && f.symbol.intervals().containsAll(above)) {
                found.add(f);
            }
        }
        found.sort((a, b) -> a.symbol.intervals().size() - b.symbol.intervals().size());
        return found.stream().map(Fuller::suffix).toList();
    }
}
