package vocalis.desktop.desks;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Standing;
import vocalis.desktop.begin.BeginPane;
import vocalis.desktop.logbook.LogbookModel;
import vocalis.desktop.logbook.LogbookSheet;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Session;
import vocalis.desktop.sheets.Ask;
import vocalis.desktop.view.Background;
import vocalis.desktop.view.Sheets;
import vocalis.formats.json.Extras;
import vocalis.workbench.base.Log;
import vocalis.workbench.base.Places;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.SettledShapes;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.library.Journal;
import vocalis.workbench.library.Library;
import vocalis.workbench.library.LibraryEntry;
import vocalis.workbench.library.PieceFiles;

/** Sees to it that nothing is lost: the library with its logbook, ideas caught, the journal. */
public final class Keeping implements AutoCloseable {

    private static final int OTHERS = 5;

    private static final DateTimeFormatter WHEN =
            DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    private final Session session;
    private final Hearing hearing;
    private final Workspace workspace;
    private final Sheets host;
    private final FileDesk desk;
    private final Library library;
    private final Background background = new Background("vocalis-library");
    private final Optional<Journal> journal;
    private final Path folder;
    private String without = "";

    public Keeping(
            Session session,
            Hearing hearing,
            Sheets host,
            FileDesk desk,
            Library library,
            Path data) {
        this.session = session;
        this.hearing = hearing;
        this.workspace = session.workspace();
        this.host = host;
        this.desk = desk;
        this.library = library;
        folder = data.resolve("journal");
        this.journal = journal(folder);
    }

    private Optional<Journal> journal(Path folder) {
        try {
            return Optional.of(Journal.in(folder));
        } catch (IOException e) {
            Log.note("unsaved work is not kept: " + e);
            without = Journal.why(e);
            return Optional.empty();
        }
    }

    /** Hears why unsaved work cannot be kept, or that it is kept again. */
    public void onTrouble(Consumer<Optional<String>> listener) {
        journal.ifPresentOrElse(
                j -> j.onTrouble(why -> Background.HOME.execute(() -> listener.accept(why))),
                () -> listener.accept(Optional.of(without)));
    }

    /** Where unsaved work is kept, or that it is not, in a sentence. */
    public String safety() {
        return journal.flatMap(Journal::trouble)
                .or(() -> journal.isPresent() ? Optional.empty() : Optional.of(without))
                .map(why -> "What is not saved is not kept besides (" + why + "): save it now.")
                .orElse(
                        "What is not saved is kept in "
                                + folder
                                + " and offered at the next start.");
    }

    /** The folder of the logbook. */
    public static Path riffs(Places places) {
        return places.data().resolve("riffs");
    }

    /** Puts the demo riffs into the logbook, where they are not there yet, and says so. */
    public void keepDemo() {
        background.run(
                "putting the demo riffs into the logbook",
                () -> Demo.pieces().forEach(this::keepOnce),
                () -> session.say("The demo riffs are in the logbook (F9). Space plays this one."));
    }

    private void keepOnce(Piece p) {
        boolean there =
                Files.exists(library.folder().resolve(Library.stem(p.title()) + PieceFiles.ENDING));
        if (!there) {
            try {
                library.keep(p, Extras.NONE);
            } catch (PieceFiles.PieceFileException e) {
                Log.note("a demo riff is not in the logbook: " + e.getMessage());
            }
        }
    }

    /** The logbook shows every riff that was opened or saved; written down off this thread. */
    public void know(Path file) {
        background.run("remembering a file", () -> library.know(file), () -> {});
    }

    /** Riffs to go on with instead of beginning one: the newest of the logbook, else the demo's. */
    public void others(Consumer<List<BeginPane.Riffs>> then) {
        session.ask(
                "looking for riffs to go on with",
                () -> library.remembered().stream().filter(LibraryEntry::readable).toList(),
                known -> then.accept(others(known)));
    }

