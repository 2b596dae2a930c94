package vocalis.desktop.exchange;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import vocalis.core.derive.Derived;
import vocalis.core.riff.Ground;
import vocalis.core.theory.Key;
import vocalis.core.unpick.Unpicked;
import vocalis.desktop.session.Asking;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.view.Background;
import vocalis.desktop.view.Choices;
import vocalis.desktop.view.Sheets;
import vocalis.formats.FormatException;
import vocalis.formats.sheet.Imported;
import vocalis.formats.tab.TabText;
import vocalis.workbench.exchange.Exchange;
import vocalis.workbench.exchange.UnpickWords;
import vocalis.workbench.playedin.Draft;

/**
 * What was imported beside what was understood of it: the literal tab, and the chords with how sure
 * each is. The player corrects key and roots, hears it, and takes it.
 */
public final class UnpickSheet {

    private static final double WIDTH = 1080;
    private static final double HEIGHT = 400;
    private static final int TAB_COLUMNS = 64;

    private final Asking session;
    private final Hearing hearing;
    private final Exchange exchange;
    private final Optional<WritesDown.Bars> bars;
    private final Background.Channel<Object> answers;
    private final Label said = Choices.text("");
    private final Label literal = Choices.mono("");
    private final Label remarks = Choices.caption("");
    private final GridPane rows = Choices.grid();
    private final TextField key = new TextField();
    private final Button take;
    private final Map<Long, Integer> roots = new HashMap<>();
    private Imported imported;
    private Optional<Draft> draft;
    private Ground ground;
    private Unpicked unpicked;
    private boolean held;
    private int focused;

    private UnpickSheet(
            Asking session,
            Hearing hearing,
            Exchange exchange,
            Imported imported,
            Optional<Draft> draft,
            Optional<WritesDown.Bars> bars) {
        this.session = session;
        this.hearing = hearing;
        this.exchange = exchange;
        this.imported = imported;
        this.draft = draft;
        this.bars = bars;
        take = new Button(bars.map(b -> "Put it into " + b.words()).orElse("Work on it") + "  ⏎");
        this.ground = Exchange.ground(imported);
        this.answers = session.channel("taking a score apart", this::show);
    }

    /**
     * Opens it.
     *
     * @param draft what the ear wrote down; empty for a file
     * @param bars of the open riff that it is put into, in its key; empty for a riff of its own
     * @param then takes what was understood; the sheet closes before
     */
    public static void show(
            Asking session,
            Hearing hearing,
            Exchange exchange,
            Imported imported,
            Optional<Draft> draft,
            Optional<WritesDown.Bars> bars,
            Sheets host,
            Consumer<Unpicked> then) {
        new UnpickSheet(session, hearing, exchange, imported, draft, bars).open(host, then);
    }

    private void open(Sheets host, Consumer<Unpicked> then) {
        HBox both = sides();
        fields();
        HBox foot = new HBox(12, take);
        if (bars.isEmpty()) {
            foot.getChildren().addAll(Choices.caption("key"), key);
        }
        foot.setAlignment(Pos.CENTER_LEFT);
        VBox body = new VBox(12);
        body.getStyleClass().add("help");
        body.getChildren()
                .addAll(
                        Choices.caption(
                                "The tab as it was read, and what it is made of. ↑ ↓ walk the chords, ← → give"
                                        + " one another root,"
                                        + (draft.isPresent() ? " N takes the ear's next best," : "")
                                        + " hold H to hear it, Enter "
                                        + (bars.isPresent() ? "puts it in." : "works on it.")),
                        said,
                        both,
                        foot);
        body.getChildren().add(2, remarks);
        remark();
        Sheets.Sheet sheet = host.open("Unpick " + imported.sheet().title(), body, WIDTH);
        take.setOnAction(
                e -> {
                    Unpicked u = unpicked;
                    sheet.close();
                    then.accept(u);
                });
        listen(sheet, body);
        ask();
    }

    private void remark() {
        List<String> told = new ArrayList<>(imported.remarks());
        if (draft.isEmpty()) {
            told.addAll(UnpickWords.cautions(imported));
        }
        remarks.setText(String.join(" ", told));
        remarks.setVisible(!told.isEmpty());
        remarks.setManaged(!told.isEmpty());
        String tab = new TabText(TAB_COLUMNS).text(imported.sheet());
        int from = tab.indexOf("\nguitar:");
        literal.setText(from < 0 ? tab : tab.substring(from + 1));
    }

