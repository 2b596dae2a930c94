package vocalis.desktop.begin;

import java.util.List;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import vocalis.core.riff.Riff;
import vocalis.desktop.session.Document;
import vocalis.desktop.view.Choices;

/** What an empty riff opens on: four ways in, and the way from there. */
public final class BeginPane extends StackPane {

    /** What the place to begin needs of the window. */
    public interface Window {

        /** Opens the sheet on which a figure is tapped. */
        void tap();

        /** Opens the figures at hand. */
        void figures();

        /** Opens the map of open strings and keys; then what is done when one is taken. */
        void drones(Runnable taken);

        /** Puts the caret on the neck. */
        void neck();

        /** Reads the tab on the clipboard. */
        void pasteTab();

        /** Has a riff played in. */
        void playIn();

        /** Puts the keys on the chords. */
        void chords();

        /** Finds riffs that can be gone on with; tells them when they are found. */
        void others(Consumer<List<Riffs>> then);
    }

    /** A riff to go on with. */
    public record Riffs(String title, Runnable open) {}

    private static final double CARD = 262;
    private static final double LEAST_CARD = 205;

    private final Document session;
    private final BeginModel model;
    private final Window window;
    private final TextField roots = field("begin-roots", "c a f g, or 1 b6 3 b7");
    private final TextField ground = field("begin-ground", "f# dorian 132 5/4");
    private final Label said = Choices.caption("");
    private final FlowPane others = new FlowPane(18, 4);

    public BeginPane(Document session, BeginModel model, Window window) {
        this.session = session;
        this.model = model;
        this.window = window;
        setId("begin");
        getStyleClass().add("begin");
        said.setId("begin-said");
        said.setWrapText(true);
        said.managedProperty().bind(said.textProperty().isNotEmpty());
        roots.setOnAction(e -> typed(roots, model::roots));
        ground.setOnAction(e -> typed(ground, this::ground));
        VBox all = new VBox(20, title(), groundLine(), said, ways(), path(), goOn());
        all.getStyleClass().add("begin-body");
        all.setMaxWidth(1160);
        ScrollPane scroll = new ScrollPane(all);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        scroll.getStyleClass().add("rows");
        getChildren().add(scroll);
        model.openProperty().addListener(o -> shown());
        setVisible(false);
    }

    /** Puts the keys where most begin. */
    public void focusFirst() {
        roots.requestFocus();
        if (roots.getScene() == null) {
            // The first time its pane is still without a skin, and not in the window.
            Platform.runLater(
                    () -> {
                        if (model.openProperty().get()) {
                            roots.requestFocus();
                        }
                    });
        }
    }

    private void shown() {
        boolean open = model.openProperty().get();
        setVisible(open);
        if (open) {
            roots.clear();
            ground.clear();
            said.setText("");
            fillOthers();
            focusFirst();
        } else {
            window.chords();
        }
    }

    private void ground(String line) {
        model.ground(line);
        Riff r = session.now();
        said.setText(
                r.ground().key().symbol()
                        + ", "
                        + r.tempo()
                        + " quarters a minute, "
                        + r.meters().meter(0).symbol()
                        + ".");
        roots.requestFocus();
    }

    private void typed(TextField from, Consumer<String> take) {
        if (from.getText().isBlank()) {
            return;
        }
        try {
            take.accept(from.getText());
        } catch (IllegalArgumentException wrong) {
            said.setText(wrong.getMessage());
        }
    }

    private static TextField field(String id, String prompt) {
        TextField f = new TextField();
        f.setId(id);
        f.setPromptText(prompt);
        f.getStyleClass().add("find");
        return f;
    }

    private static Node title() {
        Label head = new Label("A new riff");
        head.getStyleClass().add("begin-title");
        return new VBox(
                4,
                head,
                new Label("Begin where it begins for you. Everything can be changed later."));
    }

