package vocalis.desktop.explore;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import vocalis.core.instrument.Shape;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.HoldToHear;

/** Shapes beneath each other: arrows walk them, held they sound, Enter or a click takes one. */
final class ShapeRows {

    private final Hearing hearing;
    private final Consumer<Shape> take;
    private final GridPane grid = new GridPane();
    private final List<Button> buttons = new ArrayList<>();

    /**
     * @param take what choosing a row does
     */
    ShapeRows(Hearing hearing, Consumer<Shape> take) {
        this.hearing = hearing;
        this.take = take;
        grid.getStyleClass().add("figures");
    }

    /** Adds a shape, with what stands before and after it. */
    void add(String before, Shape shape, String name, String after) {
        Button b = new Button(shape.text());
        b.getStyleClass().addAll("quiet-button", "mono");
        b.setAccessibleText(shape.text() + ": " + name + ", " + after);
        b.setOnAction(e -> take.accept(shape));
        HoldToHear.at(b, () -> hearing.hear(shape), hearing::endHearing);
        b.addEventHandler(KeyEvent.KEY_PRESSED, e -> pressed(e, b));
        buttons.add(b);
        grid.addRow(
                grid.getRowCount(),
                Choices.caption(before),
                b,
                new Label(name),
                Choices.caption(after));
    }

    private void pressed(KeyEvent e, Button b) {
        int by = e.getCode() == KeyCode.UP ? -1 : e.getCode() == KeyCode.DOWN ? 1 : 0;
        if (by != 0) {
            int to = Math.max(0, Math.min(buttons.size() - 1, buttons.indexOf(b) + by));
            buttons.get(to).requestFocus();
            e.consume();
        } else if (e.getCode() == KeyCode.ENTER) {
            b.fire();
            e.consume();
        }
    }

    Node node() {
        return grid;
    }

    boolean isEmpty() {
        return buttons.isEmpty();
    }

    /** The first row, or the table where there is none. */
    Node first() {
        return buttons.isEmpty() ? grid : buttons.get(0);
    }
}
