package vocalis.core.instrument;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import vocalis.core.theory.Note;
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

    /*
     * Rows: name | open strings from the lowest. Common practice; the letters are the tuning.
     */
    private static final String TABLE =
            """
            a half step down | Eb2 Ab2 Db3 Gb3 Bb3 Eb4
            a whole step down| D2 G2 C3 F3 A3 D4
            low C            | C2 G2 C3 F3 A3 D4
            D A D G A D      | D2 A2 D3 G3 A3 D4
            open D           | D2 A2 D3 F#3 A3 D4
            open G           | D2 G2 D3 G3 B3 D4
            7 strings        | B1 E2 A2 D3 G3 B3 E4
            7 strings, low A | A1 E2 A2 D3 G3 B3 E4
            8 strings        | F#1 B1 E2 A2 D3 G3 B3 E4
            """;

    /** The tunings that the window offers: the two most used first. */
    public static List<Tuning> offered() {
        List<Tuning> all = new ArrayList<>(List.of(STANDARD, LOW_D));
        for (String row : TABLE.split("\n")) {
            String[] cells = row.split("\\|");
            all.add(parse(cells[0].strip(), cells[1].strip()));
        }
        return List.copyOf(all);
    }

    /**
     * Reads a tuning by its notes from the lowest string up, {@code D2 A2 D3 G3 B3 E4}; without
     * octave numbers, {@code D A D G B E}, the lowest string is the one from G1 up and each other
     * the next above it.
     *
     * @throws IllegalArgumentException saying which note cannot be read
     */
    public static Tuning parse(String name, String notes) {
        List<Integer> open = new ArrayList<>();
        for (String n : notes.strip().split("[\\s,-]+")) {
            boolean octave = !n.isEmpty() && Character.isDigit(n.charAt(n.length() - 1));
            Spelling spelling = Spelling.parse(octave ? n.substring(0, n.length() - 1) : n);
            if (octave) {
                open.add(new Note(spelling, n.charAt(n.length() - 1) - '0').midi());
            } else {
                int from = open.isEmpty() ? LOWEST_WITHOUT_OCTAVE : open.get(open.size() - 1) + 1;
                open.add(from + Math.floorMod(spelling.pitchClass() - from, 12));
            }
        }
        return new Tuning(name, open);
    }

    /** G1: where the lowest string of a tuning written without octaves is looked for. */
    private static final int LOWEST_WITHOUT_OCTAVE = 31;

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
