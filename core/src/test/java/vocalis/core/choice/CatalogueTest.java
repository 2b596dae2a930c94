package vocalis.core.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static vocalis.core.Shapes.STANDARD;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.OpenPosition;

/** What is found quickly against what is found whole, on necks that differ. */
@Tag("thorough")
class CatalogueTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    /** Necks on which the fast search and the whole one are held against each other. */
    private static final List<Fretboard> NECKS =
            List.of(
                    STANDARD,
                    new Fretboard(new Instrument(Tuning.LOW_D, 22, 628, false), 2),
                    new Fretboard(Instrument.of(Tuning.parse("fourths", "E2 A2 D3 G3 C4 F4")), 0),
                    new Fretboard(
                            new Instrument(
                                    Tuning.parse("seven", "B1 E2 A2 D3 G3 B3 E4"), 14, 648, false),
                            1),
                    new Fretboard(
                            new Instrument(Tuning.parse("four", "E1 A1 D2 G2"), 20, 860, false),
                            0));

    /** All families, or a third of them in the short run, others on each neck. */
    private static List<Family> some(int neck) {
        boolean all = Boolean.getBoolean("vocalis.long");
        return Arrays.stream(Family.values())
                .filter(f -> all || (f.digit() + neck) % 3 == 0)
                .toList();
    }

    /** What cannot be among the first of its place is left out early, and nothing else. */
    @Test
    void theLeadingAreTheFirstOfEachPlaceOfAll() {
        for (int i = 0; i < NECKS.size(); i++) {
            for (Family family : some(i)) {
                int root = (2 + 5 * i) % 12;
                List<Candidate> all = CATALOGUE.candidates(NECKS.get(i), Hand.MEDIUM, family, root);
                assertThat(new Catalogue().leading(NECKS.get(i), Hand.MEDIUM, family, root))
                        .as(family + " on " + root + ", neck " + i)
                        .isEqualTo(Catalogue.leading(all));
            }
        }
    }

    /** In a key too, the likeliest of a place are the first of all that lie there. */
    @Test
    void theLikeliestInAKeyAreTheFirstOfEachPlaceOfAll() {
        List<Key> keys =
                List.of(Key.parse("A minor"), Key.parse("E phrygian"), Key.parse("B dorian"));
        for (int i = 0; i < NECKS.size(); i++) {
            for (Family family : some(i)) {
                int root = (4 + 5 * i) % 12;
                Key key = keys.get((i + family.digit()) % keys.size());
                Map<Integer, List<Candidate>> places =
                        new Ranking(family, List.of(), key)
                                        .ordered(
                                                CATALOGUE.candidates(
                                                        NECKS.get(i), Hand.MEDIUM, family, root))
                                        .stream()
                                        .collect(Collectors.groupingBy(Candidate::position));
                List<Candidate> likeliest =
                        new Catalogue().likeliest(NECKS.get(i), Hand.MEDIUM, family, root, key);
                String what = family + " on " + root + " in " + key + ", neck " + i;
                assertThat(likeliest.stream().collect(Collectors.groupingBy(Candidate::position)))
                        .as(what)
                        .isEqualTo(
                                places.entrySet().stream()
                                        .collect(
                                                Collectors.toMap(
                                                        Map.Entry::getKey,
                                                        e -> firstTen(e.getValue()))));
                Ranking ranking = new Ranking(family, List.of(), key);
                assertThat(likeliest.stream().map(ranking::cost).toList()).as(what).isSorted();
            }
        }
    }

    private static List<Candidate> firstTen(List<Candidate> all) {
        return all.subList(0, Math.min(10, all.size()));
    }

    /** A grip found once for the whole neck is held as the shape alone would be. */
    @Test
    void gripsAreHeldAsTheirShapesWouldBeAlone() {
        for (int i = 0; i < NECKS.size(); i++) {
            Fretboard board = NECKS.get(i);
            for (Family family : some(i)) {
                for (Candidate c : CATALOGUE.leading(board, Hand.MEDIUM, family, 5 * i % 12)) {
                    Fingering alone =
                            Fingering.of(board, c.voicing().shape(), Hand.MEDIUM).orElseThrow();
                    assertThat(c.fingering()).as(c + ", neck " + i).isEqualTo(alone);
                    assertThat(c.effort()).as(c + ", neck " + i).isEqualTo(alone.effort());
                }
            }
        }
    }

    /** The bound by which open strings past the open position are left out is one. */
    @Test
    void noFamilyChargesLessThanItsBoundPastTheOpenPosition() {
        for (Fretboard board : NECKS) {
            int[] open = Neck.of(board, Hand.MEDIUM, new boolean[1 << 12]).open();
            boolean known = KnownForms.rings(open, OpenPosition.LAST_FRET);
            for (Family family : Family.values()) {
                double least = Purpose.leastPastOpenPosition(family, known);
                for (Candidate c : CATALOGUE.candidates(board, Hand.MEDIUM, family, 9)) {
                    Shape shape = c.voicing().shape();
                    if (shape.rings() && shape.highestFretted() > OpenPosition.LAST_FRET) {
                        assertThat(c.charge()).as(family + " " + c).isGreaterThanOrEqualTo(least);
                    }
                }
            }
        }
    }

    /**
     * In standard tuning the known open forms lie in open position; tuned up a fourth they move.
     */
    @Test
    void knownFormsPastTheOpenPositionAreTold() {
        int[] standard = {40, 45, 50, 55, 59, 64};
        assertThat(KnownForms.rings(standard, OpenPosition.LAST_FRET)).isFalse();
        assertThat(KnownForms.rings(standard, 2)).isTrue();
        // The lowest string a fourth down: what was held on it moves five frets up.
        int[] low = {35, 45, 50, 55, 59, 64};
        assertThat(KnownForms.rings(low, OpenPosition.LAST_FRET)).isTrue();
    }

    /** A neck looked over before tells the same as one that is asked step by step. */
    @Test
    void aPreparedNeckTellsTheSame() {
        for (int i = 0; i < 2; i++) {
            Fretboard board = NECKS.get(i);
            Catalogue prepared = new Catalogue();
            prepared.prepare(board, Hand.SMALL);
            Catalogue asked = new Catalogue();
            for (Family family : Family.values()) {
                assertThat(prepared.leading(board, Hand.SMALL, family, 7))
                        .as(family + ", neck " + i)
                        .isEqualTo(asked.leading(board, Hand.SMALL, family, 7));
            }
        }
    }
}
