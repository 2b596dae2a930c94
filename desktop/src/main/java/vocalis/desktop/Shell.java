package vocalis.desktop;

import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.Executor;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.stage.Stage;
import vocalis.core.choice.Catalogue;
import vocalis.core.piece.Piece;
import vocalis.desktop.desks.ExchangeDesk;
import vocalis.desktop.desks.FileDesk;
import vocalis.desktop.desks.Keeping;
import vocalis.desktop.desks.Prompts;
import vocalis.desktop.desks.Trouble;
import vocalis.desktop.frame.Header;
import vocalis.desktop.frame.Menus;
import vocalis.desktop.frame.ScreenKeys;
import vocalis.desktop.frame.WindowBounds;
import vocalis.desktop.keys.CommandCounts;
import vocalis.desktop.keys.CommandSearch;
import vocalis.desktop.keys.Commands;
import vocalis.desktop.keys.Keyboard;
import vocalis.desktop.keys.OtherWords;
import vocalis.desktop.listening.ListeningCommands;
import vocalis.desktop.session.OpenDocument;
import vocalis.desktop.view.Background;
import vocalis.desktop.view.Explain;
import vocalis.desktop.view.SheetHost;
import vocalis.desktop.writing.WritePlace;
import vocalis.sound.device.Clock;
import vocalis.sound.device.OutputLine;
import vocalis.workbench.base.Places;
import vocalis.workbench.base.Preferences;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.library.Backups;
import vocalis.workbench.library.Library;
import vocalis.workbench.library.OwnFigures;
import vocalis.workbench.library.OwnShapes;
import vocalis.workbench.library.PracticeLog;
import vocalis.workbench.playing.Measured;
import vocalis.workbench.playing.Player;
import vocalis.workbench.takes.TakeShelf;

/** The window: title, menus, the Write screen with its sheets; starting and closing. */
final class Shell {

    /** What takes time and needs no window: made while the toolkit starts. */
    record Prepared(
            Workspace workspace,
            Player player,
            Background background,
            Places places,
            Preferences preferences) {

        /**
         * @param catalogue remembers voicings; one may serve several windows
         * @param measured remembers what they sound like; the same
         */
        static Prepared of(
                Catalogue catalogue,
                Measured measured,
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
            Player player = new Player(workspace.heard(), opener, clock, seed, measured);
            return new Prepared(workspace, player, background, places, preferences);
        }
    }

    private final Stage stage;
    private final Background background;
    private final Workspace workspace;
    private final Player player;
    private final Preferences preferences;
    private final Models models;
    private final OpenDocument session;
    private final Frame frame;
    private final CommandCounts used;
    private final Commands commands = new Commands();
    private final Keyboard keyboard;
    private final SheetHost host;
    private final Look look;
    private final FileDesk desk;
    private final ExchangeDesk exchange;
    private final Keeping keeping;
    private final Header header;
    private final Menus menus;
    private final Trouble trouble;
    private final WindowBounds bounds;

    Shell(Stage stage, Prepared prepared, Prompts prompts) {
        this.stage = stage;
        workspace = prepared.workspace();
        player = prepared.player();
        background = prepared.background();
        preferences = prepared.preferences();
        look = new Look(preferences);
        used = CommandCounts.read(preferences.text("commands.used").orElse(""));
        Path data = prepared.places().data();
        models = new Models(workspace, player, background, new OwnShapes(data));
        session = models.session();
        models.practice().keepIn(new PracticeLog(data, Demo.practice()));
        Library library = new Library(Keeping.riffs(prepared.places()), data);
        frame =
                new Frame(
                        models,
                        library,
                        new OwnFigures(data),
                        commands,
                        new CommandSearch(commands, OtherWords.ofProgram(), used.counts()),
                        this::host,
                        then -> keeping().others(then));
        BorderPane root = new BorderPane(frame);
        root.getStyleClass().add("shell");
        host = new SheetHost(root);
        desk =
                new FileDesk(
                        stage,
                        session,
                        host,
                        prompts,
                        new Backups(prepared.places().data()),
                        library,
                        this::begin,
                        f -> keeping().know(f));
        keeping = new Keeping(session, models.hearing(), host, desk, library, data);
        TakeShelf shelf = new TakeShelf(data);
        exchange =
                new ExchangeDesk(
                        stage,
                        session,
                        models.whereabouts(),
                        models.hearing(),
                        host,
                        prompts,
                        desk,
                        shelf);
        addCommands(shelf);
        menus =
                new Menus(
                        commands,
                        session,
                        models.whereabouts(),
                        desk,
                        () -> desk.leave(stage::close));
        header =
                new Header(
                        workspace,
                        menus,
                        new ScreenKeys(
                                commands, models.whereabouts(), models.whereabouts().screens()),
                        commands);
        root.setTop(header);
        Scene scene = look.styled(host);
        keyboard = listening(scene);
        trouble = new Trouble(host, session, keeping::safety, desk::save);
        bounds = new WindowBounds(stage, preferences);
        begins(scene);
    }

