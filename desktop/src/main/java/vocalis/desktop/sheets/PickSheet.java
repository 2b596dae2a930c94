package vocalis.desktop.sheets;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.HoldToHear;
import vocalis.desktop.view.Sheets;

/**
 * A sheet of things to choose among: arrows walk them, H held hears one, Enter takes it, Delete
 * takes it away where that can be done.
 */
public final class PickSheet {

    /** Names up to so many letters are never cut. */
    private static final int WHOLE = 36;

    private static final double MOST_HEIGHT = 470;

    /**
     * Something to choose.
     *
     * @param name what it is called
     * @param what what it does
     * @param hear begins to sound it
     * @param take takes it; the sheet closes before
     * @param drop takes it away; null where it cannot be
     * @param compare shows it beside what there is; null where it cannot be
     */
    public record Row(
            String name,
            String what,
            Runnable hear,
            Runnable take,
            Runnable drop,
            Runnable compare) {

        /** Not to be compared. */
        public Row(String name, String what, Runnable hear, Runnable take, Runnable drop) {
            this(name, what, hear, take, drop, null);
        }
    }

    private final List<Button> buttons = new ArrayList<>();
    private final Runnable endHearing;
    private boolean held;

    private PickSheet(Runnable endHearing) {
        this.endHearing = endHearing;
    }

    /**
     * Opens it.
     *
     * @param head a sentence over the rows
     * @param none what is said where there is no row
     * @param endHearing ends what a row sounds
     */
    public static void show(
            Sheets host,
            String title,
            String head,
            String none,
            List<Row> rows,
            Runnable endHearing) {
        new PickSheet(endHearing).open(host, title, rows.isEmpty() ? none : head, rows);
    }

    private void open(Sheets host, String title, String head, List<Row> rows) {
        GridPane grid = Choices.grid();
        grid.setVgap(4);
        Label said = Choices.caption(head);
        said.setWrapText(true);
        VBox content = new VBox(12, said);
        content.getStyleClass().add("help");
        ScrollPane scroll = new ScrollPane(grid);
        scroll.setFitToWidth(true);
        scroll.setMaxHeight(MOST_HEIGHT);
        scroll.setFocusTraversable(false);
        scroll.getStyleClass().add("rows");
        if (!rows.isEmpty()) {
            content.getChildren().add(scroll);
        }
        Sheets.Sheet sheet = host.open(title, content, 760);
        sheet.onClosed(this::letGo);
        for (Row r : rows) {
            Button b = button(r, sheet);
            b.focusedProperty().addListener(o -> reveal(scroll, grid, b));
            boolean steps = r.what().matches("(bar \\d+: )?[aAgmx♪–· ]+");
            Label what = steps ? Choices.mono(r.what()) : Choices.caption(r.what());
            what.setWrapText(true);
            grid.addRow(grid.getRowCount(), b, what);
            buttons.add(b);
        }
        if (!buttons.isEmpty()) {
            sheet.focus(buttons.get(0));
        }
    }

    private Button button(Row r, Sheets.Sheet sheet) {
        Button b = new Button(r.name());
        b.getStyleClass().add("quiet-button");
        if (r.name().length() <= WHOLE) {
            b.setMinWidth(Region.USE_PREF_SIZE);
        }
        b.setAccessibleText(r.name() + ": " + r.what());
        b.setOnAction(
                e -> {
                    sheet.close();
                    r.take().run();
                });
        HoldToHear.at(b, () -> hear(r), this::letGo);
        b.addEventHandler(KeyEvent.KEY_PRESSED, e -> pressed(e, r, b, sheet));
        return b;
    }

    private void pressed(KeyEvent e, Row r, Button b, Sheets.Sheet sheet) {
        int at = buttons.indexOf(b);
        switch (e.getCode()) {
            case UP -> buttons.get(Math.max(0, at - 1)).requestFocus();
            case DOWN -> buttons.get(Math.min(buttons.size() - 1, at + 1)).requestFocus();
            case HOME -> buttons.get(0).requestFocus();
            case END -> buttons.get(buttons.size() - 1).requestFocus();
            case ENTER -> b.fire();
            case DELETE -> {
                if (r.drop() != null) {
                    sheet.close();
                    r.drop().run();
                }
            }
            case C -> {
                if (r.compare() != null) {
                    r.compare().run();
                }
            }
            default -> {
                return;
            }
        }
        e.consume();
    }

    private boolean hear(Row r) {
        held = true;
        r.hear().run();
        return true;
    }

    private void letGo() {
        if (held) {
            held = false;
            endHearing.run();
        }
    }

    private void reveal(ScrollPane scroll, GridPane grid, Button b) {
        double height = grid.getHeight() - scroll.getViewportBounds().getHeight();
        if (b.isFocused() && height > 0) {
            double top = b.getBoundsInParent().getMinY() - 60;
            scroll.setVvalue(Math.max(0, Math.min(1, top / height)));
        }
    }
}
