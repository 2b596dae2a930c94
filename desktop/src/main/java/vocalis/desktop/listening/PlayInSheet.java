package vocalis.desktop.listening;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.Callable;
import java.util.function.BiConsumer;
import java.util.function.Function;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Mix;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Riff;
import vocalis.core.score.Score;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.SheetHost;
import vocalis.formats.sheet.Imported;
import vocalis.sound.listen.Take;
import vocalis.workbench.listening.Listener;
import vocalis.workbench.listening.PlayIn;
import vocalis.workbench.listening.StandIn;
import vocalis.workbench.playing.Heard;

/**
 * A riff is played in: a bar is counted, then it is played; what was heard is written down and
 * taken apart like any tab that comes from outside, so that nothing of the open riff is touched.
 */
public final class PlayInSheet {

    private static final double WIDTH = 620;
    private static final List<Integer> BARS = List.of(1, 2, 4, 8, 16);

    private final Session session;
    private final Source source;
    private final BiConsumer<Callable<Take>, Function<Take, Imported>> write;
    private final Alignment alignment = new Alignment();
    private final SourceRow from;
    private final Button begin = new Button("Count in and play  ⏎");
    private final Label state = Choices.text("");
    private final ProgressBar progress = new ProgressBar(0);
    private int bars = 4;
    private boolean recording;
    private SheetHost.Sheet sheet;

    private PlayInSheet(
            Session session,
            Source source,
            BiConsumer<Callable<Take>, Function<Take, Imported>> write) {
        this.session = session;
        this.source = source;
        this.write = write;
        from = new SourceRow(source, session, () -> {});
    }

    /**
     * Opens it.
     *
     * @param write has a take written down on a worker and shows what it is made of
     */
    public static void show(
            Session session,
            Source source,
            SheetHost host,
            BiConsumer<Callable<Take>, Function<Take, Imported>> write) {
        new PlayInSheet(session, source, write).open(host);
    }

    private void open(SheetHost host) {
        Riff riff = session.now();
        ComboBox<Integer> many =
                Choices.choice(
                        "play-in-bars",
                        BARS,
                        bars,
                        b -> b == 1 ? "1 bar" : b + " bars",
                        b -> bars = b);
        GridPane grid = Choices.grid();
        Choices.row(grid, "how long", many);
        Choices.row(
                grid,
                "tempo",
                Choices.text(
                        riff.tempo()
                                + ", "
                                + riff.meters().meter(0).symbol()
                                + ", as the open riff has it"));
        begin.setId("play-in-begin");
        begin.getStyleClass().add("use-button");
        begin.setOnAction(e -> toggle());
        state.setId("play-in-state");
        state.setWrapText(true);
        progress.setPrefWidth(WIDTH);
        progress.setVisible(false);
        VBox body =
                new VBox(
                        14,
                        Choices.caption(
                                "One bar is counted, then play, clean and alone. What is heard is"
                                        + " written down and shown beside what it is made of; the open riff"
                                        + " stays as it is until you work on the new one."),
                        from.node(),
                        grid,
                        begin,
                        progress,
                        state);
        body.getStyleClass().add("help");
        body.setFocusTraversable(true);
        body.addEventFilter(
                KeyEvent.KEY_PRESSED,
                e -> {
                    if (e.getCode() == KeyCode.ENTER) {
                        toggle();
                        e.consume();
                    } else if (e.getCode() == KeyCode.I && !recording) {
                        from.next();
                        e.consume();
                    }
                });
        sheet = host.open("Play a riff in", body, WIDTH);
        Timeline clock = new Timeline(new KeyFrame(Duration.millis(16), e -> tick()));
        clock.setCycleCount(Animation.INDEFINITE);
        clock.play();
        sheet.onClosed(
                () -> {
                    clock.stop();
                    end();
                    source.close();
                });
        sheet.focus(body);
    }

    private void toggle() {
        if (recording) {
            end();
            state.setText("Stopped. Nothing was kept.");
            return;
        }
        if (source.standIn()) {
            standIn();
            return;
        }
        source.open();
        alignment.clear();
        recording = true;
        begin.setText("Stop  ⏎");
        progress.setVisible(true);
        session.player().showAndPlay(clicks(), 0);
    }

    /** A bar and those that are played, with the click alone. */
    private Heard clicks() {
        Riff riff = session.now();
        Meter meter = riff.meters().meter(0);
        Score score =
                new Score(
                        riff.ground().board(),
                        TimeLine.of(meter, riff.tempo()),
                        (1L + bars) * meter.barTicks(),
                        List.of(),
                        List.of());
        return new Heard(score, Optional.empty(), riff.ground(), Mix.ALONE.withClick(Fader.ON));
    }

    private double barSeconds() {
        Riff riff = session.now();
        Meter meter = riff.meters().meter(0);
        return TimeLine.of(meter, riff.tempo()).tempos().seconds(meter.barTicks());
    }

    private void tick() {
        from.tick();
        if (!recording || source.listener().isEmpty()) {
            return;
        }
        var now = session.player().telemetry().latest();
        Riff riff = session.now();
        Meter meter = riff.meters().meter(0);
        double played = TimeLine.of(meter, riff.tempo()).tempos().seconds((long) now.tick());
        Listener listener = source.listener().get();
        double bar = barSeconds();
        if (now.playing()) {
            alignment.add(played, listener.seconds());
            progress.setProgress(played / ((1 + bars) * bar));
            state.setText(
                    played < bar
                            ? "Counting in."
                            : "Playing: bar " + (int) (played / bar) + " of " + bars + ".");
        }
        double late = source.late().orElse(session.player().output().latencySeconds());
        if (played > (1 + bars) * bar - 0.1) {
            done(listener, alignment.heard(bar) + late, bar);
        }
    }

    private void done(Listener listener, double one, double bar) {
        double last = one + bars * bar;
        Take take = listener.take(Math.max(0, one - bar / 4), last);
        double begins = Math.min(one, bar / 4);
        sheet.close();
        write(take, OptionalDouble.of(begins));
    }

    /** The stand-in plays the open riff with a learner's mistakes. */
    private void standIn() {
        Score score = session.derived().score();
        var ground = session.now().ground();
        long seed = System.nanoTime();
        sheet.close();
        PlayIn in = new PlayIn(ground, session.hand(), session.catalogue());
        double tempo = session.now().tempo();
        Meter meter = session.now().meters().meter(0);
        write.accept(
                () -> StandIn.play(score, ground, StandIn.Errors.LEARNING, seed),
                take ->
                        in.of(
                                        take,
                                        Optional.of(tempo),
                                        OptionalDouble.of(0),
                                        meter,
                                        "what the stand-in played")
                                .sheet());
    }

    private void write(Take take, OptionalDouble begins) {
        PlayIn in = new PlayIn(session.now().ground(), session.hand(), session.catalogue());
        double tempo = session.now().tempo();
        Meter meter = session.now().meters().meter(0);
        write.accept(
                () -> take,
                t -> in.of(t, Optional.of(tempo), begins, meter, "what you played").sheet());
    }

    private void end() {
        if (recording) {
            recording = false;
            session.player().stop();
            session.player().show(session.workspace().heard());
            begin.setText("Count in and play  ⏎");
            progress.setVisible(false);
        }
    }
}