    private Node ways() {
        roots.setAccessibleText("Type the roots");
        HBox rhythm =
                new HBox(
                        8,
                        button("begin-tap", "Tap it", () -> rhythm(window::tap)),
                        button("begin-figure", "Take a figure", () -> rhythm(window::figures)));
        return new HBox(
                18,
                card(
                        "Type the roots",
                        roots,
                        "Notes or degrees, as they come; Enter. Then choose how each is"
                                + " voiced."),
                card("Lay a rhythm first", rhythm, "On the lowest open string. Chords come after."),
                card(
                        "Find a drone",
                        button(
                                "begin-drone",
                                "What rings in which key",
                                () -> window.drones(model::drones)),
                        "Open strings that suit a key, and shapes that move beneath them."),
                card(
                        "Start from a shape",
                        fromShape(),
                        "Put fingers on the neck. A tab, or what you play, is taken apart"
                                + " into shapes and rhythm."));
    }

    private Node fromShape() {
        return new VBox(
                8,
                new HBox(
                        8,
                        button("begin-neck", "On the neck", this::neck),
                        button("begin-tab", "Paste a tab", window::pasteTab)),
                button("begin-play", "Play it in", window::playIn));
    }

    private static Node card(String title, Node way, String what) {
        Label head = new Label(title);
        head.getStyleClass().add("begin-head");
        Label words = Choices.caption(what);
        words.setWrapText(true);
        words.setMinHeight(Region.USE_PREF_SIZE);
        VBox card = new VBox(12, head, way, words);
        card.getStyleClass().add("begin-card");
        card.setPrefWidth(CARD);
        card.setMinWidth(LEAST_CARD);
        card.setMinHeight(150);
        HBox.setHgrow(card, Priority.ALWAYS);
        return card;
    }

    private static Button button(String id, String words, Runnable action) {
        Button b = new Button(words);
        b.setId(id);
        b.getStyleClass().add("strip-button");
        b.setMinWidth(Region.USE_PREF_SIZE);
        b.setOnAction(e -> action.run());
        return b;
    }

    private void rhythm(Runnable sheet) {
        model.openString();
        sheet.run();
    }

    private void neck() {
        model.done(Step.VOICED);
        window.neck();
    }

    private Node groundLine() {
        ground.setPrefWidth(250);
        ground.setAccessibleText("Key, tempo and meter");
        Label or =
                Choices.caption(
                        "Enter sets them; they stand above, and a click there changes one.");
        HBox line = new HBox(12, new Label("Key, tempo, meter"), ground, or);
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private static Node path() {
        HBox steps = new HBox(0);
        for (Step s : Step.values()) {
            Region dot = new Region();
            dot.getStyleClass().add("begin-dot");
            Region line = new Region();
            line.getStyleClass().add("begin-line");
            HBox.setHgrow(line, Priority.ALWAYS);
            HBox top = s.next().isPresent() ? new HBox(6, dot, line) : new HBox(6, dot);
            top.setAlignment(Pos.CENTER_LEFT);
            Label name = new Label(s.words());
            name.getStyleClass().add("logbook-title");
            VBox one = new VBox(3, top, name, Choices.caption(s.what()));
            one.setPrefWidth(178);
            HBox.setHgrow(one, Priority.ALWAYS);
            steps.getChildren().add(one);
        }
        return new VBox(8, Choices.caption("The way from here"), steps);
    }

    private Node goOn() {
        Button skip = button("begin-skip", "Start with four plain bars  Esc", model::leave);
        return new VBox(14, new VBox(4, Choices.caption("Or go on with"), others), skip);
    }

    private void fillOthers() {
        others.getChildren().clear();
        window.others(this::offer);
    }

    private void offer(List<Riffs> all) {
        others.getChildren().clear();
        for (Riffs r : all) {
            Button b = new Button(r.title());
            b.getStyleClass().add("quiet-button");
            b.setOnAction(e -> r.open().run());
            others.getChildren().add(b);
        }
    }
}
