package vocalis.core.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static vocalis.core.Shapes.STANDARD;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.ShapeClass;
import vocalis.core.voicing.Voicing;

class VoicingSearchTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    private static List<Voicing> found(Family family, Fretboard board, int root, Hand hand) {
        return CATALOGUE.candidates(board, hand, family, root).stream()
                .map(Candidate::voicing)
                .toList();
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
        final List<Boolean> open = new ArrayList<>();
        int all;
        int own;
        int gaps;
        int lowest;
        boolean lowestOpen;
        int lowFret = 99;
        int highFret;
        int groups;
        int opens;

        static Grip of(int[] frets, Fretboard board, int root) {
            Grip g = new Grip();
            int first = -1;
            int last = -1;
            int low = 999;
            for (int s = 0; s < frets.length; s++) {
                if (frets[s] < 0) {
                    continue;
                }
                int midi = board.midi(s, frets[s]);
                int degree = 1 << Math.floorMod(midi - root, 12);
                g.notes.add(midi);
                g.open.add(frets[s] == 0);
                g.all |= degree;
                if (frets[s] == 0) {
                    g.opens++;
                } else {
                    g.own |= degree;
                    g.lowFret = Math.min(g.lowFret, frets[s]);
                    g.highFret = Math.max(g.highFret, frets[s]);
                    g.groups += s == 0 || frets[s - 1] <= 0 ? 1 : 0;
                }
                if (midi < low) {
                    low = midi;
                    g.lowest = degree;
                    g.lowestOpen = frets[s] == 0;
                }
                first = first < 0 ? s : first;
                last = s;
            }
            g.gaps = last - first + 1 - g.notes.size();
            g.groups += !g.open.isEmpty() && g.open.get(0) ? 1 : 0;
            return g;
        }

        boolean sounds(int... sets) {
            for (int set : sets) {
                if (set == all) {
                    return true;
                }
            }
            return false;
        }

        int n() {
            return notes.size();
        }

        /** No string sounds lower than the one before it; open ones may, where allowed. */
        boolean ascending(boolean opensFree) {
            for (int i = 1; i < n(); i++) {
                boolean free = opensFree && (open.get(i) || open.get(i - 1));
                if (notes.get(i) < notes.get(i - 1) && !free) {
                    return false;
                }
            }
            return true;
        }

        boolean steps(Integer... allowed) {
            for (int i = 1; i < n(); i++) {
                if (!List.of(allowed).contains(notes.get(i) - notes.get(i - 1))) {
                    return false;
                }
            }
            return true;
        }

        /** Open strings beside a shape past the fifth fret: only what lies under one hand. */
        boolean underTheHand() {
            return opens == 0
                    || highFret <= 5
                    || n() - opens >= 3 && highFret - lowFret + gaps <= 3 && groups <= 2;
        }

