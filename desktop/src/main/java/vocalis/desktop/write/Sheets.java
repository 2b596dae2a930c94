package vocalis.desktop.write;

import java.util.List;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import javafx.stage.Window;
import javafx.util.Duration;
import javafx.util.StringConverter;
import vocalis.core.harmony.Context;
import vocalis.core.harmony.DroneMap;
import vocalis.core.instrument.Tuning;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Score;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Voicing;

/** Sheets beside the Write screen: drone map, bass sweep, mode finder. Esc closes each. */
final class Sheets {

    private static final PseudoClass NOW = PseudoClass.getPseudoClass("now");
    private static final int MOST_FITS = 14;

    private Sheets() {}

    /** Opens a window of the program's look that Esc closes; Space plays there too. */
    static Stage open(
            WriteModel model,
            Scene owner,
            String title,
            Node content,
            double width,
            double height) {
        ScrollPane scroll = new ScrollPane(content);
        scroll.setFitToWidth(true);
        Scene scene = new Scene(scroll, width, height);
        scene.getRoot().getStyleClass().add("shell");
        scene.getStylesheets().setAll(owner.getStylesheets());
        Stage stage = new Stage();
        stage.initOwner(owner.getWindow());
        stage.setTitle(title + " – Vocalis");
        stage.setScene(scene);
        place(stage, owner, width, height);
        scene.addEventFilter(
                KeyEvent.KEY_PRESSED,
                e -> {
                    if (e.getCode() == KeyCode.ESCAPE) {
                        stage.close();
                    } else if (e.getCode() == KeyCode.SPACE) {
                        model.hearing().togglePlay();
                        e.consume();
                    }
                });
        stage.show();
        for (double millis : new double[] {60, 200, 500}) {
            PauseTransition later = new PauseTransition(Duration.millis(millis));
            later.setOnFinished(e -> insist(stage, owner, width, height));
            later.play();
        }
        return stage;
    }

    private static void place(Stage stage, Scene owner, double width, double height) {
        Window over = owner.getWindow();
        stage.setWidth(width);
        stage.setHeight(height);
        stage.setX(over.getX() + Math.max(0, (over.getWidth() - width) / 2));
        stage.setY(over.getY() + Math.max(0, (over.getHeight() - height) / 2));
    }

    /** Some window managers give the first window beside another a size of their own. */
    private static void insist(Stage stage, Scene owner, double width, double height) {
        if (stage.isShowing() && stage.getWidth() < width / 2) {
            place(stage, owner, width, height);
        }
    }

    static Label head(String s) {
        return text(s, "help-head");
    }

    static Label caption(String s) {
        return text(s, "caption");
    }

    static Label mono(String s) {
        return text(s, "mono");
    }

    private static Label text(String s, String... styles) {
        Label l = new Label(s);
        l.getStyleClass().addAll(styles);
        l.setWrapText(true);
        return l;
    }

    /**
     * Tuning by capo by key: which open strings are root, fifth, colour or rub; a cell sets the
     * ground.
     */
    static void droneMap(WriteModel model, Scene owner) {
        Ground ground = model.riff().ground();
        ComboBox<Tuning> tunings = new ComboBox<>();
        tunings.getItems().setAll(Tuning.offered());
        if (!tunings.getItems().contains(ground.instrument().tuning())) {
            tunings.getItems().add(ground.instrument().tuning());
        }
        tunings.setConverter(
                new StringConverter<>() {
                    @Override
                    public String toString(Tuning t) {
                        return t == null ? "" : t.letters() + "  " + t.name();
                    }

                    @Override
                    public Tuning fromString(String s) {
                        throw new UnsupportedOperationException(
                                "this list is chosen from, not typed");
                    }
                });
        tunings.setValue(ground.instrument().tuning());
        tunings.setAccessibleText("tuning");
        VBox content = new VBox(12);
        content.getStyleClass().add("help");
        Runnable fill =
                () ->
                        content.getChildren()
                                .setAll(
                                        droneHead(ground),
                                        tunings,
                                        droneGrid(model, tunings.getValue(), content));
        tunings.valueProperty().addListener(o -> fill.run());
        fill.run();
        open(model, owner, "Drone map", content, 960, 640);
        Platform.runLater(() -> focusNow(content));
    }

