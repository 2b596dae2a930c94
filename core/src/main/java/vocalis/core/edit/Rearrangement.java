package vocalis.core.edit;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.EventOverride;
import vocalis.core.pattern.Figure;
import vocalis.core.pattern.Limits;
import vocalis.core.pattern.Pass;
import vocalis.core.pattern.Pattern;
import vocalis.core.pattern.Restart;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Riff;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;

/**
 * Puts the chords of a riff into another order, some left out, some more than once, and carries
 * along what stands on them.
 *
 * <p>A pattern in step with the bars (every figure laid from a bar line to one, or inside a bar
 * that starts with a laying) goes along: figures are cut only where chords that were neighbours no
 * longer are. A pattern that runs against the bars, or starts again by itself, stays as it is.
 * Either way overrides and touches stay on their event at their pass; a copied chord has copies of
 * them, a deleted one takes them with it. Meters go along where every chord fills whole bars.
 */
public final class Rearrangement {

    /** A piece of a laying in its old place. */
    private record Piece(Pass pass, long from, long to) {

        /** Where the piece begins in its figure. */
        long begins() {
            return from - pass.start();
        }

        /** Where it ends in its figure; what lies past a laying's end goes with its last piece. */
        long ends() {
            return to == pass.to() ? Long.MAX_VALUE : to - pass.start();
        }
    }

    private final Riff riff;
    private final List<Integer> order;
    private final long[] starts;

    private Rearrangement(Riff riff, List<Integer> order) {
        this.riff = riff;
        this.order = order;
        this.starts = riff.starts();
    }

    /**
     * The riff with its chords in another order.
     *
     * @param order for each new chord the index of the old one that it is
     */
    static Riff of(Riff riff, List<Integer> order) {
        return new Rearrangement(riff, order).rearranged();
    }

    private Riff rearranged() {
        List<RootSpan> roots = new ArrayList<>(order.stream().map(riff.roots()::get).toList());
        List<Treatment> treatments = order.stream().map(riff.treatments()::get).toList();
        TimeLine time = riff.time().withMeters(meters());
        fillBars(roots, time.meters());
        if (inStep()) {
            return travelling(roots, treatments, time);
        }
        Riff moved =
                new Riff(riff.ground(), time, roots, treatments, riff.pattern(), riff.touches());
        return riff.pattern().restart() == Restart.RUNS_ON ? moved : following(moved);
    }

    /** Lengthens the last root to the next bar line. */
    static void fillBars(List<RootSpan> roots, MeterMap meters) {
        long length = roots.stream().mapToLong(RootSpan::length).sum();
        long line = Math.max(meters.end(0), meters.barLineFrom(length));
        if (line > length) {
            RootSpan last = roots.get(roots.size() - 1);
            roots.set(roots.size() - 1, new RootSpan(last.root(), last.length() + line - length));
        }
    }

    private MeterMap meters() {
        MeterMap old = riff.meters();
        boolean barwise = old.pickup() == 0;
        for (long s : starts) {
            barwise &= old.barLine(s) || s == riff.length();
        }
        if (!barwise) {
            return old;
        }
        List<Meter> bars = new ArrayList<>();
        for (int chord : order) {
            int from = old.bar(starts[chord]);
            int to = old.bar(starts[chord + 1] - 1);
            for (int b = from; b <= to; b++) {
                bars.add(old.meter(b));
            }
        }
        return MeterMap.ofBars(bars, 0);
    }

    /** Whether the figures keep step with the bars, so that they can go along with chords. */
    private boolean inStep() {
        Pattern p = riff.pattern();
        if (p.restart() != Restart.RUNS_ON || p.offset() != 0 || riff.meters().pickup() != 0) {
            return false;
        }
        TreeSet<Long> begins = new TreeSet<>();
        List<Pass> passes = riff.passes();
        passes.forEach(pass -> begins.add(pass.start()));
        for (Pass pass : passes) {
            int bar = riff.meters().bar(pass.start());
            boolean ends = riff.meters().barLine(pass.to()) || pass.to() == riff.length();
            boolean whole = riff.meters().barLine(pass.start()) && ends;
            boolean inside =
                    begins.contains(riff.meters().start(bar))
                            && pass.to() <= riff.meters().end(bar);
            boolean last = pass.from() == pass.start() && pass.to() == riff.length();
            if (!(pass.whole() || last) || !(whole || inside)) {
                return false;
            }
        }
        return true;
    }

