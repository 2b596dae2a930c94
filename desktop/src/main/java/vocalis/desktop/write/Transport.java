package vocalis.desktop.write;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import javafx.animation.AnimationTimer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import vocalis.core.arrange.Song;
import vocalis.core.rhythm.MeterMap;
import vocalis.desktop.session.Session;
import vocalis.desktop.session.Whereabouts;
import vocalis.desktop.view.Explain;
import vocalis.sound.device.AudioOutput;
import vocalis.sound.engine.Telemetry;

/**
 * Play and stop, where the loop is, what the sound goes to, how loud it is. While something sounds
 * it follows the engine frame by frame, and for a moment after every key; else it only looks twice
 * a second, so that an idle window costs next to nothing.
 */
public final class Transport extends HBox {

    private static final int SEGMENTS = 12;
    private static final double FALL = 0.86;
    private static final long LOOK_MILLIS = 500;
    private static final double SILENT = 1e-4;

    /** Follows where the loop is. */
    public interface Follower {
        void now(boolean playing, double tick);
    }

    private final Session session;
    private final Whereabouts whereabouts;
    private final List<Follower> followers;
    private final Button play = new Button();
    private final FontIcon icon = new FontIcon(Feather.PLAY);
    private final Label position = new Label();
    private final Label sink = new Label();
    private final HBox meter = new HBox(2);
    private final Slider volume = new Slider(-36, 6, -12);
    private final ScheduledExecutorService looking =
            Executors.newSingleThreadScheduledExecutor(
                    r -> {
                        Thread t = new Thread(r, "vocalis-look");
                        t.setDaemon(true);
                        return t;
                    });
    private final AtomicBoolean asked = new AtomicBoolean();
    private boolean following;
    private boolean wasPlaying;
    private int lit = -1;
    private boolean grown;
    private double level;
    private long quiet;
    private final AnimationTimer timer =
            new AnimationTimer() {
                @Override
                public void handle(long now) {
                    tick();
                }
            };

    /**
     * @param showOutput opens the sheet of where the sound goes
     */
    public Transport(
            Session session,
            Whereabouts whereabouts,
            Runnable showOutput,
            List<Follower> followers) {
        this.session = session;
        this.whereabouts = whereabouts;
        this.followers = followers;
        getStyleClass().add("transport");
        setAlignment(Pos.CENTER_RIGHT);
        VBox where = new VBox(0, position);
        where.setAlignment(Pos.CENTER_LEFT);
        where.setMinWidth(88);
        getChildren().addAll(loudness(), output(showOutput), where, playing());
        looking.scheduleWithFixedDelay(this::look, 0, LOOK_MILLIS, TimeUnit.MILLISECONDS);
    }

    private Button playing() {
        play.setGraphic(icon);
        play.setId("play");
        play.getStyleClass().add("play-button");
        play.setFocusTraversable(false);
        play.setAccessibleText("Play or stop");
        Explain.means(play, "Play the loop from this bar, or stop (Space)");
        play.setOnAction(
                e -> {
                    whereabouts.screen().togglePlay();
                    wake();
                });
        position.getStyleClass().add("position");
        position.setId("position");
        position.setMinWidth(USE_PREF_SIZE);
        return play;
    }

    private VBox output(Runnable show) {
        sink.getStyleClass().add("caption");
        sink.setId("sink");
        sink.setOnMouseClicked(e -> show.run());
        Explain.means(
                sink,
                "Where the sound goes. Without an output, or with one that does not answer, the riff"
                        + " plays on silently; after a change of device the output is muted until"
                        + " Ctrl M.");
        for (int i = 0; i < SEGMENTS; i++) {
            Region r = new Region();
            r.getStyleClass().add("meter-segment");
            meter.getChildren().add(r);
        }
        meter.setAlignment(Pos.CENTER_LEFT);
        meter.setId("meter");
        Explain.means(meter, "How loud the output is, up to full scale");
        VBox out = new VBox(3, sink, meter);
        out.setAlignment(Pos.CENTER_LEFT);
        return out;
    }

    private VBox loudness() {
        volume.setPrefWidth(84);
        volume.setMinWidth(46);
        volume.setId("volume");
        volume.setAccessibleText("Volume in decibels");
        Explain.means(volume, "Volume; the program starts quiet");
        volume.setBlockIncrement(3);
        volume.valueProperty()
                .addListener(o -> session.player().volume(Math.pow(10, volume.getValue() / 20)));
        Label caption = new Label("volume");
        caption.getStyleClass().add("caption");
        VBox loud = new VBox(3, caption, volume);
        loud.setAlignment(Pos.CENTER_LEFT);
        return loud;
    }

