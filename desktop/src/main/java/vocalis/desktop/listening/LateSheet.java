package vocalis.desktop.listening;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.IntStream;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import vocalis.core.rhythm.Meter;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.sound.listen.OnsetFinder;
import vocalis.sound.listen.Take;
import vocalis.workbench.listening.Listener;
import vocalis.workbench.playing.Latency;

/** Measures how late what is played comes in: eight clicks go out, and are heard or tapped. */
final class LateSheet {

    private static final double WIDTH = 560;
    private static final int TEMPO = 120;
    private static final int CLICKS = 8;
    private static final double BEAT = 60.0 / TEMPO;
    private static final double AFTER = 0.5;

    private final Session session;
    private final Source source;
    private final Clicks clicks;
    private final SourceRow from;
    private final Button begin = new Button("Eight clicks  ⏎");
    private final Label state = Choices.text("");

    private LateSheet(Session session, Source source) {
        this.session = session;
        this.source = source;
        clicks = new Clicks(session, source);
        from = new SourceRow(source, session, this::known);
    }

    static void show(Session session, Source source, Sheets host) {
        new LateSheet(session, source).open(host);
    }

    private void open(Sheets host) {
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
        from.open(host, "How late it comes in", body, WIDTH, clicks, this::start, this::tick);
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
        if (clicks.running()) {
            return;
        }
        if (source.standIn()) {
            state.setText("The stand-in is never late. Choose an input above.");
            return;
        }
        clicks.begin(Meter.COMMON, TEMPO, CLICKS / 4);
    }

    private void tick() {
        from.tick();
        clicks.now().ifPresent(this::clicked);
    }

    private void clicked(double seconds) {
        state.setText("Click " + Math.min(CLICKS, 1 + (int) (seconds / BEAT)) + " of " + CLICKS);
        if (seconds > CLICKS * BEAT + AFTER) {
            found(source.listener().orElseThrow());
        }
    }

    private void found(Listener listener) {
        double first = clicks.heard(0);
        clicks.end();
        double begins = Math.max(0, first - AFTER);
        List<Double> sent =
                IntStream.range(0, CLICKS).mapToObj(i -> first - begins + i * BEAT).toList();
        Take take = listener.take(begins, listener.seconds());
        session.ask(
                "measuring how late it comes in",
                () -> Latency.of(OnsetFinder.of(take), sent),
                this::told);
    }

    private void told(Optional<Latency.Delay> found) {
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
}
