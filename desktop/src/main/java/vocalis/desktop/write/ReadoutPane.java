package vocalis.desktop.write;

import java.util.List;
import java.util.stream.Collectors;
import javafx.geometry.VPos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Move;
import vocalis.core.hands.Muting;
import vocalis.core.harmony.ChordName;
import vocalis.core.harmony.Context;
import vocalis.core.harmony.Readout;
import vocalis.core.theory.Degree;

/**
 * What the voicing shown is, in plain words and figures; each figure says on its label what it
 * means.
 */
final class ReadoutPane extends VBox {

    private final WriteModel model;
    private final Label name = new Label();
    private final Label also = new Label();
    private final Label reason = new Label();
    private final Label fit = new Label();
    private final GridPane figures = new GridPane();
    private final Label remarks = new Label();

    ReadoutPane(WriteModel model) {
        this.model = model;
        getStyleClass().add("readout");
        name.getStyleClass().add("readout-name");
        name.setId("readout-name");
        also.getStyleClass().add("caption");
        reason.setId("readout-reason");
        fit.setId("readout-fit");
        remarks.getStyleClass().add("warning");
        for (Label l : List.of(reason, fit, remarks, also)) {
            l.setWrapText(true);
            l.setMinHeight(USE_PREF_SIZE);
        }
        figures.getStyleClass().add("figures");
        ColumnConstraints first = new ColumnConstraints(86);
        ColumnConstraints second = new ColumnConstraints();
        second.setHgrow(Priority.ALWAYS);
        figures.getColumnConstraints().addAll(first, second);
        getChildren().addAll(name, also, reason, fit, figures, remarks);
        model.readoutProperty().addListener(o -> refresh());
        model.scoreProperty().addListener(o -> refresh());
        refresh();
    }

    /** In a scroll pane, for windows too low to show it all. */
    ScrollPane scrolling() {
        ScrollPane pane = new ScrollPane(this);
        pane.setFitToWidth(true);
        pane.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        pane.getStyleClass().add("readout-scroll");
        pane.setFocusTraversable(false);
        return pane;
    }

    private void refresh() {
        Readout r = model.readoutProperty().get();
        name.setText(r.name().symbol());
        String others =
                r.otherNames().stream()
                        .limit(2)
                        .map(ChordName::symbol)
                        .collect(Collectors.joining(", "));
        boolean plain = r.different() == 2 && r.bass().midi() % 12 == r.root();
        boolean say = !others.isEmpty() && !plain;
        also.setText(say ? "also " + others : "");
        also.setManaged(say);
        reason.setText(r.heard().reason());
        reason.setTooltip(new Tooltip(support(r)));
        fit.setText(fitInWords(r));
        figures.getChildren().clear();
        int sounded = r.voices().size();
        row(
                "notes",
                joined(r, v -> v.note().symbol()),
                "The sounded notes from the lowest to the highest.");
        row(
                "different",
                r.different()
                        + (r.different() == 1 ? " note on " : " notes on ")
                        + sounded
                        + " strings",
                "How many different notes sound when doublings are counted once.");
        row(
                "of the chord",
                joined(r, v -> v.ofChord().symbol()),
                "Each note as a degree above the heard root.");
        row("of the key", joined(r, v -> v.ofKey().symbol()), "Each note as a degree of the key.");
        row(
                "intervals",
                r.steps().isEmpty() ? "one note alone" : r.stepsInWords(),
                "The distance from each voice to the next above it.");
        row("bass", bassInWords(r), "The lowest note, and what it is to the heard root.");
        contextRows(r);
        handRows();
        String said = String.join("\n", model.score().remarks());
        remarks.setText(said);
        remarks.setManaged(!said.isEmpty());
    }

    private void contextRows(Readout r) {
        var v = model.shownProperty().get();
        var key = model.key();
        String borrowed = Context.borrowed(r.root(), key) ? ", borrowed" : "";
        row(
                "in the key",
                Context.numeral(v, r.root(), key)
                        + borrowed
                        + "; tension "
                        + Context.tension(v, key)
                        + " of 100",
                "Roman numeral of the heard root. Tension from notes outside, roughness, an unclear root and a"
                        + " bass that is not the root; docs/figures.md has the weights.");
        int n = model.score().chords().size();
        if (n > 1) {
            var next =
                    model.score()
                            .chords()
                            .get((model.chordProperty().get() + 1) % n)
                            .candidate()
                            .voicing();
            int pull = Context.pull(v, next);
            String into = Readout.of(next, key).name().symbol();
            row(
                    "pull",
                    (pull == 0 ? "none" : String.valueOf(pull)) + " into " + into,
                    "One for each voice that can move a semitone into the next chord, two more for a tritone that"
                            + " resolves.");
        }
    }

