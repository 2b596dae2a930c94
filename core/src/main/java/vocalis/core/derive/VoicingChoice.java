package vocalis.core.derive;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import vocalis.core.choice.BassUnder;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Ranking;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.hands.Muting;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Member;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.ShapeClass;
import vocalis.core.voicing.Voicing;

/** One choice being made. */
final class VoicingChoice {

    /**
     * How many candidates a way is sought among: the best at all, and the best of each position.
     */
    static final int BEST = 10;

    /** How much more a shape counts by itself than the changes to and from it. */
    static final double ITSELF = 2;

    /** All that the choice of a voicing depends on. */
    record Ask(
            Fretboard board,
            Key key,
            Hand hand,
            Family family,
            Optional<Member> member,
            int root,
            Optional<Integer> bass,
            Optional<List<Integer>> fingers) {}

    /**
     * Among what a chord's shape is chosen.
     *
     * @param shapes the likeliest, at least one
     * @param alone what each costs by itself
     * @param silent whether the chord cannot be played at all
     */
    record Options(
            List<Candidate> shapes,
            double[] alone,
            boolean byHand,
            boolean silent,
            List<Trouble> troubles) {}

    /** What a problem is, before it is known which chord has it. */
    interface Trouble {
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

    private static final double OTHER_STRING = 5;

    private static final int MOST = 40;

    /** What a shape costs that no hand holds. */
    private static final double MOST_COST = 1e6;

    private static final int OF_EACH_POSITION = 2;

    private final Catalogue catalogue;
    private final Ask ask;
    private final List<Trouble> troubles = new ArrayList<>();
    private boolean silent;

    VoicingChoice(Catalogue catalogue, Ask ask) {
        this.catalogue = catalogue;
        this.ask = ask;
    }

    /** Among what the chord's shape is chosen. */
    Options options() {
        Optional<Candidate> byHand = byHand();
        List<Candidate> shapes = byHand.map(List::of).orElseGet(this::found);
        Ranking ranking = new Ranking(ask.family(), List.of(), ask.key());
        double[] alone =
                shapes.stream()
                        .mapToDouble(c -> Math.min(MOST_COST, ITSELF * ranking.cost(c)))
                        .toArray();
        return new Options(shapes, alone, byHand.isPresent(), silent, List.copyOf(troubles));
    }

    /** A shape with the chord's bass put under it. */
    Candidate over(Options options, Candidate alone) {
        troubles.addAll(options.troubles());
        silent = options.silent();
        return over(alone);
    }

    /** The chord with a shape chosen, and how it is held. */
    Voiced made(Options options, Shape own, Candidate held) {
        return new Voiced(held, own, options.byHand(), free(held), silent, List.copyOf(troubles));
    }

    /** Strings that the shape leaves unsounded and that no hand can silence. */
    private List<Integer> free(Candidate c) {
        return Muting.of(c.voicing().shape(), c.fingering()).silences().stream()
                .filter(s -> s.by() == Muting.By.NOTHING)
                .map(Muting.Silence::string)
                .toList();
    }

    private Candidate over(Candidate c) {
        if (ask.bass().isEmpty() || silent) {
            return c;
        }
        int bass = ask.bass().get();
        Optional<Candidate> put = BassUnder.put(c, bass, ask.hand());
        if (put.isEmpty()) {
            troubles.add(chord -> new Finding.NoBass(chord, bass));
        }
        return put.orElse(c);
    }

    private List<Candidate> found() {
        if (ask.member().orElse(null) instanceof Member.OfClass chosen) {
            Optional<Candidate> nearest = nearest(chosen);
            if (nearest.isPresent()) {
                return List.of(nearest.get());
            }
            troubles.add(chord -> new Finding.MemberGone(chord, ask.family(), ask.root()));
        }
        List<Candidate> likeliest = likeliest();
        return likeliest.isEmpty() ? List.of(fallback()) : likeliest;
    }

    /** The best at all and the best of each position, best first. */
    private List<Candidate> likeliest() {
        List<Candidate> all =
                catalogue.likeliest(ask.board(), ask.hand(), ask.family(), ask.root(), ask.key());
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
    private Optional<Candidate> nearest(Member.OfClass chosen) {
        Candidate best = null;
        double least = Double.POSITIVE_INFINITY;
        int strings = chosen.shapeClass().steps().size();
        for (Candidate c :
                catalogue.candidates(ask.board(), ask.hand(), ask.family(), ask.root())) {
            double far =
                    OTHER_STRING * Math.abs(c.lowString() - chosen.lowString())
                            + Math.abs(c.position() - chosen.nearFret());
            if (far < least
                    && c.voicing().voices() == strings
                    && ShapeClass.of(c.voicing()).equals(chosen.shapeClass())) {
                best = c;
                least = far;
            }
        }
        return Optional.ofNullable(best);
    }

    private Optional<Candidate> byHand() {
        if (!(ask.member().orElse(null) instanceof Member.ByHand built)) {
            return Optional.empty();
        }
        int up = Math.floorMod(ask.root() - built.root(), 12);
        for (int by : up > 6 ? new int[] {up - 12, up} : new int[] {up, up - 12}) {
            Optional<Candidate> moved =
                    built.shape().strings() != ask.board().strings()
                            ? Optional.empty()
                            : built.shape().moved(by, ask.board().frets()).flatMap(this::held);
            if (moved.isPresent()) {
                return moved;
            }
        }
        troubles.add(chord -> new Finding.ShapeGone(chord, built.shape()));
        return Optional.empty();
    }

    private Optional<Candidate> held(Shape shape) {
        if (shape.frets().stream().anyMatch(f -> f > ask.board().frets())) {
            return Optional.empty();
        }
        Fingering fingering =
                Fingering.of(ask.board(), shape, ask.hand())
                        .orElseGet(
                                () ->
                                        new Fingering(
                                                List.of(),
                                                Fingering.Effort.IMPOSSIBLE,
                                                ask.board()
                                                        .spanMm(
                                                                shape.lowestFretted(),
                                                                shape.highestFretted())));
        return Optional.of(new Candidate(new Voicing(shape, ask.board(), ask.root()), fingering));
    }

    /** The root alone on the lowest string that has it; silence where no string has. */
    private Candidate fallback() {
        Fretboard board = ask.board();
        for (int string = 0; string < board.strings(); string++) {
            int fret = Math.floorMod(ask.root() - board.midi(string, 0), 12);
            if (fret <= board.frets()) {
                troubles.add(chord -> new Finding.FamilyEmpty(chord, ask.family(), ask.root()));
                return held(Shape.silent(board.strings()).with(string, fret)).orElseThrow();
            }
        }
        silent = true;
        troubles.add(chord -> new Finding.RootOutOfReach(chord, ask.root()));
        return held(Shape.silent(board.strings()).with(0, 0)).orElseThrow();
    }
}
