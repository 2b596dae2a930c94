package vocalis.core.vary;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedSet;
import java.util.TreeSet;
import java.util.stream.IntStream;
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
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

/**
 * One or two open strings that ring through the whole riff, under or over shapes that move: which
 * roots they suit, and the riff voiced so where the neck has a shape for every root.
 */
public final class HeldDrones {

    /** Semitones above a root that a ringing string rubs against it (common practice). */
    static final List<Integer> RUBS = List.of(1, 6, 8, 11);

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
     * @param transpositions semitones up, 1 to 11, by which the riff would lie so that none rubs
     * @param spoiled families of which some chord of the riff would have a tone a semitone beside a
     *     string: of powers, fourths, thirds, octaves and triads
     * @param capos frets, 1 to 7 above where it is now, at which a capo would make the strings rub
     *     nowhere
     */
    public record Offer(
            SortedSet<Integer> strings,
            List<List<Degree>> degrees,
            int rubs,
            Optional<Riff> riff,
            int without,
            List<Integer> transpositions,
            List<Integer> capos,
            List<Family> spoiled) {}

    /** What strings are held against, from the least tones to the most. */
    private static final List<Family> PLAIN =
            List.of(Family.OCTAVE, Family.POWER, Family.FOURTH, Family.THIRD, Family.TRIAD);

    /** Capos farther up leave too little of the neck (common practice). */
    private static final int FARTHEST_CAPO = 7;

    /** Every one string and every two neighbours, those that rub least and can be played first. */
    public static List<Offer> of(Derived derived, Catalogue catalogue) {
        int strings = derived.riff().ground().board().strings();
        Map<Integer, List<Candidate>> shapes = new HashMap<>();
        for (Derived.Chord c : derived.chords()) {
            shapes.computeIfAbsent(
                    c.root(),
                    root ->
                            catalogue.candidates(
                                    derived.riff().ground().board(),
                                    derived.hand(),
                                    Family.DRONE,
                                    root));
        }
        List<Offer> all = new ArrayList<>();
        for (int s = 0; s < strings; s++) {
            all.add(offer(derived, shapes, new TreeSet<>(List.of(s))));
            if (s + 1 < strings) {
                all.add(offer(derived, shapes, new TreeSet<>(List.of(s, s + 1))));
            }
        }
        all.sort(
                Comparator.comparing((Offer o) -> o.riff.isEmpty())
                        .thenComparingInt(o -> o.rubs)
                        .thenComparingInt(o -> -o.strings.size()));
        return all;
    }

    private static Offer offer(
            Derived derived, Map<Integer, List<Candidate>> shapes, SortedSet<Integer> strings) {
        Fretboard board = derived.riff().ground().board();
        List<List<Degree>> degrees = new ArrayList<>();
        for (Derived.Chord c : derived.chords()) {
            degrees.add(strings.stream().map(s -> Degree.above(above(board, s, c, 0))).toList());
        }
        int rubs = rubs(derived, strings, 0);
        List<Integer> transpositions = clean(derived, strings, 11, -1);
        List<Integer> capos = clean(derived, strings, FARTHEST_CAPO, 1);
        List<Family> spoiled = PLAIN.stream().filter(f -> spoils(derived, strings, f)).toList();
        Riff riff = derived.riff();
        List<Shape> before = new ArrayList<>();
        for (int i = 0; i < derived.chords().size(); i++) {
            Optional<Candidate> best = best(derived, shapes, strings, i, before);
            if (best.isEmpty()) {
                return new Offer(
                        strings,
                        degrees,
                        rubs,
                        Optional.empty(),
                        i,
                        transpositions,
                        capos,
                        spoiled);
            }
            Voicing v = best.get().voicing();
            before = List.of(v.shape());
            riff = Chords.member(riff, i, Family.DRONE, Member.OfClass.of(v));
        }
        return new Offer(
                strings, degrees, rubs, Optional.of(riff), -1, transpositions, capos, spoiled);
    }

    /** From one to so many semitones, those that leave nothing rubbing when moved that way. */
    private static List<Integer> clean(
            Derived derived, SortedSet<Integer> strings, int most, int way) {
        return IntStream.rangeClosed(1, most)
                .filter(t -> rubs(derived, strings, way * t) == 0)
                .boxed()
                .toList();
    }

    /** Semitones of a string above a chord's root, were the string so many higher. */
    private static int above(Fretboard board, int string, Derived.Chord c, int higher) {
        return Math.floorMod(board.midi(string, 0) + higher - c.root(), 12);
    }

    /** Whether a string lies a semitone beside a tone of the family's chord on one of the roots. */
    private static boolean spoils(Derived derived, SortedSet<Integer> strings, Family family) {
        Fretboard board = derived.riff().ground().board();
        Key key = derived.riff().ground().key();
        return derived.chords().stream()
                .anyMatch(
                        c ->
                                tones(family, c.root(), key).stream()
                                        .anyMatch(
                                                t ->
                                                        strings.stream()
                                                                .map(s -> above(board, s, c, -t))
                                                                .anyMatch(d -> d == 1 || d == 11)));
    }

    /** Semitones of a family's plain chord above its root, the third as the key has it. */
    private static List<Integer> tones(Family family, int root, Key key) {
        int third = key.contains(root + 3) && !key.contains(root + 4) ? 3 : 4;
        return switch (family) {
            case OCTAVE -> List.of(0);
            case THIRD -> List.of(0, third);
            case TRIAD -> List.of(0, third, 7);
            default -> List.of(0, 7);
        };
    }

    /** On how many chords one of the strings rubs, were they so many semitones higher. */
    private static int rubs(Derived derived, SortedSet<Integer> strings, int higher) {
        Fretboard board = derived.riff().ground().board();
        return (int)
                derived.chords().stream()
                        .filter(
                                c ->
                                        strings.stream()
                                                .anyMatch(
                                                        s ->
                                                                RUBS.contains(
                                                                        above(
                                                                                board, s, c,
                                                                                higher))))
                        .count();
    }

    /** The best shape of a root under the strings, near the one before it. */
    private static Optional<Candidate> best(
            Derived derived,
            Map<Integer, List<Candidate>> shapes,
            SortedSet<Integer> strings,
            int chord,
            List<Shape> before) {
        int root = derived.chords().get(chord).root();
        List<Candidate> there =
                shapes.get(root).stream()
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
