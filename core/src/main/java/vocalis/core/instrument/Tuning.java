package vocalis.core.instrument;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
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

    /** What players call tunings beside the names offered (common practice). */
    private static final Map<String, String> ALSO =
            Map.of(
                    "drop d", "low D",
                    "dropped d", "low D",
                    "half step down", "a half step down",
                    "eb standard", "a half step down",
                    "whole step down", "a whole step down",
                    "d standard", "a whole step down",
                    "drop c", "low C",
                    "dadgad", "D A D G A D");

    /**
     * A tuning as players name it: one that is offered, another common name of it, or the letters
     * of its strings, with or without spaces: {@code drop D}, {@code DADGAD}, {@code C G C F A D}.
     *
     * @throws IllegalArgumentException saying what cannot be read and what could
     */
    public static Tuning named(String text) {
        String wanted = text.strip().toLowerCase(Locale.ROOT);
        String name = ALSO.getOrDefault(wanted, wanted);
        for (Tuning t : offered()) {
            if (t.name.equalsIgnoreCase(name)) {
                return t;
            }
        }
        if (wanted.matches("([a-g][#b♯♭]?){4,9}")) {
            return parse(text, text.strip().replaceAll("(?<=.)(?=[A-Ga-g])(?![b♭])", " "));
        }
        try {
            return parse(text, text);
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(
                    "\""
                            + text
                            + "\" is no tuning: write a name ("
                            + offered().stream().map(Tuning::name).collect(Collectors.joining("; "))
                            + ") or its notes from the lowest string, such as D A D G B E",
                    e);
        }
    }

    /**
     * Reads a tuning by its notes from the lowest string up, {@code D2 A2 D3 G3 B3 E4}; without
     * octave numbers, {@code D A D G B E}, each string takes the octave nearest to what it has in
     * standard tuning; four or five strings whose letters are nearer to a bass than to the upper
     * strings of a guitar, {@code E A D G}, are a bass.
     *
     * @throws IllegalArgumentException saying which note cannot be read
     */
    public static Tuning parse(String name, String notes) {
        List<Integer> open = new ArrayList<>();
        String[] words = notes.strip().split("[\\s,-]+");
        boolean bass = words.length <= BASS.size() && looksLikeBass(words);
        for (int i = 0; i < words.length; i++) {
            String n = words[i];
            boolean octave = !n.isEmpty() && Character.isDigit(n.charAt(n.length() - 1));
            Spelling spelling = Spelling.parse(octave ? n.substring(0, n.length() - 1) : n);
            if (octave) {
                open.add(new Note(spelling, n.charAt(n.length() - 1) - '0').midi());
            } else {
                int usual = usual(words.length, i, bass);
                int up = Math.floorMod(spelling.pitchClass() - usual, 12);
                open.add(usual + (up > 6 ? up - 12 : up));
            }
        }
        return new Tuning(name, open);
    }

    /** Strings of a bass of five from the lowest: B E A D G (common practice). */
    private static final List<Integer> BASS = List.of(23, 28, 33, 38, 43);

    /** A bass of four or five strings as it is usually tuned. */
    public static Tuning bass(int strings) {
        return new Tuning("bass, " + strings + " strings", BASS.subList(5 - strings, 5));
    }

    private static boolean looksLikeBass(String[] letters) {
        int fromBass = 0;
        int fromGuitar = 0;
        for (int i = 0; i < letters.length; i++) {
            if (letters[i].isEmpty()
                    || Character.isDigit(letters[i].charAt(letters[i].length() - 1))) {
                return false;
            }
            int pitch = Spelling.parse(letters[i]).pitchClass();
            fromBass += away(pitch, usual(letters.length, i, true));
            fromGuitar += away(pitch, usual(letters.length, i, false));
        }
        return fromBass < fromGuitar;
    }

    private static int away(int a, int b) {
        int up = Math.floorMod(a - b, 12);
        return Math.min(up, 12 - up);
    }

    /** The note of a string in standard tuning, fourths and a third downward past the sixth. */
    private static int usual(int strings, int string, boolean bass) {
        if (bass) {
            return BASS.get(BASS.size() - strings + string);
        }
        int[] fromHighest = {64, 59, 55, 50, 45, 40, 35, 30, 25};
        return fromHighest[Math.min(strings - 1 - string, fromHighest.length - 1)];
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
