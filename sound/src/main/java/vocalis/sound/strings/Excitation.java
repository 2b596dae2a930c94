package vocalis.sound.strings;

import vocalis.sound.dsp.Noise;

/**
 * What moves a string: a pluck, a finger's tap, or a finger that rubs along it.
 *
 * <p>Equation: the bridge force of an ideal pluck at β of the length is a two-level pulse of one
 * period, {@code 1 − β} for β of it and {@code −β} for the rest, whose partials fall as {@code
 * sin(nπβ)/n}; two one-pole low-passes at the pick's hardness smooth it. Rubbing is noise through a
 * pole of {@link #RUBBED}, as loud as the string moves. Levels chosen by hand. One thread; no
 * allocation.
 */
final class Excitation {

    /** The velocity of a usual stroke. */
    static final double USUAL_VELOCITY = 0.78;

    /** Of a slide, against the string's own movement. */
    private static final double FRICTION = 0.004;

    private static final double RUBBED = 0.35;
    private static final double MOVED = 30;

    /** Frames after a pulse in which its smoothing has come to rest. */
    private static final int RESTS_AFTER = 400;

    /** Cutoff of the softest stroke on an open string and under the palm, and what force adds. */
    private static final double LEAST_OPEN_HZ = 900;

    private static final double LEAST_DAMPED_HZ = 800;
    private static final double HARDER_HZ = 7600;
    private static final double MOST_HZ = 16000;

    /** Far past every pulse. */
    private static final int NEVER = Integer.MAX_VALUE / 2;

    private final double sampleRate;
    private final Noise noise;
    private int frame;
    private int frames;
    private int pulseFrames;
    private double pulseHigh;
    private double pulseLow;
    private double hardness;
    private double smooth;
    private double smooth2;
    private double rubbing;
    private double friction;

    Excitation(double sampleRate, Noise noise) {
        this.sampleRate = sampleRate;
        this.noise = noise;
    }

    /**
     * Begins a pulse of one period.
     *
     * @param force how high it is
     * @param at share of the length at which it is plucked, 0.02 to 0.5
     * @param velocity how bright
     */
    void pluck(StringPatch patch, double force, double at, double velocity) {
        frame = 0;
        frames = Math.max(4, (int) Math.round(patch.periodFrames));
        pulseFrames = Math.max(1, (int) Math.round(at * frames));
        double share = (double) pulseFrames / frames;
        double level = force * 0.5 / Math.sqrt(share * (1 - share) * 4 + 0.2);
        pulseHigh = level * (1 - share);
        pulseLow = -level * share;
        double stiff = Math.pow(2, 2 * patch.hardness - 1);
        double least = patch.under == Damping.OPEN ? LEAST_OPEN_HZ : LEAST_DAMPED_HZ;
        double opened = USUAL_VELOCITY * Math.pow(velocity / USUAL_VELOCITY, 0.9);
        double cutoff = stiff * (least + HARDER_HZ * opened * (1 + 0.1 * noise.next()));
        hardness = 1 - Math.exp(-2 * Math.PI * Math.min(cutoff, MOST_HZ) / sampleRate);
    }

    /** A finger rubs along the string. */
    void rub() {
        friction = FRICTION;
    }

    void rubNoMore() {
        friction = 0;
    }

    boolean rubs() {
        return friction != 0;
    }

    /** Whether it gives nothing any more. */
    boolean rests() {
        return frame > frames + RESTS_AFTER && friction == 0;
    }

    /** Nothing was plucked: the string lies there. */
    void never() {
        frame = NEVER;
    }

    void clear() {
        smooth = 0;
        smooth2 = 0;
        rubbing = 0;
        frame = 0;
        friction = 0;
    }

    /**
     * One frame.
     *
     * @param moved how the string moves at the bridge
     */
    double next(double moved) {
        double pulse = 0;
        if (frame < frames) {
            pulse = frame < pulseFrames ? pulseHigh : pulseLow;
        } else if (rests()) {
            return 0;
        }
        frame++;
        double rubbed = 0;
        if (friction != 0) {
            rubbing += RUBBED * (noise.next() - rubbing);
            rubbed = friction * Math.min(1, MOVED * Math.abs(moved)) * rubbing;
        }
        smooth += hardness * (pulse + rubbed - smooth);
        smooth2 += hardness * (smooth - smooth2);
        return smooth2;
    }
}
