package vocalis.desktop.write;

import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;

/** Rows of a label and its figure; each says what it means on being asked. */
final class Figures extends GridPane {

    private static final double LABEL_WIDTH = 86;

    Figures() {
        getStyleClass().add("figures");
        ColumnConstraints first = new ColumnConstraints(LABEL_WIDTH);
        ColumnConstraints second = new ColumnConstraints();
        second.setHgrow(Priority.ALWAYS);
        getColumnConstraints().addAll(first, second);
    }

    void clear() {
        getChildren().clear();
    }

    /** A sentence over the whole width. */
    void sentence(String id, String text) {
        Label l = new Label(text);
        l.setId(id);
        l.setWrapText(true);
        l.setMinHeight(USE_PREF_SIZE);
        add(l, 0, getRowCount(), 2, 1);
    }

    void row(String label, String value, String meaning) {
        Label v = new Label(value);
        v.getStyleClass().add("figure-value");
        v.setId("figure-" + label.replace(' ', '-'));
        v.setWrapText(true);
        v.setTooltip(new Tooltip(meaning));
        row(label, v, meaning);
    }

    void row(String label, Node value, String meaning) {
        Label l = new Label(label);
        l.getStyleClass().add("figure-label");
        l.setTooltip(new Tooltip(meaning));
        GridPane.setValignment(l, VPos.TOP);
        addRow(getRowCount(), l, value);
    }
}
