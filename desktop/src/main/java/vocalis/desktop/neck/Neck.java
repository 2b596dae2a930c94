package vocalis.desktop.neck;

import java.util.Optional;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Skin;
import vocalis.desktop.model.WriteModel;
import vocalis.desktop.view.Area;
import vocalis.desktop.view.Explained;
import vocalis.desktop.view.PaintedControl;

/** The whole neck with the grip of what is shown; clicking frets builds a shape by hand. */
public final class Neck extends PaintedControl implements Explained {

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
    public Optional<String> explain(double x, double y) {
        return getSkin() instanceof NeckSkin skin
                ? skin.areaAt(x, y).map(Area::meaning)
                : Optional.empty();
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new NeckSkin(this);
    }
}
