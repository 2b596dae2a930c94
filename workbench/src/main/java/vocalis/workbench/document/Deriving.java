package vocalis.workbench.document;

import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.piece.Guitar;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Riff;
import vocalis.workbench.base.Log;

/**
 * Derives pieces off the thread that edits them. Requests are coalesced to the newest; an answer is
 * given unless a newer one was given before. What throws is logged, and the next request is served.
 */
public final class Deriving {

    /** A revision of a piece to derive. */
    private record Request(long revision, Piece piece, Hand hand, Guitar written) {}

    /**
     * What a piece comes to.
     *
     * @param revision of the document
     * @param second what guitar two's part comes to; empty where nobody hears or sees it
     */
    public record Answer(long revision, Piece piece, Derived first, Optional<Derived> second) {}

    private final Deriver one;
    private final Deriver two;
    private final Executor worker;
    private final Executor home;
    private final Consumer<Answer> listener;
    private final AtomicReference<Request> waiting = new AtomicReference<>();
    private long given = -1;

    /**
     * @param worker derives; one thread at a time
     * @param home where answers are given
     */
    public Deriving(
            Catalogue catalogue, Executor worker, Executor home, Consumer<Answer> listener) {
        this.one = new Deriver(catalogue);
        this.two = new Deriver(catalogue);
        this.worker = worker;
        this.home = home;
        this.listener = listener;
    }

    /** Derives a revision, unless a newer one is asked for before its turn. */
    void request(long revision, Piece piece, Hand hand, Guitar written) {
        if (waiting.getAndSet(new Request(revision, piece, hand, written)) == null) {
            worker.execute(this::serve);
        }
    }

    private void serve() {
        Request r = waiting.getAndSet(null);
        if (r == null) {
            return;
        }
        try {
            Answer answer = derive(r.revision(), r.piece(), r.hand(), r.written());
            home.execute(() -> give(answer));
        } catch (RuntimeException | StackOverflowError e) {
            Log.failed("deriving the riff", e);
        }
    }

    private void give(Answer answer) {
        if (answer.revision() > given) {
            given = answer.revision();
            listener.accept(answer);
        }
    }

    /** Derives a piece that is no revision of the document, and gives what it comes to. */
    void aside(Piece piece, Hand hand, java.util.function.Consumer<Answer> then) {
        worker.execute(
                () -> {
                    try {
                        Answer answer = derive(-1, piece, hand);
                        home.execute(() -> then.accept(answer));
                    } catch (RuntimeException | StackOverflowError e) {
                        Log.failed("deriving a variation", e);
                    }
                });
    }

    /** Derives what is heard at once, on the caller's thread. */
    public Answer derive(long revision, Piece piece, Hand hand) {
        return derive(revision, piece, hand, Guitar.ONE);
    }

    /** The same, with guitar two's part where that is the one written. */
    public synchronized Answer derive(long revision, Piece piece, Hand hand, Guitar written) {
        Derived first = one.derive(piece.riff(), hand);
        Optional<Derived> second = Optional.empty();
        if (piece.mix().second().on() || written == Guitar.TWO) {
            Riff other = piece.secondRiff();
            boolean same = other.equals(piece.riff());
            second = Optional.of(same ? first : two.derive(other, hand));
        }
        return new Answer(revision, piece, first, second);
    }
}
