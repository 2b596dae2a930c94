package vocalis.core.revoice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Ranking;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Hand;
import vocalis.core.hands.LoopPath;
import vocalis.core.harmony.Context;
import vocalis.core.instrument.Fretboard;
import vocalis.core.memory.Memory;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Treatment;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;

/**
 * Voices a riff by intent: over all families at once, the cells that together do best what is
 * asked, found by the same exact search as the hand's way, the seam included. Weights set by hand,
 * published in docs/figures.md. Safe for use by several threads.
 */
public final class Revoicer {

    private static final int BEST = 6;
    private static final int MOST = 12;

    private final Catalogue catalogue;
    private final Hand hand;

    public Revoicer(Catalogue catalogue, Hand hand) {
        this.catalogue = catalogue;
        this.hand = hand;
    }

    /**
     * The riff voiced by intent.
     *
     * @param derived the riff as it stands
     * @param locked chords that keep what they have
     * @param seed decides a surprise; no other intent
     * @return empty where no row does what is asked, as when no note can be held through
     */
    public Optional<Riff> voiced(Derived derived, Intent intent, Set<Integer> locked, long seed) {
        List<List<Cell>> cells = new ArrayList<>();
        for (int i = 0; i < derived.chords().size(); i++) {
            cells.add(locked.contains(i) ? List.of(own(derived, i)) : cells(derived, i));
        }
        if (intent == Intent.HELD_NOTE) {
            return held(cells, new Moves()).map(taken -> riff(derived, taken, locked));
        }
        IntentCosts costs =
                new IntentCosts(intent, cells.size(), seed, IntentCosts.Now.of(derived));
        return Optional.of(riff(derived, best(cells, costs, moves), locked));
    }

    /** Roots whose cells are remembered. */
    private static final int REMEMBERED = 64;

    private record Ask(Fretboard board, Key key, int root) {}

    private final Memory<Ask, List<Cell>> known = new Memory<>(REMEMBERED);

    /** What a chord can take over all families: the likeliest of each. */
    List<Cell> cells(Derived derived, int chord) {
        Ask ask =
                new Ask(
                        derived.riff().ground().board(),
                        derived.riff().ground().key(),
                        derived.chords().get(chord).root());
        List<Cell> all = known.of(ask, this::search);
        return all.isEmpty() ? List.of(own(derived, chord)) : all;
    }

    private List<Cell> search(Ask ask) {
        Key key = ask.key();
        List<Cell> all = new ArrayList<>();
        for (Family f : Family.values()) {
            Ranking ranking = new Ranking(f, List.of(), key);
            List<Candidate> ordered = catalogue.likeliest(ask.board(), hand, f, ask.root(), key);
            Set<Integer> positions = new TreeSet<>();
            int taken = 0;
            for (Candidate c : ordered) {
                if (taken < BEST || positions.add(c.position())) {
                    positions.add(c.position());
                    all.add(Cell.of(f, c, ranking.cost(c), Context.tension(c.voicing(), key)));
                    taken++;
                }
                if (taken == MOST) {
                    break;
                }
            }
        }
        return List.copyOf(all);
    }

    private static Cell own(Derived derived, int chord) {
        Family family = derived.riff().treatments().get(chord).family();
        Candidate c = derived.chords().get(chord).candidate();
        return Cell.of(family, c, 0, Context.tension(c.voicing(), derived.riff().ground().key()));
    }

    static List<Cell> best(List<List<Cell>> cells, IntentCosts costs, Moves moves) {
        List<double[]> alone = new ArrayList<>();
        for (int i = 0; i < cells.size(); i++) {
            double[] each = new double[cells.get(i).size()];
            for (int k = 0; k < each.length; k++) {
                each[k] = costs.alone(i, cells.get(i).get(k));
            }
            alone.add(each);
        }
        int n = cells.size();
        List<double[][]> hands = new ArrayList<>();
        for (int i = 0; i < n && n > 1; i++) {
            hands.add(moves.of(cells.get(i), cells.get((i + 1) % n)));
        }
        LoopPath path =
                LoopPath.around(
                        alone,
                        (from, a, b) ->
                                costs.change(
                                        from,
                                        cells.get(from).get(a),
                                        cells.get((from + 1) % n).get(b),
                                        hands.get(from)[a][b]));
        List<Cell> taken = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            taken.add(cells.get(i).get(path.taken().get(i)));
        }
        return taken;
    }

    /** Every chord with one note: the note and the cells that cost least. */
    static Optional<List<Cell>> held(List<List<Cell>> cells, Moves moves) {
        Set<Integer> notes = new TreeSet<>();
        cells.get(0).forEach(c -> notes.addAll(c.voicing().midi()));
        List<Cell> best = null;
        double least = Double.POSITIVE_INFINITY;
        IntentCosts costs = new IntentCosts(Intent.HELD_NOTE, cells.size(), 0);
        for (int note : notes) {
            List<List<Cell>> with =
                    cells.stream()
                            .map(
                                    all ->
                                            all.stream()
                                                    .filter(c -> c.voicing().midi().contains(note))
                                                    .toList())
                            .toList();
            if (with.stream().anyMatch(List::isEmpty)) {
                continue;
            }
            List<Cell> taken = best(with, costs, moves);
            double cost = costs.of(taken);
            if (cost < least) {
                least = cost;
                best = taken;
            }
        }
        return Optional.ofNullable(best);
    }

    private static Riff riff(Derived derived, List<Cell> taken, Set<Integer> locked) {
        Riff riff = derived.riff();
        List<Treatment> treatments = new ArrayList<>();
        for (int i = 0; i < taken.size(); i++) {
            Treatment t = riff.treatments().get(i);
            Cell c = taken.get(i);
            boolean chosen = t.member().isPresent() || t.bass().isPresent();
            treatments.add(
                    locked.contains(i)
                            ? chosen ? t : t.with(c.family(), Member.OfClass.of(c.voicing()))
                            : t.with(c.family(), Member.OfClass.of(c.voicing()))
                                    .over(Optional.empty()));
        }
        return riff.withTreatments(treatments);
    }

    private final Moves moves = new Moves();
}
