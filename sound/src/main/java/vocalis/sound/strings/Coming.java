package vocalis.sound.strings;

import vocalis.sound.dsp.Noise;

/**
 * A stroke that is on its way: the pick has not let the string go. What is done to the string in
 * the meantime waits here. One thread; no allocation after construction.
 */
final class Coming {

    /** No two strokes alike: spread of force and of place. */
    private static final double FORCE_SPREAD = 0.06;

    private static final double PLACE_SPREAD = 0.05;

    /** A stroke from below is lighter, nearer the bridge and brighter. */
    private static final double UP_FORCE = 0.92;

    private static final double UP_PLACE = 0.88;
    private static final double UP_BRIGHT = 1.5;

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

    /** The force with which the pick lets go, no two alike. */
    double force(Noise chance) {
        double spread = 1 + FORCE_SPREAD * chance.next();
        return StringVoice.force(velocity) * spread * (up ? UP_FORCE : 1);
    }

    /** Where it strikes, as a share of the length. */
    double place(StringPatch struck, Noise chance) {
        return struck.pickAt * (up ? UP_PLACE : 1) * (1 + PLACE_SPREAD * chance.next());
    }

    /** How bright a stroke of a force is. */
    double bright(double force) {
        return up ? UP_BRIGHT * force : force;
    }

    /** Begins the bend and the shake that waited. */
    void begin(Gliding gliding, StringPatch struck) {
        if (cents != 0) {
            gliding.stay(struck, cents);
        }
        if (bendFrames == 1) {
            gliding.stand(bend);
        }
        if (bendFrames > 0) {
            gliding.bend(struck, bend, bendFrames);
        }
        if (shake != 0) {
            gliding.shake(struck, shake, shakeHz);
        }
    }
}
