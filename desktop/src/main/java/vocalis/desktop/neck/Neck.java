package vocalis.desktop.neck;

import javafx.scene.AccessibleRole;
import javafx.scene.control.Skin;
import vocalis.desktop.view.PaintedControl;
import vocalis.desktop.writing.WriteModel;

/** The whole neck with the grip of what is shown; clicking frets builds a shape by hand. */
public final class Neck extends PaintedControl {

    private final WriteModel model;

    public Neck(WriteModel model) {
        super("neck");
        this.model = model;
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setAccessibleText("Neck: the grip of the voicing shown");
    }

    public WriteModel model() {
        return model;
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new NeckSkin(this);
    }
}
