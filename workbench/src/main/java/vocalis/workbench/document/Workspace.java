package vocalis.workbench.document;

import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Executor;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Guitar;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.core.score.Score;
import vocalis.formats.json.Extras;
import vocalis.workbench.base.Subscription;
import vocalis.workbench.library.PieceFiles;
import vocalis.workbench.playing.Heard;

/**
 * The open document with its history. Used from one thread. Edits change it at once; what it comes
 * to is derived on a worker and arrives later ({@link #onDerived}), so {@link #derived} may lag
 * behind {@link #content}. Undo goes back to the snapshot before an edit; "saved" is a remembered
 * snapshot, so undoing to it makes the document saved again.
 */
public final class Workspace {

    private static final int MOST_UNDO = 500;

    private record Step(Piece before, String label, String mergeKey) {}

    private final Catalogue catalogue;
    private final Deriving deriving;
    private final List<Runnable> listeners = new ArrayList<>();
    private final List<Runnable> derivedListeners = new ArrayList<>();
    private final Deque<Step> undo = new ArrayDeque<>();
    private final Deque<Step> redo = new ArrayDeque<>();
    private Hand hand;
    private Piece content;
    private Piece saved;
    private Extras extras = Extras.NONE;
    private Path file;
    private String stamp;
    private long session;
    private long revision;
    private Deriving.Answer answer;
    private Guitar written = Guitar.ONE;

    /** A workspace that derives at once, on the caller's thread. */
    public Workspace(Catalogue catalogue, Piece first) {
        this(catalogue, first, Hand.MEDIUM, Runnable::run, Runnable::run);
    }

    /**
     * @param worker derives; one thread at a time
     * @param home runs what must happen on this workspace's thread
     */
    public Workspace(Catalogue catalogue, Piece first, Hand hand, Executor worker, Executor home) {
        this.catalogue = catalogue;
        this.hand = hand;
        content = first;
        saved = first;
        deriving = new Deriving(catalogue, worker, home, this::arrived);
        answer = deriving.derive(0, first, hand, written);
    }

    /** Called after every change of the document. */
    public Subscription onChange(Runnable listener) {
        listeners.add(listener);
        return () -> listeners.remove(listener);
    }

    /** Called after every change of what the document comes to. */
    public Subscription onDerived(Runnable listener) {
        derivedListeners.add(listener);
        return () -> derivedListeners.remove(listener);
    }

    /** Takes another document that is kept nowhere; history starts anew. */
    public void open(Piece piece) {
        open(piece, Extras.NONE, null, null);
    }

    /** Takes another document that is kept nowhere and would be lost: it counts as changed. */
    public void openUnsaved(Piece piece, Extras unknown) {
        openUnsaved(piece, unknown, null, null);
    }

    /**
     * The same of one that was saved in a file before.
     *
     * @param from the file; null for none
     * @param ofStamp what it held then; null for none
     */
    public void openUnsaved(Piece piece, Extras unknown, Path from, String ofStamp) {
        open(piece, unknown, from, ofStamp);
        saved = null;
        tell(listeners);
    }

    /** Takes a document from its file; history starts anew. */
    public void open(PieceFiles.ReadPiece opened) {
        open(opened.piece(), opened.extras(), opened.file(), opened.stamp());
    }

    private void open(Piece piece, Extras unknown, Path from, String ofStamp) {
        undo.clear();
        redo.clear();
        content = piece;
        saved = piece;
        extras = unknown;
        file = from;
        stamp = ofStamp;
        session++;
        written = Guitar.ONE;
        changedTo(piece);
    }

    /** Counts the documents opened: what was begun for one must not end in another. */
    public long session() {
        return session;
    }

    public Piece content() {
        return content;
    }

    /** What the file held that is not known here. */
    public Extras extras() {
        return extras;
    }

    /** Which guitar is written: what edits of the riff change, and what is drawn. */
    public Guitar written() {
        return written;
    }

    /** Goes over to a guitar. */
    public void write(Guitar guitar) {
        if (guitar != written) {
            written = guitar;
            changedTo(content);
        }
    }

    /** What the guitar that is written plays of the riff that is worked on. */
    public Riff riff() {
        return content.riff(written);
    }

    /** The piece with another riff in place of that. */
    public Piece with(Riff other) {
        return content.changing(written, r -> other);
    }

    /** What the guitar that is written comes to, as last derived. */
    public Derived derived() {
        return written == Guitar.ONE ? answer.first() : answer.second().orElse(answer.first());
    }

