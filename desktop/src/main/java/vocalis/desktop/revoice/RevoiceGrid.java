package vocalis.desktop.revoice;

import javafx.scene.AccessibleRole;
import javafx.scene.control.Skin;
import vocalis.desktop.session.Editing;
import vocalis.desktop.view.PaintedControl;

/** The riff in every treatment: a row for each, a column for each root. */
public final class RevoiceGrid extends PaintedControl {

    private final Editing session;
    private final RevoiceModel model;

    public RevoiceGrid(Editing session, RevoiceModel model) {
        super("revoice");
        this.session = session;
        this.model = model;
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.TABLE_VIEW);
        setAccessibleText("Revoice: every treatment of the riff");
    }

    public Editing session() {
        return session;
    }

    public RevoiceModel model() {
        return model;
    }

    /** Lights the column that plays. */
    public void showNow(boolean playing, double tick) {
        if (getSkin() instanceof RevoiceGridSkin skin) {
            skin.showNow(playing, tick);
        }
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new RevoiceGridSkin(this);
    }
}
