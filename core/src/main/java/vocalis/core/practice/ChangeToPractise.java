package vocalis.core.practice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import vocalis.core.arrange.Song;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Move;
import vocalis.core.instrument.Shape;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;

/**
 * A change of chords and how hard it is on the hand: how fast it must travel.
 *
 * @param at tick at which the new chord stands
 * @param from where a loop of this change alone begins
 * @param to where it ends
 * @param fromShape what is held before
 * @param toShape what is held after
 * @param mm how far the hand travels
 * @param seconds from the last stroke of the one to the first of the other
 */
public record ChangeToPractise(
        long at, long from, long to, Shape fromShape, Shape toShape, double mm, double seconds) {

    /** A loop of its own that is no whole number of these is widened to its bars. */
    private static final long THIRTY_SECOND = Ticks.WHOLE / 32;

    /** How fast the hand must be, in mm a second. */
    public double speed() {
        return mm / seconds;
    }

    /** Every change that moves the hand, the hardest first; a repeated one once. */
    public static List<ChangeToPractise> of(Song song, boolean second) {
        List<ChangeToPractise> all = new ArrayList<>();
        Derived.Chord before = null;
        long shift = 0;
        for (Song.Passage p : song.passages()) {
            Derived d = second ? p.second().orElse(p.first()) : p.first();
            for (Derived.Chord c : d.chords()) {
                long at = Math.max(p.turn().start(), c.start() + p.turn().shift());
                boolean heard = c.end() + p.turn().shift() > p.turn().start();
                if (heard && before != null) {
                    add(song, second, before, shift, c, at, all);
                }
                before = heard ? c : before;
                shift = heard ? p.turn().shift() : shift;
            }
        }
        all.sort(Comparator.comparingDouble(ChangeToPractise::speed).reversed());
        return all;
    }

    private static void add(
            Song song,
            boolean second,
            Derived.Chord before,
            long shift,
            Derived.Chord c,
            long at,
            List<ChangeToPractise> all) {
        var board = song.score().board();
        Shape one = before.candidate().voicing().shape();
        Shape two = c.candidate().voicing().shape();
        double mm = Move.travelMm(board, one, two);
        boolean known =
                all.stream().anyMatch(h -> h.fromShape.equals(one) && h.toShape.equals(two));
        if (mm <= 0 || known) {
            return;
        }
        var score = second ? song.second().orElse(song.score()) : song.score();
        int next = score.firstFrom(at);
        if (next == 0 || next >= score.onsets().size()) {
            return;
        }
        long last = score.onsets().get(next - 1).at();
        long first = score.onsets().get(next).at();
        double seconds = score.time().tempos().seconds(first) - score.time().tempos().seconds(last);
        MeterMap meters = song.score().time().meters();
        long beat = meters.meter(Math.max(0, meters.bar(at))).beatTicks();
        long from = Math.max(before.start() + shift, at - 2 * beat);
        long to = Math.min(at + c.length(), at + 2 * beat);
        from = Math.max(0, from);
        if ((to - from) % THIRTY_SECOND != 0) {
            from = meters.start(Math.max(0, meters.bar(from)));
            to = Math.min(song.length(), meters.end(meters.bar(to - 1)));
        }
        all.add(new ChangeToPractise(at, from, to, one, two, mm, seconds));
    }
}
