package vocalis.core.theory;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * A set of degrees over a tonic: a diatonic mode, a minor form, a pentatonic, or the user's own.
 *
 * @param name as it is shown, lower case
 * @param degrees ascending by semitone, beginning with 1
 */
public record Mode(String name, List<Degree> degrees) {

    /*
     * Rows: name | degrees on the major scale. Source: any harmony textbook; checked in the tests
     * against the scales of the music-theory library tonal 6.4.3 (MIT).
     */
    private static final String TABLE =
            """
            major            | 1 2 3 4 5 6 7
            dorian           | 1 2 b3 4 5 6 b7
            phrygian         | 1 b2 b3 4 5 b6 b7
            lydian           | 1 2 3 #4 5 6 7
            mixolydian       | 1 2 3 4 5 6 b7
            minor            | 1 2 b3 4 5 b6 b7
            locrian          | 1 b2 b3 4 b5 b6 b7
            harmonic minor   | 1 2 b3 4 5 b6 7
            melodic minor    | 1 2 b3 4 5 6 7
            phrygian dominant| 1 b2 3 4 5 b6 b7
            major pentatonic | 1 2 3 5 6
            minor pentatonic | 1 b3 4 5 b7
            blues            | 1 b3 4 b5 5 b7
            major blues      | 1 2 b3 3 5 6
            """;

    private static final List<Mode> BUILT_IN = readTable();

    public Mode {
        if (name.isBlank()) {
            throw new IllegalArgumentException("a mode needs a name");
        }
        degrees = List.copyOf(degrees);
        if (degrees.isEmpty() || degrees.get(0).semitones() != 0) {
            throw new IllegalArgumentException("mode \"" + name + "\" must begin with degree 1");
        }
        for (int i = 1; i < degrees.size(); i++) {
            if (degrees.get(i).semitones() <= degrees.get(i - 1).semitones()) {
                throw new IllegalArgumentException(
                        "mode \""
                                + name
                                + "\": degrees must ascend, but "
                                + degrees.get(i)
                                + " follows "
                                + degrees.get(i - 1));
            }
        }
    }

    private static List<Mode> readTable() {
        List<Mode> modes = new ArrayList<>();
        for (String row : TABLE.split("\n")) {
            String[] cells = row.split("\\|");
            List<Degree> degrees =
                    Arrays.stream(cells[1].strip().split(" ")).map(Degree::parse).toList();
            modes.add(new Mode(cells[0].strip(), degrees));
        }
        return List.copyOf(modes);
    }

    /** The modes that ship with the program, in the order in which they are offered. */
    public static List<Mode> builtIn() {
        return BUILT_IN;
    }

    /**
     * A built-in mode by its name; also known as: ionian (major), aeolian (minor), minor blues
     * (blues).
     */
    public static Optional<Mode> named(String name) {
        String wanted =
                switch (name.strip().toLowerCase(java.util.Locale.ROOT)) {
                    case "ionian" -> "major";
                    case "aeolian", "natural minor" -> "minor";
                    case "minor blues" -> "blues";
                    default -> name.strip().toLowerCase(java.util.Locale.ROOT);
                };
        return BUILT_IN.stream().filter(m -> m.name.equals(wanted)).findFirst();
    }

    /** How many notes the mode has. */
    public int size() {
        return degrees.size();
    }
}
