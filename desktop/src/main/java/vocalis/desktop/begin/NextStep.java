package vocalis.desktop.begin;

import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import vocalis.desktop.view.Explain;

/** The next step of the way, as one button at the foot of the window; it can be sent away. */
public final class NextStep extends HBox {

    private final Button go = new Button();

    /**
     * @param lead goes to a step
     */
    public NextStep(BeginModel model, Consumer<Step> lead) {
        setAlignment(Pos.CENTER_LEFT);
        setSpacing(2);
        setId("next-step");
        go.setId("next-step-go");
        go.getStyleClass().add("strip-button");
        go.setFocusTraversable(false);
        Button away = new Button("×");
        away.getStyleClass().add("quiet-button");
        away.setId("next-step-away");
        away.setFocusTraversable(false);
        away.setAccessibleText("Do not show the next step");
        Explain.means(away, "Leaves the way; the place to begin stands in the menu Riff");
        away.setOnAction(e -> model.offTheWay());
        getChildren().addAll(go, away);
        go.setOnAction(
                e ->
                        model.nextProperty()
                                .get()
                                .ifPresent(
                                        s -> {
                                            lead.accept(s);
                                            model.done(s);
                                        }));
        model.nextProperty().addListener(o -> show(model.nextProperty().get()));
        show(model.nextProperty().get());
    }

    private void show(Optional<Step> step) {
        setVisible(step.isPresent());
        setManaged(step.isPresent());
        step.ifPresent(
                s -> {
                    go.setText("Next: " + s.question().split("(?<=[?:])")[0]);
                    Explain.means(go, s.question());
                    go.setAccessibleText("Next: " + s.question());
                });
    }
}
