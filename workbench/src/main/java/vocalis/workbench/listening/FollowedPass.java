package vocalis.workbench.listening;

import java.util.List;

/**
 * One time through a riff as it was played.
 *
 * @param number from 1
 * @param bars of the riff
 * @param onOne whether the next pass came round on its first stroke; also where none follows
 * @param behindMs how late the strokes were in the middle, below 0 early
 * @param spreadMs how far they lay from that, root of the mean square
 * @param clean whether it sounds like clean strings; otherwise only the time of what was heard is
 *     told, for what is driven hides strokes and strings
 * @param strokes as they were played, by time
 */
public record FollowedPass(
        int number,
        int bars,
        boolean onOne,
        double behindMs,
        double spreadMs,
        boolean clean,
        List<Played> strokes) {

    public FollowedPass {
        strokes = List.copyOf(strokes);
    }

    /** What was not as written, or out of time. */
    public List<Played> faults() {
        return strokes.stream().filter(s -> s.state() != Played.State.RIGHT).toList();
    }
}
