package vocalis.desktop.view;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;

/**
 * The one way from the FX thread to a worker and back: work runs over an immutable snapshot, and an
 * answer that a newer request has overtaken is dropped.
 */
public final class Background implements AutoCloseable {

    private final ExecutorService worker =
            Executors.newSingleThreadExecutor(
                    r -> {
                        Thread t = new Thread(r, "vocalis-work");
                        t.setDaemon(true);
                        return t;
                    });

    /** A kind of request of which only the newest answer counts. */
    public final class Channel<T> {
        private final AtomicLong newest = new AtomicLong();
        private final Consumer<T> answer;

        private Channel(Consumer<T> answer) {
            this.answer = answer;
        }

        /** Runs work off the FX thread and hands its result to the channel on it. */
        public void request(Supplier<T> work) {
            long mine = newest.incrementAndGet();
            if (worker.isShutdown()) {
                return;
            }
            worker.execute(
                    () -> {
                        if (mine != newest.get()) {
                            return;
                        }
                        T result = work.get();
                        Platform.runLater(
                                () -> {
                                    if (mine == newest.get()) {
                                        answer.accept(result);
                                    }
                                });
                    });
        }
    }

    /** A channel whose answers arrive on the FX thread. */
    public <T> Channel<T> channel(Consumer<T> answer) {
        return new Channel<>(answer);
    }

    /** Runs work off the FX thread; {@code after} then runs on it. */
    public void run(Runnable work, Runnable after) {
        worker.execute(
                () -> {
                    work.run();
                    Platform.runLater(after);
                });
    }

    @Override
    public void close() {
        worker.shutdownNow();
    }
}
