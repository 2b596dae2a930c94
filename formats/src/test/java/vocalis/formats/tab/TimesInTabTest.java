package vocalis.formats.tab;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Notation;
import vocalis.core.rhythm.Ticks;

/** Note values as letters, and times that follow from how a bar is spaced. */
class TimesInTabTest {

    /** Values by hand: letters halve, a dot adds a half, two three quarters, e3 is two thirds. */
    @ParameterizedTest
    @CsvSource({
        "w,80640", "h,40320", "q,20160", "e,10080", "s,5040", "t,2520", "x,1260",
        "q.,30240", "q..,35280", "h.,60480", "e3,6720", "q3,13440", "s5,4032", "e7,5760",
        "#420,420"
    })
    void valuesByHand(String word, long ticks) {
        assertThat(Values.ticks(word)).contains(ticks);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "k",
                "q...",
                "3e",
                "e4",
                "e33",
                "#0",
                "#-4",
                "#",
                "Q",
                "q .",
                "#1234567890"
            })
    void whatIsNoValueIsNone(String word) {
        assertThat(Values.ticks(word)).isEmpty();
    }

    /**
     * Every value that the notation can say is written so that it reads back, each as another word.
     */
    @Test
    void whatIsWrittenReadsBack() {
        Map<String, Long> words = new HashMap<>();
        int exact = 0;
        for (long ticks = 315; ticks <= Ticks.WHOLE; ticks += 105) {
            Notation.Value v = Notation.value(ticks);
            String word = Values.letter(v);
            assertThat(Values.ticks(word)).as("%d as %s", ticks, word).contains(v.ticks());
            exact += v.exact() ? 1 : 0;
            Long before = words.put(word, v.ticks());
            assertThat(before == null || before == v.ticks()).as(word).isTrue();
        }
        assertThat(exact).isGreaterThan(20);
    }

    /**
     * A bar typed on a grid, so many columns to a step and up to two before the first: every time
     * is the one that was meant. Grids of quarters, eighths, triplets and sixteenths, any strokes.
     */
    @Test
    void aBarOnAGridIsReadAsMeant() {
        Random r = new Random(17);
        int bars = 0;
        for (int per : new int[] {1, 2, 3, 4}) {
            for (int width : new int[] {2, 3, 4, 5}) {
                for (int i = 0; i < 60; i++) {
                    Meter meter = new Meter(2 + r.nextInt(4), 4);
                    int slots = per * meter.beats();
                    int lead = r.nextInt(3);
                    List<Integer> columns = new ArrayList<>();
                    List<Long> meant = new ArrayList<>();
                    for (int s = 0; s < slots; s++) {
                        if (s == 0 || r.nextInt(3) > 0) {
                            columns.add(10 + lead + s * width);
                            meant.add(s * meter.barTicks() / slots);
                        }
                    }
                    List<Long> read = Spacing.times(columns, 10, 10 + lead + slots * width, meter);
                    assertThat(read).as("%d a beat, %d wide", per, width).isEqualTo(meant);
                    bars++;
                }
            }
        }
        assertThat(bars).isEqualTo(960);
    }

    /** Whatever stands in a bar: times ascend, begin within it, and none is lost. */
    @Test
    void anySpacingGivesTimesInOrder() {
        Random r = new Random(18);
        for (int i = 0; i < 3000; i++) {
            int width = 1 + r.nextInt(60);
            List<Integer> columns = new ArrayList<>();
            for (int c = 0; c < width; c++) {
                if (r.nextInt(4) == 0) {
                    columns.add(5 + c);
                }
            }
            Meter meter = new Meter(1 + r.nextInt(9), 1 << (1 + r.nextInt(3)));
            List<Long> times = Spacing.times(columns, 5, 5 + width, meter);
            assertThat(times).hasSameSizeAs(columns).isSorted().doesNotHaveDuplicates();
            assertThat(times).allMatch(t -> t >= 0 && t < meter.barTicks());
        }
    }
}
