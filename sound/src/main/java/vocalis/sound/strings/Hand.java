package vocalis.sound.strings;

/**
 * A hand that lies on a string while it is struck: two edges, a {@link Junction} each, so that no
 * partial has a node at both. It takes what crosses them; the plane along the body lies still under
 * it.
 *
 * <p>Where nothing saturates a palm also gives way: what the pickup hears of a stroke comes in over
 * some times {@link #GIVES_SECONDS}, and then louder, for its first wave is nearly all there is.
 * The muted clean guitar of a general MIDI sound font (FluidR3 GM, program 28) has a crest of 8 to
 * 11 dB over 50 ms, 2 to 7 dB under its open strokes; without this ours had 16 to 20 dB, with it 8
 * to 16. Numbers chosen by hand beside it, and so that a stroke still begins where it is struck. A
 * driven amplifier does the same by itself. An envelope on what is heard, not a model of flesh. One
 * thread; no allocation after construction.
 */
final class Hand {

    /** Time constant with which a palm gives way. */
    private static final double GIVES_SECONDS = 0.035;

    /** Share of a stroke that is heard at once. */
    private static final double AT_ONCE = 0.2;

    private static final double SAME = 1e-4;

    private final Junction far = new Junction();
    private final Junction near = new Junction();
    private final double pole;
    private boolean lies;
    private boolean gives;
    private double fully = 1;
    private double heard = 1;

    Hand(double sampleRate) {
        pole = 1 - Math.exp(-1 / (GIVES_SECONDS * sampleRate));
    }

    /** Whether a palm gives way from now on; without it what the string does is heard. */
    void gives(boolean asked) {
        gives = asked;
    }

    /** The string is struck anew: the palm lies firm. */
    void firm() {
        heard = gives && fully != 1 ? fully * AT_ONCE : 1;
    }

    /** The string lies still. */
    void clear() {
        heard = 1;
    }

    /** Whether what is heard of the string is still other than what it does. */
    boolean changes() {
        return heard != 1;
    }

    /** How much of the string is heard in the next frame. */
    double heard() {
        double to = gives ? fully : 1;
        double now = heard;
        heard += pole * (to - heard);
        if (to == 1 && Math.abs(heard - 1) < SAME) {
            heard = 1;
        }
        return now;
    }

    /** Lies from now on where a patch has it, or nowhere. */
    void lie(StringPatch p) {
        lies = p.edges.length > 0;
        fully = p.under.heard;
        if (lies) {
            far.lieAt(p.delayFrames, p.periodFrames, p.edges[0], p.under.share);
            near.lieAt(p.delayFrames, p.periodFrames, p.edges[1], p.under.share);
        }
    }

    boolean lies() {
        return lies;
    }

    /** Takes its share of a frame. */
    void scatter(Plane plane, int write) {
        if (lies) {
            far.scatter(plane, write);
            near.scatter(plane, write);
        }
    }
}
