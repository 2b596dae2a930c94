package vocalis.desktop;

import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.geometry.Pos;
import javafx.geometry.Rectangle2D;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.stage.Screen;
import javafx.stage.Stage;
import vocalis.core.choice.Catalogue;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Texts;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.keys.Keyboard;
import vocalis.desktop.model.WriteModel;
import vocalis.desktop.sheets.Ask;
import vocalis.desktop.sheets.HelpSheet;
import vocalis.desktop.sheets.InstrumentSheet;
import vocalis.desktop.view.Background;
import vocalis.desktop.view.Explain;
import vocalis.desktop.view.SheetHost;
import vocalis.desktop.write.WritePane;
import vocalis.sound.device.Clock;
import vocalis.sound.device.OutputLine;
import vocalis.workbench.base.Log;
import vocalis.workbench.base.Places;
import vocalis.workbench.base.Preferences;
import vocalis.workbench.base.Subscription;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Edits;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.library.Backups;
import vocalis.workbench.library.OwnShapes;
import vocalis.workbench.library.PracticeLog;
import vocalis.workbench.playing.Player;

/** The window: title, menus, the Write screen with its sheets; starting and closing. */
final class Shell {

    static final double LEAST_WIDTH = 1040;
    static final double LEAST_HEIGHT = 700;

    /** About what a window manager puts around a window, in pixels. */
    private static final double FRAME = 8;

    /** What takes time and needs no window: made while the toolkit starts. */
    record Prepared(
            Workspace workspace,
            Player player,
            Background background,
            Places places,
            Preferences preferences) {

        /**
         * @param catalogue remembers voicings; one may serve several windows
         */
        static Prepared of(
                Catalogue catalogue,
                Piece first,
                OutputLine.Opener opener,
                Clock clock,
                long seed,
                Places places,
                Executor home) {
            Preferences preferences = Preferences.in(places.settings());
            Background background = new Background("vocalis-work");
            Workspace workspace =
                    new Workspace(catalogue, first, preferences.hand(), background.worker(), home);
            Player player = new Player(workspace.heard(), opener, clock, seed);
            return new Prepared(workspace, player, background, places, preferences);
        }
    }

    private final Stage stage;
    private final Background background;
    private final Workspace workspace;
    private final Player player;
    private final Preferences preferences;
    private final WriteModel model;
    private final WritePane write;
    private final Commands commands = new Commands();
    private final Keyboard keyboard;
    private final SheetHost host;
    private final Scene scene;
    private final FileDesk desk;
    private final ExchangeDesk exchange;
    private final Keeping keeping;
    private final Label title = new Label();
    private final Label state = new Label();
    private final Menus menus;
    private final Subscription told;
    private Theme theme;
    private double wantedWidth;
    private double wantedHeight;

    Shell(Stage stage, Prepared prepared, Prompts prompts) {
        this.stage = stage;
        workspace = prepared.workspace();
        player = prepared.player();
        background = prepared.background();
        preferences = prepared.preferences();
        OwnShapes shapes = new OwnShapes(prepared.places().data());
        model = new WriteModel(workspace, player, background, shapes);
        model.practice().keepIn(new PracticeLog(prepared.places().data(), Demo.practice()));
        write = new WritePane(model, commands, this::host);
        BorderPane root = new BorderPane(write);
        root.getStyleClass().add("shell");
        host = new SheetHost(root);
        desk =
                new FileDesk(
                        stage,
                        model,
                        host,
                        prompts,
                        new Backups(prepared.places().data()),
                        Keeping.riffs(prepared.places()),
                        this::begin);
        keeping = new Keeping(model, host, desk, prepared.places());
        exchange = new ExchangeDesk(stage, model, host, prompts, desk);
        addCommands();
        menus = new Menus(commands, model, desk, () -> desk.leave(stage::close));
        root.setTop(header());
        scene = new Scene(host, 1280, 800);
        theme =
                preferences.text("theme").filter("light"::equals).isPresent()
                        ? Theme.LIGHT
                        : Theme.DARK;
        theme.apply(scene);
        keyboard = new Keyboard(commands, model.zoneProperty()::get, () -> host.top().isPresent());
        write.listen(scene);
        keyboard.install(scene);
        write.install(scene, keyboard);
        new Explain(scene);
        exchange.accept(scene);
        told = Log.tell(text -> Background.HOME.execute(() -> model.say(text)));
        workspace.onChange(this::refresh);
        workspace.onChange(keeping::changed);
        refresh();
        stage.setScene(scene);
        place();
        stage.setOnCloseRequest(
                e -> {
                    if (workspace.changed() || desk.saving()) {
                        e.consume();
                        desk.leave(stage::close);
                    }
                });
        // Alt pressed and let go alone would give the menu bar some of the keys, unseen by the
        // places, which would go on answering the same ones. F10 opens the menus outright.
        stage.addEventFilter(
                KeyEvent.KEY_RELEASED,
                e -> {
                    if (e.getCode() == KeyCode.ALT) {
                        e.consume();
                    }
                });
        stage.setOnHidden(e -> dispose());
        stage.focusedProperty()
                .addListener(
                        o -> {
                            if (stage.isFocused()) {
                                desk.look();
                            } else {
                                keyboard.windowLeft();
                            }
                        });
        write.begin();
        stage.setOnShown(e -> Background.HOME.execute(this::shown));
    }

