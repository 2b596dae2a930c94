package vocalis.core.arrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.LineNote;
import vocalis.core.pattern.LinePitch;
import vocalis.core.pattern.Pass;
import vocalis.core.riff.Lines;
import vocalis.core.riff.Riff;
import vocalis.core.theory.Key;

/**
 * The single notes of a riff played again some steps of the scale away, as two guitars do; a fourth
 * where the third rubs. Common practice, no source.
 */
final class LineHarmony {

    /** A line of fewer notes is none. */
    private static final int FEWEST = 4;

    private static final int THIRD = 2;

    private LineHarmony() {}

    /** Whether a pitch rubs with what else sounds in a time. */
    interface Rubs {
        boolean at(int midi, long from, long to);
    }

    /**
     * The events of the harmony; empty where the riff has no line or a note leaves the neck.
     *
     * @param steps of the scale up, or down where below 0
     * @param degree a pitch as a degree of the key; empty off the neck
     */
    static Optional<List<Event>> of(
            Riff riff, int steps, Rubs rubs, IntFunction<Optional<LinePitch>> degree) {
        List<Event> events = new ArrayList<>();
        for (Pass pass : riff.passes()) {
            for (Event e : pass.events()) {
                long at = pass.start() + e.at();
                if (!(e instanceof LineNote n) || at >= riff.length()) {
                    continue;
                }
                int midi = Lines.midi(riff, n.pitch(), at);
                int other = away(riff.ground().key(), midi, steps);
                int fourth = away(riff.ground().key(), midi, steps + Integer.signum(steps));
                boolean third = Math.abs(steps) == THIRD;
                int taken =
                        third && rubs.at(other, at, at + n.length()) && Math.abs(fourth - midi) == 5
                                ? fourth
                                : other;
                Optional<LinePitch> pitch = degree.apply(taken);
                if (pitch.isEmpty()) {
                    return Optional.empty();
                }
                events.add(
                        new LineNote(
                                events.size() + 1,
                                at,
                                Math.min(n.length(), riff.length() - at),
                                pitch.get(),
                                n.manner(),
                                n.dynamics(),
                                n.tied()));
            }
        }
        return events.size() < FEWEST ? Optional.empty() : Optional.of(events);
    }

    /** So many notes of the scale from a pitch; one outside it counts as the note under it. */
    private static int away(Key key, int midi, int steps) {
        int way = Integer.signum(steps);
        int[] from = {midi};
        IntStream.range(0, Math.abs(steps))
                .forEach(
                        i -> {
                            from[0] += way;
                            while (!key.contains(Math.floorMod(from[0], 12))) {
                                from[0] += way;
                            }
                        });
        return from[0];
    }
}
