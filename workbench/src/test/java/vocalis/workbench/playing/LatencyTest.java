package vocalis.workbench.playing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class LatencyTest {

    private static final List<Double> CLICKS =
            IntStream.range(0, 8).mapToObj(i -> 1 + 0.5 * i).toList();

    /** Latencies that were set are found within 2 ms, though other strokes are heard between. */
    @Test
    void whatWasSetIsFound() {
        Random random = new Random(4);
        for (double set : new double[] {0.004, 0.021, 0.063, 0.118, 0.24}) {
            List<Double> onsets = new ArrayList<>();
            CLICKS.forEach(c -> onsets.add(c + set + 0.001 * random.nextGaussian()));
            onsets.add(1.17);
            onsets.add(2.83);
            onsets.sort(Double::compare);
            Latency.Delay found = Latency.of(onsets, CLICKS).orElseThrow();
            assertThat(found.seconds()).isCloseTo(set, within(0.002));
            assertThat(found.spreadMs()).isLessThan(3);
        }
    }

    /** A hand that taps along spreads; two of eight taps may be missing. */
    @Test
    void tappingAlongWillDo() {
        Random random = new Random(9);
        List<Double> taps =
                CLICKS.subList(1, 7).stream()
                        .map(c -> c + 0.05 + 0.008 * random.nextGaussian())
                        .toList();
        assertThat(Latency.of(taps, CLICKS).orElseThrow().seconds()).isCloseTo(0.05, within(0.012));
    }

    @Test
    void whatFollowsNoClickSaysNothing() {
        assertThat(Latency.of(List.of(1.1, 1.7, 2.05, 3.4), CLICKS)).isEmpty();
        assertThat(Latency.of(List.of(), CLICKS)).isEmpty();
    }
}
