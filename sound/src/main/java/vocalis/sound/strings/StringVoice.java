package vocalis.sound.strings;

import java.util.Arrays;

/**
 * One sounding string: a waveguide loop that is plucked, stopped elsewhere while it sounds, bent,
 * shaken, damped, or left free to answer the others.
 *
 * <p>Equation per frame: {@code v[n] = A(L(v[n−D]))·d + e[n] − c·b[n]}, with loss L, all-passes A,
 * damping d, excitation e and what the other strings put on the bridge b; output {@code v[n] −
 * v[n−γP]}, the comb of a pickup at γ of the sounding length. The excitation is the bridge force of
 * an ideal pluck at β of the length, a two-level pulse of one period whose partials fall as {@code
 * sin(nπβ)/n}, smoothed by the pick's hardness. The pick's own noise goes to the pickup without
 * running along the string. A second loop beside it is the plane along the body: a little flatter,
 * lasting longer, moved by a part of the pluck, not heard over the bridge. A string that still
 * sounds is faded out under the pick for {@link #CHOKE_SECONDS} before it is struck again, so that
 * neither the old note nor a new length makes a step.
 *
 * <p>Pitch: hammer-on, pull-off and slide change the stopping place and glide there; bend and
 * vibrato add cents. While any of them moves, the loop's delay is recomputed from the wanted
 * frequency every {@link #CONTROL} frames and runs between these points in a straight line, so that
 * a pitch once reached is as exact as a fretted one.
 *
 * <p>Bridge: strings coupled by {@code −c} times the sum of the others have the coupling matrix
 * {@code I − c(J − I)}, whose eigenvalues are at most {@code 1 + c}; with c below every loop's own
 * loss no sum of strings can grow.
 *
 * <p>State: a delay line for each plane; one thread; no allocation after construction. Values under
 * 1e-18 are flushed to zero, and a string whose loop has died is idle and costs nothing.
 */
public final class StringVoice {

    /** How long the pick rests on a sounding string before it is struck again. */
    public static final double CHOKE_SECONDS = 0.0025;

    /** How much of the others' force reaches a string over the bridge; set by ear. */
    public static final double COUPLING = 0.0014;

    /** Frames between two points at which a moving pitch is reckoned. */
    static final int CONTROL = 16;

    /** How fast a hand shakes when nothing else is asked, set by ear. */
    public static final double VIBRATO_HZ = 5.3;

    private static final double TINY = 1e-18;
    private static final double SILENT = 1e-7;

    /** What of a stroke moves the plane along the body; it beats with the other by 1 to 3 dB. */
    private static final double ACROSS = 0.13;

    /**
     * Level of the pick's noise, and the time in which it falls by 60 dB, a thumb's and a stiff
     * pick's: a burst of 3 to 8 ms (by 20 dB); by ear.
     */
    private static final double PICK_NOISE = 4.8;

    /** A pole at 3.5 kHz: below it the pick is not heard. */
    private static final double PICK_ABOVE = 0.37;

    private static final double SOFT_PICK_SECONDS = 0.024;
    private static final double HARD_PICK_SECONDS = 0.009;
    private static final double DAMP_RAMP_SECONDS = 0.004;
    private static final double FRICTION = 0.004;

    private final double sampleRate;
    private final Plane line = new Plane();
    private final Plane across = new Plane();
    private final double[] moving = new double[StringPatch.TAPS];
    private final double chokeStep;
    private final double dampStep;

    private StringPatch patch;
    private int write;
    private double acrossShare;
    private double damping = 1;
    private double dampingTarget = 1;
    private boolean sounding;
    private boolean free;
    private int quietFrames;
    private double bridge;

    private StringPatch pending;
    private double pendingVelocity;
    private double pendingCents;

    /** What is done to the string before the pick has reached it waits until it has. */
    private double waitingBend;

    private int waitingFrames;
    private double waitingShake;
    private double waitingHz;
    private boolean pendingUp;
    private int pendingDelay;
    private double choke = 1;

    private double glide;
    private double glideStep;
    private int glideLeft;
    private double bend;
    private double bendTarget;
    private double bendStep;
    private double depth;
    private double depthTarget;
    private double vibratoPhase;
    private double vibratoHz = VIBRATO_HZ;
    private boolean moves;
    private int controlLeft;
    private double delay;
    private double delayStep;
    private double friction;

