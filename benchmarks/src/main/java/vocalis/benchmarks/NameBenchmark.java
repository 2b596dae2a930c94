package vocalis.benchmarks;

import java.util.List;
import java.util.Optional;
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
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.names.ChordNamer;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;

/** Naming one chord, from its voicing to its symbol; the shapes are taken in turn. */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class NameBenchmark {

    @Param({"3", "4", "5"})
    public int notes;

    @Param({"none", "A minor"})
    public String key;

    private Optional<Key> inKey;
    private List<Voicing> voicings;
    private int next;

    @Setup
    public void voicings() {
        inKey = key.equals("none") ? Optional.empty() : Optional.of(Key.parse(key));
        Fretboard board = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
        List<String> shapes =
                switch (notes) {
                    case 3 -> List.of("x-x-7-7-6-x", "4-7-7-x-x-x", "x-x-5-5-5-x", "x-x-x-2-3-0");
                    case 4 -> List.of("x-x-0-2-1-1", "x-5-7-7-x-4", "x-x-2-3-2-4", "x-3-x-4-5-5");
                    default ->
                            List.of("x-0-2-0-1-0", "x-9-11-11-0-0", "x-7-6-7-7-9", "1-x-2-3-3-4");
                };
        voicings = shapes.stream().map(s -> new Voicing(Shape.parse(s), board, 0)).toList();
    }

    @Benchmark
    public String oneChord() {
        next = next + 1 == voicings.size() ? 0 : next + 1;
        return ChordNamer.name(voicings.get(next), inKey).symbol();
    }
}
