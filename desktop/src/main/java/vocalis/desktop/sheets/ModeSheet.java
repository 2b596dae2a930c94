package vocalis.desktop.sheets;

import java.util.List;
import java.util.TreeSet;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import vocalis.core.derive.Derived;
import vocalis.core.harmony.Context;
import vocalis.core.score.ScoreNote;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;
import vocalis.core.theory.Spelling;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.desktop.writing.WriteModel;

/** The keys that the notes of the riff fit. */
public final class ModeSheet {

    private static final int MOST_FITS = 14;

    private ModeSheet() {}

    private static Label text(String s, String... styles) {
        return Choices.text(s, styles);
    }

    /** The keys that the riff's notes fit; choosing one sets the key. */
    public static void show(WriteModel model, Sheets host) {
        TreeSet<Integer> notes = new TreeSet<>();
        double[] time = new double[12];
        for (ScoreNote n : model.derived().score().notes()) {
            int pitchClass = model.riff().ground().board().midi(n.string(), n.fret()) % 12;
            notes.add(pitchClass);
            time[pitchClass] += n.length();
        }
        GridPane grid = new GridPane();
        grid.getStyleClass().add("figures");
        Sheets.Sheet[] stage = new Sheets.Sheet[1];
        List<Derived.Chord> chords = model.derived().chords();
        List<Context.Fit> fits =
                Context.modes(
                        time,
                        chords.get(0).root(),
                        chords.get(chords.size() - 1).root(),
                        Mode.builtIn());
        for (Context.Fit fit : fits.subList(0, Math.min(MOST_FITS, fits.size()))) {
            grid.addRow(
                    grid.getRowCount(),
                    fitting(model, fit, () -> stage[0].close()),
                    text(outside(fit), "caption"),
                    text(deciding(fit, fits), "caption"));
        }
        String played =
                notes.stream()
                        .map(pc -> model.key().say(pc).symbol())
                        .collect(Collectors.joining("  "));
        VBox content =
                new VBox(
                        10,
                        text("Keys that fit " + played, "help-head"),
                        text(
                                "Choosing one re-reads the riff in that key; its notes stay where they are.",
                                "caption"),
                        grid);
        content.getStyleClass().add("help");
        stage[0] = host.open("Keys that fit", content, 700);
    }

    private static Button fitting(WriteModel model, Context.Fit fit, Runnable close) {
        Button b = new Button(fit.key().symbol());
        b.getStyleClass().add("quiet-button");
        b.setOnAction(
                e -> {
                    model.reinterpret(fit.key());
                    close.run();
                });
        return b;
    }

    private static String outside(Context.Fit fit) {
        return fit.outside().isEmpty()
                ? "every note fits"
                : fit.outside().stream()
                                .map(pc -> fit.key().say(pc).symbol())
                                .collect(Collectors.joining(", "))
                        + " outside, "
                        + Math.round(100 * fit.inside())
                        + " % of the time inside";
    }

    /** The notes of a key's scale that the best key does not share: they decide between the two. */
    private static String deciding(Context.Fit fit, List<Context.Fit> fits) {
        Key best = fits.get(0).key();
        String notes =
                fit.key().scale().stream()
                        .filter(s -> !best.contains(s.pitchClass()))
                        .map(Spelling::symbol)
                        .collect(Collectors.joining(", "));
        return fit.key().equals(best) || notes.isEmpty() ? "" : notes + " would decide for it";
    }
}
