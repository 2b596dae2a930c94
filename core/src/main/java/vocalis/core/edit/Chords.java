package vocalis.core.edit;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vocalis.core.pattern.Limits;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Root;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;
import vocalis.core.voicing.Family;

/**
 * What can be done to the chords of a riff: each returns another riff. Chords are moved, copied and
 * deleted together with their stretch of the pattern and the touches on it, as {@link
 * Rearrangement} says.
 */
public final class Chords {

    /** Shortest chord, and the grain of its length. */
    public static final long GRAIN = Ticks.EIGHTH;

    private Chords() {}

    /** Swaps a chord with the one after it. */
    public static Riff swapWithNext(Riff riff, int chord) {
        return chord < 0 || chord + 1 >= riff.roots().size() ? riff : move(riff, chord, chord + 1);
    }

    /** Moves a chord to another place in the order; its stretch of the pattern goes along. */
    public static Riff move(Riff riff, int from, int to) {
        List<Integer> order = order(riff);
        order.add(to, order.remove(from));
        return from == to ? riff : Rearrangement.of(riff, order);
    }

    /**
     * Copies a chord to the place after it with its stretch of the pattern; what follows moves on,
     * and the riff is filled to whole bars.
     */
    public static Riff copy(Riff riff, int chord) {
        return copy(riff, chord, chord, chord + 1);
    }

    /**
     * Copies chords to a place in the order.
     *
     * @param first index of the first
     * @param last index of the last, copied too
     * @param to before which chord; the number of chords for the end
     */
    public static Riff copy(Riff riff, int first, int last, int to) {
        List<Integer> order = order(riff);
        order.addAll(to, List.copyOf(order.subList(first, last + 1)));
        return Rearrangement.of(riff, order);
    }

    private static List<Integer> order(Riff riff) {
        List<Integer> order = new ArrayList<>();
        for (int i = 0; i < riff.roots().size(); i++) {
            order.add(i);
        }
        return order;
    }

    /**
     * Deletes a chord, unless it is the only one; whole bars go with their pattern, the time of a
     * part of a bar goes to the chord before (or after).
     */
    public static Riff delete(Riff riff, int chord) {
        if (riff.roots().size() == 1) {
            return riff;
        }
        if (fillsBars(riff, chord)) {
            List<Integer> order = order(riff);
            order.remove(chord);
            return Rearrangement.of(riff, order);
        }
        List<RootSpan> roots = new ArrayList<>(riff.roots());
        List<Treatment> treatments = new ArrayList<>(riff.treatments());
        RootSpan gone = roots.remove(chord);
        treatments.remove(chord);
        int heir = Math.max(0, chord - 1);
        RootSpan old = roots.get(heir);
        roots.set(heir, new RootSpan(old.root(), old.length() + gone.length()));
        return Renumbering.inPlace(riff, riff.withRoots(roots, treatments));
    }

    /**
     * Moves the end of a chord by ticks (a multiple of {@link #GRAIN}); the next chord gives or
     * takes the time. The last chord grows and shrinks by whole bars.
     */
    public static Riff lengthen(Riff riff, int chord, long by) {
        List<RootSpan> roots = new ArrayList<>(riff.roots());
        RootSpan span = roots.get(chord);
        boolean last = chord == roots.size() - 1;
        long change = last ? wholeBars(riff, by) : by;
        if (last) {
            if (span.length() + change <= 0) {
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
        return Renumbering.inPlace(riff, riff.withRoots(roots, riff.treatments()));
    }

    /** Ticks of the bars that the riff grows (shrinks) by: one for each bar's length asked. */
    private static long wholeBars(Riff riff, long by) {
        int bars = riff.bars();
        MeterMap meters = riff.meters();
        long one = meters.meter(by > 0 ? bars : bars - 1).barTicks();
        int count = (int) Math.max(1, Math.abs(by) / one);
        if (by > 0) {
            Limits.most("bars", bars + count, Limits.MOST_BARS);
        }
        return by > 0
                ? meters.end(bars - 1 + count) - riff.length()
                : meters.start(Math.max(0, bars - count)) - riff.length();
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
        return Renumbering.inPlace(riff, riff.withRoots(roots, treatments));
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

    /** Has a chord held with other fingers, or as the way has it. */
    public static Riff fingers(Riff riff, int chord, Optional<List<Integer>> fingers) {
        return riff.withTreatment(chord, riff.treatments().get(chord).held(fingers));
    }

    /** Gives a chord another family than it has, so many further in their order. */
    public static Riff familyOfAllStepped(Riff riff, int chord, int by) {
        Family[] all = Family.values();
        int now = riff.treatments().get(chord).family().ordinal();
        return familyOfAll(riff, all[Math.floorMod(now + by, all.length)]);
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

    /**
     * The riff with the shapes that another riff of the same roots has, from a chord to a chord.
     */
    public static Riff taken(Riff riff, Riff other, int first, int last) {
        List<Treatment> treatments = new ArrayList<>(riff.treatments());
        for (int i = first; i <= last; i++) {
            treatments.set(i, other.treatments().get(i));
        }
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
        long start = riff.start(chord);
        long end = start + riff.roots().get(chord).length();
        MeterMap meters = riff.meters();
        boolean ends = end == riff.length() || meters.barLine(end);
        return start >= meters.pickup() && meters.barLine(start) && ends;
    }
}
