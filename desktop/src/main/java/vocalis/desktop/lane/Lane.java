package vocalis.desktop.lane;

import javafx.beans.property.DoubleProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Skin;
import vocalis.desktop.view.PaintedControl;
import vocalis.desktop.writing.LaneScreen;

/** Tab with its rhythm and the stroke pattern; the caret is a step in time. */
public final class Lane extends PaintedControl {

    private final DoubleProperty gap = new SimpleDoubleProperty(LaneGeometry.GAP);
    private final LaneScreen model;

    public Lane(LaneScreen model) {
        super("lane");
        this.model = model;
        gap.addListener(o -> requestLayout());
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.LIST_VIEW);
        setAccessibleText("Lane: tab and stroke pattern");
    }

    public LaneScreen model() {
        return model;
    }

    /** Moves the now-line. */
    public void showNow(boolean playing, double tick) {
        if (getSkin() instanceof LaneSkin skin) {
            skin.showNow(playing, tick);
        }
    }

    /** Where a note stands on the lane: x and y of a tick on a string, as last painted. */
    public double[] at(long tick, int string) {
        return ((LaneSkin) getSkin()).at(tick, string);
    }

    /** Shows what fingers and palm can do to the stroke under the caret. */
    public void embellish() {
        if (getSkin() instanceof LaneSkin skin) {
            skin.embellish();
        }
    }

    /** Whether what the other guitar plays is shown: it is where it plays something else. */
    public boolean besideShown() {
        return model.session().workspace().beside().isPresent();
    }

    /** Distance of the strings in pixels: more in a large window. */
    double gap() {
        return gap.get();
    }

    /** Sets the distance of the strings, within what can be read. */
    public void gap(double pixels) {
        double inside = Math.max(LaneGeometry.GAP, Math.min(LaneGeometry.MOST_GAP, pixels));
        gap.set(Math.round(inside));
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new LaneSkin(this);
    }
}
