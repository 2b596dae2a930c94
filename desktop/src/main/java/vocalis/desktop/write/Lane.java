package vocalis.desktop.write;

import javafx.scene.AccessibleRole;
import javafx.scene.control.Skin;
import vocalis.desktop.view.PaintedControl;

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

    WriteModel model() {
        return model;
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new LaneSkin(this);
    }
}
