package vocalis.sound.engine;

/**
 * A gain that goes to its target in steps of at most so much a block, and in a straight line within
 * the block. No allocation.
 */
final class Ramp {

    private final double step;
    private double now;
    private double before;

    /**
     * @param value where it stands at first
     * @param step most that it changes in a block
     */
    Ramp(double value, double step) {
        this.now = value;
        this.before = value;
        this.step = step;
    }

    /** Begins a block on the way to a target. */
    void toward(double target) {
        toward(target, step);
    }

    /** Begins a block on the way to a target, at most so far. */
    void toward(double target, double most) {
        before = now;
        now += Math.max(-most, Math.min(most, target - now));
    }

    /** The value at a part of the block, 0 to 1. */
    double at(double part) {
        return before + (now - before) * part;
    }
}
