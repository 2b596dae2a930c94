package vocalis.desktop.write;

import javafx.scene.AccessibleRole;
import javafx.scene.control.Skin;
import vocalis.desktop.view.PaintedControl;

/**
 * The riff as stacks of rungs on one semitone scale, with the way of each voice from chord to
 * chord. The caret is a chord.
 */
public final class VoiceBand extends PaintedControl {

    private final WriteModel model;

    public VoiceBand(WriteModel model) {
        super("voice-band");
        this.model = model;
        setFocusTraversable(true);
        setAccessibleRole(AccessibleRole.LIST_VIEW);
        setAccessibleText("Voice band: the riff's chords");
    }

    WriteModel model() {
        return model;
    }

    @Override
    protected Skin<?> createDefaultSkin() {
        return new VoiceBandSkin(this);
    }
}
