package vocalis.desktop.frame;

import javafx.beans.value.ObservableValue;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import vocalis.desktop.begin.NextStep;

/** The foot of the window: what was said last, else the keys of the place; the next step. */
public final class StatusLine extends HBox {

    private final Label keys = new Label();

    /**
     * @param said what the program says, empty where it says nothing
     */
    public StatusLine(ObservableValue<String> said, NextStep next) {
        keys.getStyleClass().add("status");
        keys.setId("status");
        Label message = new Label();
        message.getStyleClass().add("message");
        message.setId("message");
        said.addListener(
                (o, was, is) -> {
                    message.setText(is);
                    keys.setVisible(is.isEmpty());
                    keys.setManaged(is.isEmpty());
                });
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        Label constant = new Label("Space plays · F3 finds any command · F1 help");
        constant.getStyleClass().add("status");
        constant.setMinWidth(USE_PREF_SIZE);
        getChildren().addAll(keys, message, gap, next, constant);
        setAlignment(Pos.CENTER_LEFT);
        getStyleClass().add("status-line");
    }

    /** Says the keys of a place that are no buttons. */
    public void keys(String text) {
        keys.setText(text);
    }
}
