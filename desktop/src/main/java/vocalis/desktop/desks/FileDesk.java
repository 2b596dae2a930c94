package vocalis.desktop.desks;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.stage.Stage;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Texts;
import vocalis.desktop.session.Session;
import vocalis.desktop.sheets.Ask;
import vocalis.desktop.view.Background;
import vocalis.desktop.view.Sheets;
import vocalis.formats.json.Extras;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Edits;
import vocalis.workbench.document.SettledShapes;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.library.Backups;
import vocalis.workbench.library.Journal;
import vocalis.workbench.library.Library;
import vocalis.workbench.library.PieceFiles;
import vocalis.workbench.library.Saver;

/**
 * Opening, saving and leaving documents. Reading and writing happen off the FX thread; what ends
 * late counts for the document that it was begun for.
 */
public final class FileDesk implements AutoCloseable {

    private final Stage stage;
    private final Session session;
    private final Workspace workspace;
    private final Sheets host;
    private final Prompts prompts;
    private final Runnable begin;
    private final Consumer<Path> known;
    private final Saver saver = new Saver(Background.HOME);
    private final Backups backups;
    private final Library library;
    private int saves;

    /**
     * @param library the logbook, where a riff is saved under its name
     * @param begin puts the caret to the beginning of a document just opened
     * @param known told of every file that was opened or saved
     */
    public FileDesk(
            Stage stage,
            Session session,
            Sheets host,
            Prompts prompts,
            Backups backups,
            Library library,
            Runnable begin,
            Consumer<Path> known) {
        this.known = known;
        this.library = library;
        this.backups = backups;
        this.stage = stage;
        this.session = session;
        this.workspace = session.workspace();
        this.host = host;
        this.prompts = prompts;
        this.begin = begin;
    }

    /** Whether something is being written. */
    public boolean saving() {
        return saves > 0;
    }

    public void newRiff() {
        take(Demo.blank());
    }

    /** Takes a piece that would be lost if it were not saved, once the open one may be left. */
    public void takeUnsaved(Piece piece) {
        leave(
                () -> {
                    session.player().stop();
                    workspace.openUnsaved(piece, Extras.NONE);
                    begin.run();
                });
    }

    /** Takes up what another window left behind, for the file that it was saved in. */
    public void takeUp(Journal.Left left) {
        leave(
                () -> {
                    session.player().stop();
                    workspace.openUnsaved(
                            left.piece(),
                            left.extras(),
                            left.file().orElse(null),
                            left.stamp().orElse(null));
                    begin.run();
                });
    }

    /** Takes a piece that is kept nowhere, once the open one may be left. */
    public void take(Piece piece) {
        leave(
                () -> {
                    session.player().stop();
                    workspace.open(piece);
                    begin.run();
                });
    }

    /** Looks, when the player comes back to the window, whether somebody else wrote the file. */
    public void look() {
        Optional<Path> file = workspace.file();
        Optional<String> stamp = workspace.stamp();
        if (file.isEmpty() || stamp.isEmpty() || saving()) {
            return;
        }
        long opened = workspace.session();
        session.ask(
                "looking at the file",
                () -> PieceFiles.differs(file.get(), stamp.get()),
                other -> {
                    boolean still =
                            opened == workspace.session()
                                    && workspace.stamp().equals(stamp)
                                    && !saving();
                    if (other && still) {
                        session.say(
                                file.get().getFileName()
                                        + " was changed by somebody else; saving will ask"
                                        + " what to do.");
                    }
                });
    }

    public void open() {
        leave(() -> prompts.fileToOpen(stage, home()).ifPresent(this::open));
    }

    /** The folder that is looked in first: that of the open riff, else the logbook's. */
    private Path home() {
        return workspace
                .file()
                .map(Path::toAbsolutePath)
                .map(Path::getParent)
                .filter(Files::isDirectory)
                .orElse(library.folder());
    }

    /**
     * Reads a file and takes it; one that cannot be read leaves what is open as it is. What is
     * written meanwhile into the riff that is open is not lost: then it is asked.
     */
    public void open(Path file) {
        Piece before = workspace.content();
        long opened = workspace.session();
        session.say("opening " + file.getFileName() + " …");
        SettledShapes resting = workspace.resting();
        session.attempt(
                "opening a file",
                () -> Read.of(file, resting),
                read -> {
                    session.say("");
                    if (opened != workspace.session()) {
                        session.say(file.getFileName() + " was not opened: another riff was.");
                    } else if (before.equals(workspace.content())) {
                        take(read);
                    } else {
                        leave(() -> take(read));
                    }
                },
                why -> {
                    session.say("");
                    Ask.tell(host, "This riff was not opened", why);
                });
    }

    /**
     * A file as it was read.
     *
     * @param chosen how many shapes were chosen for it here, as its ground did not have them
     */
    private record Read(PieceFiles.ReadPiece opened, int chosen) {
        static Read of(Path file, SettledShapes resting) throws PieceFiles.PieceFileException {
            PieceFiles.ReadPiece read = PieceFiles.read(file);
            PieceFiles.ReadPiece ready = read.with(resting.kept(read.piece()));
            return new Read(ready, SettledShapes.chosen(read.piece(), ready.piece()));
        }
    }