    private int pluckFrame;
    private int pluckFrames;
    private int pulseFrames;
    private double pulseHigh;
    private double pulseLow;
    private double hardness;
    private double smooth;
    private double smooth2;
    private double rubbing;
    private double pick;
    private double pickLevel;
    private double pickRise;
    private double pickFall;
    private double pickTone;
    private double pickLow;
    private double pickHigh;
    private double pickHigher;
    private int pickupFrames;
    private long random;

    /**
     * @param sampleRate frames per second
     * @param seed decides the small differences between strokes
     */
    public StringVoice(double sampleRate, long seed) {
        this.sampleRate = sampleRate;
        this.random = seed * 0x9E3779B97F4A7C15L + 0x1234567L;
        this.chokeStep = 1 / (CHOKE_SECONDS * sampleRate);
        this.dampStep = 1 / (DAMP_RAMP_SECONDS * sampleRate);
    }

    /**
     * Strikes the string at its own pitch: see {@link #pluck(StringPatch, double, double, int)}.
     */
    public void pluck(StringPatch stopped, double velocity, int delayFrames) {
        pluck(stopped, velocity, 0, delayFrames);
    }

    /** Strikes the string downward. */
    public void pluck(StringPatch stopped, double velocity, double cents, int delayFrames) {
        pluck(stopped, velocity, cents, delayFrames, false);
    }

    /**
     * Strikes the string.
     *
     * @param stopped where it is stopped
     * @param velocity 0 (excluded) to 1: softer is quieter and duller; see {@link #force}
     * @param cents how far it is drawn out of tune from the first, -200 to 400
     * @param delayFrames frames to wait, for strings that a strum reaches later
     * @param up whether the pick comes from below: a little lighter, nearer the bridge, brighter
     */
    public void pluck(
            StringPatch stopped, double velocity, double cents, int delayFrames, boolean up) {
        pending = stopped;
        pendingVelocity = velocity;
        pendingCents = cents;
        waitingFrames = 0;
        waitingShake = 0;
        pendingDelay = delayFrames;
        pendingUp = up;
        pickLevel = 0;
    }

    /** The velocity of a usual stroke. */
    public static final double USUAL_VELOCITY = 0.78;

    /**
     * The pick's force for a velocity: that of a usual stroke gives 0.78, an accent of 0.98 twice
     * as much (6 dB), a soft stroke of 0.55 a third, as players' loudest and softest usual strokes
     * lie about 20 dB apart (common practice, no source).
     */
    public static double force(double velocity) {
        return USUAL_VELOCITY * Math.pow(velocity / USUAL_VELOCITY, 3);
    }

    /**
     * Stops the sounding string elsewhere: a hammer-on or pull-off within a few milliseconds, a
     * slide in more.
     *
     * @param target where to
     * @param frames how long the way takes, 1 or more
     * @param tap how hard the finger excites the string, 0 (not at all, a slide) to 1
     */
    public void stopAt(StringPatch target, int frames, double tap) {
        if (!sounding) {
            if (tap > 0) {
                pluck(target, 0.62 * tap, 0);
            }
            return;
        }
        glide += 1200 * Math.log(patch.hz / target.hz) / Math.log(2);
        glideLeft = Math.max(1, frames);
        glideStep = -glide / glideLeft;
        boolean shorter = target.hz > patch.hz;
        patch = target;
        pickupFrames = pickupFrames();
        move();
        if (tap > 0) {
            excite(0.42 * tap, shorter ? 0.5 : 0.35, 0.5);
        } else {
            friction = FRICTION;
        }
    }

    /** Draws the string to a number of cents above its fret over some frames. */
    public void bend(double cents, int frames) {
        if (pending != null) {
            waitingBend = cents;
            waitingFrames = Math.max(1, frames);
            return;
        }
        bendTarget = cents;
        bendStep = (cents - bend) / Math.max(1, frames);
        move();
    }

    /** Shakes the string up to a number of cents above its pitch; 0 ends it. */
    public void vibrato(double cents) {
        vibrato(cents, VIBRATO_HZ);
    }

    /** Shakes the string up to some cents, so many times a second. */
    public void vibrato(double cents, double hz) {
        if (pending != null) {
            waitingShake = cents;
            waitingHz = hz;
            return;
        }
        vibratoHz = hz;
        depthTarget = cents;
        if (depth == 0) {
            vibratoPhase = 0;
        }
        move();
    }

    /** Leaves the string undamped, open, to answer what the others do. */
    public void free(StringPatch open) {
        if (pending != null || free) {
            return;
        }
        if (!sounding) {
            clear();
            patch = open;
            pickupFrames = pickupFrames();
            sounding = true;
            free = true;
            pluckFrame = Integer.MAX_VALUE / 2;
        }
    }

