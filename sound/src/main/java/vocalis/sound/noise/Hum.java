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

    private final double comes;
    private final double goes;
    private final Noise noise;
    private final double[] turn2;
    private final double[] turn3;

    /** Both sines, each turned on by a rotation a frame. */
    private double re2 = SECOND;

    private double im2;
    private double re3 = THIRD;
    private double im3;
    private double share;

    public Hum(double sampleRate, long seed) {
        comes = 1 - Math.exp(-1 / (COMES_SECONDS * sampleRate));
        goes = Math.exp(-6.9 / (GOES_SECONDS * sampleRate));
        noise = Noise.of(seed, 0x50);
        turn2 = turn(SECOND_HZ, sampleRate);
        turn3 = turn(THIRD_HZ, sampleRate);
    }

    private static double[] turn(double hz, double sampleRate) {
        double w = 2 * Math.PI * hz / sampleRate;
        return new double[] {Math.cos(w), Math.sin(w)};
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
        double c2 = turn2[0];
        double s2 = turn2[1];
        double c3 = turn3[0];
        double s3 = turn3[1];
        double x2 = re2;
        double y2 = im2;
        double x3 = re3;
        double y3 = im3;
        double keeps = on ? 1 - comes : goes;
        double gets = on ? comes : 0;
        double left = share;
        for (int i = 0; i < n; i++) {
            left = left * keeps + gets;
            double was = x2;
            x2 = was * c2 - y2 * s2;
            y2 = was * s2 + y2 * c2;
            was = x3;
            x3 = was * c3 - y3 * s3;
            y3 = was * s3 + y3 * c3;
            out[i] += left * (y2 + y3 + HISS * noise.next());
        }
        re2 = x2;
        im2 = y2;
        re3 = x3;
        im3 = y3;
        share = left;
        if (!on && share < SILENT) {
            silence();
        }
    }
}
