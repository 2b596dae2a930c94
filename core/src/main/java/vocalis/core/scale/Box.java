package vocalis.core.scale;

import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import vocalis.core.theory.Key;

/**
 * A scale under the hand in one position: a finger to each of four frets, the first and the little
 * finger reaching one fret farther where the scale wants it (common practice).
 *
 * @param scale which scale
 * @param start fret of its lowest note on the lowest string, from the capo
 * @param position fret of the first finger, from 1
 * @param spots ascending by pitch
 */
public record Box(Key scale, int start, int position, List<Spot> spots) {

    /**
     * A note of the box.
     *
     * @param string string index, 0 is the lowest
     * @param fret from the capo
     * @param finger 1 the index to 4 the little finger; 0 for an open string
     * @param midi MIDI number
     */
    public record Spot(int string, int fret, int finger, int midi) {}

    public Box {
        Objects.requireNonNull(scale, "scale");
        spots = List.copyOf(spots);
        if (position < 1) {
            throw new IllegalArgumentException("a position begins at fret 1, not " + position);
        }
    }

    /** Whether it lies at the nut, with open strings in it. */
    public boolean atNut() {
        return spots.stream().anyMatch(s -> s.fret() == 0);
    }

    /** The note of the box at a place. */
    public Optional<Spot> at(int string, int fret) {
        return spots.stream().filter(s -> s.string() == string && s.fret() == fret).findFirst();
    }

    /**
     * The note of a degree's number, 1 to 7, that is nearest to a pitch.
     *
     * @param number as the scale counts: 3 is its third, flat or not
     * @param near MIDI number; the lower of two equally near
     */
    public Optional<Spot> degree(int number, double near) {
        return spots.stream()
                .filter(s -> scale.degree(s.midi()).number() == number)
                .min(Comparator.comparingDouble(s -> Math.abs(s.midi() - near) + s.midi() * 1e-4));
    }
}