    // The pattern goes along.

    private Riff travelling(List<RootSpan> roots, List<Treatment> treatments, TimeLine time) {
        Map<Integer, List<Piece>> byChord = new HashMap<>();
        for (Piece piece : pieces()) {
            int chord = riff.chordAt(piece.from());
            byChord.computeIfAbsent(chord, k -> new ArrayList<>()).add(piece);
        }
        List<Piece> now = new ArrayList<>();
        for (int chord : order) {
            now.addAll(byChord.getOrDefault(chord, List.of()));
        }
        if (now.size() > Limits.MOST_FIGURES) {
            return new Riff(riff.ground(), time, roots, treatments, riff.pattern(), riff.touches());
        }
        Map<String, Figure> figures = new LinkedHashMap<>();
        riff.pattern().figures().forEach(f -> figures.put(f.id(), f));
        Map<String, String> made = new HashMap<>();
        List<String> ids = new ArrayList<>();
        List<EventOverride> overrides = new ArrayList<>();
        List<Touch> touches = new ArrayList<>();
        for (int i = 0; i < now.size(); i++) {
            Piece piece = now.get(i);
            String id = figure(piece, i + 1 == now.size(), figures, made);
            ids.add(id);
            carry(piece, id, i, overrides, touches);
        }
        everyPass(now, ids, touches);
        keepUnplaced(touches, overrides);
        figures.values().removeIf(f -> !ids.contains(f.id()));
        Pattern pattern =
                new Pattern(
                        List.copyOf(figures.values()),
                        shortest(ids),
                        0,
                        Restart.RUNS_ON,
                        overrides);
        return new Riff(riff.ground(), time, roots, treatments, pattern, touches);
    }

    /** The layings, cut where chords that were neighbours are parted. */
    private List<Piece> pieces() {
        TreeSet<Long> cuts = cuts();
        List<Piece> out = new ArrayList<>();
        for (Pass pass : riff.passes()) {
            long from = pass.from();
            while (from < pass.to()) {
                Long cut = cuts.higher(from);
                long to = cut == null ? pass.to() : Math.min(cut, pass.to());
                out.add(new Piece(pass, from, to));
                from = to;
            }
        }
        return out;
    }

    /** The figure of a piece: the laying's own, or one cut from it, made once for equal cuts. */
    private String figure(
            Piece piece, boolean last, Map<String, Figure> figures, Map<String, String> made) {
        Figure base = riff.pattern().figure(piece.pass().figure().id());
        long from = piece.begins();
        boolean open = last && piece.to() == riff.length();
        long to = open ? base.length() : piece.to() - piece.pass().start();
        if (from == 0 && to == base.length()) {
            return base.id();
        }
        return made.computeIfAbsent(
                base.id() + "@" + from + "-" + to,
                k -> {
                    String id = Pattern.freeId(figures.values(), base.id());
                    figures.put(id, base.cut(id, from, to));
                    return id;
                });
    }

    private TreeSet<Long> cuts() {
        TreeSet<Long> cuts = new TreeSet<>();
        int before = -1;
        for (int chord : order) {
            if (chord != before + 1) {
                cuts.add(starts[chord]);
                cuts.add(starts[before + 1]);
            }
            before = chord;
        }
        cuts.add(starts[before + 1]);
        return cuts;
    }

    private void carry(
            Piece piece,
            String figure,
            int index,
            List<EventOverride> overrides,
            List<Touch> touches) {
        Pass pass = piece.pass();
        for (EventOverride o : riff.pattern().overrides()) {
            long at = o.event().at();
            boolean here =
                    o.figure().equals(pass.figure().id())
                            && o.pass() == pass.index()
                            && at >= piece.begins()
                            && at < piece.ends();
            if (here) {
                Event e = o.event().beginning(at - piece.begins());
                overrides.add(new EventOverride(figure, index, e));
            }
        }
        for (Touch t : riff.touches()) {
            Anchor a = t.anchor();
            boolean here =
                    a.pass().isPresent()
                            && a.pass().get() == pass.index()
                            && a.figure().equals(pass.figure().id());
            if (here && begins(piece, a.event())) {
                touches.add(t.on(a.on(figure, Optional.of(index))));
            }
        }
    }

