package vocalis.desktop.arrange;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import javafx.css.PseudoClass;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import vocalis.core.arrange.Clash;
import vocalis.core.arrange.Lift;
import vocalis.core.arrange.Song;
import vocalis.core.piece.Part;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Section;
import vocalis.core.theory.Key;
import vocalis.desktop.keys.Command;
import vocalis.desktop.session.Document;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Explain;
import vocalis.desktop.view.HoldToHear;
import vocalis.workbench.words.ArrangeWords;

/** The Arrange screen: the strip, the card of the section under the caret, what rubs. */
public final class ArrangePane extends VBox {

    private static final PseudoClass PICKED = PseudoClass.getPseudoClass("picked");
    private static final int MOST_CLASHES = 6;

    private final ArrangeModel arrange;
    private final SongStrip strip;
    private final Runnable edit;
    private final Label title = Choices.head("");
    private final Label[] names = new Label[SectionField.values().length];
    private final Label[] values = new Label[SectionField.values().length];
    private final Label lift = Choices.text("");
    private final Label round = new Label();
    private final VBox clashes = new VBox(3);
    private final Label registers = Choices.caption("");

    /**
     * @param edit asks for what a line says, where it is typed
     */
    public ArrangePane(Document session, ArrangeModel model, Runnable edit) {
        arrange = model;
        this.edit = edit;
        strip = new SongStrip(model);
        strip.setId("song-strip");
        strip.setMinHeight(260);
        VBox.setVgrow(strip, Priority.ALWAYS);
        lift.setId("section-lift");
        round.setId("loop-round");
        round.getStyleClass().add("round");
        clashes.setId("clashes");
        getStyleClass().add("arrange");
        getChildren().addAll(strip, lower());
        arrange.changedProperty().addListener(o -> refresh());
        arrange.sectionProperty().addListener(o -> refresh());
        arrange.fieldProperty().addListener(o -> refresh());
        visibleProperty().addListener(o -> refresh());
        session.onChange(this::refresh);
    }

    /** What has the keys. */
    public SongStrip strip() {
        return strip;
    }

    private Region lower() {
        GridPane card = new GridPane();
        card.setHgap(14);
        card.setVgap(1);
        for (SectionField f : SectionField.values()) {
            field(card, f);
        }
        VBox left = new VBox(6, title, card);
        left.setMinWidth(380);
        left.setPrefWidth(470);
        Label head = Choices.head("Clashes");
        VBox right = new VBox(6, lift, round, head, clashes, registers);
        right.setMinWidth(0);
        HBox.setHgrow(right, Priority.ALWAYS);
        ScrollPane scroll = new ScrollPane(right);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        scroll.getStyleClass().add("rows");
        HBox.setHgrow(scroll, Priority.ALWAYS);
        HBox both = new HBox(36, left, scroll);
        both.setPadding(new Insets(10, 20, 8, 20));
        both.setMinHeight(USE_PREF_SIZE);
        both.getStyleClass().add("lower");
        return both;
    }

    private void field(GridPane card, SectionField f) {
        Label name = Choices.caption(f.words());
        name.setMinWidth(110);
        Label value = Choices.text("", "field");
        value.setId(f.id());
        value.setWrapText(false);
        value.setMaxWidth(Double.MAX_VALUE);
        GridPane.setHgrow(value, Priority.ALWAYS);
        int row = f.ordinal();
        card.add(name, 0, row);
        card.add(value, 1, row);
        if (f.typed()) {
            card.add(stepper("…", "Type it", f, edit), 3, row);
        } else {
            card.add(stepper("−", "The one before, one less", f, () -> step(-1)), 2, row);
            card.add(stepper("+", "The next one, one more", f, () -> step(1)), 3, row);
        }
        value.setOnMouseClicked(e -> clicked(f, value));
        names[row] = name;
        values[row] = value;
    }

    private void step(int by) {
        arrange.edits().step(by);
    }

    private Button stepper(String sign, String what, SectionField f, Runnable action) {
        Button b = new Button(sign);
        b.getStyleClass().add("stepper");
        b.setId(f.id() + (sign.equals("−") ? "-less" : "-more"));
        b.setFocusTraversable(false);
        b.setAccessibleText(f.words() + ": " + what);
        Explain.means(b, Command.capital(f.words()) + ": " + what.toLowerCase(Locale.ROOT));
        b.setOnAction(
                e -> {
                    arrange.fieldProperty().set(f.ordinal());
                    action.run();
                    if (strip.getScene() != null && !f.typed()) {
                        strip.requestFocus();
                    }
                });
        return b;
    }

    /** A click chooses the line; on what it says, the values that it can have. */
    private void clicked(SectionField f, Label value) {
        arrange.fieldProperty().set(f.ordinal());
        strip.requestFocus();
        if (f.typed()) {
            edit.run();
            return;
        }
        Piece p = arrange.piece();
        if (!f.joined(p).equals(p)) {
            step(1);
            return;
        }
        Section now = arrange.current();
        ContextMenu menu = new ContextMenu();
        for (Section s : f.choices(p, now)) {
            MenuItem item = new MenuItem(f.value(p, s));
            item.setMnemonicParsing(false);
            item.setOnAction(e -> arrange.edits().change(f.words(), any -> s));
            menu.getItems().add(item);
        }
        menu.show(value, javafx.geometry.Side.BOTTOM, 0, 0);
    }

