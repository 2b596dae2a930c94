package vocalis.core.mix;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.Ticks;
import vocalis.core.score.Harmony;
import vocalis.core.score.Score;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;

/**
 * Lines of its own that a bass could play under a riff, in eighths of its first meter, each with
 * what speaks for it. Common practice, no source.
 */
public final class BassOffers {

    /** What speaks for a line. */
    public enum Why {
        /** It plays where the riff accents or strikes low. */
        ON_THE_ACCENTS,
        /** Root and fifth by turns say no third. */
        ROOT_AND_FIFTH,
        /** Octaves drive. */
        OCTAVES,
        /** Before the bar turns a degree that lies in the key under every chord. */
        TURNS_ON_A_DEGREE,
        /** It climbs by degrees that lie in the key under every chord. */
        CLIMBS,
        /** Held notes leave all room. */
        HELD
    }

    /** A line and what speaks for it. */
    public record Offer(BassFigure figure, Why why) {}

    private static final int FIFTH = 7;

    private BassOffers() {}

    /** The lines, the nearest to the riff first; none where a bar is no whole number of eighths. */
    public static List<Offer> of(Score score, Key key) {
        Meter meter = score.time().meters().meter(0);
        int n = (int) (meter.barTicks() / Ticks.EIGHTH);
        List<Offer> all = new ArrayList<>();
        if (meter.barTicks() % Ticks.EIGHTH != 0 || n < 2 || n > BassFigure.MOST_STEPS) {
            return all;
        }
        Struck struck = new Struck(score);
        int bars = Math.max(1, score.time().meters().bars(score.length()));
        boolean[] strong = new boolean[n];
        for (int i = 0; i < n; i++) {
            strong[i] = struck.inBarsOf(meter, i * Ticks.EIGHTH) >= Struck.LOW * bars;
        }
        boolean[] pulse = pulses(meter, struck, n);
        add(all, Why.ON_THE_ACCENTS, n, i -> i == 0 || strong[i] ? "1" : "-");
        int[] turn = {0};
        boolean fifth = fits(score, key, FIFTH);
        if (fifth) {
            add(
                    all,
                    Why.ROOT_AND_FIFTH,
                    n,
                    i -> !pulse[i] && i > 0 ? "-" : turn[0]++ % 2 == 0 ? "1" : "5");
        }
        add(all, Why.OCTAVES, n, i -> i % 2 == 0 ? "1" : "8");
        List<Integer> degrees =
                IntStream.range(1, 12).filter(up -> fits(score, key, up)).boxed().toList();
        if (!degrees.isEmpty()) {
            String last = Degree.above(degrees.get(degrees.size() - 1)).ascii();
            add(
                    all,
                    Why.TURNS_ON_A_DEGREE,
                    n,
                    i -> i == n - 1 ? last : i == 0 || pulse[i] ? "1" : "-");
        }
        List<String> climb = climb(degrees, Math.min(3, n / 2));
        if (climb.size() >= 2) {
            int from = n - climb.size();
            add(all, Why.CLIMBS, n, i -> i == 0 ? "1" : i < from ? "-" : climb.get(i - from));
        }
        add(all, Why.HELD, n, i -> i == 0 ? "1" : "-");
        return all;
    }

    /** The highest so many degrees that follow one another by semitone or whole tone. */
    private static List<String> climb(List<Integer> degrees, int most) {
        List<String> all = new ArrayList<>();
        for (int i = degrees.size() - 1; i >= 0 && all.size() < most; i--) {
            if (!all.isEmpty() && degrees.get(i + 1) - degrees.get(i) > 2) {
                if (all.size() > 1) {
                    break;
                }
                all.clear();
            }
            all.add(0, Degree.above(degrees.get(i)).ascii());
        }
        return all;
    }

    /** On which eighths of a bar the riff's pulses fall. */
    private static boolean[] pulses(Meter meter, Struck struck, int n) {
        boolean[] pulse = new boolean[n];
        Pulse.of(meter, after -> struck.inBarsOf(meter, after)).stream()
                .filter(p -> p.at() % Ticks.EIGHTH == 0)
                .forEach(p -> pulse[(int) (p.at() / Ticks.EIGHTH)] = true);
        return pulse;
    }

    private static void add(List<Offer> all, Why why, int n, IntFunction<String> step) {
        List<String> steps = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            steps.add(step.apply(i));
        }
        BassFigure figure = BassFigure.parse(String.join(" ", steps));
        if (all.stream().noneMatch(o -> o.figure().equals(figure))) {
            all.add(new Offer(figure, why));
        }
    }

    /** Whether so many semitones over every chord's bass lie in the key. */
    private static boolean fits(Score score, Key key, int up) {
        return score.harmonies().stream()
                .map(Harmony::bass)
                .allMatch(b -> key.contains(Math.floorMod(b + up, 12)));
    }
}
