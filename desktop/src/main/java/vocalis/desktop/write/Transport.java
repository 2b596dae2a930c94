package vocalis.desktop.write;

import javafx.animation.AnimationTimer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import vocalis.core.rhythm.Meter;
import vocalis.sound.device.AudioOutput;
import vocalis.sound.engine.Telemetry;

/** Play and stop, where the loop is, what the sound goes to, how loud it is. */
final class Transport extends HBox {

    private static final int SEGMENTS = 14;
    private static final double FALL = 0.86;

    private final WriteModel model;
    private final VoiceBand band;
    private final Lane lane;
    private final Button play = new Button();
    private final FontIcon icon = new FontIcon(Feather.PLAY);
    private final Label position = new Label();
    private final Label sink = new Label();
    private final HBox meter = new HBox(2);
    private final Slider volume = new Slider(-36, 6, -12);
    private double level;
    private final AnimationTimer timer =
            new AnimationTimer() {
                @Override
                public void handle(long now) {
                    tick();
                }
            };

    Transport(WriteModel model, VoiceBand band, Lane lane) {
        this.model = model;
        this.band = band;
        this.lane = lane;
        getStyleClass().add("transport");
        setAlignment(Pos.CENTER_RIGHT);
        play.setGraphic(icon);
        play.setId("play");
        play.getStyleClass().add("play-button");
        play.setFocusTraversable(false);
        play.setAccessibleText("Play or stop");
        play.setTooltip(new Tooltip("Play the loop from this bar, or stop (Space)"));
        play.setOnAction(e -> model.hearing().togglePlay());
        position.getStyleClass().add("position");
        position.setId("position");
        sink.getStyleClass().add("caption");
        sink.setId("sink");
        for (int i = 0; i < SEGMENTS; i++) {
            Region r = new Region();
            r.getStyleClass().add("meter-segment");
            meter.getChildren().add(r);
        }
        sink.setOnMouseClicked(e -> OutputSheet.show(model, getScene()));
        sink.setTooltip(new Tooltip("Where the sound goes (F5)"));
        meter.setAlignment(Pos.CENTER_LEFT);
        meter.setId("meter");
        volume.setPrefWidth(90);
        volume.setId("volume");
        volume.setAccessibleText("Volume in decibels");
        volume.setTooltip(new Tooltip("Volume; the program starts quiet"));
        volume.setBlockIncrement(3);
        volume.valueProperty()
                .addListener(o -> model.player().volume(Math.pow(10, volume.getValue() / 20)));
        VBox out = new VBox(3, sink, meter);
        out.setAlignment(Pos.CENTER_LEFT);
        Label caption = new Label("volume");
        caption.getStyleClass().add("caption");
        VBox loud = new VBox(3, caption, volume);
        loud.setAlignment(Pos.CENTER_LEFT);
        VBox where = new VBox(0, position);
        where.setAlignment(Pos.CENTER_LEFT);
        where.setMinWidth(92);
        getChildren().addAll(loud, out, where, play);
        timer.start();
    }

    /** Stops following the engine. */
    void dispose() {
        timer.stop();
    }

    private void tick() {
        Telemetry.Reading r = model.player().telemetry().latest();
        icon.setIconCode(r.playing() ? Feather.SQUARE : Feather.PLAY);
        Meter m = model.riff().ground().meter();
        long bar = m.barTicks();
        double tick = Math.max(0, Math.min(model.riff().length() - 1, r.tick()));
        int bars = model.riff().bars();
        String loop = "loop of " + bars + (bars == 1 ? " bar" : " bars");
        position.setText(
                r.playing()
                        ? "bar "
                                + ((long) tick / bar + 1)
                                + "  beat "
                                + ((long) tick % bar / m.beatTicks() + 1)
                        : loop);
        AudioOutput.Sink s = model.player().output().sink();
        sink.setText(
                switch (s) {
                    case DEVICE ->
                            model.player().output().muted()
                                    ? "muted after a change: Ctrl M"
                                    : "output";
                    case SILENT -> "no sound device: silent";
                    case STARTING -> "starting";
                });
        level = Math.max(r.peak(), level * FALL);
        showLevel();
        if (band.getSkin() instanceof VoiceBandSkin skin) {
            skin.showNow(r.playing(), r.tick());
        }
        if (lane.getSkin() instanceof LaneSkin skin) {
            skin.showNow(r.playing(), r.tick());
        }
    }

    private void showLevel() {
        double db = 20 * Math.log10(level + 1e-6);
        int lit = (int) Math.round((db + 48) / 48 * SEGMENTS);
        for (int i = 0; i < SEGMENTS; i++) {
            meter.getChildren().get(i).setOpacity(i < lit ? 1 : 0.22);
        }
    }
}
