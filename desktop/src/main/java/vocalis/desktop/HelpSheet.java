package vocalis.desktop;

import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import vocalis.desktop.write.Keys;

/** All keys on one sheet, read from the table that the keys themselves obey. */
final class HelpSheet {

    private final Keys keys;
    private Stage stage;

    HelpSheet(Keys keys) {
        this.keys = keys;
    }

    void show(Stage owner, Theme theme) {
        if (stage != null && stage.isShowing()) {
            stage.toFront();
            return;
        }
        FlowPane columns = new FlowPane(36, 20);
        columns.setPrefWrapLength(1050);
        columns.getStyleClass().add("help");
        GridPane[] grid = new GridPane[1];
        keys.sheet(
                section -> {
                    grid[0] = new GridPane();
                    grid[0].getStyleClass().add("figures");
                    Label head = new Label(section);
                    head.getStyleClass().add("help-head");
                    columns.getChildren().add(new VBox(6, head, grid[0]));
                },
                (key, does) -> {
                    Label k = new Label(key);
                    k.getStyleClass().add("help-key");
                    Label d = new Label(does);
                    grid[0].addRow(grid[0].getRowCount(), k, d);
                });
        Scene scene = new Scene(new ScrollPane(columns), 1120, 700);
        scene.getRoot().getStyleClass().add("shell");
        theme.apply(scene);
        stage = new Stage();
        stage.initOwner(owner);
        stage.setTitle("Keys – Vocalis");
        stage.setScene(scene);
        scene.setOnKeyPressed(
                e -> {
                    if (e.getCode() == KeyCode.ESCAPE || e.getCode() == KeyCode.F1) {
                        stage.close();
                    }
                });
        stage.show();
    }
}
