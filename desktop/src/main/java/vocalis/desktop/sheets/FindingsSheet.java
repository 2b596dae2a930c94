package vocalis.desktop.sheets;

import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import vocalis.core.derive.Finding;
import vocalis.desktop.session.Editing;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.workbench.document.Edits;
import vocalis.workbench.words.FindingWords;

/** What could not be played as written, each with a way to it and, for a touch, a way out. */
public final class FindingsSheet {

    private FindingsSheet() {}

    /** Opens it. */
    public static void show(Editing session, Sheets host) {
        List<Finding> all = session.derived().findings();
        GridPane grid = Choices.grid();
        VBox content = new VBox(12);
        content.getStyleClass().add("help");
        content.getChildren()
                .add(
                        Choices.text(
                                all.isEmpty()
                                        ? "Everything is played as it is written."
                                        : "Kept in the riff, but not played as written:"));
        content.getChildren().add(grid);
        Sheets.Sheet sheet = host.open("What could not be played", content, 760);
        for (Finding f : all) {
            Button there = new Button("Go there");
            there.getStyleClass().add("quiet-button");
            there.setOnAction(
                    e -> {
                        sheet.close();
                        session.caret().moveTo(f.chord());
                    });
            int row = grid.getRowCount();
            grid.add(Choices.text(FindingWords.of(f, session.riff())), 0, row);
            grid.add(there, 1, row);
            if (f instanceof Finding.TouchUnplaced t) {
                Button away = new Button("Take it away");
                away.getStyleClass().add("quiet-button");
                away.setOnAction(
                        e -> {
                            session.apply(Edits.removeTouch(t.touch()));
                            away.setDisable(true);
                        });
                grid.add(away, 2, row);
            }
        }
    }
}
