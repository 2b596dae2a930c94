package vocalis.benchmarks;

import java.util.Optional;
import java.util.Set;
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
import vocalis.core.hands.Hand;
import vocalis.core.revoice.Intent;
import vocalis.core.revoice.Revoicer;
import vocalis.core.riff.Chords;
import vocalis.core.riff.Derived;
import vocalis.core.riff.Deriver;
import vocalis.core.riff.Riff;
import vocalis.core.voicing.Family;

/**
 * Rows of the revoicing, the voicings of its seven roots searched before: one by intent over all
 * families, and one of a family.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class RevoiceBenchmark {

    @Param({"16", "64"})
    public int chords;

    private final Catalogue catalogue = new Catalogue();
    private final Revoicer revoicer = new Revoicer(catalogue, Hand.MEDIUM);
    private Derived derived;
    private int turn;

    @Setup
    public void riff() {
        Riff riff = LongRiff.of(chords, i -> Family.POWER);
        derived = Deriver.once(riff, Hand.MEDIUM, catalogue);
        intent();
    }

    @Benchmark
    public Optional<Riff> intent() {
        Intent[] all = {Intent.SMOOTH_TOP, Intent.LEAST_HAND, Intent.DARKEST};
        return revoicer.voiced(derived, all[turn++ % all.length], Set.of(), 1);
    }

    @Benchmark
    public Derived family() {
        Family[] all = Family.values();
        Riff riff = Chords.familyOfAll(derived.riff(), all[turn++ % all.length]);
        return new Deriver(catalogue).derive(riff, Hand.MEDIUM);
    }
}
