package vocalis.core.voicing;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What makes two voicings the same shape in another place: the same degrees on the same strings
 * relative to each other.
 *
 * @param steps per sounded string from the lowest: its offset in strings from the lowest sounded
 *     one and its semitones above the lowest note, and whether it rings open
 * @param bassDegree semitones of the lowest sounded string's note above the root, 0 to 11
 */
public record ShapeClass(List<Step> steps, int bassDegree) {

    /** One string of the class. */
    public record Step(int stringOffset, int semitones, boolean open) {}

    public ShapeClass {
        steps = List.copyOf(steps);
        if (steps.isEmpty()) {
            throw new IllegalArgumentException("a shape class needs at least one sounded string");
        }
    }

    /** The class of a voicing. Open strings count as their own kind only beside fretted ones. */
    public static ShapeClass of(Voicing voicing) {
        List<Sounding> sounding = voicing.soundings();
        Sounding first = sounding.get(0);
        boolean anyOpen = sounding.stream().anyMatch(Sounding::open);
        List<Step> steps = new ArrayList<>();
        for (Sounding s : sounding) {
            steps.add(
                    new Step(
                            s.string() - first.string(),
                            s.midi() - first.midi(),
                            anyOpen && s.open()));
        }
        return new ShapeClass(steps, Math.floorMod(first.midi() - voicing.root(), 12));
    }

    /**
     * A compact text form, such as {@code 0:0+0,1:7,2:12}: the bass degree, then offset and
     * semitones.
     */
    public String text() {
        return bassDegree
                + ":"
                + steps.stream()
                        .map(s -> s.stringOffset() + "+" + s.semitones() + (s.open() ? "o" : ""))
                        .collect(Collectors.joining(","));
    }

    /**
     * Reads what {@link #text()} wrote.
     *
     * @throws IllegalArgumentException when it is something else
     */
    public static ShapeClass parse(String text) {
        try {
            int colon = text.indexOf(':');
            List<Step> steps = new ArrayList<>();
            for (String part : text.substring(colon + 1).split(",")) {
                boolean open = part.endsWith("o");
                String[] pair = (open ? part.substring(0, part.length() - 1) : part).split("\\+");
                steps.add(new Step(Integer.parseInt(pair[0]), Integer.parseInt(pair[1]), open));
            }
            return new ShapeClass(steps, Integer.parseInt(text.substring(0, colon)));
        } catch (NumberFormatException | IndexOutOfBoundsException e) {
            throw new IllegalArgumentException(
                    "shape class \"" + text + "\" cannot be read; one looks like 0:0+0,1+7,2+12",
                    e);
        }
    }
}
