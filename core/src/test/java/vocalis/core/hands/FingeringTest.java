package vocalis.core.hands;

import static org.assertj.core.api.Assertions.assertThat;
import static vocalis.core.Shapes.STANDARD;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.instrument.Shape;
import vocalis.core.voicing.Family;
import vocalis.core.voicing.Voicing;

class FingeringTest {

    /** Grips as guitarists finger them (common practice). */
    @ParameterizedTest
    @CsvSource({
        "5-7-7-x-x-x,1 3 4", "x-5-7-7-x-x,1 3 4", "x-5-7-x-x-x,1 3", "x-x-4-4-x-x,1",
        "x-5-x-7-x-x,1 3", "0-2-2-x-x-x,1", "x-x-7-x-10-x,1 4", "0-0-0-0-0-0,''"
    })
    void gripsAreFingeredAsPlayersDo(String shape, String fingers) {
        Fingering f = Fingering.of(STANDARD, Shape.parse(shape), Hand.MEDIUM).orElseThrow();
        List<String> used = f.presses().stream().map(p -> String.valueOf(p.finger())).toList();
        assertThat(String.join(" ", used)).isEqualTo(fingers);
    }

    @Test
    void whatNoHandReachesIsRefused() {
        assertThat(Fingering.of(STANDARD, Shape.parse("1-x-x-x-x-8"), Hand.LARGE)).isEmpty();
        assertThat(Fingering.of(STANDARD, Shape.parse("1-2-3-4-1-2"), Hand.LARGE)).isEmpty();
        assertThat(Fingering.of(STANDARD, Shape.parse("5-7-7-9-10-x"), Hand.SMALL)).isEmpty();
    }

    /** Common practice: a stack over five strings is wide; a medium hand holds it, past comfort. */
    @Test
    void theWideStackIsHeldByAMediumHandPastItsComfort() {
        Shape stack = Shape.parse("5-7-7-9-10-x");
        Fingering f = Fingering.of(STANDARD, stack, Hand.MEDIUM).orElseThrow();
        assertThat(f.reachMm()).isGreaterThan(Hand.MEDIUM.comfortMm());
        assertThat(Fingering.of(STANDARD, stack, Hand.MEDIUM).filter(Fingering::quick).isPresent())
                .isTrue();
        assertThat(Fingering.of(STANDARD, stack, Hand.SMALL).filter(Fingering::quick).isPresent())
                .isFalse();
    }

    /** Every two fingers have a reach of their own, not only the outermost. */
    @Test
    void middleAndRingFingerReachLessFarThanIndexAndLittleFinger() {
        // Index 1, and then three frets between two neighbours: too far for any pair of them.
        assertThat(Fingering.of(STANDARD, Shape.parse("1-2-5-x-x-x"), Hand.SMALL)).isEmpty();
        Fingering f = Fingering.of(STANDARD, Shape.parse("5-6-9-x-x-x"), Hand.MEDIUM).orElseThrow();
        assertThat(f.presses()).extracting(Fingering.Press::finger).containsExactly(1, 2, 4);
        assertThat(Hand.MEDIUM.limitMm(2, 3)).isLessThan(Hand.MEDIUM.limitMm(1, 2));
    }

    /** A barre laid beside a string that must ring costs more than one that is not. */
    @Test
    void aBarreBesideARingingStringCosts() {
        Fingering alone =
                Fingering.of(STANDARD, Shape.parse("x-x-5-5-5-x"), Hand.MEDIUM).orElseThrow();
        Fingering beside =
                Fingering.of(STANDARD, Shape.parse("x-x-5-5-5-0"), Hand.MEDIUM).orElseThrow();
        assertThat(beside.effort()).isGreaterThan(alone.effort() + 0.5);
        assertThat(beside.parts().ringing()).isPositive();
    }

