package vocalis.desktop.listening;

import java.util.ArrayList;
import java.util.List;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import vocalis.desktop.session.Asking;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.sound.device.Devices;
import vocalis.workbench.listening.Listener;

/** Whom one listens to, how loud that is, and what is wrong with it in words. */
final class SourceRow {

    private static final double FLOOR_DB = 60;

    private final Source source;
    private final ComboBox<String> inputs;
    private final ProgressBar meter = new ProgressBar(0);
    private final Label state = Choices.caption("");
    private final VBox node;

    /**
     * @param changed told when another is listened to
     */
    SourceRow(Source source, Asking session, Runnable changed) {
        this.source = source;
        List<String> names = new ArrayList<>(List.of(Source.STAND_IN));
        if (!source.standIn()) {
            names.add(source.name());
        }
        inputs =
                Choices.choice(
                        "listen-input",
                        names,
                        source.name(),
                        n -> n,
                        n -> {
                            if (n != null && !n.equals(source.name())) {
                                source.use(n);
                                changed.run();
                                tick();
                            }
                        });
        inputs.setPrefWidth(250);
        inputs.setAccessibleText("Whom Vocalis listens to");
        meter.setId("listen-meter");
        meter.setPrefWidth(170);
        meter.setAccessibleText("How loud it is");
        state.setId("listen-state");
        state.setWrapText(true);
        var caption = Choices.caption("listen to  I");
        caption.setMinWidth(Region.USE_PREF_SIZE);
        HBox row = new HBox(14, caption, inputs, meter);
        row.setAlignment(Pos.CENTER_LEFT);
        node = new VBox(6, row, state);
        session.ask("looking for sound inputs", Devices::inputs, this::offer);
        tick();
    }

    private void offer(List<String> names) {
        for (String n : names) {
            if (!inputs.getItems().contains(n)) {
                inputs.getItems().add(n);
            }
        }
    }

    /** Goes over to the next in the list, and round. */
    void next() {
        int now = inputs.getItems().indexOf(inputs.getValue());
        inputs.setValue(inputs.getItems().get((now + 1) % inputs.getItems().size()));
    }

    /**
     * Opens a sheet that hears while it clicks: Enter does its work, I takes the next input, and
     * the input is closed with it.
     *
     * @param tick done sixty times a second
     */
    Sheets.Sheet open(
            Sheets host,
            String title,
            VBox body,
            double width,
            Clicks clicks,
            Runnable enter,
            Runnable tick) {
        body.getStyleClass().add("help");
        body.setFocusTraversable(true);
        body.addEventFilter(
                KeyEvent.KEY_PRESSED,
                e -> {
                    if (e.getCode() == KeyCode.ENTER) {
                        enter.run();
                        e.consume();
                    } else if (e.getCode() == KeyCode.I && !clicks.running()) {
                        next();
                        e.consume();
                    }
                });
        Sheets.Sheet sheet = host.open(title, body, width);
        Timeline clock = new Timeline(new KeyFrame(Duration.millis(16), e -> tick.run()));
        clock.setCycleCount(Animation.INDEFINITE);
        clock.play();
        sheet.onClosed(
                () -> {
                    clock.stop();
                    clicks.end();
                    source.close();
                });
        return sheet.focus(body);
    }

    VBox node() {
        return node;
    }

    /** Shows how loud it is now. */
    void tick() {
        meter.setVisible(!source.standIn());
        if (source.standIn()) {
            state.setText(
                    "The stand-in plays for you, with a learner's mistakes: no cable needed.");
            return;
        }
        if (source.listener().isEmpty()) {
            meter.setProgress(0);
            state.setText("Not listening yet. Nothing is heard before you say so.");
            return;
        }
        Listener.Level level = source.listener().get().level();
        meter.setProgress(Math.max(0, Math.min(1, 1 + level.peakDb() / FLOOR_DB)));
        state.setText(level.words());
    }
}
