package vocalis.core.derive;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import vocalis.core.choice.BassUnder;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Filter;
import vocalis.core.choice.Fingers;
import vocalis.core.choice.Ranking;
import vocalis.core.hands.Change;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.hands.Muting;
import vocalis.core.hands.Path;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Treatment;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/**
 * The first stage of derivation: which voicing each chord takes. A chord whose member was chosen
 * takes the voicing of that shape class nearest to the chosen place; the others lie where the hand
 * has the best way through the whole riff ({@link Path}), its seam included. What the ground no
 * longer allows is replaced by the best that it does, and found. Answers are remembered by all that
 * they depend on, so an edit looks up what it left alone. Used by one thread at a time.
 */
public final class Voicer {

    private static final double OTHER_STRING = 5;
    private static final int REMEMBERED = 8192;
    private static final int REMEMBERED_WAYS = 32;

    /**
     * How many candidates a way is sought among: the best at all, and the best of each position.
     */
    private static final int BEST = 10;

    private static final int OF_EACH_POSITION = 2;
    private static final int MOST = 40;

    /** How much more a shape counts by itself than the changes to and from it. */
    private static final double ITSELF = 2;

    /** What a shape costs that no hand holds. */
    private static final double MOST_COST = 1e6;

    /** All that the choice of a voicing depends on. */
    private record Ask(
            Fretboard board,
            Key key,
            Hand hand,
            Family family,
            Optional<Member> member,
            int root,
            Optional<Integer> bass) {}

    /**
     * Among what a chord's shape is chosen.
     *
     * @param shapes the likeliest, at least one
     * @param alone what each costs by itself
     * @param silent whether the chord cannot be played at all
     */
    private record Options(
            List<Candidate> shapes,
            double[] alone,
            boolean byHand,
            boolean silent,
            List<Trouble> troubles) {}

    /** What a problem is, before it is known which chord has it. */
    private interface Trouble {
        Finding at(int chord);
    }

    /**
     * A voicing chosen.
     *
     * @param own its shape before a bass was put under it
     * @param free strings that no hand silences
     * @param silent whether it stands for a chord that cannot be played
     */
    record Voiced(
            Candidate candidate,
            Shape own,
            boolean byHand,
            List<Integer> free,
            boolean silent,
            List<Trouble> troubles) {

        void find(int chord, List<Finding> findings) {
            troubles.forEach(t -> findings.add(t.at(chord)));
        }
    }

    private final Catalogue catalogue;
    private final Map<Ask, Options> known = remembering(REMEMBERED);
    private final Map<List<Ask>, List<Voiced>> ways = remembering(REMEMBERED_WAYS);

    Voicer(Catalogue catalogue) {
        this.catalogue = catalogue;
    }

    private static <K, V> Map<K, V> remembering(int most) {
        return new LinkedHashMap<>(64, 0.75f, true) {
            @Override
            protected boolean removeEldestEntry(Map.Entry<K, V> eldest) {
                return size() > most;
            }
        };
    }

    /** The voicings of a riff's chords, in their order. */
    List<Voiced> voiced(Riff riff, Hand hand) {
        List<Ask> asks = asks(riff, hand);
        List<Voiced> before = ways.get(asks);
        if (before == null) {
            before = walked(asks, Change.USUAL, Filter.NONE);
            ways.put(asks, before);
        }
        return before;
    }

    /**
     * The riff with the best way for a wish between easy hands and the same tone, its shapes
     * chosen; chords whose shape was chosen before keep it.
     */
    Riff laid(Riff riff, Hand hand, Change change, Filter filter) {
        List<Voiced> all = walked(asks(riff, hand), change, filter);
        Riff out = riff;
        for (int i = 0; i < all.size(); i++) {
            if (riff.treatments().get(i).member().isEmpty() && !all.get(i).silent) {
                out = out.withTreatment(i, holding(out, i, all.get(i).own, hand));
            }
        }
        return out;
    }

