package vocalis.core.vary;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Ranking;
import vocalis.core.derive.Derived;
import vocalis.core.edit.Chords;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.theory.Degree;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/**
 * One or two open strings that ring through the whole riff, under or over shapes that move: which
 * roots they suit, and the riff voiced so where the neck has a shape for every root.
 */
public final class HeldDrones {

    /** Semitones above a root that a ringing string rubs against it (common practice). */
    private static final List<Integer> RUBS = List.of(1, 6, 8, 11);

    private HeldDrones() {}

    /**
     * Strings that may ring.
     *
     * @param strings string indices, 0 is the lowest
     * @param degrees of each chord's root that they are, string by string from the lowest
     * @param rubs on how many chords one of them rubs: a minor second, a tritone, a minor sixth or
     *     a major seventh of a root
     * @param riff the riff so voiced; empty where a root has no shape under them
     * @param without index of the first chord that has none; -1 for none
     */
    public record Offer(
            SortedSet<Integer> strings,
            List<List<Degree>> degrees,
            int rubs,
            Optional<Riff> riff,
            int without) {}

    /** Every one string and every two neighbours, those that rub least and can be played first. */
    public static List<Offer> of(Derived derived, Catalogue catalogue) {
        int strings = derived.riff().ground().board().strings();
        List<Offer> all = new ArrayList<>();
        for (int s = 0; s < strings; s++) {
            all.add(offer(derived, catalogue, new TreeSet<>(List.of(s))));
            if (s + 1 < strings) {
                all.add(offer(derived, catalogue, new TreeSet<>(List.of(s, s + 1))));
            }
        }
        all.sort(
                Comparator.comparing((Offer o) -> o.riff.isEmpty())
                        .thenComparingInt(o -> o.rubs)
                        .thenComparingInt(o -> -o.strings.size()));
        return all;
    }

    private static Offer offer(Derived derived, Catalogue catalogue, SortedSet<Integer> strings) {
        Fretboard board = derived.riff().ground().board();
        List<List<Degree>> degrees = new ArrayList<>();
        int rubs = 0;
        for (Derived.Chord c : derived.chords()) {
            List<Degree> own = new ArrayList<>();
            boolean rub = false;
            for (int s : strings) {
                int above = Math.floorMod(board.midi(s, 0) - c.root(), 12);
                own.add(Degree.above(above));
                rub |= RUBS.contains(above);
            }
            degrees.add(own);
            rubs += rub ? 1 : 0;
        }
        Riff riff = derived.riff();
        List<Shape> before = new ArrayList<>();
        for (int i = 0; i < derived.chords().size(); i++) {
            Optional<Candidate> best = best(derived, catalogue, strings, i, before);
            if (best.isEmpty()) {
                return new Offer(strings, degrees, rubs, Optional.empty(), i);
            }
            Voicing v = best.get().voicing();
            before = List.of(v.shape());
            riff = Chords.member(riff, i, Family.DRONE, Member.Found.of(v));
        }
        return new Offer(strings, degrees, rubs, Optional.of(riff), -1);
    }

    /** The best shape of a root under the strings, near the one before it. */
    private static Optional<Candidate> best(
            Derived derived,
            Catalogue catalogue,
            SortedSet<Integer> strings,
            int chord,
            List<Shape> before) {
        Fretboard board = derived.riff().ground().board();
        int root = derived.chords().get(chord).root();
        List<Candidate> there =
                catalogue.candidates(board, derived.hand(), Family.DRONE, root).stream()
                        .filter(c -> open(c.voicing().shape()).equals(strings))
                        .toList();
        return new Ranking(Family.DRONE, before, derived.riff().ground().key())
                .ordered(there).stream().findFirst();
    }

    private static SortedSet<Integer> open(Shape shape) {
        SortedSet<Integer> open = new TreeSet<>();
        shape.sounded().stream().filter(s -> shape.fret(s) == 0).forEach(open::add);
        return open;
    }
}
