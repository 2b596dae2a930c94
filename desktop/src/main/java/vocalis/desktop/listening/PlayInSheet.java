package vocalis.desktop.listening;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.MeterMap;
import vocalis.core.riff.Riff;
import vocalis.core.score.Score;
import vocalis.desktop.exchange.WritesDown;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.sound.listen.Take;
import vocalis.workbench.listening.StandIn;
import vocalis.workbench.playedin.PlayIn;

/**
 * A riff is played in: a bar is counted, then it is played; what was heard is written down and
 * taken apart like any tab that comes from outside, so that nothing of the open riff is touched.
 */
public final class PlayInSheet {

    private static final double WIDTH = 620;
    private static final String BEGIN = "Count in and play  ⏎";
    private static final double READ_SECONDS = 0.1;
    private static final List<Integer> BARS = List.of(1, 2, 4, 8, 16);

    private final Session session;
    private final Source source;
    private final WritesDown write;
    private final Clicks clicks;
    private final SourceRow from;
    private final Button begin = new Button(BEGIN);
    private final Label state = Choices.text("");
    private final ProgressBar progress = new ProgressBar(0);
    private final ComboBox<Integer> first;
    private final ComboBox<Integer> last;
    private int bars = 4;
    private boolean own = true;
    private Sheets.Sheet sheet;

    private PlayInSheet(Session session, Source source, WritesDown write) {
        this.session = session;
        this.source = source;
        this.write = write;
        clicks = new Clicks(session, source);
        from = new SourceRow(source, session, () -> {});
        Riff riff = session.now();
        int chord = Math.min(session.caret().chord(), riff.roots().size() - 1);
        int at = riff.meters().place(Math.max(riff.loopStart(), riff.start(chord))).bar() - 1;
        first = bar("play-in-first", at);
        last = bar("play-in-last", at);
        first.valueProperty()
                .addListener(o -> last.setValue(Math.max(first.getValue(), last.getValue())));
        last.valueProperty()
                .addListener(o -> first.setValue(Math.min(first.getValue(), last.getValue())));
    }

    private ComboBox<Integer> bar(String id, int at) {
        List<Integer> all = IntStream.range(0, session.now().bars()).boxed().toList();
        return Choices.choice(id, all, at, b -> "bar " + (b + 1), b -> {});
    }

    /**
     * Opens it.
     *
     * @param write has what is heard written down
     */
    public static void show(Session session, Source source, Sheets host, WritesDown write) {
        new PlayInSheet(session, source, write).open(host);
    }

