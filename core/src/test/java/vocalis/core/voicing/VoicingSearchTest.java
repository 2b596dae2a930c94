package vocalis.core.voicing;

import static org.assertj.core.api.Assertions.assertThat;
import static vocalis.core.Shapes.STANDARD;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;

class VoicingSearchTest {

    /** Every combination of silence and fret is tried, without any pruning. */
    /** Every fret and silence on every string, tried one by one; nothing is left out beforehand. */
    private static Set<Shape> bruteForce(Family family, Fretboard board, int root, Hand hand) {
        int n = board.strings();
        int perString = board.frets() + 2;
        long combos = (long) Math.pow(perString, n);
        return LongStream.range(0, combos)
                .parallel()
                .mapToObj(c -> frets(c, perString, n))
                .filter(
                        frets -> {
                            Grip grip = Grip.of(frets, board, root);
                            return grip.notes.size() >= 2
                                    && wanted(family, grip)
                                    && hand.playable(board, Shape.of(frets));
                        })
                .map(Shape::of)
                .collect(Collectors.toSet());
    }

    private static int[] frets(long combo, int perString, int strings) {
        int[] frets = new int[strings];
        long rest = combo;
        for (int s = 0; s < strings; s++) {
            frets[s] = (int) (rest % perString) - 1;
            rest /= perString;
        }
        return frets;
    }

    /** Plain facts about a grip, apart from the program's own types. */
    private static final class Grip {
        final List<Integer> notes = new ArrayList<>();
        final List<Integer> degrees = new ArrayList<>();
        final List<Boolean> open = new ArrayList<>();
        int gaps;
        boolean ascending = true;
        int lowest;
        int highestFret;

        static Grip of(int[] frets, Fretboard board, int root) {
            Grip g = new Grip();
            int first = -1;
            int last = -1;
            for (int s = 0; s < frets.length; s++) {
                if (frets[s] >= 0) {
                    int midi = board.midi(s, frets[s]);
                    g.ascending &= g.notes.isEmpty() || midi > g.notes.get(g.notes.size() - 1);
                    g.notes.add(midi);
                    g.degrees.add(Math.floorMod(midi - root, 12));
                    g.open.add(frets[s] == 0);
                    g.highestFret = Math.max(g.highestFret, frets[s]);
                    first = first < 0 ? s : first;
                    last = s;
                }
            }
            if (!g.notes.isEmpty()) {
                g.gaps = last - first + 1 - g.notes.size();
                g.lowest = g.degrees.get(g.notes.indexOf(java.util.Collections.min(g.notes)));
            }
            return g;
        }

        Set<Integer> set() {
            return new HashSet<>(degrees);
        }

        Set<Integer> fretted() {
            Set<Integer> all = new HashSet<>();
            for (int i = 0; i < degrees.size(); i++) {
                if (!open.get(i)) {
                    all.add(degrees.get(i));
                }
            }
            return all;
        }

        long opens() {
            return open.stream().filter(o -> o).count();
        }

        int step(int i) {
            return notes.get(i) - notes.get(i - 1);
        }
    }

    /** The families restated in plain conditions (common practice), apart from the recipes. */
    private static boolean wanted(Family family, Grip g) {
        int n = g.notes.size();
        return switch (family) {
            case POWER ->
                    g.ascending && g.set().equals(Set.of(0, 7)) && g.lowest == 0 && g.gaps <= 3;
            case FOURTH ->
                    g.set().equals(Set.of(0, 7))
                            && g.lowest == 7
                            && n <= 3
                            && g.gaps == 0
                            && (g.step(1) == 5)
                            && (n == 2 || g.step(2) == 7);
            case THIRD ->
                    n == 2
                            && g.gaps <= 3
                            && (g.set().equals(Set.of(0, 3)) && Set.of(3, 9, 15).contains(g.step(1))
                                    || g.set().equals(Set.of(0, 4))
                                            && Set.of(4, 8, 16).contains(g.step(1)));
            case OCTAVE -> octave(g, n);
            case TRIAD -> triad(g, n);
            case SUSPENDED -> suspended(g, n);
            case EXTENDED -> extended(g, n);
            case DRONE -> drone(g, n);
            case SUBSTITUTE -> substitute(g, n);
        };
    }

    private static boolean octave(Grip g, int n) {
        boolean plain =
                n == 2
                        && g.set().equals(Set.of(0))
                        && g.step(1) == 12
                        && g.gaps >= 1
                        && g.gaps <= 2;
        boolean around =
                n == 3
                        && g.gaps <= 1
                        && g.opens() == 1
                        && g.open.get(1)
                        && g.fretted().equals(Set.of(0))
                        && g.lowest == 0
                        && g.step(1) != 0
                        && g.step(2) != 0;
        return plain || around;
    }