    private void shown() {
        least();
        player.start();
        preferences
                .text("sound.device")
                .ifPresent(
                        d ->
                                model.hearing()
                                        .remember(
                                                d,
                                                (int)
                                                        preferences.number(
                                                                "sound.buffer",
                                                                256,
                                                                16384,
                                                                Player.BUFFER)));
        write.volume(preferences.number("sound.volumeDb", -36, 6, -12));
        model.begin();
        keeping.offerLeft();
    }

    /**
     * The window as large as it was asked to be, and how small it may become: some window managers
     * open it smaller, whatever it was asked before it was there.
     */
    private void least() {
        Rectangle2D room = Screen.getPrimary().getVisualBounds();
        if (!stage.isMaximized() && wantedWidth > 0) {
            stage.setWidth(wantedWidth);
            stage.setHeight(wantedHeight);
        }
        stage.setMinWidth(Math.min(LEAST_WIDTH, room.getWidth()));
        stage.setMinHeight(Math.min(LEAST_HEIGHT, room.getHeight()));
    }

    private SheetHost host() {
        return host;
    }

    private void begin() {
        model.moveChordCaretTo(0);
        model.lane().setCaret(0);
        write.begin();
    }

    private void addCommands() {
        commands.add("save", "save").keys("ctrl S").inSheets().does(desk::save);
        commands.add("save-as", "save as…").keys("ctrl shift S").does(desk::saveAs);
        commands.add("open", "open…").keys("ctrl O").does(desk::open);
        commands.add("new", "new riff").keys("ctrl N").does(desk::newRiff);
        commands.add("export", "export…").keys("ctrl E").does(exchange::export);
        commands.add("import", "import…").keys("ctrl I").does(exchange::importFile);
        commands.add("logbook", "logbook: all riffs and ideas")
                .keys("ctrl shift O")
                .does(keeping::logbook);
        commands.add("catch", "catch this as an idea in the logbook")
                .keys("ctrl J")
                .inSheets()
                .does(keeping::catchIdea);
        commands.add("copy-tab", "copy the riff as tab")
                .keys("ctrl shift C")
                .does(exchange::copyTab);
        commands.add("paste-tab", "unpick the tab on the clipboard")
                .keys("ctrl shift V")
                .does(exchange::pasteTab);
        commands.add("rename", "rename the riff…").keys("F2").does(this::rename);
        commands.add("theme", "dark or light").keys("ctrl T").inSheets().does(this::switchTheme);
        commands.add("instrument", "instrument and hand…").keys("F3").does(this::instrument);
        commands.add("menus", "the menus").keys("F10").does(() -> menus().show());
        commands.add("help", "help: the work, all keys, words")
                .keys("F1")
                .does(() -> HelpSheet.show(commands, host));
    }

