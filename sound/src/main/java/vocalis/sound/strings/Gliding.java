package vocalis.sound.strings;

/**
 * How a string's pitch moves: a way from one stopping place to another, a bend, vibrato.
 *
 * <p>The loop's delay is reckoned from the wanted frequency every {@link #CONTROL} frames and runs
 * between these points in a straight line, so that a pitch once reached is as exact as a fretted
 * one. Cents above the fret: {@code glide + bend + depth·(1 − cos φ)/2}; the hand shakes upward
 * alone. One thread; no allocation.
 */
final class Gliding {

    /** Frames between two points. */
    static final int CONTROL = 16;

    /** How fast a hand shakes when nothing else is asked; chosen by hand. */
    static final double USUAL_HZ = 5.3;

    /** Cents by which vibrato grows or dies between two points at most, and its share a point. */
    private static final double DEPTH_STEP = 0.4;

    private static final double DEPTH_SHARE = 0.02;

    /** Shallower than that, in cents, it has ended. */
    private static final double NO_DEPTH = 0.3;

    private final double sampleRate;
    private double glide;
    private double glideStep;
    private int glideLeft;
    private double bend;
    private double bendTarget;
    private double bendStep;
    private double depth;
    private double depthTarget;
    private double phase;
    private double hz = USUAL_HZ;
    private boolean moves;
    private int controlLeft;
    private double delay;
    private double delayStep;

    Gliding(double sampleRate) {
        this.sampleRate = sampleRate;
    }

    /** Whether the pitch moves, or stands elsewhere than at its fret. */
    boolean moves() {
        return moves;
    }

    void clear() {
        glide = 0;
        glideLeft = 0;
        bend = 0;
        bendTarget = 0;
        depth = 0;
        depthTarget = 0;
        moves = false;
    }

    /** Goes from one stopping place to another in some frames. */
    void glide(StringPatch from, StringPatch to, int frames) {
        glide += 1200 * Math.log(from.hz / to.hz) / Math.log(2);
        glideLeft = Math.max(1, frames);
        glideStep = -glide / glideLeft;
        move(to);
    }

    /** Stands at a number of cents above its fret at once. */
    void stand(double cents) {
        bend = cents;
    }

    /** The same, and stays there. */
    void stay(StringPatch patch, double cents) {
        bend = cents;
        bendTarget = cents;
        move(patch);
    }

    /** Is drawn to a number of cents above its fret over some frames. */
    void bend(StringPatch patch, double cents, int frames) {
        bendTarget = cents;
        bendStep = (cents - bend) / Math.max(1, frames);
        move(patch);
    }

    /** Is shaken up to some cents, so many times a second; 0 cents end it. */
    void shake(StringPatch patch, double cents, double timesASecond) {
        hz = timesASecond;
        depthTarget = cents;
        if (depth == 0) {
            phase = 0;
        }
        move(patch);
    }

    /** Begins to reckon the delay anew, from where it is. */
    private void move(StringPatch patch) {
        if (patch == null) {
            return;
        }
        if (!moves) {
            delay = patch.loopDelay(patch.hz * Math.pow(2, (glide + bend) / 1200));
            moves = true;
            delayStep = 0;
        }
        controlLeft = 0;
    }

    /**
     * One frame.
     *
     * @param rubbed told when the way to another place is over
     * @return the loop's delay in frames
     */
    double next(StringPatch patch, Excitation rubbed) {
        if (controlLeft == 0) {
            control(patch, rubbed);
        }
        controlLeft--;
        delay += delayStep;
        return delay;
    }

    /** The delay in this frame. */
    double delay() {
        return delay;
    }

    /** Sets the delay's way to the next control point, or comes to rest. */
    private void control(StringPatch patch, Excitation rubbed) {
        int step = Math.min(CONTROL, Math.max(1, glideLeft == 0 ? CONTROL : glideLeft));
        if (glideLeft > 0) {
            glide += step * glideStep;
            glideLeft -= step;
            if (glideLeft == 0) {
                glide = 0;
                rubbed.rubNoMore();
            }
        }
        if (bend != bendTarget) {
            double next = bend + step * bendStep;
            bend = (bendTarget - next) * bendStep <= 0 ? bendTarget : next;
        }
        depth += Math.max(-DEPTH_STEP, Math.min(DEPTH_STEP, (depthTarget - depth) * DEPTH_SHARE));
        if (depthTarget == 0 && depth < NO_DEPTH) {
            depth = 0;
        }
        phase += 2 * Math.PI * hz * step / sampleRate;
        double cents = glide + bend + depth * 0.5 * (1 - Math.cos(phase));
        double wanted = patch.loopDelay(patch.hz * Math.pow(2, cents / 1200));
        delayStep = (Math.max(StringPatch.TAPS, wanted) - delay) / step;
        controlLeft = step;
        boolean rests = glideLeft == 0 && glide == 0 && bend == 0 && bendTarget == 0;
        if (rests && depth == 0 && depthTarget == 0 && Math.abs(delayStep) < 1e-9) {
            moves = false;
        }
    }
}
