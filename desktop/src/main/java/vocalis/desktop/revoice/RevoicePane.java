package vocalis.desktop.revoice;

import java.util.List;
import javafx.geometry.Insets;
import javafx.scene.control.Label;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import vocalis.core.revoice.Difference;
import vocalis.core.revoice.Row;
import vocalis.desktop.session.Editing;
import vocalis.desktop.view.Choices;
import vocalis.workbench.words.RevoiceWords;

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
                    List<String> lines = lines(model);
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

    /** What the row does and what it changes at the chord under the caret, in two lines. */
    private static List<String> lines(RevoiceModel m) {
        Row r = m.current().orElse(null);
        int column = m.columnProperty().get();
        if (r == null) {
            return List.of("Looking for every way to voice this riff …", "");
        }
        String change =
                r.mix() || column >= r.derived().chords().size()
                        ? "Choose another row to see what it would change here."
                        : "Against what is written at this chord: "
                                + RevoiceWords.of(
                                        Difference.at(
                                                m.rows().get(0).derived(), r.derived(), column),
                                        r.riff().ground().key())
                                + ".";
        String does = RevoiceWords.what(r);
        if (m.finding()) {
            does += "; still looking, " + m.found() + " of about " + m.expected() + " ways so far";
        }
        if (m.second().on()) {
            change =
                    "Second guitar over what is written at this chord: "
                            + RevoiceWords.of(m.second().rubs(r, column), r.riff().ground().key())
                            + ".";
        }
        return List.of(Character.toUpperCase(does.charAt(0)) + does.substring(1) + ".", change);
    }
}
