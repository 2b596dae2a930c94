package vocalis.desktop.explore;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.geometry.VPos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import vocalis.core.choice.Card;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Muting;
import vocalis.core.harmony.Context;
import vocalis.core.instrument.Fretboard;
import vocalis.core.names.Readout;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.band.BandGeometry;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Explain;
import vocalis.desktop.view.HoldToHear;
import vocalis.desktop.writing.Showing;
import vocalis.workbench.playing.GainReadings;
import vocalis.workbench.words.HandWords;
import vocalis.workbench.words.RootWords;
import vocalis.workbench.words.ShapeWords;

/**
 * Up to four voicings side by side, on one scale, row by row, with what each changes against the
 * plain power chord. It begins with what is shown, what the riff has, and the next cards.
 */
final class ComparePage implements ExplorePage {

    private static final int MOST = 4;
    private static final double STRIP_HEIGHT = 130;
    private static final double BAR_WIDTH = 90;
    private static final double LABELS = 92;
    private static final double MOST_GROWL = 30;
    private static final double MOST_BITE_HZ = 4000;

    private final Showing model;
    private final List<Voicing> voicings = new ArrayList<>();
    private final GridPane grid = new GridPane();
    private final Runnable close;

    ComparePage(Showing model, Runnable close) {
        this.model = model;
        this.close = close;
        grid.setHgap(18);
        grid.setVgap(7);
    }

    @Override
    public Node show() {
        begin();
        fill(0);
        return new VBox(
                12,
                Choices.caption(
                        "← → choose, hold to hear, Enter puts it into the riff, Delete takes it away,"
                                + " + sets the next card beside it."),
                grid);
    }

    @Override
    public Node first() {
        return grid.lookup("#compare-0");
    }

    /** What is shown, what the riff has, then the best other cards, without doubles. */
    private void begin() {
        Voicing shown = model.shown().voicing();
        voicings.removeIf(v -> !v.board().equals(shown.board()) || v.root() != shown.root());
        voicings.removeIf(v -> v.shape().equals(shown.shape()));
        voicings.add(0, shown);
        addOther(model.currentChord().candidate().voicing());
        while (voicings.size() < 3 && addNext()) {
            continue;
        }
        while (voicings.size() > MOST) {
            voicings.remove(voicings.size() - 1);
        }
        voicings.forEach(v -> model.session().player().prepare(v.shape(), new double[0]));
    }

    private boolean addOther(Voicing v) {
        boolean fits =
                voicings.stream().noneMatch(x -> x.shape().equals(v.shape()))
                        && v.board().equals(model.riff().ground().board());
        if (fits) {
            voicings.add(v);
        }
        return fits;
    }

    /** Adds the first card of the row that is not here yet. */
    private boolean addNext() {
        for (Card c : model.shown().cardsProperty().get()) {
            if (addOther(c.first().voicing())) {
                return true;
            }
        }
        return false;
    }

    private void fill(int focus) {
        grid.getChildren().clear();
        grid.getColumnConstraints().setAll(new ColumnConstraints(LABELS));
        Key key = model.key();
        for (int i = 0; i < voicings.size(); i++) {
            ColumnConstraints c = new ColumnConstraints(150, 226, 260);
            grid.getColumnConstraints().add(c);
            column(i, voicings.get(i), key);
        }
        String[] labels = {
            "",
            "shape",
            "voices",
            "it",
            "growl",
            "mud",
            "bite",
            "degrees",
            "notes",
            "heard root",
            "fit",
            "tension",
            "hand",
            "silence"
        };
        for (int row = 1; row < labels.length; row++) {
            Label l = Choices.caption(labels[row]);
            GridPane.setValignment(l, VPos.TOP);
            grid.add(l, 0, row);
        }
        addMore();
        Node wanted = grid.lookup("#compare-" + Math.min(focus, voicings.size() - 1));
        if (wanted != null && wanted.getScene() != null) {
            wanted.requestFocus();
        }
    }

    private void addMore() {
        if (voicings.size() < MOST) {
            Button more = new Button("+");
            more.setId("compare-more");
            more.getStyleClass().add("prove-name");
            more.setOnAction(e -> more());
            grid.add(
                    Explain.means(more, "Sets the next card of the row beside these."),
                    voicings.size() + 1,
                    0);
        }
    }

