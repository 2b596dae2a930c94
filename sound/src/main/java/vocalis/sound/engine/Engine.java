package vocalis.sound.engine;

import vocalis.sound.amp.AmpSettings;
import vocalis.sound.amp.Amplifier;
import vocalis.sound.dsp.Limiter;
import vocalis.sound.dsp.Room;

/**
 * Renders the loop and single voicings to interleaved stereo. The same {@link #render} serves the
 * device, files and tests.
 *
 * <p>Design: one thread calls render and nothing in it waits, allocates or locks. Programs and
 * settings are immutable and arrive by one volatile write each, read once per block; play and hear
 * come through a ring from one producer thread, stop and release by the stamp of the last of them
 * that they end, so that they need no room. Blocks are split where an event falls, so events are
 * exact to the frame. A program published while the loop runs keeps the position: its events are
 * heard from the next one on, and the first of them damps what the old program left ringing. Single
 * voicings sound on a guitar of their own, so that the loop's strings are not touched; the loop is
 * ducked meanwhile. A power chord sounded under one has a fourth.
 */
public final class Engine implements Source {

    /** Frames rendered at a time inside {@link #render}. */
    public static final int BLOCK = 128;

    /** Most commands that wait. */
    static final int WAITING = 256;

    private static final int PLAY = 0;
    private static final int HEAR = 1;

    private static final double DUCKED = 0.18;
    private static final double DUCK_SECONDS = 0.03;
    private static final double HEAR_VELOCITY = 0.8;
    private static final double GAIN_A_BLOCK = 0.02;
    private static final double HEARD_A_BLOCK = 0.05;

    /** How loud a room in full is. */
    private static final double ROOM = 0.7;

    /**
     * Largest true peak that leaves: 2 dB under full scale, so that what foreign meters find
     * between the samples, up to 1.1 dB more in hats and crash, stays under −1 dBTP.
     */
    public static final double CEILING = 0.78;

    /** How late two players come, in seconds: one almost on time, the other a little behind. */
    private static final double FIRST_LATE = 0.005;

    private static final double SECOND_EARLIEST = 0.005;
    private static final double SECOND_LATE = 0.016;

    private final double sampleRate;
    private final PlayedGuitar loop;
    private final PlayedGuitar second;
    private final PlayedGuitar hand;
    private final PlayedGuitar under;
    private final Groove groove;
    private final Room room;
    private final double[] into = new double[BLOCK];
    private final Ramp roomGain;
    private final boolean limited;
    private final Limiter limiter;
    private final CommandRing commands = new CommandRing(WAITING);
    private final Sample[] samples = new Sample[WAITING];
    private int nextSample;
    private final Telemetry telemetry = new Telemetry();

    /** A program with the amplifiers of its tones, built before it is published. */
    private record Loaded(Program program, Amplifier[] first, Amplifier[] second) {
        static Loaded of(Program program) {
            return new Loaded(program, new Amplifier[0], new Amplifier[0]);
        }
    }

    /** The amplifiers of the four guitars, as the settings have them. */
    private record Amps(Amplifier loop, Amplifier second, Amplifier hand, Amplifier under) {}

    private volatile Loaded loaded = Loaded.of(Program.EMPTY);
    private volatile Settings settings;
    private volatile Amps amps;
    private volatile boolean panic;
    private volatile long stoppedUpTo = -1;
    private volatile long releasedUpTo = -1;
    private long plays;
    private long hears;

    private Loaded taken = loaded;
    private Program current = Program.EMPTY;
    private boolean playing;
    private boolean audition;
    private long playStamp = -1;
    private long hearStamp = -1;
    private boolean freshLoop;
    private boolean freshSecond;
    private int loopTone = -1;
    private int secondTone = -1;
    private int section;
    private double tempo;
    private double tick;
    private int nextEvent;
    private long frames;
    private double hearGain = 1;
    private final Ramp volume;
    private final Ramp duck = new Ramp(1, 1);
    private final Ramp one;
    private final Ramp two;
    private final Ramp heard = new Ramp(1, HEARD_A_BLOCK);

    /**
     * @param sampleRate frames per second
     * @param settings first settings
     * @param seed decides the small differences between strokes; the same seed renders the same
     */
    public Engine(double sampleRate, Settings settings, long seed) {
        this(sampleRate, settings, seed, true);
    }

    /**
     * An engine whose sound is added to another's before a limiter that both share.
     *
     * @param limited whether it has a limiter of its own
     */
    public Engine(double sampleRate, Settings settings, long seed, boolean limited) {
        this.limited = limited;
        this.sampleRate = sampleRate;
        this.settings = settings;
        volume = new Ramp(settings.volume(), GAIN_A_BLOCK);
        one = new Ramp(settings.first().gain(), GAIN_A_BLOCK);
        two = new Ramp(settings.second().gain(), GAIN_A_BLOCK);
        amps =
                new Amps(
                        amplifier(settings.first()),
                        amplifier(settings.second()),
                        amplifier(settings.first()),
                        amplifier(settings.first()));
        loop = part(amps.loop(), seed, 0, FIRST_LATE);
        second = part(amps.second(), seed + 500, SECOND_EARLIEST, SECOND_LATE);
        hand = part(amps.hand(), seed + 1000, 0, 0);
        under = part(amps.under(), seed + 1500, 0, 0);
        groove = new Groove(sampleRate, settings, seed + 2000);
        room = new Room(sampleRate);
        roomGain = new Ramp(settings.room(), GAIN_A_BLOCK);
        limiter = new Limiter(sampleRate, CEILING);
        loop.place(settings.first().pan());
        second.place(settings.second().pan());
    }

