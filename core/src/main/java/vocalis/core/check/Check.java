package vocalis.core.check;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Finding;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Move;
import vocalis.core.instrument.Fretboard;
import vocalis.core.pattern.Restart;
import vocalis.core.rhythm.Landing;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Riff;
import vocalis.core.score.Harmony;
import vocalis.core.score.Onset;
import vocalis.core.score.ScoreNote;
import vocalis.core.score.Technique;

/**
 * Looks through a riff for what a player would stumble over: hands, changes, seam, landing, strings
 * that nothing silences, what is not played as written.
 */
public final class Check {

    /** Speed of the hand along the neck from which a change counts as hard; set by hand. */
    private static final double FAST_MM_A_SECOND = 600;

    private static final double FAR_MM = 60;

    private final Derived derived;
    private final List<Caution> all = new ArrayList<>();

    private Check(Derived derived) {
        this.derived = derived;
    }

    /** Everything found, in the order of time. */
    public static List<Caution> of(Derived derived) {
        Check c = new Check(derived);
        c.findings();
        c.hands();
        c.joins();
        c.all.addAll(HeldStrings.of(derived));
        c.changes();
        c.strings();
        c.seam();
        c.landing();
        c.all.sort(Comparator.comparingLong(Caution::at));
        return List.copyOf(c.all);
    }

    /** Whether there is no more to find, for its length, in one riff than in the one before. */
    public static boolean noWorse(Derived before, Derived after) {
        double longer = (double) after.riff().length() / before.riff().length();
        return of(after).size() <= Math.ceil(of(before).size() * Math.max(1, longer) - 1e-9);
    }

    private void findings() {
        Riff riff = derived.riff();
        for (Finding f : derived.findings()) {
            long at =
                    f instanceof Finding.TouchUnplaced t
                            ? t.at()
                            : f instanceof Finding.LineOffTheNeck l
                                    ? l.at()
                                    : riff.start(Math.min(f.chord(), riff.roots().size() - 1));
            all.add(new Caution.NotPlayed(at, f));
        }
    }

    private void hands() {
        double comfort = derived.hand().comfortMm();
        for (int i = 0; i < derived.chords().size(); i++) {
            Derived.Chord c = derived.chords().get(i);
            Fingering f = c.candidate().fingering();
            if (f.parts().equals(Fingering.Effort.IMPOSSIBLE)) {
                all.add(new Caution.OutOfReach(i, c.start()));
            } else if (f.reachMm() > comfort) {
                all.add(new Caution.WideReach(i, c.start(), f.reachMm(), comfort));
            }
        }
    }

    /** Fingers that hammer or pull off: both frets are held at once, or one string is open. */
    private void joins() {
        for (ScoreNote n : derived.score().notes()) {
            int from = n.fret();
            for (Technique t : n.techniques()) {
                boolean held = t.kind() == Technique.Kind.HAMMER || t.kind() == Technique.Kind.PULL;
                int low = Math.min(from, t.to());
                int high = Math.max(from, t.to());
                Fretboard board = derived.riff().ground().board();
                if (held && low > 0 && !derived.hand().withinReach(board, low, high)) {
                    all.add(
                            new Caution.WideJoin(
                                    derived.riff().chordAt(n.at()),
                                    n.at(),
                                    from,
                                    t.to(),
                                    board.spanMm(low, high)));
                }
                from = t.kind().moves() ? t.to() : from;
            }
        }
    }

    /** Changes from the last stroke of a chord to the first of the next. */
    private void changes() {
        List<Derived.Chord> chords = derived.chords();
        List<Onset> onsets = derived.score().onsets();
        int n = chords.size();
        for (int i = 0; i < onsets.size() && n > 1; i++) {
            Onset o = onsets.get(i);
            boolean wraps = i + 1 == onsets.size();
            Onset next = onsets.get((i + 1) % onsets.size());
            int from = derived.score().harmonyAt(o.at());
            int to = derived.score().harmonyAt(next.at());
            if (from == to) {
                continue;
            }
            long length = derived.riff().length();
            long ticks = wraps ? length - o.at() + next.at() : next.at() - o.at();
            double seconds = Ticks.seconds(ticks, derived.riff().time().tempos().at(o.at()));
            double mm =
                    Move.travelMm(
                            derived.riff().ground().board(),
                            chords.get(from).candidate().voicing().shape(),
                            chords.get(to).candidate().voicing().shape());
            if (mm > FAR_MM && mm / seconds > FAST_MM_A_SECOND) {
                all.add(
                        new Caution.FarChange(
                                to, wraps ? length - 1 : next.at(), mm, seconds, wraps));
            }
        }
    }

    private void strings() {
        for (int i = 0; i < derived.score().harmonies().size(); i++) {
            Harmony h = derived.score().harmonies().get(i);
            if (!h.free().isEmpty()) {
                all.add(new Caution.Unsilenced(i, h.at(), h.free()));
            }
        }
    }

    /** A loop of several roots that ends on the one it begins with does not move over its seam. */
    private void seam() {
        List<Derived.Chord> chords = derived.chords();
        int last = chords.size() - 1;
        boolean moves = chords.stream().anyMatch(c -> c.root() != chords.get(0).root());
        if (moves && chords.get(last).root() == chords.get(0).root()) {
            all.add(new Caution.StillSeam(last, derived.riff().length() - 1));
        }
    }

    private void landing() {
        Riff riff = derived.riff();
        long around = riff.length() - riff.loopStart();
        long cycle = riff.pattern().cycle();
        if (riff.pattern().restart() == Restart.RUNS_ON && around % cycle != 0) {
            Landing l = landing(riff);
            all.add(
                    new Caution.Cut(
                            riff.roots().size() - 1,
                            riff.length() - 1,
                            l.backBars(),
                            l.meets().isPresent()));
        }
    }

    /** Where the pattern falls in the bars of a riff. */
    public static Landing landing(Riff riff) {
        MeterMap meters = riff.meters();
        List<Long> bars = new ArrayList<>();
        for (int b = 0; b < riff.bars(); b++) {
            bars.add(meters.meter(b).barTicks());
        }
        boolean constant = bars.stream().distinct().count() == 1;
        long cycle = riff.pattern().cycle();
        long offset = Math.floorMod(riff.pattern().offset() - meters.pickup(), cycle);
        return Landing.of(cycle, offset, constant ? bars.subList(0, 1) : bars);
    }
}
