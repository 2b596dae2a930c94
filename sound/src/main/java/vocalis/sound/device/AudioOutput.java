package vocalis.sound.device;

import java.util.Arrays;
import vocalis.sound.engine.Engine;

/**
 * The one thread that sounds: pulls blocks from the engine and pushes them to a device, or, when
 * there is none, lets them pass silently at the pace of the clock. A device that takes less than it
 * was offered is lost: it is closed elsewhere, the silent stand-in takes over at the same position,
 * and a new line is tried every {@link #RETRY_NANOS}. After a change of device the output is muted
 * until the player asks for it, for another device may be far louder.
 */
public final class AudioOutput implements AutoCloseable {

    /** How often a missing device is tried again. */
    public static final long RETRY_NANOS = 4_000_000_000L;

    /** Frames handed over at a time. */
    public static final int BLOCK = 512;

    /** What the sound goes to. */
    public enum Sink {
        STARTING,
        DEVICE,
        SILENT
    }

    private final Engine engine;
    private final Clock clock;
    private final float[] floats = new float[2 * BLOCK];
    private final byte[] bytes = new byte[4 * BLOCK];

    private volatile Sink sink = Sink.STARTING;
    private volatile long underruns; // written by the output thread alone
    private volatile boolean running;
    private volatile boolean muted;
    private volatile Choice choice;
    private Thread thread;

    private long paceStart;
    private long paceFrames;

    /**
     * @param bufferFrames frames that the device may hold; more is safer and later (2048 at 48 kHz
     *     is 43 ms)
     */
    public AudioOutput(Engine engine, OutputLine.Opener opener, Clock clock, int bufferFrames) {
        this.engine = engine;
        this.clock = clock;
        this.choice = new Choice(opener, bufferFrames);
    }

    /** What to open. */
    private record Choice(OutputLine.Opener opener, int bufferFrames) {}

    /** Goes over to another device or buffer, muted; what plays goes on. */
    public void use(OutputLine.Opener opener, int bufferFrames) {
        muted = true;
        choice = new Choice(opener, bufferFrames);
    }

    /** Whether the device gets silence although the engine plays. */
    public boolean muted() {
        return muted;
    }

    public void mute(boolean on) {
        muted = on;
    }

    /** Frames that the device may hold. */
    public int bufferFrames() {
        return choice.bufferFrames();
    }

    /** Starts the thread. */
    public synchronized void start() {
        if (thread != null) {
            throw new IllegalStateException("the output runs already");
        }
        running = true;
        thread = new Thread(this::run, "vocalis-sound");
        thread.setDaemon(true);
        thread.setPriority(Thread.MAX_PRIORITY);
        thread.start();
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
        return (choice.bufferFrames() + BLOCK) / engine.sampleRate();
    }

    @Override
    public synchronized void close() {
        running = false;
    }

    private void run() {
        boolean before = false;
        while (running) {
            Choice now = choice;
            OutputLine line = tryOpen(now);
            if (line == null) {
                sink = Sink.SILENT;
                passSilently(clock.nanos() + RETRY_NANOS, now);
            } else {
                muted = muted || before;
                before = true;
                underruns = 0;
                sink = Sink.DEVICE;
                pushTo(line, now);
                Thread closer = new Thread(line::close, "vocalis-sound-closer");
                closer.setDaemon(true);
                closer.start();
            }
        }
    }

    private OutputLine tryOpen(Choice wanted) {
        try {
            return wanted.opener().open(engine.sampleRate(), wanted.bufferFrames());
        } catch (OutputLine.NoDevice e) {
            return null;
        }
    }

    private void pushTo(OutputLine line, Choice wanted) {
        double perNano = engine.sampleRate() * 1e-9;
        double held = 0;
        boolean filled = false;
        long left = clock.nanos();
        while (running && choice == wanted) {
            engine.render(floats, BLOCK);
            if (muted) {
                Arrays.fill(bytes, (byte) 0);
            } else {
                toBytes();
            }
            long before = clock.nanos();
            held -= (before - left) * perNano;
            if (filled && held < 0) {
                underruns = underruns + 1;
                held = 0;
            }
            if (line.write(bytes, bytes.length) < bytes.length) {
                return;
            }
            left = clock.nanos();
            // A write that had to wait left the buffer full, whatever the device's own clock says.
            double wait = (left - before) * perNano;
            boolean waited = wait > BLOCK / 2.0;
            if (filled && wait > wanted.bufferFrames() + BLOCK) {
                underruns = underruns + 1;
            }
            filled |= waited;
            held =
                    waited
                            ? wanted.bufferFrames()
                            : Math.min(wanted.bufferFrames(), held + BLOCK - wait);
        }
    }

    /** Renders at the pace of the clock until a moment, or another device is chosen. */
    private void passSilently(long until, Choice wanted) {
        resetPace();
        int bufferFrames = wanted.bufferFrames();
        while (running && choice == wanted && clock.nanos() < until) {
            engine.render(floats, BLOCK);
            countLate();
            long ahead = paceFrames - elapsedFrames();
            if (ahead > bufferFrames / 2) {
                clock.sleep((long) ((ahead - bufferFrames / 2.0) / engine.sampleRate() * 1e9));
            }
        }
    }

    /** Runs the silent stand-in on the caller's thread for a time of the clock: soaks and tests. */
    public void passSilentlyFor(long nanos) {
        running = true;
        passSilently(clock.nanos() + nanos, choice);
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

    private void toBytes() {
        for (int i = 0; i < floats.length; i++) {
            int v = Math.round(floats[i] * 32767);
            bytes[2 * i] = (byte) v;
            bytes[2 * i + 1] = (byte) (v >> 8);
        }
    }
}