    private PlayedGuitar part(Amplifier amp, long seed, double leastLate, double mostLate) {
        return new PlayedGuitar(
                sampleRate, Sample.MOST_STRINGS, BLOCK, amp, seed, leastLate, mostLate);
    }

    private Amplifier amplifier(Rig rig) {
        return amplifier(rig, rig.amp());
    }

    private Amplifier amplifier(Rig rig, AmpSettings amp) {
        return new Amplifier(sampleRate, amp, rig.bank().guitar().pickup());
    }

    /** Frames per second. */
    @Override
    public double sampleRate() {
        return sampleRate;
    }

    /** What the engine tells; for one reader. */
    public Telemetry telemetry() {
        return telemetry;
    }

    /**
     * Publishes a program; it takes over at its next event. The amplifiers of its tones are built
     * here, on the caller's thread.
     */
    public synchronized void publish(Program next) {
        Settings now = settings;
        Amplifier[] first = new Amplifier[next.tones.length];
        Amplifier[] other = new Amplifier[next.tones.length];
        for (int i = 0; i < first.length; i++) {
            first[i] = amplifier(now.first(), next.tones[i]);
            other[i] = amplifier(now.second(), next.tones[i]);
        }
        loaded = new Loaded(next, first, other);
    }

    /**
     * Publishes settings. Another amplifier is built here, on the caller's thread, and faded in.
     */
    public synchronized void publish(Settings next) {
        Rig first = next.first();
        Amps now = amps;
        boolean one = differs(first, settings.first());
        boolean two = differs(next.second(), settings.second());
        if (one || two) {
            amps =
                    new Amps(
                            one ? amplifier(first) : now.loop(),
                            two ? amplifier(next.second()) : now.second(),
                            one ? amplifier(first) : now.hand(),
                            one ? amplifier(first) : now.under());
        }
        settings = next;
    }

    private static boolean differs(Rig a, Rig b) {
        return !a.amp().equals(b.amp()) || a.bank().guitar().pickup() != b.bank().guitar().pickup();
    }

    /** Starts the loop at a tick. False when too many commands wait. */
    public boolean play(long fromTick) {
        return commands.offer(PLAY, fromTick, ++plays);
    }

    /** Stops the loop; what rings is damped. It needs no room among the commands. */
    public void stop() {
        stoppedUpTo = plays;
    }

    /** Sounds a shape, given by its frets (lowest string first, -1 for silence), until released. */
    public boolean hear(int[] frets) {
        return hear(Sample.of(frets));
    }

    /** Sounds a voicing until {@link #release}. False when too many commands wait. */
    public boolean hear(Sample sample) {
        if (!commands.hasRoom()) {
            return false;
        }
        samples[nextSample] = sample;
        commands.offer(HEAR, nextSample, ++hears);
        nextSample = (nextSample + 1) % WAITING;
        return true;
    }

    /** Ends what {@link #hear} began. It needs no room among the commands. */
    public void release() {
        releasedUpTo = hears;
    }

    /** Silence at once, whatever waits. */
    @Override
    public void panic() {
        panic = true;
    }

