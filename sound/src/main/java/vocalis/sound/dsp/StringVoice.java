package vocalis.sound.dsp;

import java.util.Arrays;

/**
 * One sounding string: a waveguide loop that is plucked, rings, and is damped.
 *
 * <p>Equation per frame: {@code v[n] = A(L(v[n−D]))·d + e[n]}, with loss L, all-passes A, damping d
 * and excitation e; output {@code v[n] − v[n−γP]}, the comb of a pickup at γ of the sounding
 * length. The excitation is the bridge force of an ideal pluck at β of the length, a two-level
 * pulse of one period whose partials fall as {@code sin(nπβ)/n}, smoothed by the pick's hardness,
 * with a short burst of scrape noise on top. A string that still sounds is faded out under the pick
 * for {@link #CHOKE_SECONDS} before it is struck again, so that neither the old note nor a new
 * length makes a step.
 *
 * <p>State: one delay line; one thread; no allocation after construction. Values under 1e-18 are
 * flushed to zero, and a string whose loop has died is idle and costs nothing.
 */
public final class StringVoice {

    /** How long the pick rests on a sounding string before it is struck again. */
    public static final double CHOKE_SECONDS = 0.0025;

    private static final int LINE = 4096;
    private static final int MASK = LINE - 1;
    private static final double TINY = 1e-18;
    private static final double SILENT = 1e-7;
    private static final double SCRAPE_SECONDS = 0.006;
    private static final double DAMP_RAMP_SECONDS = 0.004;

    private final double sampleRate;
    private final double[] line = new double[LINE];
    private final double[] ap = new double[2 * StringPatch.ALLPASSES];
    private final double chokeStep;
    private final double dampStep;

    private StringPatch patch;
    private int write;
    private double lossState;
    private double damping = 1;
    private double dampingTarget = 1;
    private boolean sounding;
    private int quietFrames;

    private StringPatch pending;
    private double pendingVelocity;
    private int pendingDelay;
    private double choke = 1;

    private int pluckFrame;
    private int pluckFrames;
    private int pulseFrames;
    private double pulseHigh;
    private double pulseLow;
    private double hardness;
    private double smooth;
    private double smooth2;
    private double scrape;
    private double scrapeDecay;
    private double scrapeTone;
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
     * Strikes the string.
     *
     * @param stopped where it is stopped
     * @param velocity 0 (excluded) to 1: softer is quieter and duller
     * @param delayFrames frames to wait, for strings that a strum reaches later
     */
    public void pluck(StringPatch stopped, double velocity, int delayFrames) {
        pending = stopped;
        pendingVelocity = velocity;
        pendingDelay = delayFrames;
    }

    /** Lays a finger on the string: it dies within about a tenth of a second. */
    public void damp() {
        pending = null;
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

    /** Adds {@code frames} frames to {@code out} from {@code offset}. */
    public void add(double[] out, int offset, int frames) {
        for (int i = 0; i < frames; i++) {
            if (pending != null) {
                prepare();
            }
            if (sounding) {
                out[offset + i] += next();
            } else if (pending == null) {
                return;
            }
        }
    }

    private void prepare() {
        if (pendingDelay > 0) {
            pendingDelay--;
            return;
        }
        if (sounding && choke > 0) {
            choke -= chokeStep;
            return;
        }
        start();
    }

    private void start() {
        clear();
        patch = pending;
        pending = null;
        sounding = true;
        double force = pendingVelocity * (1 + 0.06 * noise());
        double at = Math.max(0.02, Math.min(0.5, patch.pickAt * (1 + 0.05 * noise())));
        pluckFrames = Math.max(4, (int) Math.round(patch.periodFrames));
        pulseFrames = Math.max(1, (int) Math.round(at * pluckFrames));
        double share = (double) pulseFrames / pluckFrames;
        double level = force * 0.5 / Math.sqrt(share * (1 - share) * 4 + 0.2);
        pulseHigh = level * (1 - share);
        pulseLow = -level * share;
        double cutoff = (patch.muted ? 800 : 900) + 7600 * pendingVelocity * (1 + 0.1 * noise());
        hardness = 1 - Math.exp(-2 * Math.PI * cutoff / sampleRate);
        scrape = force * (patch.muted ? 0.05 : 0.07);
        scrapeDecay = Math.exp(-6.9 / (SCRAPE_SECONDS * sampleRate));
        pickupFrames = Math.max(1, (int) Math.round(patch.pickupAt * patch.periodFrames));
    }

    private void clear() {
        Arrays.fill(line, 0);
        Arrays.fill(ap, 0);
        lossState = 0;
        damping = 1;
        dampingTarget = 1;
        choke = 1;
        smooth = 0;
        smooth2 = 0;
        scrape = 0;
        scrapeTone = 0;
        pluckFrame = 0;
        quietFrames = 0;
        sounding = false;
    }

    private double next() {
        StringPatch p = patch;
        int read = write - p.delay;
        double x = 0;
        for (int k = 0; k < StringPatch.TAPS; k++) {
            x += p.taps[k] * line[(read - k) & MASK];
        }
        lossState = p.lossGain * (1 - p.lossPole) * x + p.lossPole * lossState;
        double y = lossState;
        for (int k = 0; k < 2 * StringPatch.ALLPASSES; k += 2) {
            double z = p.allpass * (y - ap[k + 1]) + ap[k];
            ap[k] = y;
            ap[k + 1] = z;
            y = z;
        }
        if (damping > dampingTarget) {
            damping = Math.max(dampingTarget, damping - dampStep);
        }
        double v = y * damping + excite();
        if (v < TINY && v > -TINY) {
            v = 0;
        }
        line[write & MASK] = v;
        double out = v - 0.92 * line[(write - pickupFrames) & MASK];
        write++;
        watch(v);
        return out * Math.max(0, choke);
    }

    private double excite() {
        double pulse = 0;
        if (pluckFrame < pluckFrames) {
            pulse = pluckFrame < pulseFrames ? pulseHigh : pulseLow;
        } else if (pluckFrame > pluckFrames + 400) {
            return 0;
        }
        pluckFrame++;
        scrape *= scrapeDecay;
        scrapeTone += 0.35 * (noise() - scrapeTone);
        smooth += hardness * (pulse + scrape * scrapeTone - smooth);
        smooth2 += hardness * (smooth - smooth2);
        return smooth2;
    }

    /** A loop quieter than -140 dB for longer than its delay has died. */
    private void watch(double v) {
        if (v > SILENT || v < -SILENT) {
            quietFrames = 0;
        } else if (++quietFrames > LINE) {
            clear();
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
