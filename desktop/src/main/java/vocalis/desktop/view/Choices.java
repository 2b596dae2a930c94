package vocalis.desktop.view;

import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import java.util.function.Function;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Control;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.skin.ComboBoxListViewSkin;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.util.StringConverter;

/** Fields that sheets and ground are made of: choices found by letter, sliders, rows. */
public final class Choices {

    /** Letters typed within this time belong together, in milliseconds. */
    private static final long TOGETHER = 900;

    /** Of a list that says no other. */
    private static final double WIDTH = 190;

    private Choices() {}

    public static Label head(String s) {
        return text(s, "help-head");
    }

    public static Label caption(String s) {
        return text(s, "caption");
    }

    public static Label mono(String s) {
        return text(s, "mono");
    }

    /** A text that wraps. */
    public static Label text(String s, String... styles) {
        Label l = new Label(s);
        l.getStyleClass().addAll(styles);
        l.setWrapText(true);
        return l;
    }

    public static GridPane grid() {
        GridPane grid = new GridPane();
        grid.setHgap(14);
        grid.setVgap(7);
        return grid;
    }

    /** A row of a grid: its name, then what it holds. */
    public static void row(GridPane grid, String label, Node... nodes) {
        Label l = caption(label);
        l.setMinWidth(90);
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
    public static HBox slider(
            String id, int least, int most, int value, Consumer<Integer> changed) {
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

    private static String signed(int value, int least) {
        return least < 0 && value > 0 ? "+" + value : String.valueOf(value).replace("-", "−");
    }

    /** A list that is chosen from. */
    public static <T> ComboBox<T> choice(
            String id, List<T> all, T now, Function<T, String> words, Consumer<T> chosen) {
        ComboBox<T> box = new ComboBox<>();
        box.setId(id);
        box.getItems().setAll(all);
        words(box, words);
        box.setValue(now);
        box.valueProperty().addListener(o -> chosen.accept(box.getValue()));
        return box;
    }

    /** How a list shows its entries; typed letters find them. */
    public static <T> void words(ComboBox<T> box, Function<T, String> words) {
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
        box.setVisibleRowCount(14);
        box.setPrefWidth(WIDTH);
        box.setSkin(new LateList<>(box));
        Finder<T> finder = new Finder<>(box, words);
        box.addEventFilter(KeyEvent.KEY_TYPED, finder::typed);
    }

    /** Its list is styled when it opens for the first time, not with the window. */
    private static final class LateList<T> extends ComboBoxListViewSkin<T> {
        LateList(ComboBox<T> box) {
            super(box);
            getChildren().remove(getPopupContent());
        }
    }

    /** Finds entries of a list by the letters typed one after another. */
    private static final class Finder<T> {
        private final ComboBox<T> box;
        private final Function<T, String> words;
        private String typed = "";
        private long last;

        Finder(ComboBox<T> box, Function<T, String> words) {
            this.box = box;
            this.words = words;
        }

        void typed(KeyEvent e) {
            String c = e.getCharacter();
            boolean letter =
                    c.length() == 1
                            && c.charAt(0) > ' '
                            && c.charAt(0) != 127
                            && !e.isShortcutDown()
                            && !e.isAltDown();
            if (!letter || box.isEditable()) {
                return;
            }
            long now = System.nanoTime() / 1_000_000;
            boolean again = typed.equalsIgnoreCase(c);
            typed = now - last > TOGETHER || again ? c : typed + c;
            last = now;
            if (again) {
                choose(c, box.getSelectionModel().getSelectedIndex() + 1);
            } else if (!choose(typed, 0) && typed.length() > 1) {
                typed = c;
                choose(c, 0);
            }
            e.consume();
        }

        /**
         * Chooses the entry that is just what was typed, or else the first from a place on that
         * begins so; the same letter again goes on to the next.
         */
        private boolean choose(String prefix, int from) {
            int n = box.getItems().size();
            String wanted = plain(prefix);
            if (from == 0) {
                for (int i = 0; i < n; i++) {
                    if (plain(words.apply(box.getItems().get(i))).equals(wanted)) {
                        box.getSelectionModel().select(i);
                        return true;
                    }
                }
            }
            for (int step = 0; step < n; step++) {
                int i = (from + step) % n;
                if (plain(words.apply(box.getItems().get(i))).startsWith(wanted)) {
                    box.getSelectionModel().select(i);
                    return true;
                }
            }
            return false;
        }

        private static String plain(String s) {
            return s.toLowerCase(Locale.ROOT).replace('♯', '#').replace('♭', 'b');
        }
    }
}
