package vocalis.desktop.readout;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javafx.css.PseudoClass;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Finding;
import vocalis.core.harmony.Context;
import vocalis.core.harmony.WhyHere;
import vocalis.core.names.ChordName;
import vocalis.core.names.ChordNamer;
import vocalis.core.names.Readout;
import vocalis.core.names.WorkingName;
import vocalis.core.theory.Degree;
import vocalis.core.voicing.Voicing;
import vocalis.desktop.view.Explain;
import vocalis.desktop.writing.Page;
import vocalis.desktop.writing.WriteModel;
import vocalis.workbench.words.FindingWords;
import vocalis.workbench.words.RootWords;
import vocalis.workbench.words.WhyWords;

/**
 * What the voicing shown is, in plain words and figures; each figure says on its label what it
 * means.
 */
public final class ReadoutPane extends VBox {

    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");

    private final WriteModel model;
    private final Label name = new Label();
    private final Label also = new Label();
    private final Label whyHere = new Label();
    private final Label reason = new Label();
    private final Label fit = new Label();
    private final Figures notes = new Figures();
    private final Figures hand = new Figures();
    private final Figures gain = new Figures();
    private final HandFigures handFigures;
    private final GainFigures gainFigures;
    private final HBox pages = new HBox(14);
    private final Label remarks = new Label();

    public ReadoutPane(WriteModel model) {
        this.model = model;
        getStyleClass().add("readout");
        name.getStyleClass().add("readout-name");
        name.setId("readout-name");
        also.getStyleClass().add("caption");
        whyHere.setId("readout-why-here");
        reason.setId("readout-reason");
        fit.setId("readout-fit");
        remarks.getStyleClass().add("warning");
        for (Label l : List.of(reason, fit, remarks, also, whyHere)) {
            l.setWrapText(true);
            l.setMinHeight(USE_PREF_SIZE);
        }
        handFigures = new HandFigures(model, hand);
        pages.setId("readout-pages");
        page(Page.NOTES, notes);
        page(Page.HAND, hand);
        page(Page.GAIN, gain);
        gainFigures = new GainFigures(model, gain);
        model.gain().shownProperty().addListener(o -> refreshPage());
        model.pageProperty()
                .addListener(
                        o -> {
                            showPage();
                            refreshPage();
                        });
        showPage();
        getChildren()
                .addAll(name, also, reason, why(), fit, whyHere, pages, notes, hand, gain, remarks);
        model.shown().readoutProperty().addListener(o -> refresh());
        // The rows below are read off the voicing itself, which is set after what is said of it.
        model.shown().voicingProperty().addListener(o -> refresh());
        model.derivedProperty().addListener(o -> refresh());
        model.supportProperty().addListener(o -> refresh());
        reason.setOnMouseClicked(e -> model.supportProperty().set(!model.supportProperty().get()));
        refresh();
    }

    /** Shows the numbers behind the sentence, or puts them away. */
    private Button why() {
        Button why = new Button("why");
        why.setId("readout-why");
        why.getStyleClass().addAll("quiet-button", "why");
        why.setFocusTraversable(false);
        why.setAccessibleText("Why it is heard so, in numbers");
        Explain.means(why, "The numbers behind the heard root, and back");
        why.setOnAction(e -> model.supportProperty().set(!model.supportProperty().get()));
        model.supportProperty()
                .addListener(
                        o -> why.setText(model.supportProperty().get() ? "no numbers" : "why"));
        return why;
    }

    /** In a scroll pane, for windows too low to show it all. */
    public ScrollPane scrolling() {
        ScrollPane pane = new ScrollPane(this);
        pane.setFitToWidth(true);
        pane.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        pane.getStyleClass().add("readout-scroll");
        pane.setFocusTraversable(false);
        return pane;
    }

    private void page(Page page, Figures figures) {
        Button head = new Button(page.title());
        head.getStyleClass().add("page-key");
        head.setId("page-" + page.name().toLowerCase(Locale.ROOT));
        head.setFocusTraversable(false);
        Explain.means(head, "Shows this page of figures");
        head.setOnAction(e -> model.pageProperty().set(page));
        pages.getChildren().add(head);
        figures.setUserData(page);
    }

    private void showPage() {
        Page now = model.pageProperty().get();
        for (Page p : Page.values()) {
            pages.getChildren().get(p.ordinal()).pseudoClassStateChanged(CHOSEN, p == now);
        }
        for (Figures f : List.of(notes, hand, gain)) {
            f.setVisible(f.getUserData() == now);
            f.setManaged(f.getUserData() == now);
        }
    }

    private void refresh() {
        Readout r = model.shown().readoutProperty().get();
        name.setText(r.name().symbol());
        alsoCalled(r);
        reason.setText(namedFrom(r) + RootWords.sentence(r.heard(), Optional.of(model.key())));
        Explain.means(reason, "Why, below, shows the numbers behind it");
        fit.setText(fitInWords(r));
        standing();
        noteRows(r);
        refreshPage();
        remarks();
    }

    /** Why what is shown may stand between its neighbours; nothing where it needs no reason. */
    private void standing() {
        List<Derived.Chord> all = model.derived().chords();
        int at = model.caret().chord();
        int n = all.size();
        String said =
                n < 2
                        ? ""
                        : WhyWords.of(
                                WhyHere.of(
                                        model.shown().voicing(),
                                        model.key(),
                                        Optional.of(
                                                all.get((at + n - 1) % n).candidate().voicing()),
                                        Optional.of(all.get((at + 1) % n).candidate().voicing())),
                                model.key());
        whyHere.setText(said);
        whyHere.setManaged(!said.isEmpty());
    }

