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
import vocalis.core.hands.Change;
import vocalis.core.hands.Hand;
import vocalis.core.hands.LoopPath;
import vocalis.core.harmony.Context;
import vocalis.core.instrument.Fretboard;
import vocalis.core.memory.Memory;
import vocalis.core.names.HeardRoot;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Treatment;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/**
 * Voices a riff by intent: over all families at once, the cells that together do best what is
 * asked, found by the same exact search as the hand's way, the seam included. Weights set by hand,
 * published in docs/figures.md. Safe for use by several threads.
 */
public final class Revoicer {

    private static final int BEST = 6;
    private static final int MOST = 12;

    /** What every row keeps of a plausible shape and an easy change. */
    private static final double PLAUSIBLE = 0.2;

    private static final double EASY = 0.3;
    private static final Change HAND = new Change(0);

    private final Catalogue catalogue;
    private final Hand hand;

    public Revoicer(Catalogue catalogue, Hand hand) {
        this.catalogue = catalogue;
        this.hand = hand;
    }

    /**
     * A cell that a chord could take.
     *
     * @param family its family
     * @param candidate voicing and fingering
     * @param plain what it costs as a shape among its family's
     * @param tension in the key, 0 to 100
     * @param top MIDI number of its highest note
     * @param heard whether the root that is heard is the one that was asked for
     */
    record Cell(
            Family family, Candidate candidate, double plain, int tension, int top, boolean heard) {
        Cell(Family family, Candidate candidate, double plain, int tension) {
            this(
                    family,
                    candidate,
                    plain,
                    tension,
                    top(candidate.voicing().midi()),
                    HeardRoot.of(candidate.voicing(), Optional.empty()).root()
                            == candidate.voicing().root());
        }

        private static int top(List<Integer> lowestFirst) {
            return lowestFirst.get(lowestFirst.size() - 1);
        }

        Voicing voicing() {
            return candidate.voicing();
        }
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
        Costs costs = new Costs(intent, cells.size(), seed, highest(derived));
        return Optional.of(riff(derived, best(cells, costs, moves), locked));
    }

    /** The highest fret of the riff as it stands: rows may go as high. */
    private static int highest(Derived derived) {
        return derived.chords().stream()
                .mapToInt(c -> c.candidate().voicing().shape().highestFretted())
                .max()
                .orElse(0);
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
                    all.add(new Cell(f, c, ranking.cost(c), Context.tension(c.voicing(), key)));
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
        return new Cell(family, c, 0, Context.tension(c.voicing(), derived.riff().ground().key()));
    }

