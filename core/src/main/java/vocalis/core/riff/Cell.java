package vocalis.core.riff;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The strokes of one bar, in order, none sounding into the next.
 *
 * @param strokes ascending by start, not overlapping
 */
public record Cell(List<Stroke> strokes) {

    /** A bar of rest. */
    public static final Cell REST = new Cell(List.of());

    public Cell {
        strokes = List.copyOf(strokes);
        for (int i = 1; i < strokes.size(); i++) {
            if (strokes.get(i).at() < strokes.get(i - 1).end()) {
                throw new IllegalArgumentException(
                        "strokes must not overlap: one begins at tick "
                                + strokes.get(i).at()
                                + " before the one before it ends at "
                                + strokes.get(i - 1).end());
            }
        }
    }

    /** The stroke that sounds at a tick of the bar. */
    public Optional<Stroke> sounding(long at) {
        return strokes.stream().filter(s -> s.at() <= at && at < s.end()).findFirst();
    }

    /** The stroke that begins at a tick of the bar. */
    public Optional<Stroke> beginning(long at) {
        return strokes.stream().filter(s -> s.at() == at).findFirst();
    }

    /**
     * The cell with a stroke put in: one that began there is replaced, one that sounded on is cut
     * short, and the new one ends where the next begins or the bar does.
     */
    public Cell with(Stroke stroke, long barTicks) {
        if (stroke.at() >= barTicks) {
            throw new IllegalArgumentException(
                    "a stroke at tick " + stroke.at() + " lies past the bar's " + barTicks);
        }
        List<Stroke> changed = new ArrayList<>();
        long end = Math.min(stroke.end(), barTicks);
        for (Stroke s : strokes) {
            if (s.at() > stroke.at()) {
                end = Math.min(end, s.at());
                changed.add(s);
            } else if (s.at() < stroke.at()) {
                changed.add(s.end() > stroke.at() ? s.lasting(stroke.at() - s.at()) : s);
            }
        }
        changed.add(stroke.lasting(end - stroke.at()));
        changed.sort(Comparator.comparingLong(Stroke::at));
        return new Cell(changed);
    }

    /** The cell without the stroke that begins at a tick. */
    public Cell without(long at) {
        return new Cell(strokes.stream().filter(s -> s.at() != at).toList());
    }
}
