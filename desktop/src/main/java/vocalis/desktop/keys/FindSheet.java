package vocalis.desktop.keys;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.stream.Collectors;
import javafx.collections.FXCollections;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import vocalis.desktop.session.Place;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;

/**
 * The search over every command: by name, by other words, by key. Enter does the one chosen, where
 * it works, and its key is told for the next time.
 */
public final class FindSheet {

    private static final double WIDTH = 660;
    private static final double HEIGHT = 372;

    private final Function<String, List<Command>> search;
    private final Consumer<Command> take;
    private final ListView<Command> list = new ListView<>();
    private final TextField field = new TextField();
    private Sheets.Sheet sheet;

    private FindSheet(Function<String, List<Command>> search, Consumer<Command> take) {
        this.search = search;
        this.take = take;
    }

    /**
     * Opens it.
     *
     * @param title what stands over it
     * @param search what fits what was typed, the best first
     * @param take does what was chosen; the sheet is closed by then
     */
    public static void show(
            Sheets host,
            String title,
            Function<String, List<Command>> search,
            Consumer<Command> take) {
        new FindSheet(search, take).open(host, title);
    }

    private void open(Sheets host, String title) {
        field.setId("find-command");
        field.getStyleClass().add("find");
        field.setPromptText("what do you want to do? mute, louder, capo, bend, sections …");
        field.setAccessibleText("Find a command");
        field.textProperty().addListener(o -> fill());
        field.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        field.setOnAction(e -> take());
        list.setId("found-commands");
        list.getStyleClass().add("logbook");
        list.setPrefHeight(HEIGHT);
        list.setFocusTraversable(false);
        list.setCellFactory(l -> new Row());
        list.setPlaceholder(Choices.caption("Nothing is called so. Another word?"));
        list.setOnMouseClicked(e -> take());
        VBox body =
                new VBox(
                        10,
                        field,
                        list,
                        Choices.caption(
                                "↑ ↓ choose · Enter does it · the key beside it does it next time"));
        body.getStyleClass().add("help");
        sheet = host.open(title, body, WIDTH);
        fill();
        sheet.focus(field);
    }

    private void fill() {
        list.setItems(FXCollections.observableArrayList(search.apply(field.getText())));
        list.getSelectionModel().selectFirst();
        list.scrollTo(0);
    }

    private void pressed(KeyEvent e) {
        int by =
                switch (e.getCode()) {
                    case UP -> -1;
                    case DOWN -> 1;
                    case PAGE_UP -> -7;
                    case PAGE_DOWN -> 7;
                    default -> 0;
                };
        if (by != 0 && !list.getItems().isEmpty()) {
            int now = list.getSelectionModel().getSelectedIndex();
            int to = Math.max(0, Math.min(list.getItems().size() - 1, now + by));
            list.getSelectionModel().select(to);
            list.scrollTo(Math.max(0, to - 3));
            e.consume();
        }
    }

    private void take() {
        Command chosen = list.getSelectionModel().getSelectedItem();
        if (chosen != null) {
            sheet.close();
            take.accept(chosen);
        }
    }

    /** A command: what it does, where, and its key. */
    private static final class Row extends ListCell<Command> {
        private final Label words = new Label();
        private final Label where = Choices.caption("");
        private final Label key = new Label();
        private final HBox row;

        Row() {
            key.getStyleClass().add("mono");
            key.setMinWidth(HBox.USE_PREF_SIZE);
            words.getStyleClass().add("logbook-title");
            VBox both = new VBox(1, words, where);
            both.setMinWidth(0);
            HBox.setHgrow(both, Priority.ALWAYS);
            row = new HBox(14, both, key);
            row.setAlignment(Pos.CENTER_LEFT);
            setPrefWidth(0);
        }

        @Override
        protected void updateItem(Command c, boolean empty) {
            super.updateItem(c, empty);
            if (empty || c == null) {
                setGraphic(null);
                setAccessibleText("");
                return;
            }
            words.setText(Command.capital(c.words()));
            where.setText(where(c));
            key.setText(c.printedKey());
            setAccessibleText(c.words() + ", " + where(c) + ", " + c.printedKey());
            setGraphic(row);
        }
    }

    /** Where a command works, in words. */
    static String where(Command c) {
        return c.places().isEmpty()
                ? "everywhere"
                : "in " + c.places().stream().map(Place::words).collect(Collectors.joining(", "));
    }
}
