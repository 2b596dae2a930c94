package vocalis.core.theory;

import java.util.Objects;

/**
 * A spelled pitch class: a letter with an accidental, without an octave. {@code C♯} and {@code D♭}
 * are different spellings of the same pitch class.
 *
 * @param letter note letter
 * @param alter accidental in semitones, -2 (double flat) to 2 (double sharp)
 */
public record Spelling(Letter letter, int alter) {

    private static final String[] MARKS = {"♭♭", "♭", "", "♯", "♯♯"};
    private static final String[] ASCII_MARKS = {"bb", "b", "", "#", "##"};

    public Spelling {
        Objects.requireNonNull(letter, "letter");
        if (alter < -2 || alter > 2) {
            throw new IllegalArgumentException(
                    "accidental must lie within a double flat and a double sharp, but is "
                            + alter
                            + " semitones");
        }
    }

    /**
     * Reads a note name such as {@code C}, {@code F#}, {@code B♭}, {@code Ebb}.
     *
     * @throws IllegalArgumentException when the text is no note name; the message quotes it
     */
    public static Spelling parse(String text) {
        String t = text.strip();
        if (t.isEmpty()) {
            throw new IllegalArgumentException(
                    "a note name is missing; write one such as F# or Bb");
        }
        char first = Character.toUpperCase(t.charAt(0));
        if (first < 'A' || first > 'G') {
            throw unreadable(text);
        }
        int alter = 0;
        for (char c : t.substring(1).toCharArray()) {
            switch (c) {
                case '#', '♯' -> alter++;
                case 'b', '♭' -> alter--;
                default -> throw unreadable(text);
            }
        }
        if (Math.abs(alter) > 2) {
            throw unreadable(text);
        }
        return new Spelling(Letter.valueOf(String.valueOf(first)), alter);
    }

    private static IllegalArgumentException unreadable(String text) {
        return new IllegalArgumentException(
                "\""
                        + text
                        + "\" is no note name; write a letter A to G with # or b, such as F# or Bb");
    }

    /**
     * The usual spelling of a pitch class where no key says otherwise: naturals, F♯ C♯, B♭ E♭ A♭.
     */
    public static Spelling plain(int pitchClass) {
        return switch (Math.floorMod(pitchClass, 12)) {
            case 0 -> new Spelling(Letter.C, 0);
            case 1 -> new Spelling(Letter.C, 1);
            case 2 -> new Spelling(Letter.D, 0);
            case 3 -> new Spelling(Letter.E, -1);
            case 4 -> new Spelling(Letter.E, 0);
            case 5 -> new Spelling(Letter.F, 0);
            case 6 -> new Spelling(Letter.F, 1);
            case 7 -> new Spelling(Letter.G, 0);
            case 8 -> new Spelling(Letter.A, -1);
            case 9 -> new Spelling(Letter.A, 0);
            case 10 -> new Spelling(Letter.B, -1);
            default -> new Spelling(Letter.B, 0);
        };
    }

    /**
     * The note a degree above this one, spelled by its letter: a ♭3 above C♯ is E. Where that would
     * need more than a double accidental the plain spelling is given.
     */
    public Spelling above(Degree degree) {
        Letter target = letter.plus(degree.number() - 1);
        int wanted = Math.floorMod(pitchClass() + degree.semitones(), 12);
        int shift = Math.floorMod(wanted - target.semitones() + 6, 12) - 6;
        return shift < -2 || shift > 2 ? plain(wanted) : new Spelling(target, shift);
    }

    /** Pitch class, 0 (C) to 11 (B). */
    public int pitchClass() {
        return Math.floorMod(letter.semitones() + alter, 12);
    }

    /** With ♯ and ♭, as the interface prints it. */
    public String symbol() {
        return letter.name() + MARKS[alter + 2];
    }

    /** With {@code #} and {@code b}, for files and the command line. */
    public String ascii() {
        return letter.name() + ASCII_MARKS[alter + 2];
    }

    @Override
    public String toString() {
        return symbol();
    }
}
