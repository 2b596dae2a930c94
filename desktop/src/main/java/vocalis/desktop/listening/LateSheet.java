package vocalis.desktop.listening;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import vocalis.core.mix.Fader;
import vocalis.core.mix.Mix;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.score.Score;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.SheetHost;
import vocalis.sound.listen.OnsetFinder;
import vocalis.sound.listen.Take;
import vocalis.workbench.listening.Latency;
import vocalis.workbench.listening.Listener;
import vocalis.workbench.playing.Heard;

/** Measures how late what is played comes in: eight clicks go out, and are heard or tapped. */
final class LateSheet {

    private static final double WIDTH = 560;
    private static final int TEMPO = 120;
    private static final int CLICKS = 8;
    private static final double AFTER = 0.5;

    private final Session session;
    private final Source source;
    private final Alignment alignment = new Alignment();
    private final SourceRow from;
    private final Button begin = new Button("Eight clicks  ⏎");
    private final Label state = Choices.text("");
    private boolean running;

    private LateSheet(Session session, Source source) {
        this.session = session;
        this.source = source;
        from = new SourceRow(source, session, this::known);
    }

    static void show(Session session, Source source, SheetHost host) {
        new LateSheet(session, source).open(host);
    }

    private void open(SheetHost host) {
        begin.setId("late-begin");
        begin.getStyleClass().add("use-button");
        begin.setOnAction(e -> start());
        state.setId("late-state");
        VBox body =
                new VBox(
                        14,
                        Choices.caption(
                                "Sound takes its time to the speaker and back. Loop a cable from output to"
                                        + " input, or hold the guitar to the speaker; or mute the strings and tap"
                                        + " along with eight clicks. What is found is kept for this input."),
                        from.node(),
                        begin,
                        state);
        body.getStyleClass().add("help");
        body.setFocusTraversable(true);
        body.addEventFilter(
                KeyEvent.KEY_PRESSED,
                e -> {
                    if (e.getCode() == KeyCode.ENTER) {
                        start();
                        e.consume();
                    } else if (e.getCode() == KeyCode.I && !running) {
                        from.next();
                        e.consume();
                    }
                });
        SheetHost.Sheet sheet = host.open("How late it comes in", body, WIDTH);
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
        known();
    }

    private void known() {
        state.setText(
                source.late().isPresent()
                        ? String.format(
                                Locale.ROOT,
                                "For this input it was %.0f ms.",
                                1000 * source.late().getAsDouble())
                        : "Not measured for this input: what the buffers hold is taken instead.");
    }

    private void start() {
        if (running) {
            return;
        }
        if (source.standIn()) {
            state.setText("The stand-in is never late. Choose an input above.");
            return;
        }
        source.open();
        alignment.clear();
        running = true;
        Score clicks =
                new Score(
                        session.now().ground().board(),
                        TimeLine.of(Meter.COMMON, TEMPO),
                        (CLICKS / 4 + 2L) * Meter.COMMON.barTicks(),
                        List.of(),
                        List.of());
        session.player()
                .showAndPlay(
                        new Heard(
                                clicks,
                                Optional.empty(),
                                session.now().ground(),
                                Mix.ALONE.withClick(Fader.ON)),
                        0);
    }

    private void tick() {
        from.tick();
        if (!running || source.listener().isEmpty()) {
            return;
        }
        var now = session.player().telemetry().latest();
        double played = TimeLine.of(Meter.COMMON, TEMPO).tempos().seconds((long) now.tick());
        Listener listener = source.listener().get();
        double beat = 60.0 / TEMPO;
        if (now.playing()) {
            alignment.add(played, listener.seconds());
            state.setText("Click " + Math.min(CLICKS, 1 + (int) (played / beat)) + " of " + CLICKS);
        }
        if (played > CLICKS * beat + AFTER) {
            found(listener);
        }
    }

    private void found(Listener listener) {
        double first = alignment.heard(0);
        end();
        List<Double> clicks = new ArrayList<>();
        double begins = Math.max(0, first - AFTER);
        for (int i = 0; i < CLICKS; i++) {
            clicks.add(first - begins + i * 60.0 / TEMPO);
        }
        Take take = listener.take(begins, listener.seconds());
        session.ask(
                "measuring how late it comes in",
                () -> Latency.of(OnsetFinder.of(take), clicks),
                this::told);
    }

    private void told(Optional<Latency.Found> found) {
        found.ifPresent(f -> source.late(f.seconds()));
        state.setText(
                found.map(
                                f ->
                                        String.format(
                                                Locale.ROOT,
                                                "%.0f ms late, spread %.0f ms: kept for this input.",
                                                1000 * f.seconds(),
                                                f.spreadMs()))
                        .orElse(
                                "No clicks were heard, and no tapping along. Is it the right input,"
                                        + " and loud enough?"));
    }

    private void end() {
        if (running) {
            running = false;
            session.player().stop();
            session.player().show(session.workspace().heard());
        }
    }
}
