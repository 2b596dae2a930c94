package vocalis.workbench.listening;

import java.util.Arrays;
import java.util.List;
import vocalis.core.score.Onset;
import vocalis.core.score.ScoreNote;
import vocalis.sound.learnt.NoteEar;
import vocalis.sound.listen.Take;

/**
 * What each string did in the strokes of a pass. A driven pass is read by the nets, and where they
 * read our own rendering of the riff alike, beside that: what they hear in both is no fault.
 */
final class PassStrings {

    /**
     * Strokes that lie so far from their shapes, in the middle, are driven, or no guitar of ours.
     */
    private static final double DRIVEN_DB = 5;

    /**
     * In four of five notes as written the logarithms of the odds lie no further apart where the
     * rendering is like the take: 62 takes through our own amplifier lie up to 1.0 apart, 62
     * through others from 2.8 on.
     */
    private static final double ALIKE = 1.8;

    private static final double MOST_NOTES = 0.8;

    private final Written written;
    private final Take take;
    private final LearntEar.Heard ears;
    private final StringFaults faults;
    private final double a4Hz;

    PassStrings(Written written, Take take, LearntEar.Heard ears) {
        this.written = written;
        this.take = take;
        this.ears = ears;
        a4Hz = written.ground().a4Hz();
        faults = new StringFaults(written.score(), a4Hz);
    }

    /**
     * What was read of each stroke of a clean take.
     *
     * @param taken of each stroke of the score the one that was heard, -1 where none was
     */
    StringFaults.Read[] clean(int[] taken) {
        StringFaults.Read[] read = new StringFaults.Read[taken.length];
        for (int i = 0; i < taken.length; i++) {
            if (taken[i] >= 0) {
                NoteEar.Struck net = LearntEar.beside(take, ears.strokes(), taken[i], a4Hz);
                read[i] = faults.of(onset(i), ears.strokes().get(taken[i]).notes(), net);
            }
        }
        return read;
    }

    /** The same of a driven one, after its strokes were found in {@link Written}. */
    StringFaults.Read[] driven(int[] taken) {
        List<Written.Expected> expected = written.expected();
        boolean alike = apart(taken, expected) <= ALIKE;
        StringFaults.Read[] read = new StringFaults.Read[taken.length];
        for (int i = 0; i < taken.length; i++) {
            if (taken[i] >= 0) {
                NoteEar.Struck net = ears.struck().get(taken[i]);
                read[i] =
                        alike
                                ? faults.of(onset(i), net, expected.get(i).notes())
                                : faults.of(onset(i), net);
            }
        }
        return read;
    }

    /**
     * Whether most strokes that could be read sound like clean strings; so too where none could.
     */
    static boolean clean(StringFaults.Read[] read) {
        double[] costs =
                Arrays.stream(read)
                        .filter(r -> r != null && !Double.isNaN(r.cost()))
                        .mapToDouble(StringFaults.Read::cost)
                        .sorted()
                        .toArray();
        return costs.length == 0 || costs[costs.length / 2] < DRIVEN_DB;
    }

    private Onset onset(int stroke) {
        return written.strokes().get(stroke);
    }

    /** How far the odds of most notes lie from those of the rendering. */
    private double apart(int[] taken, List<Written.Expected> expected) {
        if (expected.isEmpty()) {
            return Double.POSITIVE_INFINITY;
        }
        double[] all = new double[written.score().notes().size()];
        int n = 0;
        for (int i = 0; i < taken.length; i++) {
            if (taken[i] >= 0 && !onset(i).muted()) {
                for (ScoreNote note : onset(i).notes()) {
                    int midi = written.score().board().midi(note.string(), note.fret());
                    double heard = StringFaults.limited(ears.struck().get(taken[i]), midi);
                    all[n++] =
                            Math.abs(heard - StringFaults.limited(expected.get(i).notes(), midi));
                }
            }
        }
        double[] sorted = Arrays.copyOf(all, n);
        Arrays.sort(sorted);
        return n == 0 ? Double.POSITIVE_INFINITY : sorted[(int) (MOST_NOTES * (n - 1))];
    }
}
