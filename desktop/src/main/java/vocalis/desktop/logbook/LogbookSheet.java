package vocalis.desktop.logbook;

import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.collections.ListChangeListener;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import vocalis.desktop.sheets.Ask;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.HoldToHear;
import vocalis.desktop.view.Sheets;
import vocalis.workbench.library.LibraryEntry;

/** All riffs and ideas of the library: found, heard, judged, tagged, put away and brought back. */
public final class LogbookSheet {

    private static final double WIDTH = 1120;
    private static final double HEIGHT = 400;
    private static final int LONGEST = 400;
    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    private final LogbookModel model;
    private final Consumer<Path> open;
    private final Sheets host;
    private final TextField search = new TextField();
    private final ListView<LibraryEntry> list = new ListView<>();
    private final Label detail = Choices.text("");
    private String caret = "";
    private Sheets.Sheet sheet;

    private LogbookSheet(LogbookModel model, Sheets host, Consumer<Path> open) {
        this.model = model;
        this.host = host;
        this.open = open;
    }

    /**
     * Opens it.
     *
     * @param open opens a file; the sheet closes before
     */
    public static void show(LogbookModel model, Sheets host, Consumer<Path> open) {
        new LogbookSheet(model, host, open).show();
    }

    private void show() {
        searching();
        listing();
        detail.setId("logbook-detail");
        detail.setMinHeight(54);
        Label said = Choices.caption("");
        said.setId("logbook-said");
        said.textProperty().bind(model.saidProperty());
        VBox body = new VBox(10, top(), heads(), list, detail, said, buttons());
        VBox.setMargin(list, new Insets(-8, 0, 0, 0));
        body.getStyleClass().add("help");
        sheet = host.open("Logbook", body, WIDTH);
        sheet.onClosed(model::close);
        // A title typed at once is looked for; the letters that do something are the list's.
        sheet.focus(search);
        model.open();
    }

    private void searching() {
        search.setId("logbook-search");
        search.getStyleClass().add("find");
        search.setPromptText(
                "words, or key:d  tuning:dadgbe  family:octave  tag:slate  tempo:90-120  change:d-f");
        search.setAccessibleText("Search the logbook");
        search.textProperty().addListener(o -> model.search(search.getText()));
        search.addEventFilter(KeyEvent.KEY_PRESSED, this::fromSearch);
    }

    private HBox top() {
        Label count = Choices.caption("");
        count.setId("logbook-count");
        count.textProperty().bind(model.countProperty());
        count.setMinWidth(HBox.USE_PREF_SIZE);
        HBox top = new HBox(14, search, count);
        top.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(search, Priority.ALWAYS);
        return top;
    }

    private void listing() {
        list.setId("logbook");
        list.setPrefHeight(HEIGHT);
        list.getStyleClass().add("logbook");
        list.setItems(model.shown());
        Label nothing = Choices.caption("");
        nothing.setId("logbook-nothing");
        nothing.textProperty().bind(model.nothingProperty());
        list.setPlaceholder(nothing);
        list.setCellFactory(l -> new Row());
        list.getSelectionModel().selectedItemProperty().addListener(o -> describe());
        model.shown().addListener((ListChangeListener<LibraryEntry>) c -> select());
        list.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        list.addEventHandler(
                KeyEvent.KEY_RELEASED,
                e -> {
                    if (e.getCode() == KeyCode.H) {
                        model.endHearing();
                    }
                });
        HoldToHear.mouse(
                list,
                () -> {
                    selected().ifPresent(model::hear);
                    return selected().isPresent();
                },
                model::endHearing);
        list.setOnMouseClicked(
                e -> {
                    if (e.getClickCount() == 2) {
                        take();
                    }
                });
    }

