package vocalis.sound.strings;

/**
 * A thumb that touches the string for a moment behind the pick, at a node of a partial: a {@link
 * Junction}. Of the nodes of a partial the line holds one towards the nut: each leaves the same
 * partials, and there stiffness, which lies at the bridge, moves the places of the others least.
 * The two places lie about the line's middle, as many periods of the partial apart as it has halves
 * between the node and the nut. One thread; no allocation after construction.
 */
final class Contact {

    /** How long a thumb stays, in periods and in seconds at least (from memory of players). */
    static final double PERIODS = 8;

    private static final double LEAST_SECONDS = 0.012;

    /** How much of half a partial's wave the pick strikes beside the thumb, towards the bridge. */
    static final double BESIDE = 0.35;

    /** A pinch is dug in harder than a usual stroke (common practice, no source). */
    static final double HARDER = 1.4;

    /** About where a node takes most of the partials under it, as a share of the length. */
    private static final double FROM_NUT = 1 / 3.0;

    private final double sampleRate;
    private final Junction thumb = new Junction();
    private int left;

    Contact(double sampleRate) {
        this.sampleRate = sampleRate;
    }

    /** Nothing touches the string. */
    void clear() {
        left = 0;
    }

    boolean touches() {
        return left > 0;
    }

    /**
     * Where the pick strikes when the thumb lies on the node of a partial that is nearest to it.
     *
     * @param partial 2 to 8
     * @return share of the sounding length from the bridge
     */
    static double pickedAt(StringPatch p, int partial) {
        return (double) node(partial, p.pickAt) / partial - BESIDE / partial;
    }

    /**
     * Lays a thumb on a node of a partial.
     *
     * @param partial 2 to 8
     */
    void touch(StringPatch p, int partial) {
        double apart = node(partial, FROM_NUT) * p.partialFrames[partial];
        thumb.lie(p.delayFrames, apart);
        left = (int) Math.max(LEAST_SECONDS * sampleRate, PERIODS * p.periodFrames);
    }

    /** Which node of a partial, of those that no lower one has, is nearest to a place. */
    private static int node(int partial, double place) {
        int best = 1;
        for (int m = 2; 2 * m < partial; m++) {
            boolean nearer = Math.abs(m - place * partial) < Math.abs(best - place * partial);
            best = nearer && coprime(m, partial) ? m : best;
        }
        return best;
    }

    private static boolean coprime(int a, int b) {
        for (int d = 2; d <= a; d++) {
            if (a % d == 0 && b % d == 0) {
                return false;
            }
        }
        return true;
    }

    /** One frame passes. */
    void pass() {
        left--;
    }

    /** Takes its share from a plane whose newest frame is {@code write}. */
    void scatter(Plane plane, int write) {
        thumb.scatter(plane, write);
    }
}
