package vocalis.sound.strings;

/**
 * A finger laid on a string: what comes back along it is multiplied by d, which falls from 1 to the
 * finger's own gain in {@link #SECONDS}, so that it makes no step. One thread; no allocation.
 */
final class Damper {

    private static final double SECONDS = 0.004;

    private final double step;
    private double gain = 1;
    private double target = 1;

    Damper(double sampleRate) {
        step = 1 / (SECONDS * sampleRate);
    }

    /** Lies on the string from now on; {@code to} is multiplied once a round, 0 to 1. */
    void damp(double to) {
        target = to;
    }

    boolean damps() {
        return target != 1;
    }

    /** Whether it changes nothing. */
    boolean rests() {
        return gain == 1 && target == 1;
    }

    void clear() {
        gain = 1;
        target = 1;
    }

    /** The gain of this frame. */
    double next() {
        if (gain > target) {
            gain = Math.max(target, gain - step);
        }
        return gain;
    }
}
