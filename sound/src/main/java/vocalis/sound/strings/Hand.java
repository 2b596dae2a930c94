package vocalis.sound.strings;

/**
 * A hand that lies on a string while it is struck: two edges, a {@link Junction} each, so that no
 * partial has a node at both. It takes what crosses them; the plane along the body lies still under
 * it. One thread; no allocation after construction.
 */
final class Hand {

    private final Junction far = new Junction();
    private final Junction near = new Junction();
    private boolean lies;

    /** Lies from now on where a patch has it, or nowhere. */
    void lie(StringPatch p) {
        lies = p.edges.length > 0;
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
