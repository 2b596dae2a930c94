package vocalis.sound.engine;

import vocalis.sound.dsp.Amplifier;
import vocalis.sound.dsp.Bass;
import vocalis.sound.dsp.Kit;
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
 * program left ringing. Single voicings sound on a guitar of their own, so that the loop's strings
 * are not touched; the loop is ducked meanwhile. A power chord sounded under one has a fourth.
 */
public final class Engine {

    /** Frames rendered at a time inside {@link #render}. */
    public static final int BLOCK = 128;

    /** Most strings of an instrument. */
    public static final int MOST_STRINGS = 9;

    /** Most commands that wait. */
    static final int WAITING = 256;

    private static final int PLAY = 0;
    private static final int STOP = 1;
    private static final int HEAR = 2;
    private static final int RELEASE = 3;

    private static final double DUCKED = 0.18;
    private static final double DUCK_SECONDS = 0.03;
    private static final double HEAR_VELOCITY = 0.8;
    private static final double SLEW = 0.002;
    private static final double CEILING = 0.89;

    private final double sampleRate;
    private final Part loop;
    private final Part second;
    private final Part hand;
    private final Part under;
    private final Bass bass;
    private final Kit kit;
    private final Limiter limiter;
    private final CommandRing commands = new CommandRing(WAITING);
    private final Sample[] samples = new Sample[WAITING];
    private int nextSample;
    private final Telemetry telemetry = new Telemetry();

    private volatile Program program = Program.EMPTY;
    private volatile Settings settings;
    private volatile Amplifier[] newAmps;
    private volatile Amplifier newSecond;
    private volatile boolean panic;

    private Program current = Program.EMPTY;
    private boolean playing;
    private boolean audition;
    private boolean freshLoop;
    private boolean freshSecond;
    private double tick;
    private int nextEvent;
    private long frames;
    private double volume;
    private double duck = 1;
    private final double[] low = new double[BLOCK];
    private double bassGain;
    private double kitGain;
    private double clickGain;
    private double oneGain;
    private double twoGain;
    private double hearGain = 1;
    private double heardGain = 1;

    /**
     * @param sampleRate frames per second
     * @param settings first settings
     * @param seed decides the small differences between strokes; the same seed renders the same
     */
    public Engine(double sampleRate, Settings settings, long seed) {
        this.sampleRate = sampleRate;
        this.settings = settings;
        this.volume = settings.volume();
        this.oneGain = settings.first().gain();
        this.twoGain = settings.second().gain();
        loop = part(settings.first(), seed);
        second = part(settings.second(), seed + 500);
        hand = part(settings.first(), seed + 1000);
        under = part(settings.first(), seed + 1500);
        bass = new Bass(sampleRate, seed + 2000);
        kit = new Kit(sampleRate);
        limiter = new Limiter(sampleRate, CEILING);
        loop.place(settings.first().pan());
        second.place(settings.second().pan());
        bassGain = settings.bass();
        kitGain = settings.kit();
        clickGain = settings.click();
    }

    private Part part(Rig rig, long seed) {
        return new Part(sampleRate, MOST_STRINGS, BLOCK, amplifier(rig), seed);
    }

    private Amplifier amplifier(Rig rig) {
        return new Amplifier(sampleRate, rig.amp(), rig.bank().guitar().pickup());
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
        Rig first = next.first();
        if (differs(first, settings.first())) {
            newAmps = new Amplifier[] {amplifier(first), amplifier(first), amplifier(first)};
        }
        if (differs(next.second(), settings.second())) {
            newSecond = amplifier(next.second());
        }
        settings = next;
    }

    private static boolean differs(Rig a, Rig b) {
        return !a.amp().equals(b.amp()) || a.bank().guitar().pickup() != b.bank().guitar().pickup();
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
        return hear(Sample.of(frets));
    }

    /** Sounds a voicing until {@link #release}. False when too many commands wait. */
    public boolean hear(Sample sample) {
        samples[nextSample] = sample;
        if (!commands.offer(HEAR, nextSample)) {
            return false;
        }
        nextSample = (nextSample + 1) % WAITING;
        return true;
    }

    /** Ends what {@link #hear} began. */
    public boolean release() {
        return commands.offer(RELEASE, 0);
    }

