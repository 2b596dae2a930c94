package vocalis.desktop.logbook;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.collections.FXCollections;
import javafx.collections.ObservableList;
import vocalis.core.piece.Piece;
import vocalis.core.piece.Standing;
import vocalis.desktop.session.Hearing;
import vocalis.desktop.session.Session;
import vocalis.desktop.view.Background;
import vocalis.workbench.library.Library;
import vocalis.workbench.library.LibraryEntry;
import vocalis.workbench.library.LibraryQuery;
import vocalis.workbench.library.PieceFiles;

/** What the logbook shows and does. Every touch of the disk is made on its worker, in order. */
public final class LogbookModel {

    /** How often the count is told while files are read. */
    private static final int TELL_EVERY = 50;

    /** How the list is ordered. */
    public enum Order {
        CHANGED("last changed first"),
        PLAYED("last played first"),
        TITLE("by title"),
        KEY("by key"),
        TEMPO("by tempo"),
        RATING("best first");

        private final String words;

        Order(String words) {
            this.words = words;
        }
    }

    private final Session session;
    private final Hearing hearing;
    private final Library library;
    private final Background background;
    private final ObservableList<LibraryEntry> shown = FXCollections.observableArrayList();
    private final ReadOnlyStringWrapper count = new ReadOnlyStringWrapper("");
    private final ReadOnlyStringWrapper nothing = new ReadOnlyStringWrapper("");
    private final ReadOnlyStringWrapper said = new ReadOnlyStringWrapper("");
    private final AtomicBoolean closed = new AtomicBoolean();
    private final Map<String, Long> played = new HashMap<>();
    private List<LibraryEntry> all = List.of();
    private LibraryQuery query = LibraryQuery.of("");
    private Order order = Order.CHANGED;
    private boolean held;
    private boolean reading;

    public LogbookModel(Session session, Hearing hearing, Library library, Background background) {
        this.session = session;
        this.hearing = hearing;
        this.library = library;
        this.background = background;
    }

    /** Where the riffs lie. */
    public Path folder() {
        return library.folder();
    }

    /** What fits the query, in order. */
    public ObservableList<LibraryEntry> shown() {
        return shown;
    }

    /** Why nothing is shown, while nothing is. */
    public ReadOnlyStringProperty nothingProperty() {
        return nothing.getReadOnlyProperty();
    }

    /** How many, and how they are ordered. */
    public ReadOnlyStringProperty countProperty() {
        return count.getReadOnlyProperty();
    }

    /** What was done last, or went wrong; empty where there is nothing to say. */
    public ReadOnlyStringProperty saidProperty() {
        return said.getReadOnlyProperty();
    }

    /** When a riff was last heard or opened here. */
    public Optional<Long> played(LibraryEntry e) {
        return Optional.ofNullable(played.get(e.id()));
    }

    /** Does something with the disk and then something with what came of it. */
    private <T> void work(String what, Callable<T> work, Consumer<T> then) {
        work(what, work, then, () -> {});
    }

    private <T> void work(String what, Callable<T> work, Consumer<T> then, Runnable otherwise) {
        background.attempt(
                what,
                work,
                made -> {
                    if (!closed.get()) {
                        then.accept(made);
                    }
                },
                why -> {
                    if (!closed.get()) {
                        said.set("Trouble with " + what + ": " + why + ".");
                        otherwise.run();
                    }
                });
    }

    /** Shows what was remembered, then what is there. */
    public void open() {
        work(
                "what was remembered",
                library::played,
                p -> {
                    played.putAll(p);
                    fill();
                });
        work("what was remembered", library::remembered, this::take);
        scan();
    }

    private void take(List<LibraryEntry> entries) {
        all = entries;
        fill();
    }

    private void scan() {
        reading = true;
        fill();
        work(
                "looking through " + library.folder(),
                () ->
                        library.scan(
                                (n, soFar) -> {
                                    if (n % TELL_EVERY == 1) {
                                        List<LibraryEntry> some = List.copyOf(soFar);
                                        Background.HOME.execute(() -> meanwhile(n, some));
                                    }
                                },
                                closed::get),
                found -> {
                    reading = false;
                    take(found);
                },
                () -> {
                    reading = false;
                    fill();
                });
    }

    /** What was read so far is shown while the rest is read, where nothing was remembered. */
    private void meanwhile(int read, List<LibraryEntry> some) {
        if (reading && !closed.get()) {
            if (some.size() > all.size()) {
                take(some);
            }
            count.set(read + " read …");
        }
    }

