package vocalis.core.pattern;

import java.util.Objects;

/**
 * One event of a figure is another at one pass; the figure and its other passes stay. A rest in its
 * place keeps it silent there; a number that the figure does not have adds an event there.
 *
 * @param figure id of the figure
 * @param pass which laying, counted from 0 over the whole riff
 * @param event what is played instead, under the number of what it replaces
 */
public record EventOverride(String figure, int pass, Event event) {
    public EventOverride {
        Objects.requireNonNull(figure, "figure");
        Objects.requireNonNull(event, "event");
        if (pass < 0 || pass > Limits.MOST_STRUCK) {
            throw new IllegalArgumentException("passes are counted from 0, not " + pass);
        }
    }

    /** The same at another pass of another figure. */
    public EventOverride at(String otherFigure, int otherPass) {
        return new EventOverride(otherFigure, otherPass, event);
    }
}
