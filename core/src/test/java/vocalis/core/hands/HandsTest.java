package vocalis.core.hands;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static vocalis.core.Shapes.STANDARD;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.choice.BassUnder;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Filter;
import vocalis.core.choice.OwnShape;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.voicing.ShapeClass;
import vocalis.core.voicing.Voicing;

class HandsTest {

    private static Fingering held(String shape) {
        return Fingering.of(STANDARD, Shape.parse(shape), Hand.LARGE).orElseThrow();
    }

    /** Common grips with the fingers that guitarists use (common practice). */
    @ParameterizedTest
    @CsvSource({
        "x-3-2-0-1-0,1 2 3",
        "x-0-2-2-1-0,1 2 3",
        "0-2-2-1-0-0,1 2 3",
        "x-x-0-2-3-1,1 2 3",
        "0-2-2-0-0-0,1 2",
        "1-3-3-2-1-1,1 2 3 4",
        "1-3-3-1-1-1,1 3 4",
        "x-1-3-3-2-1,1 2 3 4",
        "x-0-2-0-1-0,1 2",
        "x-x-7-7-6-x,1 2 3",
        "x-x-5-5-5-x,1",
        "x-4-2-x-x-x,1 3",
        "x-x-x-2-2-2,1",
        "3-x-0-0-0-x,1",
        "x-9-11-11-0-0,1 3 4",
        "x-2-1-2-0-x,1 2 3",
        "x-5-7-7-5-5,1 3 4",
        "5-x-7-x-x-x,1 3",
        "x-x-4-4-x-x,1",
        "2-x-0-2-3-2,5 1 2",
        "3-x-0-0-3-3,2 3 4"
    })
    void gripsAreFingeredAsPlayersDo(String shape, String fingers) {
        List<String> used =
                held(shape).presses().stream().map(p -> String.valueOf(p.finger())).toList();
        assertThat(String.join(" ", used)).isEqualTo(fingers);
    }

    private static Muting muting(String shape) {
        return Muting.of(Shape.parse(shape), held(shape));
    }

    @Test
    void everySilentStringIsAccountedFor() {
        for (String shape :
                List.of(
                        "x-5-7-7-x-x",
                        "5-x-7-x-x-x",
                        "x-x-0-2-3-x",
                        "x-x-x-7-8-x",
                        "3-x-0-0-x-x")) {
            Muting m = muting(shape);
            long silent = Shape.parse(shape).frets().stream().filter(f -> f < 0).count();
            assertThat(m.silences()).hasSize((int) silent);
        }
    }

    /** Common practice, from a fourth: one idle finger makes D minor or, a fret on, D major. */
    @Test
    void idleFingersAddWhatTheyReachAndNothingElseMoves() {
        Shape d5 = Shape.parse("x-x-7-7-x-x");
        List<IdleFingers.Addition> all =
                IdleFingers.of(STANDARD, d5, held("x-x-7-7-x-x"), Hand.LARGE);
        assertThat(all).extracting(a -> a.shape().text()).contains("x-x-7-7-7-x", "x-x-7-7-8-x");
        for (IdleFingers.Addition a : all) {
            Fingering with =
                    Fingering.of(STANDARD, a.shape(), Hand.LARGE, held("x-x-7-7-x-x").presses())
                            .orElseThrow();
            assertThat(with.presses()).containsAll(held("x-x-7-7-x-x").presses());
            assertThat(with.reachMm()).isLessThanOrEqualTo(Hand.LARGE.limitMm());
        }
        assertThat(
                        IdleFingers.of(
                                STANDARD,
                                Shape.parse("0-0-0-0-0-0"),
                                held("0-0-0-0-0-0"),
                                Hand.LARGE))
                .isEmpty();
    }

    /** Common practice: the bass of A5 moved from 1 to 7. */
    @Test
    void anotherBassIsPutUnderAShape() {
        Candidate a5 = candidate("5-7-7-x-x-x", 9);
        assertThat(BassUnder.put(a5, 8, Hand.MEDIUM))
                .get()
                .extracting(c -> c.voicing().shape().text())
                .isEqualTo("4-7-7-x-x-x");
        Candidate d5 = candidate("x-5-7-7-x-x", 2);
        assertThat(BassUnder.put(d5, 9, Hand.MEDIUM))
                .get()
                .extracting(c -> c.voicing().shape().text())
                .isEqualTo("5-5-7-7-x-x");
        assertThat(BassUnder.put(a5, 9, Hand.MEDIUM)).contains(a5);
        // The notes of the two low strings sound above as well: the open A takes their place.
        Candidate e = candidate("0-2-2-2-0-0", 4);
        assertThat(BassUnder.put(e, 9, Hand.MEDIUM))
                .get()
                .extracting(c -> c.voicing().shape().text())
                .isEqualTo("x-0-2-2-0-0");
    }

    private static Candidate candidate(String shape, int root) {
        return new Candidate(new Voicing(Shape.parse(shape), STANDARD, root), held(shape));
    }

