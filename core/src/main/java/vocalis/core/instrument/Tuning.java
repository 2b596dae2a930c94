package vocalis.core.instrument;

import java.util.List;
import java.util.stream.Collectors;
import vocalis.core.theory.Spelling;

/**
 * The open strings of an instrument.
 *
 * @param name as it is shown
 * @param open MIDI numbers of the open strings, lowest string first; 4 to 9 strings. Re-entrant
 *     tunings are allowed, so the numbers need not ascend.
 */
public record Tuning(String name, List<Integer> open) {

    /** E A D G B E. */
    public static final Tuning STANDARD = new Tuning("standard", List.of(40, 45, 50, 55, 59, 64));

    /** The low string dropped a whole step: D A D G B E. */
    public static final Tuning LOW_D = new Tuning("low D", List.of(38, 45, 50, 55, 59, 64));

    public Tuning {
        open = List.copyOf(open);
        if (name.isBlank()) {
            throw new IllegalArgumentException("a tuning needs a name");
        }
        if (open.size() < 4 || open.size() > 9) {
            throw new IllegalArgumentException(
                    "a tuning has 4 to 9 strings, but \"" + name + "\" has " + open.size());
        }
        for (int midi : open) {
            if (midi < 16 || midi > 88) {
                throw new IllegalArgumentException(
                        "an open string lies between MIDI notes 16 and 88, but one of \""
                                + name
                                + "\" is "
                                + midi);
            }
        }
    }

    /** The tunings that the window offers first. */
    public static List<Tuning> offered() {
        return List.of(STANDARD, LOW_D);
    }

    /** Number of strings. */
    public int strings() {
        return open.size();
    }

    /** The string's number as players count it: 1 is the highest. */
    public int number(int string) {
        return open.size() - string;
    }

    /** Letters of the open strings from the lowest, such as {@code D A D G B E}. */
    public String letters() {
        return open.stream().map(m -> Spelling.plain(m).symbol()).collect(Collectors.joining(" "));
    }
}
