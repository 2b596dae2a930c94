package vocalis.desktop.cards;

import javafx.scene.AccessibleRole;
import javafx.scene.control.Skin;
import vocalis.desktop.view.PaintedControl;
import vocalis.desktop.writing.WriteModel;

/** The cards of the chosen family, each a shape class with its places on the neck. */
public final class CardRow extends PaintedControl {

    private final WriteModel model;

    public CardRow(WriteModel model) {
        super("card-row");
        this.model = model;
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.LIST_VIEW);
        setAccessibleText("Voicing cards");
    }

    public WriteModel model() {
        return model;
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new CardRowSkin(this);
    }
}
