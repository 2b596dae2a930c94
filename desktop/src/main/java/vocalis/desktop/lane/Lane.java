package vocalis.desktop.lane;

import javafx.scene.AccessibleRole;
import javafx.scene.control.Skin;
import vocalis.desktop.view.PaintedControl;
import vocalis.desktop.writing.WriteModel;

/** Tab with its rhythm and the stroke pattern; the caret is a step in time. */
public final class Lane extends PaintedControl {

    private final WriteModel model;

    public Lane(WriteModel model) {
        super("lane");
        this.model = model;
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.LIST_VIEW);
        setAccessibleText("Lane: tab and stroke pattern");
    }

    public WriteModel model() {
        return model;
    }

    /** Moves the now-line. */
    public void showNow(boolean playing, double tick) {
        if (getSkin() instanceof LaneSkin skin) {
            skin.showNow(playing, tick);
        }
    }

    /** Shows what fingers and palm can do to the stroke under the caret. */
    public void embellish() {
        if (getSkin() instanceof LaneSkin skin) {
            skin.embellish();
        }
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new LaneSkin(this);
    }
}
