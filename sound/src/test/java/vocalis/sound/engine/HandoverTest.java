package vocalis.sound.engine;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.atomic.AtomicReference;
import org.junit.jupiter.api.Test;

/** The ring and the triple buffer between two threads that go as fast as they can. */
class HandoverTest {

    private static final int MANY = Boolean.getBoolean("vocalis.long") ? 400_000 : 100_000;

    /** Every command arrives once, in order, kind and stamp with their own value. */
    @Test
    void theRingLosesAndMixesNothingBetweenTwoThreads() throws InterruptedException {
        CommandRing ring = new CommandRing(64);
        AtomicReference<String> wrong = new AtomicReference<>("");
        Thread consumer =
                new Thread(
                        () -> {
                            for (long i = 0; i < MANY; i++) {
                                while (ring.peekKind() < 0) {
                                    Thread.onSpinWait();
                                }
                                int kind = ring.peekKind();
                                long stamp = ring.peekStamp();
                                long value = ring.take();
                                if (kind != i % 7 || value != i * 3 || stamp != -i) {
                                    wrong.set(i + ": " + kind + ", " + value + ", " + stamp);
                                    return;
                                }
                            }
                        });
        consumer.start();
        for (long i = 0; i < MANY && consumer.isAlive(); ) {
            if (ring.offer((int) (i % 7), i * 3, -i)) {
                i++;
            } else {
                Thread.onSpinWait();
            }
        }
        consumer.join();
        assertThat(wrong.get()).isEmpty();
        assertThat(ring.peekKind()).isEqualTo(-1);
    }

    /** A reader sees one block's figures together, and never an older block after a newer one. */
    @Test
    void theTripleBufferShowsWholeReadingsInOrder() throws InterruptedException {
        Telemetry telemetry = new Telemetry();
        Thread writer =
                new Thread(
                        () -> {
                            for (int i = 1; i <= MANY; i++) {
                                telemetry.publish(i, i % 2 == 0, i % 3 == 0, i, i, i);
                            }
                        });
        writer.start();
        long last = 0;
        long seen = 0;
        while (last < MANY) {
            Telemetry.Moment r = telemetry.latest();
            long frames = r.frames();
            assertThat(r.tick()).isEqualTo(frames);
            assertThat(r.peak()).isEqualTo(frames);
            assertThat(r.section()).isEqualTo((int) frames);
            assertThat(r.playing()).isEqualTo(frames > 0 && frames % 2 == 0);
            assertThat(frames).isGreaterThanOrEqualTo(last);
            seen += frames > last ? 1 : 0;
            last = frames;
        }
        writer.join();
        assertThat(seen).isPositive();
    }
}