    @Test
    void anOwnShapeIsFoundOnEveryRoot() {
        Voicing own = new Voicing(Shape.parse("x-x-7-9-8-x"), STANDARD, 9);
        OwnShape kept = new OwnShape("mine", ShapeClass.of(own));
        assertThat(kept.places(STANDARD, Hand.MEDIUM, 9))
                .extracting(c -> c.voicing().shape().text())
                .contains("x-x-7-9-8-x");
        assertThat(kept.places(STANDARD, Hand.MEDIUM, 2))
                .isNotEmpty()
                .allMatch(c -> ShapeClass.of(c.voicing()).equals(ShapeClass.of(own)));
        assertThatThrownBy(() -> new OwnShape(" ", ShapeClass.of(own)))
                .hasMessageContaining("name");
    }

    @Test
    void filtersLetThroughWhatTheySay() {
        Candidate low = candidate("5-7-7-x-x-x", 9);
        Candidate open = candidate("x-0-2-2-x-x", 9);
        Filter with =
                Filter.NONE
                        .with(Filter.Open.WITH)
                        .with(Filter.Position.LOW)
                        .with(Filter.Thickness.THREE)
                        .with(Filter.Strings.THICK)
                        .comfortable(true);
        assertThat(with.accepts(open, Hand.MEDIUM)).isTrue();
        assertThat(with.accepts(low, Hand.MEDIUM)).isFalse();
        assertThat(Filter.NONE.with(Filter.Top.ROOT).accepts(low, Hand.MEDIUM)).isTrue();
        assertThat(Filter.NONE.with(Filter.Top.FIFTH).accepts(low, Hand.MEDIUM)).isFalse();
        Filter dark = Filter.NONE.with(Filter.Colour.DARK);
        assertThat(dark.accepts(candidate("5-6-x-x-x-x", 9), Hand.MEDIUM)).isTrue();
        assertThat(dark.accepts(candidate("x-7-8-x-x-x", 4), Hand.MEDIUM)).isTrue();
        assertThat(dark.accepts(low, Hand.MEDIUM)).isFalse();
        Filter unison = Filter.NONE.with(Filter.Colour.UNISON);
        assertThat(unison.accepts(candidate("5-0-x-x-x-x", 9), Hand.MEDIUM)).isTrue();
        assertThat(unison.accepts(low, Hand.MEDIUM)).isFalse();
        assertThat(Filter.NONE.accepts(low, Hand.SMALL)).isTrue();
    }

    @Test
    void tuningsAreReadByTheirNotes() {
        assertThat(Tuning.parse("t", "D A D G B E").open()).isEqualTo(Tuning.LOW_D.open());
        assertThat(Tuning.parse("t", "E2 A2 D3 G3 B3 E4").open()).isEqualTo(Tuning.STANDARD.open());
        assertThat(Tuning.parse("t", "B1 E2 A2 D3 G3 B3 E4").strings()).isEqualTo(7);
        assertThatThrownBy(() -> Tuning.parse("t", "D A Q G B E")).hasMessageContaining("Q");
        assertThatThrownBy(() -> Tuning.parse("t", "D A")).hasMessageContaining("4 to 9");
        assertThat(Tuning.offered()).extracting(Tuning::strings).contains(6, 7, 8);
    }

    /** The limit of a medium hand at the nut is 120 mm; frets 1 to 6 span 140 at 648 mm. */
    @Test
    void whatCannotBeHeldIsRefusedWithItsReason() {
        Shape wide = Shape.parse("1-x-6-x-x-x");
        assertThat(Fingering.refusal(STANDARD, wide, Hand.MEDIUM).orElseThrow())
                .isEqualTo(
                        new Refusal.TooWide(
                                1,
                                6,
                                STANDARD.spanMm(1, 6),
                                Hand.MEDIUM.limitMm(),
                                Hand.MEDIUM.name()));
        assertThat(STANDARD.spanMm(1, 6)).isGreaterThan(Hand.MEDIUM.limitMm());
        assertThat(Fingering.refusal(STANDARD, Shape.parse("x-7-5-7-5-8"), Hand.MEDIUM)).isEmpty();
        assertThat(Fingering.refusal(STANDARD, Shape.parse("4-5-4-5-4-5"), Hand.MEDIUM)).isEmpty();
        assertThat(Fingering.refusal(STANDARD, Shape.parse("6-5-6-5-6-5"), Hand.MEDIUM)).isEmpty();
        assertThat(Fingering.refusal(STANDARD, Shape.parse("7-6-5-7-6-5"), Hand.MEDIUM))
                .contains(new Refusal.TooFewFingers());
    }

    @Test
    void theEffortIsTheSumOfItsParts() {
        Fingering f = Fingering.of(STANDARD, Shape.parse("1-3-3-2-1-1"), Hand.MEDIUM).orElseThrow();
        Fingering.Effort e = f.parts();
        assertThat(e.barres()).isPositive();
        assertThat(f.effort())
                .isEqualTo(
                        e.fingers()
                                + e.barres()
                                + e.spread()
                                + e.reach()
                                + e.silences()
                                + e.thumb());
        Fingering high =
                Fingering.of(STANDARD, Shape.parse("11-13-13-12-11-11"), Hand.MEDIUM).orElseThrow();
        assertThat(high.parts().reach()).isLessThan(e.reach());
        assertThat(high.parts().fingers()).isEqualTo(e.fingers());
    }
}