    private void more() {
        if (voicings.size() < MOST && addNext()) {
            fill(voicings.size() - 1);
        }
    }

    private void column(int i, Voicing v, Key key) {
        Readout r = Readout.of(v, key);
        int x = i + 1;
        grid.add(name(i, v, r), x, 0);
        grid.add(new HBox(12, Choices.mono(v.shape().text()), Choices.caption(apart(v, r))), x, 1);
        grid.add(strip(v, r), x, 2);
        add(x, 3, changes(r));
        HBox[] bars = {bar(0, "…"), bar(0, "…"), bar(0, "…")};
        for (int b = 0; b < bars.length; b++) {
            grid.add(bars[b], x, 4 + b);
        }
        model.gain().ask(v, r.root(), model.riff().ground(), a -> gain(x, a));
        add(
                x,
                7,
                r.voices().stream()
                        .map(y -> y.ofChord().symbol())
                        .collect(Collectors.joining("  ")));
        add(x, 8, r.different() + " different on " + r.voices().size() + " strings");
        add(x, 9, RootWords.of(r.heard(), Optional.of(key)));
        add(x, 10, fit(r, key));
        add(x, 11, Context.tension(v, key) + " of 100");
        Optional<Fingering> hand = Fingering.of(v.board(), v.shape(), model.session().hand());
        add(x, 12, hand.map(ComparePage::held).orElse("out of reach"));
        add(x, 13, hand.map(f -> HandWords.of(Muting.of(v.shape(), f))).orElse(""));
    }

    /** What sets it apart from those of its name beside it. */
    private String apart(Voicing v, Readout r) {
        String name = r.name().symbol();
        List<Voicing> others =
                voicings.stream()
                        .filter(o -> !o.shape().equals(v.shape()))
                        .filter(o -> Readout.of(o, model.key()).name().symbol().equals(name))
                        .toList();
        return ShapeWords.apart(v, others);
    }

    private Button name(int i, Voicing v, Readout r) {
        boolean inRiff = v.shape().equals(model.currentChord().candidate().voicing().shape());
        Button name = new Button(r.name().symbol() + (inRiff ? "  in the riff" : ""));
        name.getStyleClass().add("compare-name");
        name.setId("compare-" + i);
        HoldToHear.at(name, () -> model.hearing().hear(v.shape()), model.hearing()::endHearing);
        name.addEventFilter(KeyEvent.KEY_PRESSED, e -> pressed(e, i, v));
        return name;
    }

    private void pressed(KeyEvent e, int i, Voicing v) {
        switch (e.getCode()) {
            case LEFT -> fillFocus(i - 1);
            case RIGHT -> fillFocus(i + 1);
            case ENTER -> {
                model.shown().take(v.shape());
                model.useShown();
                close.run();
            }
            case DELETE, BACK_SPACE -> {
                if (voicings.size() > 1) {
                    voicings.remove(i);
                    fill(Math.max(0, i - 1));
                }
            }
            case PLUS, ADD, EQUALS -> more();
            default -> {
                return;
            }
        }
        e.consume();
    }

    private void fillFocus(int i) {
        Node n = grid.lookup("#compare-" + Math.max(0, Math.min(voicings.size() - 1, i)));
        if (n != null) {
            n.requestFocus();
        }
    }

    private static String held(Fingering f) {
        return f.presses().isEmpty()
                ? "open strings"
                : HandWords.of(f) + ", " + Math.round(f.reachMm()) + " mm";
    }

    private static String fit(Readout r, Key key) {
        return r.outside().isEmpty()
                ? "all in " + key
                : r.outside().stream()
                                .map(n -> n.spelling().symbol())
                                .collect(Collectors.joining(", "))
                        + " outside "
                        + key;
    }

    /** A low third under gain has about 0.3. */
    private static final double MOST_MUD = 0.8;