    private static boolean triad(Grip g, int n) {
        Set<Set<Integer>> four =
                Set.of(Set.of(0, 4, 7), Set.of(0, 3, 7), Set.of(0, 3, 6), Set.of(0, 4, 8));
        boolean three = n == 3 && g.gaps == 0 && g.ascending && four.contains(g.set());
        boolean openForm =
                n >= 4
                        && g.gaps == 0
                        && g.ascending
                        && g.lowest == 0
                        && (g.set().equals(Set.of(0, 4, 7)) || g.set().equals(Set.of(0, 3, 7)))
                        && g.opens() >= 1
                        && g.opens() < n
                        && g.highestFret <= 4;
        return three || openForm;
    }

    private static boolean suspended(Grip g, int n) {
        boolean three = Set.of(Set.of(0, 2, 7), Set.of(0, 5, 7), Set.of(0, 6, 7)).contains(g.set());
        boolean four =
                Set.of(
                                Set.of(0, 2, 4, 7),
                                Set.of(0, 2, 3, 7),
                                Set.of(0, 4, 5, 7),
                                Set.of(0, 3, 5, 7),
                                Set.of(0, 4, 7, 9),
                                Set.of(0, 3, 7, 9))
                        .contains(g.set());
        return g.ascending
                && (three && n == 3 && g.gaps <= 1 && (g.lowest == 0 || g.lowest == 7)
                        || three
                                && n == 4
                                && g.gaps <= (g.set().contains(6) ? 1 : 0)
                                && g.lowest == 0
                        || four && (n == 4 || n == 5) && g.gaps == 0 && g.lowest == 0);
    }

    private static boolean extended(Grip g, int n) {
        boolean shell =
                Set.of(
                                Set.of(0, 4, 10),
                                Set.of(0, 3, 10),
                                Set.of(0, 4, 11),
                                Set.of(0, 5, 10),
                                Set.of(0, 3, 6),
                                Set.of(0, 4, 8))
                        .contains(g.set());
        boolean full =
                Set.of(
                                Set.of(0, 4, 7, 10),
                                Set.of(0, 3, 7, 10),
                                Set.of(0, 4, 7, 11),
                                Set.of(0, 3, 7, 11),
                                Set.of(0, 5, 7, 10),
                                Set.of(0, 2, 4, 10),
                                Set.of(0, 2, 3, 10),
                                Set.of(0, 2, 4, 11),
                                Set.of(0, 3, 5, 10),
                                Set.of(0, 3, 6, 10),
                                Set.of(0, 3, 6, 9),
                                Set.of(0, 4, 6, 10),
                                Set.of(0, 4, 8, 10),
                                Set.of(0, 1, 4, 10),
                                Set.of(0, 3, 4, 10))
                        .contains(g.set());
        return g.ascending && g.lowest == 0 && g.gaps <= 1 && (shell && n == 3 || full && n == 4);
    }

    private static boolean drone(Grip g, int n) {
        boolean unison = false;
        for (int i = 1; i < n; i++) {
            unison |= g.step(i) == 0;
        }
        boolean movable = Set.of(Set.of(0, 7), Set.of(0, 4), Set.of(0, 3)).contains(g.fretted());
        int low = g.notes.indexOf(java.util.Collections.min(g.notes));
        boolean bass = g.open.get(low) || g.fretted().contains(g.lowest);
        return n >= 4
                && g.gaps == 0
                && !unison
                && movable
                && bass
                && g.opens() >= 1
                && n - g.opens() >= 2;
    }

    private static boolean substitute(Grip g, int n) {
        if (!g.ascending) {
            return false;
        }
        Set<Integer> s = g.set();
        return n == 3 && g.gaps <= 1 && s.equals(Set.of(6, 10, 4)) && g.lowest == 6
                || n == 4 && g.gaps <= 1 && s.equals(Set.of(6, 10, 1, 4)) && g.lowest == 6
                || n == 3
                        && g.gaps == 0
                        && Set.of(Set.of(4, 7, 11), Set.of(3, 7, 10), Set.of(8, 0, 3)).contains(s)
                || n == 4 && g.gaps <= 1 && s.equals(Set.of(9, 0, 4, 7)) && g.lowest == 9;
    }

    /** Six strings and twelve frets, less a capo's: up to 7.5 million grips a time. */
    @Test
    void theSearchFindsExactlyWhatBruteForceFinds() {
        Instrument standard = new Instrument(Tuning.STANDARD, 12, 648, false);
        Instrument dropped = new Instrument(Tuning.LOW_D, 12, 648, false);
        for (Family family : List.of(Family.POWER, Family.FOURTH, Family.OCTAVE)) {
            same(family, new Fretboard(standard, 2), 4, Hand.SMALL);
            same(family, new Fretboard(dropped, 1), 9, Hand.LARGE);
        }
    }