    /** What stands in the columns. */
    private static HBox heads() {
        Row heads = new Row();
        heads.rating.setText("rating");
        heads.title.setText("title");
        heads.key.setText("key");
        heads.tuning.setText("tuning");
        heads.tempo.setText("tempo");
        heads.roots.setText("roots");
        heads.status.setText("status");
        heads.day.setText("changed");
        heads.line.setId("logbook-heads");
        heads.line.setPadding(new Insets(0, 18, 0, 8));
        heads.line.getChildren().forEach(n -> n.getStyleClass().setAll("label", "caption"));
        return heads.line;
    }

    /** What can be done with the riff under the caret: a button for each, with its key. */
    private FlowPane buttons() {
        FlowPane all = new FlowPane(6, 6);
        all.getChildren()
                .addAll(
                        button("open", "Open", "Enter", this::take),
                        button("better", "Rate higher", "1 to 5", () -> rate(1)),
                        button("worse", "lower", "", () -> rate(-1)),
                        button(
                                "status",
                                "Status",
                                "S",
                                () -> selected().ifPresent(model::nextStatus)),
                        button("tags", "Tags", "T", () -> selected().ifPresent(this::tags)),
                        button("note", "Note", "N", () -> selected().ifPresent(this::note)),
                        button("order", "Order", "O", model::nextOrder),
                        button("away", "Put away", "Del", () -> selected().ifPresent(model::trash)),
                        button("back", "Bring back", "Z", model::restore));
        Label how = Choices.caption("hold H, or the mouse on a riff, to hear it · Ctrl F search");
        FlowPane.setMargin(how, new Insets(4, 0, 0, 8));
        all.getChildren().add(how);
        return all;
    }

    private void rate(int by) {
        selected().ifPresent(e -> model.rate(e, Math.max(0, Math.min(5, e.rating() + by))));
    }

    private Button button(String id, String words, String key, Runnable action) {
        Button b = new Button(key.isEmpty() ? words : words + "  " + key);
        b.setId("logbook-" + id);
        b.getStyleClass().add("strip-button");
        b.setFocusTraversable(false);
        b.setOnAction(e -> action.run());
        return b;
    }

    private Optional<LibraryEntry> selected() {
        return Optional.ofNullable(list.getSelectionModel().getSelectedItem());
    }

    /** The caret stays on its riff when the list is filled anew. */
    private void select() {
        int at = 0;
        for (int i = 0; i < model.shown().size(); i++) {
            at = model.shown().get(i).file().equals(caret) ? i : at;
        }
        if (!model.shown().isEmpty()) {
            list.getSelectionModel().clearAndSelect(at);
            list.scrollTo(Math.max(0, at - 3));
            list.getFocusModel().focus(at);
        }
        describe();
    }

    private void describe() {
        selected().ifPresent(e -> caret = e.file());
        detail.setText(selected().map(this::said).orElse(""));
    }

    private String said(LibraryEntry e) {
        if (!e.readable()) {
            return e.trouble();
        }
        return String.join(" · ", e.roots())
                + "  ("
                + String.join(" ", e.steps())
                + "); "
                + String.join(", ", e.families())
                + "; "
                + e.bars()
                + (e.bars() == 1 ? " bar" : " bars")
                + versions(e.versions())
                + (e.tags().isEmpty() ? "" : "; tags: " + String.join(", ", e.tags()))
                + model.played(e).map(ms -> "; played " + day(ms)).orElse("")
                + (e.about().isBlank() ? "" : ". " + e.about().lines().findFirst().orElse(""));
    }

    private static String versions(int kept) {
        return kept == 0 ? "" : ", " + kept + (kept == 1 ? " kept version" : " kept versions");
    }

    private static String day(long ms) {
        return DAY.format(Instant.ofEpochMilli(ms).atZone(ZoneId.systemDefault()));
    }

    private void fromSearch(KeyEvent e) {
        boolean found = e.getCode() == KeyCode.ENTER && model.shown().size() == 1;
        if (found) {
            take();
        } else if (e.getCode() == KeyCode.DOWN || e.getCode() == KeyCode.ENTER) {
            list.requestFocus();
        } else {
            return;
        }
        e.consume();
    }

