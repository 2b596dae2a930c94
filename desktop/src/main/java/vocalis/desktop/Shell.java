package vocalis.desktop;

import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.geometry.Rectangle2D;
import javafx.scene.Scene;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonBar;
import javafx.scene.control.ButtonType;
import javafx.scene.control.Label;
import javafx.scene.control.Menu;
import javafx.scene.control.MenuBar;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextInputDialog;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.stage.Screen;
import javafx.stage.Stage;
import vocalis.core.choice.Catalogue;
import vocalis.core.hands.Hand;
import vocalis.core.riff.NamedRiff;
import vocalis.desktop.view.Background;
import vocalis.desktop.write.InstrumentDialog;
import vocalis.desktop.write.WriteModel;
import vocalis.desktop.write.WritePane;
import vocalis.sound.device.Clock;
import vocalis.sound.device.OutputLine;
import vocalis.workbench.Demo;
import vocalis.workbench.Edit;
import vocalis.workbench.Player;
import vocalis.workbench.RiffFiles;
import vocalis.workbench.Workspace;

/** The window: title, menus, the Write screen; opening, saving and closing. */
final class Shell {

    static final ButtonType SAVE = new ButtonType("Save", ButtonBar.ButtonData.YES);
    static final ButtonType DISCARD = new ButtonType("Don't save", ButtonBar.ButtonData.NO);

    /** About what a window manager puts around a window, in pixels. */
    private static final double FRAME = 8;

    /** What takes time and needs no window: made while the toolkit starts. */
    record Prepared(Workspace workspace, Player player) {

        static Prepared of(NamedRiff first, OutputLine.Opener opener, Clock clock, long seed) {
            Workspace workspace = new Workspace(new Catalogue(), first);
            return new Prepared(workspace, new Player(workspace.score(), opener, clock, seed));
        }
    }

    private final Stage stage;
    private final Prompts prompts;
    private final Background background = new Background();
    private final Workspace workspace;
    private final Player player;
    private final WriteModel model;
    private final WritePane write;
    private final Scene scene;
    private final Label title = new Label();
    private final Label state = new Label();
    private final MenuItem undo = new MenuItem();
    private final MenuItem redo = new MenuItem();
    private Theme theme = Theme.DARK;

    Shell(Stage stage, Prepared prepared, Prompts prompts) {
        this.stage = stage;
        this.prompts = prompts;
        workspace = prepared.workspace();
        player = prepared.player();
        model = new WriteModel(workspace, player, background);
        write = new WritePane(model);
        BorderPane root = new BorderPane(write);
        root.getStyleClass().add("shell");
        root.setTop(header());
        scene = new Scene(root, 1280, 800);
        theme.apply(scene);
        write.install(
                scene,
                keys -> {
                    HelpSheet help = new HelpSheet(keys);
                    keys.add(KeyCode.S, true, false, "save", this::save);
                    keys.add(KeyCode.S, true, true, "save as", this::saveAs);
                    keys.add(KeyCode.O, true, false, "open", this::open);
                    keys.add(KeyCode.N, true, false, "new riff", this::newRiff);
                    keys.add(KeyCode.F2, false, false, "rename the riff", this::rename);
                    keys.add(KeyCode.T, true, false, "dark or light", this::switchTheme);
                    keys.add(KeyCode.F3, false, false, "instrument and hand", this::instrument);
                    keys.add(KeyCode.F1, false, false, "all keys", () -> help.show(stage, theme));
                });
        workspace.onChange(this::refresh);
        refresh();
        stage.setScene(scene);
        fitToScreen();
        stage.setOnCloseRequest(
                e -> {
                    if (!mayLeave()) {
                        e.consume();
                    }
                });
        stage.setOnHidden(e -> dispose());
        stage.focusedProperty()
                .addListener(
                        o -> {
                            if (!stage.isFocused()) {
                                model.hearing().endHearing();
                            }
                        });
        write.begin();
        stage.setOnShown(
                e ->
                        Platform.runLater(
                                () -> {
                                    player.start();
                                    model.begin();
                                }));
    }

    /** A screen with no room for the window and its frame gets it filled out to the edges. */
    private void fitToScreen() {
        Rectangle2D room = Screen.getPrimary().getVisualBounds();
        if (room.getWidth() < scene.getWidth() + FRAME
                || room.getHeight() < scene.getHeight() + FRAME) {
            stage.setX(room.getMinX());
            stage.setY(room.getMinY());
            stage.setWidth(room.getWidth());
            stage.setHeight(room.getHeight());
            stage.setMaximized(true);
        } else {
            stage.setMinWidth(1040);
            stage.setMinHeight(700);
        }
    }

    private HBox header() {
        Label mark = new Label("Vocalis");
        mark.getStyleClass().add("wordmark");
        title.getStyleClass().add("title");
        title.setId("title");
        title.setOnMouseClicked(e -> rename());
        state.getStyleClass().add("caption");
        state.setId("saved-state");
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox header = new HBox(title, state, gap, menus(), mark);
        header.setAlignment(Pos.CENTER_LEFT);
        header.getStyleClass().add("header");
        return header;
    }