    /** Whether an event begins in a piece; one that the figure lacks goes with its beginning. */
    private static boolean begins(Piece piece, int event) {
        long at =
                piece.pass()
                        .figure()
                        .event(event)
                        .map(Event::at)
                        .orElse(piece.pass().from() - piece.pass().start());
        return at >= piece.begins() && at < piece.ends();
    }

    /**
     * Touches of every pass go to each figure that their event begins in. One whose event is played
     * no more, since all its chords were deleted, goes with them; any other is kept.
     */
    private void everyPass(List<Piece> now, List<String> ids, List<Touch> touches) {
        for (Touch t : riff.touches()) {
            Anchor a = t.anchor();
            if (a.pass().isPresent()) {
                continue;
            }
            Set<String> on = new LinkedHashSet<>();
            for (int i = 0; i < now.size(); i++) {
                boolean its = now.get(i).pass().figure().id().equals(a.figure());
                if (its && begins(now.get(i), a.event())) {
                    on.add(ids.get(i));
                }
            }
            boolean deleted =
                    on.isEmpty()
                            && riff.passes().stream()
                                    .anyMatch(p -> p.figure().id().equals(a.figure()))
                            && new HashSet<>(order).size() < riff.roots().size();
            if (on.isEmpty() && !deleted) {
                touches.add(t);
            }
            on.forEach(id -> touches.add(t.on(a.on(id, Optional.empty()))));
        }
    }

    /** What had no place before is kept as it was. */
    private void keepUnplaced(List<Touch> touches, List<EventOverride> overrides) {
        List<Pass> passes = riff.passes();
        for (Touch t : riff.touches()) {
            if (t.anchor().pass().isPresent() && !lies(passes, t.anchor())) {
                touches.add(t);
            }
        }
        for (EventOverride o : riff.pattern().overrides()) {
            boolean lies =
                    o.pass() < passes.size()
                            && passes.get(o.pass()).figure().id().equals(o.figure());
            if (!lies && riff.pattern().order().contains(o.figure())) {
                overrides.add(o);
            }
        }
    }

    private static boolean lies(List<Pass> passes, Anchor a) {
        int p = a.pass().orElseThrow();
        return p < passes.size() && passes.get(p).figure().id().equals(a.figure());
    }

    /** The shortest order that comes to the same when it goes round. */
    static List<String> shortest(List<String> ids) {
        for (int n = 1; n < ids.size(); n++) {
            boolean same = true;
            for (int i = n; i < ids.size() && same; i++) {
                same = ids.get(i).equals(ids.get(i - n));
            }
            if (same) {
                return List.copyOf(ids.subList(0, n));
            }
        }
        return List.copyOf(ids);
    }

    // The pattern stays and starts again by itself: layings are found again by chord and distance.

    private Riff following(Riff moved) {
        long[] now = moved.starts();
        List<Pass> there = moved.passes();
        Map<Integer, List<Integer>> becomes = new HashMap<>();
        for (Pass p : riff.passes()) {
            int chord = riff.chordAt(p.from());
            long into = p.from() - starts[chord];
            List<Integer> found = new ArrayList<>();
            for (int i = 0; i < order.size(); i++) {
                if (order.get(i) == chord) {
                    long at = now[i] + into;
                    there.stream()
                            .filter(q -> q.from() == at && q.figure().id().equals(p.figure().id()))
                            .forEach(q -> found.add(q.index()));
                }
            }
            becomes.put(
                    p.index(),
                    found.isEmpty() && order.contains(chord)
                            ? List.of(Renumbering.NOWHERE)
                            : found);
        }
        return Renumbering.renumbered(moved, becomes);
    }
}