    /**
     * Laws for everything the search offers: four fingers, in order, within reach, barres that can
     * lie.
     */
    @Test
    void everyOfferedGripObeysTheLawsOfTheHand() {
        List<Voicing> all = new ArrayList<>();
        Catalogue catalogue = new Catalogue();
        for (Family family : Family.values()) {
            for (int root = 0; root < 12; root += Boolean.getBoolean("vocalis.long") ? 3 : 6) {
                catalogue
                        .candidates(STANDARD, Hand.MEDIUM, family, root)
                        .forEach(c -> all.add(c.voicing()));
            }
        }
        assertThat(all.size()).isGreaterThan(1000);
        int thumbs = 0;
        for (Voicing v : all) {
            Fingering f = Fingering.of(STANDARD, v.shape(), Hand.MEDIUM).orElseThrow();
            assertThat(f.reachMm()).isLessThanOrEqualTo(Hand.MEDIUM.limitMm(1, 4));
            assertThat(f.quick()).isTrue();
            List<Fingering.Press> fingers =
                    f.presses().stream().filter(p -> p.finger() != Fingering.THUMB_FINGER).toList();
            assertThat(fingers.size()).isLessThanOrEqualTo(4);
            for (int i = 1; i < fingers.size(); i++) {
                assertThat(fingers.get(i).finger()).isGreaterThan(fingers.get(i - 1).finger());
                assertThat(fingers.get(i).fret()).isGreaterThanOrEqualTo(fingers.get(i - 1).fret());
            }
            for (Fingering.Press p : f.presses()) {
                if (p.finger() == Fingering.THUMB_FINGER) {
                    thumbs++;
                    assertThat(p.lowString()).isZero();
                    assertThat(p.barre()).isFalse();
                    assertThat(Math.abs(p.fret() - fingers.get(0).fret())).isLessThanOrEqualTo(1);
                }
            }
            for (int s : v.shape().sounded()) {
                assertThat(f.fingerOn(s) > 0).isEqualTo(v.shape().fret(s) > 0);
            }
            for (Fingering.Press p : f.presses()) {
                for (int s = p.lowString(); s <= p.highString(); s++) {
                    assertThat(v.shape().fret(s)).isGreaterThanOrEqualTo(p.fret());
                }
            }
        }
        assertThat(thumbs).isPositive();
    }

    private static Fingering held(String shape) {
        return Fingering.of(STANDARD, Shape.parse(shape), Hand.MEDIUM).orElseThrow();
    }

    /** Common practice: A's octave is D's fifth, and the finger on string 4 fret 7 stays. */
    @Test
    void anAnchorIsAFingerThatStays() {
        Shape a = Shape.parse("5-7-7-x-x-x");
        Shape d = Shape.parse("x-5-7-x-x-x");
        Fingering little =
                Fingering.all(STANDARD, d, Hand.MEDIUM, 1).stream()
                        .filter(f -> f.fingerOn(2) == 4 && f.fingerOn(1) == 1)
                        .findFirst()
                        .orElseThrow();
        assertThat(held("5-7-7-x-x-x").fingerOn(2)).isEqualTo(4);
        Move move = Move.between(STANDARD, a, held("5-7-7-x-x-x"), d, little);
        assertThat(move.anchors()).containsExactly(new Move.Step(4, 2, 7, 7));
        assertThat(move.guides()).isEmpty();
        assertThat(move.swaps()).isEmpty();
        assertThat(move.lifts()).containsExactly(1, 3);
        assertThat(move.travelMm()).isZero();
        // The same frets with the ring finger: the string sounds on, but no finger stays.
        Fingering ring =
                Fingering.all(STANDARD, d, Hand.MEDIUM, 1).stream()
                        .filter(f -> f.fingerOn(2) == 3)
                        .findFirst()
                        .orElseThrow();
        Move other = Move.between(STANDARD, a, held("5-7-7-x-x-x"), d, ring);
        assertThat(other.anchors()).isEmpty();
        assertThat(other.swaps()).containsExactly(2);
        assertThat(move.cost()).isLessThan(other.cost());
    }

    /** A shape that moves whole: every finger slides on its string. */
    @Test
    void guidesAreFingersThatSlide() {
        Move move =
                Move.between(
                        STANDARD,
                        Shape.parse("3-5-5-x-x-x"),
                        held("3-5-5-x-x-x"),
                        Shape.parse("6-8-8-x-x-x"),
                        held("6-8-8-x-x-x"));
        assertThat(move.guides()).extracting(Move.Step::finger).containsExactly(1, 3, 4);
        assertThat(move.guides().get(2)).isEqualTo(new Move.Step(4, 2, 5, 8));
    }

    /** Every fingering offered holds every fretted note within the hand. */
    @Test
    void allFingeringsHoldTheShape() {
        for (String text : List.of("3-5-5-x-x-x", "x-3-2-0-1-0", "x-5-7-7-6-5", "2-x-2-2-0-0")) {
            Shape shape = Shape.parse(text);
            List<Fingering> all = Fingering.all(STANDARD, shape, Hand.MEDIUM, 1.5);
            assertThat(all.get(0)).isEqualTo(held(text));
            assertThat(all).doesNotHaveDuplicates();
            for (Fingering f : all) {
                for (int s = 0; s < 6; s++) {
                    assertThat(f.fingerOn(s) > 0).isEqualTo(shape.fret(s) > 0);
                }
                assertThat(f.effort()).isLessThanOrEqualTo(all.get(0).effort() + 1.5);
            }
        }
    }
}
