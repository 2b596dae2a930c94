package vocalis.desktop.sheets;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.PauseTransition;
import javafx.animation.SequentialTransition;
import javafx.animation.Timeline;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.util.Duration;
import vocalis.core.instrument.Shape;
import vocalis.core.names.HeardRoot;
import vocalis.core.rhythm.Ticks;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.theory.Key;
import vocalis.core.theory.Note;
import vocalis.core.theory.Pitch;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.desktop.writing.WriteModel;
import vocalis.workbench.playing.RootProof;
import vocalis.workbench.words.RootWords;

/** Sheets for listening: the root proved by power chords under it, and strings to tune by. */
public final class ListenSheets {

    private static final PseudoClass NOW = PseudoClass.getPseudoClass("now");
    private static final double SECONDS_EACH = 2.2;

    private ListenSheets() {}

    // Prove the root.

    private static String verdict(Voicing v, Key key) {
        return RootWords.of(HeardRoot.of(v, Optional.of(key)), Optional.of(key));
    }

    /** Power chords on each reading under the voicing shown, and under the riff. */
    public static void prove(WriteModel model, Sheets host) {
        Voicing v = model.shown().voicing();
        Proof proof = new Proof(model, v);
        Label verdict = new Label(verdict(v, model.key()));
        verdict.setId("verdict");
        verdict.setWrapText(true);
        Button all = new Button("Play them one after another  ⏎");
        all.setId("prove-all");
        all.getStyleClass().add("use-button");
        all.setOnAction(e -> proof.playAll());
        Button riff = new Button("Under the riff instead");
        riff.setId("prove-riff");
        riff.getStyleClass().add("quiet-button");
        riff.setOnAction(
                e -> {
                    proof.underRiff(!proof.riff);
                    riff.setText(
                            proof.riff ? "Under this shape instead" : "Under the riff instead");
                    verdict.setText(proof.riff ? proof.riffVerdict() : verdict(v, model.key()));
                });
        VBox content =
                new VBox(
                        12,
                        Choices.head("Which root belongs under " + v.shape().text() + "?"),
                        Choices.caption(
                                "A power chord on each reading sounds with it. Hold a name, or H on it, to hear"
                                        + " one; the root that belongs sounds at home."),
                        proof.grid,
                        verdict,
                        new HBox(10, all, riff));
        content.getStyleClass().add("help");
        host.open("Prove the root", content, 720).onClosed(proof::stop).focus(all);
    }

    /** The rows of a proof and what sounds of it. */
    private static final class Proof {
        private final WriteModel model;
        private final Voicing voicing;
        private final GridPane grid = new GridPane();
        private final List<Button> names = new ArrayList<>();
        private List<RootProof.Candidate> candidates;
        private SequentialTransition sequence = new SequentialTransition();
        private Timeline under = new Timeline();
        private boolean riff;

        Proof(WriteModel model, Voicing voicing) {
            this.model = model;
            this.voicing = voicing;
            grid.getStyleClass().add("figures");
            grid.setHgap(16);
            grid.setVgap(6);
            fill(RootProof.of(voicing, model.key()));
        }

        void underRiff(boolean wholeRiff) {
            stop();
            riff = wholeRiff;
            fill(riff ? RootProof.of(model.derived()) : RootProof.of(voicing, model.key()));
        }

        String riffVerdict() {
            String roots =
                    String.join(
                            " or ",
                            candidates.stream()
                                    .filter(RootProof.Candidate::fits)
                                    .map(c -> model.key().say(c.root()).symbol())
                                    .toList());
            return "Over the whole riff most speaks for " + roots + ".";
        }

        private void fill(List<RootProof.Candidate> all) {
            candidates = all;
            names.clear();
            grid.getChildren().clear();
            for (RootProof.Candidate c : all) {
                Button name = new Button(model.key().say(c.root()).symbol() + "5");
                name.getStyleClass().add("prove-name");
                name.setId("prove-" + names.size());
                name.setDisable(c.power().isEmpty());
                name.setOnMousePressed(e -> sound(c));
                name.setOnMouseReleased(e -> stop());
                name.addEventHandler(KeyEvent.KEY_PRESSED, e -> held(e, c));
                name.addEventHandler(
                        KeyEvent.KEY_RELEASED,
                        e -> {
                            if (e.getCode() == KeyCode.H) {
                                stop();
                            }
                        });
                names.add(name);
                Label why = new Label(c.why());
                why.setWrapText(true);
                Label points = Choices.caption(Math.round(c.support()) + " points");
                points.setMinWidth(64);
                Label fits = new Label(c.fits() ? "belongs" : "");
                fits.setMinWidth(60);
                grid.addRow(grid.getRowCount(), name, points, fits, why);
            }
        }

