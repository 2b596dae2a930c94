package vocalis.desktop.sheets;

import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javafx.application.Platform;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import vocalis.core.choice.Series;
import vocalis.core.derive.Derived;
import vocalis.core.harmony.Context;
import vocalis.core.harmony.DroneMap;
import vocalis.core.instrument.Tuning;
import vocalis.core.riff.Ground;
import vocalis.core.score.ScoreNote;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Explain;
import vocalis.desktop.view.SheetHost;
import vocalis.desktop.writing.WriteModel;
import vocalis.workbench.document.Edits;

/** Sheets of harmony: drone map, bass sweep, keys that fit. */
public final class Sheets {

    private static final PseudoClass NOW = PseudoClass.getPseudoClass("now");
    private static final int MOST_FITS = 14;

    private Sheets() {}

    private static Label text(String s, String... styles) {
        return Choices.text(s, styles);
    }

    /**
     * Tuning by capo by key: which open strings are root, fifth, colour or rub; a cell sets the
     * ground.
     */
    public static void droneMap(WriteModel model, SheetHost host) {
        Ground ground = model.riff().ground();
        ComboBox<Tuning> tunings = new ComboBox<>();
        tunings.getItems().setAll(Tuning.offered());
        if (!tunings.getItems().contains(ground.instrument().tuning())) {
            tunings.getItems().add(ground.instrument().tuning());
        }
        Choices.words(tunings, t -> t.letters() + "  " + t.name());
        tunings.setValue(ground.instrument().tuning());
        tunings.setAccessibleText("tuning");
        VBox content = new VBox(12);
        content.getStyleClass().add("help");
        SheetHost.Sheet[] sheet = new SheetHost.Sheet[1];
        Runnable fill =
                () ->
                        content.getChildren()
                                .setAll(
                                        droneHead(ground),
                                        tunings,
                                        droneGrid(
                                                model, tunings.getValue(), () -> sheet[0].close()));
        tunings.valueProperty().addListener(o -> fill.run());
        fill.run();
        sheet[0] = host.open("Drone map", content, 980);
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

    private static GridPane droneGrid(WriteModel model, Tuning tuning, Runnable close) {
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
                            model.session()
                                    .apply(
                                            Edits.ground(
                                                    "tuning, capo and key",
                                                    g ->
                                                            g.withCapo(0)
                                                                    .withTuning(tuning)
                                                                    .withCapo(cell.capo())
                                                                    .withKey(cell.key())));
                            close.run();
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
        Explain.means(
                b, cell.key() + " under capo " + cell.capo() + ": from the lowest string " + words);
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
    public static void bassSweep(WriteModel model, SheetHost host) {
        Voicing v = model.shown().voicing();
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
        host.open("Bass sweep", content, 700);
    }

    /** The shape shown, slid along the neck under its open strings; a row takes it there. */
    public static void series(WriteModel model, SheetHost host) {
        Voicing v = model.shown().voicing();
        if (v.shape().lowestFretted() == 0) {
            host.open(
                    "Along the neck",
                    new VBox(text("Nothing of this shape is fretted: it cannot slide.", "caption")),
                    420);
            return;
        }
        Key key = model.key();
        GridPane grid = new GridPane();
        grid.getStyleClass().add("figures");
        SheetHost.Sheet[] stage = new SheetHost.Sheet[1];
        for (Series.Step s : Series.of(v, Optional.of(key), model.session().hand()).steps()) {
            Button b = new Button(s.voicing().shape().text());
            b.getStyleClass().add("quiet-button");
            b.setOnAction(
                    e -> {
                        model.shown().take(s.voicing().shape());
                        stage[0].close();
                    });
            boolean inside = s.outside() == 0;
            String fit =
                    (inside ? "in the key" : s.outside() + " outside")
                            + (s.playable() ? "" : ", out of reach")
                            + (s.voicing().shape().equals(v.shape()) ? ", where it is" : "");
            grid.addRow(
                    grid.getRowCount(),
                    text("fret " + s.fret(), "caption"),
                    b,
                    text(s.name().symbol(), inside ? "figure-value" : "caption"),
                    text(fit, "caption"));
        }
        boolean rings = v.shape().rings();
        VBox content =
                new VBox(
                        10,
                        text(
                                v.shape().text()
                                        + (rings
                                                ? " along the neck under its open strings"
                                                : " along the neck"),
                                "help-head"),
                        text("Choosing a place takes the shape there, on this chord.", "caption"),
                        grid);
        content.getStyleClass().add("help");
        stage[0] = host.open("Along the neck", content, 640);
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
    public static void modeFinder(WriteModel model, SheetHost host) {
        TreeSet<Integer> notes = new TreeSet<>();
        double[] time = new double[12];
        for (ScoreNote n : model.derived().score().notes()) {
            int pitchClass = model.riff().ground().board().midi(n.string(), n.fret()) % 12;
            notes.add(pitchClass);
            time[pitchClass] += n.length();
        }
        GridPane grid = new GridPane();
        grid.getStyleClass().add("figures");
        SheetHost.Sheet[] stage = new SheetHost.Sheet[1];
        List<Derived.Chord> chords = model.derived().chords();
        List<Context.Fit> fits =
                Context.modes(
                        time,
                        chords.get(0).root(),
                        chords.get(chords.size() - 1).root(),
                        Mode.builtIn());
        for (Context.Fit fit : fits.subList(0, Math.min(MOST_FITS, fits.size()))) {
            String outside =
                    fit.outside().isEmpty()
                            ? "every note fits"
                            : fit.outside().stream()
                                            .map(pc -> fit.key().say(pc).symbol())
                                            .collect(Collectors.joining(", "))
                                    + " outside, "
                                    + Math.round(100 * fit.inside())
                                    + " % of the time inside";
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
                        .map(pc -> model.key().say(pc).symbol())
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
        stage[0] = host.open("Keys that fit", content, 700);
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
