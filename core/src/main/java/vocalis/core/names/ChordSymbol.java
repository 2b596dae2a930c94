package vocalis.core.names;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Letter;
import vocalis.core.theory.Spelling;

/**
 * A chord symbol that was read: {@code Cadd9}, {@code F#m7(add11)}, {@code A7sus4/E}, {@code Bb/D}.
 *
 * @param root root
 * @param degrees what sounds: semitones above the root, 0 to 11, to the degree that the symbol says
 *     there; the root among them
 * @param without degrees that the symbol says are left out, such as 3 for {@code no3}
 * @param bass the bass after the slash
 */
public record ChordSymbol(
        Spelling root,
        Map<Integer, Degree> degrees,
        List<Degree> without,
        Optional<Spelling> bass) {

    /** Tokens of a suffix; longer ones are tried first. Convention: common practice. */
    private enum Token {
        FIVE("5"),
        SIX_NINE("6/9", "69"),
        SIX("6"),
        SEVEN("7"),
        NINE("9"),
        ELEVEN("11"),
        THIRTEEN("13"),
        MAJOR("maj", "M", "Δ"),
        MINOR("min", "m", "-"),
        DIMINISHED("dim", "°", "o"),
        AUGMENTED("aug", "+"),
        SUS2("sus2"),
        SUS4("sus4", "sus"),
        ADD("add"),
        NO("no", "omit"),
        OCTAVE("octave", "unison", "alone");

        private final String[] forms;

        Token(String... forms) {
            this.forms = forms;
        }
    }

    public ChordSymbol {
        degrees = Map.copyOf(degrees);
        without = List.copyOf(without);
        if (!degrees.containsKey(0)) {
            throw new IllegalArgumentException("a chord holds its own root");
        }
    }

    /** Semitones above the root that sound, 0 to 11, the root among them. */
    public Set<Integer> intervals() {
        return degrees.keySet();
    }

    /** The degree that the symbol says some semitones above its root, whatever the octave. */
    public Optional<Degree> degree(int semitones) {
        return Optional.ofNullable(degrees.get(Math.floorMod(semitones, 12)));
    }

    /** A pitch class as the symbol spells it; empty when it is none of the chord or its bass. */
    public Optional<Spelling> spelled(int pitchClass) {
        if (bass.isPresent() && bass.get().pitchClass() == pitchClass) {
            return bass;
        }
        return degree(pitchClass - root.pitchClass()).map(root::above);
    }

    /** Every pitch class that sounds, the bass included, ascending. */
    public Set<Integer> pitchClasses() {
        Set<Integer> all = new TreeSet<>();
        intervals().forEach(i -> all.add((root.pitchClass() + i) % 12));
        bass.ifPresent(b -> all.add(b.pitchClass()));
        return all;
    }

    /**
     * Reads a symbol; # and ♯, b and ♭ are the same.
     *
     * @throws IllegalArgumentException quoting what cannot be read and where it stands
     */
    public static ChordSymbol parse(String text) {
        String t = text.strip().replace('♯', '#').replace('♭', 'b');
        if (t.isEmpty() || "ABCDEFG".indexOf(t.charAt(0)) < 0) {
            throw new IllegalArgumentException(
                    "\""
                            + text
                            + "\" is no chord: it must begin with a root, A to G, such as F#m7");
        }
        int at = 1;
        int alter = 0;
        while (at < t.length()
                && (t.charAt(at) == '#' || t.charAt(at) == 'b')
                && Math.abs(alter) < 2) {
            alter += t.charAt(at) == '#' ? 1 : -1;
            at++;
        }
        Spelling root = new Spelling(Letter.valueOf(t.substring(0, 1)), alter);
        Optional<Spelling> bass = Optional.empty();
        String suffix = t.substring(at);
        int slash = suffix.lastIndexOf('/');
        if (slash >= 0
                && slash + 1 < suffix.length()
                && "ABCDEFG".indexOf(suffix.charAt(slash + 1)) >= 0) {
            bass = Optional.of(Spelling.parse(suffix.substring(slash + 1)));
            suffix = suffix.substring(0, slash);
        }
        Reader reader = new Reader(text, suffix, at);
        return new ChordSymbol(root, reader.read(), reader.without, bass);
    }

    /** Reads a suffix from left to right into a map from degree number to semitones. */
    private static final class Reader {
        private final String whole;
        private final String suffix;
        private final int offset;
        private final Map<Integer, Integer> degrees = new LinkedHashMap<>();
        private final Map<Integer, Degree> extra = new LinkedHashMap<>();
        private final List<Degree> without = new ArrayList<>();
        private int at;
        private boolean majorSeventh;

        Reader(String whole, String suffix, int offset) {
            this.whole = whole;
            this.suffix = suffix;
            this.offset = offset;
        }

        Map<Integer, Degree> read() {
            degrees.put(1, 0);
            Optional<Dyad> dyad = Dyad.named(suffix.strip());
            if (dyad.isPresent()) {
                int other = dyad.get().semitones();
                return Map.of(0, Degree.above(0), other, Degree.above(other));
            }
            degrees.put(3, 4);
            degrees.put(5, 7);
            while (at < suffix.length()) {
                char c = suffix.charAt(at);
                if (c == '(' || c == ')' || c == ',' || c == ' ') {
                    at++;
                } else if (c == '#' || c == 'b') {
                    altered();
                } else {
                    obey(token());
                }
            }
            Map<Integer, Degree> all = new LinkedHashMap<>();
            degrees.forEach((number, semitones) -> all.put(semitones, degree(number, semitones)));
            extra.forEach(all::putIfAbsent);
            return all;
        }

        /** The degree of a number, 1 to 13, that lies some semitones above the root. */
        private static Degree degree(int number, int semitones) {
            int alter = Math.floorMod(semitones - natural(number) + 6, 12) - 6;
            return new Degree((number - 1) % 7 + 1, alter);
        }

        private Token token() {
            Token best = null;
            String form = "";
            for (Token t : Token.values()) {
                for (String f : t.forms) {
                    if (suffix.startsWith(f, at) && f.length() > form.length()) {
                        best = t;
                        form = f;
                    }
                }
            }
            if (best == null) {
                throw wrong();
            }
            at += form.length();
            return best;
        }

        private void obey(Token token) {
            switch (token) {
                case FIVE -> degrees.remove(3);
                case SIX -> degrees.put(6, 9);
                case SIX_NINE -> {
                    degrees.put(6, 9);
                    degrees.put(9, 2);
                }
                case SEVEN -> seventh();
                case NINE -> {
                    seventh();
                    degrees.put(9, 2);
                }
                case ELEVEN -> {
                    seventh();
                    degrees.put(9, 2);
                    degrees.put(11, 5);
                }
                case THIRTEEN -> {
                    seventh();
                    degrees.put(9, 2);
                    degrees.put(13, 9);
                }
                case MAJOR -> majorSeventh = true;
                case MINOR -> degrees.put(3, 3);
                case DIMINISHED -> {
                    degrees.put(3, 3);
                    degrees.put(5, 6);
                    if (at < suffix.length() && suffix.charAt(at) == '7') {
                        at++;
                        degrees.put(7, 9);
                    }
                }
                case AUGMENTED -> degrees.put(5, 8);
                case SUS2 -> {
                    degrees.remove(3);
                    degrees.put(2, 2);
                }
                case SUS4 -> {
                    degrees.remove(3);
                    degrees.put(4, 5);
                }
                case ADD -> added();
                case NO -> {
                    int left = number();
                    degrees.remove(left);
                    without.add(new Degree((left - 1) % 7 + 1, 0));
                }
                default -> {
                    degrees.remove(3);
                    degrees.remove(5);
                }
            }
        }

        private void seventh() {
            degrees.put(7, majorSeventh ? 11 : 10);
        }

        /** {@code add9}, {@code addb7}, {@code addmaj7}. */
        private void added() {
            if (suffix.startsWith("maj7", at)) {
                at += 4;
                extra.put(11, new Degree(7, 0));
                return;
            }
            int alter = accidental();
            int number = number();
            int semitones = Math.floorMod(natural(number) + alter, 12);
            extra.put(semitones, degree(number, semitones));
        }

        /** {@code b5}, {@code #9}, {@code b13}. */
        private void altered() {
            int alter = accidental();
            int number = number();
            int semitones = Math.floorMod(natural(number) + alter, 12);
            if (number == 5 && degrees.getOrDefault(5, 7) == 7) {
                degrees.put(5, semitones);
            } else if (number == 9 && degrees.getOrDefault(9, -1) == 2) {
                degrees.put(9, semitones);
            } else {
                extra.put(semitones, degree(number, semitones));
            }
        }

        private int accidental() {
            int alter = 0;
            while (at < suffix.length() && (suffix.charAt(at) == '#' || suffix.charAt(at) == 'b')) {
                alter += suffix.charAt(at) == '#' ? 1 : -1;
                at++;
            }
            return alter;
        }

        private int number() {
            int from = at;
            while (at < suffix.length() && at < from + 2 && Character.isDigit(suffix.charAt(at))) {
                at++;
            }
            if (from == at) {
                throw wrong();
            }
            int n = Integer.parseInt(suffix.substring(from, at));
            if (n < 1 || n > 13) {
                at = from;
                throw wrong();
            }
            return n;
        }

        private static int natural(int number) {
            return new Degree((number - 1) % 7 + 1, 0).semitones();
        }

        private IllegalArgumentException wrong() {
            String rest = at < suffix.length() ? "\"" + suffix.substring(at) + "\"" : "the end";
            return new IllegalArgumentException(
                    "\""
                            + whole
                            + "\": "
                            + rest
                            + " at place "
                            + (offset + at + 1)
                            + " is nothing that a chord symbol says");
        }
    }
}
