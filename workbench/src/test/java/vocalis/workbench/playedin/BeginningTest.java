package vocalis.workbench.playedin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;

/** Where the first bar begins of strokes that all come late, by a delay that nobody measured. */
class BeginningTest {

    private static final double QUARTER = 0.6;
    private static final double ONE = 2.4;

    /** Strokes at quarters of a beat, so many seconds late, spread by a few milliseconds. */
    private static List<Double> played(double late, double... quarters) {
        Random spread = new Random(4);
        return Arrays.stream(quarters)
                .map(q -> ONE + QUARTER * q + late + 0.006 * spread.nextGaussian())
                .boxed()
                .toList();
    }

    private static double found(List<Double> times) {
        double begins = Beginning.of(times, ONE, QUARTER);
        return begins + Beginning.delay(times, begins, QUARTER) - ONE;
    }

    private static final double[] QUARTERS = {0, 1, 2, 3, 4, 5, 6, 7};
    private static final double[] EIGHTHS = {0, 0.5, 1, 1.5, 2.5, 3, 3.5, 4, 5.5, 6, 6.5, 7};
    private static final double[] TRIPLETS = {0, 1 / 3., 2 / 3., 1, 4 / 3., 5 / 3., 2, 3, 10 / 3.};

    /** A delay of up to a quarter second is taken off. */
    @Test
    void aDelayIsNotTakenForRhythm() {
        for (double late : new double[] {-0.19, -0.1, -0.03, 0, 0.04, 0.1, 0.15, 0.2}) {
            assertThat(found(played(late, QUARTERS))).as("%s", late).isCloseTo(late, within(0.01));
        }
        for (double late : new double[] {-0.03, 0, 0.04, 0.1, 0.15, 0.2}) {
            assertThat(found(played(late, EIGHTHS))).as("%s", late).isCloseTo(late, within(0.01));
        }
    }

    /** Triplets that all come late stay triplets. */
    @Test
    void tripletsStayTriplets() {
        for (double late : new double[] {-0.06, 0, 0.03, 0.07}) {
            assertThat(found(played(late, TRIPLETS))).as("%s", late).isCloseTo(late, within(0.01));
        }
    }

    /** What is played off the beat on purpose stays there, and so do few strokes. */
    @Test
    void rhythmStaysRhythm() {
        double[] off = DoubleStream.iterate(0.5, q -> q + 1).limit(8).toArray();
        double[] mixed = {0, 0.75, 1.5, 2.25, 3, 3.75, 4.25, 5};
        double[] galloped = {0, 0.5, 0.75, 1, 1.5, 1.75, 2, 2.5, 2.75, 3};
        for (double[] played : List.of(off, mixed, galloped, new double[] {0.25, 1.25})) {
            assertThat(found(played(0.02, played))).isCloseTo(0.02, within(0.01));
        }
    }
}
