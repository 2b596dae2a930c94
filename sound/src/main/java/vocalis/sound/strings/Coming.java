package vocalis.sound.strings;

/**
 * A stroke that is on its way: the pick has not let the string go. What is done to the string in
 * the meantime waits here. One thread; no allocation after construction.
 */
final class Coming {

    /** Where the string is stopped; null while no stroke is on its way. */
    StringPatch patch;

    double velocity;
    double cents;
    boolean up;
    int delay;

    /** A bend in cents over some frames, 0 frames for none; one frame: it stands there. */
    double bend;

    int bendFrames;

    /** A vibrato in cents, 0 for none, so many times a second. */
    double shake;

    double shakeHz;

    /** Partial that a thumb leaves, 0 for none. */
    int pinch;

    void set(StringPatch stopped, double velocity, double cents, int delayFrames, boolean up) {
        patch = stopped;
        this.velocity = velocity;
        this.cents = cents;
        this.up = up;
        delay = delayFrames;
        bendFrames = 0;
        shake = 0;
        pinch = 0;
    }

    boolean waits() {
        return patch != null;
    }

    void clear() {
        patch = null;
    }

    void bend(double to, int frames) {
        bend = to;
        bendFrames = Math.max(1, frames);
    }

    void shake(double to, double hz) {
        shake = to;
        shakeHz = hz;
    }
}
