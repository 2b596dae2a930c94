package vocalis.sound.strings;

import java.util.Arrays;
import vocalis.sound.dsp.Noise;

/**
 * One sounding string: a waveguide loop that is plucked, stopped elsewhere while it sounds, bent,
 * shaken, damped, or left free to answer the others.
 *
 * <p>Equation per frame: {@code v[n] = A(L(v[n−D]))·d + e[n] − c·b[n]}, with loss L, all-passes A,
 * damping d, excitation e and what the other strings put on the bridge b; output {@code v[n] −
 * v[n−γP]}, the comb of a pickup at γ of the sounding length. A second loop beside it is the plane
 * along the body: a little flatter, lasting longer, moved by a part of the pluck, not heard over
 * the bridge. A string that still sounds is faded out under the pick for {@link #CHOKE_SECONDS}
 * before it is struck again, so that neither the old note nor a new length makes a step.
 *
 * <p>Its elements: {@link Excitation} (the pluck e), {@link PickNoise}, {@link Gliding} (hammer-on,
 * pull-off, slide, bend, vibrato), {@link Damper} (d), {@link Contact} (a thumb), and a {@link
 * Plane} for each loop.
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

    /** How much of the others' force reaches a string over the bridge; chosen by hand. */
    public static final double COUPLING = 0.0014;

    /** How fast a hand shakes when nothing else is asked, chosen by hand. */
    public static final double VIBRATO_HZ = Gliding.USUAL_HZ;

    private static final double TINY = 1e-18;
    private static final double SILENT = 1e-7;

    /** What of a stroke moves the plane along the body; it beats with the other by 1 to 3 dB. */
    private static final double ACROSS = 0.13;

    /** How strongly a pickup hears the wave that comes back to it. */
    private static final double COMB = 0.92;

    /** Spread of it from stroke to stroke. */
    private static final double ACROSS_SPREAD = 0.35;

    /** How hard a finger that hammers or pulls moves the string, and where. */
    private static final double TAP = 0.42;

    private static final double TAP_AT = 0.5;
    private static final double PULL_AT = 0.35;

    /** A hammer-on from nowhere, as the velocity of a stroke. */
    private static final double TAP_VELOCITY = 0.62;

    private final Plane line = new Plane();
    private final Plane across = new Plane();
    private final double[] moving = new double[StringPatch.TAPS];
    private final double chokeStep;
    private final Noise noise;
    private final Excitation excitation;
    private final PickNoise pick;
    private final Gliding gliding;
    private final Damper damper;
    private final Tension tension;
    private final Contact thumb;
    private final Hand hand;
    private final double[] past = new double[Plane.MOST_AHEAD];

    private StringPatch patch;
    private int write;
    private double acrossShare;
    private boolean sounding;
    private boolean free;
    private int quietFrames;
    private double bridge;

    private final Coming coming = new Coming();
    private double choke = 1;

    private int pickupFrames;

    /**
     * @param sampleRate frames per second
     * @param seed decides the small differences between strokes
     */
    public StringVoice(double sampleRate, long seed) {
        chokeStep = 1 / (CHOKE_SECONDS * sampleRate);
        noise = Noise.of(seed, 0x1234567L);
        excitation = new Excitation(sampleRate, noise);
        pick = new PickNoise(sampleRate, chokeStep, noise);
        gliding = new Gliding(sampleRate);
        damper = new Damper(sampleRate);
        tension = new Tension(sampleRate);
        thumb = new Contact(sampleRate);
        hand = new Hand(sampleRate);
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
        coming.set(stopped, velocity, cents, delayFrames, up);
        pick.silence();
    }

    /** The velocity of a usual stroke. */
    public static final double USUAL_VELOCITY = Excitation.USUAL_VELOCITY;

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
                pluck(target, TAP_VELOCITY * tap, 0);
            }
            return;
        }
        boolean shorter = target.hz > patch.hz;
        gliding.glide(patch, target, frames);
        patch = target;
        stopped();
        if (tap > 0) {
            excitation.pluck(patch, TAP * tap, shorter ? TAP_AT : PULL_AT, 0.5);
        } else {
            excitation.rub();
        }
    }

    /** Draws the string to a number of cents above its fret over some frames. */
    public void bend(double cents, int frames) {
        if (coming.waits()) {
            coming.bend(cents, frames);
            return;
        }
        gliding.bend(patch, cents, frames);
    }

    /** Shakes the string up to a number of cents above its pitch; 0 ends it. */
    public void vibrato(double cents) {
        vibrato(cents, VIBRATO_HZ);
    }

    /** Shakes the string up to some cents, so many times a second. */
    public void vibrato(double cents, double hz) {
        if (coming.waits()) {
            coming.shake(cents, hz);
            return;
        }
        gliding.shake(patch, cents, hz);
    }

    /**
     * Touches the string with the thumb as the pick that is on its way lets it go: a partial sounds
     * in place of the note. Nothing where no stroke is on its way.
     *
     * @param partial 2 to 8
     */
    public void pinch(int partial) {
        if (partial < 2 || partial > StringPatch.PINCHED) {
            throw new IllegalArgumentException("a thumb leaves partial 2 to 8, not " + partial);
        }
        coming.pinch = coming.waits() ? partial : 0;
    }

    /** Leaves the string undamped, open, to answer what the others do. */
    public void free(StringPatch open) {
        if (coming.waits() || free) {
            return;
        }
        if (!sounding) {
            clear();
            patch = open;
            stopped();
            sounding = true;
            free = true;
            excitation.never();
        }
    }

    /** Whether a palm on the string gives way under a stroke from now on; see {@link Hand}. */
    public void palmGives(boolean asked) {
        hand.gives(asked);
    }

    /** Lays a finger on the string: it dies within about a tenth of a second. */
    public void damp() {
        coming.clear();
        free = false;
        if (sounding) {
            damper.damp(patch.dampedGain);
        }
    }

    /** Stops at once, without a fade; for a reset only. */
    public void reset() {
        coming.clear();
        clear();
    }

    /** Whether anything is left to hear or to come. */
    public boolean active() {
        return sounding || coming.waits();
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
        if (coming.waits()) {
            prepare();
        }
        return sounding ? sound(others) : 0;
    }

    private void prepare() {
        if (coming.delay > 0) {
            coming.delay--;
            return;
        }
        if (pick.silent()) {
            touch();
        }
        choke -= chokeStep;
        if (choke <= 0) {
            start();
        }
    }

    private void start() {
        clear();
        patch = coming.patch;
        coming.clear();
        sounding = true;
        coming.begin(gliding, patch);
        int partial = coming.pinch;
        double force = coming.force(noise);
        double place = coming.place(patch, noise);
        if (partial > 0) {
            thumb.touch(patch, partial);
            place = Contact.pickedAt(patch, partial);
            force *= Contact.HARDER;
        }
        double at = Math.max(0.02, Math.min(0.5, place));
        excitation.pluck(patch, force, at, coming.bright(force));
        boolean open = patch.under == Damping.OPEN;
        acrossShare = open ? ACROSS * (1 + ACROSS_SPREAD * noise.next()) : 0;
        if (open) {
            tension.strike(force);
        }
        pick.letGo();
        stopped();
        hand.firm();
    }

    /** What hangs on where it is stopped. */
    private void stopped() {
        pickupFrames = Math.max(1, (int) Math.round(patch.pickupAt * patch.periodFrames));
        hand.lie(patch);
    }

    /** The pick touches the string, and rests on it for {@link #CHOKE_SECONDS}. */
    private void touch() {
        StringPatch p = coming.patch;
        pick.touch(p, force(coming.velocity), coming.up);
        if (!sounding) {
            clear();
            patch = p;
            stopped();
            sounding = true;
            choke = 1;
            excitation.never();
        }
    }

    private void clear() {
        line.clear();
        across.clear();
        acrossShare = 0;
        damper.clear();
        tension.clear();
        thumb.clear();
        hand.clear();
        choke = 1;
        excitation.clear();
        quietFrames = 0;
        sounding = false;
        free = false;
        bridge = 0;
        gliding.clear();
    }

    /**
     * Frames for which it can sound without the bridge, 0 while it is struck or its pitch moves.
     */
    int mayRunAhead() {
        boolean let = !hand.lies() && hand.changes();
        boolean still = !gliding.moves() && !excitation.rubs() && !thumb.touches() && !let;
        boolean steady = !coming.waits() && sounding && still && choke == 1;
        int sharper = tension.pulls() ? (int) (tension.share() * patch.periodFrames) + 1 : 0;
        if (!steady) {
            return 0;
        }
        return hand.lies() ? Plane.MOST_AHEAD : Math.min(patch.delay, patch.acrossDelay) - sharper;
    }

    /**
     * Whether the bridge moves it: a string that is being damped, or under the palm, lies still.
     */
    boolean answers() {
        return !damper.damps() && patch.under.rings();
    }

    /**
     * What comes back along both planes in the next frames, with what the pick puts in. To be
     * followed by {@link #pickUp}.
     */
    void runAhead(double[] y, double[] ya, int n) {
        if (hand.lies()) {
            heldAhead(y, ya, n);
            return;
        }
        if (tension.pulls()) {
            sharpAhead(y, ya, n);
        } else {
            straightAhead(y, ya, n);
        }
        if (acrossShare == 0) {
            Arrays.fill(ya, 0, n, 0);
        }
        moved(y, ya, n);
    }

    /** Under a hand what leaves the bridge is back before the stretch is over: frame by frame. */
    private void heldAhead(double[] y, double[] heard, int n) {
        StringPatch p = patch;
        for (int i = 0; i < n; i++) {
            int at = write + i;
            double back = line.back(at - p.delay, p.taps, p.loss, p.loss.gain, p.allpass);
            double v = back * damper.next() + excitation.next(bridge);
            y[i] = Math.abs(v) < TINY ? 0 : v;
            line.write(at, y[i]);
            hand.scatter(line, at);
            heard[i] = hand.heard() * (y[i] - COMB * line.at(at - pickupFrames));
        }
    }

    private void straightAhead(double[] y, double[] ya, int n) {
        StringPatch p = patch;
        line.back(write - p.delay, p.taps, p.loss, p.loss.gain, p.allpass, y, n);
        if (acrossShare != 0) {
            int read = write - p.acrossDelay;
            across.back(read, p.acrossTaps, p.loss, p.acrossGain, p.allpass, ya, n);
        }
    }

    /** The same while a stroke still stretches the string. */
    private void sharpAhead(double[] y, double[] ya, int n) {
        StringPatch p = patch;
        double from = p.delayFrames - tension.share() * p.periodFrames;
        tension.pass(n);
        double to = p.delayFrames - tension.share() * p.periodFrames;
        line.follow(write, from, to, p.loss, p.loss.gain, p.allpass, y, n);
        if (acrossShare != 0) {
            double longer = 1 + StringPatch.ACROSS_DETUNED;
            across.follow(
                    write, longer * from, longer * to, p.loss, p.acrossGain, p.allpass, ya, n);
        }
    }

    /** Damps what comes back, and adds what the pick puts in. */
    private void moved(double[] y, double[] ya, int n) {
        if (damper.rests() && excitation.rests()) {
            return;
        }
        double share = acrossShare;
        for (int i = 0; i < n; i++) {
            double damping = damper.next();
            double e = excitation.next(bridge);
            y[i] = y[i] * damping + e;
            ya[i] = ya[i] * damping + share * e;
        }
    }

    /**
     * Sends what {@link #runAhead} gave, and the bridge has changed, along the string, and adds to
     * {@code out} what the pickup hears of it.
     */
    void pickUp(double[] y, double[] ya, double[] out, int from, int n) {
        if (hand.lies()) {
            pickUpHeld(y, ya, out, from, n);
            return;
        }
        int at = write;
        line.write(at, y, n);
        line.copy(at - pickupFrames, past, n);
        for (int i = 0; i < n; i++) {
            out[from + i] += y[i] - COMB * past[i];
        }
        if (acrossShare != 0) {
            across.write(at, ya, n);
            across.copy(at - pickupFrames, past, n);
            for (int i = 0; i < n; i++) {
                out[from + i] += ya[i] - COMB * past[i];
            }
        }
        pick(out, from, n);
        write = at + n;
        bridge = y[n - 1];
        double most = most(y, n);
        if (most < TINY && most(ya, n) < TINY) {
            Arrays.fill(y, 0, n, 0);
            line.write(at, y, n);
            across.write(at, y, n);
            bridge = 0;
        }
        watch(most, n);
    }

    private void pick(double[] out, int from, int n) {
        for (int i = 0; i < n && !pick.silent(); i++) {
            out[from + i] += pick.next(coming.waits());
        }
    }

    /** A magnitude over {@link #SILENT}, or the largest where there is none. */
    private static double most(double[] v, int n) {
        double most = 0;
        for (int i = 0; i < n && most <= SILENT; i++) {
            most = Math.max(most, Math.abs(v[i]));
        }
        return most;
    }

    private void pickUpHeld(double[] y, double[] heard, double[] out, int from, int n) {
        for (int i = 0; i < n; i++) {
            out[from + i] += heard[i];
        }
        pick(out, from, n);
        write += n;
        bridge = y[n - 1];
        watch(most(y, n), n);
    }

    private double sound(double others) {
        StringPatch p = patch;
        boolean moves = gliding.moves() || tension.pulls();
        double y;
        double ya = 0;
        if (moves) {
            double at = gliding.moves() ? gliding.next(p, excitation) : p.delayFrames;
            double sharper = at - tension.share() * p.periodFrames;
            tension.pass(1);
            y = movingBack(line, sharper, p.loss.gain);
            if (acrossShare != 0) {
                ya = movingBack(across, sharper * (1 + StringPatch.ACROSS_DETUNED), p.acrossGain);
            }
        } else {
            y = back(line, p.delay, p.taps, p.loss.gain);
            if (acrossShare != 0) {
                ya = back(across, p.acrossDelay, p.acrossTaps, p.acrossGain);
            }
        }
        double damping = damper.next();
        double e = excitation.next(bridge);
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
        hand.scatter(line, write);
        if (thumb.touches()) {
            thumb.scatter(line, write);
            thumb.scatter(across, write);
            thumb.pass();
        }
        int comb = write - pickupFrames;
        double out = v + va - COMB * (line.at(comb) + across.at(comb));
        write++;
        bridge = v;
        watch(v, 1);
        double heard = hand.changes() || hand.lies() ? hand.heard() : 1;
        return heard * out * Math.max(0, choke) + pick.next(coming.waits());
    }

    private double back(Plane plane, int frames, double[] taps, double gain) {
        return plane.back(write - frames, taps, patch.loss, gain, patch.allpass);
    }

    private double movingBack(Plane plane, double frames, double gain) {
        int whole = (int) frames - 2;
        StringPatch.lagrange(frames - whole, moving);
        return back(plane, whole, moving, gain);
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
}
