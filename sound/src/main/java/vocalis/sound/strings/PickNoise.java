package vocalis.sound.strings;

import vocalis.sound.dsp.Noise;

/**
 * What the pick itself sounds like at the pickups: it slides over the string, louder and louder,
 * until it lets go, and then its click dies away. It does not run along the string.
 *
 * <p>Equation: white noise through a low-pass at the pick's brightness and twice a high-pass at
 * {@link #ABOVE}, times {@code level · r²/2} while it slides (r rises from 0 to 1 until the string
 * is let go) and {@code level · 10^(−3t/T)} after, with T from {@link #SOFT_SECONDS} to {@link
 * #HARD_SECONDS}: a burst of 3 to 8 ms. Levels and times chosen by hand. One thread; no allocation.
 */
final class PickNoise {

    private static final double LEVEL = 4.8;

    /** A pole at 3.5 kHz: below it the pick is not heard. */
    private static final double ABOVE = 0.37;

    /** Time in which it falls by 60 dB, a thumb's and a stiff pick's. */
    private static final double SOFT_SECONDS = 0.024;

    private static final double HARD_SECONDS = 0.009;

    /** A wound string is louder under the pick than a plain one. */
    private static final double WOUND = 1.1;

    private static final double PLAIN = 0.9;

    /** From below the pick is a little louder and brighter. */
    private static final double LOUDER_UP = 1.1;

    private static final double BRIGHTER_UP = 1.2;

    /** Brightness of the softest pick, what the hardest adds, and the most, in Hz. */
    private static final double SOFT_HZ = 4000;

    private static final double HARDER_HZ = 6000;
    private static final double MOST_HZ = 12000;

    /** What is left of the click when it has died. */
    private static final double DIED = 1e-3;

    private final double sampleRate;
    private final double rise;
    private final Noise noise;
    private double at;
    private double level;
    private double fall;
    private double tone;
    private double low;
    private double high;
    private double higher;

    /**
     * @param rise share of its way over the string that the pick makes in a frame
     */
    PickNoise(double sampleRate, double rise, Noise noise) {
        this.sampleRate = sampleRate;
        this.rise = rise;
        this.noise = noise;
    }

    /** Nothing is heard of the pick. */
    void silence() {
        level = 0;
    }

    boolean silent() {
        return level == 0;
    }

    /**
     * The pick touches a string.
     *
     * @param force see {@link StringVoice#force}
     * @param up whether it comes from below
     */
    void touch(StringPatch p, double force, boolean up) {
        double wound = p.wound ? WOUND : PLAIN;
        level = LEVEL * p.under.scrape * wound * Math.pow(force * (up ? LOUDER_UP : 1), 0.8);
        double seconds = SOFT_SECONDS + p.hardness * (HARD_SECONDS - SOFT_SECONDS);
        fall = Math.exp(-6.9 / (seconds * sampleRate));
        double nearBridge = 1.35 - 1.6 * Math.min(0.35, p.pickAt);
        double hz = (SOFT_HZ + HARDER_HZ * p.hardness) * nearBridge * (up ? BRIGHTER_UP : 1);
        tone = 1 - Math.exp(-2 * Math.PI * Math.min(MOST_HZ, hz) / sampleRate);
        at = 0;
    }

    /** It lets the string go. */
    void letGo() {
        at = 1;
    }

    /**
     * One frame.
     *
     * @param resting whether the pick is still on the string
     */
    double next(boolean resting) {
        if (level == 0) {
            return 0;
        }
        double gain;
        if (resting && at < 1) {
            at += rise;
            gain = 0.5 * at * at;
        } else {
            at *= fall;
            gain = at;
            if (at < DIED) {
                level = 0;
            }
        }
        low += tone * (noise.next() - low);
        high += ABOVE * (low - high);
        double once = low - high;
        higher += ABOVE * (once - higher);
        return level * gain * (once - higher);
    }
}
