package vocalis.core.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static vocalis.core.Shapes.STANDARD;

import org.junit.jupiter.api.Test;
import vocalis.core.theory.Key;

class FretboardTest {

    /**
     * The luthiers' rule (common practice): each fret lies 1/17.817 of the remaining length
     * further.
     */
    @Test
    void fretsFollowTheRuleOf17817() {
        double remaining = 648;
        for (int fret = 1; fret <= 24; fret++) {
            remaining -= remaining / 17.817;
            assertThat(648 - STANDARD.instrument().fretMm(fret)).isCloseTo(remaining, within(0.02));
        }
        assertThat(STANDARD.instrument().fretMm(12)).isCloseTo(324, within(1e-9));
    }

    /** Distances that players go by (common practice). */
    @Test
    void fourFretsAtTheNutAreWiderThanFourAtTheTwelfth() {
        assertThat(STANDARD.spanMm(1, 4)).isCloseTo(97, within(0.5));
        assertThat(STANDARD.spanMm(12, 15)).isCloseTo(52, within(0.5));
    }

    /** Common practice: with a capo at 2, shapes of A sound in B. */
    @Test
    void aCapoRaisesEveryShape() {
        Fretboard capo = new Fretboard(Instrument.of(Tuning.STANDARD), 2);
        Shape a5 = Shape.parse("x-0-2-2-x-x");
        for (int string : a5.sounded()) {
            int sounding = capo.midi(string, a5.fret(string));
            assertThat(sounding).isEqualTo(STANDARD.midi(string, a5.fret(string)) + 2);
        }
        assertThat(Key.parse("B major").spell(capo.midi(1, 0)).symbol()).isEqualTo("B");
        assertThat(capo.frets()).isEqualTo(22);
    }

    /** Common practice: A minor pentatonic lies in these frets at 5, and again at 17. */
    @Test
    void theMinorPentatonicBoxLiesWherePlayersFindIt() {
        Key key = Key.parse("A minor pentatonic");
        int[][] box = {{5, 8}, {5, 7}, {5, 7}, {5, 7}, {5, 8}, {5, 8}};
        for (int at : new int[] {0, 12}) {
            for (int string = 0; string < 6; string++) {
                for (int fret = 5 + at; fret <= 8 + at; fret++) {
                    boolean inBox = fret == box[string][0] + at || fret == box[string][1] + at;
                    assertThat(key.contains(STANDARD.midi(string, fret)))
                            .as("string %d fret %d", 6 - string, fret)
                            .isEqualTo(inBox);
                }
            }
        }
    }

    /** Common practice: a closed shape moved n frets is transposed n semitones. */
    @Test
    void movingAClosedShapeTransposesIt() {
        Shape shape = Shape.parse("5-7-7-x-x-x");
        for (int by : new int[] {4, 5, 7, 12}) {
            Shape moved = shape.moved(by, 24).orElseThrow();
            for (int s : shape.sounded()) {
                assertThat(STANDARD.midi(s, moved.fret(s)))
                        .isEqualTo(STANDARD.midi(s, shape.fret(s)) + by);
            }
        }
        assertThat(shape.moved(-5, 24)).isEmpty();
        assertThat(Shape.parse("x-0-2-2-x-x").moved(3, 24)).contains(Shape.parse("x-0-5-5-x-x"));
    }

    @Test
    void shapesPrintAsTheyAreReadAndSayWhereTheyAreWrong() {
        for (String text : new String[] {"x-9-11-11-0-0", "3-5-5-x-x-x", "x-x-x-x-x-24"}) {
            assertThat(Shape.parse(text).text()).isEqualTo(text);
        }
        assertThatThrownBy(() -> Shape.parse("3-5-q-x-x-x"))
                .hasMessageContaining("place 3")
                .hasMessageContaining("\"q\"");
        assertThatThrownBy(() -> Shape.parse("3--5")).hasMessageContaining("place 2");
        assertThatThrownBy(() -> STANDARD.midi(0, 25)).hasMessageContaining("25");
    }
}
