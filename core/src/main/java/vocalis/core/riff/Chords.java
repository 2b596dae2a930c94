package vocalis.core.riff;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vocalis.core.rhythm.Ticks;
import vocalis.core.voicing.Family;

/**
 * What can be done to the chords of a riff: each returns another riff. Whole bars are moved, copied
 * and deleted together with their pattern; parts of a bar take time from their neighbours and leave
 * the pattern where it is.
 */
public final class Chords {

    /** Shortest chord, and the grain of its length. */
    public static final long GRAIN = Ticks.EIGHTH;

    private Chords() {}

    /** Swaps a chord with the one after it; bars that both fill go along with their patterns. */
    public static Riff swapWithNext(Riff riff, int chord) {
        if (chord < 0 || chord + 1 >= riff.roots().size()) {
            return riff;
        }
        List<RootSpan> roots = new ArrayList<>(riff.roots());
        List<Treatment> treatments = new ArrayList<>(riff.treatments());
        Collections.swap(roots, chord, chord + 1);
        Collections.swap(treatments, chord, chord + 1);
        Riff swapped = riff.withRoots(roots, treatments);
        if (!fillsBars(riff, chord) || !fillsBars(riff, chord + 1)) {
            return swapped;
        }
        int first = firstBar(riff, chord);
        int mine = bars(riff, chord);
        List<Cell> cells =
                riff.pattern().writtenOut(Math.max(riff.bars(), riff.pattern().bars().size()));
        Collections.rotate(cells.subList(first, first + mine + bars(riff, chord + 1)), -mine);
        return swapped.withPattern(new Pattern(cells));
    }

    /** Moves a chord to another place in the order. */
    public static Riff move(Riff riff, int from, int to) {
        Riff moved = riff;
        for (int i = from; i < to; i++) {
            moved = swapWithNext(moved, i);
        }
        for (int i = from; i > to; i--) {
            moved = swapWithNext(moved, i - 1);
        }
        return moved;
    }

    /**
     * Copies a chord to the place after it; what follows moves on, and the riff is filled to whole
     * bars.
     */
    public static Riff copy(Riff riff, int chord) {
        List<RootSpan> roots = new ArrayList<>(riff.roots());
        List<Treatment> treatments = new ArrayList<>(riff.treatments());
        roots.add(chord + 1, roots.get(chord));
        treatments.add(chord + 1, treatments.get(chord));
        Pattern pattern = riff.pattern();
        if (fillsBars(riff, chord)) {
            List<Cell> cells = pattern.writtenOut(Math.max(riff.bars(), pattern.bars().size()));
            int first = firstBar(riff, chord);
            int count = bars(riff, chord);
            cells.addAll(first + count, List.copyOf(cells.subList(first, first + count)));
            pattern = new Pattern(cells);
        }
        fillBars(roots, riff.ground().meter().barTicks());
        return new Riff(riff.ground(), roots, treatments, pattern, riff.touches());
    }

    /**
     * Deletes a chord, unless it is the only one; a part of a bar goes to the chord before (or
     * after).
     */
    public static Riff delete(Riff riff, int chord) {
        if (riff.roots().size() == 1) {
            return riff;
        }
        List<RootSpan> roots = new ArrayList<>(riff.roots());
        List<Treatment> treatments = new ArrayList<>(riff.treatments());
        RootSpan gone = roots.remove(chord);
        treatments.remove(chord);
        Pattern pattern = riff.pattern();
        if (fillsBars(riff, chord)) {
            List<Cell> cells = pattern.writtenOut(Math.max(riff.bars(), pattern.bars().size()));
            int first = firstBar(riff, chord);
            cells.subList(first, first + bars(riff, chord)).clear();
            pattern = new Pattern(cells);
        } else {
            int heir = Math.max(0, chord - 1);
            RootSpan old = roots.get(heir);
            roots.set(heir, new RootSpan(old.root(), old.length() + gone.length()));
        }
        return new Riff(riff.ground(), roots, treatments, pattern, riff.touches());
    }