    private void addCommands(TakeShelf shelf) {
        new ShellCommands(
                        look,
                        commands,
                        session,
                        host,
                        desk,
                        exchange,
                        keeping,
                        () -> menus().show())
                .add();
        models.source().read(preferences.text("listening.late").orElse(""));
        ListeningCommands.add(
                commands,
                session,
                models.hearing(),
                models.source(),
                models.following(),
                shelf,
                () -> host,
                models.write(),
                () -> frame.lead(WritePlace.BAND),
                exchange);
    }

    /** The first picture, and what keeps it true. */
    private void begins(Scene scene) {
        keeping.onTrouble(header::kept);
        workspace.onChange(this::refresh);
        workspace.onChange(keeping::changed);
        refresh();
        stage.setScene(scene);
        if (!stage.isShowing()) {
            bounds.place();
        }
        watch();
        frame.go(WritePlace.BAND);
        frame.opened();
        if (stage.isShowing()) {
            Platform.runLater(this::shown);
        } else {
            stage.setOnShown(e -> Background.HOME.execute(this::shown));
        }
    }

    /** The keys and all that is told to the parts of the window. */
    private Keyboard listening(Scene scene) {
        Keyboard keys =
                new Keyboard(commands, models.whereabouts()::place, () -> host.top().isPresent());
        keys.watch(used::count);
        frame.finding().onAsked(used::count);
        frame.listen(scene);
        keys.install(scene);
        frame.install(scene, keys);
        new Explain(scene);
        exchange.accept(scene);
        return keys;
    }

    /** What closing, leaving and coming back to the window do. */
    private void watch() {
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
        stage.setOnHiding(e -> menus.hide());
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
    }

    private void shown() {
        bounds.least();
        player.start();
        preferences
                .text("sound.device")
                .ifPresent(
                        d ->
                                models.hearing()
                                        .remember(
                                                d,
                                                (int)
                                                        preferences.number(
                                                                "sound.buffer",
                                                                256,
                                                                16384,
                                                                Player.BUFFER)));
        frame.volume(preferences.number("sound.volumeDb", -36, 6, -12));
        models.write().begin();
        keeping.offerLeft();
    }

    private SheetHost host() {
        return host;
    }

    private Menus menus() {
        return menus;
    }

    private void begin() {
        session.caret().moveTo(0);
        session.caret().goTo(0);
        frame.go(WritePlace.BAND);
        frame.opened();
    }

    Look look() {
        return look;
    }

    private void refresh() {
        header.refresh();
        stage.setTitle(
                (workspace.changed() ? "• " : "") + workspace.content().title() + " – Vocalis");
        menus.refresh();
    }

    Models models() {
        return models;
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

    Keeping keeping() {
        return keeping;
    }

    ExchangeDesk exchange() {
        return exchange;
    }

    FileDesk desk() {
        return desk;
    }

    /**
     * Opens a riff's file, or reads any other that can be imported, as a desktop's "open with"
     * hands them over; one that cannot be read leaves what is open as it is.
     */
    void open(Path file) {
        if (file.toString().endsWith(".json")) {
            desk.open(file);
        } else {
            exchange.importFile(file);
        }
    }

    /** The file that was open when the window was last closed. */
    Optional<Path> lastFile() {
        return preferences.text("file.last").map(Path::of);
    }

    private void remember() {
        preferences.setHand(workspace.hand());
        preferences.set("commands.used", used.written());
        preferences.set("listening.late", models.source().written());
        look.remember();
        preferences.set("sound.device", models.hearing().device());
        preferences.set("sound.buffer", player.output().bufferFrames());
        preferences.set("sound.volumeDb", frame.volume());
        bounds.remember();
        workspace
                .file()
                .ifPresent(f -> preferences.set("file.last", f.toAbsolutePath().toString()));
        preferences.save();
    }

    private void dispose() {
        remember();
        frame.dispose();
        models.close();
        exchange.close();
        desk.close();
        keeping.close();
        background.close();
        player.close();
        trouble.close();
    }
}
