package vocalis.core.choice;

import java.util.Comparator;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.Voicing;

/**
 * Puts another bass under a voicing: on a lower string that is free, on one whose note sounds
 * elsewhere too, or by moving the lowest note on its own string; the easiest that the hand holds.
 */
public final class BassUnder {

    /** So much effort a voice is worth that stays; set by hand. */
    private static final double PER_VOICE = 1.5;

    /** An open string under a closed grip of the low strings rings on: set by hand. */
    private static final double RINGS_NOW = 1;

    private BassUnder() {}

    /**
     * The voicing over a bass; itself when it has that bass already.
     *
     * @param bass pitch class, 0 to 11
     * @return empty when no place for the bass can be held
     */
    public static Optional<Candidate> put(Candidate c, int bass, Hand hand) {
        Voicing v = c.voicing();
        if (Math.floorMod(v.bass(), 12) == bass) {
            return Optional.of(c);
        }
        int lowest = c.lowString();
        Shape shape = v.shape();
        Stream<Shape> below =
                IntStream.range(0, lowest).boxed().flatMap(s -> places(v.board(), shape, s, bass));
        Optional<Candidate> added = easiest(Stream.concat(below, doubled(v, bass)), v, bass, hand);
        if (added.isPresent() || v.voices() == 1) {
            return added;
        }
        return easiest(places(v.board(), shape, lowest, bass), v, bass, hand);
    }

    /**
     * The bass on a string that the shape needs for nothing: every note that goes for it sounds on
     * another string too.
     */
    private static Stream<Shape> doubled(Voicing v, int bass) {
        Shape shape = v.shape();
        return shape.sounded().stream()
                .flatMap(
                        s -> {
                            Shape over = shape;
                            for (int below = 0; below < s; below++) {
                                over = over.with(below, Shape.SILENT);
                            }
                            return places(v.board(), over, s, bass);
                        })
                .filter(s -> all(s, v).containsAll(v.pitchClasses()));
    }

    private static Set<Integer> all(Shape shape, Voicing v) {
        return Set.copyOf(new Voicing(shape, v.board(), v.root()).pitchClasses());
    }

    private static double cost(Candidate c, Shape before) {
        Shape shape = c.voicing().shape();
        boolean closed = !before.rings() && !before.sounds(before.strings() - 1);
        return c.fingering().effort()
                - PER_VOICE * c.voicing().voices()
                + (closed && shape.rings() ? RINGS_NOW : 0);
    }

    private static Optional<Candidate> easiest(
            Stream<Shape> shapes, Voicing v, int bass, Hand hand) {
        return shapes.filter(s -> new Voicing(s, v.board(), v.root()).bass() % 12 == bass)
                .flatMap(s -> held(v, s, hand).stream())
                .min(
                        Comparator.comparingDouble((Candidate x) -> cost(x, v.shape()))
                                .thenComparing(x -> x.voicing().shape().text()));
    }

    private static Stream<Shape> places(Fretboard board, Shape shape, int string, int bass) {
        return IntStream.rangeClosed(0, board.frets())
                .filter(f -> Math.floorMod(board.midi(string, f), 12) == bass)
                .mapToObj(f -> shape.with(string, f));
    }

    private static Optional<Candidate> held(Voicing v, Shape shape, Hand hand) {
        return Fingering.of(v.board(), shape, hand)
                .map(f -> new Candidate(new Voicing(shape, v.board(), v.root()), f));
    }
}
