package vocalis.core.practice;

import java.util.Objects;

/**
 * What was practised once.
 *
 * @param at when it began, in milliseconds since 1970-01-01T00:00Z
 * @param piece id of the piece
 * @param title of the piece then
 * @param what of it: a section, a stretch of bars, a change
 * @param goal tempo aimed at, quarter notes per minute; 0 for none
 * @param best fastest tempo of which every pass was clean; 0 for none
 * @param last tempo at the end
 * @param passes passes played
 * @param failed how many of those failed, as the player says
 * @param seconds how long it sounded
 */
public record Entry(
        long at,
        String piece,
        String title,
        String what,
        int goal,
        int best,
        int last,
        int passes,
        int failed,
        double seconds) {
    public Entry {
        Objects.requireNonNull(piece, "piece");
        Objects.requireNonNull(title, "title");
        Objects.requireNonNull(what, "what");
        if (goal < 0 || best < 0 || last < 0 || passes < 0 || failed < 0 || failed > passes) {
            throw new IllegalArgumentException(
                    "an entry's tempos and passes are not below 0, and not more failed than were"
                            + " played");
        }
        if (!(seconds >= 0 && seconds < 1e6)) {
            throw new IllegalArgumentException("practice lasts some seconds, not " + seconds);
        }
    }
}
