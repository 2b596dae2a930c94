package vocalis.core.mix;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.rhythm.Ticks;

/** Click and swing, common practice. */
class GrooveTest {

    private static final long BAR = Meter.COMMON.barTicks();

    private static List<Long> at(List<Groove.Hit> hits, Groove.Drum drum) {
        return hits.stream().filter(h -> h.drum() == drum).map(Groove.Hit::at).toList();
    }

    @Test
    void theClickSaysWhereTheOneIs() {
        List<Groove.Hit> hits =
                Groove.click(MeterMap.of(new Meter(7, 8)), 2 * new Meter(7, 8).barTicks());
        assertThat(at(hits, Groove.Drum.CLICK_ONE)).containsExactly(0L, 7 * Ticks.EIGHTH);
        assertThat(at(hits, Groove.Drum.CLICK)).hasSize(12);
    }

    /** A pickup of one beat has one click, not the loud one. */
    @Test
    void aPickupIsCountedInBeforeTheOne() {
        MeterMap meters = MeterMap.of(Meter.COMMON).withPickup(Ticks.QUARTER);
        List<Groove.Hit> hits = Groove.click(meters, Ticks.QUARTER + BAR);
        assertThat(at(hits, Groove.Drum.CLICK_ONE)).containsExactly(Ticks.QUARTER);
        assertThat(at(hits, Groove.Drum.CLICK)).startsWith(0L).hasSize(4);
    }

    @Test
    void swingMovesTheOffBeatAndNothingElse() {
        assertThat(Groove.swung(0)).isZero();
        assertThat(Groove.swung(Ticks.EIGHTH)).isEqualTo(Ticks.QUARTER * 2 / 3);
        assertThat(Groove.swung(Ticks.QUARTER)).isEqualTo(Ticks.QUARTER);
        long before = -1;
        for (long t = 0; t < 2 * Ticks.QUARTER; t += 7) {
            assertThat(Groove.swung(t)).isGreaterThanOrEqualTo(before);
            before = Groove.swung(t);
        }
    }

    /** Straight at a half, two thirds in as a triplet swings; beats stay, order stays. */
    @Test
    void swingMovesTheOffBeatsAlone() {
        long eighth = vocalis.core.rhythm.Ticks.EIGHTH;
        long quarter = 2 * eighth;
        assertThat(Groove.swung(eighth, 50, 100)).isEqualTo(eighth);
        assertThat(Groove.swung(eighth, 75, 100)).isEqualTo(quarter * 3 / 4);
        for (int swing = 50; swing <= 75; swing++) {
            long before = -1;
            for (long t = 0; t < 4 * quarter; t += 105) {
                long to = Groove.swung(t, swing, 100);
                assertThat(to).isGreaterThan(before);
                assertThat(t % quarter == 0 ? to : t).isEqualTo(t);
                before = to;
            }
        }
        assertThat(Groove.swung(eighth)).isEqualTo(quarter * 2 / 3);
    }
}