        boolean over(int... degrees) {
            return (set(degrees) & lowest) != 0;
        }
    }

    private static int set(int... degrees) {
        int set = 0;
        for (int d : degrees) {
            set |= 1 << d;
        }
        return set;
    }

    /** The families restated in plain conditions (common practice), apart from the recipes. */
    private static boolean wanted(Family family, Grip g) {
        return switch (family) {
            case POWER ->
                    g.n() >= 2
                            && g.sounds(set(0, 7))
                            && g.over(0)
                            && g.gaps <= 3
                            && g.ascending(true)
                            && g.underTheHand();
            case FOURTH ->
                    g.n() >= 2 && g.sounds(set(0, 7)) && g.over(7) && g.gaps == 0 && g.steps(5, 7);
            case THIRD -> third(g);
            case OCTAVE -> octave(g);
            case TRIAD ->
                    g.n() >= 3
                            && g.sounds(
                                    set(0, 4, 7),
                                    set(0, 3, 7),
                                    set(0, 3, 6),
                                    set(0, 4, 8),
                                    set(0, 4, 6))
                            && g.gaps <= 1
                            && g.ascending(true)
                            && g.underTheHand();
            case SUSPENDED -> suspended(g);
            case EXTENDED -> extended(g);
            case DRONE ->
                    List.of(
                                            set(0),
                                            set(0, 7),
                                            set(0, 4),
                                            set(0, 3),
                                            set(0, 4, 7),
                                            set(0, 3, 7),
                                            set(0, 3, 10),
                                            set(0, 4, 10))
                                    .contains(g.own)
                            && g.opens >= 1
                            && g.n() - g.opens >= 2
                            && g.n() >= 3
                            && g.gaps <= 1;
            case SUBSTITUTE -> substitute(g);
        };
    }

    private static boolean third(Grip g) {
        boolean thirds = g.sounds(set(0, 3), set(0, 4));
        return g.n() == 2 && thirds && g.gaps <= 3 && g.steps(3, 4, 8, 9, 15, 16)
                || (g.n() == 3 || g.n() == 4) && thirds && g.gaps <= 2 && g.ascending(false)
                || g.n() == 2
                        && g.sounds(set(0, 8), set(0, 9))
                        && g.over(0)
                        && g.gaps <= 2
                        && g.steps(8, 9);
    }

    private static boolean octave(Grip g) {
        return (g.n() == 2 || g.n() == 3) && g.sounds(set(0)) && g.gaps <= 3 && g.steps(0, 12, 24)
                || g.own == set(0)
                        && g.opens >= 1
                        && g.n() - g.opens >= 2
                        && g.n() >= 3
                        && g.n() <= 5
                        && g.gaps <= 1
                        && (g.over(0) || g.lowestOpen);
    }

    /** Full chords: how they may lie, whichever they are. */
    private static boolean lies(Grip g) {
        boolean thin = g.n() == 3 || g.n() == 4;
        boolean inverted = thin && !g.over(1, 2) || g.n() >= 5 && g.over(0, 3, 4, 7);
        return inverted && g.gaps <= 1 && g.ascending(true) && g.underTheHand()
                || g.n() == 4 && g.gaps == 2 && g.over(0) && g.ascending(false);
    }

    private static boolean suspended(Grip g) {
        boolean fifths =
                g.sounds(
                        set(0, 2, 7),
                        set(0, 5, 7),
                        set(0, 2, 5, 7),
                        set(0, 6, 7),
                        set(0, 7, 9),
                        set(0, 2, 7, 9));
        boolean triads =
                g.sounds(
                        set(0, 2, 4, 7),
                        set(0, 4, 5, 7),
                        set(0, 4, 7, 9),
                        set(0, 2, 4, 7, 9),
                        set(0, 4, 6, 7),
                        set(0, 2, 4, 5, 7),
                        set(0, 2, 3, 7),
                        set(0, 3, 5, 7),
                        set(0, 3, 7, 9),
                        set(0, 2, 3, 7, 9),
                        set(0, 2, 3, 5, 7));
        boolean thin =
                g.sounds(
                        set(0, 2, 4),
                        set(0, 4, 9),
                        set(0, 2, 4, 9),
                        set(0, 4, 5),
                        set(0, 2, 3),
                        set(0, 3, 9),
                        set(0, 2, 3, 9),
                        set(0, 3, 5),
                        set(0, 2, 5),
                        set(0, 5, 9));
        boolean overNinth =
                g.n() >= 3
                        && g.sounds(
                                set(0, 2, 4, 7, 9),
                                set(0, 2, 3, 7, 9),
                                set(0, 2, 7),
                                set(0, 2, 4, 7),
                                set(0, 2, 3, 7))
                        && g.over(2)
                        && g.gaps <= 1
                        && g.ascending(true)
                        && g.underTheHand();
        boolean dyad =
                g.n() >= 2
                        && g.n() <= 4
                        && g.sounds(set(0, 2), set(0, 5))
                        && g.over(0)
                        && g.gaps <= 1
                        && g.ascending(true)
                        && g.underTheHand();
        return (fifths || triads || thin) && lies(g) || overNinth || dyad;
    }

    private static final Set<Integer> SEVENTHS = new HashSet<>();

    static {
        String[][] rows = {
            // A third and a seventh, with or without the fifth, and the tensions beside them.
            {"4 10", "7|", "|2|9|2 9|5|2 5|1|3|6|2 6|8|1 9|5 9|2 5 9"},
            {"4 10", "6|8", "|1|2|3"},
            {"3 10", "7|", "|2|5|2 5|9|2 9|2 5 9"},
            {"3 10", "6", "|2|5|2 5|9|2 9|2 5 9"},
            {"4 11", "7|", "|2|9|2 9|5|2 5|5 9|6"},
            {"4 11", "6|8", "|"},
            {"4 11", "2 6", "|"},
            {"3 11", "7||6", "|2|5|2 5|9"},
            {"5 10", "7|", "|2|9|2 9|1"},
            {"7 10", "", "|2"},
            {"7 11", "", "|2"},
            {"3 6", "", "|9"},
            {"4 8", "", "|"}
        };
        for (String[] row : rows) {
            for (String fifth : row[1].split("\\|", -1)) {
                for (String tension : row[2].split("\\|", -1)) {
                    int set = 1;
                    for (String d : (row[0] + " " + fifth + " " + tension).trim().split(" +")) {
                        set |= 1 << Integer.parseInt(d);
                    }
                    SEVENTHS.add(set);
                }
            }
        }
    }

    private static boolean extended(Grip g) {
        boolean dark =
                (g.n() == 3 || g.n() == 4)
                        && g.sounds(set(0, 1, 7), set(0, 7, 8), set(0, 6, 7), set(0, 6, 11))
                        && g.over(0, 7)
                        && g.gaps <= 1
                        && g.ascending(true)
                        && g.underTheHand();
        boolean darkDyad =
                g.n() >= 2
                        && g.n() <= 4
                        && g.sounds(set(0, 6), set(0, 1), set(0, 8), set(0, 10), set(0, 11))
                        && g.over(0)
                        && g.gaps <= 2
                        && g.ascending(false);
        boolean overSeventh =
                g.n() >= 5
                        && g.sounds(
                                set(0, 4, 7, 10),
                                set(0, 4, 7, 11),
                                set(0, 3, 7, 10),
                                set(0, 3, 7, 11),
                                set(0, 3, 6, 10),
                                set(0, 3, 6, 9),
                                set(0, 3, 6, 11),
                                set(0, 4, 6, 10))
                        && g.over(6, 9, 10, 11)
                        && g.gaps <= 1
                        && g.ascending(true)
                        && g.underTheHand();
        boolean overNinth =
                g.n() == 5
                        && g.sounds(set(0, 2, 4, 7, 10), set(0, 2, 3, 7, 10), set(0, 2, 4, 7, 11))
                        && g.over(2)
                        && g.gaps <= 1
                        && g.ascending(true)
                        && g.underTheHand();
        boolean slash =
                g.n() >= 4
                        && g.sounds(
                                set(0, 1, 4, 7),
                                set(0, 1, 3, 7),
                                set(0, 4, 7, 8),
                                set(0, 3, 7, 8),
                                set(0, 3, 4, 7))
                        && g.over(1, 3, 4, 8)
                        && g.gaps <= 1
                        && g.ascending(true)
                        && g.underTheHand();
        return SEVENTHS.contains(g.all) && lies(g)
                || overSeventh
                || overNinth
                || slash
                || dark
                || darkDyad;
    }

    private static boolean substitute(Grip g) {
        boolean tritone =
                g.n() >= 3
                        && g.n() <= 5
                        && g.sounds(set(6, 10, 4), set(6, 10, 1, 4), set(6, 10, 8, 4))
                        && g.over(6)
                        && g.gaps <= 1
                        && g.ascending(true)
                        && g.underTheHand();
        boolean upper =
                g.n() >= 3
                        && g.sounds(
                                set(4, 7, 11),
                                set(3, 7, 10),
                                set(9, 0, 4),
                                set(8, 0, 3),
                                set(9, 0, 4, 7),
                                set(4, 7, 10),
                                set(1, 4, 7, 10),
                                set(2, 4, 7, 10),
                                set(2, 3, 7, 10),
                                set(2, 4, 7, 11),
                                set(2, 3, 7, 11))
                        && g.gaps <= 1
                        && g.ascending(false);
        return tritone || upper;
    }

    /**
     * Five tunings, all families, six strings and nine frets: every one of 1.8 million grips a time
     * is tried, nothing is left out beforehand.
     */
    @Test
    void theSearchFindsExactlyWhatBruteForceFinds() {
        List<Tuning> tunings =
                List.of(
                        Tuning.STANDARD,
                        Tuning.LOW_D,
                        Tuning.parse("open G", "D2 G2 D3 G3 B3 D4"),
                        Tuning.parse("fourths", "E2 A2 D3 G3 C4 F4"),
                        Tuning.parse("modal", "D2 A2 D3 G3 A3 D4"));
        List<Hand> hands = List.of(Hand.SMALL, Hand.MEDIUM, Hand.LARGE);
        int tried = Boolean.getBoolean("vocalis.long") ? tunings.size() : 2;
        for (int i = 0; i < tried; i++) {
            Instrument instrument = new Instrument(tunings.get(i), 12, 648, false);
            Fretboard board = new Fretboard(instrument, 3);
            int root = (4 + 5 * i) % 12;
            Hand hand = hands.get(i % hands.size());
            Map<Family, Set<Shape>> brute = bruteForce(board, root, hand);
            for (Family family : Family.values()) {
                Set<Shape> ours =
                        found(family, board, root, hand).stream()
                                .map(Voicing::shape)
                                .collect(Collectors.toSet());
                Set<Shape> theirs = brute.getOrDefault(family, Set.of());
                String what = family + " on " + root + ", " + tunings.get(i).name();
                assertThat(theirs).as(what).isNotEmpty();
                assertThat(ours.stream().filter(x -> !theirs.contains(x))).as(what).isEmpty();
                assertThat(theirs.stream().filter(x -> !ours.contains(x))).as(what).isEmpty();
            }
        }
    }

    private static Map<Family, Set<Shape>> bruteForce(Fretboard board, int root, Hand hand) {
        int n = board.strings();
        int perString = board.frets() + 2;
        Map<Family, Set<Shape>> found = new ConcurrentHashMap<>();
        LongStream.range(1, (long) Math.pow(perString, n))
                .parallel()
                .forEach(
                        c -> {
                            int[] frets = frets(c, perString, n);
                            Grip grip = Grip.of(frets, board, root);
                            Shape shape = null;
                            for (Family family : Family.values()) {
                                if (!wanted(family, grip)) {
                                    continue;
                                }
                                shape = shape == null ? Shape.of(frets) : shape;
                                if (!Fingering.of(board, shape, hand)
                                        .filter(Fingering::quick)
                                        .isPresent()) {
                                    return;
                                }
                                found.computeIfAbsent(family, f -> ConcurrentHashMap.newKeySet())
                                        .add(shape);
                            }
                        });
        return found;
    }

    /** What a family offers it also says is its own. */
    @Test
    void whatIsFoundIsAccepted() {
        for (Family family : Family.values()) {
            List<Voicing> found = found(family, STANDARD, 4, Hand.SMALL);
            assertThat(found).allMatch(family::accepts);
            for (Voicing v : found.subList(0, Math.min(200, found.size()))) {
                Voicing other = new Voicing(v.shape(), STANDARD, 5);
                assertThat(family.accepts(other))
                        .isEqualTo(wanted(family, Grip.of(frets(v), STANDARD, 5)));
            }
        }
    }

    private static int[] frets(Voicing v) {
        return v.shape().toArray();
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
        assertThat(ShapeClass.of(a))
                .isEqualTo(ShapeClass.of(d))
                .isEqualTo(ShapeClass.of(onThinStrings));
        assertThat(ShapeClass.parse(ShapeClass.of(a).text())).isEqualTo(ShapeClass.of(a));
        Voicing fourth = new Voicing(Shape.parse("x-x-7-7-x-x"), STANDARD, 2);
        assertThat(ShapeClass.of(fourth)).isNotEqualTo(ShapeClass.of(a));
    }

    private static List<String> shapes(Family family, int root) {
        return found(family, STANDARD, root, Hand.MEDIUM).stream()
                .map(v -> v.shape().text())
                .toList();
    }
}
