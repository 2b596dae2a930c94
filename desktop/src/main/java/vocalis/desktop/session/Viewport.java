package vocalis.desktop.session;

import javafx.beans.property.BooleanProperty;
import javafx.beans.property.IntegerProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleBooleanProperty;
import javafx.beans.property.SimpleIntegerProperty;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.riff.Riff;
import vocalis.desktop.view.TimeAxis;

/**
 * Which stretch of the riff is on the screen: a page of bars that the caret and, while the loop
 * runs, the now-line turn.
 */
public final class Viewport {

    private static final int[] ZOOMS = {1, 2, 4, 8, 16, 32};

    /**
     * A stretch shown.
     *
     * @param from first tick
     * @param to tick past the last
     */
    public record Range(long from, long to) {
        public Range {
            if (to <= from) {
                throw new IllegalArgumentException(
                        "a stretch shows some time, not " + from + " to " + to);
            }
        }

        public boolean shows(double tick) {
            return tick >= from && tick < to;
        }
    }

    private final IntegerProperty bars = new SimpleIntegerProperty(4);
    private final BooleanProperty follow = new SimpleBooleanProperty(true);
    private final ReadOnlyObjectWrapper<Range> shown = new ReadOnlyObjectWrapper<>();
    private Riff riff;
    private long around;

    public Viewport(Riff riff) {
        this.riff = riff;
        bars.addListener(o -> turn());
        turn();
    }

    /** Bars on a page. */
    public IntegerProperty barsProperty() {
        return bars;
    }

    /** Whether the page turns with the now-line. */
    public BooleanProperty followProperty() {
        return follow;
    }

    public ReadOnlyObjectProperty<Range> shownProperty() {
        return shown.getReadOnlyProperty();
    }

    /** Another state of the riff. */
    public void riff(Riff next) {
        riff = next;
        turn();
    }

    /** Turns to the page on which a tick lies, unless it is on the screen. */
    public void show(long tick) {
        around = tick;
        turn();
    }

    /** Turns pages. */
    public void page(int by) {
        Range s = shown.get();
        show(by > 0 ? Math.min(s.to(), riff.length() - 1) : Math.max(0, s.from() - 1));
    }

    /** More (fewer) bars on a page. */
    public void zoom(int by) {
        int i = 0;
        while (i + 1 < ZOOMS.length && ZOOMS[i] < bars.get()) {
            i++;
        }
        bars.set(ZOOMS[Math.max(0, Math.min(ZOOMS.length - 1, i + by))]);
    }

    private void turn() {
        MeterMap meters = riff.meters();
        long tick = Math.max(0, Math.min(around, riff.length() - 1));
        int page = Math.max(0, meters.bar(tick)) / bars.get();
        long from = page == 0 ? 0 : meters.start(page * bars.get());
        long to = Math.min(riff.length(), meters.start((page + 1) * bars.get()));
        Range next = new Range(from, Math.max(from + 1, to));
        if (!next.equals(shown.get())) {
            shown.set(next);
        }
    }

    /** The axis of a width. */
    public TimeAxis axis(double width) {
        return TimeAxis.of(width, shown.get().from(), shown.get().to());
    }
}
