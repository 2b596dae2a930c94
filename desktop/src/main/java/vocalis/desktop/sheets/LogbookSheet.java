package vocalis.desktop.sheets;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import vocalis.core.arrange.Piece;
import vocalis.core.arrange.Standing;
import vocalis.desktop.model.WriteModel;
import vocalis.desktop.view.Background;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.SheetHost;
import vocalis.workbench.Library;
import vocalis.workbench.LibraryEntry;
import vocalis.workbench.LibraryQuery;
import vocalis.workbench.PieceFiles;

/** All riffs and ideas of the library: found, heard, judged, tagged, put away and brought back. */
public final class LogbookSheet {

    private static final double WIDTH = 1120;
    private static final double HEIGHT = 400;
    private static final DateTimeFormatter DAY =
            DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    /** How the list is ordered. */
    private enum Order {
        CHANGED("last changed first"),
        PLAYED("last played first"),
        TITLE("by title"),
        KEY("by key"),
        TEMPO("by tempo"),
        RATING("best first");

        private final String words;

        Order(String words) {
            this.words = words;
        }
    }

    private final WriteModel model;
    private final Library library;
    private final Background background;
    private final Consumer<Path> open;
    private final SheetHost host;
    private final TextField search = new TextField();
    private final ListView<LibraryEntry> list = new ListView<>();
    private final Label count = Choices.caption("");
    private final Label detail = Choices.text("");
    private final AtomicBoolean cancelled = new AtomicBoolean();
    private List<LibraryEntry> all = List.of();
    private Map<String, Long> played = Map.of();
    private Order order = Order.CHANGED;
    private Optional<Path> trashed = Optional.empty();
    private boolean held;
    private SheetHost.Sheet sheet;

    private LogbookSheet(
            WriteModel model,
            Library library,
            Background background,
            SheetHost host,
            Consumer<Path> open) {
        this.model = model;
        this.library = library;
        this.background = background;
        this.host = host;
        this.open = open;
    }

    /**
     * Opens it.
     *
     * @param open opens a file; the sheet closes before
     */
    public static void show(
            WriteModel model,
            Library library,
            Background background,
            SheetHost host,
            Consumer<Path> open) {
        new LogbookSheet(model, library, background, host, open).show();
    }

    private void show() {
        search.setId("logbook-search");
        search.getStyleClass().add("find");
        search.setPromptText(
                "words, or key:d  tuning:dadgbe  family:octave  tag:slate  tempo:90-120  change:d-f");
        search.setAccessibleText("Search the logbook");
        search.textProperty().addListener(o -> fill());
        search.addEventFilter(KeyEvent.KEY_PRESSED, this::fromSearch);
        list.setId("logbook");
        list.setPrefHeight(HEIGHT);
        list.getStyleClass().add("logbook");
        list.setPlaceholder(
                Choices.caption("Nothing here yet: Ctrl S keeps a riff, Ctrl J catches an idea."));
        list.setCellFactory(l -> new Row());
        list.getSelectionModel().selectedItemProperty().addListener(o -> describe());
        list.addEventFilter(KeyEvent.KEY_PRESSED, this::pressed);
        list.addEventHandler(
                KeyEvent.KEY_RELEASED,
                e -> {
                    if (e.getCode() == KeyCode.H) {
                        letGo();
                    }
                });
        list.setOnMouseClicked(
                e -> {
                    if (e.getClickCount() == 2) {
                        take();
                    }
                });
        detail.setId("logbook-detail");
        detail.setWrapText(true);
        detail.setMinHeight(54);
        count.setId("logbook-count");
        HBox top = new HBox(14, search, count);
        top.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(search, Priority.ALWAYS);
        count.setMinWidth(HBox.USE_PREF_SIZE);
        VBox body =
                new VBox(
                        10,
                        top,
                        list,
                        detail,
                        Choices.caption(
                                "Enter opens · hold H to hear · 1 to 5 rates, 0 takes it back · S status · T tags ·"
                                        + " N note · O order · Delete puts it away, Z brings it back · Ctrl F search"));
        body.getStyleClass().add("help");
        sheet = host.open("Logbook", body, WIDTH);
        sheet.onClosed(
                () -> {
                    cancelled.set(true);
                    letGo();
                });
        sheet.focus(list);
        all = library.remembered();
        played = library.played();
        fill();
        scan();
    }

