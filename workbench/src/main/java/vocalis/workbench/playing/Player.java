package vocalis.workbench.playing;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Tone;
import vocalis.sound.device.AudioOutput;
import vocalis.sound.device.Clock;
import vocalis.sound.device.OutputLine;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Program;
import vocalis.sound.engine.Rig;
import vocalis.sound.engine.Sample;
import vocalis.sound.engine.Settings;
import vocalis.sound.engine.Telemetry;
import vocalis.workbench.base.Log;

/**
 * Plays the open riff: keeps the engine's program and settings in step with the score and passes on
 * what the player asks for; the engine is asked by one thread at a time. The tables of a new
 * instrument, and what brings riffs and voicings to one loudness, are computed on workers.
 */
public final class Player implements AutoCloseable {

    /** Frames per second. */
    public static final double RATE = Gear.RATE;

    /** Frames that the device buffers: 43 ms. */
    public static final int BUFFER = 2048;

    private final ExecutorService worker = single("vocalis-strings");
    private final ScheduledExecutorService leveller =
            Executors.newSingleThreadScheduledExecutor(r -> thread(r, "vocalis-levels"));
    private final Measured measured;
    private final Levels levels;
    private final Engine engine;
    private final AudioOutput output;
    private final AtomicReference<Runnable> toPrepare = new AtomicReference<>();
    private volatile Rigs rigs;
    private volatile Settings settings;
    private Heard heard;
    private double volume = Settings.QUIET;
    private double match = 1;
    private volatile long newest;

    /** A player of a riff; {@link #start} makes it sound. */
    public Player(Heard first, OutputLine.Opener opener, Clock clock, long seed) {
        this(first, opener, clock, seed, new Measured());
    }

    /**
     * The same.
     *
     * @param measured what was measured already
     */
    public Player(
            Heard first, OutputLine.Opener opener, Clock clock, long seed, Measured measured) {
        this.measured = measured;
        levels = measured.levels();
        heard = first;
        rigs = Rigs.of(first.ground(), first.mix());
        settings = settings(1);
        engine = new Engine(RATE, settings, seed);
        output =
                new AudioOutput(
                        engine, opener, clock, BUFFER, e -> Log.failed("rendering sound", e));
        engine.publish(SoundEvents.program(first));
    }

    private static ExecutorService single(String name) {
        return Executors.newSingleThreadExecutor(r -> thread(r, name));
    }

    private static Thread thread(Runnable r, String name) {
        Thread t = new Thread(r, name);
        t.setDaemon(true);
        t.setPriority(Thread.MIN_PRIORITY);
        return t;
    }

    /** Runs work that says what it was when it throws; a player that is closing drops it. */
    private static void execute(Executor on, String what, Runnable work) {
        try {
            on.execute(
                    () -> {
                        try {
                            work.run();
                        } catch (RuntimeException e) {
                            Log.failed(what, e);
                        }
                    });
        } catch (RejectedExecutionException e) {
            // The player is closing: nobody will hear it.
            return;
        }
    }

    /** What was measured of voicings and riffs so far. */
    public Measured measured() {
        return measured;
    }

    /**
     * Starts sounding, or passing silently. What it begins with is measured from here on: until
     * then the window that is being built has the processor for itself.
     */
    public synchronized void start() {
        output.start();
        level(heard, newest);
    }

    /**
     * Takes a new state of the riff; what plays goes on with it from the next stroke. The work is
     * done on a worker; of several states in a row only the newest counts.
     */
    public synchronized void show(Heard next) {
        show(next, NOT_AT_ONCE);
    }

    /**
     * The same, and plays it from a tick as soon as it is ready: nothing of what was there before
     * is heard. A newer state takes both back.
     */
    public synchronized void showAndPlay(Heard next, long fromTick) {
        show(next, fromTick);
    }

    private static final long NOT_AT_ONCE = -1;

    private void show(Heard next, long fromTick) {
        heard = next;
        long mine = ++newest;
        execute(worker, "preparing the sound", () -> serve(next, mine, fromTick));
    }

    private void serve(Heard next, long mine, long fromTick) {
        if (mine != newest) {
            return;
        }
        Program program = SoundEvents.program(next);
        Rigs ready =
                rigs.serve(next.ground(), next.mix()) ? rigs : Rigs.of(next.ground(), next.mix());
        synchronized (this) {
            if (mine == newest) {
                rigs = ready;
                publish();
                engine.publish(program);
                if (fromTick != NOT_AT_ONCE) {
                    engine.play(fromTick);
                }
                level(next, mine);
            }
        }
    }

    /** Brings the riff to the common loudness once it is known how loud it is. */
    private void level(Heard next, long mine) {
        execute(
                r -> leveller.schedule(r, measured.restMillis(), TimeUnit.MILLISECONDS),
                "measuring loudness",
                () -> {
                    if (mine != newest) {
                        return;
                    }
                    double gain = levels.gain(rigs, next);
                    Map<Tone, Double> tones = levels.tones(next);
                    Optional<Program> levelled =
                            tones.isEmpty()
                                    ? Optional.empty()
                                    : Optional.of(SoundEvents.program(next, true, tones::get));
                    synchronized (this) {
                        if (mine == newest) {
                            match = gain;
                            publish();
                            levelled.ifPresent(engine::publish);
                        }
                    }
                });
    }

    private Settings settings(double matched) {
        int tempo = heard.score().time().tempos().first();
        return rigs.settings(heard.ground(), heard.mix(), tempo, matched, volume);
    }

    private void publish() {
        settings = settings(match);
        engine.publish(settings);
    }

    /** Starts the loop at a tick. */
    public synchronized void play(long fromTick) {
        engine.play(fromTick);
    }

    public synchronized void stop() {
        engine.stop();
    }

    /** Finds out how loud a voicing is before it is asked for; only the newest wish counts. */
    public void prepare(Shape shape, double[] cents) {
        Settings now = settings;
        Sample sample = new Sample(frets(shape), cents, 1, new int[0]);
        boolean idle = toPrepare.getAndSet(() -> levels.gain(now.first(), sample)) == null;
        if (idle) {
            execute(leveller, "measuring loudness", () -> toPrepare.getAndSet(null).run());
        }
    }

    /**
     * Measures voicings now, so that they are heard at one loudness: for a worker, it takes tens of
     * milliseconds each.
     *
     * @return how far the first and the last lie apart even so, in LU; 0 for one alone
     */
    public double measure(List<Shape> shapes) {
        Rig rig = settings.first();
        List<Sample> samples =
                shapes.stream()
                        .map(s -> new Sample(frets(s), new double[0], 1, new int[0]))
                        .toList();
        samples.forEach(s -> levels.gain(rig, s));
        return samples.size() < 2
                ? 0
                : levels.apart(rig, samples.get(0), samples.get(samples.size() - 1));
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
    public synchronized void hear(Shape shape, double[] cents, Optional<Shape> under) {
        int[] frets = frets(shape);
        Sample plain = new Sample(frets, cents, 1, new int[0]);
        double gain = levels.known(settings.first(), plain) / Math.max(0.05, match);
        int[] below = under.map(Player::frets).orElse(new int[0]);
        engine.hear(new Sample(frets, cents, Math.min(8, gain), below));
    }

    private static int[] frets(Shape shape) {
        return shape.toArray();
    }

    public synchronized void release() {
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
    public synchronized int strings() {
        return heard.score().board().strings();
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
