package vocalis.core.instrument;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A fret or a silence for every string, lowest string first, written {@code x-5-7-7-x-x}. Tens of
 * thousands are kept at a time: bytes, not a list. Immutable.
 */
public final class Shape {

    /** Marks a string that is not sounded; written {@code x}. */
    public static final int SILENT = -1;

    private static final int MOST_FRET = 36;

    /** Where each fret, from silence up, comes among all as they are written. */
    private static final int[] PLACE_IN_TEXT = placesInText();

    private final byte[] frets;

    private Shape(byte[] frets) {
        this.frets = frets;
    }

    /**
     * A shape from frets counted from the capo, lowest string first, {@link #SILENT} where a string
     * is not sounded.
     *
     * @throws IllegalArgumentException for a fret past 36, or no string at all
     */
    public static Shape of(int... frets) {
        if (frets.length == 0) {
            throw new IllegalArgumentException("a shape needs at least one string");
        }
        byte[] own = new byte[frets.length];
        for (int s = 0; s < own.length; s++) {
            own[s] = checked(frets[s]);
        }
        return new Shape(own);
    }

    private static byte checked(int fret) {
        if (fret < SILENT || fret > MOST_FRET) {
            throw new IllegalArgumentException(
                    "a shape's fret must be x or 0 to 36, but is " + fret);
        }
        return (byte) fret;
    }

    /** The same from a list. */
    public static Shape of(List<Integer> frets) {
        return of(frets.stream().mapToInt(Integer::intValue).toArray());
    }

    /** All strings silent. */
    public static Shape silent(int strings) {
        int[] none = new int[strings];
        Arrays.fill(none, SILENT);
        return of(none);
    }

    private static int[] placesInText() {
        int[] places = new int[MOST_FRET + 2];
        for (int a = SILENT; a <= MOST_FRET; a++) {
            for (int b = SILENT; b <= MOST_FRET; b++) {
                places[a + 1] += written(b).compareTo(written(a)) < 0 ? 1 : 0;
            }
        }
        return places;
    }

    private static String written(int fret) {
        return fret == SILENT ? "x" : String.valueOf(fret);
    }

    /**
     * A number that sorts shapes of as many strings as {@link #text()} does; up to ten strings, as
     * each takes six bits.
     */
    public long textOrder() {
        long order = 0;
        for (int f : frets) {
            order = order << 6 | PLACE_IN_TEXT[f + 1];
        }
        return order;
    }

    /** Frets, lowest string first. */
    public List<Integer> frets() {
        List<Integer> all = new ArrayList<>(frets.length);
        for (int f : frets) {
            all.add(f);
        }
        return List.copyOf(all);
    }

    /** The same as an array of one's own. */
    public int[] toArray() {
        int[] all = new int[frets.length];
        for (int s = 0; s < all.length; s++) {
            all[s] = frets[s];
        }
        return all;
    }

    /** Strings that ring open, a bit each, the lowest string's first. */
    public int opens() {
        int opens = 0;
        for (int s = 0; s < frets.length; s++) {
            opens |= frets[s] == 0 ? 1 << s : 0;
        }
        return opens;
    }

    /** Whether an open string sounds. */
    public boolean rings() {
        return opens() != 0;
    }

    /**
     * Reads {@code x-9-11-11-0-0}; without hyphens, {@code x02210}, every sign is a string.
     *
     * @throws IllegalArgumentException naming the place that cannot be read
     */
    public static Shape parse(String text) {
        boolean bare = text.strip().matches("[xX0-9]{4,9}");
        String[] parts = bare ? text.strip().split("") : text.strip().split("-", -1);
        List<Integer> frets = new ArrayList<>();
        for (int i = 0; i < parts.length; i++) {
            String p = parts[i].strip();
            if (p.equalsIgnoreCase("x")) {
                frets.add(SILENT);
            } else if (p.matches("\\d{1,2}")) {
                frets.add(Integer.parseInt(p));
            } else {
                throw new IllegalArgumentException(
                        "shape \""
                                + text
                                + "\": place "
                                + (i + 1)
                                + " reads \""
                                + p
                                + "\"; write x or a fret number for each string, lowest first,"
                                + " such as x-5-7-7-x-x");
            }
        }
        return of(frets);
    }

    /** Number of strings. */
    public int strings() {
        return frets.length;
    }

    /** Fret on a string (0 is the lowest), or {@link #SILENT}. */
    public int fret(int string) {
        return frets[string];
    }

    /** Whether the string is sounded. */
    public boolean sounds(int string) {
        return frets[string] != SILENT;
    }

    /** The same shape with another fret (or silence) on one string. */
    public Shape with(int string, int fret) {
        byte[] changed = frets.clone();
        changed[string] = checked(fret);
        return new Shape(changed);
    }

    /** How many strings sound in one of two shapes and not in the other. */
    public int otherStrings(Shape other) {
        int n = 0;
        for (int s = 0; s < Math.min(strings(), other.strings()); s++) {
            n += sounds(s) != other.sounds(s) ? 1 : 0;
        }
        return n;
    }

    /** Sounded strings, lowest first. */
    public List<Integer> sounded() {
        List<Integer> sounded = new ArrayList<>(frets.length);
        for (int s = 0; s < frets.length; s++) {
            if (sounds(s)) {
                sounded.add(s);
            }
        }
        return sounded;
    }

    /** The lowest sounded string; -1 where all are silent. */
    public int lowestSounded() {
        for (int s = 0; s < frets.length; s++) {
            if (sounds(s)) {
                return s;
            }
        }
        return -1;
    }

    /** Number of sounded strings. */
    public int voices() {
        int voices = 0;
        for (int s = 0; s < frets.length; s++) {
            voices += sounds(s) ? 1 : 0;
        }
        return voices;
    }

    /** Silent strings between the lowest and the highest sounded one. */
    public int innerSilences() {
        int inner = 0;
        int since = 0;
        for (int s = lowestSounded() + 1; s > 0 && s < frets.length; s++) {
            inner += sounds(s) ? since : 0;
            since = sounds(s) ? 0 : since + 1;
        }
        return inner;
    }

    /** Lowest fretted (not open) fret, or 0 when no string is fretted. */
    public int lowestFretted() {
        int low = 0;
        for (int f : frets) {
            low = f > 0 && (low == 0 || f < low) ? f : low;
        }
        return low;
    }

    /** Highest fretted fret, or 0 when no string is fretted. */
    public int highestFretted() {
        int high = 0;
        for (int f : frets) {
            high = Math.max(high, f);
        }
        return high;
    }

    /**
     * The fretted notes moved by {@code by} frets, open strings and silences as they are. Empty
     * when a note would leave the frets 1 to {@code lastFret}.
     */
    public java.util.Optional<Shape> moved(int by, int lastFret) {
        byte[] moved = frets.clone();
        for (int s = 0; s < moved.length; s++) {
            int to = frets[s] > 0 ? frets[s] + by : frets[s];
            if (frets[s] > 0 && (to < 1 || to > lastFret)) {
                return java.util.Optional.empty();
            }
            moved[s] = (byte) to;
        }
        return java.util.Optional.of(new Shape(moved));
    }

    /** As written: {@code x-5-7-7-x-x}. */
    public String text() {
        return frets().stream().map(Shape::written).collect(Collectors.joining("-"));
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof Shape s && Arrays.equals(frets, s.frets);
    }

    @Override
    public int hashCode() {
        return Arrays.hashCode(frets);
    }

    @Override
    public String toString() {
        return text();
    }
}