    /** All nine families, with every fret of four strings tried. */
    @Test
    void onFourStringsEveryFamilyIsWhatBruteForceFinds() {
        Tuning four = Tuning.parse("four", "D3 G3 B3 E4");
        Tuning low = Tuning.parse("four low", "D2 A2 D3 G3");
        for (Family family : Family.values()) {
            same(family, new Fretboard(new Instrument(four, 15, 648, false), 0), 9, Hand.MEDIUM);
            same(family, new Fretboard(new Instrument(low, 15, 648, false), 1), 2, Hand.SMALL);
        }
    }

    private static void same(Family family, Fretboard board, int root, Hand hand) {
        Set<Shape> ours =
                Set.copyOf(
                        VoicingSearch.all(family, board, root, hand).stream()
                                .map(Voicing::shape)
                                .toList());
        assertThat(ours)
                .as(
                        "%s on %d, %s, %s hand",
                        family, root, board.instrument().tuning().name(), hand.name())
                .isNotEmpty()
                .isEqualTo(bruteForce(family, board, root, hand));
    }

    /** Drones and triads of common practice are among what their families offer. */
    @Test
    void theShapesOfTheWiderFamiliesAreFound() {
        assertThat(shapes(Family.DRONE, 0)).contains("x-3-5-5-0-0");
        assertThat(shapes(Family.DRONE, 2)).contains("x-5-7-7-0-0");
        assertThat(shapes(Family.DRONE, 6)).contains("x-9-11-11-0-0");
        assertThat(shapes(Family.DRONE, 7)).contains("x-10-12-12-0-0", "x-10-9-0-8-0");
        assertThat(shapes(Family.TRIAD, 2)).contains("x-x-7-7-6-x", "x-x-7-7-7-x");
        assertThat(shapes(Family.TRIAD, 0)).contains("x-x-5-5-5-x");
        assertThat(shapes(Family.THIRD, 9)).contains("5-3-x-x-x-x");
        assertThat(shapes(Family.SUSPENDED, 2)).contains("x-5-7-7-x-4");
    }

    /**
     * Power chords, open forms, fourths and octaves of common practice are among what is offered.
     */
    @Test
    void theShapesThatPlayersKnowAreFound() {
        assertThat(shapes(Family.POWER, 9)).contains("5-7-7-x-x-x", "x-0-2-2-x-x");
        assertThat(shapes(Family.POWER, 2)).contains("x-5-7-7-x-x");
        assertThat(shapes(Family.POWER, 4)).contains("0-x-x-x-0-0", "0-2-2-x-x-x");
        assertThat(shapes(Family.FOURTH, 11)).contains("x-x-4-4-x-x");
        assertThat(shapes(Family.FOURTH, 5)).contains("x-3-3-x-x-x");
        assertThat(shapes(Family.OCTAVE, 2)).contains("x-5-x-7-x-x");
        assertThat(shapes(Family.OCTAVE, 0)).contains("8-x-10-x-x-x");
    }

    /** Common practice: from string 4 to 2 and 3 to 1 an octave lies three frets up. */
    @Test
    void octavesOnTheThinStringsLieThreeFretsUp() {
        assertThat(shapes(Family.OCTAVE, 9)).contains("x-x-7-x-10-x", "x-x-x-2-x-5");
    }

    /** Common practice: voices are counted from the top. */
    @Test
    void stacksAreThinnedFromTheTop() {
        Voicing stack = new Voicing(Shape.parse("5-7-7-9-10-x"), STANDARD, 9);
        assertThat(stack.midi()).containsExactly(45, 52, 57, 64, 69);
        assertThat(stack.thinned(2).shape().text()).isEqualTo("5-7-7-x-10-x");
        assertThat(stack.thinned(3).shape().text()).isEqualTo("5-7-x-9-10-x");
        assertThat(stack.thinned(3).thinned(2).shape().text()).isEqualTo("5-7-x-x-10-x");
    }

    @Test
    void shapeClassesAreTheSameWhereTheShapeIsMoved() {
        Voicing a = new Voicing(Shape.parse("5-7-7-x-x-x"), STANDARD, 9);
        Voicing d = new Voicing(Shape.parse("x-5-7-7-x-x"), STANDARD, 2);
        Voicing onThinStrings = new Voicing(Shape.parse("x-x-7-9-10-x"), STANDARD, 9);
        assertThat(a.shapeClass()).isEqualTo(d.shapeClass()).isEqualTo(onThinStrings.shapeClass());
        assertThat(ShapeClass.parse(a.shapeClass().text())).isEqualTo(a.shapeClass());
        Voicing fourth = new Voicing(Shape.parse("x-x-7-7-x-x"), STANDARD, 2);
        assertThat(fourth.shapeClass()).isNotEqualTo(a.shapeClass());
    }

    private static List<String> shapes(Family family, int root) {
        return VoicingSearch.all(family, STANDARD, root, Hand.MEDIUM).stream()
                .map(v -> v.shape().text())
                .toList();
    }
}
