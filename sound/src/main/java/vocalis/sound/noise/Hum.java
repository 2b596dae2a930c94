package vocalis.sound.noise;

import vocalis.sound.dsp.Noise;

/**
 * What a cable brings to an amplifier beside the strings: the mains in the pickups and the hiss of
 * the first stage, some 50 dB under a note (common practice). It comes with the first stroke and
 * goes when the playing has stopped. One thread; no allocation.
 */
public final class Hum {

    private static final double HISS = 4e-4;

    /** The mains' second and third partial: what a rectifier leaves and a coil picks up. */
    private static final double SECOND_HZ = 100;

    private static final double SECOND = 2e-4;
    private static final double THIRD_HZ = 150;
    private static final double THIRD = 1.6e-4;
    private static final double COMES_SECONDS = 0.02;
    private static final double GOES_SECONDS = 0.25;
    private static final double SILENT = 1e-3;

    private final double sampleRate;
    private final double comes;
    private final double goes;
    private final Noise noise;
    private final Tone second;
    private final Tone third;
    private double share;

    public Hum(double sampleRate, long seed) {
        this.sampleRate = sampleRate;
        comes = 1 - Math.exp(-1 / (COMES_SECONDS * sampleRate));
        goes = Math.exp(-6.9 / (GOES_SECONDS * sampleRate));
        noise = Noise.of(seed, 0x50);
        second = new Tone(SECOND_HZ, SECOND);
        third = new Tone(THIRD_HZ, THIRD);
    }

    /** A sine that turns on by a rotation a frame. */
    private final class Tone {
        private final double cos;
        private final double sin;
        private double re;
        private double im;

        Tone(double hz, double level) {
            cos = Math.cos(2 * Math.PI * hz / sampleRate);
            sin = Math.sin(2 * Math.PI * hz / sampleRate);
            re = level;
        }

        double next() {
            double was = re;
            re = was * cos - im * sin;
            im = was * sin + im * cos;
            return im;
        }
    }

    /** Whether anything is left of it. */
    public boolean active() {
        return share > 0;
    }

    public void silence() {
        share = 0;
    }

    /**
     * Adds {@code n} frames.
     *
     * @param on whether the guitar is being played
     */
    public void add(double[] out, int n, boolean on) {
        for (int i = 0; i < n; i++) {
            share = on ? share + comes * (1 - share) : share * goes;
            out[i] += share * (second.next() + third.next() + HISS * noise.next());
        }
        if (!on && share < SILENT) {
            silence();
        }
    }
}
