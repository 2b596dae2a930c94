package vocalis.sound.strings;

import vocalis.sound.dsp.Noise;

/**
 * What hands do to strings beside notes, as the pickups hear it: the knock of a palm on the bridge,
 * the thump of a chord struck under it, fingers that leave or land, the squeak of a finger along a
 * wound string. One damped sine and one band of noise, shared by all strings of a guitar; levels
 * set by ear. One thread; no allocation.
 */
public final class HandNoise {

    private static final double THUMP_HZ = 96;
    private static final double THUMP_SECONDS = 0.16;
    private static final double RUB_SECONDS = 0.018;
    private static final double SILENT = 1e-6;

    private final double sampleRate;
    private final double turnRe;
    private final double turnIm;
    private double re;
    private double im;
    private double rub;
    private double rubFall;
    private double low;
    private double high;
    private double lowPole;
    private double highPole;
    private double squeak;
    private double squeakFall;
    private double squeakPhase;
    private double squeakHz;
    private double squeakGlide = 1;
    private final Noise noise;

    public HandNoise(double sampleRate, long seed) {
        this.sampleRate = sampleRate;
        noise = Noise.of(seed, 0x7654321L);
        double w = 2 * Math.PI * THUMP_HZ / sampleRate;
        double fall = Math.exp(-6.9 / (THUMP_SECONDS * sampleRate));
        turnRe = fall * Math.cos(w);
        turnIm = fall * Math.sin(w);
        squeakFall = Math.exp(-6.9 / (0.09 * sampleRate));
        tone(500, 2500, RUB_SECONDS);
    }

    private void tone(double lowHz, double highHz, double seconds) {
        lowPole = 1 - Math.exp(-2 * Math.PI * lowHz / sampleRate);
        highPole = 1 - Math.exp(-2 * Math.PI * highHz / sampleRate);
        rubFall = Math.exp(-6.9 / (seconds * sampleRate));
    }

    /** The strings are struck under the palm: the bridge and the body answer. */
    public void thump(double level) {
        im += level;
    }

    /** The palm comes back to the bridge over strings that ring. */
    public void palmLands(double level) {
        thump(0.5 * level);
        tone(300, 1500, RUB_SECONDS);
        rub = Math.max(rub, level);
    }

    /** Fingers leave or reach strings. */
    public void fingers(double level) {
        tone(700, 3200, RUB_SECONDS);
        rub = Math.max(rub, level);
    }

    /**
     * A finger slides along a wound string: the windings pass under it.
     *
     * @param frets how far
     */
    public void squeak(double level, int frets) {
        squeak = Math.max(squeak, level);
        squeakHz = 1500 + 350 * (1 + noise.next());
        squeakGlide = Math.pow(1.6, Math.signum(frets) / (0.06 * sampleRate));
        squeakPhase = 0;
    }

    /** Whether anything sounds. */
    public boolean active() {
        return rub > SILENT || squeak > SILENT || Math.abs(re) + Math.abs(im) > SILENT;
    }

    public void silence() {
        re = 0;
        im = 0;
        rub = 0;
        squeak = 0;
        low = 0;
        high = 0;
    }

    /** Adds {@code n} frames. */
    public void add(double[] out, int n) {
        for (int i = 0; i < n; i++) {
            double next = re * turnRe - im * turnIm;
            im = re * turnIm + im * turnRe;
            re = next;
            double w = noise.next();
            high += highPole * (rub * w - high);
            low += lowPole * (high - low);
            rub *= rubFall;
            double s = 0;
            if (squeak > SILENT) {
                squeakPhase += squeakHz / sampleRate;
                squeakHz *= squeakGlide;
                squeak *= squeakFall;
                s = squeak * (Math.sin(2 * Math.PI * squeakPhase) * (0.6 + 0.4 * w) + 0.5 * w);
            }
            out[i] += re + high - low + s;
        }
        if (!active()) {
            silence();
        }
    }
}
