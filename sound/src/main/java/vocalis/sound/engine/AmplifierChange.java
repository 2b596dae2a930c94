package vocalis.sound.engine;

import vocalis.sound.amp.Amplifier;

/**
 * A guitar's amplifier, and a change of it: both run while the one is faded into the other. Runs on
 * the audio thread: nothing is allocated.
 */
final class AmplifierChange {
    private final double sampleRate;
    private final double seconds;
    private final double[] other;
    private Amplifier amp;
    private Amplifier incoming;
    private double fade;

    /**
     * @param block the most frames at once
     * @param seconds how long a change takes
     */
    AmplifierChange(Amplifier amp, double sampleRate, int block, double seconds) {
        this.amp = amp;
        this.sampleRate = sampleRate;
        this.seconds = seconds;
        other = new double[block];
    }

    Amplifier now() {
        return amp;
    }

    /** Begins to fade into another, unless a change is under way. */
    void to(Amplifier wanted) {
        if (incoming == null && amp != wanted) {
            incoming = wanted;
            fade = 0;
        }
    }

    boolean underWay() {
        return incoming != null;
    }

    /** Amplifies in place. */
    void process(double[] samples, int frames) {
        if (incoming == null) {
            amp.process(samples, 0, frames);
            return;
        }
        System.arraycopy(samples, 0, other, 0, frames);
        incoming.process(other, 0, frames);
        amp.process(samples, 0, frames);
        double step = 1 / (seconds * sampleRate);
        for (int i = 0; i < frames; i++) {
            fade = Math.min(1, fade + step);
            samples[i] = samples[i] * (1 - fade) + other[i] * fade;
        }
        if (fade >= 1) {
            amp = incoming;
            incoming = null;
        }
    }
}
