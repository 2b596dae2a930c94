package vocalis.desktop.write;

import java.util.List;
import javafx.scene.control.Control;

/** The controls that draw themselves, for tests. */
public final class DrawnControls {

    private DrawnControls() {}

    /** One of each over the same model. */
    public static List<Control> all(WriteModel model) {
        return List.of(new VoiceBand(model), new Lane(model), new CardRow(model), new Neck(model));
    }
}
