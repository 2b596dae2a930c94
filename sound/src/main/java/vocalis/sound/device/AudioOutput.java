package vocalis.sound.device;

import java.util.Arrays;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;
import vocalis.sound.engine.Source;

/**
 * The one thread that sounds: pulls blocks from the engine and pushes them to a device, or, when
 * there is none, lets them pass silently at the pace of the clock.
 *
 * <p>What can go wrong, and what is done: a device that takes less than it was offered is lost, one
 * that takes nothing for {@link #FROZEN_MILLIS} does not answer; either way it is closed elsewhere,
 * the silent stand-in takes over at the same position, and a new line is tried every {@link
 * #RETRY_NANOS}, on a thread of its own. A thread stuck in a device is left behind: it holds an old
 * turn and never renders again. An exception while rendering is told to the listener, the engine
 * silenced, and the thread goes on. After a change of device the output is muted until the player
 * asks for it, for another device may be far louder. A buffer that runs empty again and again, as
 * on a busy machine, is opened anew twice as large; once nothing sounds and it has held for a while
 * it becomes what was chosen again, so that what is auditioned is quick.
 */
public final class AudioOutput implements AutoCloseable {

    /** How often a missing device is tried again. */
    public static final long RETRY_NANOS = 4_000_000_000L;

    /** How long a device may take nothing before it counts as not answering. */
    public static final long FROZEN_MILLIS = 1500;

    /** How long the output waits for a device to open before it goes on without. */
    private static final long OPEN_MILLIS = 1500;

    /** How long it waits for one to close that is opened again in another size. */
    private static final long CLOSE_MILLIS = 300;

    private static final long WATCH_MILLIS = 100;

    /** Frames handed over at a time. */
    public static final int BLOCK = 512;

    /** What the sound goes to. */
    public enum Sink {
        STARTING,
        DEVICE,
        /** No device can be had. */
        SILENT,
        /** There is a device, but it does not answer. */
        FROZEN
    }

    private final Source engine;
    private final Clock clock;
    private final Consumer<Throwable> trouble;

    private volatile Sink sink = Sink.STARTING;
    private volatile long underruns; // written by the output thread alone
    private volatile boolean running;
    private volatile boolean muted;
    private volatile Choice choice;

    /** Whose turn it is to render; an output thread whose turn is over ends. */
    private volatile long turn;

    /** Counts up when a device is about to be written to and when it returned: odd while in it. */
    private volatile long writes;

    private volatile OutputLine inUse;
    private volatile boolean playedBefore;
    private volatile long failures;

    private final Headroom headroom = new Headroom();

    private long paceStart;
    private long paceFrames;

    /**
     * @param bufferFrames frames that the device may hold; more is safer and later (2048 at 48 kHz
     *     is 43 ms)
     */
    public AudioOutput(Source engine, OutputLine.Opener opener, Clock clock, int bufferFrames) {
        this(engine, opener, clock, bufferFrames, t -> {});
    }

    /**
     * @param trouble told, on a thread of its own, what the engine threw
     */
    public AudioOutput(
            Source engine,
            OutputLine.Opener opener,
            Clock clock,
            int bufferFrames,
            Consumer<Throwable> trouble) {
        this.engine = engine;
        this.clock = clock;
        this.trouble = trouble;
        this.choice = new Choice(opener, bufferFrames);
    }

    /** What to open. */
    private record Choice(OutputLine.Opener opener, int bufferFrames) {}

    /** Goes over to another device or buffer, muted; what plays goes on. */
    public void use(OutputLine.Opener opener, int bufferFrames) {
        muted = true;
        headroom.asChosen();
        choice = new Choice(opener, bufferFrames);
    }

    /** Whether the device gets silence although the engine plays. */
    public boolean muted() {
        return muted;
    }

    public void mute(boolean on) {
        muted = on;
    }

    /** Frames that the device may hold, as chosen. */
    public int bufferFrames() {
        return choice.bufferFrames();
    }

    /** Frames that it holds for now: more where it ran empty. */
    public int heldFrames() {
        return frames(choice);
    }

    private int frames(Choice of) {
        return of.bufferFrames() * headroom.times();
    }

    /** How often rendering threw. */
    public long failures() {
        return failures;
    }

    /** Starts the thread, and another that watches it. */
    public synchronized void start() {
        if (running) {
            throw new IllegalStateException("the output runs already");
        }
        running = true;
        begin(turn, false);
        daemon("vocalis-sound-watch", this::watch).start();
    }

    private void begin(long mine, boolean frozen) {
        Thread t = daemon("vocalis-sound", () -> run(mine, frozen));
        t.setPriority(Thread.MAX_PRIORITY);
        t.start();
    }

    private static Thread daemon(String name, Runnable work) {
        Thread t = new Thread(work, name);
        t.setDaemon(true);
        return t;
    }

    /** Where the sound goes now. */
    public Sink sink() {
        return sink;
    }

    /** How often a block came later than the buffer could bridge, since the line was opened. */
    public long underruns() {
        return underruns;
    }

    /**
     * Longest time from a key press to the device, in seconds: what its buffer and one block hold.
     */
    public double latencySeconds() {
        return (heldFrames() + BLOCK) / engine.sampleRate();
    }

    @Override
    public synchronized void close() {
        running = false;
    }

    /** Whether an output thread is still the one that renders. */
    private boolean mine(long turnOfMine) {
        return running && turn == turnOfMine;
    }