    /** Lays a finger on the string: it dies within about a tenth of a second. */
    public void damp() {
        pending = null;
        free = false;
        if (sounding) {
            dampingTarget = patch.dampedGain;
        }
    }

    /** Stops at once, without a fade; for a reset only. */
    public void reset() {
        pending = null;
        clear();
    }

    /** Whether anything is left to hear or to come. */
    public boolean active() {
        return sounding || pending != null;
    }

    /** What the string puts on the bridge, from the frame rendered last. */
    public double bridge() {
        return bridge;
    }

    /** Adds {@code frames} frames of this string alone to {@code out} from {@code offset}. */
    public void add(double[] out, int offset, int frames) {
        for (int i = 0; i < frames && active(); i++) {
            out[offset + i] += next(0);
        }
    }

    /**
     * One frame.
     *
     * @param others sum of what the other strings put on the bridge
     */
    public double next(double others) {
        if (pending != null) {
            prepare();
        }
        return sounding ? sound(others) : 0;
    }

    private void prepare() {
        if (pendingDelay > 0) {
            pendingDelay--;
            return;
        }
        if (pickLevel == 0) {
            touch();
        }
        choke -= chokeStep;
        if (choke <= 0) {
            start();
        }
    }

    private void start() {
        clear();
        patch = pending;
        pending = null;
        sounding = true;
        if (pendingCents != 0) {
            bend = pendingCents;
            bendTarget = pendingCents;
            move();
        }
        if (waitingFrames == 1) {
            bend = waitingBend;
        }
        if (waitingFrames > 0) {
            bend(waitingBend, waitingFrames);
        }
        if (waitingShake != 0) {
            vibrato(waitingShake, waitingHz);
        }
        waitingFrames = 0;
        waitingShake = 0;
        double force = force(pendingVelocity) * (1 + 0.06 * noise()) * (pendingUp ? 0.92 : 1);
        double place = patch.pickAt * (pendingUp ? 0.88 : 1) * (1 + 0.05 * noise());
        double at = Math.max(0.02, Math.min(0.5, place));
        excite(force, at, pendingUp ? 1.5 * force : force);
        acrossShare = patch.under == Damping.OPEN ? ACROSS * (1 + 0.35 * noise()) : 0;
        pick = 1;
        pickupFrames = pickupFrames();
    }

    /**
     * The pick touches the string: it slides over it, louder and louder, until it lets go, and then
     * its click dies away. What is rubbed and clicks moves the string at the pickups at once,
     * without running along it: a burst of 3 to 8 ms, shorter and brighter for a harder pick,
     * louder on wound strings.
     */
    private void touch() {
        StringPatch p = pending;
        double force = force(pendingVelocity) * (pendingUp ? 1.1 : 1);
        double wound = p.wound ? 1.1 : 0.9;
        pickLevel = PICK_NOISE * p.under.scrape * wound * Math.pow(force, 0.8);
        pickRise = chokeStep;
        double seconds = SOFT_PICK_SECONDS + p.hardness * (HARD_PICK_SECONDS - SOFT_PICK_SECONDS);
        pickFall = Math.exp(-6.9 / (seconds * sampleRate));
        double nearBridge = 1.35 - 1.6 * Math.min(0.35, p.pickAt);
        double hz = (4000 + 6000 * p.hardness) * nearBridge * (pendingUp ? 1.2 : 1);
        pickTone = 1 - Math.exp(-2 * Math.PI * Math.min(12000, hz) / sampleRate);
        pick = 0;
        if (!sounding) {
            clear();
            patch = p;
            pickupFrames = pickupFrames();
            sounding = true;
            choke = 1;
            pluckFrame = Integer.MAX_VALUE / 2;
        }
    }

    /** Begins a pulse of one period at a share of the length. */
    private void excite(double force, double at, double velocity) {
        pluckFrame = 0;
        pluckFrames = Math.max(4, (int) Math.round(patch.periodFrames));
        pulseFrames = Math.max(1, (int) Math.round(at * pluckFrames));
        double share = (double) pulseFrames / pluckFrames;
        double level = force * 0.5 / Math.sqrt(share * (1 - share) * 4 + 0.2);
        pulseHigh = level * (1 - share);
        pulseLow = -level * share;
        double stiff = Math.pow(2, 2 * patch.hardness - 1);
        double least = patch.under == Damping.OPEN ? 900 : 800;
        double opened = USUAL_VELOCITY * Math.pow(velocity / USUAL_VELOCITY, 0.9);
        double cutoff = stiff * (least + 7600 * opened * (1 + 0.1 * noise()));
        hardness = 1 - Math.exp(-2 * Math.PI * Math.min(cutoff, 16000) / sampleRate);
    }

