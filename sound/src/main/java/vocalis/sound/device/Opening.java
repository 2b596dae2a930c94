package vocalis.sound.device;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;

/**
 * A device being opened on a thread of its own, for a sound server that does not answer may block
 * for ever. One that answers too late to be wanted is closed again.
 */
final class Opening {

    private final CompletableFuture<OutputLine> line = new CompletableFuture<>();

    Opening(OutputLine.Opener opener, double sampleRate, int bufferFrames) {
        Thread t =
                new Thread(
                        () -> {
                            try {
                                OutputLine opened = opener.open(sampleRate, bufferFrames);
                                if (!line.complete(opened)) {
                                    opened.close();
                                }
                            } catch (OutputLine.NoDevice | RuntimeException e) {
                                line.completeExceptionally(e);
                            }
                        },
                        "vocalis-sound-opener");
        t.setDaemon(true);
        t.start();
    }

    /** Whether it has answered. */
    boolean done() {
        return line.isDone();
    }

    /**
     * The line, when it is there within some time.
     *
     * @return null when the device has not answered yet
     * @throws OutputLine.NoDevice when there is none to be had
     */
    OutputLine within(long millis) throws OutputLine.NoDevice {
        try {
            return line.get(millis, TimeUnit.MILLISECONDS);
        } catch (TimeoutException e) {
            return null;
        } catch (ExecutionException e) {
            if (e.getCause() instanceof OutputLine.NoDevice none) {
                throw none;
            }
            throw new OutputLine.NoDevice("the sound device cannot be opened", e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new OutputLine.NoDevice("interrupted while opening the sound device", e);
        }
    }

    /** No longer wanted. */
    void giveUp() {
        line.cancel(false);
        if (line.isDone() && !line.isCompletedExceptionally()) {
            close(line.join());
        }
    }

    /** Closes a line elsewhere: closing can block. */
    static Thread close(OutputLine line) {
        Thread closer = new Thread(line::close, "vocalis-sound-closer");
        closer.setDaemon(true);
        closer.start();
        return closer;
    }
}