    /** Puts the caret on the cell of the ground as it is. */
    private static void focusNow(VBox content) {
        for (Node n : content.lookupAll(".drone-cell")) {
            if (n.getPseudoClassStates().contains(NOW)) {
                n.requestFocus();
            }
        }
    }

    private static VBox droneHead(Ground ground) {
        return new VBox(
                6,
                text(
                        "Open strings against every " + ground.key().mode().name() + " key",
                        "help-head"),
                text(
                        "Each bar is a string from the lowest: tall for the root, half for the fifth, a dot for"
                                + " another note of the scale, hollow where it rubs. The number says how many are"
                                + " in the scale. Choosing a cell sets tuning, capo and key.",
                        "caption"));
    }

    private static GridPane droneGrid(WriteModel model, Tuning tuning, VBox content) {
        Ground ground = model.riff().ground();
        boolean same = tuning.equals(ground.instrument().tuning());
        DroneMap map = DroneMap.of(tuning, ground.key().mode());
        GridPane grid = new GridPane();
        grid.getColumnConstraints().add(new ColumnConstraints(56));
        grid.setHgap(3);
        grid.setVgap(3);
        for (int tonic = 0; tonic < 12; tonic++) {
            Label l = text(Spelling.plain(tonic).symbol(), "figure-value");
            l.setMinWidth(64);
            l.setAlignment(Pos.CENTER);
            grid.add(l, tonic + 1, 0);
            Label rescue =
                    text(map.rescue(tonic) == 0 ? "none" : "capo " + map.rescue(tonic), "caption");
            rescue.setMinWidth(64);
            rescue.setAlignment(Pos.CENTER);
            grid.add(rescue, tonic + 1, map.rows().size() + 1);
        }
        grid.add(text("best", "caption"), 0, map.rows().size() + 1);
        for (DroneMap.Row row : map.rows()) {
            grid.add(
                    text(row.capo() == 0 ? "no capo" : "capo " + row.capo(), "caption"),
                    0,
                    row.capo() + 1);
            for (int tonic = 0; tonic < 12; tonic++) {
                DroneMap.Cell cell = row.cells().get(tonic);
                boolean now =
                        same
                                && row.capo() == ground.capo()
                                && tonic == ground.key().tonic().pitchClass();
                Button b = droneCell(cell, now);
                b.setOnAction(
                        e -> {
                            model.setGround(
                                    ground.withTuning(tuning)
                                            .withCapo(cell.capo())
                                            .withKey(cell.key()),
                                    "tuning, capo and key");
                            content.getScene().getWindow().hide();
                        });
                grid.add(b, tonic + 1, row.capo() + 1);
            }
        }
        arrows(grid);
        return grid;
    }

    private static Button droneCell(DroneMap.Cell cell, boolean now) {
        HBox bars = new HBox(2);
        bars.setAlignment(Pos.BOTTOM_CENTER);
        bars.setMinHeight(18);
        for (DroneMap.Role role : cell.roles()) {
            Region r = new Region();
            r.getStyleClass()
                    .addAll("drone-bar", "drone-" + role.name().toLowerCase(java.util.Locale.ROOT));
            bars.getChildren().add(r);
        }
        Button b = new Button(String.valueOf(cell.fits()), bars);
        b.setContentDisplay(javafx.scene.control.ContentDisplay.TOP);
        b.getStyleClass().add("drone-cell");
        b.pseudoClassStateChanged(NOW, now);
        String words =
                cell.roles().stream()
                        .map(r -> r.name().toLowerCase(java.util.Locale.ROOT))
                        .collect(Collectors.joining(", "));
        b.setTooltip(new Tooltip("from the lowest string: " + words));
        b.setAccessibleText(cell.key() + ", capo " + cell.capo() + ": " + words);
        return b;
    }

    /** Arrow keys walk the buttons of a grid. */
    private static void arrows(GridPane grid) {
        grid.addEventFilter(
                KeyEvent.KEY_PRESSED,
                e -> {
                    if (!e.getCode().isArrowKey() || !(e.getTarget() instanceof Button from)) {
                        return;
                    }
                    int column = GridPane.getColumnIndex(from);
                    int row = GridPane.getRowIndex(from);
                    switch (e.getCode()) {
                        case LEFT -> column--;
                        case RIGHT -> column++;
                        case UP -> row--;
                        default -> row++;
                    }
                    for (Node n : grid.getChildren()) {
                        if (n instanceof Button
                                && GridPane.getColumnIndex(n) == column
                                && GridPane.getRowIndex(n) == row) {
                            n.requestFocus();
                        }
                    }
                    e.consume();
                });
    }

