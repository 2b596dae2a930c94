package vocalis.desktop.practise;

import javafx.scene.AccessibleRole;
import javafx.scene.control.Skin;
import vocalis.desktop.view.PaintedControl;

/** What one looks at while practising: large tab, the next shape, the count, the ladder. */
public final class PracticePage extends PaintedControl {

    private final PracticeModel model;

    public PracticePage(PracticeModel model) {
        super("practice-page");
        this.model = model;
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.TEXT);
        setAccessibleText("Practise");
    }

    public PracticeModel model() {
        return model;
    }

    /** Follows the player; counts its passes. */
    public void showNow(boolean playing, double tick) {
        model.follow(playing, tick);
        if (getSkin() instanceof PracticeSkin skin) {
            skin.showNow(playing, tick);
        }
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new PracticeSkin(this);
    }
}