    /** A window as it was left, or the usual one; on a small screen filled out to the edges. */
    private void place() {
        Rectangle2D room = Screen.getPrimary().getVisualBounds();
        boolean small =
                room.getWidth() < LEAST_WIDTH + FRAME || room.getHeight() < LEAST_HEIGHT + FRAME;
        if (small) {
            stage.setX(room.getMinX());
            stage.setY(room.getMinY());
            stage.setWidth(room.getWidth());
            stage.setHeight(room.getHeight());
            stage.setMaximized(true);
            return;
        }
        double width = preferences.number("window.width", LEAST_WIDTH, room.getWidth(), 1280);
        double height = preferences.number("window.height", LEAST_HEIGHT, room.getHeight(), 800);
        wantedWidth = Math.min(width, room.getWidth());
        wantedHeight = Math.min(height, room.getHeight());
        stage.setWidth(wantedWidth);
        stage.setHeight(wantedHeight);
        double x = preferences.number("window.x", room.getMinX(), room.getMaxX() - 200, Double.NaN);
        double y = preferences.number("window.y", room.getMinY(), room.getMaxY() - 200, Double.NaN);
        if (!Double.isNaN(x) && !Double.isNaN(y)) {
            stage.setX(x);
            stage.setY(y);
        }
        stage.setMaximized(preferences.flag("window.maximized", false));
    }

    private HBox header() {
        Label mark = new Label("Vocalis");
        mark.getStyleClass().add("wordmark");
        mark.setMinWidth(Region.USE_PREF_SIZE);
        title.getStyleClass().add("title");
        title.setId("title");
        title.setMinWidth(60);
        title.setOnMouseClicked(e -> rename());
        Explain.means(title, "The working title; F2 or a click renames it");
        state.getStyleClass().add("caption");
        state.setId("saved-state");
        state.setMinWidth(40);
        Region gap = new Region();
        HBox.setHgrow(gap, Priority.ALWAYS);
        HBox header = new HBox(title, state, gap, menus.bar(), mark);
        header.setAlignment(Pos.CENTER_LEFT);
        header.getStyleClass().add("header");
        return header;
    }

    private void instrument() {
        InstrumentSheet.show(
                host,
                workspace.content().riff().ground().instrument(),
                workspace.hand(),
                (instrument, hand) -> {
                    workspace.setHand(hand);
                    model.apply(
                            Edits.ground(
                                    "instrument",
                                    g ->
                                            g.capo() > instrument.frets() - 12
                                                    ? g.withCapo(0).withInstrument(instrument)
                                                    : g.withInstrument(instrument)));
                });
    }

    private void refresh() {
        title.setText(workspace.content().title());
        state.setText(
                workspace.changed()
                        ? "changed, not saved"
                        : workspace.file().map(f -> "saved in " + f.getFileName()).orElse(""));
        stage.setTitle(
                (workspace.changed() ? "• " : "") + workspace.content().title() + " – Vocalis");
        menus.refresh();
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

    Commands commands() {
        return commands;
    }

    Keyboard keyboard() {
        return keyboard;
    }

    SheetHost sheets() {
        return host;
    }

    private Menus menus() {
        return menus;
    }

    Keeping keeping() {
        return keeping;
    }

    ExchangeDesk exchange() {
        return exchange;
    }

    FileDesk desk() {
        return desk;
    }

    void switchTheme() {
        theme = theme == Theme.DARK ? Theme.LIGHT : Theme.DARK;
        theme.apply(scene);
    }

    /** Opens a file; one that cannot be read leaves what is open as it is. */
    void open(Path file) {
        desk.open(file);
    }

    /** The file that was open when the window was last closed. */
    Optional<Path> lastFile() {
        return preferences.text("file.last").map(Path::of);
    }

    private void rename() {
        Ask.line(
                host,
                "Working title of the riff",
                workspace.content().title(),
                Texts.LONGEST_TITLE,
                t -> model.apply(Edits.rename(t)));
    }

    private void remember() {
        preferences.setHand(workspace.hand());
        preferences.set("theme", theme == Theme.LIGHT ? "light" : "dark");
        preferences.set("sound.device", model.hearing().device());
        preferences.set("sound.buffer", player.output().bufferFrames());
        preferences.set("sound.volumeDb", write.volume());
        preferences.set("window.maximized", String.valueOf(stage.isMaximized()));
        if (!stage.isMaximized()) {
            preferences.set("window.x", stage.getX());
            preferences.set("window.y", stage.getY());
            preferences.set("window.width", stage.getWidth());
            preferences.set("window.height", stage.getHeight());
        }
        workspace
                .file()
                .ifPresent(f -> preferences.set("file.last", f.toAbsolutePath().toString()));
        preferences.save();
    }

    private void dispose() {
        remember();
        write.dispose();
        model.close();
        exchange.close();
        desk.close();
        keeping.close();
        background.close();
        player.close();
        told.close();
    }
}
