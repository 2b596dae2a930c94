package vocalis.desktop.practise;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Queue;
import java.util.concurrent.ConcurrentLinkedQueue;
import vocalis.core.practice.Entry;
import vocalis.desktop.view.Background;
import vocalis.workbench.base.Log;
import vocalis.workbench.library.PracticeLog;

/** What was practised, as the screen knows it; read and written on a worker, in order. */
public final class PracticeDiary implements AutoCloseable {

    private final Background background = new Background("vocalis-practice");
    private final Runnable changed;
    private Optional<PracticeLog> log = Optional.empty();
    private volatile List<Entry> entries = List.of();
    private final Queue<Entry> waiting = new ConcurrentLinkedQueue<>();

    /**
     * @param changed told when more is known
     */
    PracticeDiary(Runnable changed) {
        this.changed = changed;
    }

    /** Where it is kept; read at once. */
    void keepIn(PracticeLog where) {
        log = Optional.of(where);
        List<Entry> all = new ArrayList<>();
        background.run(
                "reading the practice log",
                () -> {
                    try {
                        all.addAll(where.read().entries());
                    } catch (IOException e) {
                        Log.failed("reading the practice log", e);
                    }
                },
                () -> {
                    entries = List.copyOf(all);
                    changed.run();
                });
    }

    /** The entries of a piece, oldest first. */
    List<Entry> of(String piece) {
        return entries.stream().filter(e -> e.piece().equals(piece)).toList();
    }

    /** All entries, oldest first; may be asked on any thread. */
    public List<Entry> all() {
        return entries;
    }

    /** Writes an entry down. */
    public void write(Entry e) {
        List<Entry> more = new ArrayList<>(entries);
        more.add(e);
        entries = List.copyOf(more);
        waiting.add(e);
        background.run("writing the practice log", this::writeWaiting, () -> {});
    }

    /** What waits; an entry leaves the queue only when it is written. */
    private synchronized void writeWaiting() {
        try {
            while (log.isPresent() && !waiting.isEmpty()) {
                log.get().add(waiting.peek());
                waiting.poll();
            }
        } catch (IOException x) {
            Log.failed("writing the practice log", x);
        }
    }

    /** Ends; what still waits is written at once. */
    @Override
    public void close() {
        background.close();
        writeWaiting();
    }
}
