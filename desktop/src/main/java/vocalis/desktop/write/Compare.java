package vocalis.desktop.write;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Muting;
import vocalis.core.harmony.Context;
import vocalis.core.harmony.Readout;
import vocalis.core.instrument.Fretboard;
import vocalis.core.theory.Degree;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;
import vocalis.workbench.GainReadings;

/**
 * Up to four voicings side by side, on one scale, with what each changes against the plain power
 * chord.
 */
final class Compare {

    private static final int MOST = 4;
    private static final double STRIP_HEIGHT = 130;
    private static final double CHANGES_HEIGHT = 40;
    private static final double BARS_HEIGHT = 58;
    private static final double BAR_WIDTH = 110;
    private static final double MOST_GROWL = 30;
    private static final double MOST_BITE_HZ = 4000;

    private final WriteModel model;
    private final List<Voicing> voicings = new ArrayList<>();
    private Stage stage;
    private HBox columns;

    Compare(WriteModel model) {
        this.model = model;
    }

    /** Adds a voicing; a fifth takes the place of the first. */
    void add(Voicing v) {
        voicings.removeIf(x -> !x.board().equals(v.board()) || x.shape().equals(v.shape()));
        if (voicings.size() == MOST) {
            voicings.remove(0);
        }
        voicings.add(v);
        model.player().prepare(v.shape(), new double[0]);
    }

    void show(Scene owner) {
        if (stage == null || !stage.isShowing()) {
            columns = new HBox(14);
            VBox content =
                    new VBox(
                            12,
                            Sheets.head("Side by side"),
                            Sheets.caption(
                                    "C on a card adds it, the fourth at most; Esc goes back. Hold a name to hear it."),
                            columns);
            content.getStyleClass().add("help");
            stage = Sheets.open(model, owner, "Compare", content, 1080, 700);
        }
        fill();
    }

    private void fill() {
        columns.getChildren().setAll(voicings.stream().map(this::column).toList());
    }

    private VBox column(Voicing v) {
        Key key = model.key();
        Readout r = Readout.of(v, key);
        Button name = new Button(r.name().symbol());
        name.getStyleClass().add("compare-name");
        name.setOnMousePressed(e -> model.hearing().hear(v.shape()));
        name.setOnMouseReleased(e -> model.hearing().endHearing());
        VBox box = new VBox(6, name, Sheets.mono(v.shape().text()), strip(v, r));
        box.getStyleClass().add("compare-column");
        box.setPrefWidth(240);
        Label change = new Label(changes(v, r));
        change.setWrapText(true);
        change.setMinHeight(CHANGES_HEIGHT);
        change.setAlignment(javafx.geometry.Pos.TOP_LEFT);
        change.getStyleClass().add("compare-changes");
        box.getChildren().add(new VBox(0, Sheets.caption("against the plain power chord"), change));
        VBox bars = new VBox(3);
        bars.setMinHeight(BARS_HEIGHT);
        bars.getStyleClass().add("gain-bars");
        box.getChildren().add(bars);
        model.gain()
                .background()
                .channel((GainReadings.Against a) -> bars(bars, a))
                .request(() -> model.gain().of(v, r.root(), model.riff().ground()));
        add(
                box,
                "degrees",
                r.voices().stream()
                        .map(x -> x.ofChord().symbol())
                        .collect(Collectors.joining("  ")));
        add(box, "notes", r.different() + " different on " + r.voices().size() + " strings");
        add(box, "heard root", r.heard().reason());
        String fit =
                r.outside().isEmpty()
                        ? "all in " + key
                        : r.outside().stream()
                                        .map(n -> n.spelling().symbol())
                                        .collect(Collectors.joining(", "))
                                + " outside "
                                + key;
        add(box, "fit", fit);
        add(box, "tension", Context.tension(v, key) + " of 100");
        Optional<Fingering> hand = Fingering.of(v.board(), v.shape(), model.workspace().hand());
        add(
                box,
                "hand",
                hand.map(
                                f ->
                                        f.presses().isEmpty()
                                                ? "open strings"
                                                : f.inWords()
                                                        + ", "
                                                        + Math.round(f.reachMm())
                                                        + " mm")
                        .orElse("out of reach"));
        hand.map(f -> Muting.of(v.shape(), f).inWords())
                .filter(s -> !s.isEmpty())
                .ifPresent(s -> add(box, "silence", s));
        return box;
    }

    /** Growl, mud and bite, each on one scale for all columns. */
    private static void bars(VBox box, GainReadings.Against a) {
        box.getChildren()
                .setAll(
                        bar(
                                "growl",
                                Math.log(1 + a.growl()) / Math.log(1 + MOST_GROWL),
                                String.format(Locale.ROOT, "%.1f ×", a.growl())),
                        bar("mud", a.reading().mud(), Math.round(100 * a.reading().mud()) + " %"),
                        bar(
                                "bite",
                                a.reading().biteHz() / MOST_BITE_HZ,
                                String.format(
                                        Locale.ROOT, "%.1f kHz", a.reading().biteHz() / 1000)));
    }

    private static HBox bar(String label, double share, String value) {
        Label l = Sheets.caption(label);
        l.setMinWidth(38);
        Region length = new Region();
        length.getStyleClass().add("gain-bar");
        double width = Math.max(2, Math.min(1, share) * BAR_WIDTH);
        length.setMinWidth(width);
        length.setMaxWidth(width);
        HBox box = new HBox(6, l, length, new Label(value));
        box.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        return box;
    }

    /** Against 1-5-8 on the same root, in words. */
    private static String changes(Voicing v, Readout r) {
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
            parts.add("a power chord itself");
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
        return text.isEmpty()
                ? "nothing that is heard"
                : Character.toUpperCase(text.charAt(0)) + text.substring(1) + ".";
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

    private static void add(VBox box, String label, String value) {
        Label l = Sheets.caption(label);
        Label v = new Label(value);
        v.setWrapText(true);
        v.setMinHeight(Region.USE_PREF_SIZE);
        box.getChildren().add(new VBox(0, l, v));
    }
}
