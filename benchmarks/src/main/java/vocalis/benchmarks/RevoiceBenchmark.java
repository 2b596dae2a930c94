package vocalis.benchmarks;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
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
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Hand;
import vocalis.core.revoice.Intent;
import vocalis.core.revoice.Revoicer;
import vocalis.core.revoice.Row;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;
import vocalis.workbench.document.Revoicing;

/**
 * Rows of the revoicing over seven roots: one by intent over all families and one of a family, the
 * voicings searched before; and the rows of all nine families, searched anew.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(value = 1, jvmArgsAppend = "-XX:+UseSerialGC")
public class RevoiceBenchmark {

    @Param({"16", "64"})
    public int chords;

    private final Catalogue catalogue = new Catalogue();
    private final Revoicer revoicer = new Revoicer(catalogue, Hand.MEDIUM);
    private Derived derived;
    private int turn;
    private int key;

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

    /** With nothing found before. */
    @Benchmark
    public List<Row> nineFamiliesCold() {
        return nine(new Catalogue(), derived.riff());
    }

    /** With the neck known, as it is from the first shape that is shown, and no voicing on it. */
    @Benchmark
    public List<Row> nineFamiliesInAnotherKey() {
        String[] modes = {
            "minor", "phrygian", "dorian", "locrian", "mixolydian", "lydian", "major"
        };
        int k = key++ % (12 * modes.length);
        Ground ground = derived.riff().ground();
        Key other = Key.parse(Spelling.plain(k % 12).symbol() + " " + modes[k / 12]);
        return nine(catalogue, derived.riff().withGround(ground.withKey(other)));
    }

    private static List<Row> nine(Catalogue catalogue, Riff riff) {
        Revoicing anew = new Revoicing(catalogue, Hand.MEDIUM);
        return Stream.of(Family.values()).map(f -> anew.of(riff, f)).toList();
    }

    @Benchmark
    public Derived family() {
        Family[] all = Family.values();
        Riff riff = Chords.familyOfAll(derived.riff(), all[turn++ % all.length]);
        return new Deriver(catalogue).derive(riff, Hand.MEDIUM);
    }
}
