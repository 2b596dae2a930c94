package vocalis.desktop.band;

import java.util.function.Supplier;
import javafx.scene.AccessibleRole;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Skin;
import vocalis.desktop.view.PaintedControl;
import vocalis.desktop.writing.BandScreen;

/**
 * The riff as stacks of rungs on one semitone scale, with the way of each voice from chord to
 * chord. The caret is a chord.
 */
public final class VoiceBand extends PaintedControl {

    private final BandScreen model;
    private Supplier<ContextMenu> menu;
    private ContextMenu shown;

    public VoiceBand(BandScreen model) {
        super("voice-band");
        this.model = model;
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.LIST_VIEW);
        setAccessibleText("Voice band: the riff's chords");
    }

    /** Where the menu of a chord comes from. */
    public void menu(Supplier<ContextMenu> source) {
        menu = source;
    }

    /** Shows the menu of the chord under the caret. */
    public void showMenu(double screenX, double screenY) {
        if (shown != null) {
            shown.hide();
        }
        shown = menu.get();
        shown.show(this, screenX, screenY);
    }

    public BandScreen model() {
        return model;
    }

    /** Moves the now-line. */
    public void showNow(boolean playing, double tick) {
        if (getSkin() instanceof VoiceBandSkin skin) {
            skin.showNow(playing, tick);
        }
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new VoiceBandSkin(this);
    }
}
