package vocalis.desktop;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import javafx.stage.Stage;
import vocalis.core.piece.Piece;
import vocalis.desktop.model.WriteModel;
import vocalis.desktop.sheets.Ask;
import vocalis.desktop.view.Background;
import vocalis.desktop.view.SheetHost;
import vocalis.formats.json.Extras;
import vocalis.workbench.base.Log;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Edits;
import vocalis.workbench.document.Resting;
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
final class FileDesk implements AutoCloseable {

    private final Stage stage;
    private final WriteModel model;
    private final Workspace workspace;
    private final SheetHost host;
    private final Prompts prompts;
    private final Runnable begin;
    private final Saver saver = new Saver(Background.HOME);
    private final Backups backups;
    private final Path library;
    private int saves;

    /**
     * @param library the folder of the logbook, where a riff is saved unless it is put elsewhere
     * @param begin puts the caret to the beginning of a document just opened
     */
    FileDesk(
            Stage stage,
            WriteModel model,
            SheetHost host,
            Prompts prompts,
            Backups backups,
            Path library,
            Runnable begin) {
        this.library = library;
        this.backups = backups;
        this.stage = stage;
        this.model = model;
        this.workspace = model.workspace();
        this.host = host;
        this.prompts = prompts;
        this.begin = begin;
    }

    /** Whether something is being written. */
    boolean saving() {
        return saves > 0;
    }

    void newRiff() {
        take(Demo.blank());
    }

    /** Takes a piece that would be lost if it were not saved, once the open one may be left. */
    void takeUnsaved(Piece piece) {
        leave(
                () -> {
                    model.player().stop();
                    workspace.openUnsaved(piece, Extras.NONE);
                    begin.run();
                });
    }

    /** Takes up what another window left behind, for the file that it was saved in. */
    void takeUp(Journal.Left left) {
        leave(
                () -> {
                    model.player().stop();
                    workspace.openUnsaved(
                            left.piece(),
                            left.extras(),
                            left.file().orElse(null),
                            left.stamp().orElse(null));
                    begin.run();
                });
    }

    /** Takes a piece that is kept nowhere, once the open one may be left. */
    void take(Piece piece) {
        leave(
                () -> {
                    model.player().stop();
                    workspace.open(piece);
                    begin.run();
                });
    }

    /** Looks, when the player comes back to the window, whether somebody else wrote the file. */
    void look() {
        Optional<Path> file = workspace.file();
        Optional<String> stamp = workspace.stamp();
        if (file.isEmpty() || stamp.isEmpty() || saving()) {
            return;
        }
        long session = workspace.session();
        boolean[] other = new boolean[1];
        model.background()
                .run(
                        "looking at the file",
                        () -> other[0] = PieceFiles.differs(file.get(), stamp.get()),
                        () -> {
                            boolean still =
                                    session == workspace.session()
                                            && workspace.stamp().equals(stamp)
                                            && !saving();
                            if (other[0] && still) {
                                model.say(
                                        file.get().getFileName()
                                                + " was changed by somebody else; saving will ask"
                                                + " what to do.");
                            }
                        });
    }

    void open() {
        leave(() -> prompts.fileToOpen(stage, home()).ifPresent(this::open));
    }

    /** The folder that is looked in first: that of the open riff, else the logbook's. */
    private Path home() {
        return workspace
                .file()
                .map(Path::toAbsolutePath)
                .map(Path::getParent)
                .filter(Files::isDirectory)
                .orElse(library);
    }

    /**
     * Reads a file and takes it; one that cannot be read leaves what is open as it is. What is
     * written meanwhile into the riff that is open is not lost: then it is asked.
     */
    void open(Path file) {
        Piece before = workspace.content();
        long session = workspace.session();
        model.say("opening " + file.getFileName() + " …");
        PieceFiles.Opened[] opened = new PieceFiles.Opened[1];
        int[] kept = new int[1];
        Resting resting = workspace.resting();
        String[] trouble = new String[1];
        model.background()
                .run(
                        "opening a file",
                        () -> {
                            try {
                                PieceFiles.Opened read = PieceFiles.read(file);
                                opened[0] = read.with(resting.kept(read.piece()));
                                kept[0] = Resting.chosen(read.piece(), opened[0].piece());
                            } catch (PieceFiles.PieceFileException e) {
                                trouble[0] = e.getMessage();
                            }
                        },
                        () -> {
                            model.say("");
                            if (trouble[0] != null) {
                                Ask.tell(host, "This riff was not opened", trouble[0]);
                            } else if (session != workspace.session()) {
                                model.say(
                                        file.getFileName() + " was not opened: another riff was.");
                            } else if (before.equals(workspace.content())) {
                                take(opened[0], kept[0]);
                            } else {
                                leave(() -> take(opened[0], kept[0]));
                            }
                        });
    }

    private void take(PieceFiles.Opened opened, int kept) {
        model.player().stop();
        workspace.open(opened);
        begin.run();
        if (kept > 0) {
            model.say(Resting.inWords(kept));
        }
        if (!opened.extras().isEmpty()) {
            model.say("The file holds what this version does not know; it is kept.");
        }
    }

    void save() {
        save(() -> {});
    }

    private void save(Runnable then) {
        workspace
                .file()
                .ifPresentOrElse(
                        f -> write(f, workspace.stamp().orElse(null), then), () -> saveAs(then));
    }

    void saveAs() {
        saveAs(() -> {});
    }

    private void saveAs(Runnable then) {
        Optional<Path> chosen = prompts.fileToSave(stage, suggested(), library());
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
                    new Ask.Answer("ask-elsewhere", "Another name", () -> saveAs(then)),
                    new Ask.Answer("ask-over", "Write over it", () -> writeNew(file, then)));
        } else {
            writeNew(file, then);
        }
    }

    /** Saves under a new name; a riff that has none of its own is called like its file. */
    private void writeNew(Path file, Runnable then) {
        String title = workspace.content().title();
        String named = PieceFiles.stem(file);
        if (title.equals(Demo.UNTITLED) && !named.equals(Library.stem(title))) {
            model.apply(Edits.rename(named));
        }
        write(file, null, then);
    }

    private String suggested() {
        return Library.stem(workspace.content().title()) + PieceFiles.ENDING;
    }

    /** The logbook's folder, made now if it was not there. */
    private Path library() {
        try {
            Files.createDirectories(library);
        } catch (IOException e) {
            Log.note("the logbook's folder cannot be made: " + e.getMessage());
        }
        return library;
    }

    private void write(Path file, String known, Runnable then) {
        Piece snapshot = workspace.content();
        long session = workspace.session();
        Resting resting = workspace.resting();
        saves++;
        model.say("saving …");
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
                    model.say("");
                    told(outcome, session, snapshot, then);
                });
    }

    private void told(Saver.Outcome outcome, long session, Piece snapshot, Runnable then) {
        if (outcome instanceof Saver.Outcome.Saved s) {
            workspace.markSaved(session, snapshot, s.file(), s.stamp());
            model.say("saved");
            then.run();
        } else if (outcome instanceof Saver.Outcome.Failed f) {
            Ask.tell(host, "This riff was not saved", f.why());
        } else if (outcome instanceof Saver.Outcome.Changed c) {
            Ask.question(
                    host,
                    "The file was changed by somebody else",
                    c.why() + ". Your riff is still open here.",
                    new Ask.Answer("ask-elsewhere", "Save under another name", () -> saveAs(then)),
                    new Ask.Answer("ask-over", "Write over it", () -> write(c.file(), null, then)));
        }
    }

    /** Leaves the open riff: at once when nothing would be lost, else as the player says. */
    void leave(Runnable then) {
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
