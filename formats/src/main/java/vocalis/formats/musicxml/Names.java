package vocalis.formats.musicxml;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import vocalis.core.rhythm.Ticks;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;

/** Words that MusicXML 4.0 (W3C Music Notation Community Group, 2021) has for keys and chords. */
final class Names {

    private Names() {}

    /*
     * Rows: what follows the root | kind. Source: the simple type kind-value of the published
     * schema; the suffixes are this program's.
     */
    private static final String KINDS =
            """
            |major
            m|minor
            7|dominant
            maj7|major-seventh
            m7|minor-seventh
            m(maj7)|major-minor
            dim|diminished
            aug|augmented
            dim7|diminished-seventh
            m7♭5|half-diminished
            6|major-sixth
            m6|minor-sixth
            9|dominant-ninth
            maj9|major-ninth
            m9|minor-ninth
            11|dominant-11th
            m11|minor-11th
            maj11|major-11th
            13|dominant-13th
            m13|minor-13th
            maj13|major-13th
            sus2|suspended-second
            sus4|suspended-fourth
            5|power
            """;

    private static final Map<String, String> KIND = new HashMap<>();
    private static final Map<String, String> SUFFIX = new HashMap<>();

    static {
        for (String row : KINDS.split("\n")) {
            String[] cells = row.split("\\|");
            KIND.put(cells[0], cells[1]);
            SUFFIX.put(cells[1], cells[0]);
        }
        SUFFIX.put("augmented-seventh", "7♯5");
    }

    /** The kind of a suffix; {@code other} where there is none. */
    static String kind(String suffix) {
        return KIND.getOrDefault(suffix, "other");
    }

    /** What follows the root for a kind that came without a text. */
    static String suffix(String kind) {
        return SUFFIX.getOrDefault(kind, "");
    }

    private static final List<String> FIVE_DOWN =
            List.of("lydian", "major", "mixolydian", "dorian", "minor", "phrygian", "locrian");

    /** Sharps (flats below 0) of a key's signature, −7 to 7. */
    static int fifths(Key key) {
        int letter =
                List.of("F", "C", "G", "D", "A", "E", "B").indexOf(key.tonic().letter().name());
        int major = letter - 1 + 7 * key.tonic().alter();
        int fifths = major - FIVE_DOWN.indexOf(like(key.mode())) + 1;
        return fifths > 7 ? fifths - 12 : fifths < -7 ? fifths + 12 : fifths;
    }

    /** The mode whose signature a mode is written with. */
    static String like(Mode mode) {
        if (FIVE_DOWN.contains(mode.name())) {
            return mode.name();
        }
        if (mode.name().equals("phrygian dominant")) {
            return "phrygian";
        }
        boolean minor =
                mode.degrees().contains(new Degree(3, -1))
                        && !mode.degrees().contains(new Degree(3, 0));
        return minor ? "minor" : "major";
    }

    /** The key of a signature and a mode. */
    static Key key(int fifths, String mode) {
        String name = Mode.named(mode).map(Mode::name).orElse("major");
        String known = FIVE_DOWN.contains(name) ? name : "major";
        int at = fifths + FIVE_DOWN.indexOf(known);
        String letter = "FCGDAEB".substring(Math.floorMod(at, 7), Math.floorMod(at, 7) + 1);
        int alter = Math.floorDiv(at, 7);
        String marks = alter > 0 ? "#".repeat(alter) : "b".repeat(-alter);
        return new Key(Spelling.parse(letter + marks), Mode.named(known).orElseThrow());
    }

    /** A key in one line that {@link #readKey} reads, whatever its mode. */
    static String written(Key key) {
        return key.tonic().ascii()
                + ";"
                + key.mode().name()
                + ";"
                + key.mode().degrees().stream().map(Degree::ascii).collect(Collectors.joining(" "));
    }

    /** Reads what {@link #written} wrote; empty where it is something else. */
    static Optional<Key> readKey(String text) {
        String[] parts = text.split(";", -1);
        if (parts.length != 3) {
            return Optional.empty();
        }
        try {
            List<Degree> degrees = new ArrayList<>();
            for (String d : parts[2].split(" ")) {
                degrees.add(Degree.parse(d));
            }
            return Optional.of(new Key(Spelling.parse(parts[0]), new Mode(parts[1], degrees)));
        } catch (IllegalArgumentException e) {
            return Optional.empty();
        }
    }

    private static final String[] TYPES = {
        "breve", "whole", "half", "quarter", "eighth", "16th", "32nd", "64th", "128th"
    };

    /** The note type of an undotted length outside tuplets. */
    static String type(long plain) {
        long ticks = 2 * Ticks.WHOLE;
        for (String t : TYPES) {
            if (ticks == plain) {
                return t;
            }
            ticks /= 2;
        }
        throw new IllegalArgumentException("no note value lasts " + plain + " ticks");
    }
}