    private void alsoCalled(Readout r) {
        String others =
                r.otherNames().stream()
                        .limit(2)
                        .map(ChordName::symbol)
                        .collect(Collectors.joining(", "));
        boolean plain = r.different() == 2 && r.bass().midi() % 12 == r.root();
        boolean say = !others.isEmpty() && !plain;
        String fingered =
                r.fingered()
                        .map(n -> n.symbol() + " shape, sounds " + r.name().symbol())
                        .orElse("");
        List<String> passing = WorkingName.of(model.shown().voicing(), Optional.of(model.key()));
        String called = passing.isEmpty() ? "" : "called " + passing.get(0) + " in passing";
        String besides =
                Stream.of(called, say ? "also " + others : "")
                        .filter(t -> !t.isEmpty())
                        .collect(Collectors.joining("; "));
        String both = fingered + (fingered.isEmpty() || besides.isEmpty() ? "" : "; ") + besides;
        also.setText(both);
        also.setManaged(!both.isEmpty());
    }

    private void noteRows(Readout r) {
        notes.begin();
        if (model.supportProperty().get()) {
            notes.row(
                    "support",
                    support(r),
                    "Each sounding note adds 10 to a root it doubles, 5 to the one it is the fifth of, 3 as a"
                            + " major third, 2 as a minor seventh, 1 as a second; 2 for the lowest note, 3 for the"
                            + " tonic, 1 for another note of the scale.");
        }
        int sounded = r.voices().size();
        notes.row(
                "notes",
                joined(r, v -> v.note().symbol()),
                "The sounded notes from the lowest to the highest.");
        notes.row(
                "different",
                r.different()
                        + (r.different() == 1 ? " note on " : " notes on ")
                        + sounded
                        + " strings",
                "How many different notes sound when doublings are counted once.");
        notes.row(
                "of the chord",
                joined(r, v -> v.ofChord().symbol()),
                "Each note as a degree above the heard root.");
        notes.row(
                "of the key",
                joined(r, v -> v.ofKey().symbol()),
                "Each note as a degree of the key.");
        notes.row(
                "intervals",
                r.steps().isEmpty() ? "one note alone" : r.stepsInWords(),
                "The distance from each voice to the next above it.");
        notes.row("bass", bassInWords(r), "The lowest note, and what it is to the heard root.");
        contextRows(r);
        notes.end();
    }

    private void remarks() {
        List<Finding> findings = model.derived().findings();
        String said =
                findings.stream()
                        .limit(2)
                        .map(f -> FindingWords.of(f, model.riff()))
                        .collect(Collectors.joining("\n"));
        boolean more = findings.size() > 2;
        remarks.setText(
                said
                        + (more
                                ? "\nand "
                                        + (findings.size() - 2)
                                        + " more: the menu Variations and checks lists them."
                                : ""));
        remarks.setManaged(!said.isEmpty());
    }

    /** Fills the page that is seen; the others when they are turned to. */
    private void refreshPage() {
        if (model.pageProperty().get() == Page.HAND) {
            handFigures.refresh();
        } else if (model.pageProperty().get() == Page.GAIN) {
            gainFigures.refresh();
        }
    }

    private void contextRows(Readout r) {
        var v = model.shown().voicing();
        var key = model.key();
        String borrowed = Context.borrowed(r.root(), key) ? ", borrowed" : "";
        notes.row(
                "in the key",
                Context.numeral(v, r.root(), key)
                        + borrowed
                        + "; tension "
                        + Context.tension(v, key)
                        + " of 100"
                        + (model.session().workspace().upToDate() ? "" : ", provisional"),
                "Roman numeral of the heard root. Tension from notes outside, roughness, an unclear root and a"
                        + " bass that is not the root; docs/figures.md has the weights.");
        int n = model.derived().chords().size();
        if (n > 1) {
            Derived.Chord after = model.derived().chord((model.caret().chord() + 1) % n);
            Voicing next = after.candidate().voicing();
            int pull = Context.pull(v, next);
            String into = ChordNamer.name(next, Optional.of(key), after.around()).symbol();
            notes.row(
                    "leads",
                    (pull == 0 ? "not by itself" : pull == 1 ? "gently" : "strongly")
                            + " into "
                            + into
                            + (pull == 0 ? "" : " (" + pull + ")"),
                    "One for each voice that can move a semitone into the next chord, two more for a tritone that"
                            + " resolves; two where the root falls a fifth, one where it steps a semitone.");
        }
    }

    /** Says so where the name starts from the chosen root and another is heard without it. */
    private String namedFrom(Readout r) {
        if (r.root() == r.heard().root() || r.heard().mayBe(r.root())) {
            return "";
        }
        int chosen = model.shown().voicing().root();
        String from = "Named from " + model.key().say(r.root());
        return from
                + (r.root() == chosen
                        ? ", the root you chose. By itself: "
                        : ", which says these notes most simply. By itself: ");
    }

    /** The numbers behind the heard root. */
    private String support(Readout r) {
        return r.heard().ranking().stream()
                .limit(5)
                .map(s -> model.key().say(s.pitchClass()) + " " + s.weight())
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
}
