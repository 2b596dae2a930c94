package vocalis.core.theory;

/**
 * A degree above a root or tonic, as a player says it: {@code 1}, {@code ♭3}, {@code ♯4}. Numbers
 * are counted on the major scale and stay within one octave.
 *
 * @param number 1 to 7
 * @param alter semitones above (below) the major scale's note, -2 to 2
 */
public record Degree(int number, int alter) {

    private static final int[] MAJOR = {0, 2, 4, 5, 7, 9, 11};
    private static final String[] LONG_INTERVALS = {
        "unison",
        "minor second",
        "second",
        "minor third",
        "major third",
        "fourth",
        "tritone",
        "fifth",
        "minor sixth",
        "sixth",
        "minor seventh",
        "major seventh",
        "octave"
    };

    public Degree {
        if (number < 1 || number > 7) {
            throw new IllegalArgumentException(
                    "a degree is numbered 1 to 7, but this one is " + number);
        }
        if (alter < -2 || alter > 2) {
            throw new IllegalArgumentException(
                    "a degree is altered by at most two semitones, but this one by " + alter);
        }
    }

    /** Reads {@code b3}, {@code ♯4}, {@code 5}. */
    public static Degree parse(String text) {
        int alter = 0;
        int i = 0;
        while (i < text.length() - 1) {
            char c = text.charAt(i);
            if (c == 'b' || c == '♭') {
                alter--;
            } else if (c == '#' || c == '♯') {
                alter++;
            } else {
                break;
            }
            i++;
        }
        if (i != text.length() - 1 || !Character.isDigit(text.charAt(i))) {
            throw new IllegalArgumentException(
                    "\""
                            + text
                            + "\" is no degree; write 1 to 7 with # or b before it, such as b3");
        }
        return new Degree(text.charAt(i) - '0', alter);
    }

    /** The usual name of the note {@code semitones} above a root: 6 is ♭5, 8 is ♭6, 10 is ♭7. */
    public static Degree above(int semitones) {
        return switch (Math.floorMod(semitones, 12)) {
            case 0 -> new Degree(1, 0);
            case 1 -> new Degree(2, -1);
            case 2 -> new Degree(2, 0);
            case 3 -> new Degree(3, -1);
            case 4 -> new Degree(3, 0);
            case 5 -> new Degree(4, 0);
            case 6 -> new Degree(5, -1);
            case 7 -> new Degree(5, 0);
            case 8 -> new Degree(6, -1);
            case 9 -> new Degree(6, 0);
            case 10 -> new Degree(7, -1);
            default -> new Degree(7, 0);
        };
    }

    /** Plain words for an interval of 0 to 12 semitones; wider ones name the octaves too. */
    public static String intervalName(int semitones) {
        int s = Math.abs(semitones);
        if (s <= 12) {
            return LONG_INTERVALS[s];
        }
        int octaves = (s - 1) / 12;
        int rest = s - 12 * octaves;
        String octave = octaves == 1 ? "octave" : octaves + " octaves";
        return rest == 12 ? (octaves + 1) + " octaves" : octave + " and " + LONG_INTERVALS[rest];
    }

    /** Semitones above the root, 0 to 11. */
    public int semitones() {
        return Math.floorMod(MAJOR[number - 1] + alter, 12);
    }

    /** With ♯ and ♭: {@code ♭3}. */
    public String symbol() {
        return accidental("♯", "♭") + number;
    }

    /** With # and b: {@code b3}. */
    public String ascii() {
        return accidental("#", "b") + number;
    }

    private String accidental(String sharp, String flat) {
        return alter > 0 ? sharp.repeat(alter) : flat.repeat(-alter);
    }

    @Override
    public String toString() {
        return symbol();
    }
}
