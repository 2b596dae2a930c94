package vocalis.desktop.view;

import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.concurrent.Executors;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import vocalis.workbench.base.Log;

/**
 * The one way from the FX thread to a worker and back: work runs over an immutable snapshot, and an
 * answer that a newer request has overtaken is dropped. A request that waits is replaced by a newer
 * one of its channel, so a held key leaves no heap of work. What throws is logged, and the worker
 * goes on.
 */
public final class Background implements AutoCloseable {

    /** Runs things on the FX thread, unless the program has ended. */
    public static final Executor HOME =
            r -> {
                if (Platform.isFxApplicationThread()) {
                    r.run();
                } else {
                    Platform.runLater(r);
                }
            };

    private final ScheduledExecutorService worker;

    /**
     * @param name of its thread
     */
    public Background(String name) {
        worker =
                Executors.newSingleThreadScheduledExecutor(
                        r -> {
                            Thread t = new Thread(r, name);
                            t.setDaemon(true);
                            return t;
                        });
    }

    /** A kind of request of which only the newest answer counts. Used on the FX thread. */
    public final class Channel<T> {
        private final AtomicReference<Ask<T>> waiting = new AtomicReference<>();
        private final Consumer<T> answer;
        private final String what;
        private final long quietNanos;
        private long asked;

        private Channel(String what, long quietMillis, Consumer<T> answer) {
            this.what = what;
            this.quietNanos = TimeUnit.MILLISECONDS.toNanos(quietMillis);
            this.answer = answer;
        }

        /** Runs work off the FX thread and hands its result to the channel on it. */
        public void request(Supplier<T> work) {
            asked++;
            long from = System.nanoTime() + quietNanos;
            if (waiting.getAndSet(new Ask<>(asked, from, work)) == null) {
                execute(what, quietNanos, this::serve);
            }
        }

        /** Wants no answer any more to what was asked before. */
        public void forget() {
            asked++;
        }

        private void serve() {
            long left = waiting.get().from() - System.nanoTime();
            if (left > 0) {
                execute(what, left, this::serve);
                return;
            }
            Ask<T> ask = waiting.getAndSet(null);
            T result = ask.work().get();
            Platform.runLater(
                    () -> {
                        if (ask.ticket() == asked) {
                            answer.accept(result);
                        }
                    });
        }
    }

    /** A request with its number, and when it is served at the earliest. */
    private record Ask<T>(long ticket, long from, Supplier<T> work) {}

    /**
     * A channel whose answers arrive on the FX thread.
     *
     * @param what its work is, for the log: such as "looking for voicings"
     */
    public <T> Channel<T> channel(String what, Consumer<T> answer) {
        return new Channel<>(what, 0, answer);
    }

    /**
     * The same for work that takes long: served only when nothing newer was asked for a while, so
     * that somebody who is still typing is not worked for in vain.
     *
     * @param quietMillis for how long
     */
    public <T> Channel<T> patientChannel(String what, long quietMillis, Consumer<T> answer) {
        return new Channel<>(what, quietMillis, answer);
    }

    /** Runs work off the FX thread; {@code after} then runs on it. */
    public void run(String what, Runnable work, Runnable after) {
        execute(
                what,
                () -> {
                    work.run();
                    Platform.runLater(after);
                });
    }

    /** Has a question answered off the FX thread; the answer is given on it. */
    public <T> void ask(String what, Supplier<T> question, Consumer<T> answer) {
        execute(
                what,
                () -> {
                    T found = question.get();
                    Platform.runLater(() -> answer.accept(found));
                });
    }

    /**
     * Has something done that can fail, such as with the disk; on the FX thread the answer is
     * given, or what was wrong told in words.
     */
    public <T> void attempt(
            String what, Callable<T> question, Consumer<T> answer, Consumer<String> trouble) {
        execute(
                what,
                () -> {
                    try {
                        T found = question.call();
                        Platform.runLater(() -> answer.accept(found));
                    } catch (RuntimeException e) {
                        throw e;
                    } catch (Exception e) {
                        String why = String.valueOf(e.getMessage());
                        Platform.runLater(() -> trouble.accept(why));
                    }
                });
    }

    private void execute(String what, Runnable work) {
        execute(what, 0, work);
    }

    private void execute(String what, long afterNanos, Runnable work) {
        try {
            worker.schedule(
                    () -> {
                        try {
                            work.run();
                        } catch (RuntimeException | StackOverflowError e) {
                            Log.failed(what, e);
                        }
                    },
                    afterNanos,
                    TimeUnit.NANOSECONDS);
        } catch (RejectedExecutionException e) {
            // The window is closing: nobody waits for the answer.
            return;
        }
    }

    /** The worker itself, for what derives the riff. */
    public Executor worker() {
        return r -> execute("deriving the riff", r);
    }

    @Override
    public void close() {
        worker.shutdownNow();
    }
}
