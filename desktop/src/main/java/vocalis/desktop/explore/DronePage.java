package vocalis.desktop.explore;

import java.util.Locale;
import java.util.stream.Collectors;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ContentDisplay;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import vocalis.core.harmony.DroneMap;
import vocalis.core.instrument.Tuning;
import vocalis.core.riff.Ground;
import vocalis.core.theory.Spelling;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Explain;
import vocalis.desktop.writing.Showing;
import vocalis.workbench.document.Edits;

/**
 * Tuning by capo by key: which open strings are root, fifth, colour or clash; a cell sets the
 * ground.
 */
public final class DronePage implements ExplorePage {

    private static final PseudoClass NOW = PseudoClass.getPseudoClass("now");

    private final Showing model;
    private final Runnable close;
    private final VBox content = new VBox(12);
    private final ComboBox<Tuning> tunings = new ComboBox<>();

    /**
     * @param close what taking a cell does besides
     */
    public DronePage(Showing model, Runnable close) {
        this.model = model;
        this.close = close;
        Choices.words(tunings, t -> t.letters() + "  " + t.name());
        tunings.setAccessibleText("tuning");
    }

    @Override
    public Node show() {
        Ground ground = model.riff().ground();
        tunings.getItems().setAll(Tuning.offered());
        if (!tunings.getItems().contains(ground.instrument().tuning())) {
            tunings.getItems().add(ground.instrument().tuning());
        }
        tunings.setValue(ground.instrument().tuning());
        tunings.setOnAction(e -> fill());
        fill();
        return content;
    }

    private void fill() {
        Ground ground = model.riff().ground();
        content.getChildren()
                .setAll(droneHead(ground), tunings, droneGrid(model, tunings.getValue(), close));
    }

    /** The cell of the ground as it is. */
    @Override
    public Node first() {
        return content.lookupAll(".drone-cell").stream()
                .filter(n -> n.getPseudoClassStates().contains(NOW))
                .findFirst()
                .orElse(content);
    }

    private static VBox droneHead(Ground ground) {
        return new VBox(
                6,
                Choices.text(
                        "Open strings against every " + ground.key().mode().name() + " key",
                        "help-head"),
                Choices.text(
                        "Each bar is a string from the lowest: tall for the root, half for the fifth, a dot for"
                                + " another note of the scale, hollow where it clashes. The number says how many are"
                                + " in the scale. Choosing a cell sets tuning, capo and key.",
                        "caption"));
    }

    private static GridPane droneGrid(Showing model, Tuning tuning, Runnable close) {
        Ground ground = model.riff().ground();
        boolean same = tuning.equals(ground.instrument().tuning());
        DroneMap map = DroneMap.of(tuning, ground.key().mode());
        GridPane grid = new GridPane();
        grid.getColumnConstraints().add(new ColumnConstraints(56));
        grid.setHgap(3);
        grid.setVgap(3);
        heads(grid, map);
        for (DroneMap.Row row : map.rows()) {
            grid.add(
                    Choices.text(row.capo() == 0 ? "no capo" : "capo " + row.capo(), "caption"),
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
                            take(model, tuning, cell);
                            close.run();
                        });
                grid.add(b, tonic + 1, row.capo() + 1);
            }
        }
        arrows(grid);
        return grid;
    }

    /** The roots over their columns, and under them the capo that suits each best. */
    private static void heads(GridPane grid, DroneMap map) {
        for (int tonic = 0; tonic < 12; tonic++) {
            Label l = Choices.text(Spelling.plain(tonic).symbol(), "figure-value");
            l.setMinWidth(64);
            l.setAlignment(Pos.CENTER);
            grid.add(l, tonic + 1, 0);
            Label rescue =
                    Choices.text(
                            map.rescue(tonic) == 0 ? "none" : "capo " + map.rescue(tonic),
                            "caption");
            rescue.setMinWidth(64);
            rescue.setAlignment(Pos.CENTER);
            grid.add(rescue, tonic + 1, map.rows().size() + 1);
        }
        grid.add(Choices.text("best", "caption"), 0, map.rows().size() + 1);
    }

    private static void take(Showing model, Tuning tuning, DroneMap.Cell cell) {
        model.session()
                .apply(
                        Edits.ground(
                                "tuning, capo and key",
                                g ->
                                        g.withCapo(0)
                                                .withTuning(tuning)
                                                .withCapo(cell.capo())
                                                .withKey(cell.key())));
    }

    private static String words(DroneMap.Role role) {
        return switch (role) {
            case ROOT -> "root";
            case FIFTH -> "fifth";
            case COLOUR -> "in the scale";
            case RUB -> "clashes";
        };
    }

    private static Button droneCell(DroneMap.Cell cell, boolean now) {
        HBox bars = new HBox(2);
        bars.setAlignment(Pos.BOTTOM_CENTER);
        bars.setMinHeight(18);
        for (DroneMap.Role role : cell.roles()) {
            Region r = new Region();
            r.getStyleClass().addAll("drone-bar", "drone-" + role.name().toLowerCase(Locale.ROOT));
            bars.getChildren().add(r);
        }
        Button b = new Button(String.valueOf(cell.fits()), bars);
        b.setContentDisplay(ContentDisplay.TOP);
        b.getStyleClass().add("drone-cell");
        b.pseudoClassStateChanged(NOW, now);
        String words =
                cell.roles().stream().map(DronePage::words).collect(Collectors.joining(", "));
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
}
