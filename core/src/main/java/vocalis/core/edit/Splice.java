package vocalis.core.edit;

import java.util.ArrayList;
import java.util.List;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Pass;
import vocalis.core.riff.Riff;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;

/** Some bars of a riff become those of another; the rest stays as it is. */
public final class Splice {

    private Splice() {}

    /**
     * Puts another riff in place of bars: its roots, how they are voiced, its strokes and touches.
     * What rings into the bars is cut there. A shorter one is followed by rests under its last
     * root, a longer one is cut.
     *
     * @param first the first bar, counted from 0
     * @param last the last, replaced too
     * @param other without a pickup, on the same instrument and in the same key
     * @throws IllegalArgumentException when there are no such bars or the other has another ground
     */
    public static Riff of(Riff riff, int first, int last, Riff other) {
        if (first < 0 || last < first || last >= riff.bars()) {
            throw new IllegalArgumentException(
                    "the riff has bars 1 to "
                            + riff.bars()
                            + ", not "
                            + (first + 1)
                            + " to "
                            + (last + 1));
        }
        if (!other.ground().board().equals(riff.ground().board())
                || !other.ground().key().equals(riff.ground().key())) {
            throw new IllegalArgumentException(
                    "bars are replaced on the same strings and in the same key");
        }
        long from = riff.meters().start(first);
        long to = riff.meters().end(last);
        Strokes.Clipping there = Strokes.copy(other, 0, Math.min(to - from, other.length()));
        Riff kept = Strokes.emptied(riff, from, to);
        Riff roots = Renumbering.inPlace(kept, roots(kept, from, to, other));
        Riff in = Strokes.paste(Strokes.emptied(roots, from, to), from, there, Scope.THIS_PASS);
        boolean fits =
                events(riff, 0, from).equals(events(in, 0, from))
                        && events(riff, to, riff.length()).equals(events(in, to, in.length()))
                        && there.events().equals(Strokes.copy(in, from, to).events());
        return fits ? in : anew(riff, roots, from, to, there);
    }

    /** The same, the chords of both with the shapes that they have now. */
    public static Riff keeping(
            Deriver deriver, Hand hand, Riff riff, int first, int last, Riff other) {
        Riff rested = deriver.settled(riff, hand);
        return deriver.kept(of(rested, first, last, deriver.settled(other, hand)), hand);
    }

    private static Riff roots(Riff riff, long from, long to, Riff other) {
        List<RootSpan> roots = new ArrayList<>();
        List<Treatment> treatments = new ArrayList<>();
        add(riff, 0, from, roots, treatments);
        add(other, 0, to - from, roots, treatments);
        long lacks = to - from - other.length();
        if (lacks > 0) {
            RootSpan end = roots.remove(roots.size() - 1);
            roots.add(new RootSpan(end.root(), end.length() + lacks));
        }
        add(riff, to, riff.length(), roots, treatments);
        return riff.withRoots(roots, treatments);
    }

    /** The chords of a stretch, cut at its ends. */
    private static void add(
            Riff riff, long from, long to, List<RootSpan> roots, List<Treatment> treatments) {
        long[] starts = riff.starts();
        for (int i = 0; i < riff.roots().size(); i++) {
            long length = Math.min(to, starts[i + 1]) - Math.max(from, starts[i]);
            if (length > 0) {
                roots.add(new RootSpan(riff.roots().get(i).root(), length));
                treatments.add(riff.treatments().get(i));
            }
        }
    }

    /** What is played from one tick until before another, cut there, without its numbers. */
    private static List<Event> events(Riff riff, long from, long to) {
        List<Event> all = new ArrayList<>();
        for (Pass p : riff.passes()) {
            for (Event e : p.events()) {
                long at = p.start() + e.at();
                if (e.sounds() && at >= from && at < to) {
                    long until = Math.min(e.length(), to - at);
                    all.add(e.numbered(0).beginning(at).lasting(until));
                }
            }
        }
        return all;
    }

    /**
     * One figure that holds the whole riff: where figures start again at roots, others would; and
     * what is longer than a figure would be cut.
     */
    private static Riff anew(Riff riff, Riff roots, long from, long to, Strokes.Clipping there) {
        Riff out = Strokes.silence(roots);
        if (from > 0) {
            out = Strokes.paste(out, 0, Strokes.copy(riff, 0, from), Scope.EVERY_PASS);
        }
        out = Strokes.paste(out, from, there, Scope.EVERY_PASS);
        if (to < riff.length()) {
            Strokes.Clipping rest = Strokes.copy(riff, to, riff.length());
            out = Strokes.paste(out, to, rest, Scope.EVERY_PASS);
        }
        return out;
    }
}
