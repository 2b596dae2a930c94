package vocalis.core.edit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Limits;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Pattern;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.riff.Riff;
import vocalis.core.riff.RootSpan;

/** What can be done to the time line of a riff; each returns another riff. */
public final class Times {

    private Times() {}

    /** Another tempo at the start; later changes keep their relation to it. */
    public static Riff tempo(Riff riff, int tempo) {
        return riff.withTime(riff.time().withTempos(riff.time().tempos().startingAt(tempo)));
    }

    /**
     * Another meter throughout. Roots that fill whole bars fill as many of the new ones; figures of
     * whole bars too.
     */
    public static Riff meter(Riff riff, Meter meter) {
        MeterMap old = riff.meters();
        MeterMap now = old.throughout(meter);
        if (now.equals(old)) {
            return riff;
        }
        long[] starts = riff.starts();
        boolean barwise = old.pickup() == 0;
        for (long s : starts) {
            barwise &= s == riff.length() || old.barLine(s);
        }
        List<RootSpan> roots = new ArrayList<>();
        for (int i = 0; i < riff.roots().size(); i++) {
            RootSpan r = riff.roots().get(i);
            long bars = old.bars(starts[i + 1]) - old.bar(starts[i]);
            roots.add(barwise ? new RootSpan(r.root(), bars * meter.barTicks()) : r);
        }
        Rearrangement.fillBars(roots, now);
        long bar = old.meter(0).barTicks();
        Pattern p = riff.pattern();
        List<Figure> figures = new ArrayList<>();
        for (Figure f : p.figures()) {
            long bars = f.length() / bar;
            figures.add(f.length() % bar == 0 ? f.lasting(bars * meter.barTicks()) : f);
        }
        Pattern fitted = new Pattern(figures, p.order(), 0, p.restart(), p.overrides());
        return new Riff(
                riff.ground(),
                riff.time().withMeters(now),
                roots,
                riff.treatments(),
                p.offset() == 0 ? fitted : fitted.late(p.offset()),
                riff.touches());
    }

    /** Another meter in one bar; the root that ends there grows or shrinks with it. */
    public static Riff meter(Riff riff, int bar, Meter meter) {
        MeterMap old = riff.meters();
        MeterMap now = old.with(bar, meter, riff.bars());
        long change = meter.barTicks() - old.meter(bar).barTicks();
        int chord = riff.chordAt(old.end(bar) - 1);
        List<RootSpan> roots = new ArrayList<>(riff.roots());
        RootSpan r = roots.get(chord);
        roots.set(
                chord, new RootSpan(r.root(), Math.max(Limits.SHORTEST_ROOT, r.length() + change)));
        Rearrangement.fillBars(roots, now);
        Riff changed =
                new Riff(
                        riff.ground(),
                        riff.time().withMeters(now),
                        roots,
                        riff.treatments(),
                        riff.pattern(),
                        riff.touches());
        return Renumbering.inPlace(riff, changed);
    }

    /**
     * Another pickup. The first root begins in it, and the end of the pattern is heard in it.
     *
     * @param ticks 0 for none, shorter than the first bar
     */
    public static Riff pickup(Riff riff, long ticks) {
        long change = ticks - riff.meters().pickup();
        if (change == 0) {
            return riff;
        }
        List<RootSpan> roots = new ArrayList<>(riff.roots());
        RootSpan first = roots.get(0);
        roots.set(0, new RootSpan(first.root(), first.length() + change));
        Pattern late = riff.pattern().late(riff.pattern().offset() + change);
        Riff changed =
                new Riff(
                        riff.ground(),
                        riff.time().withMeters(riff.meters().withPickup(ticks)),
                        roots,
                        riff.treatments(),
                        late,
                        riff.touches());
        Map<Integer, List<Integer>> becomes = new HashMap<>();
        List<Pass> now = changed.passes();
        for (Pass p : riff.passes()) {
            long at = p.start() + change;
            now.stream()
                    .filter(q -> q.start() == at && q.figure().id().equals(p.figure().id()))
                    .findFirst()
                    .ifPresent(q -> becomes.put(p.index(), List.of(q.index())));
        }
        return Renumbering.renumbered(changed, becomes);
    }
}
