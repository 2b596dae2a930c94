package vocalis.benchmarks;

import java.util.List;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import vocalis.core.choice.Card;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.Ranking;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;

/**
 * Finding and ranking all voicings of a root: cold (a new catalogue) and warm (searched before).
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 20, time = 1)
@Measurement(iterations = 8, time = 1)
@Fork(value = 1, jvmArgsAppend = "-XX:+UseSerialGC")
public class SearchBenchmark {

    /** One family, or ALL for the nine in turn. */
    @Param({"POWER", "TRIAD", "EXTENDED", "DRONE", "ALL"})
    public String families;

    private static final Key KEY = Key.parse("A minor");

    private final Fretboard board = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
    private List<Family> wanted;
    private Catalogue warm;

    @Setup
    public void search() {
        wanted =
                families.equals("ALL")
                        ? List.of(Family.values())
                        : List.of(Family.valueOf(families));
        warm = new Catalogue();
        cards(warm);
    }

    private List<List<Card>> cards(Catalogue catalogue) {
        return wanted.stream()
                .map(
                        f ->
                                new Ranking(f, List.of(), KEY)
                                        .cards(catalogue.leading(board, Hand.MEDIUM, f, 9)))
                .toList();
    }

    @Benchmark
    public List<List<Card>> searchedAnew() {
        return cards(new Catalogue());
    }

    @Benchmark
    public List<List<Card>> searchedBefore() {
        return cards(warm);
    }
}