    private MenuBar menus() {
        Menu file = new Menu("_File");
        file.getItems()
                .addAll(
                        item("New riff\tCtrl N", this::newRiff),
                        item("Open…\tCtrl O", this::open),
                        demoMenu(),
                        new SeparatorMenuItem(),
                        item("Save\tCtrl S", this::save),
                        item("Save as…\tShift Ctrl S", this::saveAs),
                        item("Rename…\tF2", this::rename),
                        new SeparatorMenuItem(),
                        item("Close", this::close));
        Menu edit = new Menu("_Edit");
        undo.setOnAction(e -> workspace.undo());
        redo.setOnAction(e -> workspace.redo());
        edit.getItems()
                .addAll(
                        undo,
                        redo,
                        new SeparatorMenuItem(),
                        item("Instrument and hand…\tF3", this::instrument),
                        handMenu());
        Menu view = new Menu("_View");
        view.getItems()
                .addAll(
                        item("Note names or degrees\tN", () -> flip(model.noteNamesProperty())),
                        item("Scale on the neck\tS", () -> flip(model.scaleStepsProperty())),
                        item("Dark or light\tCtrl T", this::switchTheme));
        Menu harmony = new Menu("H_armony");
        harmony.getItems()
                .addAll(
                        item(
                                "Compare this voicing\tC",
                                () -> write.binding(KeyCode.C).action().run()),
                        thinMenu(),
                        item("Idle fingers\tI", () -> write.binding(KeyCode.I).action().run()),
                        item(
                                "Over the twelve basses\tB",
                                () -> write.binding(KeyCode.B).action().run()),
                        item("Drone map\tD", () -> write.binding(KeyCode.D).action().run()),
                        item(
                                "Keys that fit the riff\tK",
                                () -> write.binding(KeyCode.K).action().run()));
        Menu sound = new Menu("_Sound");
        sound.getItems()
                .addAll(
                        item("Tone…\tT", () -> write.binding(KeyCode.T).action().run()),
                        item("Who plays along…\tW", () -> write.binding(KeyCode.W).action().run()),
                        item("Thirds pure or tempered\tJ", () -> flip(model.gain().pureProperty())),
                        item("Prove the root…\tU", () -> write.binding(KeyCode.U).action().run()),
                        new SeparatorMenuItem(),
                        item(
                                "Strings to tune by…\tF4",
                                () -> write.binding(KeyCode.F4).action().run()),
                        item(
                                "Where the sound goes…\tF5",
                                () -> write.binding(KeyCode.F5).action().run()));
        Menu help = new Menu("_Help");
        help.getItems().add(item("All keys\tF1", () -> scene.getRoot().fireEvent(f1())));
        MenuBar bar = new MenuBar(file, edit, view, harmony, sound, help);
        bar.setId("menus");
        return bar;
    }

    private javafx.scene.input.KeyEvent f1() {
        return new javafx.scene.input.KeyEvent(
                javafx.scene.input.KeyEvent.KEY_PRESSED,
                "",
                "",
                KeyCode.F1,
                false,
                false,
                false,
                false);
    }

    private Menu demoMenu() {
        Menu demo = new Menu("Demo riffs");
        for (NamedRiff riff : Demo.riffs()) {
            demo.getItems()
                    .add(
                            item(
                                    riff.title(),
                                    () -> {
                                        if (mayLeave()) {
                                            take(riff, null);
                                        }
                                    }));
        }
        return demo;
    }

    private Menu thinMenu() {
        Menu thin = new Menu("Thin this voicing");
        String[] voices = {"top", "second", "third", "fourth"};
        for (int i = 0; i < voices.length; i++) {
            int voice = i + 1;
            String text = "without its " + voices[i] + " voice\tAlt " + voice;
            thin.getItems().add(item(text, () -> model.thin(voice)));
        }
        return thin;
    }

    private Menu handMenu() {
        Menu hands = new Menu("Hand");
        for (Hand hand : Hand.offered()) {
            hands.getItems()
                    .add(
                            item(
                                    hand.name()
                                            + ", "
                                            + Math.round(hand.comfortMm())
                                            + " mm in comfort",
                                    () -> workspace.setHand(hand)));
        }
        return hands;
    }

    private void instrument() {
        var ground = workspace.content().riff().ground();
        new InstrumentDialog(stage, ground.instrument(), workspace.hand())
                .showAndWait()
                .ifPresent(
                        a -> {
                            workspace.setHand(a.hand());
                            var now = workspace.content().riff().ground();
                            if (now.capo() > a.instrument().frets() - 12) {
                                model.setGround(now.withCapo(0), "capo");
                            }
                            model.setGround(
                                    workspace
                                            .content()
                                            .riff()
                                            .ground()
                                            .withInstrument(a.instrument()),
                                    "instrument");
                        });
    }

    private static void flip(javafx.beans.property.BooleanProperty p) {
        p.set(!p.get());
    }

    private static MenuItem item(String text, Runnable action) {
        MenuItem item = new MenuItem(text);
        item.setMnemonicParsing(false);
        item.setOnAction(e -> action.run());
        return item;
    }