    private int pickupFrames() {
        return Math.max(1, (int) Math.round(patch.pickupAt * patch.periodFrames));
    }

    private void clear() {
        line.clear();
        across.clear();
        acrossShare = 0;
        damping = 1;
        dampingTarget = 1;
        choke = 1;
        smooth = 0;
        smooth2 = 0;
        rubbing = 0;
        pluckFrame = 0;
        quietFrames = 0;
        sounding = false;
        free = false;
        bridge = 0;
        glide = 0;
        glideLeft = 0;
        bend = 0;
        bendTarget = 0;
        depth = 0;
        depthTarget = 0;
        friction = 0;
        moves = false;
    }

    /**
     * Frames for which it can sound without the bridge, 0 while it is struck or its pitch moves.
     */
    int mayRunAhead() {
        boolean steady = pending == null && sounding && !moves && friction == 0 && choke == 1;
        return steady ? Math.min(patch.delay, patch.acrossDelay) : 0;
    }

    /**
     * Whether the bridge moves it: a string that is being damped, or under the palm, lies still.
     */
    boolean answers() {
        return dampingTarget == 1 && patch.under.rings();
    }

    /**
     * What comes back along both planes in the next frames, with what the pick puts in. To be
     * followed by {@link #pickUp}.
     */
    void runAhead(double[] y, double[] ya, int n) {
        StringPatch p = patch;
        line.back(write - p.delay, p.taps, p.lossGain, p.lossPole, p.allpass, y, n);
        if (acrossShare == 0) {
            Arrays.fill(ya, 0, n, 0);
        } else {
            int read = write - p.acrossDelay;
            across.back(read, p.acrossTaps, p.acrossGain, p.lossPole, p.allpass, ya, n);
        }
        moved(y, ya, n);
    }

    /** Damps what comes back, and adds what the pick puts in. */
    private void moved(double[] y, double[] ya, int n) {
        double share = acrossShare;
        for (int i = 0; i < n; i++) {
            if (damping > dampingTarget) {
                damping = Math.max(dampingTarget, damping - dampStep);
            }
            double e = excitation();
            y[i] = y[i] * damping + e;
            ya[i] = ya[i] * damping + share * e;
        }
    }

    /**
     * Sends what {@link #runAhead} gave, and the bridge has changed, along the string, and adds to
     * {@code out} what the pickup hears of it.
     */
    void pickUp(double[] y, double[] ya, double[] out, int from, int n) {
        int at = write;
        double most = line.write(at, y, n);
        double mostAcross = across.write(at, ya, n);
        int comb = at - pickupFrames;
        for (int i = 0; i < n; i++) {
            double heard = y[i] + ya[i] - 0.92 * (line.at(comb + i) + across.at(comb + i));
            out[from + i] += pickLevel == 0 ? heard : heard + pickNoise();
        }
        write = at + n;
        bridge = y[n - 1];
        if (most < TINY && mostAcross < TINY) {
            for (int i = 0; i < n; i++) {
                line.write(at + i, 0);
                across.write(at + i, 0);
            }
            bridge = 0;
        }
        watch(most, n);
    }

    private double sound(double others) {
        StringPatch p = patch;
        double y = moves ? movingBack() : back(line, p.delay, p.taps, p.lossGain);
        double ya = 0;
        if (acrossShare != 0) {
            ya = moves ? movingAcross() : back(across, p.acrossDelay, p.acrossTaps, p.acrossGain);
        }
        if (damping > dampingTarget) {
            damping = Math.max(dampingTarget, damping - dampStep);
        }
        double e = excitation();
        double v = y * damping + e;
        double va = ya * damping + acrossShare * e;
        if (answers()) {
            v -= COUPLING * others;
        }
        if (Math.abs(v) < TINY) {
            v = 0;
        }
        if (Math.abs(va) < TINY) {
            va = 0;
        }
        line.write(write, v);
        across.write(write, va);
        int comb = write - pickupFrames;
        double out = v + va - 0.92 * (line.at(comb) + across.at(comb));
        write++;
        bridge = v;
        watch(v, 1);
        return out * Math.max(0, choke) + pickNoise();
    }

