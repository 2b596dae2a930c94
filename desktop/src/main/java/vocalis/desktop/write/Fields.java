package vocalis.desktop.write;

import java.util.List;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.util.StringConverter;
import vocalis.core.riff.Band;
import vocalis.core.riff.Ground;

/**
 * Rows of the sound sheets: sliders over whole numbers, choices, and what they change in the band.
 */
final class Fields {

    private Fields() {}

    static GridPane grid() {
        GridPane grid = new GridPane();
        grid.setHgap(14);
        grid.setVgap(7);
        return grid;
    }

    static void row(GridPane grid, String label, Node... nodes) {
        Label l = Sheets.caption(label);
        l.setMinWidth(76);
        int row = grid.getRowCount();
        grid.add(l, 0, row);
        for (int i = 0; i < nodes.length; i++) {
            grid.add(nodes[i], i + 1, row);
        }
        if (nodes.length > 0 && nodes[0] instanceof Control c) {
            l.setLabelFor(c);
            c.setAccessibleText(label);
        }
    }

    /** A slider over whole numbers with its value beside it. */
    static HBox slider(String id, int least, int most, int value, Consumer<Integer> changed) {
        Slider slider = new Slider(least, most, value);
        slider.setId(id);
        slider.setBlockIncrement(1);
        slider.setMajorTickUnit(1);
        slider.setMinorTickCount(0);
        slider.setSnapToTicks(true);
        slider.setPrefWidth(150);
        slider.getStyleClass().add("quiet-slider");
        slider.setAccessibleText(id.replace('-', ' '));
        Label number = new Label(signed(value, least));
        number.setMinWidth(26);
        slider.valueProperty()
                .addListener(
                        (o, was, is) -> {
                            int now = (int) Math.round(is.doubleValue());
                            if (now != (int) Math.round(was.doubleValue())) {
                                number.setText(signed(now, least));
                                changed.accept(now);
                            }
                        });
        HBox box = new HBox(8, slider, number);
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    static String signed(int value, int least) {
        return least < 0 && value > 0 ? "+" + value : String.valueOf(value).replace("-", "−");
    }

    static <T> ComboBox<T> choice(
            String id, List<T> all, T now, Function<T, String> words, Consumer<T> chosen) {
        ComboBox<T> box = new ComboBox<>();
        box.setId(id);
        box.getItems().setAll(all);
        box.setConverter(
                new StringConverter<>() {
                    @Override
                    public String toString(T t) {
                        return t == null ? "" : words.apply(t);
                    }

                    @Override
                    public T fromString(String s) {
                        throw new UnsupportedOperationException(
                                "this list is chosen from, not typed");
                    }
                });
        box.setValue(now);
        box.setPrefWidth(190);
        box.valueProperty().addListener(o -> chosen.accept(box.getValue()));
        return box;
    }

    static Ground ground(WriteModel model) {
        return model.riff().ground();
    }

    static Band band(WriteModel model) {
        return ground(model).band();
    }

    static void change(WriteModel model, String what, UnaryOperator<Band> change) {
        Ground g = ground(model);
        model.setGround(g.withBand(change.apply(g.band())), what);
    }
}