    private static List<Ask> asks(Riff riff, Hand hand) {
        List<Ask> asks = new ArrayList<>();
        for (int i = 0; i < riff.roots().size(); i++) {
            asks.add(ask(riff, hand, i, riff.treatments().get(i)));
        }
        return asks;
    }

    private static Ask ask(Riff riff, Hand hand, int chord, Treatment t) {
        Key key = riff.ground().key();
        return new Ask(
                riff.ground().board(),
                key,
                hand,
                t.family(),
                t.member(),
                riff.roots().get(chord).root().pitchClass(key),
                t.bass().map(b -> b.pitchClass(key)));
    }

    private Options passing(Ask ask, Filter filter) {
        Options all = options(ask);
        if (filter.equals(Filter.NONE) || ask.member.isPresent()) {
            return all;
        }
        // The filter may want what lies far behind in the order: all of the family is looked at.
        List<Candidate> kept =
                catalogue.candidates(ask.board, ask.hand, ask.family, ask.root).stream()
                        .filter(c -> filter.accepts(c, ask.hand))
                        .toList();
        if (kept.isEmpty()) {
            return all;
        }
        Ranking ranking = new Ranking(ask.family, List.of(), ask.key);
        List<Candidate> best = ranking.ordered(kept).stream().limit(BEST * 2L).toList();
        double[] alone = best.stream().mapToDouble(c -> ITSELF * ranking.cost(c)).toArray();
        return new Options(best, alone, all.byHand, all.silent, all.troubles);
    }

    private Options options(Ask ask) {
        Options o = known.get(ask);
        if (o == null) {
            o = new Choice(ask).options();
            known.put(ask, o);
        }
        return o;
    }

    /**
     * The way through a riff.
     *
     * @param filter what is let through of the shapes that no player chose, where it lets any
     *     through
     */
    private List<Voiced> walked(List<Ask> asks, Change change, Filter filter) {
        List<Options> options = new ArrayList<>();
        List<Path.Stop> stops = new ArrayList<>();
        for (Ask a : asks) {
            Options o = passing(a, filter);
            options.add(o);
            List<Shape> shapes = o.shapes.stream().map(c -> c.voicing().shape()).toList();
            stops.add(new Path.Stop(shapes, o.alone, a.family, a.root));
        }
        Path path = Path.around(asks.get(0).board(), stops, change);
        List<Candidate> own = new ArrayList<>();
        List<Choice> choices = new ArrayList<>();
        List<Candidate> over = new ArrayList<>();
        for (int i = 0; i < asks.size(); i++) {
            choices.add(new Choice(asks.get(i)));
            own.add(options.get(i).shapes.get(path.taken().get(i)));
            over.add(choices.get(i).over(options.get(i), own.get(i)));
        }
        List<Candidate> held = Fingers.along(asks.get(0).board(), asks.get(0).hand, over);
        List<Voiced> all = new ArrayList<>();
        for (int i = 0; i < asks.size(); i++) {
            Shape shape = own.get(i).voicing().shape();
            all.add(choices.get(i).made(options.get(i), shape, held.get(i)));
        }
        return all;
    }

    /**
     * A riff worked on again after it was at rest: where the program would now take another shape
     * than the one settled, and the hand holds that one, it becomes the chord's member; by its
     * class where the family has it, else as if built by hand.
     */
    Riff kept(Riff riff, Hand hand) {
        Fretboard board = riff.ground().board();
        Riff now = riff.withTreatments(unsettled(riff));
        // Each shape kept may draw others with it, so it is asked again until nothing moves.
        for (int round = 0; round <= riff.roots().size(); round++) {
            List<Voiced> all = voiced(now, hand);
            List<Treatment> kept = new ArrayList<>(now.treatments());
            for (int i = 0; i < kept.size(); i++) {
                Optional<Shape> was = riff.treatments().get(i).settled();
                boolean moved =
                        was.isPresent()
                                && kept.get(i).member().isEmpty()
                                && !was.get().equals(all.get(i).own)
                                && mayBeHeld(was.get(), board, hand);
                if (moved) {
                    kept.set(i, holding(now, i, was.get(), hand));
                }
            }
            if (kept.equals(now.treatments())) {
                return now;
            }
            now = now.withTreatments(kept);
        }
        return now;
    }