    /** Looks the folder through on a worker; what was remembered is there meanwhile. */
    private void scan() {
        List<List<LibraryEntry>> found = new ArrayList<>();
        String[] trouble = new String[1];
        background.run(
                "looking the library through",
                () -> {
                    try {
                        found.add(
                                library.scan(
                                        n -> {
                                            if (n % 50 == 0) {
                                                Background.HOME.execute(
                                                        () -> count.setText(n + " read …"));
                                            }
                                        },
                                        cancelled::get));
                    } catch (IOException e) {
                        trouble[0] = String.valueOf(e.getMessage());
                    }
                },
                () -> {
                    if (trouble[0] != null) {
                        detail.setText("The library cannot be read: " + trouble[0]);
                    } else if (!cancelled.get() && !found.isEmpty()) {
                        all = found.get(0);
                        fill();
                    }
                });
    }

    private void fill() {
        LibraryEntry before = list.getSelectionModel().getSelectedItem();
        LibraryQuery query = LibraryQuery.of(search.getText());
        List<LibraryEntry> shown = new ArrayList<>();
        for (LibraryEntry e : all) {
            if (query.test(e)) {
                shown.add(e);
            }
        }
        shown.sort(comparing());
        list.getItems().setAll(shown);
        String of = shown.size() == all.size() ? "" : " of " + all.size();
        count.setText(shown.size() + of + (all.size() == 1 ? " riff, " : " riffs, ") + order.words);
        int at = 0;
        for (int i = 0; i < shown.size() && before != null; i++) {
            at = shown.get(i).file().equals(before.file()) ? i : at;
        }
        if (!shown.isEmpty()) {
            list.getSelectionModel().clearAndSelect(at);
            list.scrollTo(Math.max(0, at - 3));
            list.getFocusModel().focus(at);
        }
        describe();
    }

    private Comparator<LibraryEntry> comparing() {
        Comparator<LibraryEntry> changed =
                Comparator.comparingLong(LibraryEntry::modified).reversed();
        return switch (order) {
            case CHANGED -> changed;
            case PLAYED ->
                    Comparator.comparingLong((LibraryEntry e) -> -played.getOrDefault(e.id(), 0L))
                            .thenComparing(changed);
            case TITLE -> Comparator.comparing(e -> e.title().toLowerCase(Locale.ROOT));
            case KEY -> Comparator.comparing(LibraryEntry::key).thenComparing(changed);
            case TEMPO -> Comparator.comparingInt(LibraryEntry::tempo).thenComparing(changed);
            case RATING ->
                    Comparator.comparingInt((LibraryEntry e) -> -e.rating()).thenComparing(changed);
        };
    }

    private Optional<LibraryEntry> selected() {
        return Optional.ofNullable(list.getSelectionModel().getSelectedItem());
    }

    private void describe() {
        detail.setText(selected().map(this::said).orElse(""));
    }

    private String said(LibraryEntry e) {
        if (!e.readable()) {
            return e.trouble();
        }
        Long last = played.get(e.id());
        return String.join(" · ", e.roots())
                + "  ("
                + String.join(" ", e.steps())
                + "); "
                + String.join(", ", e.families())
                + "; "
                + e.bars()
                + (e.bars() == 1 ? " bar" : " bars")
                + (e.versions() == 0 ? "" : ", " + e.versions() + " kept versions")
                + (e.tags().isEmpty() ? "" : "; tags: " + String.join(", ", e.tags()))
                + (last == null ? "" : "; played " + day(last))
                + (e.about().isBlank() ? "" : ". " + e.about().lines().findFirst().orElse(""));
    }

    private static String day(long ms) {
        return DAY.format(Instant.ofEpochMilli(ms).atZone(ZoneId.systemDefault()));
    }

