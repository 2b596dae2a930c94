package vocalis.sound.band;

import vocalis.sound.dsp.Noise;

/**
 * How a bandmate keeps time and force: late by up to 5 ms and off in level by up to a tenth when
 * free in full, as the guitars are. Chosen by hand. One thread.
 */
final class Hands {

    /** Latest, in seconds: as late as the first guitar comes. */
    private static final double LATE = 0.005;

    private static final double LEVEL = 0.1;

    private final double sampleRate;
    private final Noise chance;
    private double human;

    Hands(double sampleRate, long seed) {
        this.sampleRate = sampleRate;
        chance = Noise.of(seed, 41);
    }

    void human(double share) {
        human = share;
    }

    /** Frames by which a stroke comes late. */
    int late() {
        return (int) (human * LATE * (0.5 + 0.5 * chance.next()) * sampleRate);
    }

    /** A velocity as it comes out, 0 to 1. */
    double level(double velocity) {
        return Math.min(1, velocity * (1 + LEVEL * human * chance.next()));
    }
}
