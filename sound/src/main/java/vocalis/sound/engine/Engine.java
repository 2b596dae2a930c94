package vocalis.sound.engine;

import vocalis.sound.dsp.AmpSettings;
import vocalis.sound.dsp.Amplifier;
import vocalis.sound.dsp.Limiter;

/**
 * Renders the loop and single voicings to interleaved stereo. The same {@link #render} serves the
 * device, files and tests.
 *
 * <p>Design: one thread calls render and nothing in it waits, allocates or locks. Programs and
 * settings are immutable and arrive by one volatile write each, read once per block; commands
 * (play, stop, hear, release) through a ring from one producer thread. Blocks are split where an
 * event falls, so events are exact to the frame. A program published while the loop runs keeps the
 * position: its events are heard from the next one on, and the first of them damps what the old
 * program left ringing. Single voicings sound on a second guitar, so that the loop's strings are
 * not touched; the loop is ducked meanwhile.
 */
public final class Engine {

    /** Frames rendered at a time inside {@link #render}. */
    public static final int BLOCK = 128;

    /** Most strings of an instrument. */
    public static final int MOST_STRINGS = 9;

    private static final int PLAY = 0;
    private static final int STOP = 1;
    private static final int HEAR = 2;
    private static final int RELEASE = 3;

    private static final double DUCKED = 0.18;
    private static final double DUCK_SECONDS = 0.03;
    private static final double HEAR_VELOCITY = 0.8;
    private static final double CEILING = 0.89;

    private final double sampleRate;
    private final Part loop;
    private final Part hand;
    private final Limiter limiter;
    private final CommandRing commands = new CommandRing(256);
    private final Telemetry telemetry = new Telemetry();

    private volatile Program program = Program.EMPTY;
    private volatile Settings settings;
    private volatile Amplifier[] newAmps;
    private volatile boolean panic;

    private Program current = Program.EMPTY;
    private boolean playing;
    private boolean audition;
    private boolean freshProgram;
    private double tick;
    private int nextEvent;
    private long frames;
    private double volume;
    private double duck = 1;

    /**
     * @param sampleRate frames per second
     * @param settings first settings
     * @param seed decides the small differences between strokes; the same seed renders the same
     */
    public Engine(double sampleRate, Settings settings, long seed) {
        this.sampleRate = sampleRate;
        this.settings = settings;
        this.volume = settings.volume();
        AmpSettings amp = settings.amp();
        loop = new Part(sampleRate, MOST_STRINGS, BLOCK, new Amplifier(sampleRate, amp), seed);
        hand =
                new Part(
                        sampleRate,
                        MOST_STRINGS,
                        BLOCK,
                        new Amplifier(sampleRate, amp),
                        seed + 1000);
        limiter = new Limiter(sampleRate, CEILING);
    }

    /** Frames per second. */
    public double sampleRate() {
        return sampleRate;
    }

    /** What the engine tells; for one reader. */
    public Telemetry telemetry() {
        return telemetry;
    }

    /** Publishes a program; it takes over at its next event. */
    public void publish(Program next) {
        program = next;
    }

    /**
     * Publishes settings. Another amplifier is built here, on the caller's thread, and faded in.
     */
    public synchronized void publish(Settings next) {
        if (!next.amp().equals(settings.amp())) {
            newAmps =
                    new Amplifier[] {
                        new Amplifier(sampleRate, next.amp()), new Amplifier(sampleRate, next.amp())
                    };
        }
        settings = next;
    }

    /** Starts the loop at a tick. False when too many commands wait. */
    public boolean play(long fromTick) {
        return commands.offer(PLAY, fromTick);
    }

    /** Stops the loop; what rings is damped. */
    public boolean stop() {
        return commands.offer(STOP, 0);
    }

    /** Sounds a shape, given by its frets (lowest string first, -1 for silence), until released. */
    public boolean hear(int[] frets) {
        return commands.offer(HEAR, pack(frets));
    }

    /** Ends what {@link #hear} began. */
    public boolean release() {
        return commands.offer(RELEASE, 0);
    }

    /** Silence at once, whatever waits. */
    public void panic() {
        panic = true;
    }

