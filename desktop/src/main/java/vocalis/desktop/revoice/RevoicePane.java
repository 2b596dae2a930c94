package vocalis.desktop.revoice;

import java.util.List;
import javafx.geometry.Insets;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import vocalis.desktop.session.Editing;
import vocalis.desktop.view.Choices;

/** The Revoice screen: the grid, and what the row under the caret does and changes. */
public final class RevoicePane extends VBox {

    private final RevoiceGrid grid;
    private final Label does = Choices.text("");
    private final Label changes = Choices.text("");

    public RevoicePane(Editing session, RevoiceModel model) {
        grid = new RevoiceGrid(session, model);
        grid.setId("revoice");
        does.setId("revoice-does");
        changes.setId("revoice-changes");
        does.setWrapText(true);
        changes.setWrapText(true);
        VBox words = new VBox(4, does, changes);
        words.setPadding(new Insets(10, 20, 12, 20));
        words.setMinHeight(USE_PREF_SIZE);
        VBox.setVgrow(grid, Priority.ALWAYS);
        grid.setMinHeight(0);
        getChildren().addAll(grid, words);
        getStyleClass().add("voicings");
        Runnable say =
                () -> {
                    List<String> lines = RevoiceLines.of(model);
                    does.setText(lines.get(0));
                    changes.setText(lines.get(1));
                };
        model.changedProperty().addListener(o -> say.run());
        model.rowProperty().addListener(o -> say.run());
        model.columnProperty().addListener(o -> say.run());
        say.run();
    }

    /** What has the keys. */
    public RevoiceGrid grid() {
        return grid;
    }
}
