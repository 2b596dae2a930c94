package vocalis.desktop.arrange;

import java.util.Optional;
import javafx.scene.AccessibleRole;
import javafx.scene.control.Skin;
import vocalis.desktop.model.WriteModel;
import vocalis.desktop.view.Area;
import vocalis.desktop.view.Explained;
import vocalis.desktop.view.PaintedControl;

/** The whole piece in one strip: sections, voices of both guitars, band, clashes, lift. */
public final class SongStrip extends PaintedControl implements Explained {

    private final WriteModel model;

    public SongStrip(WriteModel model) {
        super("song-strip");
        this.model = model;
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.LIST_VIEW);
        setAccessibleText("Arrange: the sections of the piece");
    }

    public WriteModel model() {
        return model;
    }

    /** Shows where the song is. */
    public void showNow(boolean playing, double tick) {
        if (getSkin() instanceof SongStripSkin skin) {
            skin.showNow(playing, tick);
        }
    }

    @Override
    public Optional<String> explain(double x, double y) {
        return getSkin() instanceof SongStripSkin skin
                ? skin.areaAt(x, y).map(Area::meaning)
                : Optional.empty();
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new SongStripSkin(this);
    }
}
