package vocalis.desktop.listening;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.Callable;
import java.util.function.BiConsumer;
import java.util.function.Function;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import vocalis.core.rhythm.Meter;
import vocalis.core.riff.Riff;
import vocalis.core.score.Score;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.SheetHost;
import vocalis.formats.sheet.Imported;
import vocalis.sound.listen.Take;
import vocalis.workbench.listening.PlayIn;
import vocalis.workbench.listening.StandIn;

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
    private final BiConsumer<Callable<Take>, Function<Take, Imported>> write;
    private final Clicks clicks;
    private final SourceRow from;
    private final Button begin = new Button(BEGIN);
    private final Label state = Choices.text("");
    private final ProgressBar progress = new ProgressBar(0);
    private int bars = 4;
    private SheetHost.Sheet sheet;

    private PlayInSheet(
            Session session,
            Source source,
            BiConsumer<Callable<Take>, Function<Take, Imported>> write) {
        this.session = session;
        this.source = source;
        this.write = write;
        clicks = new Clicks(session, source);
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
        sheet = from.open(host, "Play a riff in", body, WIDTH, clicks, this::toggle, this::tick);
    }

    private void toggle() {
        if (clicks.running()) {
            clicks.end();
            begin.setText(BEGIN);
            progress.setVisible(false);
            state.setText("Stopped. Nothing was kept.");
        } else if (source.standIn()) {
            standIn();
        } else {
            clicks.begin(meter(), session.now().tempo(), 1 + bars);
            begin.setText("Stop  ⏎");
            progress.setVisible(true);
        }
    }

    private Meter meter() {
        return session.now().meters().meter(0);
    }

    private void tick() {
        from.tick();
        clicks.now().ifPresent(this::played);
    }

    private void played(double seconds) {
        double bar = clicks.seconds(meter().barTicks());
        double whole = (1 + bars) * bar;
        double late = source.late().orElse(session.player().output().latencySeconds());
        progress.setProgress(Math.min(1, seconds / whole));
        int now = Math.min(bars, (int) (seconds / bar));
        state.setText(now == 0 ? "Counting in." : "Playing: bar " + now + " of " + bars + ".");
        // What is played on the last beat comes in late.
        if (seconds > whole + Math.max(0, late) + READ_SECONDS) {
            done(clicks.heard(bar) + late, bar);
        }
    }

    private void done(double one, double bar) {
        double before = Math.min(one, bar / 4);
        Take take = source.listener().orElseThrow().take(one - before, one + bars * bar);
        sheet.close();
        PlayIn in = playIn();
        double tempo = session.now().tempo();
        Meter meter = meter();
        write.accept(
                () -> take,
                t ->
                        in.of(
                                        t,
                                        Optional.of(tempo),
                                        OptionalDouble.of(before),
                                        meter,
                                        "what you played")
                                .sheet());
    }

    /** Who plays to the open riff's click plays in its key. */
    private PlayIn playIn() {
        var ground = session.now().ground();
        return new PlayIn(ground, Optional.of(ground.key()), session.hand(), session.catalogue());
    }

    /** The stand-in plays the open riff with a learner's mistakes. */
    private void standIn() {
        Score score = session.derived().score();
        var ground = session.now().ground();
        long seed = System.nanoTime();
        sheet.close();
        PlayIn in = playIn();
        double tempo = session.now().tempo();
        Meter meter = meter();
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
}