    /** Growl, mud and bite, each on one scale for all columns. */
    private void gain(int column, GainReadings.Against a) {
        HBox[] bars = {
            bar(
                    Math.log(1 + a.growl()) / Math.log(1 + MOST_GROWL),
                    String.format(Locale.ROOT, "%.1f ×", a.growl())),
            bar(
                    Math.min(1, a.reading().mud() / MOST_MUD),
                    String.format(Locale.ROOT, "%.2f", a.reading().mud())),
            bar(
                    a.reading().biteHz() / MOST_BITE_HZ,
                    String.format(Locale.ROOT, "%.1f kHz", a.reading().biteHz() / 1000))
        };
        for (int b = 0; b < bars.length; b++) {
            int row = 4 + b;
            grid.getChildren()
                    .removeIf(
                            n ->
                                    n instanceof HBox
                                            && GridPane.getRowIndex(n) == row
                                            && GridPane.getColumnIndex(n) == column);
            grid.add(bars[b], column, row);
        }
    }

    private static HBox bar(double share, String value) {
        Region length = new Region();
        length.getStyleClass().add("gain-bar");
        double width = Math.max(2, Math.min(1, share) * BAR_WIDTH);
        length.setMinWidth(width);
        length.setMaxWidth(width);
        HBox box = new HBox(6, length, new Label(value));
        box.setAlignment(Pos.CENTER_LEFT);
        return box;
    }

    /** Against 1-5-8 on the same root, in words. */
    private static String changes(Readout r) {
        List<String> parts = new ArrayList<>();
        List<String> added =
                r.voices().stream()
                        .map(Readout.Voice::ofChord)
                        .filter(d -> d.semitones() != 0 && d.semitones() != 7)
                        .map(Degree::symbol)
                        .distinct()
                        .toList();
        boolean fifth = r.voices().stream().anyMatch(x -> x.ofChord().semitones() == 7);
        boolean major = added.contains("3");
        boolean minor = added.contains("♭3");
        if (added.isEmpty() && fifth && Math.floorMod(r.bass().midi(), 12) == r.root()) {
            parts.add("is a power chord itself");
        }
        if (major != minor) {
            parts.add("says " + (major ? "major" : "minor"));
        }
        List<String> colours =
                added.stream().filter(d -> !d.equals("3") && !d.equals("♭3")).toList();
        if (!colours.isEmpty()) {
            parts.add("adds " + String.join(", ", colours));
        }
        if (!fifth) {
            parts.add("lets the fifth go");
        }
        if (Math.floorMod(r.bass().midi(), 12) != r.root()) {
            parts.add("stands on its " + Degree.above(r.bass().midi() - r.root()).symbol());
        }
        String text = String.join("; ", parts);
        return text.isEmpty() ? "changes nothing that is heard" : text;
    }

    private Pane strip(Voicing v, Readout r) {
        Fretboard b = v.board();
        int low = b.midi(0, 0) - 1;
        int high = b.midi(b.strings() - 1, Math.min(19, b.frets()));
        Pane pane = new Pane();
        pane.setMinHeight(STRIP_HEIGHT);
        pane.getStyleClass().add("compare-strip");
        List<Double> heights = new ArrayList<>();
        r.voices()
                .forEach(
                        x ->
                                heights.add(
                                        STRIP_HEIGHT
                                                - 8
                                                - (x.source().midi() - low)
                                                        * (STRIP_HEIGHT - 16)
                                                        / (high - low)));
        List<Integer> columns = BandGeometry.stagger(heights, 13);
        for (int i = 0; i < heights.size(); i++) {
            Readout.Voice voice = r.voices().get(i);
            boolean root = voice.ofChord().semitones() == 0;
            String kind = root ? "rung-root" : voice.source().open() ? "rung-open" : "rung-plain";
            Region rung = new Region();
            rung.getStyleClass().addAll("rung", kind);
            rung.resizeRelocate(56, heights.get(i) - 2.5, 120, 5);
            rung.setManaged(false);
            Label degree = new Label(voice.ofChord().symbol());
            degree.getStyleClass().addAll("rung-degree", kind + "-text");
            degree.relocate(30 - 18 * columns.get(i) % 36, heights.get(i) - 9);
            pane.getChildren().addAll(rung, degree);
        }
        return pane;
    }

    private void add(int column, int row, String value) {
        Label v = new Label(value);
        v.setWrapText(true);
        v.setMinHeight(Region.USE_PREF_SIZE);
        GridPane.setValignment(v, VPos.TOP);
        grid.add(v, column, row);
    }
}