    private double pickNoise() {
        if (pickLevel == 0) {
            return 0;
        }
        double gain;
        if (pending != null && pick < 1) {
            pick += pickRise;
            gain = 0.5 * pick * pick;
        } else {
            pick *= pickFall;
            gain = pick;
            if (pick < 1e-3) {
                pickLevel = 0;
            }
        }
        pickLow += pickTone * (noise() - pickLow);
        pickHigh += PICK_ABOVE * (pickLow - pickHigh);
        double once = pickLow - pickHigh;
        pickHigher += PICK_ABOVE * (once - pickHigher);
        return pickLevel * gain * (once - pickHigher);
    }

    private double back(Plane plane, int frames, double[] taps, double gain) {
        return plane.back(write - frames, taps, gain, patch.lossPole, patch.allpass);
    }

    private double movingBack() {
        if (controlLeft == 0) {
            control();
        }
        controlLeft--;
        delay += delayStep;
        return movingBack(line, delay, patch.lossGain);
    }

    private double movingAcross() {
        return movingBack(across, delay * (1 + StringPatch.ACROSS_DETUNED), patch.acrossGain);
    }

    private double movingBack(Plane plane, double frames, double gain) {
        int whole = (int) frames - 2;
        StringPatch.lagrange(frames - whole, moving);
        return back(plane, whole, moving, gain);
    }

    /** Begins to reckon the delay anew, from where it is. */
    private void move() {
        if (patch == null) {
            return;
        }
        if (!moves) {
            delay = patch.loopDelay(patch.hz * Math.pow(2, (glide + bend) / 1200));
            moves = true;
            delayStep = 0;
        }
        controlLeft = 0;
    }

    /** Sets the delay's way to the next control point, or comes to rest. */
    private void control() {
        int step = Math.min(CONTROL, Math.max(1, glideLeft == 0 ? CONTROL : glideLeft));
        if (glideLeft > 0) {
            glide += step * glideStep;
            glideLeft -= step;
            if (glideLeft == 0) {
                glide = 0;
                friction = 0;
            }
        }
        if (bend != bendTarget) {
            double next = bend + step * bendStep;
            bend = (bendTarget - next) * bendStep <= 0 ? bendTarget : next;
        }
        depth += Math.max(-0.4, Math.min(0.4, (depthTarget - depth) * 0.02));
        if (depthTarget == 0 && depth < 0.3) {
            depth = 0;
        }
        vibratoPhase += 2 * Math.PI * vibratoHz * step / sampleRate;
        double cents = glide + bend + depth * 0.5 * (1 - Math.cos(vibratoPhase));
        double wanted = patch.loopDelay(patch.hz * Math.pow(2, cents / 1200));
        delayStep = (Math.max(StringPatch.TAPS, wanted) - delay) / step;
        controlLeft = step;
        boolean rests = glideLeft == 0 && glide == 0 && bend == 0 && bendTarget == 0;
        if (rests && depth == 0 && depthTarget == 0 && Math.abs(delayStep) < 1e-9) {
            moves = false;
        }
    }

    private double excitation() {
        double pulse = 0;
        if (pluckFrame < pluckFrames) {
            pulse = pluckFrame < pulseFrames ? pulseHigh : pulseLow;
        } else if (pluckFrame > pluckFrames + 400 && friction == 0) {
            return 0;
        }
        pluckFrame++;
        double rubbed = 0;
        if (friction != 0) {
            rubbing += 0.35 * (noise() - rubbing);
            rubbed = friction * Math.min(1, 30 * Math.abs(bridge)) * rubbing;
        }
        smooth += hardness * (pulse + rubbed - smooth);
        smooth2 += hardness * (smooth - smooth2);
        return smooth2;
    }

    /** A loop quieter than -140 dB for longer than its delay has died, unless it lies free. */
    private void watch(double v, int n) {
        if (Math.abs(v) > SILENT) {
            quietFrames = 0;
            return;
        }
        quietFrames += n;
        if (quietFrames > Plane.LINE) {
            if (free) {
                quietFrames = 0;
            } else {
                clear();
            }
        }
    }

    /** Uniform from -1 to 1; xorshift64 (G. Marsaglia, "Xorshift RNGs", 2003). */
    private double noise() {
        random ^= random << 13;
        random ^= random >>> 7;
        random ^= random << 17;
        return (random >> 11) * 0x1.0p-52;
    }
}