    /** Looks for something else. */
    public void search(String text) {
        query = LibraryQuery.of(text);
        fill();
    }

    /** The next way to order. */
    public void nextOrder() {
        order = Order.values()[(order.ordinal() + 1) % Order.values().length];
        fill();
    }

    private void fill() {
        List<LibraryEntry> fitting = new ArrayList<>(all.stream().filter(query).toList());
        fitting.sort(comparing());
        String of = fitting.size() == all.size() ? "" : " of " + all.size();
        count.set(fitting.size() + of + (all.size() == 1 ? " riff, " : " riffs, ") + order.words);
        nothing.set(
                all.isEmpty()
                        ? reading
                                ? "Looking through " + folder() + " …"
                                : "Nothing here: Ctrl J catches the riff as an idea, Ctrl S keeps it in "
                                        + folder()
                                        + "."
                        : "No riff fits what is searched for. Ctrl F changes it.");
        shown.setAll(fitting);
    }

    private Comparator<LibraryEntry> comparing() {
        Comparator<LibraryEntry> changed =
                Comparator.comparingLong(LibraryEntry::modified).reversed();
        return switch (order) {
            case CHANGED -> changed;
            case PLAYED ->
                    Comparator.comparingLong((LibraryEntry e) -> -played(e).orElse(0L))
                            .thenComparing(changed);
            case TITLE -> Comparator.comparing(e -> e.title().toLowerCase(Locale.ROOT));
            case KEY -> Comparator.comparing(LibraryEntry::key).thenComparing(changed);
            case TEMPO -> Comparator.comparingInt(LibraryEntry::tempo).thenComparing(changed);
            case RATING ->
                    Comparator.comparingInt((LibraryEntry e) -> -e.rating()).thenComparing(changed);
        };
    }

    /** The file of a riff that is about to be opened. */
    public Path opening(LibraryEntry e) {
        markPlayed(e);
        return library.file(e);
    }

    private void markPlayed(LibraryEntry e) {
        long now = System.currentTimeMillis();
        played.put(e.id(), now);
        background.run("when a riff was played", () -> library.played(e.id(), now), () -> {});
    }

    /** Sounds a riff until {@link #endHearing}. */
    public void hear(LibraryEntry e) {
        if (held || !e.readable()) {
            return;
        }
        held = true;
        work(
                "reading a riff to hear it",
                () -> PieceFiles.read(library.file(e)).piece(),
                p -> {
                    if (held) {
                        hearing.preview(p);
                        markPlayed(e);
                    }
                });
    }

    /** Ends what {@link #hear} sounds. */
    public void endHearing() {
        if (held) {
            held = false;
            hearing.endPreview();
        }
    }

    /** Rates a riff, 0 to 5. */
    public void rate(LibraryEntry e, int rating) {
        change(e, p -> p.standing(p.standing().rated(rating)));
    }

    /** Another status for a riff. */
    public void nextStatus(LibraryEntry e) {
        Standing.Status[] all = Standing.Status.values();
        change(
                e,
                p ->
                        p.standing(
                                p.standing()
                                        .at(
                                                all[
                                                        (p.standing().status().ordinal() + 1)
                                                                % all.length])));
    }

    /** Changes a riff in its file; the one that is open is changed where it is open. */
    public void change(LibraryEntry e, UnaryOperator<Piece> change) {
        boolean open = session.workspace().file().filter(library.file(e)::equals).isPresent();
        if (open) {
            said.set("This riff is open: change it there, and save.");
        } else if (e.readable()) {
            work(
                    "changing " + e.title(),
                    () -> {
                        library.change(e, change);
                        return e;
                    },
                    x -> scan());
        }
    }

    /** Puts a riff away. */
    public void trash(LibraryEntry e) {
        work(
                "putting " + e.title() + " away",
                () -> library.trash(e),
                to -> {
                    take(all.stream().filter(x -> x != e).toList());
                    said.set("Put " + e.title() + " away; Z brings it back.");
                    scan();
                });
    }

    /** Brings back what was put away last, in this sheet or before. */
    public void restore() {
        work(
                "bringing a riff back",
                () -> {
                    List<Path> away = library.trashed();
                    return away.isEmpty()
                            ? Optional.<Path>empty()
                            : Optional.of(library.restore(away.get(0)));
                },
                back -> {
                    said.set(
                            back.map(f -> "Brought back as " + f.getFileName() + ".")
                                    .orElse("Nothing was put away."));
                    scan();
                });
    }

    /** Nobody looks any more: what is under way is given up. */
    public void close() {
        endHearing();
        closed.set(true);
    }
}
