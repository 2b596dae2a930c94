package vocalis.desktop.keys;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Consumer;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import vocalis.desktop.session.Place;
import vocalis.desktop.view.Explain;
import vocalis.desktop.view.HoldToHear;

/**
 * What can be done in the place that has the keys: a button for each, with word and key. Buttons
 * that do not fit stand behind "All …", with everything else of the place.
 */
public final class ActionStrip extends Region {

    /** What the strip needs of the window. */
    public interface Window {

        /** Sounds what is under the caret; says whether it did. */
        boolean beginHearing(Place place);

        void endHearing();

        /** Puts the keys back on the place. */
        void keysTo(Place place);

        /** What is said besides the name of the place; empty where nothing is. */
        String detail(Place place);

        /** Whether several things are marked there. */
        boolean marked(Place place);

        /** Shows all that can be done there. */
        void all(Place place);
    }

    private static final PseudoClass LIT = PseudoClass.getPseudoClass("lit");
    private static final double GAP = 6;
    private static final double NAME_WIDTH = 96;

    private final Commands commands;
    private final Window window;
    private final Consumer<Command> asked;
    private final Label name = new Label();
    private final List<Button> buttons = new ArrayList<>();
    private final List<Command> shown = new ArrayList<>();
    private final Button all = new Button("All …");
    private Place place;
    private boolean marked;

    /**
     * @param asked told of every command that a button asked for
     */
    public ActionStrip(Commands commands, Window window, Consumer<Command> asked) {
        this.commands = commands;
        this.window = window;
        this.asked = asked;
        getStyleClass().add("action-strip");
        setId("action-strip");
        name.getStyleClass().add("caption");
        all.getStyleClass().add("strip-button");
        all.setId("strip-all");
        all.setFocusTraversable(false);
        all.setOnAction(e -> window.all(place));
        Explain.means(all, "Everything that can be done here, with its key");
    }

    /** Shows what a place has. */
    public void show(Place to) {
        boolean now = window.marked(to);
        if (to == place && now == marked) {
            return;
        }
        place = to;
        marked = now;
        buttons.clear();
        shown.clear();
        name.setText(to.words());
        List<Command> several = now ? commands.markedStrip(to) : List.of();
        List<Command> own = several.isEmpty() ? commands.strip(to) : several;
        if (!own.isEmpty() && to.canBeHeard()) {
            buttons.add(hear(to));
        }
        for (Command c : own) {
            buttons.add(button(c, to));
            shown.add(c);
        }
        getChildren().setAll(name);
        getChildren().addAll(buttons);
        getChildren().add(all);
        all.setVisible(!own.isEmpty());
        refresh();
        requestLayout();
    }

    /** Shows what is on now. */
    public void refresh() {
        if (window.marked(place) != marked) {
            show(place);
            return;
        }
        String detail = window.detail(place);
        name.setText(place.words() + (detail.isEmpty() ? "" : "\n" + detail));
        int first = buttons.size() - shown.size();
        for (int i = 0; i < shown.size(); i++) {
            buttons.get(first + i).pseudoClassStateChanged(LIT, shown.get(i).lit().getAsBoolean());
        }
    }

    private Button hear(Place of) {
        Button b = plain("Hear", "H");
        b.setId("strip-hear");
        Explain.means(b, "Hold it down to hear what the caret is on (hold H)");
        HoldToHear.mouse(b, () -> window.beginHearing(of), window::endHearing);
        b.setOnAction(e -> window.keysTo(of));
        return b;
    }

    private Button button(Command c, Place of) {
        String words = marked ? c.marked().or(c::label).orElseThrow() : c.label().orElseThrow();
        Button b = plain(words, c.printedKey());
        b.setId("strip-" + c.id());
        String key = c.printedKey();
        Explain.means(b, Command.capital(c.words()) + (key.isEmpty() ? "" : " (" + key + ")"));
        b.setOnAction(
                e -> {
                    window.keysTo(of);
                    asked.accept(c);
                    c.action().run();
                    refresh();
                });
        return b;
    }

    private static Button plain(String words, String key) {
        Button b = new Button(words);
        b.getStyleClass().add("strip-button");
        b.setFocusTraversable(false);
        b.setAccessibleText(words);
        if (!key.isEmpty()) {
            Label k = new Label(key);
            k.getStyleClass().add("strip-key");
            HBox graphic = new HBox(k);
            graphic.setAlignment(Pos.CENTER);
            b.setGraphic(graphic);
            b.setContentDisplay(javafx.scene.control.ContentDisplay.RIGHT);
            b.setGraphicTextGap(7);
        }
        return b;
    }

    @Override
    protected double computePrefHeight(double width) {
        return snappedTopInset() + snappedBottomInset() + Math.max(30, all.prefHeight(-1));
    }

    @Override
    protected double computeMinWidth(double height) {
        return 0;
    }

    @Override
    protected void layoutChildren() {
        double x = snappedLeftInset();
        double y = snappedTopInset();
        double h = getHeight() - y - snappedBottomInset();
        double right = getWidth() - snappedRightInset();
        layoutInArea(
                name,
                x,
                y,
                NAME_WIDTH,
                h,
                0,
                javafx.geometry.HPos.LEFT,
                javafx.geometry.VPos.CENTER);
        x += NAME_WIDTH + GAP;
        double high = Math.min(h, Math.ceil(all.prefHeight(-1)));
        double top = y + Math.round((h - high) / 2);
        double last = right - Math.ceil(all.prefWidth(h)) - GAP;
        boolean room = true;
        for (Button b : buttons) {
            double w = Math.ceil(b.prefWidth(h));
            room &= x + w <= last;
            b.setVisible(room);
            if (room) {
                b.resizeRelocate(x, top, w, high);
                x += w + GAP;
            }
        }
        all.resizeRelocate(x, top, Math.ceil(all.prefWidth(h)), high);
    }
}
