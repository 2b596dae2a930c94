package vocalis.benchmarks;

import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
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
import vocalis.core.riff.Derivation;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Tone;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Settings;
import vocalis.sound.engine.StringBank;
import vocalis.workbench.Demo;
import vocalis.workbench.SoundEvents;

/**
 * One second of the demo's first riff through the whole chain: the score in ms per second of sound
 * is the share of real time in thousandths (50 is 20 times real time).
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class RenderBenchmark {

    private static final int RATE = 48_000;

    @Param({"CLEAN", "EDGE", "GAIN"})
    public Tone tone;

    private final float[] second = new float[2 * RATE];
    private Engine engine;

    @Setup(Level.Trial)
    public void start() {
        Riff demo = Demo.riffs().get(0).riff();
        Riff riff = demo.withGround(demo.ground().withTone(tone));
        StringBank bank =
                StringBank.of(
                        SoundEvents.openHz(riff.ground()), riff.ground().board().frets(), RATE);
        engine = new Engine(RATE, new Settings(bank, SoundEvents.amp(tone), 104, 1), 1);
        engine.publish(SoundEvents.program(Derivation.score(riff, Hand.MEDIUM, new Catalogue())));
        engine.play(0);
    }

    @Benchmark
    public float[] oneSecond() {
        engine.render(second, RATE);
        return second;
    }
}
