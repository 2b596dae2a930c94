package vocalis.desktop.arrange;

import javafx.scene.AccessibleRole;
import javafx.scene.control.Skin;
import vocalis.desktop.view.PaintedControl;

/** The whole piece in one strip: sections, voices of both guitars, band, clashes, lift. */
public final class SongStrip extends PaintedControl {

    private final ArrangeModel model;

    public SongStrip(ArrangeModel model) {
        super("song-strip");
        this.model = model;
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.LIST_VIEW);
        setAccessibleText("Arrange: the sections of the piece");
    }

    public ArrangeModel model() {
        return model;
    }

    /** Shows where the song is. */
    public void showNow(boolean playing, double tick) {
        if (getSkin() instanceof SongStripSkin skin) {
            skin.showNow(playing, tick);
        }
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new SongStripSkin(this);
    }
}
