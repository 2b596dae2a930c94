package vocalis.desktop.cards;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.BiFunction;
import java.util.function.Function;
import javafx.animation.Animation;
import javafx.animation.PauseTransition;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuButton;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.TextField;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import vocalis.core.choice.Filter;
import vocalis.core.derive.Derived;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;
import vocalis.desktop.view.Explain;
import vocalis.desktop.writing.WriteModel;
import vocalis.workbench.library.PieceFiles;
import vocalis.workbench.words.FamilyWords;
import vocalis.workbench.words.FilterWords;

/**
 * The family keys, the count of what they hold, and the button that puts a voicing into the riff.
 */
public final class FamilyBar extends VBox {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final WriteModel model;
    private final Runnable toCards;
    private final Map<Family, Button> keys = new EnumMap<>(Family.class);
    private final Label count = new Label();
    private final Button use = new Button("Use it  ⏎");
    private final MenuButton filters = new MenuButton("Filter");
    private final TextField find = new TextField();
    private final Button whole = new Button("Whole riff");

    /**
     * @param toCards puts the caret on the cards
     */
    public FamilyBar(WriteModel model, Runnable toCards) {
        this.model = model;
        this.toCards = toCards;
        getStyleClass().add("family-bar");
        whole.getStyleClass().add("quiet-button");
        whole.setFocusTraversable(false);
        Explain.means(whole, "Voice every chord of the riff in this family (Ctrl and the digit)");
        whole.setOnAction(e -> model.chords().voiceAll(model.shown().familyProperty().get()));
        use.getStyleClass().add("use-button");
        use.setId("use-voicing");
        use.setFocusTraversable(false);
        use.setOnAction(e -> model.useShown());
        count.getStyleClass().add("caption");
        finding();
        getChildren().addAll(families(), row());
        setSpacing(3);
        model.shown().familyProperty().addListener(o -> refresh());
        model.shown().cardsProperty().addListener(o -> refresh());
        model.derivedProperty().addListener(o -> refresh());
        model.shown().voicingProperty().addListener(o -> refresh());
        model.offer().lookingProperty().addListener(o -> refresh());
        model.caret().chordProperty().addListener(o -> refresh());
        refresh();
    }

    private HBox families() {
        HBox top = new HBox(2);
        top.setAlignment(Pos.CENTER_LEFT);
        for (Family f : Family.values()) {
            Button key = familyKey(f.digit() + " " + f.shortLabel(), f.digit());
            key.setOnAction(e -> model.browse(f));
            Explain.means(key, f.label() + ": " + FamilyWords.effect(f));
            keys.put(f, key);
        }
        top.getChildren().addAll(keys.values());
        Button own = familyKey("0 Own", 0);
        Explain.means(own, "Your own shapes on this root; Ctrl B keeps the one shown");
        own.setOnAction(e -> browseOwn());
        top.getChildren().add(own);
        return top;
    }

    private static Button familyKey(String words, int digit) {
        Button key = new Button(words);
        key.getStyleClass().add("family-key");
        key.setFocusTraversable(false);
        key.setId("family-" + digit);
        return key;
    }

    /** The field finds a little after the last letter, and at once with Enter. */
    private void finding() {
        find.setPromptText("find a shape, a name or notes");
        find.setId("find");
        find.getStyleClass().add("find");
        find.setPrefWidth(200);
        Explain.means(find, "x-9-11-11-0-0, F#7sus4, or F# C# B E (Ctrl F)");
        PauseTransition pause = new PauseTransition(Duration.millis(160));
        find.setOnAction(
                e -> {
                    if (pause.getStatus() == Animation.Status.RUNNING) {
                        pause.stop();
                        search();
                    }
                    toCards.run();
                });
        pause.setOnFinished(e -> search());
        find.textProperty().addListener(o -> pause.playFromStart());
    }

