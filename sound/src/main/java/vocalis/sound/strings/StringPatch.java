package vocalis.sound.strings;

import vocalis.sound.guitar.Guitar;
import vocalis.sound.guitar.StringModel;

/**
 * The coefficients of one string stopped at one fret: everything that {@link StringVoice} needs and
 * nothing that takes time to compute. Immutable; built off the audio thread.
 *
 * <p>Design: a single-delay-loop waveguide (K. Karplus and A. Strong, "Digital synthesis of
 * plucked-string and drum timbres", CMJ 1983; D. Jaffe and J. Smith, "Extensions of the
 * Karplus-Strong plucked-string algorithm", CMJ 1983). The loop holds a delay read by a fifth-order
 * Lagrange interpolator, a loss fitted to the decay of every partial ({@link LoopLoss}), and six
 * equal first-order all-passes for stiffness, whose coefficient is found so that a high partial
 * falls where the stiffness puts it. The delay is then chosen so that the loop's phase at the
 * fundamental is exactly one period: the error left is that of the interpolator, far below a cent.
 * StringTest proves it.
 */
public final class StringPatch {

    /** The highest partial that a thumb leaves. */
    static final int PINCHED = 8;

    /** Number of all-passes in the loop. */
    static final int ALLPASSES = 6;

    static final int TAPS = 6;

    /**
     * The plane along the body: it moves the bridge less, so it lasts longer and is a little
     * flatter (from memory of published measurements; the beat is chosen by hand).
     */
    static final double ACROSS_DETUNED = 0.0005;

    /** How far the plane along the body pulls the pitch that is heard. */
    private static final double PULLED = 0.2;

    private static final double ACROSS_LASTS = 1.7;

    /** No loop gains, at no frequency. */
    private static final double MOST_ACROSS = 0.99995;

    /** No partial is told nearer to half the sample rate, as a share of the whole. */
    private static final double HIGHEST_PARTIAL = 0.49;

    /** No hand lies nearer to the nut, as a share of the sounding length from the bridge. */
    private static final double MOST_EDGE = 0.9;

    private static final double STIFFNESS_FITTED_AT_HZ = 2000;

    /** Decay time of a string that a finger or the hand stops, in seconds; chosen by hand. */
    private static final double DAMPED_SECONDS = 0.09;

    /** Under the palm the pick strikes nearer to the bridge, by this factor; chosen by hand. */
    private static final double PALM_PICK = 0.78;

    final double hz;
    final double periodFrames;

    /** Frames of one period of each partial to {@link #PINCHED}, from the second at 2. */
    final double[] partialFrames = new double[PINCHED + 1];

    final double delayFrames;
    final int delay;
    final double[] taps = new double[TAPS];
    final int acrossDelay;
    final double[] acrossTaps = new double[TAPS];
    final double acrossGain;
    final LoopLoss loss;
    final double allpass;
    final double pickAt;
    final double pickupAt;

    /** Places of what lies on it, as a share of the sounding length from the bridge; or none. */
    final double[] edges;

    final double dampedGain;
    final double hardness;
    final Damping under;
    final boolean wound;
    private final double sampleRate;

    private StringPatch(Builder b, double allpass, double wanted) {
        // What is heard lies between the planes, the nearer to the one that the pick moves more.
        delayFrames = wanted * (1 - PULLED * ACROSS_DETUNED);
        this.hz = b.hz;
        this.periodFrames = b.sampleRate / b.hz;
        this.loss = b.loss;
        this.edges = b.edges;
        this.allpass = allpass;
        this.delay = (int) Math.floor(delayFrames) - 2;
        lagrange(delayFrames - delay, taps);
        double across = delayFrames * (1 + ACROSS_DETUNED);
        this.acrossDelay = (int) Math.floor(across) - 2;
        lagrange(across - acrossDelay, acrossTaps);
        double longer = Math.pow(10, b.firstFalls() / (20 * b.hz) * (1 - 1 / ACROSS_LASTS));
        this.acrossGain = Math.min(longer * loss.gain, MOST_ACROSS);
        this.wound = b.wound;
        this.pickAt = b.pickAt;
        this.pickupAt = b.pickupAt;
        this.dampedGain = Math.pow(10, -3 / (b.hz * DAMPED_SECONDS));
        this.hardness = b.guitar.hardness();
        this.under = b.under;
        this.sampleRate = b.sampleRate;
        for (int n = 2; n < partialFrames.length; n++) {
            partialFrames[n] = sampleRate / partialHz(n);
        }
    }

    /**
     * Delay in frames with which this loop would sound another frequency: what a bend or a slide
     * moves.
     */
    double loopDelay(double atHz) {
        double w = 2 * Math.PI * atHz / sampleRate;
        double delay = (2 * Math.PI - loss.lag(w) - ALLPASSES * allpassPhase(allpass, w)) / w;
        return delay * (1 - PULLED * ACROSS_DETUNED);
    }

    /** Phase lag of {@code (c + z⁻¹)/(1 + c·z⁻¹)} in radians. */
    private static double allpassPhase(double c, double w) {
        return w - 2 * Math.atan2(c * Math.sin(w), 1 + c * Math.cos(w));
    }

    /**
     * Frequency in Hz of a partial: where the loop's phase is that many periods, stretched by
     * stiffness.
     *
     * @param n 1 for the fundamental
     */
    public double partialHz(int n) {
        // The phase lag grows evenly, so the secant rule is there in a few steps.
        double d = loopDelay(hz);
        double highest = HIGHEST_PARTIAL * sampleRate;
        double before = Math.min(n * hz, highest / 1.001);
        double now = before * 1.001;
        double lagBefore = lag(before, d) - 2 * Math.PI * n;
        for (int i = 0; i < 20 && Math.abs(now - before) > 1e-12 * now; i++) {
            double lag = lag(now, d) - 2 * Math.PI * n;
            double next = Math.min(highest, now - lag * (now - before) / (lag - lagBefore));
            before = now;
            lagBefore = lag;
            now = next;
        }
        return now;
    }