    /** Looks whether a device has taken nothing for too long, and goes on without it. */
    private void watch() {
        long seen = -1;
        long same = 0;
        while (running) {
            LockSupport.parkNanos(WATCH_MILLIS * 1_000_000);
            long now = writes;
            same = now == seen && now % 2 == 1 ? same + WATCH_MILLIS : 0;
            seen = now;
            if (same >= FROZEN_MILLIS) {
                same = 0;
                OutputLine stuck = inUse;
                turn = turn + 1;
                writes = now + 1;
                sink = Sink.FROZEN;
                if (stuck != null) {
                    Opening.close(stuck);
                }
                begin(turn, true);
            }
        }
    }

    private void run(long mine, boolean frozen) {
        boolean waits = frozen;
        while (mine(mine)) {
            Choice now = choice;
            if (waits) {
                passSilently(clock.nanos() + RETRY_NANOS, now, mine);
                waits = false;
                continue;
            }
            OutputLine line = tryOpen(now, mine);
            if (line == null) {
                waits = true;
                continue;
            }
            if (!headroom.opened()) {
                muted = muted || playedBefore;
                underruns = 0;
            }
            playedBefore = true;
            sink = Sink.DEVICE;
            inUse = line;
            pushTo(line, now, mine);
            if (turn == mine) {
                inUse = null;
                Thread closing = Opening.close(line);
                if (headroom.other()) {
                    await(closing);
                }
            }
        }
    }

    /** A device that serves one at a time has to be let go before it is opened in another size. */
    private static void await(Thread closing) {
        try {
            closing.join(CLOSE_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** A line, or null: then the sink says why. The stand-in plays while a device is slow. */
    private OutputLine tryOpen(Choice wanted, long mine) {
        Opening opening = new Opening(wanted.opener(), engine.sampleRate(), frames(wanted));
        try {
            OutputLine line = opening.within(sink == Sink.STARTING ? OPEN_MILLIS : 200);
            if (line != null) {
                return line;
            }
            sink = Sink.FROZEN;
            while (mine(mine) && choice == wanted && !opening.done()) {
                passSilently(clock.nanos() + RETRY_NANOS / 8, wanted, mine);
            }
            if (opening.done() && mine(mine) && choice == wanted) {
                return opening.within(0);
            }
            opening.giveUp();
            return null;
        } catch (OutputLine.NoDevice e) {
            sink = Sink.SILENT;
            return null;
        }
    }

    /** Renders, whatever happens: what is thrown is told, and silence takes its place. */
    private void render(float[] floats) {
        try {
            engine.render(floats, BLOCK);
        } catch (RuntimeException | Error e) {
            Arrays.fill(floats, 0);
            failures = failures + 1;
            engine.panic();
            daemon("vocalis-sound-trouble", () -> trouble.accept(e)).start();
            LockSupport.parkNanos(5_000_000);
        }
    }

    private void pushTo(OutputLine line, Choice wanted, long mine) {
        float[] floats = new float[2 * BLOCK];
        byte[] bytes = new byte[4 * BLOCK];
        double perNano = engine.sampleRate() * 1e-9;
        double held = 0;
        boolean filled = false;
        int frames = frames(wanted);
        long left = clock.nanos();
        while (mine(mine) && choice == wanted && !headroom.other()) {
            render(floats);
            if (muted) {
                Arrays.fill(bytes, (byte) 0);
            } else {
                toBytes(floats, bytes);
            }
            long before = clock.nanos();
            held -= (before - left) * perNano;
            if (filled && held < 0) {
                underruns = underruns + 1;
                headroom.ranDry(before, frames);
                held = 0;
            }
            writes = writes + 1;
            boolean took = line.write(bytes, bytes.length) == bytes.length;
            if (turn != mine) {
                return;
            }
            writes = writes + 1;
            if (!took) {
                return;
            }
            left = clock.nanos();
            // A write that had to wait left the buffer full, whatever the device's own clock says.
            double wait = (left - before) * perNano;
            boolean waited = wait > BLOCK / 2.0;
            if (filled && wait > frames + BLOCK) {
                underruns = underruns + 1;
                headroom.ranDry(left, frames);
            }
            filled |= waited;
            held = waited ? frames : Math.min(frames, held + BLOCK - wait);
            headroom.played(floats, left);
        }
    }

    /** Renders at the pace of the clock until a moment, or another device is chosen. */
    private void passSilently(long until, Choice wanted, long mine) {
        float[] floats = new float[2 * BLOCK];
        resetPace();
        int bufferFrames = wanted.bufferFrames();
        while (mine(mine) && choice == wanted && clock.nanos() < until) {
            render(floats);
            countLate();
            long ahead = paceFrames - elapsedFrames();
            // Several blocks, then a rest: a thread that wakes seldom costs an idle window little.
            if (ahead >= bufferFrames) {
                clock.sleep((long) ((ahead - bufferFrames / 4.0) / engine.sampleRate() * 1e9));
            }
        }
    }

    /** Runs the silent stand-in on the caller's thread for a time of the clock: soaks and tests. */
    public void passSilentlyFor(long nanos) {
        running = true;
        passSilently(clock.nanos() + nanos, choice, turn);
        running = false;
    }

    private void resetPace() {
        paceStart = clock.nanos();
        paceFrames = 0;
    }

    /** A block is late when the clock has passed all that was handed over before it. */
    private void countLate() {
        long late = elapsedFrames() - paceFrames;
        paceFrames += BLOCK;
        if (late > choice.bufferFrames()) {
            underruns = underruns + 1;
            resetPace();
        }
    }

    private long elapsedFrames() {
        return (long) ((clock.nanos() - paceStart) * 1e-9 * engine.sampleRate());
    }

    private static void toBytes(float[] floats, byte[] bytes) {
        for (int i = 0; i < floats.length; i++) {
            int v = Math.round(floats[i] * 32767);
            bytes[2 * i] = (byte) v;
            bytes[2 * i + 1] = (byte) (v >> 8);
        }
    }
}
