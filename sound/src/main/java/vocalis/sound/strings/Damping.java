package vocalis.sound.strings;

/**
 * What lies on a string while it is struck, from nothing to a hand that leaves no pitch. Decay
 * times are set by ear: the time in which the fundamental, and partials about {@link
 * StringPatch#BRIGHT_HZ}, fall by 60 dB.
 */
public enum Damping {
    /** Nothing: the string's own decay. */
    OPEN(Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY, 0.07),
    /** The palm touches it at the bridge. */
    LIGHT(0.9, 0.22, 0.06),
    /** The usual palm mute. */
    HALF(0.24, 0.06, 0.05),
    /** The palm pressed on, away from the bridge. */
    HEAVY(0.17, 0.035, 0.05),
    /** Fingers lie across the string: a knock with hardly a pitch. */
    DEAD(0.045, 0.018, 0.11);

    final double seconds;
    final double brightSeconds;
    final double scrape;

    Damping(double seconds, double brightSeconds, double scrape) {
        this.seconds = seconds;
        this.brightSeconds = brightSeconds;
        this.scrape = scrape;
    }

    /** Whether the string answers to what the others do. */
    boolean rings() {
        return this == OPEN || this == LIGHT;
    }
}