    /** Phase lag of one way around the loop in radians. */
    private double lag(double atHz, double delay) {
        double w = 2 * Math.PI * atHz / sampleRate;
        return w * delay + loss.lag(w) + ALLPASSES * allpassPhase(allpass, w);
    }

    /** What is left after a frame of what swings at a frequency in Hz. */
    public double left(double atHz) {
        return Math.pow(loss.magnitude(2 * Math.PI * atHz / sampleRate), 1 / periodFrames);
    }

    /** Frequency in Hz of the first partial. */
    public double hz() {
        return hz;
    }

    /** Pick position as a share of the sounding length, 0 to 0.5. */
    public double pickPosition() {
        return pickAt;
    }

    /**
     * The patch of a string at a fret.
     *
     * @param model the string
     * @param fret fret above the open string, 0 to 36
     * @param under what lies on it
     * @param guitar how it is struck and picked up
     * @param sampleRate frames per second, 22050 to 192000
     */
    public static StringPatch of(
            StringModel model, int fret, Damping under, Guitar guitar, double sampleRate) {
        if (fret < 0 || fret > 36) {
            throw new IllegalArgumentException("a fret is 0 to 36, not " + fret);
        }
        if (!(sampleRate >= 22050 && sampleRate <= 192000)) {
            throw new IllegalArgumentException(
                    "sample rate must be 22050 to 192000, not " + sampleRate);
        }
        Builder b = new Builder(model, fret, under, guitar, sampleRate);
        double allpass = b.fitStiffness();
        return new StringPatch(b, allpass, b.delayFor(allpass));
    }

    /** Coefficients of the fifth-order Lagrange interpolator at a delay of 0 to 5 frames. */
    static void lagrange(double delay, double[] taps) {
        double d0 = delay;
        double d1 = delay - 1;
        double d2 = delay - 2;
        double d3 = delay - 3;
        double d4 = delay - 4;
        double d5 = delay - 5;
        double low = d0 * d1 * d2;
        double high = d3 * d4 * d5;
        taps[0] = d1 * d2 * high / -120;
        taps[1] = d0 * d2 * high / 24;
        taps[2] = d0 * d1 * high / -12;
        taps[3] = low * d4 * d5 / 12;
        taps[4] = low * d3 * d5 / -24;
        taps[5] = low * d3 * d4 / 120;
    }

    /** The design steps, with the numbers they share. */
    private static final class Builder {
        final double sampleRate;
        final double hz;
        final double stiffness;
        final double fall;
        final double fallPerKhz;
        final LoopLoss loss;
        final double[] edges;
        final Damping under;
        final Guitar guitar;
        final double pickAt;
        final double pickupAt;
        final boolean wound;

        Builder(StringModel model, int fret, Damping under, Guitar guitar, double sampleRate) {
            this.sampleRate = sampleRate;
            double shortened = Math.pow(2, fret / 12.0);
            this.hz = model.openHz() * shortened;
            this.stiffness = model.inharmonicity() * shortened * shortened;
            this.under = under;
            this.wound = model.wound();
            this.guitar = guitar;
            this.fall = model.fall() * Math.pow(shortened, 0.6) + under.fall;
            double perKhz = model.fallPerKhz() * (wound ? 1 : Math.pow(shortened, -0.4));
            this.fallPerKhz = perKhz + under.fallPerKhz;
            this.loss = LoopLoss.fitted(hz, fall, fallPerKhz, sampleRate);
            this.edges =
                    under == Damping.OPEN
                            ? new double[0]
                            : new double[] {
                                Math.min(MOST_EDGE, under.at(under.far, shortened)),
                                Math.min(MOST_EDGE, under.at(under.near, shortened))
                            };
            double pick = guitar.pickAt() * (under == Damping.OPEN ? 1 : PALM_PICK);
            this.pickAt = Math.min(0.5, pick * shortened);
            this.pickupAt = folded(guitar.pickup().position() * shortened);
        }

        /** A place past the middle lacks the same partials as its mirror image. */
        private static double folded(double place) {
            double p = Math.min(place, 0.97);
            return p > 0.5 ? 1 - p : p;
        }

        /** How fast the first partial falls, in dB a second. */
        double firstFalls() {
            return fall + fallPerKhz * hz / 1000;
        }

        /**
         * Bisects the all-pass coefficient so that a partial about 2 kHz lies where stiffness puts
         * it.
         */
        double fitStiffness() {
            int n = Math.max(3, (int) Math.round(STIFFNESS_FITTED_AT_HZ / hz));
            double stretch = Math.sqrt((1 + stiffness * n * n) / (1 + stiffness));
            double wn = angular(n * hz * stretch);
            double low = -0.9;
            double high = 0;
            for (int i = 0; i < 60; i++) {
                double c = (low + high) / 2;
                double d = delayFor(c);
                double phase = wn * d + loss.lag(wn) + ALLPASSES * allpassPhase(c, wn);
                if (d < TAPS || phase < 2 * Math.PI * n) {
                    low = c;
                } else {
                    high = c;
                }
            }
            return (low + high) / 2;
        }

        /** Delay in frames that brings the loop's phase at the fundamental to one period. */
        double delayFor(double c) {
            double w = angular(hz);
            return (2 * Math.PI - loss.lag(w) - ALLPASSES * allpassPhase(c, w)) / w;
        }

        private double angular(double f) {
            return 2 * Math.PI * f / sampleRate;
        }
    }
}