    /**
     * Renders the next frames.
     *
     * @param out interleaved stereo, at least {@code 2 · count} long, overwritten
     * @param count frames
     */
    @Override
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
            groove.silence();
            room.silence();
        }
        takeProgram();
        while (commands.peekKind() >= 0) {
            int kind = commands.peekKind();
            long stamp = commands.peekStamp();
            obey(kind, commands.take(), stamp);
        }
        if (playing && playStamp <= stoppedUpTo) {
            playing = false;
            loop.dampAll();
            second.dampAll();
            groove.damp();
        }
        if (audition && hearStamp <= releasedUpTo) {
            audition = false;
            hand.dampAll();
            under.dampAll();
        }
        Amps wanted = amps;
        loop.use(loopTone < 0 ? wanted.loop() : taken.first()[loopTone]);
        second.use(secondTone < 0 ? wanted.second() : taken.second()[secondTone]);
        hand.use(wanted.hand());
        under.use(wanted.under());
    }

    private void takeProgram() {
        Loaded next = loaded;
        if (next == taken) {
            return;
        }
        taken = next;
        current = next.program();
        freshLoop = true;
        freshSecond = true;
        if (tick >= current.length) {
            tick =
                    current.loopFrom
                            + (tick - current.loopFrom) % (current.length - current.loopFrom);
        }
        seek(tick);
    }

    /** Takes up what holds at the position: the next event, tones, section, tempo. */
    private void seek(double from) {
        nextEvent = current.firstFrom(from);
        loopTone = current.toneAt(from, 0);
        secondTone = current.toneAt(from, 1);
        section = current.sectionAt(from);
        tempo = current.tempoAt(from, 0);
    }

    private void obey(int kind, long value, long stamp) {
        if (kind == PLAY) {
            playing = true;
            playStamp = stamp;
            tick = Math.floorMod(value, current.length);
            seek(tick);
            freshLoop = true;
            freshSecond = true;
            return;
        }
        hearStamp = stamp;
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

    /** Ticks that a frame takes: the program's own tempo, or the one that is set. */
    private double perFrame(Settings set) {
        double quarters = tempo > 0 ? tempo : set.tempo();
        return quarters * current.ticksPerQuarter / (60 * sampleRate);
    }

    private void renderBlock(float[] out, int offset, int count) {
        Settings set = settings;
        java.util.Arrays.fill(out, 2 * offset, 2 * (offset + count), 0);
        duck.toward(audition ? DUCKED : 1, count / (DUCK_SECONDS * sampleRate));
        volume.toward(set.volume());
        one.toward(set.first().gain());
        two.toward(set.second().gain());
        heard.toward(hearGain);
        roomGain.toward(set.room());
        loop.feedback(set.first().feedback());
        second.feedback(set.second().feedback());
        loop.human(set.human());
        second.human(set.human());
        groove.human(set.human());
        loop.pan(set.first().pan());
        second.pan(set.second().pan());
        int done = 0;
        while (done < count) {
            int span = playing ? framesToEvent(set, count - done) : count - done;
            if (span > 0) {
                double a = (double) done / count;
                double b = (double) (done + span) / count;
                renderSpan(out, offset + done, span, set, a, b);
                if (playing) {
                    tick += span * perFrame(set);
                }
                done += span;
            }
        }
        if (limited) {
            limiter.process(out, offset, count);
        }
        frames += count;
        tell(out, offset, count);
    }

    /** Adds everybody over a span without an event, from part {@code a} to {@code b} of a block. */
    private void renderSpan(float[] out, int at, int span, Settings set, double a, double b) {
        StringBank bank = set.first().bank();
        double band1 = volume.at(a) * duck.at(a);
        double band2 = volume.at(b) * duck.at(b);
        java.util.Arrays.fill(into, 0, span, 0);
        loop.addTo(out, into, at, span, bank, band1 * one.at(a), band2 * one.at(b));
        second.addTo(
                out, into, at, span, set.second().bank(), band1 * two.at(a), band2 * two.at(b));
        double alone1 = volume.at(a) * heard.at(a) * one.at(a);
        double alone2 = volume.at(b) * heard.at(b) * one.at(b);
        hand.addTo(out, into, at, span, bank, alone1, alone2);
        under.addTo(out, into, at, span, bank, alone1, alone2);
        groove.add(out, into, at, span, set, band1, band2);
        double room1 = ROOM * roomGain.at(a);
        double room2 = ROOM * roomGain.at(b);
        if ((room1 > 0 || room2 > 0) && !(room.rests() && silent(span))) {
            room.add(into, out, at, span, room1, room2);
        }
    }

    private boolean silent(int span) {
        for (int i = 0; i < span; i++) {
            if (into[i] != 0) {
                return false;
            }
        }
        return true;
    }

    private void act(Settings set, int event) {
        boolean one = current.part[event] == 0;
        StringBank bank = (one ? set.first() : set.second()).bank();
        PlayedGuitar part = one ? loop : second;
        switch (current.kind[event]) {
            case Program.STRIKE -> {
                part.act(current, event, bank, one ? freshLoop : freshSecond);
                freshLoop &= !one;
                freshSecond &= one;
            }
            case Program.GESTURE -> part.gesture(current, event, bank, 1 / perFrame(set));
            case Program.BASS, Program.HIT -> groove.act(current, event, set.cents());
            case Program.TEMPO -> tempo = current.amount[event];
            case Program.SECTION -> section = current.value[event];
            default -> {
                if (one) {
                    loopTone = current.value[event];
                } else {
                    secondTone = current.value[event];
                }
            }
        }
    }

    /** Frames until the next event, at most {@code most}; events that are due are done first. */
    private int framesToEvent(Settings set, int most) {
        while (true) {
            double perFrame = perFrame(set);
            boolean atEnd = nextEvent >= current.at.length;
            double wait = (atEnd ? current.length : current.at[nextEvent]) - tick;
            if (wait > 0.5 * perFrame) {
                return (int) Math.min(most, Math.ceil(wait / perFrame - 0.5));
            }
            if (!atEnd) {
                act(set, nextEvent);
                nextEvent++;
                continue;
            }
            tick -= current.length - current.loopFrom;
            // A fraction of a frame past the seam is still the one: nothing on it may be left out.
            seek(current.loopFrom);
            if (current.at.length == 0) {
                return most;
            }
        }
    }

    private void tell(float[] out, int offset, int count) {
        double peak = 0;
        for (int i = 2 * offset; i < 2 * (offset + count); i++) {
            peak = Math.max(peak, Math.abs(out[i]));
        }
        telemetry.publish(tick, playing, audition, peak, frames, section);
    }
}
