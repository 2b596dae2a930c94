package vocalis.desktop.readout;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import vocalis.desktop.view.Explain;

/** Rows of a label and its figure; each says what it means on being asked. */
public final class Figures extends GridPane {

    private static final double LABEL_WIDTH = 86;

    private final List<Row> rows = new ArrayList<>();
    private int filled;

    public Figures() {
        getStyleClass().add("figures");
        ColumnConstraints first = new ColumnConstraints(LABEL_WIDTH);
        ColumnConstraints second = new ColumnConstraints();
        second.setHgrow(Priority.ALWAYS);
        getColumnConstraints().addAll(first, second);
    }

    /** Begins to fill the rows anew; rows are used again, so nothing heaps up. */
    public void begin() {
        filled = 0;
    }

    /** Takes away the rows that were not filled again. */
    public void end() {
        while (rows.size() > filled) {
            Row last = rows.remove(rows.size() - 1);
            getChildren().removeAll(last.label, last.value);
            if (last.node != null) {
                getChildren().remove(last.node);
            }
        }
    }

    /** One row; made once, filled again and again. */
    private static final class Row {
        private final Label label = new Label();
        private final Label value = new Label();
        private Node node;
    }

    private Row next() {
        if (filled == rows.size()) {
            Row r = new Row();
            r.label.getStyleClass().add("figure-label");
            r.label.setMinWidth(USE_PREF_SIZE);
            r.value.getStyleClass().add("figure-value");
            r.value.setWrapText(true);
            r.value.setMinHeight(USE_PREF_SIZE);
            GridPane.setValignment(r.label, VPos.TOP);
            rows.add(r);
            add(r.label, 0, filled);
            add(r.value, 1, filled);
        }
        return rows.get(filled++);
    }

    private void show(Row r, Node node) {
        if (r.node != node) {
            getChildren().remove(r.node);
            r.node = node;
            if (node != null) {
                add(node, 1, rows.indexOf(r));
            }
        }
        r.value.setVisible(node == null);
        r.value.setManaged(node == null);
    }

    /** A sentence over the whole width. */
    public void sentence(String id, String text) {
        Row r = next();
        show(r, null);
        r.label.setText("");
        r.label.setVisible(false);
        r.value.setText(text);
        r.value.setId(id);
        GridPane.setColumnIndex(r.value, 0);
        GridPane.setColumnSpan(r.value, 2);
    }

    /** A label and its figure. */
    public void row(String label, String value, String meaning) {
        Row r = labelled(label, meaning);
        show(r, null);
        r.value.setText(value);
        r.value.setId("figure-" + label.replace(' ', '-'));
        Explain.means(r.value, meaning);
    }

    /** A label and something else beside it. */
    public void row(String label, Node value, String meaning) {
        show(labelled(label, meaning), value);
    }

    private Row labelled(String label, String meaning) {
        Row r = next();
        GridPane.setColumnIndex(r.value, 1);
        GridPane.setColumnSpan(r.value, 1);
        r.label.setVisible(true);
        r.label.setText(label);
        Explain.means(r.label, meaning);
        return r;
    }
}