    private List<BeginPane.Riffs> others(List<LibraryEntry> known) {
        List<BeginPane.Riffs> all = new ArrayList<>();
        known.stream()
                .limit(OTHERS)
                .forEach(
                        e ->
                                all.add(
                                        new BeginPane.Riffs(
                                                e.title(), () -> desk.open(library.file(e)))));
        for (Piece p : Demo.pieces()) {
            if (all.size() < OTHERS) {
                all.add(new BeginPane.Riffs(p.title() + " (demo)", () -> desk.take(p)));
            }
        }
        return all;
    }

    public Library library() {
        return library;
    }

    /** Every change goes into the journal until it is saved. */
    public void changed() {
        journal.ifPresent(
                j -> {
                    if (workspace.changed()) {
                        j.keep(
                                workspace.content(),
                                workspace.extras(),
                                workspace.file(),
                                workspace.stamp());
                    } else {
                        j.forget();
                    }
                });
    }

    /** Offers what a window left behind that was ended before it was saved. */
    public void offerLeft() {
        journal.ifPresent(
                j -> {
                    List<Journal.Left> left = new ArrayList<>();
                    background.run(
                            "looking for unsaved work",
                            () -> left.addAll(j.left()),
                            () -> {
                                if (!left.isEmpty()) {
                                    offer(j, left, 0);
                                }
                                if (!j.damaged().isEmpty()) {
                                    tellDamaged(j.damaged());
                                }
                            });
                });
    }

    private void tellDamaged(List<Path> files) {
        Ask.tell(
                host,
                "Unsaved work was found that cannot be read",
                (files.size() == 1 ? "The file is" : "The files are")
                        + " damaged, perhaps cut off when the machine went out. What is in there"
                        + " stays: "
                        + files.stream().map(Path::toString).collect(Collectors.joining(", "))
                        + ". Riffs that you saved are not touched by it.");
    }

    private void offer(Journal j, List<Journal.Left> left, int index) {
        Journal.Left l = left.get(index);
        String where =
                l.file()
                        .map(f -> "It was last saved in " + f.getFileName() + ".")
                        .orElse("It was never saved.");
        Ask.question(
                host,
                "Unsaved work was found",
                "Vocalis ended before \u201c"
                        + l.piece().title()
                        + "\u201d was saved. "
                        + where
                        + " Every edit is there."
                        + (left.size() > 1 ? " (" + (index + 1) + " of " + left.size() + ")" : ""),
                new Ask.Answer(
                        "recover",
                        "Take it up again",
                        () -> {
                            desk.takeUp(l);
                            background.run("letting unsaved work go", () -> j.discard(l), () -> {});
                            session.say("Taken up as it was left; save it to keep it.");
                        }),
                new Ask.Answer(
                        "recover-later",
                        index + 1 < left.size() ? "The next one" : "Leave it for later",
                        () -> {
                            if (index + 1 < left.size()) {
                                offer(j, left, index + 1);
                            }
                        }),
                new Ask.Answer(
                        "recover-drop",
                        "Let it go",
                        () ->
                                background.run(
                                        "letting unsaved work go", () -> j.discard(l), () -> {})));
    }

    public void logbook() {
        LogbookSheet.show(
                new LogbookModel(session, hearing, library, background),
                host,
                f -> desk.leave(() -> desk.open(f)));
    }

    /** Keeps the riff as it is as an idea of its own, and goes on. */
    public void catchIdea() {
        Piece now = workspace.content();
        String title = now.title() + ", " + WHEN.format(LocalDateTime.now());
        Piece idea =
                now.as(UUID.randomUUID().toString())
                        .withTitle(title.length() > 200 ? title.substring(0, 200) : title)
                        .standing(now.standing().at(Standing.Status.IDEA));
        SettledShapes resting = workspace.resting();
        background.ask("catching an idea", () -> caught(resting.settled(idea)), session::say);
    }

    private String caught(Piece idea) {
        try {
            Path file = library.keep(idea, Extras.NONE);
            return "Caught as " + file.getFileName() + "; F9 shows the logbook.";
        } catch (PieceFiles.PieceFileException e) {
            return e.getMessage();
        }
    }

    @Override
    public void close() {
        background.close();
        // The window was closed on purpose: what was not saved was let go there.
        journal.ifPresent(
                j -> {
                    j.forget();
                    j.close();
                });
    }
}
