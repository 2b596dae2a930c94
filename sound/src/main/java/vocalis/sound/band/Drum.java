package vocalis.sound.band;

import vocalis.sound.dsp.Noise;

/**
 * A struck head: the modes of an ideal round membrane over its lowest (ratios by the zeros of the
 * Bessel functions, as in N. Fletcher and T. Rossing, "The Physics of Musical Instruments", 1998;
 * S. Bilbao, "Time domain simulation and sound synthesis for the snare drum", JASA 131, 2012, from
 * memory for wires and head together). Higher modes are weaker and die sooner; no two strokes meet
 * the same place, so each mode comes a little stronger or weaker and the head a little tighter or
 * slacker. One thread; no allocation after construction.
 */
final class Drum {

    /** Modes over the lowest, which the kit sounds itself with its falling pitch. */
    private static final double[] RATIOS = {1.593, 2.136, 2.295, 2.653, 2.917, 3.156, 3.500, 4.059};

    /** How much a mode's level varies from stroke to stroke, and the head's pitch. */
    private static final double PLACE = 0.35;

    private static final double TUNED = 0.006;
    private static final double SILENT = 1e-5;

    private final double sampleRate;
    private final double hz;
    private final double seconds;
    private final double[] re = new double[RATIOS.length];
    private final double[] im = new double[RATIOS.length];
    private final double[] cos = new double[RATIOS.length];
    private final double[] sin = new double[RATIOS.length];
    private double level;
    private final double fall;

    /**
     * @param hz of the lowest mode
     * @param seconds until the second mode has fallen by 60 dB; higher ones sooner
     */
    Drum(double sampleRate, double hz, double seconds) {
        this.sampleRate = sampleRate;
        this.hz = hz;
        this.seconds = seconds;
        fall = Math.exp(-6.9 / (seconds * sampleRate));
    }

    void strike(double velocity, Noise chance) {
        double tuned = hz * (1 + TUNED * chance.next());
        for (int k = 0; k < RATIOS.length; k++) {
            double w = 2 * Math.PI * tuned * RATIOS[k] / sampleRate;
            double r = Math.exp(-6.9 * RATIOS[k] / (RATIOS[0] * seconds * sampleRate));
            cos[k] = r * Math.cos(w);
            sin[k] = r * Math.sin(w);
            re[k] = velocity * (1 + PLACE * chance.next()) / (1 + k);
            im[k] = 0;
        }
        level = velocity;
    }

    void silence() {
        level = 0;
    }

    /** One frame of all modes over the lowest. */
    double next() {
        if (level < SILENT) {
            return 0;
        }
        level *= fall;
        double y = 0;
        for (int k = 0; k < RATIOS.length; k++) {
            double was = re[k];
            re[k] = was * cos[k] - im[k] * sin[k];
            im[k] = was * sin[k] + im[k] * cos[k];
            y += im[k];
        }
        return y;
    }
}