    private void take(Read read) {
        session.player().stop();
        if (read.opened().newer()) {
            workspace.open(read.opened().piece());
        } else {
            workspace.open(read.opened());
        }
        workspace.file().ifPresent(known);
        begin.run();
        if (read.chosen() > 0) {
            session.say(SettledShapes.inWords(read.chosen()));
        }
        if (read.opened().newer()) {
            session.say(
                    "A newer Vocalis wrote this file: what this one knows of it is open. The file stays"
                            + " as it is; saving makes another one.");
        }
        if (!read.opened().extras().isEmpty()) {
            session.say("The file holds what this version does not know; it is kept.");
        }
    }

    public void save() {
        save(() -> {});
    }

    private void save(Runnable then) {
        workspace
                .file()
                .ifPresentOrElse(
                        f -> write(f, workspace.stamp().orElse(null), then), () -> name(then));
    }

    /** A new riff is asked for its name, and lies in the logbook under it. */
    private void name(Runnable then) {
        String title = workspace.content().title();
        Ask.line(
                host,
                "What is this riff called?",
                title.equals(Demo.UNTITLED) ? byItsGround() : title,
                Texts.LONGEST_TITLE,
                named -> {
                    if (!named.equals(title)) {
                        session.apply(Edits.rename(named));
                    }
                    session.attempt(
                            "looking for a free file",
                            () -> {
                                Files.createDirectories(library.folder());
                                return library.free(named);
                            },
                            file -> write(file, null, then),
                            why -> Ask.tell(host, "This riff was not saved", why));
                });
    }

    /** What a riff without a name can be called until it has a better one. */
    private String byItsGround() {
        return session.now().ground().key().symbol() + " at " + session.now().tempo();
    }

    /** Writes the riff into a file elsewhere; the open one stays where it is. */
    public void saveCopy() {
        Optional<Path> chosen = prompts.fileToSave(stage, suggested(), elsewhere());
        if (chosen.isEmpty()) {
            return;
        }
        Path file = PieceFiles.withEnding(chosen.get());
        // The dialog asked about the name as it was typed, not about the one with its whole ending.
        if (!file.equals(chosen.get()) && Files.exists(file)) {
            Ask.question(
                    host,
                    file.getFileName() + " is there already",
                    "Another riff is saved under this name.",
                    new Ask.Answer("ask-elsewhere", "Another name", this::saveCopy),
                    new Ask.Answer("ask-over", "Write over it", () -> copyTo(file)));
        } else {
            copyTo(file);
        }
    }

    private void copyTo(Path file) {
        if (workspace.file().filter(file::equals).isPresent()) {
            save();
            return;
        }
        put(
                file,
                null,
                outcome -> {
                    if (outcome instanceof Saver.Outcome.Saved s) {
                        session.say("A copy lies in " + s.file() + ".");
                    } else if (outcome instanceof Saver.Outcome.Failed f) {
                        Ask.tell(host, "The copy was not saved", f.why());
                    }
                });
    }

    /** Where a copy is put first: the player's own folder. */
    private static Path elsewhere() {
        return Path.of(System.getProperty("user.home", "."));
    }

    private String suggested() {
        return Library.stem(workspace.content().title()) + PieceFiles.ENDING;
    }

    private void write(Path file, String known, Runnable then) {
        Piece snapshot = workspace.content();
        long opened = workspace.session();
        put(file, known, outcome -> told(outcome, opened, snapshot, then));
    }

    /** Writes the riff as it is now on the saver's thread; what came of it is told on this one. */
    private void put(Path file, String known, Consumer<Saver.Outcome> told) {
        Piece snapshot = workspace.content();
        SettledShapes resting = workspace.resting();
        saves++;
        session.say("saving …");
        saver.save(
                () -> {
                    backups.before(file);
                    return resting.settled(snapshot);
                },
                workspace.extras(),
                file,
                known,
                outcome -> {
                    saves--;
                    session.say("");
                    told.accept(outcome);
                });
    }

    private void told(Saver.Outcome outcome, long opened, Piece snapshot, Runnable then) {
        if (outcome instanceof Saver.Outcome.Saved s) {
            workspace.markSaved(opened, snapshot, s.file(), s.stamp());
            known.accept(s.file());
            session.say("Saved: " + snapshot.title() + " is in the logbook (F9).");
            then.run();
        } else if (outcome instanceof Saver.Outcome.Failed f) {
            Ask.tell(host, "This riff was not saved", f.why());
        } else if (outcome instanceof Saver.Outcome.Changed c) {
            Ask.question(
                    host,
                    "The file was changed by somebody else",
                    c.why() + ". Your riff is still open here.",
                    new Ask.Answer("ask-elsewhere", "Save under another name", () -> name(then)),
                    new Ask.Answer("ask-over", "Write over it", () -> write(c.file(), null, then)));
        }
    }

    /** Leaves the open riff: at once when nothing would be lost, else as the player says. */
    public void leave(Runnable then) {
        if (!workspace.changed()) {
            then.run();
            return;
        }
        Ask.question(
                host,
                "Save " + shortened(workspace.content().title()) + " first?",
                "What you changed is kept nowhere else. Esc goes back to it.",
                new Ask.Answer("ask-save", "Save", () -> save(then)),
                new Ask.Answer("ask-discard", "Don't save", then));
    }

    private static String shortened(String title) {
        return title.length() > 40 ? title.substring(0, 40) + "…" : title;
    }

    @Override
    public void close() {
        saver.close();
    }
}
