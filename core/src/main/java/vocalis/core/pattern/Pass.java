package vocalis.core.pattern;

import java.util.List;

/**
 * One laying of a figure on the time line.
 *
 * @param index counted from 0 over the whole riff
 * @param figure as it is played here, overrides applied
 * @param start where the figure's tick 0 lies; before {@code from} when its beginning is cut off
 * @param from where it begins to be played
 * @param to where it ends, at the latest where the figure does
 */
public record Pass(int index, Figure figure, long start, long from, long to) {

    /** The events played, as they stand in the figure but no longer than the pass. */
    public List<Event> events() {
        boolean whole = from == start && to >= start + figure.length();
        if (whole) {
            return figure.events();
        }
        return figure.events().stream()
                .filter(e -> start + e.at() >= from && start + e.at() + Limits.SHORTEST_EVENT <= to)
                .map(e -> start + e.end() > to ? e.lasting(to - start - e.at()) : e)
                .toList();
    }

    /** Whether the figure is played from its beginning to its end. */
    public boolean whole() {
        return from == start && to == start + figure.length();
    }
}