    /** What the other guitar comes to, as last derived, where it plays something else. */
    public Optional<Derived> beside() {
        Optional<Derived> other =
                written == Guitar.ONE ? answer.second() : Optional.of(answer.first());
        return other.filter(d -> !d.riff().equals(derived().riff()));
    }

    /** The notes of the guitar that is written, as last derived. */
    public Score score() {
        return derived().score();
    }

    /** All that sounding needs, as last derived. */
    public Heard heard() {
        return heard(answer);
    }

    /** What a piece in place of the document would sound like; told on this thread, later. */
    public void preview(Piece piece, java.util.function.Consumer<Heard> then) {
        deriving.aside(piece, hand, a -> then.accept(heard(a)));
    }

    /** All that sounding needs of what a piece comes to. */
    public static Heard heard(Deriving.Answer a) {
        return new Heard(
                a.first().score(),
                a.second().filter(d -> a.piece().mix().second().on()).map(Derived::score),
                a.piece().riff().ground(),
                a.piece().mix());
    }

    /** Whether what was derived is what the document is now. */
    public boolean upToDate() {
        return answer.revision() == revision;
    }

    public Hand hand() {
        return hand;
    }

    /** Takes another hand; the riff is derived again for it. */
    public void setHand(Hand other) {
        if (!other.equals(hand)) {
            hand = other;
            changedTo(content);
        }
    }

    public Catalogue catalogue() {
        return catalogue;
    }

    /** Lays by and takes up pieces for the hand in force. */
    public SettledShapes resting() {
        return new SettledShapes(catalogue, hand);
    }

    /** Where it was read from or saved to. */
    public Optional<Path> file() {
        return Optional.ofNullable(file);
    }

    /** Fingerprint of the file as it was last read or written here; empty for a new document. */
    public Optional<String> stamp() {
        return Optional.ofNullable(stamp);
    }

    /** Whether there is anything that would be lost. */
    public boolean changed() {
        return !content.equals(saved);
    }

    /**
     * Remembers that a document, as it stood when it was written, is on disk; one that is no longer
     * open is let be.
     */
    public void markSaved(long ofSession, Piece written, Path to, String ofStamp) {
        if (ofSession != session) {
            return;
        }
        saved = written;
        file = to;
        stamp = ofStamp;
        tell(listeners);
    }

    /**
     * Applies an edit. One that changes nothing leaves no trace.
     *
     * @return why it cannot be done; empty where it was, or had nothing to do
     */
    public Optional<String> apply(Edit edit) {
        Piece after;
        try {
            after = edit.apply(content, written);
        } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
            return Optional.of(
                    e instanceof IllegalArgumentException && e.getMessage() != null
                            ? e.getMessage()
                            : "that is no longer there");
        }
        if (after.equals(content)) {
            return Optional.empty();
        }
        boolean merges =
                !edit.mergeKey().isEmpty()
                        && !undo.isEmpty()
                        && redo.isEmpty()
                        && undo.peek().mergeKey().equals(edit.mergeKey());
        if (!merges) {
            undo.push(new Step(content, edit.label(), edit.mergeKey()));
            if (undo.size() > MOST_UNDO) {
                undo.removeLast();
            }
        }
        redo.clear();
        content = after;
        changedTo(after);
        return Optional.empty();
    }

    /** Ends merging: the next edit is undone by itself. */
    public void seal() {
        if (!undo.isEmpty() && !undo.peek().mergeKey().isEmpty()) {
            Step top = undo.pop();
            undo.push(new Step(top.before(), top.label(), ""));
        }
    }

    /** What undo would take back. */
    public Optional<String> undoLabel() {
        return Optional.ofNullable(undo.peek()).map(Step::label);
    }

    /** What redo would do again. */
    public Optional<String> redoLabel() {
        return Optional.ofNullable(redo.peek()).map(Step::label);
    }

    public void undo() {
        step(undo, redo);
    }

    public void redo() {
        step(redo, undo);
    }

    private void step(Deque<Step> from, Deque<Step> to) {
        if (from.isEmpty()) {
            return;
        }
        Step s = from.pop();
        to.push(new Step(content, s.label(), ""));
        content = s.before();
        changedTo(content);
    }

    private void changedTo(Piece piece) {
        revision++;
        tell(listeners);
        deriving.request(revision, piece, hand, written);
    }

    private void arrived(Deriving.Answer latest) {
        answer = latest;
        tell(derivedListeners);
    }

    private static void tell(List<Runnable> whom) {
        List.copyOf(whom).forEach(Runnable::run);
    }
}
