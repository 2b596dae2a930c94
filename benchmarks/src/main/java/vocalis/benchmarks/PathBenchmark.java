package vocalis.benchmarks;

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
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Change;
import vocalis.core.hands.Hand;
import vocalis.core.riff.Riff;
import vocalis.core.voicing.Family;

/**
 * The hand's way through a riff of so many chords in families by turns, no shape chosen, the
 * voicings searched before; and one round of it for each chord, to hold both against.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 5, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class PathBenchmark {

    @Param({"8", "64"})
    public int chords;

    private final Deriver deriver = new Deriver(new Catalogue());
    private Riff riff;
    private boolean turn;

    @Setup
    public void riff() {
        riff = LongRiff.of(chords, i -> Family.values()[i % Family.values().length]);
        deriver.laid(riff, Hand.MEDIUM, Change.USUAL);
    }

    @Benchmark
    public Riff way() {
        turn = !turn;
        return deriver.laid(riff, Hand.MEDIUM, new Change(turn ? 0.3 : 0.7));
    }
}
