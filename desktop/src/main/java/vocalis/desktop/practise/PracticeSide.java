package vocalis.desktop.practise;

import java.util.Optional;
import javafx.scene.control.Skin;
import vocalis.desktop.model.WriteModel;
import vocalis.desktop.view.Area;
import vocalis.desktop.view.Explained;
import vocalis.desktop.view.PaintedControl;

/** What stands beside the tab while one practises: tempo, ladder, shapes, the log's curve. */
public final class PracticeSide extends PaintedControl implements Explained {

    private final WriteModel model;

    public PracticeSide(WriteModel model) {
        super("practice-side");
        this.model = model;
        setMinWidth(PracticeSideSkin.WIDTH);
        setPrefWidth(PracticeSideSkin.WIDTH);
    }

    public WriteModel model() {
        return model;
    }

    /** Follows the player from chord to chord. */
    public void showNow(boolean playing, double tick) {
        if (getSkin() instanceof PracticeSideSkin skin) {
            skin.showNow(playing, tick);
        }
    }

    @Override
    public Optional<String> explain(double x, double y) {
        return getSkin() instanceof PracticeSideSkin skin
                ? skin.areaAt(x, y).map(Area::meaning)
                : Optional.empty();
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new PracticeSideSkin(this);
    }
}
