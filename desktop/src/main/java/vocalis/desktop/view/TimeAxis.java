package vocalis.desktop.view;

/**
 * Where time lies on the screen, shared by the voice band and the lane so that they line up.
 *
 * @param left x of the first tick shown
 * @param right x just past the last tick shown
 * @param from first tick shown
 * @param to tick just past the last one shown, above {@code from}
 */
public record TimeAxis(double left, double right, long from, long to) {

    /** Space before the first bar, for pitch and string names. */
    public static final double LEFT = 52;

    /** Space after the last bar, for the way back to the first. */
    public static final double RIGHT = 64;

    public TimeAxis {
        if (to <= from) {
            throw new IllegalArgumentException(
                    "an axis shows some time, not " + from + " to " + to);
        }
    }

    /** A stretch of time over a width. */
    public static TimeAxis of(double width, long from, long to) {
        return new TimeAxis(LEFT, Math.max(LEFT + 10, width - RIGHT), from, to);
    }

    /** x of a tick. */
    public double x(double tick) {
        return left + (tick - from) * (right - left) / (to - from);
    }

    /** Tick at an x, not clamped. */
    public double tick(double x) {
        return from + (x - left) * (to - from) / (right - left);
    }

    /** Width of a time. */
    public double width(long ticks) {
        return ticks * (right - left) / (to - from);
    }

    /** Whether a tick is shown. */
    public boolean shows(double tick) {
        return tick >= from && tick < to;
    }
}
