package vocalis.core.instrument;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A fret or a silence for every string, lowest string first, written {@code x-5-7-7-x-x}.
 *
 * @param frets fret from the capo per string, {@link #SILENT} where the string is not sounded
 */
public record Shape(List<Integer> frets) {

    /** Marks a string that is not sounded; written {@code x}. */
    public static final int SILENT = -1;

    public Shape {
        frets = List.copyOf(frets);
        if (frets.isEmpty()) {
            throw new IllegalArgumentException("a shape needs at least one string");
        }
        for (int f : frets) {
            if (f < SILENT || f > 36) {
                throw new IllegalArgumentException(
                        "a shape's fret must be x or 0 to 36, but is " + f);
            }
        }
    }

    /** A shape from frets, lowest string first, -1 for silence. */
    public static Shape of(int... frets) {
        Integer[] boxed = new Integer[frets.length];
        for (int s = 0; s < frets.length; s++) {
            boxed[s] = frets[s];
        }
        return new Shape(List.of(boxed));
    }

    /** All strings silent. */
    public static Shape silent(int strings) {
        return new Shape(java.util.Collections.nCopies(strings, SILENT));
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
        return new Shape(frets);
    }

    /** Number of strings. */
    public int strings() {
        return frets.size();
    }

    /** Fret on a string (0 is the lowest), or {@link #SILENT}. */
    public int fret(int string) {
        return frets.get(string);
    }

    /** Whether the string is sounded. */
    public boolean sounds(int string) {
        return frets.get(string) != SILENT;
    }

    /** The same shape with another fret (or silence) on one string. */
    public Shape with(int string, int fret) {
        List<Integer> changed = new ArrayList<>(frets);
        changed.set(string, fret);
        return new Shape(changed);
    }

    /** Sounded strings, lowest first. */
    public List<Integer> sounded() {
        List<Integer> sounded = new ArrayList<>(frets.size());
        for (int s = 0; s < frets.size(); s++) {
            if (sounds(s)) {
                sounded.add(s);
            }
        }
        return sounded;
    }

    /** The lowest sounded string; -1 where all are silent. */
    public int lowestSounded() {
        for (int s = 0; s < frets.size(); s++) {
            if (sounds(s)) {
                return s;
            }
        }
        return -1;
    }

    /** Number of sounded strings. */
    public int voices() {
        int voices = 0;
        for (int s = 0; s < frets.size(); s++) {
            voices += sounds(s) ? 1 : 0;
        }
        return voices;
    }

    /** Silent strings between the lowest and the highest sounded one. */
    public int innerSilences() {
        int inner = 0;
        int since = 0;
        for (int s = lowestSounded() + 1; s > 0 && s < frets.size(); s++) {
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
        List<Integer> moved = new ArrayList<>();
        for (int f : frets) {
            int to = f > 0 ? f + by : f;
            if (f > 0 && (to < 1 || to > lastFret)) {
                return java.util.Optional.empty();
            }
            moved.add(to);
        }
        return java.util.Optional.of(new Shape(moved));
    }

    /** As written: {@code x-5-7-7-x-x}. */
    public String text() {
        return frets.stream()
                .map(f -> f == SILENT ? "x" : String.valueOf(f))
                .collect(Collectors.joining("-"));
    }

    @Override
    public String toString() {
        return text();
    }
}