    /** Silence at once, whatever waits. */
    public void panic() {
        panic = true;
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
            second.silence();
            hand.silence();
            under.silence();
            bass.silence();
            kit.silence();
        }
        Amplifier[] amps = newAmps;
        if (amps != null && loop.fadeTo(amps[0]) && hand.fadeTo(amps[1]) && under.fadeTo(amps[2])) {
            newAmps = null;
        }
        Amplifier other = newSecond;
        if (other != null && second.fadeTo(other)) {
            newSecond = null;
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
        freshLoop = true;
        freshSecond = true;
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
                freshLoop = true;
                freshSecond = true;
            }
            case STOP -> {
                playing = false;
                loop.dampAll();
                second.dampAll();
                bass.damp();
            }
            case HEAR -> {
                Sample sample = samples[(int) value];
                audition = sample.sounds();
                hearGain = sample.gain();
                StringBank bank = settings.first().bank();
                hand.strum(sample, bank, HEAR_VELOCITY);
                if (sample.under().length > 0) {
                    under.strumUnder(sample, bank, HEAR_VELOCITY);
                } else {
                    under.dampAll();
                }
            }
            default -> {
                audition = false;
                hand.dampAll();
                under.dampAll();
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
        loop.pan(set.first().pan());
        second.pan(set.second().pan());
        double startGain = heardGain;
        heardGain += Math.max(-0.05, Math.min(0.05, hearGain - heardGain));
        double oneBefore = oneGain;
        double twoBefore = twoGain;
        oneGain += Math.max(-0.02, Math.min(0.02, set.first().gain() - oneGain));
        twoGain += Math.max(-0.02, Math.min(0.02, set.second().gain() - twoGain));
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
                double h1 = v1 * (startGain + (heardGain - startGain) * a);
                double h2 = v2 * (startGain + (heardGain - startGain) * b);
                StringBank bank = set.first().bank();
                int at = offset + done;
                double p1 = oneBefore + (oneGain - oneBefore) * a;
                double p2 = oneBefore + (oneGain - oneBefore) * b;
                double q1 = twoBefore + (twoGain - twoBefore) * a;
                double q2 = twoBefore + (twoGain - twoBefore) * b;
                loop.addTo(out, at, span, bank, v1 * d1 * p1, v2 * d2 * p2);
                second.addTo(out, at, span, set.second().bank(), v1 * d1 * q1, v2 * d2 * q2);
                hand.addTo(out, at, span, bank, h1 * p1, h2 * p2);
                under.addTo(out, at, span, bank, h1 * p1, h2 * p2);
                addGroove(out, at, span, set, v1 * d1, v2 * d2);
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

    private void addGroove(
            float[] out, int offset, int frames, Settings set, double from, double to) {
        boolean bassSounds = bass.active();
        boolean kitSounds = kit.active();
        if (!bassSounds && !kitSounds) {
            return;
        }
        if (bassSounds) {
            bass.render(low, frames);
        }
        for (int i = 0; i < frames; i++) {
            bassGain += SLEW * (set.bass() - bassGain);
            kitGain += SLEW * (set.kit() - kitGain);
            clickGain += SLEW * (set.click() - clickGain);
            double y = bassSounds ? bassGain * low[i] : 0;
            if (kitSounds) {
                y += kitGain * kit.next() + clickGain * kit.nextClick();
            }
            float v = (float) (y * (from + (to - from) * (i + 1) / frames));
            out[2 * (offset + i)] += v;
            out[2 * (offset + i) + 1] += v;
        }
    }

    private void act(Settings set, int event, double perFrame) {
        boolean one = current.part[event] == 0;
        StringBank bank = (one ? set.first() : set.second()).bank();
        Part part = one ? loop : second;
        switch (current.kind[event]) {
            case Program.STRIKE -> {
                part.act(current, event, bank, one ? freshLoop : freshSecond);
                freshLoop &= !one;
                freshSecond &= one;
            }
            case Program.GESTURE -> part.gesture(current, event, bank, 1 / perFrame);
            case Program.BASS -> {
                if (current.value[event] < 0) {
                    bass.damp();
                } else {
                    bass.pluck(current.value[event], current.amount[event], set.cents());
                }
            }
            default -> kit.strike(current.value[event], current.amount[event]);
        }
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
                act(set, nextEvent, perFrame);
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
