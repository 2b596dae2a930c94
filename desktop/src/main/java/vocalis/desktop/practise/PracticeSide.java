package vocalis.desktop.practise;

import javafx.scene.control.Skin;
import vocalis.desktop.view.PaintedControl;

/** What stands beside the tab while one practises: tempo, ladder, shapes, the log's curve. */
public final class PracticeSide extends PaintedControl {

    private final PracticeModel model;

    public PracticeSide(PracticeModel model) {
        super("practice-side");
        this.model = model;
        setMinWidth(PracticeSideSkin.WIDTH);
        setPrefWidth(PracticeSideSkin.WIDTH);
    }

    public PracticeModel model() {
        return model;
    }

    /** Follows the player from chord to chord. */
    public void showNow(boolean playing, double tick) {
        if (getSkin() instanceof PracticeSideSkin skin) {
            skin.showNow(playing, tick);
        }
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new PracticeSideSkin(this);
    }
}
