package vocalis.core.hands;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.voicing.Family;

/** The way of the hand through a riff against trying every way. */
class LoopPathTest {

    private static final Fretboard BOARD = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
    private static final Catalogue CATALOGUE = new Catalogue();

    private static List<LoopPath.Stop> stops(Random random, int chords, int most) {
        List<LoopPath.Stop> stops = new ArrayList<>();
        for (int i = 0; i < chords; i++) {
            Family family = Family.values()[random.nextInt(Family.values().length)];
            List<Candidate> all =
                    CATALOGUE.leading(BOARD, Hand.MEDIUM, family, 5 * random.nextInt(3));
            List<Shape> shapes = new ArrayList<>();
            double[] alone = new double[1 + random.nextInt(most)];
            for (int k = 0; k < alone.length; k++) {
                shapes.add(all.get(random.nextInt(all.size())).voicing().shape());
                alone[k] = 3 * random.nextDouble();
            }
            stops.add(new LoopPath.Stop(shapes, alone, family));
        }
        return stops;
    }

    private static double cost(List<LoopPath.Stop> stops, int[] taken, Change change) {
        double cost = 0;
        for (int i = 0; i < taken.length; i++) {
            LoopPath.Stop from = stops.get(i);
            LoopPath.Stop to = stops.get((i + 1) % taken.length);
            cost += from.alone()[taken[i]];
            if (taken.length > 1) {
                Shape a = from.shapes().get(taken[i]);
                Shape b = to.shapes().get(taken[(i + 1) % taken.length]);
                cost += change.cost(BOARD, a, b, to.family());
            }
        }
        return cost;
    }

    private static double leastOfAll(List<LoopPath.Stop> stops, Change change) {
        int[] taken = new int[stops.size()];
        double least = Double.POSITIVE_INFINITY;
        while (true) {
            least = Math.min(least, cost(stops, taken, change));
            int i = 0;
            while (i < taken.length && ++taken[i] == stops.get(i).shapes().size()) {
                taken[i++] = 0;
            }
            if (i == taken.length) {
                return least;
            }
        }
    }

    @Test
    void noWayIsCheaper() {
        Random random = new Random(11);
        for (int round = 0; round < 120; round++) {
            Change change = new Change(random.nextInt(3) / 2.0);
            List<LoopPath.Stop> stops = stops(random, 1 + random.nextInt(5), 5);
            LoopPath path = LoopPath.around(BOARD, stops, change);
            int[] taken = path.taken().stream().mapToInt(Integer::intValue).toArray();
            assertThat(path.cost()).isCloseTo(cost(stops, taken, change), within(1e-9));
            assertThat(path.cost()).isCloseTo(leastOfAll(stops, change), within(1e-9));
            double changes = path.changes().stream().mapToDouble(Double::doubleValue).sum();
            double alone = 0;
            for (int i = 0; i < taken.length; i++) {
                alone += stops.get(i).alone()[taken[i]];
            }
            assertThat(alone + changes).isCloseTo(path.cost(), within(1e-9));
        }
    }

    /**
     * The wish for the same tone is heard: the fewest strings change when it is all that counts.
     */
    @Test
    void theSameToneKeepsTheStrings() {
        Random random = new Random(5);
        int fewer = 0;
        for (int round = 0; round < 40; round++) {
            List<LoopPath.Stop> stops = stops(random, 5, 8);
            int easy = otherStrings(stops, LoopPath.around(BOARD, stops, new Change(0)));
            int tone = otherStrings(stops, LoopPath.around(BOARD, stops, new Change(1)));
            fewer += Integer.compare(easy, tone);
        }
        assertThat(fewer).isGreaterThan(10);
    }

    private static int otherStrings(List<LoopPath.Stop> stops, LoopPath path) {
        int other = 0;
        for (int i = 0; i < stops.size(); i++) {
            int j = (i + 1) % stops.size();
            Shape a = stops.get(i).shapes().get(path.taken().get(i));
            Shape b = stops.get(j).shapes().get(path.taken().get(j));
            for (int s = 0; s < a.strings(); s++) {
                other += a.sounds(s) != b.sounds(s) ? 1 : 0;
            }
        }
        return other;
    }
}
