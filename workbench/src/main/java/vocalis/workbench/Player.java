package vocalis.workbench;

import java.util.Optional;
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
import vocalis.sound.engine.Sample;
import vocalis.sound.engine.Settings;
import vocalis.sound.engine.Telemetry;

/**
 * Plays the open riff: keeps the engine's program and settings in step with the score and passes on
 * what the player asks for. Called from one thread. The tables of a new instrument, and what brings
 * riffs and voicings to one loudness, are computed on workers.
 */
public final class Player implements AutoCloseable {

    /** Frames per second. */
    public static final double RATE = 48_000;

    /** Frames that the device buffers: 43 ms. */
    public static final int BUFFER = 2048;

    private final ExecutorService worker = single("vocalis-strings");
    private final ExecutorService leveller = single("vocalis-levels");
    private final Levels levels = new Levels();
    private final Engine engine;
    private final AudioOutput output;
    private volatile Rigs rigs;
    private volatile Settings settings;
    private Ground ground;
    private double volume = Settings.QUIET;
    private double match = 1;
    private int strings;
    private long newest;

    /** A player of a score; {@link #start} makes it sound. */
    public Player(Score first, OutputLine.Opener opener, Clock clock, long seed) {
        ground = first.riff().ground();
        rigs = Rigs.of(ground);
        settings = rigs.settings(ground, 1, volume);
        engine = new Engine(RATE, settings, seed);
        output = new AudioOutput(engine, opener, clock, BUFFER);
        show(first, Optional.empty());
    }

    private static ExecutorService single(String name) {
        return Executors.newSingleThreadExecutor(
                r -> {
                    Thread t = new Thread(r, name);
                    t.setDaemon(true);
                    t.setPriority(Thread.MIN_PRIORITY);
                    return t;
                });
    }

    /** Starts sounding, or passing silently. */
    public void start() {
        output.start();
    }

    /** Takes a new state of the riff; what plays goes on with it from the next stroke. */
    public synchronized void show(Score score, Optional<Score> second) {
        ground = score.riff().ground();
        Program program = SoundEvents.program(score, second);
        strings = ground.board().strings();
        long mine = ++newest;
        if (rigs.serve(ground)) {
            publish();
            engine.publish(program);
            level(score, mine);
        } else {
            Ground wanted = ground;
            worker.execute(
                    () -> {
                        Rigs made = Rigs.of(wanted);
                        synchronized (this) {
                            if (mine == newest) {
                                rigs = made;
                                publish();
                                engine.publish(program);
                                level(score, mine);
                            }
                        }
                    });
        }
    }

    /** Brings the riff to the common loudness once it is known how loud it is. */
    private void level(Score score, long mine) {
        leveller.execute(
                () -> {
                    if (mine != newest) {
                        return;
                    }
                    double gain = levels.gain(rigs, score);
                    synchronized (this) {
                        if (mine == newest) {
                            match = gain;
                            publish();
                        }
                    }
                });
    }

    private void publish() {
        settings = rigs.settings(ground, match, volume);
        engine.publish(settings);
    }

    /** Starts the loop at a tick. */
    public void play(long fromTick) {
        engine.play(fromTick);
    }

    public void stop() {
        engine.stop();
    }

    /** Finds out how loud a voicing is before it is asked for. */
    public void prepare(Shape shape, double[] cents) {
        Settings now = settings;
        Sample sample = new Sample(frets(shape), cents, 1, new int[0]);
        if (leveller.isShutdown()) {
            return;
        }
        leveller.execute(() -> levels.gain(now.first(), sample));
    }

    /** Sounds one shape until {@link #release()}. */
    public void hear(Shape shape) {
        hear(shape, new double[0], Optional.empty());
    }

    /**
     * Sounds one shape until {@link #release()}, at the loudness of the others.
     *
     * @param cents how far each string is drawn out of tune; empty for none
     * @param under a power chord sounded with it, to prove its root
     */
    public void hear(Shape shape, double[] cents, Optional<Shape> under) {
        int[] frets = frets(shape);
        Sample plain = new Sample(frets, cents, 1, new int[0]);
        double gain = levels.known(settings.first(), plain) / Math.max(0.05, match);
        int[] below = under.map(Player::frets).orElse(new int[0]);
        engine.hear(new Sample(frets, cents, Math.min(8, gain), below));
    }

    private static int[] frets(Shape shape) {
        return shape.frets().stream().mapToInt(Integer::intValue).toArray();
    }

    public void release() {
        engine.release();
    }

    /** Linear volume, 0 to 2; the program starts at {@link Settings#QUIET}. */
    public synchronized void volume(double linear) {
        volume = linear;
        settings = settings.withVolume(linear);
        engine.publish(settings);
    }

    public double volume() {
        return volume;
    }

    /** Number of strings of the instrument that sounds. */
    public int strings() {
        return strings;
    }

    /** What the engine is set to now. */
    public Settings settings() {
        return settings;
    }

    /** How loud voicings are. */
    public Levels levels() {
        return levels;
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
        leveller.shutdownNow();
        try {
            worker.awaitTermination(1, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