    /** Seven bits a string: fret + 1, 0 for silence. */
    static long pack(int[] frets) {
        if (frets.length > MOST_STRINGS) {
            throw new IllegalArgumentException(
                    "at most " + MOST_STRINGS + " strings, not " + frets.length);
        }
        long packed = 0;
        for (int s = 0; s < frets.length; s++) {
            packed |= (long) (frets[s] + 1) << (7 * s);
        }
        return packed;
    }

    /**
     * Renders the next frames.
     *
     * @param out interleaved stereo, at least {@code 2 · count} long, overwritten
     * @param count frames
     */
    public void render(float[] out, int count) {
        int done = 0;
        while (done < count) {
            int block = Math.min(BLOCK, count - done);
            begin();
            renderBlock(out, done, block);
            done += block;
        }
    }

    private void begin() {
        if (panic) {
            panic = false;
            playing = false;
            audition = false;
            loop.silence();
            hand.silence();
        }
        Amplifier[] amps = newAmps;
        if (amps != null && loop.fadeTo(amps[0]) && hand.fadeTo(amps[1])) {
            newAmps = null;
        }
        takeProgram();
        for (int kind = commands.peekKind(); kind >= 0; kind = commands.peekKind()) {
            obey(kind, commands.take());
        }
    }

    private void takeProgram() {
        Program next = program;
        if (next == current) {
            return;
        }
        current = next;
        freshProgram = true;
        if (tick >= next.length) {
            tick = tick % next.length;
        }
        nextEvent = next.firstFrom(tick);
    }

    private void obey(int kind, long value) {
        switch (kind) {
            case PLAY -> {
                playing = true;
                tick = Math.floorMod(value, current.length);
                nextEvent = current.firstFrom(tick);
                freshProgram = true;
            }
            case STOP -> {
                playing = false;
                loop.dampAll();
            }
            case HEAR -> {
                audition = true;
                hand.strum(value, settings.bank(), HEAR_VELOCITY);
            }
            default -> {
                audition = false;
                hand.dampAll();
            }
        }
    }

    private void renderBlock(float[] out, int offset, int count) {
        Settings set = settings;
        java.util.Arrays.fill(out, 2 * offset, 2 * (offset + count), 0);
        double perFrame = set.tempo() * current.ticksPerQuarter / (60 * sampleRate);
        double startDuck = duck;
        double duckTarget = audition ? DUCKED : 1;
        double duckStep = count / (DUCK_SECONDS * sampleRate);
        duck += Math.max(-duckStep, Math.min(duckStep, duckTarget - duck));
        double startVolume = volume;
        volume += Math.max(-0.02, Math.min(0.02, set.volume() - volume));
        int done = 0;
        while (done < count) {
            int span = playing ? framesToEvent(set, perFrame, count - done) : count - done;
            if (span > 0) {
                double a = (double) done / count;
                double b = (double) (done + span) / count;
                double v1 = startVolume + (volume - startVolume) * a;
                double v2 = startVolume + (volume - startVolume) * b;
                double d1 = startDuck + (duck - startDuck) * a;
                double d2 = startDuck + (duck - startDuck) * b;
                loop.addTo(out, offset + done, span, v1 * d1, v2 * d2);
                hand.addTo(out, offset + done, span, v1, v2);
                if (playing) {
                    tick += span * perFrame;
                }
                done += span;
            }
        }
        limiter.process(out, offset, count);
        frames += count;
        tell(out, offset, count);
    }

    /** Frames until the next event, at most {@code most}; events that are due are done first. */
    private int framesToEvent(Settings set, double perFrame, int most) {
        while (true) {
            if (nextEvent >= current.at.length) {
                double left = current.length - tick;
                if (left > 0.5 * perFrame) {
                    return (int) Math.min(most, Math.ceil(left / perFrame - 0.5));
                }
                tick -= current.length;
                nextEvent = 0;
                if (current.at.length == 0) {
                    return most;
                }
            } else {
                double wait = current.at[nextEvent] - tick;
                if (wait > 0.5 * perFrame) {
                    return (int) Math.min(most, Math.ceil(wait / perFrame - 0.5));
                }
                loop.act(current, nextEvent, set.bank(), freshProgram);
                freshProgram = false;
                nextEvent++;
            }
        }
    }

    private void tell(float[] out, int offset, int count) {
        double peak = 0;
        for (int i = 2 * offset; i < 2 * (offset + count); i++) {
            peak = Math.max(peak, Math.abs(out[i]));
        }
        telemetry.publish(tick, playing, audition, peak, frames);
    }
}