    /** Where there is little room the count gives way, not the buttons. */
    private HBox row() {
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox row = new HBox(10, count, gap, whole, filters(), find, use);
        count.setMinWidth(0);
        for (Region kept : List.of(whole, filters, use)) {
            kept.setMinWidth(Region.USE_PREF_SIZE);
        }
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    /** Says something in the place of the count. */
    public void say(String text) {
        count.setText(text);
    }

    public void browseOwn() {
        try {
            model.browseOwn();
            toCards.run();
        } catch (PieceFiles.PieceFileException e) {
            count.setText(e.getMessage());
        }
    }

    public void keepShown() {
        try {
            model.keepShown();
            count.setText(
                    "kept as your own: " + model.shown().voicing().shape() + " (0 shows them)");
        } catch (PieceFiles.PieceFileException e) {
            count.setText(e.getMessage());
        }
    }

    private MenuButton filters() {
        filters.getStyleClass().add("quiet-button");
        filters.setId("filters");
        choices(Filter.Open.values(), FilterWords::of, Filter::open, Filter::with);
        choices(Filter.Position.values(), FilterWords::of, Filter::position, Filter::with);
        choices(Filter.Thickness.values(), FilterWords::of, Filter::thickness, Filter::with);
        choices(Filter.Strings.values(), FilterWords::of, Filter::strings, Filter::with);
        choices(Filter.Top.values(), FilterWords::of, Filter::top, Filter::with);
        choices(Filter.Colour.values(), FilterWords::of, Filter::colour, Filter::with);
        CheckMenuItem comfortable = new CheckMenuItem("inside comfort only");
        comfortable
                .selectedProperty()
                .addListener(
                        o -> {
                            var filter = model.offer().filterProperty();
                            filter.set(filter.get().comfortable(comfortable.isSelected()));
                        });
        filters.getItems().add(comfortable);
        model.offer()
                .filterProperty()
                .addListener(
                        o ->
                                filters.setText(
                                        model.offer().filterProperty().get().equals(Filter.NONE)
                                                ? "Filter"
                                                : "Filter (on)"));
        return filters;
    }

    /** One question of the filter: a menu of its own with its answers, the chosen one marked. */
    private <T> void choices(
            T[] values,
            Function<T, String> words,
            Function<Filter, T> now,
            BiFunction<Filter, T, Filter> change) {
        Menu menu = new Menu(words.apply(values[0]));
        ToggleGroup group = new ToggleGroup();
        var filter = model.offer().filterProperty();
        for (T value : values) {
            RadioMenuItem item = new RadioMenuItem(words.apply(value));
            item.setToggleGroup(group);
            item.setSelected(value == now.apply(filter.get()));
            item.setOnAction(e -> filter.set(change.apply(filter.get(), value)));
            menu.getItems().add(item);
            filter.addListener(
                    o -> {
                        boolean chosen = value == now.apply(filter.get());
                        item.setSelected(chosen);
                        if (chosen) {
                            menu.setText(words.apply(value));
                        }
                    });
        }
        filters.getItems().add(menu);
    }

    /** Opens the filter's menu. */
    public void showFilters() {
        filters.requestFocus();
        filters.show();
    }

    /** Puts the caret into the field that finds. */
    public void focusFind() {
        find.requestFocus();
        find.selectAll();
    }

    /** Searches as one types; an empty field shows the family again. */
    private void search() {
        String text = find.getText().strip();
        try {
            if (text.isEmpty()) {
                model.browse(model.shown().familyProperty().get());
            } else {
                model.find(text);
            }
        } catch (IllegalArgumentException e) {
            count.setText(e.getMessage());
        }
    }

    private void refresh() {
        Family chosen = model.shown().familyProperty().get();
        boolean searched = model.offer().found().isPresent();
        keys.forEach((f, b) -> b.pseudoClassStateChanged(CHOSEN, f == chosen && !searched));
        Derived.Chord chord = model.currentChord();
        Key key = model.key();
        int voicings =
                model.shown().cardsProperty().get().stream().mapToInt(c -> c.places().size()).sum();
        int cards = model.shown().cardsProperty().get().size();
        String what =
                model.offer()
                        .found()
                        .map(f -> "found for " + f + ": ")
                        .orElse(chosen.label() + " on " + key.say(chord.root()) + ": ");
        int all = model.offer().all();
        String shapes = " in " + cards + (cards == 1 ? " shape" : " shapes");
        boolean some = all > voicings;
        boolean looking = model.offer().lookingProperty().get();
        count.setText(
                looking
                        ? what + "looking …"
                        : what + (some ? "best " + voicings + " of " + all : voicings + shapes));
        use.setDisable(model.shown().isInRiff());
    }
}