    /** Follows the loop's rounds. */
    public void showNow(boolean playing, double tick) {
        strip.showNow(playing, tick);
        Optional<Integer> n = playing ? arrange.hearing().round(tick) : Optional.empty();
        String words =
                n.map(
                                i ->
                                        "round "
                                                + i
                                                + " of "
                                                + SongHearing.ROUNDS
                                                + (i == SongHearing.ROUNDS
                                                        ? ": the fill comes now"
                                                        : ", the fill on " + SongHearing.ROUNDS))
                        .orElse(looped());
        String held =
                arrange.hearing().holding()
                        ? (words.isEmpty() ? "" : " · ") + "guitar one is held"
                        : "";
        String all = words + held;
        if (!all.equals(round.getText())) {
            round.setText(all);
            round.setVisible(!all.isEmpty());
            round.setManaged(!all.isEmpty());
        }
    }

    private String looped() {
        boolean stretch = arrange.hearing().stretchNow().isPresent();
        return !arrange.hearing().looping()
                ? ""
                : stretch ? "the marked bars come round" : "this section comes round";
    }

    private void refresh() {
        if (!isVisible()) {
            return;
        }
        Piece p = arrange.piece();
        int index = Math.min(arrange.sectionProperty().get(), p.sections().size() - 1);
        Section s = p.sections().get(index);
        title.setText((index + 1) + "  " + s.name());
        for (SectionField f : SectionField.values()) {
            boolean picked = f.ordinal() == arrange.fieldProperty().get();
            values[f.ordinal()].setText(f.value(p, s));
            values[f.ordinal()].pseudoClassStateChanged(PICKED, picked);
            names[f.ordinal()].pseudoClassStateChanged(PICKED, picked);
        }
        lift.setText(liftWords(index));
        showNow(false, 0);
        rubs();
        registers.setText(registers(p));
    }

    private String liftWords(int index) {
        List<Lift> all = arrange.lifts();
        if (index == 0 || index >= all.size()) {
            return all.isEmpty() ? "" : "The first section: others are set off against it.";
        }
        List<Double> db = arrange.loudness();
        double before = index < db.size() ? db.get(index - 1) : Double.NaN;
        double now = index < db.size() ? db.get(index) : Double.NaN;
        return "Against the section before: "
                + ArrangeWords.lift(all.get(index - 1), all.get(index), before, now)
                + ".";
    }

    private void rubs() {
        clashes.getChildren().clear();
        Optional<Song> song = arrange.song();
        if (song.isEmpty()) {
            return;
        }
        List<Clash> all = arrange.clashes();
        int at = arrange.clashNow().map(all::indexOf).orElse(0);
        int from = Math.max(0, Math.min(at - MOST_CLASHES / 2, all.size() - MOST_CLASHES));
        List<Label> rows = new ArrayList<>();
        for (int i = from; i < Math.min(all.size(), from + MOST_CLASHES); i++) {
            rows.add(rub(song.get(), all.get(i), i == at));
        }
        if (rows.isEmpty()) {
            boolean alone = song.get().second().isEmpty();
            rows.add(
                    Choices.caption(
                            alone && !arrange.piece().mix().bass().on()
                                    ? "Guitar one plays alone. Second part, below, finds one to go with it."
                                    : "No clash between the guitars, or with the bass."));
        } else if (all.size() > MOST_CLASHES) {
            rows.add(Choices.caption(all.size() + " in all; Next clash goes on."));
        }
        clashes.getChildren().setAll(rows);
    }

    private Label rub(Song song, Clash c, boolean picked) {
        boolean meant = arrange.piece().meant().contains(c.key());
        Label l =
                Choices.text(
                        ArrangeWords.place(song, c.from())
                                + "   "
                                + ArrangeWords.of(c, song)
                                + (c.times() > 1 ? ", " + c.times() + " times" : "")
                                + (meant ? "   meant" : ""),
                        "field");
        l.pseudoClassStateChanged(PICKED, picked);
        l.setMaxWidth(Double.MAX_VALUE);
        l.setWrapText(false);
        l.setOnMousePressed(
                e -> {
                    arrange.clash().to(c);
                    strip.requestFocus();
                });
        HoldToHear.mouse(l, () -> arrange.hearing().hearClash(), () -> arrange.endHearing());
        Explain.means(l, "Hold it to hear the clash alone (hold J)");
        return l;
    }

    private String registers(Piece p) {
        StringBuilder s = new StringBuilder();
        Key key = p.riff().ground().key();
        for (Part part : p.parts()) {
            if (!part.register().equals(Part.Register.ALL)) {
                s.append(s.length() == 0 ? "" : "; ")
                        .append(part.name())
                        .append(" keeps to ")
                        .append(key.note(part.register().floor()).symbol())
                        .append(" to ")
                        .append(key.note(part.register().ceiling()).symbol());
            }
        }
        return s.length() == 0 ? "" : s + ".";
    }
}