    /**
     * Moves the end of a chord by ticks (a multiple of {@link #GRAIN}); the next chord gives or
     * takes the time. The last chord grows and shrinks by whole bars.
     */
    public static Riff lengthen(Riff riff, int chord, long by) {
        List<RootSpan> roots = new ArrayList<>(riff.roots());
        RootSpan span = roots.get(chord);
        boolean last = chord == roots.size() - 1;
        long bar = riff.ground().meter().barTicks();
        long change = last ? Long.signum(by) * bar * Math.max(1, Math.abs(by) / bar) : by;
        if (last) {
            if (span.length() + change <= 0 || riff.length() + change > Riff.MOST_BARS * bar) {
                return riff;
            }
        } else {
            long room = roots.get(chord + 1).length() - GRAIN;
            change = Math.max(GRAIN - span.length(), Math.min(room, change));
            if (change == 0) {
                return riff;
            }
            RootSpan next = roots.get(chord + 1);
            roots.set(chord + 1, new RootSpan(next.root(), next.length() - change));
        }
        roots.set(chord, new RootSpan(span.root(), span.length() + change));
        return riff.withRoots(roots, riff.treatments());
    }

    /** Splits a chord in two of the same root at half its length, on the grain. */
    public static Riff split(Riff riff, int chord) {
        RootSpan span = riff.roots().get(chord);
        long half = span.length() / 2 / GRAIN * GRAIN;
        if (half < GRAIN) {
            return riff;
        }
        List<RootSpan> roots = new ArrayList<>(riff.roots());
        List<Treatment> treatments = new ArrayList<>(riff.treatments());
        roots.set(chord, new RootSpan(span.root(), half));
        roots.add(chord + 1, new RootSpan(span.root(), span.length() - half));
        treatments.add(chord + 1, treatments.get(chord));
        return riff.withRoots(roots, treatments);
    }

    /** Gives a chord another root. */
    public static Riff root(Riff riff, int chord, Root root) {
        List<RootSpan> roots = new ArrayList<>(riff.roots());
        roots.set(chord, new RootSpan(root, roots.get(chord).length()));
        return riff.withRoots(roots, riff.treatments());
    }

    /** Gives a chord another family; choices made in other families are kept. */
    public static Riff family(Riff riff, int chord, Family family) {
        List<Treatment> treatments = new ArrayList<>(riff.treatments());
        treatments.set(chord, treatments.get(chord).in(family));
        return riff.withTreatments(treatments);
    }

    /** Gives every chord another family. */
    public static Riff familyOfAll(Riff riff, Family family) {
        return riff.withTreatments(riff.treatments().stream().map(t -> t.in(family)).toList());
    }

    /** Gives a chord a member of a family. */
    public static Riff member(Riff riff, int chord, Family family, Member member) {
        List<Treatment> treatments = new ArrayList<>(riff.treatments());
        treatments.set(chord, treatments.get(chord).with(family, member));
        return riff.withTreatments(treatments);
    }

    /** Puts a bass under a chord's voicing, or takes it away. */
    public static Riff bass(Riff riff, int chord, Optional<Root> bass) {
        List<Treatment> treatments = new ArrayList<>(riff.treatments());
        treatments.set(chord, treatments.get(chord).over(bass));
        return riff.withTreatments(treatments);
    }

    /** Takes back what was chosen for a chord in every family. */
    public static Riff bestMember(Riff riff, int chord) {
        List<Treatment> treatments = new ArrayList<>(riff.treatments());
        treatments.set(
                chord,
                new Treatment(
                        treatments.get(chord).family(), Map.of(), treatments.get(chord).bass()));
        return riff.withTreatments(treatments);
    }

    private static boolean fillsBars(Riff riff, int chord) {
        long bar = riff.ground().meter().barTicks();
        return riff.start(chord) % bar == 0 && riff.roots().get(chord).length() % bar == 0;
    }

    private static int firstBar(Riff riff, int chord) {
        return (int) (riff.start(chord) / riff.ground().meter().barTicks());
    }

    private static int bars(Riff riff, int chord) {
        return (int) (riff.roots().get(chord).length() / riff.ground().meter().barTicks());
    }

    private static void fillBars(List<RootSpan> roots, long bar) {
        long length = roots.stream().mapToLong(RootSpan::length).sum();
        long missing = Math.floorMod(-length, bar);
        if (missing > 0) {
            int last = roots.size() - 1;
            roots.set(
                    last, new RootSpan(roots.get(last).root(), roots.get(last).length() + missing));
        }
    }
}
