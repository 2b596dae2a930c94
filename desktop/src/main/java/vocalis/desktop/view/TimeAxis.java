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

    /** Bars on a page. */
    public static final int BARS = 4;

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

    /** The page of four bars on which a tick lies. */
    public static TimeAxis page(double width, long tick, long barTicks, long length) {
        long page = BARS * barTicks;
        long from = Math.min(tick, length - 1) / page * page;
        long to = Math.min(length, from + page);
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