    private HBox sides() {
        remarks.setWrapText(true);
        remarks.setId("unpick-remarks");
        literal.setId("unpick-tab");
        literal.setWrapText(false);
        ScrollPane left = scroll(literal);
        ScrollPane right = scroll(rows);
        right.setFitToWidth(true);
        HBox both = new HBox(20, left, right);
        HBox.setHgrow(left, Priority.ALWAYS);
        HBox.setHgrow(right, Priority.ALWAYS);
        return both;
    }

    private void fields() {
        rows.setVgap(4);
        key.setText(ground.key().symbol());
        key.setId("unpick-key");
        key.setPrefWidth(190);
        key.setAccessibleText("Key of what was imported");
        key.setOnAction(e -> otherKey());
        take.setId("unpick-take");
        take.getStyleClass().add("use-button");
        take.setDisable(true);
        said.setId("unpick-said");
        said.setWrapText(true);
    }

    private void listen(Sheets.Sheet sheet, VBox body) {
        body.addEventHandler(KeyEvent.KEY_PRESSED, this::pressed);
        body.addEventHandler(
                KeyEvent.KEY_RELEASED,
                e -> {
                    if (e.getCode() == KeyCode.H) {
                        letGo();
                    }
                });
        sheet.onClosed(
                () -> {
                    letGo();
                    answers.forget();
                });
        sheet.focus(take);
    }

    private static ScrollPane scroll(Node content) {
        ScrollPane scroll = new ScrollPane(content);
        scroll.setPrefHeight(HEIGHT);
        scroll.setPrefWidth(WIDTH / 2);
        scroll.setFocusTraversable(false);
        scroll.getStyleClass().add("rows");
        return scroll;
    }

    private void pressed(KeyEvent e) {
        if (e.getCode() == KeyCode.H && !(e.getTarget() instanceof TextField)) {
            if (!held && unpicked != null) {
                held = true;
                hearing.preview(unpicked.riff());
            }
            e.consume();
        }
    }

    private void letGo() {
        if (held) {
            held = false;
            hearing.endPreview();
        }
    }

    private void ask() {
        Ground g = ground;
        Map<Long, Integer> known = Map.copyOf(roots);
        said.setText("Taking it apart …");
        answers.request(
                () -> {
                    try {
                        return exchange.unpick(imported, g, known);
                    } catch (FormatException e) {
                        return e;
                    }
                });
    }

    private void otherKey() {
        try {
            ground = ground.withKey(Key.parse(key.getText()));
            ask();
        } catch (IllegalArgumentException e) {
            said.setText(e.getMessage());
        }
    }

    private void show(Object answer) {
        if (answer instanceof FormatException e) {
            said.setText(e.getMessage());
            return;
        }
        boolean first = unpicked == null;
        unpicked = (Unpicked) answer;
        take.setDisable(false);
        String whole =
                draft.map(d -> UnpickWords.whole(unpicked, d.certain(unpicked)))
                        .orElseGet(() -> UnpickWords.whole(unpicked));
        said.setText(Character.toUpperCase(whole.charAt(0)) + whole.substring(1) + ".");
        boolean among = rows.getChildren().stream().anyMatch(Node::isFocused);
        rows.getChildren().clear();
        List<Button> buttons = new ArrayList<>();
        for (int i = 0; i < unpicked.chords().size(); i++) {
            row(i, buttons);
        }
        if (unpicked.lines() > 0) {
            Label lines =
                    Choices.caption(
                            (unpicked.lines() == 1
                                            ? "1 note stays a line"
                                            : unpicked.lines() + " notes stay lines, note for note")
                                    + ", by their degree.");
            rows.add(lines, 0, unpicked.chords().size(), 3, 1);
        }
        if (among && !buttons.isEmpty()) {
            buttons.get(Math.min(focused, buttons.size() - 1)).requestFocus();
        } else if (!buttons.isEmpty() && first) {
            buttons.get(0).requestFocus();
        }
    }