    private void fromSearch(KeyEvent e) {
        if (e.getCode() == KeyCode.DOWN || e.getCode() == KeyCode.ENTER) {
            list.requestFocus();
            e.consume();
        }
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
            case H -> hear();
            case DELETE, BACK_SPACE -> trash();
            case Z -> restore();
            case S -> change(p -> p.standing(p.standing().at(next(p.standing().status()))));
            case T -> tags();
            case N -> note();
            case O -> {
                order = Order.values()[(order.ordinal() + 1) % Order.values().length];
                fill();
            }
            default -> {
                String digit = e.getText();
                if (!digit.matches("[0-5]")) {
                    return;
                }
                change(p -> p.standing(p.standing().rated(Integer.parseInt(digit))));
            }
        }
        e.consume();
    }

    private static Standing.Status next(Standing.Status s) {
        Standing.Status[] all = Standing.Status.values();
        return all[(s.ordinal() + 1) % all.length];
    }

    private void take() {
        selected()
                .filter(LibraryEntry::readable)
                .ifPresent(
                        e -> {
                            library.played(e.id(), System.currentTimeMillis());
                            sheet.close();
                            open.accept(library.file(e));
                        });
    }

    /** Sounds a riff of the list while the key is held. */
    private void hear() {
        if (held) {
            return;
        }
        held = true;
        selected()
                .filter(LibraryEntry::readable)
                .ifPresent(
                        e -> {
                            Piece[] read = new Piece[1];
                            background.run(
                                    "reading a riff to hear it",
                                    () -> {
                                        try {
                                            read[0] = PieceFiles.read(library.file(e)).piece();
                                            library.played(e.id(), System.currentTimeMillis());
                                        } catch (PieceFiles.PieceFileException x) {
                                            read[0] = null;
                                        }
                                    },
                                    () -> {
                                        if (held && read[0] != null) {
                                            model.hearing().preview(read[0]);
                                        }
                                    });
                        });
    }

    private void letGo() {
        if (held) {
            held = false;
            model.hearing().endPreview();
        }
    }

    private void change(UnaryOperator<Piece> change) {
        LibraryEntry e = selected().filter(LibraryEntry::readable).orElse(null);
        if (e == null) {
            return;
        }
        boolean opened =
                model.workspace().file().filter(f -> f.equals(library.file(e))).isPresent();
        if (opened) {
            detail.setText("This riff is open: change it there, and save.");
            return;
        }
        String[] trouble = new String[1];
        background.run(
                "changing a riff in the library",
                () -> {
                    try {
                        library.change(e, change);
                    } catch (PieceFiles.PieceFileException | PieceFiles.ChangedOnDisk x) {
                        trouble[0] = x.getMessage();
                    }
                },
                () -> {
                    if (trouble[0] != null) {
                        detail.setText(trouble[0]);
                    } else {
                        scan();
                    }
                });
    }

    private void tags() {
        selected()
                .filter(LibraryEntry::readable)
                .ifPresent(
                        e ->
                                Ask.remark(
                                        host,
                                        "Tags of " + e.title() + ", with commas between",
                                        String.join(", ", e.tags()),
                                        400,
                                        said ->
                                                change(
                                                        p ->
                                                                p.tagged(
                                                                        Arrays.stream(
                                                                                        said.split(
                                                                                                ","))
                                                                                .map(String::strip)
                                                                                .filter(
                                                                                        t ->
                                                                                                !t
                                                                                                        .isEmpty())
                                                                                .distinct()
                                                                                .toList()))));
    }

    private void note() {
        selected()
                .filter(LibraryEntry::readable)
                .ifPresent(
                        e ->
                                Ask.remark(
                                        host,
                                        "A note for " + e.title(),
                                        e.about(),
                                        400,
                                        said -> change(p -> p.noted(said))));
    }

    private void trash() {
        LibraryEntry e = selected().orElse(null);
        if (e == null) {
            return;
        }
        try {
            trashed = Optional.of(library.trash(e));
            all = all.stream().filter(x -> x != e).toList();
            fill();
            detail.setText("Put " + e.title() + " away; Z brings it back.");
        } catch (IOException x) {
            detail.setText("It cannot be put away: " + x.getMessage());
        }
        scan();
    }

    /** Brings back what was put away last, in this sheet or before. */
    private void restore() {
        try {
            Path back =
                    trashed.isPresent()
                            ? trashed.get()
                            : library.trashed().stream().findFirst().orElse(null);
            if (back == null) {
                detail.setText("Nothing was put away.");
                return;
            }
            library.restore(back);
            trashed = Optional.empty();
            scan();
        } catch (IOException x) {
            detail.setText("It cannot be brought back: " + x.getMessage());
        }
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
