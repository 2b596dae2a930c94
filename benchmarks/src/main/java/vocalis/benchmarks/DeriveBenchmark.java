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
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.edit.Strokes;
import vocalis.core.hands.Hand;
import vocalis.core.pattern.Event;
import vocalis.core.pattern.Stroke;
import vocalis.core.riff.Riff;
import vocalis.core.score.Dynamics;
import vocalis.core.voicing.Family;
import vocalis.workbench.demo.Demo;

/**
 * What one edit of a riff costs until its score stands again: an accent set or taken, a family
 * changed back and forth, and, to hold both against, everything from nothing but the searched
 * voicings.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 4, time = 1)
@Measurement(iterations = 5, time = 1)
@Fork(1)
public class DeriveBenchmark {

    @Param({"4", "64", "256"})
    public int bars;

    private final Catalogue catalogue = new Catalogue();
    private final Deriver deriver = new Deriver(catalogue);
    private Riff plain;
    private Riff accented;
    private Riff families;
    private boolean turn;

    @Setup
    public void riffs() {
        plain = Demo.pieces().get(0).riff();
        while (plain.bars() < bars) {
            int n = plain.roots().size();
            plain = Chords.copy(plain, 0, n - 1, n);
        }
        long middle = plain.meters().start(plain.bars() / 2);
        accented =
                Strokes.change(
                        plain,
                        Strokes.start(plain, middle).orElse(0L),
                        DeriveBenchmark::turned,
                        vocalis.core.edit.Scope.EVERY_PASS);
        families = Chords.family(plain, plain.roots().size() / 2, Family.FOURTH);
        deriver.derive(plain, Hand.MEDIUM);
        deriver.derive(families, Hand.MEDIUM);
    }

    private static Event turned(Event e) {
        Stroke s = (Stroke) e;
        return s.with(s.dynamics() == Dynamics.ACCENT ? Dynamics.PLAIN : Dynamics.ACCENT);
    }

    @Benchmark
    public Derived accent() {
        turn = !turn;
        return deriver.derive(turn ? accented : plain, Hand.MEDIUM);
    }

    @Benchmark
    public Derived family() {
        turn = !turn;
        return deriver.derive(turn ? families : plain, Hand.MEDIUM);
    }

    @Benchmark
    public Derived everything() {
        return Deriver.once(plain, Hand.MEDIUM, catalogue);
    }
}