    static List<Cell> best(List<List<Cell>> cells, Costs costs, Moves moves) {
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
        Costs costs = new Costs(Intent.HELD_NOTE, cells.size(), 0);
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
                            ? chosen ? t : t.with(c.family(), Member.Found.of(c.voicing()))
                            : t.with(c.family(), Member.Found.of(c.voicing()))
                                    .over(Optional.empty()));
        }
        return riff.withTreatments(treatments);
    }

    /**
     * What the hand's changes between the cells of two roots cost; those of whole roots are kept.
     */
    static final class Moves {
        private static final int KEPT = 256;

        private record Pair(List<Cell> from, List<Cell> to) {
            @Override
            public boolean equals(Object other) {
                return other instanceof Pair p && p.from == from && p.to == to;
            }

            @Override
            public int hashCode() {
                return 31 * System.identityHashCode(from) + System.identityHashCode(to);
            }
        }

        private final Memory<Pair, double[][]> known = new Memory<>(KEPT);

        double[][] of(List<Cell> from, List<Cell> to) {
            return known.of(new Pair(from, to), Moves::costs);
        }

        private static double[][] costs(Pair pair) {
            double[][] costs = new double[pair.from.size()][pair.to.size()];
            for (int a = 0; a < costs.length; a++) {
                for (int b = 0; b < costs[a].length; b++) {
                    costs[a][b] = cost(pair.from.get(a), pair.to.get(b));
                }
            }
            return costs;
        }

        static double cost(Cell a, Cell b) {
            return HAND.cost(
                    a.voicing().board(), a.voicing().shape(), b.voicing().shape(), b.family());
        }
    }

    private final Moves moves = new Moves();

    /** What cells and changes cost for an intent, unitless. */
    static final class Costs {
        private static final double HIGHEST_TENSION = 75;
        private static final double LOWEST_TENSION = 5;
        private static final int MOST_STEP = 4;
        private static final double FALLS = 4;

        /** A root that is swallowed: no row but a surprise may let another be heard. */
        private static final double NOT_HEARD = 30;

        /** Each fret over the twelfth, where a riff of chords is thin and far from the rest. */
        private static final double PER_FRET_TOO_HIGH = 2;

        private static final int HIGHEST_FRET = 12;

        private final Intent intent;
        private final int chords;
        private final long seed;
        private final int highest;

        Costs(Intent intent, int chords, long seed) {
            this(intent, chords, seed, HIGHEST_FRET);
        }

        /**
         * @param riffs the highest fret that the riff has already
         */
        Costs(Intent intent, int chords, long seed, int riffs) {
            this.intent = intent;
            this.chords = chords;
            this.seed = seed;
            highest = Math.max(HIGHEST_FRET, riffs);
        }

        double alone(int chord, Cell c) {
            Voicing v = c.voicing();
            double plain = PLAUSIBLE * Math.min(30, c.plain());
            double swallowed = c.heard() || intent == Intent.SURPRISE ? 0 : NOT_HEARD;
            int over = Math.max(0, v.shape().highestFretted() - highest);
            return plain
                    + swallowed
                    + PER_FRET_TOO_HIGH * over
                    + switch (intent) {
                        case RISING_TENSION -> Math.abs(c.tension() - wanted(chord)) / 8.0;
                        case LEAST_HAND -> Math.min(20, c.candidate().fingering().effort());
                        case LEANEST ->
                                1.5 * Context.roughnessAgainstPowerChord(v, v.root())
                                        + 0.4 * v.voices();
                        case DARKEST -> mean(v) / 4 - shades(v, 1, 3, 6, 8, 10);
                        case BRIGHTEST ->
                                -mean(v) / 4
                                        - shades(v, 2, 4, 7, 9, 11)
                                        - (v.shape().rings() ? 1 : 0);
                        case SURPRISE -> 6 * chance(v);
                        default -> 0;
                    };
        }

        private double wanted(int chord) {
            double share = chords == 1 ? 1 : chord / (chords - 1.0);
            return LOWEST_TENSION + share * (HIGHEST_TENSION - LOWEST_TENSION);
        }

        private static double mean(Voicing v) {
            return v.midi().stream().mapToInt(Integer::intValue).average().orElse(0);
        }

        /** How many of some intervals above the root sound. */
        private static int shades(Voicing v, int... above) {
            int n = 0;
            for (int a : above) {
                n += v.pitchClasses().contains((v.root() + a) % 12) ? 1 : 0;
            }
            return n;
        }

        /** From 0 to 1, the same for the same shape and seed (splitmix64, Steele et al. 2014). */
        private double chance(Voicing v) {
            long z = seed * 0x9E3779B97F4A7C15L + v.shape().textOrder() + 31L * v.root();
            z = (z ^ z >>> 30) * 0xBF58476D1CE4E5B9L;
            z = (z ^ z >>> 27) * 0x94D049BB133111EBL;
            return ((z ^ z >>> 31) >>> 11) * 0x1.0p-53;
        }

        double change(int from, Cell a, Cell b) {
            return change(from, a, b, Moves.cost(a, b));
        }

        /**
         * @param hand cost of the change for the hand
         */
        double change(int from, Cell a, Cell b, double hand) {
            int up = b.top() - a.top();
            boolean seam = from == chords - 1;
            double asked =
                    switch (intent) {
                        case SMOOTH_TOP -> Math.abs(up);
                        case RISING_TOP -> seam ? 0 : climb(up);
                        case FALLING_TOP -> seam ? 0 : climb(-up);
                        case LEAST_HAND -> 2 * hand;
                        case RISING_TENSION ->
                                seam || b.tension() >= a.tension()
                                        ? 0
                                        : FALLS + a.tension() - b.tension();
                        default -> 0;
                    };
            return EASY * hand + asked;
        }

        /** Up by one to four semitones is what is asked. */
        private static double climb(int up) {
            return up <= 0 ? 6 - up : Math.max(0, up - MOST_STEP);
        }

        double of(List<Cell> taken) {
            double cost = 0;
            for (int i = 0; i < taken.size(); i++) {
                cost += alone(i, taken.get(i));
                cost +=
                        taken.size() == 1
                                ? 0
                                : change(i, taken.get(i), taken.get((i + 1) % taken.size()));
            }
            return cost;
        }
    }
}