    private void pressed(KeyEvent e) {
        if (e.isControlDown() && e.getCode() == KeyCode.F) {
            search.requestFocus();
            e.consume();
            return;
        }
        if (e.isControlDown() || e.isAltDown() || e.isMetaDown()) {
            return;
        }
        switch (e.getCode()) {
            case ENTER -> take();
            case H -> selected().ifPresent(model::hear);
            case DELETE, BACK_SPACE -> selected().ifPresent(model::trash);
            case Z -> model.restore();
            case S -> selected().ifPresent(model::nextStatus);
            case T -> selected().ifPresent(this::tags);
            case N -> selected().ifPresent(this::note);
            case O -> model.nextOrder();
            default -> {
                String digit = e.getText();
                if (!digit.matches("[0-5]")) {
                    return;
                }
                selected().ifPresent(x -> model.rate(x, Integer.parseInt(digit)));
            }
        }
        e.consume();
    }

    private void take() {
        selected()
                .filter(LibraryEntry::readable)
                .ifPresent(
                        e -> {
                            Path file = model.opening(e);
                            sheet.close();
                            open.accept(file);
                        });
    }

    private void tags(LibraryEntry e) {
        Ask.remark(
                host,
                "Tags of " + e.title() + ", with commas between",
                String.join(", ", e.tags()),
                LONGEST,
                said ->
                        model.change(
                                e,
                                p ->
                                        p.withTags(
                                                Arrays.stream(said.split(","))
                                                        .map(String::strip)
                                                        .filter(t -> !t.isEmpty())
                                                        .distinct()
                                                        .toList())));
    }

    private void note(LibraryEntry e) {
        Ask.remark(
                host,
                "A note for " + e.title(),
                e.about(),
                LONGEST,
                said -> model.change(e, p -> p.withAbout(said)));
    }

    /** One riff in a line. */
    private static final class Row extends ListCell<LibraryEntry> {

        private final Label rating = cell(68, "caption");
        private final Label title = cell(216, "logbook-title");
        private final Label key = cell(130);
        private final Label tuning = cell(112, "mono");
        private final Label tempo = cell(44);
        private final Label roots = cell(190);
        private final Label status = cell(110, "caption");
        private final Label day = cell(84, "caption");
        private final HBox line =
                new HBox(10, rating, title, key, tuning, tempo, roots, status, day);

        Row() {
            line.setAlignment(Pos.CENTER_LEFT);
            tempo.setAlignment(Pos.CENTER_RIGHT);
            // A narrow window cuts words, not columns.
            title.setMinWidth(120);
            key.setMinWidth(88);
            tuning.setMinWidth(96);
            roots.setMinWidth(90);
            status.setMinWidth(72);
            line.setMinWidth(0);
            setPrefWidth(0);
        }

        private static Label cell(double width, String... styles) {
            Label l = new Label();
            l.setMinWidth(width);
            l.setPrefWidth(width);
            l.setMaxWidth(width);
            l.getStyleClass().addAll(styles);
            return l;
        }

        @Override
        protected void updateItem(LibraryEntry e, boolean empty) {
            super.updateItem(e, empty);
            setText(null);
            if (empty || e == null) {
                setGraphic(null);
                return;
            }
            rating.setText("●".repeat(e.rating()) + "·".repeat(5 - e.rating()));
            title.setText(e.title());
            key.setText(e.readable() ? e.key() : "cannot be read");
            tuning.setText(e.tuning());
            tempo.setText(e.tempo() == 0 ? "" : String.valueOf(e.tempo()));
            roots.setText(String.join(" ", e.roots()));
            status.setText(e.status());
            day.setText(day(e.modified()));
            setGraphic(line);
            setAccessibleText(e.title() + ", " + e.key() + ", " + e.tempo());
        }
    }
}