    private void refresh() {
        title.setText(workspace.content().title());
        state.setText(
                workspace.changed()
                        ? "changed, not saved"
                        : workspace.file().map(f -> "saved in " + f.getFileName()).orElse(""));
        stage.setTitle(
                (workspace.changed() ? "• " : "") + workspace.content().title() + " – Vocalis");
        undo.setText(workspace.undoLabel().map(l -> "Undo: " + l).orElse("Undo") + "\tCtrl Z");
        undo.setDisable(workspace.undoLabel().isEmpty());
        redo.setText(
                workspace.redoLabel().map(l -> "Redo: " + l).orElse("Redo") + "\tShift Ctrl Z");
        redo.setDisable(workspace.redoLabel().isEmpty());
    }

    WriteModel model() {
        return model;
    }

    Player player() {
        return player;
    }

    Workspace workspace() {
        return workspace;
    }

    void switchTheme() {
        theme = theme == Theme.DARK ? Theme.LIGHT : Theme.DARK;
        theme.apply(scene);
    }

    private void take(NamedRiff riff, Path from) {
        player.stop();
        model.chordProperty().set(0);
        model.lane().setCaret(0);
        workspace.open(riff, from);
        write.begin();
    }

    private void newRiff() {
        if (mayLeave()) {
            take(Demo.blank(), null);
        }
    }

    private void open() {
        if (mayLeave()) {
            prompts.fileToOpen(stage).ifPresent(this::open);
        }
    }

    /** Opens a file; one that cannot be read leaves what is open as it is. */
    void open(Path file) {
        try {
            take(RiffFiles.read(file), file);
        } catch (RiffFiles.RiffFileException e) {
            tell("This riff was not opened", e.getMessage());
        }
    }

    private void save() {
        workspace.file().ifPresentOrElse(f -> write(f, () -> {}), this::saveAs);
    }

    private void saveAs() {
        saveTarget().ifPresent(f -> write(f, () -> {}));
    }

    private Optional<Path> saveTarget() {
        String name =
                workspace
                        .content()
                        .title()
                        .toLowerCase(Locale.ROOT)
                        .replaceAll("[^\\p{L}\\p{N}]+", "-");
        return prompts.fileToSave(stage, name + RiffFiles.ENDING);
    }

    private void write(Path file, Runnable afterwards) {
        NamedRiff snapshot = workspace.content();
        String[] trouble = new String[1];
        write.say("saving…");
        background.run(
                () -> {
                    try {
                        RiffFiles.write(snapshot, file);
                    } catch (RiffFiles.RiffFileException e) {
                        trouble[0] = e.getMessage();
                    }
                },
                () -> {
                    write.say("");
                    if (trouble[0] == null) {
                        workspace.markSaved(snapshot, file);
                        afterwards.run();
                    } else {
                        tell("This riff was not saved", trouble[0]);
                    }
                });
    }

    private void rename() {
        TextInputDialog dialog = new TextInputDialog(workspace.content().title());
        dialog.initOwner(stage);
        dialog.setTitle("Rename");
        dialog.setHeaderText("Working title of the riff");
        dialog.setGraphic(null);
        dialog.showAndWait()
                .map(String::strip)
                .filter(t -> !t.isEmpty() && t.length() <= 200)
                .ifPresent(t -> workspace.apply(new Edit.Rename(t)));
    }

    /** Whether the open riff may be left: it is saved, or the player says what to do with it. */
    private boolean mayLeave() {
        if (!workspace.changed()) {
            return true;
        }
        Alert alert =
                new Alert(
                        Alert.AlertType.CONFIRMATION,
                        "What you changed is kept nowhere else.",
                        SAVE,
                        DISCARD,
                        ButtonType.CANCEL);
        alert.initOwner(stage);
        alert.setTitle("Unsaved changes");
        alert.setHeaderText("Save " + workspace.content().title() + " first?");
        alert.setGraphic(null);
        ButtonType answer = alert.showAndWait().orElse(ButtonType.CANCEL);
        if (answer == SAVE) {
            return saveNow();
        }
        return answer == DISCARD;
    }

    /** Saves before something that cannot wait; says whether the riff is safe. */
    private boolean saveNow() {
        Optional<Path> file = workspace.file().isPresent() ? workspace.file() : saveTarget();
        if (file.isEmpty()) {
            return false;
        }
        try {
            RiffFiles.write(workspace.content(), file.get());
            workspace.markSaved(workspace.content(), file.get());
            return true;
        } catch (RiffFiles.RiffFileException e) {
            tell("This riff was not saved", e.getMessage());
            return false;
        }
    }

    private void tell(String header, String text) {
        Alert alert = new Alert(Alert.AlertType.ERROR, text, ButtonType.OK);
        alert.initOwner(stage);
        alert.setTitle("Vocalis");
        alert.setHeaderText(header);
        alert.setGraphic(null);
        alert.showAndWait();
    }

    private void close() {
        if (mayLeave()) {
            stage.close();
        }
    }

    private void dispose() {
        write.dispose();
        background.close();
        player.close();
    }
}
