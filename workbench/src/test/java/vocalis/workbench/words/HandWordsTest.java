package vocalis.workbench.words;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
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

    /** What keeps the other strings quiet in twenty everyday shapes (common practice). */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "5-7-7-x-x-x|flat of the index: strings 3, 2, 1",
                "x-5-7-7-x-x|tip of the index: string 6; flat of the index: strings 2, 1",
                "x-3-2-0-1-0|tip of the ring finger: string 6",
                "x-x-0-2-3-2|thumb: string 6; striking hand: string 5",
                "x-3-2-3-3-x|tip of the middle finger: string 6; flat of the index: string 1",
                "x-x-4-4-x-x|tip of the index: string 5; flat of the index: strings 2, 1; thumb:"
                        + " string 6",
                "x-5-x-7-x-x|tip of the index: string 6; tip of the ring finger: string 4; flat of"
                        + " the index: strings 2, 1",
                "8-x-10-x-x-x|tip of the ring finger: string 5; flat of the index: strings 3, 2, 1",
                "x-x-7-x-10-x|tip of the index: string 5; tip of the little finger: string 3; flat"
                        + " of the index: string 1; thumb: string 6",
                "x-3-5-5-0-0|tip of the index: string 6",
                "x-0-2-2-2-0|thumb: string 6",
                "1-3-3-2-1-1|''",
                "x-1-3-3-3-x|tip of the index: string 6; flat of the index: string 1",
                "x-x-5-5-5-x|tip of the index: string 5; flat of the index: string 1; thumb: string"
                        + " 6",
                "0-2-2-x-x-x|flat of the index: strings 3, 2, 1",
                "x-7-6-7-8-x|tip of the middle finger: string 6; flat of the index: string 1",
                "3-2-0-0-0-3|''",
                "3-x-0-0-3-3|flat of the middle finger: string 5",
                "5-3-x-x-x-x|flat of the index: strings 4, 3, 2, 1",
                "0-x-x-x-0-0|idle fretting hand: strings 5, 4, 3",
                "x-x-x-5-5-5|tip of the index: string 4; thumb: string 6; striking hand: string 5"
            })
    void gripsAreSilencedAsPlayersDo(String shape, String plan) {
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