    private void row(int i, List<Button> buttons) {
        Derived.Chord c = unpicked.derived().chords().get(i);
        String name = unpicked.derived().score().harmonies().get(i).symbol();
        int before = bars.map(WritesDown.Bars::first).orElse(0);
        int bar = before + unpicked.riff().meters().place(c.start()).bar();
        String root = unpicked.riff().ground().key().say(c.root()).symbol();
        String on = name.startsWith(root) ? "" : " on " + root;
        Button b = new Button("bar " + bar + "  " + name + on);
        b.getStyleClass().add("quiet-button");
        b.setId("unpick-chord-" + i);
        int index = i;
        b.focusedProperty().addListener(o -> focused = b.isFocused() ? index : focused);
        b.addEventHandler(KeyEvent.KEY_PRESSED, e -> walk(e, index, buttons));
        b.setOnAction(e -> take.fire());
        Label shape = Choices.mono(c.candidate().voicing().shape().text());
        b.setMinWidth(Region.USE_PREF_SIZE);
        shape.setMinWidth(Region.USE_PREF_SIZE);
        Unpicked.Sure how = unpicked.chords().get(i).sure();
        List<Draft.Doubt> guesses = guesses(c);
        Label sure =
                Choices.caption(
                        guesses.isEmpty()
                                ? UnpickWords.of(how, draft.map(Draft::clean).orElse(true))
                                : guessed(guesses, doubts(c).size()));
        sure.setWrapText(true);
        if (!guesses.isEmpty()) {
            sure.getStyleClass().add("warning");
        }
        rows.addRow(i, b, shape, sure);
        if (others(guesses)) {
            Button next = new Button("or " + guesses.get(0).next().text() + "  N");
            next.getStyleClass().add("quiet-button");
            next.setId("unpick-next-" + i);
            next.setFocusTraversable(false);
            next.setMinWidth(Region.USE_PREF_SIZE);
            next.setOnAction(e -> next(index, guesses));
            rows.add(next, 3, i);
        }
        buttons.add(b);
    }

    private List<Draft.Doubt> doubts(Derived.Chord c) {
        return draft.map(d -> d.doubts(c.start(), c.end())).orElse(List.of());
    }

    /** The ear's guesses during a chord that are the same as the first of them. */
    private List<Draft.Doubt> guesses(Derived.Chord c) {
        List<Draft.Doubt> all = doubts(c);
        return all.stream()
                .filter(
                        d ->
                                d.shape().equals(all.get(0).shape())
                                        && d.next().equals(all.get(0).next()))
                .toList();
    }

    /** Whether there is something else that they may be. */
    private static boolean others(List<Draft.Doubt> guesses) {
        return !guesses.isEmpty() && !guesses.get(0).next().equals(guesses.get(0).shape());
    }

    private static String guessed(List<Draft.Doubt> guesses, int all) {
        Draft.Doubt d = guesses.get(0);
        return (all == 1 ? "1 stroke guessed, " : all + " strokes guessed, the first ")
                + d.shape().text()
                + ", "
                + Math.round(100 * d.likely().get(d.chosen()).share())
                + " of 100";
    }

    /** Writes the ear's next best down instead. */
    private void next(int index, List<Draft.Doubt> guesses) {
        draft = Optional.of(draft.orElseThrow().next(guesses));
        imported = draft.get().sheet();
        focused = index;
        remark();
        ask();
    }

    private void walk(KeyEvent e, int index, List<Button> buttons) {
        switch (e.getCode()) {
            case UP -> buttons.get(Math.max(0, index - 1)).requestFocus();
            case DOWN -> buttons.get(Math.min(buttons.size() - 1, index + 1)).requestFocus();
            case LEFT -> otherRoot(index, -1);
            case RIGHT -> otherRoot(index, 1);
            case N -> {
                List<Draft.Doubt> guesses = guesses(unpicked.derived().chords().get(index));
                if (others(guesses)) {
                    next(index, guesses);
                }
            }
            case ENTER -> take.fire();
            default -> {
                return;
            }
        }
        e.consume();
    }

    /** Another of the chord's own notes as its root, from the lowest up and round. */
    private void otherRoot(int index, int by) {
        Derived.Chord c = unpicked.derived().chords().get(index);
        List<Integer> notes =
                c.candidate().voicing().midi().stream()
                        .map(m -> m % 12)
                        .distinct()
                        .collect(Collectors.toList());
        if (!notes.contains(c.root())) {
            notes.add(c.root());
        }
        int at = notes.indexOf(c.root());
        roots.put(c.start(), notes.get(Math.floorMod(at + by, notes.size())));
        focused = index;
        ask();
    }
}