    /** The voicing shown over each of the twelve basses. */
    static void bassSweep(WriteModel model, Scene owner) {
        Voicing v = model.shownProperty().get();
        GridPane grid = new GridPane();
        grid.getStyleClass().add("figures");
        grid.addRow(
                0,
                text("bass", "caption"),
                text("becomes", "caption"),
                text("its notes above the bass", "caption"),
                text("open on", "caption"));
        Key key = model.key();
        for (Context.OverBass o : Context.bassSweep(v, key)) {
            String degrees =
                    o.degrees().stream().map(Degree::symbol).collect(Collectors.joining("  "));
            boolean inside = key.contains(o.bass().pitchClass());
            grid.addRow(
                    grid.getRowCount(),
                    text(
                            o.bass().symbol() + (inside ? "" : "  outside"),
                            inside ? "figure-value" : "caption"),
                    text(o.name().symbol(), "figure-value"),
                    text(degrees, "figure-value"),
                    openOn(v, o.bass().pitchClass()));
        }
        VBox content =
                new VBox(10, text(v.shape().text() + " over the twelve basses", "help-head"), grid);
        content.getStyleClass().add("help");
        open(model, owner, "Bass sweep", content, 620, 390);
    }

    /** The open strings that give a bass, or those of them that the shape leaves free. */
    private static Label openOn(Voicing v, int bass) {
        int n = v.board().strings();
        String free =
                IntStream.range(0, n)
                        .filter(s -> Math.floorMod(v.board().midi(s, 0), 12) == bass)
                        .filter(s -> !v.shape().sounds(s) || v.shape().fret(s) == 0)
                        .mapToObj(s -> "string " + (n - s))
                        .collect(Collectors.joining(", "));
        return text(free, "open-string");
    }

    /** The keys that the riff's notes fit; choosing one sets the key. */
    static void modeFinder(WriteModel model, Scene owner) {
        TreeSet<Integer> notes = new TreeSet<>();
        for (Score.Strike s : model.score().strikes()) {
            s.notes().forEach(n -> notes.add(n.pitchClass()));
        }
        GridPane grid = new GridPane();
        grid.getStyleClass().add("figures");
        Stage[] stage = new Stage[1];
        List<Context.Fit> fits = Context.modes(notes, Mode.builtIn());
        for (Context.Fit fit : fits.subList(0, Math.min(MOST_FITS, fits.size()))) {
            String outside =
                    fit.outside().isEmpty()
                            ? "every note fits"
                            : fit.outside().stream()
                                            .map(pc -> fit.key().spell(pc).symbol())
                                            .collect(Collectors.joining(", "))
                                    + " outside";
            Button b = new Button(fit.key().symbol());
            b.getStyleClass().add("quiet-button");
            b.setOnAction(
                    e -> {
                        model.reinterpret(fit.key());
                        stage[0].close();
                    });
            grid.addRow(
                    grid.getRowCount(),
                    b,
                    text(outside, "caption"),
                    text(deciding(fit, fits), "caption"));
        }
        String played =
                notes.stream()
                        .map(pc -> model.key().spell(pc).symbol())
                        .collect(Collectors.joining("  "));
        VBox content =
                new VBox(
                        10,
                        text("Keys that fit " + played, "help-head"),
                        text(
                                "Choosing one re-reads the riff in that key; its notes stay where they are.",
                                "caption"),
                        grid);
        content.getStyleClass().add("help");
        stage[0] = open(model, owner, "Keys that fit", content, 640, 560);
    }

    /** The notes of a key's scale that the best key does not share: they decide between the two. */
    private static String deciding(Context.Fit fit, List<Context.Fit> fits) {
        Key best = fits.get(0).key();
        String notes =
                fit.key().scale().stream()
                        .filter(s -> !best.contains(s.pitchClass()))
                        .map(Spelling::symbol)
                        .collect(Collectors.joining(", "));
        return fit.key().equals(best) || notes.isEmpty() ? "" : notes + " would decide for it";
    }
}