    /** Volume in decibels. */
    public javafx.beans.property.DoubleProperty volumeProperty() {
        return volume.valueProperty();
    }

    /** Stops following the engine. */
    public void dispose() {
        timer.stop();
        looking.shutdownNow();
    }

    /** Something may begin to sound: follows at once instead of at the next look. */
    public void wake() {
        quiet = 0;
        follow(true);
    }

    private void look() {
        if (asked.compareAndSet(false, true)) {
            Platform.runLater(
                    () -> {
                        asked.set(false);
                        if (!following) {
                            tick();
                        }
                    });
        }
    }

    private void tick() {
        Telemetry.Moment r = session.player().telemetry().latest();
        boolean playing = r.playing();
        boolean sounds = playing || r.audition() || r.peak() > SILENT || level > SILENT;
        quiet = sounds ? 0 : quiet + 1;
        follow(sounds || following && quiet < 30);
        if (playing != wasPlaying) {
            icon.setIconCode(playing ? Feather.SQUARE : Feather.PLAY);
            wasPlaying = playing;
        }
        set(position, playing ? where(r.tick()) : bars());
        set(sink, sinkWords());
        sayHeld();
        level = Math.max(r.peak(), level * FALL);
        showLevel();
        double tick = whereabouts.screen().ofSong() ? r.tick() : clipped(r.tick());
        boolean turns =
                playing
                        && !whereabouts.screen().ofSong()
                        && session.caret().view().followProperty().get();
        if (turns && !session.caret().view().shownProperty().get().shows(tick)) {
            session.caret().view().show((long) tick);
        }
        followers.forEach(f -> f.now(playing, tick));
    }

    private double clipped(double tick) {
        return Math.max(0, Math.min(session.riff().length() - 1, tick));
    }

    private void follow(boolean on) {
        if (on != following) {
            following = on;
            if (on) {
                timer.start();
            } else {
                timer.stop();
            }
        }
    }

    private static void set(Label label, String text) {
        if (!text.equals(label.getText())) {
            label.setText(text);
        }
    }

    private String bars() {
        Optional<Song> song = whereabouts.screen().song();
        int bars =
                song.map(s -> s.score().time().meters().bars(s.length()))
                        .orElse(session.riff().bars());
        String what = song.isPresent() ? "song of " : "loop of ";
        return what + bars + (bars == 1 ? " bar" : " bars");
    }

    private String where(double tick) {
        Optional<Song> song = whereabouts.screen().song();
        if (song.isPresent()) {
            double at = whereabouts.screen().tick(tick);
            return place(song.get().score().time().meters(), (long) at);
        }
        return place(session.riff().meters(), (long) clipped(tick));
    }

    private static String place(MeterMap meters, long at) {
        MeterMap.Place p = meters.place(at);
        return (p.bar() == 0 ? "pickup" : "bar " + p.bar()) + "  beat " + p.beat();
    }

    /** Says when the buffer grew because it ran empty, and when it is as chosen again. */
    private void sayHeld() {
        AudioOutput output = session.player().output();
        boolean now = output.heldFrames() > output.bufferFrames();
        if (now != grown) {
            grown = now;
            session.say(
                    String.format(
                            Locale.ROOT,
                            now
                                    ? "The sound ran empty: it is made %.0f ms ahead for now."
                                    : "The sound is made %.0f ms ahead, as chosen.",
                            1000 * output.latencySeconds()));
        }
    }

    private String sinkWords() {
        AudioOutput output = session.player().output();
        return switch (output.sink()) {
            case DEVICE -> output.muted() ? "muted: Ctrl M" : "output";
            case SILENT -> "playing silently";
            case FROZEN -> "output: no answer";
            case STARTING -> "starting";
        };
    }

    private void showLevel() {
        double db = 20 * Math.log10(level + 1e-6);
        int now = Math.max(0, (int) Math.round((db + 48) / 48 * SEGMENTS));
        if (now == lit) {
            return;
        }
        lit = now;
        for (int i = 0; i < SEGMENTS; i++) {
            meter.getChildren().get(i).setOpacity(i < lit ? 1 : 0.22);
        }
    }
}
