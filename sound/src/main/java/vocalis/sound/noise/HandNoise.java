package vocalis.sound.noise;

import vocalis.sound.dsp.Noise;

/**
 * What hands do to strings beside notes, as the pickups hear it: the thump of a palm on the bridge,
 * the dry knock of strings under flat fingers, fingers that leave or land, the squeak of a finger
 * along a wound string. Short bands of noise, shared by all strings of a guitar; levels chosen by
 * hand. One thread; no allocation.
 */
public final class HandNoise {

    private static final double RUB_SECONDS = 0.018;
    private static final double SILENT = 1e-6;

    private final double sampleRate;
    private final Burst thump;
    private final Burst knock;
    private final Burst rub;
    private double squeak;
    private double squeakFall;
    private double squeakPhase;
    private double squeakHz;
    private double squeakGlide = 1;
    private final Noise noise;

    public HandNoise(double sampleRate, long seed) {
        this.sampleRate = sampleRate;
        noise = Noise.of(seed, 0x7654321L);
        thump = new Burst(sampleRate, 60, 240, 0.11);
        knock = new Burst(sampleRate, 500, 2200, 0.022);
        rub = new Burst(sampleRate, 500, 2500, RUB_SECONDS);
        squeakFall = Math.exp(-6.9 / (0.09 * sampleRate));
    }

    /** The strings are struck under the palm: the bridge and the body answer. */
    public void thump(double level) {
        thump.begin(level);
    }

    /** Strings are struck that fingers lie across. */
    public void knock(double level) {
        knock.begin(level);
    }

    /** The palm comes back to the bridge over strings that ring. */
    public void palmLands(double level) {
        thump(0.5 * level);
        rub.tone(300, 1500);
        rub.begin(level);
    }

    /** Fingers leave or reach strings. */
    public void fingers(double level) {
        rub.tone(700, 3200);
        rub.begin(level);
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
        return thump.active() || knock.active() || rub.active() || squeak > SILENT;
    }

    public void silence() {
        thump.silence();
        knock.silence();
        rub.silence();
        squeak = 0;
    }

    /** Adds {@code n} frames. */
    public void add(double[] out, int n) {
        for (int i = 0; i < n; i++) {
            double w = noise.next();
            double s = 0;
            if (squeak > SILENT) {
                squeakPhase += squeakHz / sampleRate;
                squeakHz *= squeakGlide;
                squeak *= squeakFall;
                s = squeak * (Math.sin(2 * Math.PI * squeakPhase) * (0.6 + 0.4 * w) + 0.5 * w);
            }
            out[i] += thump.next(w) + knock.next(w) + rub.next(w) + s;
        }
        if (!active()) {
            silence();
        }
    }
}