    private void handRows() {
        Fingering f = model.shownFingering().orElse(null);
        if (f == null) {
            row(
                    "hand",
                    "out of reach of a " + model.workspace().hand().name() + " hand",
                    "No fingering was found within the hand's reach.");
            return;
        }
        row(
                "fingers",
                f.presses().isEmpty() ? "open strings alone" : f.inWords(),
                "The easiest fingering found: finger and fret.");
        Muting muting = Muting.of(model.shownProperty().get().shape(), f);
        if (!muting.silences().isEmpty()) {
            row(
                    "silence",
                    muting.inWords(),
                    "What keeps each string quiet that is not meant to sound.");
        }
        row(
                "strike",
                muting.schools().isEmpty() ? "none that is clean" : strikes(muting),
                "The ways of striking that leave the unwanted strings quiet.");
        if (!f.presses().isEmpty()) {
            row(
                    "reach",
                    f.reachMm() == 0
                            ? "none, one fret"
                            : Math.round(f.reachMm())
                                    + " mm of "
                                    + Math.round(model.workspace().hand().comfortMm())
                                    + " in comfort",
                    "Distance along the neck between the outermost fingers, at this scale length and fret.");
        }
        careRows(f);
    }

    private String strikes(Muting muting) {
        String plucked = Muting.pluckedBy(model.shownProperty().get().shape());
        return muting.schools().stream()
                .map(
                        s ->
                                s == Muting.School.PLUCK && !plucked.isEmpty()
                                        ? "pluck: " + plucked
                                        : s.words())
                .collect(Collectors.joining("; "));
    }

    /**
     * A wide reach with the easier shape of the same name, and what the hand does from the chord
     * before.
     */
    private void careRows(Fingering f) {
        double comfort = model.workspace().hand().comfortMm();
        if (f.reachMm() > comfort) {
            row(
                    "caution",
                    "past comfort by " + Math.round(f.reachMm() - comfort) + " mm" + easier(f),
                    "A reach past comfort tires the hand when it returns often. Stop where it hurts.");
        }
        int n = model.score().chords().size();
        if (n > 1) {
            int before = (model.chordProperty().get() + n - 1) % n;
            var from = model.score().chords().get(before).candidate().voicing();
            var to = model.shownProperty().get();
            if (from.board().equals(to.board())) {
                Move move = Move.between(to.board(), from.shape(), to.shape());
                row(
                        "from before",
                        moveInWords(move),
                        "Fingers that stay or slide, and how far the hand travels.");
            }
        }
    }

    private String moveInWords(Move move) {
        int strings = model.riff().ground().board().strings();
        java.util.function.Function<List<Integer>, String> named =
                l ->
                        (l.size() == 1 ? "string " : "strings ")
                                + l.stream()
                                        .map(s -> String.valueOf(strings - s))
                                        .collect(Collectors.joining(", "));
        String stays = move.anchors().isEmpty() ? "" : named.apply(move.anchors()) + " stays, ";
        String slides =
                move.guides().isEmpty() ? "" : "slide on " + named.apply(move.guides()) + ", ";
        return stays + slides + "hand moves " + Math.round(move.travelMm()) + " mm";
    }

    private String easier(Fingering f) {
        String name = model.readoutProperty().get().name().symbol();
        return model.cardsProperty().get().stream()
                .flatMap(c -> c.places().stream())
                .filter(c -> c.fingering().reachMm() < 0.8 * f.reachMm())
                .filter(c -> Readout.of(c.voicing(), model.key()).name().symbol().equals(name))
                .findFirst()
                .map(c -> "; easier: " + c.voicing().shape().text())
                .orElse("");
    }

    /** The numbers behind the heard root. */
    private String support(Readout r) {
        return "Support of each note as root: "
                + r.heard().ranking().stream()
                        .limit(6)
                        .map(s -> model.key().spell(s.pitchClass()) + " " + s.weight())
                        .collect(Collectors.joining(", "));
    }

    private String fitInWords(Readout r) {
        if (r.outside().isEmpty()) {
            int n = r.different();
            String all =
                    n == 1 ? "Its note is" : n == 2 ? "Both notes are" : "All " + n + " notes are";
            return all + " in " + model.key() + ".";
        }
        String names =
                r.outside().stream()
                        .map(n -> n.spelling().symbol())
                        .collect(Collectors.joining(", "));
        return names + (r.outside().size() == 1 ? " is" : " are") + " outside " + model.key() + ".";
    }

    private static String bassInWords(Readout r) {
        int above = Math.floorMod(r.bass().midi() - r.root(), 12);
        return r.bass().symbol() + ", the " + (above == 0 ? "root" : Degree.above(above).symbol());
    }

    private static String joined(
            Readout r, java.util.function.Function<Readout.Voice, String> text) {
        return r.voices().stream().map(text).collect(Collectors.joining("  "));
    }

    private void row(String label, String value, String meaning) {
        int row = figures.getRowCount();
        Label l = new Label(label);
        l.getStyleClass().add("figure-label");
        l.setTooltip(new Tooltip(meaning));
        Label v = new Label(value);
        v.getStyleClass().add("figure-value");
        v.setId("figure-" + label.replace(' ', '-'));
        v.setWrapText(true);
        v.setTooltip(new Tooltip(meaning));
        GridPane.setValignment(l, VPos.TOP);
        figures.addRow(row, l, v);
    }
}
