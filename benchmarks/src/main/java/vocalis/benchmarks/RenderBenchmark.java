package vocalis.benchmarks;

import java.util.Optional;
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
import vocalis.core.mix.Controls;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Feel;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Tone;
import vocalis.core.voicing.Family;
import vocalis.sound.engine.Engine;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.playing.Heard;
import vocalis.workbench.playing.OfflineRender;
import vocalis.workbench.playing.Player;
import vocalis.workbench.playing.SoundEvents;

/**
 * One second of the demo's first riff through the whole chain: the score in ms per second of sound
 * is the share of real time in thousandths (50 is 20 times real time). BAND is two guitars under
 * gain, bass and kit.
 */
@State(Scope.Thread)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Warmup(iterations = 4, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class RenderBenchmark {

    @Param({"CLEAN", "EDGE", "GAIN", "BAND"})
    public String scene;

    private final float[] second = new float[2 * (int) Player.RATE];
    private Engine engine;

    @Setup(Level.Trial)
    public void start() {
        Piece demo = Demo.pieces().get(0);
        boolean band = scene.equals("BAND");
        Tone tone = band ? Tone.GAIN : Tone.valueOf(scene);
        Mix along =
                Mix.ALONE
                        .withSecond(Fader.ON, Tone.GAIN, Controls.USUAL, 8)
                        .withBass(Fader.ON, Mix.BassLine.ROOTS)
                        .withKit(Fader.ON, Feel.SIXTEENTHS);
        Piece toned =
                demo.with(demo.riff().withGround(demo.riff().ground().withTone(tone)))
                        .mixed(band ? along : Mix.ALONE)
                        .secondVoicedIn(Optional.of(Family.OCTAVE));
        Heard heard = new Workspace(new Catalogue(), toned).heard();
        engine = OfflineRender.engine(heard.ground(), heard.mix(), toned.riff().tempo());
        engine.publish(SoundEvents.program(heard));
        engine.play(0);
    }

    @Benchmark
    public float[] oneSecond() {
        engine.render(second, (int) Player.RATE);
        return second;
    }
}
