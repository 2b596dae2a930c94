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
        for (int i = 0; i < n; i++) {
            double loud = Math.abs(x[i]);
            level += (loud > level ? rise : fall) * (loud - level);
            now += (loud > now ? rise : stops) * (loud - now);
            ringing += (loud > ringing ? rise : rings) * (loud - ringing);
            low += top * (x[i] - low);
            double bright = Math.abs(x[i] - low);
            high += (bright > high ? topRise : topFall) * (bright - high);
            least = Math.min(least, high);
            struck *= forgets;
            if (high > STROKE * least) {
                least = high;
                struck = level;
            } else if (level > struck) {
                struck = level;
            }
        }
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
