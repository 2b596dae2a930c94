package vocalis.core.vary;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.IntPredicate;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Fingering;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.RootSpan;
import vocalis.core.riff.Treatment;

/**
 * A line inside a held chord: one voice goes on by steps while the others stay, or the bass goes
 * the other way. Every step is a shape that the hand holds. Common practice, no source.
 */
public final class InnerLine {

    /** Shapes that a line has where the chord lasts long enough. */
    private static final int MOST = 4;

    private static final int FEWEST = 2;

    /** As many as are offered. */
    private static final int OFFERED = 14;

    /** Where a line goes. */
    private static final int[] WAYS = {1, -1};

    private InnerLine() {}

    /**
     * A line.
     *
     * @param string that moves, 0 is the lowest
     * @param up whether it climbs
     * @param against whether the lowest string goes the other way
     * @param shapes one after another, the held one first
     * @param riff with the chord so divided
     */
    public record Offer(int string, boolean up, boolean against, List<Shape> shapes, Riff riff) {
        public Offer {
            shapes = List.copyOf(shapes);
        }
    }

    /** The lines that a chord has room and the hand has fingers for, the easiest first. */
    public static List<Offer> of(Derived derived, int chord) {
        int n = (int) Math.min(MOST, derived.chord(chord).length() / Ticks.EIGHTH);
        Shape held = derived.chord(chord).candidate().voicing().shape();
        List<Integer> sounded = held.sounded();
        if (n < FEWEST || sounded.size() < 2) {
            return List.of();
        }
        Fretboard board = derived.riff().ground().board();
        IntPredicate scale = derived.riff().ground().key()::contains;
        List<Offer> all = new ArrayList<>();
        Set<List<Shape>> seen = new HashSet<>();
        for (int string : sounded.subList(1, sounded.size())) {
            for (int way : WAYS) {
                for (boolean against : new boolean[] {false, true}) {
                    for (IntPredicate on : List.<IntPredicate>of(m -> true, scale)) {
                        Optional<List<Shape>> moving = line(board, held, string, way, n, on);
                        if (against) {
                            int low = sounded.get(0);
                            moving = moving.flatMap(l -> against(board, l, low, -way, on));
                        }
                        moving.filter(l -> held(l, derived))
                                .filter(seen::add)
                                .map(l -> offer(derived, chord, string, way > 0, against, l))
                                .ifPresent(all::add);
                    }
                }
            }
        }
        all.sort(
                Comparator.comparing((Offer o) -> o.against)
                        .thenComparing(o -> !o.up)
                        .thenComparingDouble(o -> effort(o.shapes, derived)));
        return all.subList(0, Math.min(OFFERED, all.size()));
    }

    private static Offer offer(
            Derived d, int chord, int string, boolean up, boolean against, List<Shape> line) {
        return new Offer(string, up, against, line, divided(d, chord, line));
    }

    /** The held shape, then one string on by a step each time; empty where the neck ends. */
    private static Optional<List<Shape>> line(
            Fretboard board, Shape held, int string, int way, int n, IntPredicate on) {
        List<Shape> all = new ArrayList<>(List.of(held));
        int fret = held.fret(string);
        while (all.size() < n) {
            fret = next(board, string, fret, way, on);
            if (fret < 0) {
                return Optional.empty();
            }
            all.add(held.with(string, fret));
        }
        return Optional.of(all);
    }

    private static int next(Fretboard board, int string, int from, int way, IntPredicate on) {
        int fret = from + way;
        while (fret >= 0 && fret <= board.frets() && !on.test(board.midi(string, fret))) {
            fret += way;
        }
        return fret > board.frets() ? -1 : fret;
    }

    private static Optional<List<Shape>> against(
            Fretboard board, List<Shape> line, int string, int way, IntPredicate on) {
        List<Shape> all = new ArrayList<>(List.of(line.get(0)));
        int fret = line.get(0).fret(string);
        for (Shape s : line.subList(1, line.size())) {
            fret = next(board, string, fret, way, on);
            if (fret < 0) {
                return Optional.empty();
            }
            all.add(s.with(string, fret));
        }
        return Optional.of(all);
    }

    private static boolean held(List<Shape> line, Derived d) {
        return line.stream().allMatch(s -> fingering(s, d).isPresent());
    }

    private static Optional<Fingering> fingering(Shape s, Derived d) {
        return Fingering.of(d.riff().ground().board(), s, d.hand());
    }

    private static double effort(List<Shape> line, Derived d) {
        return line.stream().mapToDouble(s -> fingering(s, d).orElseThrow().effort()).sum();
    }

    /** The riff with the chord in parts as equal as sixteenths allow, a shape each. */
    private static Riff divided(Derived derived, int chord, List<Shape> line) {
        Riff riff = derived.riff();
        List<RootSpan> roots = new ArrayList<>(riff.roots());
        List<Treatment> treatments = new ArrayList<>(riff.treatments());
        RootSpan whole = roots.remove(chord);
        Treatment like = treatments.remove(chord);
        long part = whole.length() / line.size() / Ticks.SIXTEENTH * Ticks.SIXTEENTH;
        int root = derived.chord(chord).root();
        for (int i = line.size() - 1; i >= 0; i--) {
            boolean last = i == line.size() - 1;
            long length = last ? whole.length() - part * i : part;
            roots.add(chord, new RootSpan(whole.root(), length));
            treatments.add(chord, like.with(like.family(), new Member.ByHand(line.get(i), root)));
        }
        return riff.withRoots(roots, treatments);
    }
}
