package vocalis.desktop.write;

import java.util.EnumMap;
import java.util.Map;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import vocalis.core.riff.Score;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Family;

/**
 * The family keys, the count of what they hold, and the button that puts a voicing into the riff.
 */
final class FamilyBar extends HBox {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final WriteModel model;
    private final Map<Family, Button> keys = new EnumMap<>(Family.class);
    private final Label count = new Label();
    private final Button use = new Button("Use it  ⏎");
    private final Button whole = new Button("Whole riff");

    FamilyBar(WriteModel model) {
        this.model = model;
        getStyleClass().add("family-bar");
        setAlignment(Pos.CENTER_LEFT);
        for (Family f : Family.values()) {
            Button key = new Button(f.digit() + "  " + f.label());
            key.getStyleClass().add("family-key");
            key.setFocusTraversable(false);
            key.setOnAction(e -> model.browse(f));
            key.setTooltip(new Tooltip(f.label() + ": " + f.effect()));
            keys.put(f, key);
        }
        getChildren().addAll(keys.values());
        whole.getStyleClass().add("quiet-button");
        whole.setFocusTraversable(false);
        whole.setTooltip(
                new Tooltip(
                        "Voice every chord of the riff in this family (Ctrl and the digit; V for the next)"));
        whole.setOnAction(e -> model.voiceAll(model.familyProperty().get()));
        use.getStyleClass().add("use-button");
        use.setId("use-voicing");
        use.setFocusTraversable(false);
        use.setOnAction(e -> model.useShown());
        count.getStyleClass().add("caption");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        getChildren().addAll(whole, gap, count, use);
        model.familyProperty().addListener(o -> refresh());
        model.cardsProperty().addListener(o -> refresh());
        model.scoreProperty().addListener(o -> refresh());
        model.shownProperty().addListener(o -> refresh());
        model.chordProperty().addListener(o -> refresh());
        refresh();
    }

    private void refresh() {
        Family chosen = model.familyProperty().get();
        keys.forEach((f, b) -> b.pseudoClassStateChanged(CHOSEN, f == chosen));
        Score.Chord chord = model.currentChord();
        Key key = model.key();
        int voicings = model.cardsProperty().get().stream().mapToInt(c -> c.places().size()).sum();
        int cards = model.cardsProperty().get().size();
        count.setText(
                voicings
                        + " on "
                        + key.spell(chord.root())
                        + " as "
                        + cards
                        + (cards == 1 ? " shape" : " shapes"));
        use.setDisable(model.shownIsInRiff());
    }
}
