package vocalis.workbench;

import java.util.Arrays;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Score;
import vocalis.sound.device.AudioOutput;
import vocalis.sound.device.Clock;
import vocalis.sound.device.OutputLine;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Program;
import vocalis.sound.engine.Settings;
import vocalis.sound.engine.StringBank;
import vocalis.sound.engine.Telemetry;

/**
 * Plays the open riff: keeps the engine's program and settings in step with the score and passes on
 * what the player asks for. Called from one thread. The tables of a new instrument are computed on
 * a worker.
 */
public final class Player implements AutoCloseable {

    /** Frames per second. */
    public static final double RATE = 48_000;

    /** Frames that the device buffers: 43 ms. */
    public static final int BUFFER = 2048;

    private final ExecutorService worker =
            Executors.newSingleThreadExecutor(
                    r -> {
                        Thread t = new Thread(r, "vocalis-strings");
                        t.setDaemon(true);
                        return t;
                    });
    private final Engine engine;
    private final AudioOutput output;
    private double[] bankHz;
    private int bankFrets;
    private volatile Settings settings;
    private double volume = Settings.QUIET;
    private int strings;
    private long newest;

    /** A player of a score; {@link #start} makes it sound. */
    public Player(Score first, OutputLine.Opener opener, Clock clock, long seed) {
        Ground ground = first.riff().ground();
        bankHz = SoundEvents.openHz(ground);
        bankFrets = ground.board().frets();
        settings =
                new Settings(
                        StringBank.of(bankHz, bankFrets, RATE),
                        SoundEvents.amp(ground.tone()),
                        ground.tempo(),
                        volume);
        engine = new Engine(RATE, settings, seed);
        output = new AudioOutput(engine, opener, clock, BUFFER);
        show(first);
    }

    /** Starts sounding, or passing silently. */
    public void start() {
        output.start();
    }

    /** Takes a new state of the riff; what plays goes on with it from the next stroke. */
    public void show(Score score) {
        Ground ground = score.riff().ground();
        Program program = SoundEvents.program(score);
        strings = ground.board().strings();
        double[] hz = SoundEvents.openHz(ground);
        int frets = ground.board().frets();
        long mine = ++newest;
        if (Arrays.equals(hz, bankHz) && frets == bankFrets) {
            publish(ground, settings.bank(), program);
        } else {
            bankHz = hz;
            bankFrets = frets;
            worker.execute(
                    () -> {
                        StringBank bank = StringBank.of(hz, frets, RATE);
                        synchronized (this) {
                            if (mine == newest) {
                                publish(ground, bank, program);
                            } else {
                                settings =
                                        new Settings(
                                                bank,
                                                settings.amp(),
                                                settings.tempo(),
                                                settings.volume());
                                engine.publish(settings);
                            }
                        }
                    });
        }
    }

    private synchronized void publish(Ground ground, StringBank bank, Program program) {
        settings = new Settings(bank, SoundEvents.amp(ground.tone()), ground.tempo(), volume);
        engine.publish(settings);
        engine.publish(program);
    }

    /** Starts the loop at a tick. */
    public void play(long fromTick) {
        engine.play(fromTick);
    }

    public void stop() {
        engine.stop();
    }

    /** Sounds one shape until {@link #release()}. */
    public void hear(Shape shape) {
        engine.hear(shape.frets().stream().mapToInt(Integer::intValue).toArray());
    }

    public void release() {
        engine.release();
    }

    /** Linear volume, 0 to 2; the program starts at {@link Settings#QUIET}. */
    public synchronized void volume(double linear) {
        volume = linear;
        settings = new Settings(settings.bank(), settings.amp(), settings.tempo(), linear);
        engine.publish(settings);
    }

    public double volume() {
        return volume;
    }

    /** Number of strings of the instrument that sounds. */
    public int strings() {
        return strings;
    }

    /** What the engine tells; for one reader. */
    public Telemetry telemetry() {
        return engine.telemetry();
    }

    public AudioOutput output() {
        return output;
    }

    @Override
    public void close() {
        output.close();
        worker.shutdown();
        try {
            worker.awaitTermination(1, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
