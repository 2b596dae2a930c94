package vocalis.desktop.listening;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Ground;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
import vocalis.desktop.pictures.RiffPicture;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Explain;
import vocalis.desktop.view.HoldToHear;
import vocalis.desktop.view.Sheets;
import vocalis.workbench.listening.Holding;
import vocalis.workbench.listening.Tuner;

/** What you play: a strum is named with the shapes that it may be, a plucked string is tuned. */
public final class PlayedSheet {

    private static final double WIDTH = 760;
    private static final double PICTURE = 230;
    private static final double IN_TUNE_CENTS = 3;

    private final Session session;
    private final Hearing hearing;
    private final Source source;
    private final PlayedModel model;
    private final Consumer<Shape> take;
    private final Consumer<Shape> compare;
    private final SourceRow from;
    private final Button listen = new Button();
    private final HBox standIn = new HBox(10);
    private final HBox tuner = new HBox(18);
    private final Label name = Choices.text("", "help-head");
    private final Label words = Choices.text("");
    private final FlowPane shapes = new FlowPane(10, 8);
    private final RiffPicture picture = new RiffPicture(true);
    private List<Shape> offered = List.of();
    private Sheets.Sheet sheet;

    private PlayedSheet(
            Session session,
            Hearing hearing,
            Source source,
            Consumer<Shape> take,
            Consumer<Shape> compare) {
        this.session = session;
        this.hearing = hearing;
        this.source = source;
        this.take = take;
        this.compare = compare;
        model = new PlayedModel(session, System.nanoTime());
        from = new SourceRow(source, session, this::sourceChanged);
    }

    /**
     * Opens it.
     *
     * @param take puts a shape into the riff, at the chord under the caret
     * @param compare shows it beside what stands there
     */
    public static void show(
            Session session,
            Hearing hearing,
            Source source,
            Sheets host,
            Consumer<Shape> take,
            Consumer<Shape> compare) {
        new PlayedSheet(session, hearing, source, take, compare).open(host);
    }

    private void open(Sheets host) {
        prepare();
        VBox body =
                new VBox(
                        14,
                        Choices.caption(
                                "Strum a chord: it is named. Pluck an open string: it is tuned."
                                        + " Enter puts the first shape into the riff, 2 and 3 the others,"
                                        + " C compares with what stands there, H sounds it."),
                        from.node(),
                        new HBox(10, listen, standIn),
                        tuner,
                        name,
                        words,
                        shapes,
                        picture);
        body.getStyleClass().add("help");
        body.setFocusTraversable(true);
        body.addEventHandler(KeyEvent.KEY_PRESSED, this::pressed);
        body.addEventHandler(
                KeyEvent.KEY_RELEASED,
                e -> {
                    if (e.getCode() == KeyCode.H) {
                        hearing.endHearing();
                    }
                });
        Prepared.soon(session);
        sheet = host.open("What you play", body, WIDTH);
        Timeline clock = new Timeline(new KeyFrame(Duration.millis(100), e -> tick()));
        clock.setCycleCount(Animation.INDEFINITE);
        clock.play();
        sheet.onClosed(
                () -> {
                    clock.stop();
                    hearing.endHearing();
                    source.close();
                });
        sheet.focus(body);
        sourceChanged();
    }

    /** What stands in the sheet, before it is opened. */
    private void prepare() {
        name.setId("played-name");
        words.setId("played-words");
        words.setMinHeight(24);
        picture.setMinHeight(PICTURE);
        picture.setPrefHeight(PICTURE);
        picture.setVisible(false);
        listen.setId("played-listen");
        listen.getStyleClass().add("use-button");
        listen.setFocusTraversable(false);
        listen.setOnAction(e -> toggle());
        Button strums = new Button("It strums a chord  S");
        strums.setId("played-strum");
        strums.setFocusTraversable(false);
        strums.setOnAction(e -> strum());
        standIn.getChildren().addAll(strums, Choices.caption("or click a string to hear it tuned"));
        standIn.setAlignment(Pos.CENTER_LEFT);
        strings();
    }

    private void sourceChanged() {
        boolean stand = source.standIn();
        standIn.setVisible(stand);
        standIn.setManaged(stand);
        listen.setVisible(!stand);
        listen.setManaged(!stand);
        boolean hears = source.listener().isPresent();
        listen.setText(hears ? "Stop listening  L" : "Listen  L");
        if (offered.isEmpty()) {
            name.setText(
                    stand
                            ? "Let it strum, or choose your input above."
                            : hears
                                    ? "Strum, and let it ring for a second."
                                    : "Let it listen, then strum a chord.");
        }
        from.tick();
    }

