package vocalis.core.voicing;

import static org.assertj.core.api.Assertions.assertThat;
import static vocalis.core.Shapes.LOW_D;
import static vocalis.core.Shapes.STANDARD;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;

class VoicingSearchTest {

    /** Every combination of silence and fret is tried, without any pruning. */
    private static Set<Shape> bruteForce(Family family, Fretboard board, int root, Hand hand) {
        Set<Shape> found = new HashSet<>();
        int n = board.strings();
        List<List<Integer>> perString = new ArrayList<>();
        for (int s = 0; s < n; s++) {
            List<Integer> frets = new ArrayList<>(List.of(-1));
            for (int f = 0; f <= board.frets(); f++) {
                int interval = Math.floorMod(board.midi(s, f) - root, 12);
                if (interval == 0 || (interval == 7 && family != Family.OCTAVE)) {
                    frets.add(f);
                }
            }
            perString.add(frets);
        }
        long combos = perString.stream().mapToLong(List::size).reduce(1, (a, b) -> a * b);
        for (long c = 0; c < combos; c++) {
            int[] frets = new int[n];
            long rest = c;
            for (int s = 0; s < n; s++) {
                frets[s] = perString.get(s).get((int) (rest % perString.get(s).size()));
                rest /= perString.get(s).size();
            }
            if (wanted(family, frets, board, root, hand)) {
                found.add(Shape.of(frets));
            }
        }
        return found;
    }

    /** The families restated in plain conditions (common practice), apart from the recipes. */
    private static boolean wanted(
            Family family, int[] frets, Fretboard board, int root, Hand hand) {
        List<Integer> strings = new ArrayList<>();
        List<Integer> notes = new ArrayList<>();
        for (int s = 0; s < frets.length; s++) {
            if (frets[s] >= 0) {
                strings.add(s);
                notes.add(board.midi(s, frets[s]));
            }
        }
        if (notes.size() < 2) {
            return false;
        }
        int gaps = strings.get(strings.size() - 1) - strings.get(0) + 1 - strings.size();
        boolean hasRoot = notes.stream().anyMatch(m -> Math.floorMod(m - root, 12) == 0);
        boolean hasFifth = notes.stream().anyMatch(m -> Math.floorMod(m - root, 12) == 7);
        int bass = Math.floorMod(notes.get(0) - root, 12);
        for (int i = 1; i < notes.size(); i++) {
            int step = notes.get(i) - notes.get(i - 1);
            if (step <= 0 || (family == Family.FOURTH && step != 5 && step != 7)) {
                return false;
            }
        }
        boolean rules =
                switch (family) {
                    case POWER ->
                            hasRoot && hasFifth && bass == 0 && notes.size() <= 6 && gaps <= 3;
                    case FOURTH ->
                            hasRoot && hasFifth && bass == 7 && notes.size() <= 3 && gaps == 0;
                    case OCTAVE ->
                            notes.size() == 2
                                    && notes.get(1) - notes.get(0) == 12
                                    && (gaps == 1 || gaps == 2);
                };
        return rules && hand.playable(board, Shape.of(frets));
    }

    @Test
    void theSearchFindsExactlyWhatBruteForceFinds() {
        List<Fretboard> boards =
                List.of(STANDARD, LOW_D, new Fretboard(Instrument.of(Tuning.STANDARD), 3));
        for (Fretboard board : boards) {
            for (Family family : Family.values()) {
                for (Hand hand : List.of(Hand.SMALL, Hand.LARGE)) {
                    for (int root : new int[] {0, 4, 9}) {
                        Set<Shape> ours =
                                Set.copyOf(
                                        VoicingSearch.all(family.recipe(), board, root, hand)
                                                .stream()
                                                .map(Voicing::shape)
                                                .toList());
                        assertThat(ours)
                                .as(
                                        "%s on %d, capo %d, %s hand",
                                        family, root, board.capo(), hand.name())
                                .isNotEmpty()
                                .isEqualTo(bruteForce(family, board, root, hand));
                    }
                }
            }
        }
    }

    /** C1, C2, C3, C13, C16-like and C17 (common practice) are among what is offered. */
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

    /** C17, common practice: from string 4 to 2 and 3 to 1 an octave lies three frets up. */
    @Test
    void octavesOnTheThinStringsLieThreeFretsUp() {
        assertThat(shapes(Family.OCTAVE, 9)).contains("x-x-7-x-10-x", "x-x-x-2-x-5");
    }

    /** C23, common practice: voices are counted from the top. */
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
        return VoicingSearch.all(family.recipe(), STANDARD, root, Hand.MEDIUM).stream()
                .map(v -> v.shape().text())
                .toList();
    }
}