    private static List<Treatment> unsettled(Riff riff) {
        return riff.treatments().stream().map(t -> t.settled(Optional.empty())).toList();
    }

    /** A treatment that takes a shape: as a member of its family, or as if built by hand. */
    private Treatment holding(Riff riff, int chord, Shape shape, Hand hand) {
        Treatment t = riff.treatments().get(chord);
        int root = riff.roots().get(chord).root().pitchClass(riff.ground().key());
        Member.Found found = Member.Found.of(new Voicing(shape, riff.ground().board(), root));
        Ask ask = ask(riff, hand, chord, t.with(t.family(), found));
        boolean same = options(ask).shapes.get(0).voicing().shape().equals(shape);
        return t.with(t.family(), same ? found : new Member.ByHand(shape, root));
    }

    private static boolean mayBeHeld(Shape shape, Fretboard board, Hand hand) {
        return shape.strings() == board.strings()
                && shape.voices() > 0
                && shape.highestFretted() <= board.frets()
                && Fingering.of(board, shape, hand).isPresent();
    }

    /** A riff at rest: with the shape that each chord takes where no member is chosen. */
    Riff settled(Riff riff, Hand hand) {
        List<Voiced> all = voiced(riff, hand);
        List<Treatment> settled = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            Treatment t = riff.treatments().get(i);
            Shape own = all.get(i).own;
            settled.add(
                    t.settled(
                            t.member().isEmpty() && !all.get(i).silent
                                    ? Optional.of(own)
                                    : Optional.empty()));
        }
        return riff.withTreatments(settled);
    }

    /** One choice being made. */
    private final class Choice {
        private final Ask ask;
        private final List<Trouble> troubles = new ArrayList<>();
        private boolean silent;

        Choice(Ask ask) {
            this.ask = ask;
        }

        /** Among what the chord's shape is chosen. */
        Options options() {
            Optional<Candidate> byHand = byHand();
            List<Candidate> shapes = byHand.map(List::of).orElseGet(this::found);
            Ranking ranking = new Ranking(ask.family, List.of(), ask.key);
            double[] alone =
                    shapes.stream()
                            .mapToDouble(c -> Math.min(MOST_COST, ITSELF * ranking.cost(c)))
                            .toArray();
            return new Options(shapes, alone, byHand.isPresent(), silent, List.copyOf(troubles));
        }

        /** A shape with the chord's bass put under it. */
        Candidate over(Options options, Candidate alone) {
            troubles.addAll(options.troubles);
            silent = options.silent;
            return over(alone);
        }

        /** The chord with a shape chosen, and how it is held. */
        Voiced made(Options options, Shape own, Candidate held) {
            return new Voiced(held, own, options.byHand, free(held), silent, List.copyOf(troubles));
        }

        /** Strings that the shape leaves unsounded and that no hand can silence. */
        private List<Integer> free(Candidate c) {
            return Muting.of(c.voicing().shape(), c.fingering()).silences().stream()
                    .filter(s -> s.by() == Muting.By.NOTHING)
                    .map(Muting.Silence::string)
                    .toList();
        }

        private Candidate over(Candidate c) {
            if (ask.bass.isEmpty() || silent) {
                return c;
            }
            int bass = ask.bass.get();
            Optional<Candidate> put = BassUnder.put(c, bass, ask.hand);
            if (put.isEmpty()) {
                troubles.add(chord -> new Finding.NoBass(chord, bass));
            }
            return put.orElse(c);
        }

        private List<Candidate> found() {
            if (ask.member.orElse(null) instanceof Member.Found chosen) {
                Optional<Candidate> nearest = nearest(chosen);
                if (nearest.isPresent()) {
                    return List.of(nearest.get());
                }
                troubles.add(chord -> new Finding.MemberGone(chord, ask.family, ask.root));
            }
            List<Candidate> likeliest = likeliest();
            return likeliest.isEmpty() ? List.of(fallback()) : likeliest;
        }

        /** The best at all and the best of each position, best first. */
        private List<Candidate> likeliest() {
            List<Candidate> all =
                    catalogue.likeliest(ask.board, ask.hand, ask.family, ask.root, ask.key);
            int[] taken = new int[64];
            List<Candidate> likely = new ArrayList<>();
            for (Candidate c : all) {
                int at = Math.min(c.position(), taken.length - 1);
                if (likely.size() < BEST || taken[at] < OF_EACH_POSITION) {
                    taken[at]++;
                    likely.add(c);
                }
                if (likely.size() == MOST) {
                    break;
                }
            }
            return likely;
        }

        /** The place of a shape class that lies nearest to where it was chosen. */
        private Optional<Candidate> nearest(Member.Found chosen) {
            Candidate best = null;
            double least = Double.POSITIVE_INFINITY;
            int strings = chosen.shapeClass().steps().size();
            for (Candidate c : catalogue.candidates(ask.board, ask.hand, ask.family, ask.root)) {
                double far =
                        OTHER_STRING * Math.abs(c.lowString() - chosen.lowString())
                                + Math.abs(c.position() - chosen.nearFret());
                if (far < least
                        && c.voicing().voices() == strings
                        && c.voicing().shapeClass().equals(chosen.shapeClass())) {
                    best = c;
                    least = far;
                }
            }
            return Optional.ofNullable(best);
        }

        private Optional<Candidate> byHand() {
            if (!(ask.member.orElse(null) instanceof Member.ByHand built)) {
                return Optional.empty();
            }
            int up = Math.floorMod(ask.root - built.root(), 12);
            for (int by : up > 6 ? new int[] {up - 12, up} : new int[] {up, up - 12}) {
                Optional<Candidate> moved =
                        built.shape().strings() != ask.board.strings()
                                ? Optional.empty()
                                : built.shape().moved(by, ask.board.frets()).flatMap(this::held);
                if (moved.isPresent()) {
                    return moved;
                }
            }
            troubles.add(chord -> new Finding.ShapeGone(chord, built.shape()));
            return Optional.empty();
        }

        private Optional<Candidate> held(Shape shape) {
            if (shape.frets().stream().anyMatch(f -> f > ask.board.frets())) {
                return Optional.empty();
            }
            Fingering fingering =
                    Fingering.of(ask.board, shape, ask.hand)
                            .orElseGet(
                                    () ->
                                            new Fingering(
                                                    List.of(),
                                                    Fingering.Effort.IMPOSSIBLE,
                                                    ask.board.spanMm(
                                                            shape.lowestFretted(),
                                                            shape.highestFretted())));
            return Optional.of(new Candidate(new Voicing(shape, ask.board, ask.root), fingering));
        }

        /** The root alone on the lowest string that has it; silence where no string has. */
        private Candidate fallback() {
            Fretboard board = ask.board;
            for (int string = 0; string < board.strings(); string++) {
                int fret = Math.floorMod(ask.root - board.midi(string, 0), 12);
                if (fret <= board.frets()) {
                    troubles.add(chord -> new Finding.FamilyEmpty(chord, ask.family, ask.root));
                    return held(Shape.silent(board.strings()).with(string, fret)).orElseThrow();
                }
            }
            silent = true;
            troubles.add(chord -> new Finding.RootOutOfReach(chord, ask.root));
            return held(Shape.silent(board.strings()).with(0, 0)).orElseThrow();
        }
    }
}