    private void toggle() {
        if (source.standIn()) {
            return;
        }
        if (source.listener().isPresent()) {
            source.close();
        } else {
            source.open();
        }
        sourceChanged();
    }

    private void tick() {
        from.tick();
        source.listener().ifPresent(l -> model.look(l, this::heard));
    }

    private void strum() {
        if (source.standIn()) {
            name.setText("It strums, and is read …");
            model.standInStrums(this::heard);
        }
    }

    private void strings() {
        Ground ground = session.now().ground();
        Fretboard board = ground.board();
        for (int s = 0; s < board.strings(); s++) {
            int string = s;
            Label cents = Choices.caption("·");
            cents.setId("tuner-" + (board.strings() - s));
            cents.setMinWidth(92);
            Button b = new Button(Spelling.plain(board.midi(s, 0) % 12).symbol());
            b.setFocusTraversable(false);
            b.setAccessibleText("Tune string " + (board.strings() - s));
            b.setOnAction(
                    e -> {
                        if (source.standIn()) {
                            model.standInPlucks(string, this::heard);
                        }
                    });
            tuner.getChildren().add(new VBox(4, b, cents));
        }
    }

    private void heard(PlayedModel.Played played) {
        played.plucked().ifPresent(this::tuned);
        Holding h = played.holding();
        Key key = session.now().ground().key();
        Fretboard board = session.now().ground().board();
        offered = h.shapes().stream().limit(PlayedModel.SHAPES).map(Holding.Named::shape).toList();
        name.setText(h.shapes().isEmpty() ? "" : h.shapes().get(0).name().symbol());
        words.setText(h.words(board, Optional.of(key)));
        shapes.getChildren().clear();
        for (int i = 0; i < offered.size(); i++) {
            Shape shape = offered.get(i);
            Holding.Named n = h.shapes().get(i);
            Button b =
                    new Button(
                            String.format(
                                    Locale.ROOT,
                                    "%d  %s  %s  %s",
                                    i + 1,
                                    n.name().symbol(),
                                    shape.text(),
                                    share(n.share())));
            b.setId("played-shape-" + (i + 1));
            b.getStyleClass().add("mono");
            b.setFocusTraversable(false);
            b.setOnAction(e -> choose(shape));
            HoldToHear.mouse(b, () -> hearing.hear(shape), hearing::endHearing);
            shapes.getChildren().add(b);
        }
        if (!offered.isEmpty()) {
            Button b = new Button("Compare  C");
            b.setId("played-compare");
            b.setFocusTraversable(false);
            b.setOnAction(e -> compareFirst());
            Explain.means(b, "The first shape beside what stands in the riff");
            shapes.getChildren().add(b);
        }
        picture.setVisible(played.picture().isPresent());
        played.picture().ifPresent(d -> picture.show(d, RiffPicture.range(d)));
    }

    private static String share(double share) {
        return share < 0.01 ? "hardly" : String.format(Locale.ROOT, "%.0f %%", 100 * share);
    }

    private void tuned(Tuner.Plucked p) {
        Fretboard board = session.now().ground().board();
        Label label = (Label) tuner.lookup("#tuner-" + (board.strings() - p.string()));
        String cents =
                Math.abs(p.cents()) <= IN_TUNE_CENTS
                        ? "in tune"
                        : String.format(
                                Locale.ROOT,
                                "%.0f cents %s",
                                Math.abs(p.cents()),
                                p.cents() > 0 ? "high" : "low");
        label.setText(cents);
    }

    private void choose(Shape shape) {
        sheet.close();
        take.accept(shape);
    }

    private void compareFirst() {
        sheet.close();
        compare.accept(offered.get(0));
    }

    private void pressed(KeyEvent e) {
        KeyCode k = e.getCode();
        Optional<Shape> first = offered.stream().findFirst();
        if (k == KeyCode.S) {
            strum();
        } else if (k == KeyCode.I) {
            from.next();
        } else if (k == KeyCode.L) {
            toggle();
        } else if (k == KeyCode.H) {
            first.ifPresent(hearing::hear);
        } else if (k == KeyCode.ENTER) {
            first.ifPresent(this::choose);
        } else if (k == KeyCode.C && first.isPresent()) {
            compareFirst();
        } else if (k.isDigitKey()) {
            int i = k.getName().charAt(k.getName().length() - 1) - '1';
            if (i >= 0 && i < offered.size()) {
                choose(offered.get(i));
            }
        } else {
            return;
        }
        e.consume();
    }
}
