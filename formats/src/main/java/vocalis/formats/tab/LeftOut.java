package vocalis.formats.tab;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import vocalis.core.instrument.Tuning;
import vocalis.core.theory.Spelling;

/**
 * Strings without a line, because nothing is played on them: players leave them out. They are told
 * by the letters before the others, where those fit the tuning in one way only.
 */
final class LeftOut {

    /** Four lines of a bass, which may be a guitar's lower four: nobody knows. */
    private static final List<String> BASS = List.of("G", "D", "A", "E");

    private final Tuning tuning;
    private final Collection<String> remarks;

    private LeftOut(Tuning tuning, Collection<String> remarks) {
        this.tuning = tuning;
        this.remarks = remarks;
    }

    /**
     * Completes all systems.
     *
     * @param said the tuning that the tab says
     * @param remarks what was taken for what
     */
    static void complete(
            List<List<TabSystem>> guitars, Optional<Tuning> said, Collection<String> remarks) {
        for (List<TabSystem> systems : guitars) {
            int most = systems.stream().mapToInt(s -> s.lines().size()).max().orElse(0);
            boolean bass = systems.stream().allMatch(s -> BASS.equals(letters(s)));
            if (bass) {
                continue;
            }
            Optional<Tuning> whole = said.filter(t -> t.strings() >= most);
            if (whole.isEmpty()) {
                whole = among(systems, most);
            }
            whole.ifPresent(t -> new LeftOut(t, remarks).complete(systems));
        }
    }

    /**
     * That of the widest system; four or five of a guitar's six strings are a guitar in standard
     * tuning.
     */
    private static Optional<Tuning> among(List<TabSystem> systems, int most) {
        for (TabSystem s : systems) {
            List<String> letters = letters(s);
            if (s.lines().size() == most && !letters.isEmpty()) {
                boolean fewer = most < Tuning.STANDARD.strings();
                if (fewer && places(letters, Tuning.STANDARD) != null) {
                    return Optional.of(Tuning.STANDARD);
                }
                List<String> upward = new ArrayList<>(letters);
                Collections.reverse(upward);
                String notes = String.join(" ", upward);
                return Optional.of(Tuning.parse(notes, notes));
            }
        }
        return Optional.empty();
    }

    private void complete(List<TabSystem> systems) {
        for (TabSystem s : systems) {
            int n = s.lines().size();
            List<String> letters = letters(s);
            if (n < tuning.strings() && !letters.isEmpty()) {
                int[] places = places(letters, tuning);
                if (places != null) {
                    s.complete(places, strings());
                    remarks.add(
                            "Only "
                                    + n
                                    + " of "
                                    + tuning.strings()
                                    + " strings have a line; nothing is played on the others.");
                }
            }
        }
    }

    private List<String> strings() {
        List<String> all = new ArrayList<>();
        tuning.open().forEach(midi -> all.add(0, Spelling.plain(midi).ascii()));
        return all;
    }

    /** The letters before the strings from the highest; none where one lacks its letter. */
    private static List<String> letters(TabSystem s) {
        List<String> all = new ArrayList<>();
        for (TabLine l : s.lines()) {
            String letter = l.label().replaceAll("\\d$", "").toUpperCase(Locale.ROOT);
            if (!letter.matches("[A-G][#B♯♭]?")) {
                return List.of();
            }
            all.add(letter.replaceAll("(?<=[A-G])B", "b"));
        }
        return all;
    }

    /** Where lines lie among the strings of a tuning; null where there is no way or several. */
    private static int[] places(List<String> letters, Tuning tuning) {
        int n = tuning.strings();
        int[] pitches = new int[n];
        for (int i = 0; i < n; i++) {
            pitches[i] = Math.floorMod(tuning.open().get(n - 1 - i), 12);
        }
        int[] wanted = letters.stream().mapToInt(l -> Spelling.parse(l).pitchClass()).toArray();
        int[] first = new int[wanted.length];
        int[] last = new int[wanted.length];
        int at = 0;
        for (int i = 0; i < wanted.length; i++, at++) {
            while (at < n && pitches[at] != wanted[i]) {
                at++;
            }
            if (at == n) {
                return null;
            }
            first[i] = at;
        }
        at = n - 1;
        for (int i = wanted.length - 1; i >= 0; i--, at--) {
            while (pitches[at] != wanted[i]) {
                at--;
            }
            last[i] = at;
        }
        // Laid from above and from below alike: there is one way.
        return Arrays.equals(first, last) ? first : null;
    }
}