    private void open(Sheets host) {
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
                                "One bar is counted, then play, alone; clean is heard best. What"
                                        + " is heard is written down and shown beside what it is made of; the open riff"
                                        + " stays as it is until you say so."),
                        from.node(),
                        rows(),
                        begin,
                        progress,
                        state);
        Prepared.soon(session);
        sheet = from.open(host, "Play a riff in", body, WIDTH, clicks, this::toggle, this::tick);
    }

    /** What is played in, and how much. */
    private GridPane rows() {
        ComboBox<Integer> many =
                Choices.choice(
                        "play-in-bars",
                        BARS,
                        bars,
                        b -> b == 1 ? "1 bar" : b + " bars",
                        b -> bars = b);
        HBox much = new HBox(10, many);
        much.setAlignment(Pos.CENTER_LEFT);
        Label tempo = Choices.text("");
        Runnable told =
                () -> {
                    String as = own ? ", as the open riff has it" : ", as these bars have it";
                    tempo.setText(tempo() + ", " + meter().symbol() + as);
                };
        GridPane grid = Choices.grid();
        Choices.row(
                grid,
                "play in",
                Choices.choice(
                        "play-in-what",
                        List.of(true, false),
                        own,
                        o -> o ? "a riff of its own" : "bars of this riff",
                        o -> {
                            own = o;
                            if (own) {
                                much.getChildren().setAll(many);
                            } else {
                                much.getChildren().setAll(first, Choices.caption("to"), last);
                            }
                            told.run();
                        }));
        Choices.row(grid, "how much", much);
        Choices.row(grid, "tempo", tempo);
        first.valueProperty().addListener(o -> told.run());
        told.run();
        return grid;
    }

    /** The bars of the open riff that are played in; empty for a riff of its own. */
    private Optional<WritesDown.Bars> only() {
        return own
                ? Optional.empty()
                : Optional.of(new WritesDown.Bars(first.getValue(), last.getValue()));
    }

    private int count() {
        return own ? bars : 1 + last.getValue() - first.getValue();
    }

    /** Bars of two meters are not played in at once. */
    private boolean mixed() {
        MeterMap meters = session.now().meters();
        return !own
                && IntStream.rangeClosed(first.getValue(), last.getValue())
                        .anyMatch(b -> !meters.meter(b).equals(meter()));
    }

    private void toggle() {
        if (clicks.running()) {
            clicks.end();
            begin.setText(BEGIN);
            progress.setVisible(false);
            state.setText("Stopped. Nothing was kept.");
        } else if (mixed()) {
            state.setText("These bars have two meters. Play those of each in by themselves.");
        } else if (source.standIn()) {
            standIn();
        } else {
            clicks.begin(meter(), tempo(), 1 + count());
            begin.setText("Stop  ⏎");
            progress.setVisible(true);
        }
    }

    private Meter meter() {
        return session.now().meters().meter(own ? 0 : first.getValue());
    }

    private int tempo() {
        Riff riff = session.now();
        return own ? riff.tempo() : riff.time().tempos().at(riff.meters().start(first.getValue()));
    }

    private void tick() {
        from.tick();
        clicks.now().ifPresent(this::played);
    }

    private void played(double seconds) {
        double bar = clicks.seconds(meter().barTicks());
        double whole = (1 + count()) * bar;
        double late = source.late().orElse(session.player().output().latencySeconds());
        progress.setProgress(Math.min(1, seconds / whole));
        int now = Math.min(count(), (int) (seconds / bar));
        state.setText(now == 0 ? "Counting in." : "Playing: bar " + now + " of " + count() + ".");
        // What is played on the last beat comes in late.
        if (seconds > whole + Math.max(0, late) + READ_SECONDS) {
            done(clicks.heard(bar) + late, bar);
        }
    }

    private void done(double one, double bar) {
        double before = Math.min(one, bar / 4);
        Take take = source.listener().orElseThrow().take(one - before, one + count() * bar);
        sheet.close();
        PlayIn in = playIn();
        double tempo = tempo();
        Meter meter = meter();
        OptionalDouble begins = OptionalDouble.of(before);
        write.writeDown(
                () -> take,
                t -> in.of(t, Optional.of(tempo), begins, meter, "what you played"),
                only());
    }

    /** Who plays to the open riff's click plays in its key. */
    private PlayIn playIn() {
        var ground = session.now().ground();
        return new PlayIn(ground, Optional.of(ground.key()), session.hand(), session.catalogue());
    }

    /** The stand-in plays the open riff with a learner's mistakes. */
    private void standIn() {
        MeterMap meters = session.now().meters();
        WritesDown.Bars asked =
                only().orElse(new WritesDown.Bars(0, Math.min(bars, session.now().bars()) - 1));
        Score score =
                session.derived()
                        .score()
                        .between(meters.start(asked.first()), meters.end(asked.last()));
        // Its strings are damped where the bars end: that is no stroke.
        double seconds = score.time().tempos().seconds(score.length());
        var ground = session.now().ground();
        long seed = System.nanoTime();
        sheet.close();
        PlayIn in = playIn();
        double tempo = tempo();
        Meter meter = meter();
        OptionalDouble begins = OptionalDouble.of(0);
        write.writeDown(
                () -> StandIn.play(score, ground, StandIn.Errors.LEARNING, seed).until(seconds),
                t -> in.of(t, Optional.of(tempo), begins, meter, "what the stand-in played"),
                only());
    }
}
