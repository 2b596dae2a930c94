package vocalis.sound.amp;

/**
 * How hard the strings were struck last, as the power stage remembers it. A note that dies away was
 * not struck more softly, so it stays as it was; a stroke is taken for one where the top rises at
 * once, for a pick is bright and what rings is not. Figures set by what is measured beside recorded
 * guitars. One thread; no allocation.
 */
final class Touch {

    private static final double RISE_SECONDS = 0.002;
    private static final double FALL_SECONDS = 0.06;

    /**
     * As fast as a palm stops a string, slower than a low one swings; as slow as one that rings.
     */
    private static final double STOPS_SECONDS = 0.022;

    private static final double RINGS_SECONDS = 0.15;

    /** What a pick has and ringing strings have less of. */
    private static final double TOP_HZ = 3000;

    private static final double TOP_RISE_SECONDS = 0.0005;
    private static final double TOP_FALL_SECONDS = 0.025;

    /** A rise of the top so far over what it had fallen to is a stroke. */
    private static final double STROKE = 2;

    /** What is left of it after so long: a note that nobody touches any more. */
    private static final double FORGETS_SECONDS = 16;

    private final double rise;
    private final double fall;
    private final double stops;
    private final double rings;
    private final double top;
    private final double topRise;
    private final double topFall;
    private final double forgets;
    private double low;
    private double high;
    private double least;
    private double level;
    private double now;
    private double ringing;
    private double struck;

    Touch(double sampleRate) {
        rise = share(RISE_SECONDS, sampleRate);
        fall = share(FALL_SECONDS, sampleRate);
        stops = share(STOPS_SECONDS, sampleRate);
        rings = share(RINGS_SECONDS, sampleRate);
        top = 1 - Math.exp(-2 * Math.PI * TOP_HZ / sampleRate);
        topRise = share(TOP_RISE_SECONDS, sampleRate);
        topFall = share(TOP_FALL_SECONDS, sampleRate);
        forgets = 1 - share(FORGETS_SECONDS, sampleRate);
    }

    private static double share(double seconds, double sampleRate) {
        return 1 - Math.exp(-1 / (seconds * sampleRate));
    }

    /** Follows what the strings put in. */
    void follow(double[] x, int n) {
        double l = low;
        double h = high;
        double v = level;
        double a = now;
        double r = ringing;
        double s = struck;
        double deepest = least;
        for (int i = 0; i < n; i++) {
            double loud = Math.abs(x[i]);
            v += way(loud - v, rise, fall);
            a += way(loud - a, rise, stops);
            r += way(loud - r, rise, rings);
            l += top * (x[i] - l);
            h += way(Math.abs(x[i] - l) - h, topRise, topFall);
            deepest = Math.min(deepest, h);
            s *= forgets;
            if (h > STROKE * deepest) {
                deepest = h;
                s = v;
            } else if (v > s) {
                s = v;
            }
        }
        low = l;
        high = h;
        level = v;
        now = a;
        ringing = r;
        struck = s;
        least = deepest;
    }

    /**
     * A share of the way up or another of the way down, without asking which: for a sound that
     * cannot be foretold.
     */
    private static double way(double way, double up, double down) {
        return 0.5 * (up + down) * way + 0.5 * (up - down) * Math.abs(way);
    }

    /** The force of the last stroke, linear. */
    double struck() {
        return struck;
    }

    /** What is left of strings that were stopped, 0 to 1; near 1 of those that ring. */
    double left() {
        return ringing < 1e-9 ? 1 : now / ringing;
    }

    /** How loud the strings are at this moment, linear. */
    double level() {
        return level;
    }
}