        private void held(KeyEvent e, RootProof.Candidate c) {
            if (e.getCode() == KeyCode.H) {
                sound(c);
                e.consume();
            }
        }

        private void sound(RootProof.Candidate c) {
            mark(candidates.indexOf(c));
            Optional<Shape> power = c.power().map(Voicing::shape);
            if (riff) {
                if (!model.session().player().telemetry().latest().playing()) {
                    model.session().player().play(0);
                }
                Shape silent = Shape.silent(model.riff().ground().board().strings());
                Runnable strike = () -> model.session().player().hear(silent, new double[0], power);
                strike.run();
                double bar = bar();
                under.stop();
                under = new Timeline(new KeyFrame(Duration.seconds(bar), e -> strike.run()));
                under.setCycleCount(Animation.INDEFINITE);
                under.play();
            } else {
                model.session().player().hear(voicing.shape(), new double[0], power);
            }
        }

        void playAll() {
            stop();
            sequence = new SequentialTransition();
            for (RootProof.Candidate c : candidates) {
                PauseTransition begin = new PauseTransition(Duration.millis(1));
                begin.setOnFinished(e -> sound(c));
                sequence.getChildren()
                        .addAll(begin, new PauseTransition(Duration.seconds(seconds())));
            }
            sequence.setOnFinished(e -> stop());
            sequence.play();
        }

        /** A bar of the riff or a little over two seconds. */
        private double seconds() {
            return riff ? 2 * bar() : SECONDS_EACH;
        }

        private double bar() {
            Riff r = model.riff();
            return Ticks.seconds(r.meters().meter(0).barTicks(), r.tempo());
        }

        void stop() {
            sequence.stop();
            under.stop();
            mark(-1);
            model.session().player().release();
            if (riff) {
                model.session().player().stop();
            }
        }

        private void mark(int which) {
            for (int i = 0; i < names.size(); i++) {
                names.get(i).pseudoClassStateChanged(NOW, i == which);
            }
        }
    }

    // Strings to tune by.

    /** The open strings of the tuning over the capo, each to be held and heard. */
    public static void tune(WriteModel model, Sheets host) {
        Ground g = model.riff().ground();
        int n = g.board().strings();
        GridPane grid = new GridPane();
        grid.getStyleClass().add("figures");
        grid.setHgap(16);
        grid.setVgap(6);
        for (int s = 0; s < n; s++) {
            string(model, grid, g, s);
        }
        String capo = g.capo() == 0 ? "" : " over the capo at " + g.capo();
        VBox content =
                new VBox(
                        12,
                        Choices.head(
                                "Strings to tune by, A4 = " + Math.round(g.a4Hz()) + " Hz" + capo),
                        Choices.caption("Hold a string, or H on it, to hear it."),
                        grid);
        content.getStyleClass().add("help");
        host.open("Tune up", content, 480).onClosed(model.hearing()::endHearing);
    }

    private static void string(WriteModel model, GridPane grid, Ground g, int s) {
        int n = g.board().strings();
        int midi = g.board().midi(s, 0);
        Shape open = Shape.silent(n).with(s, 0);
        Button name = new Button("string " + (n - s));
        name.getStyleClass().add("prove-name");
        name.setId("tune-" + (n - s));
        name.setOnMousePressed(e -> model.hearing().hear(open));
        name.setOnMouseReleased(e -> model.hearing().endHearing());
        name.addEventHandler(
                KeyEvent.KEY_PRESSED,
                e -> {
                    if (e.getCode() == KeyCode.H) {
                        model.hearing().hear(open);
                    }
                });
        name.addEventHandler(
                KeyEvent.KEY_RELEASED,
                e -> {
                    if (e.getCode() == KeyCode.H) {
                        model.hearing().endHearing();
                    }
                });
        String note = Note.at(vocalis.core.theory.Spelling.plain(midi), midi).symbol();
        grid.addRow(
                s,
                name,
                new Label(note),
                Choices.caption(String.format(Locale.ROOT, "%.2f Hz", Pitch.hz(midi, g.a4Hz()))));
    }
}
