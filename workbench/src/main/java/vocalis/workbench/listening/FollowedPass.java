package vocalis.workbench.listening;

import java.util.Arrays;
import java.util.List;

/**
 * One time through a riff as it was played.
 *
 * @param number from 1
 * @param bars of the riff
 * @param onOne whether the next pass came round on its first stroke; also where none follows
 * @param behindMs how late the strokes were in the middle, below 0 early
 * @param spreadMs how far they lay from that, root of the mean square
 * @param clean whether it sounds like clean strings of ours
 * @param judged whether strokes and strings are told too, not only the time of what was heard: of
 *     what is not clean, those that are plain
 * @param strokes as they were played, by time
 */
public record FollowedPass(
        int number,
        int bars,
        boolean onOne,
        double behindMs,
        double spreadMs,
        boolean clean,
        boolean judged,
        List<Played> strokes) {

    public FollowedPass {
        strokes = List.copyOf(strokes);
    }

    /** What was not as written, or out of time. */
    public List<Played> faults() {
        return strokes.stream().filter(s -> s.state() != Played.State.RIGHT).toList();
    }

    /** Whether nothing of it was heard: nobody played. */
    public boolean silent() {
        return strokes.stream().allMatch(s -> s.state() == Played.State.MISSING);
    }

    /** The middle of how late strokes are, of those that are known; 0 where none is. */
    static double middle(double[] late) {
        double[] sorted = Arrays.stream(late).filter(ms -> !Double.isNaN(ms)).sorted().toArray();
        return sorted.length == 0 ? 0 : sorted[sorted.length / 2];
    }

    /** Their standard deviation, of those that are known. */
    static double spread(double[] late, double middle) {
        return Math.sqrt(
                Arrays.stream(late)
                        .filter(ms -> !Double.isNaN(ms))
                        .map(ms -> (ms - middle) * (ms - middle))
                        .average()
                        .orElse(0));
    }
}
