package vocalis.core.check;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.edit.Figures;
import vocalis.core.edit.Times;
import vocalis.core.edit.Touches;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.voicing.Family;

/** What a player would stumble over is found, and only that. */
class CheckTest {

    private static final Deriver DERIVER = new Deriver(new Catalogue());

    private static <T extends Caution> List<T> found(Riff riff, Class<T> kind) {
        return Check.of(DERIVER.derive(riff, Hand.MEDIUM)).stream()
                .filter(kind::isInstance)
                .map(kind::cast)
                .toList();
    }

    private static Riff holding(Riff riff, int chord, String shape, int root) {
        Member member = new Member.ByHand(Shape.parse(shape), root);
        return Chords.member(riff, chord, Family.POWER, member);
    }

    @Test
    void aPlainRiffHasNothing() {
        Riff riff = Riffs.repeating(1, 4, 6, 5);
        assertThat(Check.of(DERIVER.derive(riff, Hand.MEDIUM))).isEmpty();
    }

    /** The first fret and the seventeenth lie about 380 mm apart at 648 mm (rule of 17.817). */
    @Test
    void aFarWayInLittleTimeIsHard() {
        Riff riff = holding(Riffs.repeating(6, 4), 0, "1-3-3-x-x-x", 5);
        Riff far = holding(riff, 1, "x-17-19-x-x-x", 2);
        List<Caution.FarChange> hard = found(far, Caution.FarChange.class);
        assertThat(hard).hasSize(2);
        assertThat(hard.get(0).seam()).isFalse();
        assertThat(hard.get(0).mm()).isBetween(360.0, 400.0);
        assertThat(hard.get(1).seam()).isTrue();
        assertThat(found(holding(riff, 1, "x-5-7-7-x-x", 2), Caution.FarChange.class)).isEmpty();
    }

    /** From 60 mm on, not from 200: the first fret to the fifth is 126 mm, to the second 34. */
    @Test
    void aWayOfAHandsBreadthInNoTimeIsHard() {
        Riff fast = Times.tempo(Riffs.repeating(6, 4), 400);
        Riff near = holding(holding(fast, 0, "1-3-3-x-x-x", 5), 1, "x-x-0-2-3-x", 2);
        Riff far = holding(holding(fast, 0, "1-3-3-x-x-x", 5), 1, "x-5-7-7-x-x", 2);
        assertThat(found(near, Caution.FarChange.class)).isEmpty();
        assertThat(found(far, Caution.FarChange.class)).isNotEmpty();
        assertThat(found(far, Caution.FarChange.class).get(0).mm()).isBetween(60.0, 200.0);
    }

    @Test
    void aShapeThatNoHandHoldsIsFound() {
        Riff riff = holding(Riffs.repeating(1, 4), 0, "5-12-x-x-x-x", 9);
        assertThat(found(riff, Caution.OutOfReach.class)).hasSize(1);
    }

    @Test
    void aLoopThatEndsWhereItBeginsStandsStill() {
        assertThat(found(Riffs.repeating(1, 4, 1), Caution.StillSeam.class)).hasSize(1);
        assertThat(found(Riffs.repeating(1, 4, 5), Caution.StillSeam.class)).isEmpty();
    }

    @Test
    void aFigureAgainstTheBarIsCutAtTheSeam() {
        Riff riff = Figures.lengthen(Riffs.repeating(1, 4, 6, 5), 0, -3 * Ticks.EIGHTH);
        List<Caution.Cut> cut = found(riff, Caution.Cut.class);
        assertThat(cut).singleElement().satisfies(c -> assertThat(c.bars()).isEqualTo(5));
    }

    @Test
    void aTouchWithoutAPlaceIsFound() {
        Riff riff = Riffs.repeating(1, 4);
        Touch slide =
                new Touch.Slide(
                        Riffs.top(riff.pattern().order().get(0), 0, Optional.empty()), 30, 0, 0);
        assertThat(found(Touches.put(riff, slide), Caution.NotPlayed.class)).isNotEmpty();
    }
}
