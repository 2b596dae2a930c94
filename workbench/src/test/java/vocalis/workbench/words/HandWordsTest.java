package vocalis.workbench.words;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.hands.Muting;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;

/** What keeps strings quiet, said as players say it (common practice, no source). */
class HandWordsTest {

    private static final Fretboard STANDARD = new Fretboard(Instrument.of(Tuning.STANDARD), 0);

    /** Common practice: what keeps the other strings quiet. */
    @Test
    void theMutingPlanNamesWhatSilencesEachString() {
        assertThat(plan("x-5-7-7-x-x"))
                .isEqualTo("tip of the index: string 6; flat of the index: strings 2, 1");
        assertThat(plan("x-5-x-7-x-x")).contains("string 4");
        assertThat(plan("0-x-x-x-0-0")).isEqualTo("idle fretting hand: strings 5, 4, 3");
        assertThat(plan("0-2-2-1-0-0")).isEmpty();
        Muting octave = muting("x-5-x-7-x-x");
        assertThat(octave.schools()).contains(Muting.School.SWING, Muting.School.PLUCK);
        assertThat(muting("0-x-x-x-0-0").schools()).contains(Muting.School.SWING);
        assertThat(HandWords.pluckedBy(Shape.parse("x-5-x-7-x-x"))).isEqualTo("pick 5, middle 3");
        assertThat(HandWords.pluckedBy(Shape.parse("0-2-2-1-0-0"))).isEmpty();
    }

    void twentyGripsAreSilencedAsPlayersDo(String shape, String plan) {
        assertThat(HandWords.of(Muting.of(Shape.parse(shape), medium(shape)))).isEqualTo(plan);
    }

    private static Fingering medium(String shape) {
        return Fingering.of(STANDARD, Shape.parse(shape), Hand.MEDIUM).orElseThrow();
    }

    private static String plan(String shape) {
        return HandWords.of(muting(shape));
    }

    private static Muting muting(String shape) {
        return Muting.of(Shape.parse(shape), held(shape));
    }

    private static Fingering held(String shape) {
        return Fingering.of(STANDARD, Shape.parse(shape), Hand.LARGE).orElseThrow();
    }
}
