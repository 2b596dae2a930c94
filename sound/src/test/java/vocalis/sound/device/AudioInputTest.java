package vocalis.sound.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.concurrent.CountDownLatch;
import java.util.concurrent.Semaphore;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;

/** An input that is driven by the test, block by block. */
class AudioInputTest {

    private static void await(BooleanSupplier there) throws InterruptedException {
        for (int i = 0; i < 2000 && !there.getAsBoolean(); i++) {
            Thread.sleep(2);
        }
        assertThat(there.getAsBoolean()).isTrue();
    }

    /** Gives a ramp, a block for each permit; then it is gone. */
    private static final class Ramp implements InputLine {
        private final Semaphore blocks = new Semaphore(0);
        private final CountDownLatch closed = new CountDownLatch(1);
        private volatile boolean lost;
        private int value;

        @Override
        public int read(byte[] bytes, int count) {
            blocks.acquireUninterruptibly();
            if (lost) {
                return 0;
            }
            for (int i = 0; i < count; i += 2) {
                bytes[i] = (byte) value;
                bytes[i + 1] = (byte) (value >> 8);
                value = value == 32_767 ? 0 : value + 1;
            }
            return count;
        }

        @Override
        public void close() {
            closed.countDown();
        }
    }

    @Test
    void whatIsReadIsTakenInOrder() throws InterruptedException {
        Ramp ramp = new Ramp();
        try (AudioInput in = new AudioInput((rate, frames) -> ramp, 48_000)) {
            ramp.blocks.release(20);
            await(() -> in.frames() == 20L * AudioInput.BLOCK);
            float[] some = new float[AudioInput.BLOCK * 20];
            assertThat(in.take(some)).isEqualTo(some.length);
            for (int i = 0; i < some.length; i++) {
                assertThat(some[i]).isEqualTo(i / 32_768f);
            }
            assertThat(in.take(some)).isZero();
            assertThat(in.overruns()).isZero();
            assertThat(in.state()).isEqualTo(AudioInput.State.HEARING);
        }
    }

    /** What nobody takes is dropped and counted; what was kept stays as it was. */
    @Test
    void aFullRingDropsTheNewest() throws InterruptedException {
        Ramp ramp = new Ramp();
        try (AudioInput in = new AudioInput((rate, frames) -> ramp, 48_000)) {
            ramp.blocks.release(300);
            await(() -> in.overruns() == 300 - 256);
            float[] some = new float[AudioInput.BLOCK];
            assertThat(in.take(some)).isEqualTo(some.length);
            assertThat(some[1]).isEqualTo(1 / 32_768f);
        }
    }

    @Test
    void aLostDeviceIsSaidAndLetGo() throws InterruptedException {
        Ramp ramp = new Ramp();
        try (AudioInput in = new AudioInput((rate, frames) -> ramp, 48_000)) {
            ramp.blocks.release(1);
            await(() -> in.frames() > 0);
            ramp.lost = true;
            ramp.blocks.release(1);
            await(() -> in.state() == AudioInput.State.LOST);
            ramp.closed.await();
        }
    }

    @Test
    void withoutADeviceThereIsNone() throws InterruptedException {
        InputLine.Opener none =
                (rate, frames) -> {
                    throw new OutputLine.NoDevice("none", null);
                };
        try (AudioInput in = new AudioInput(none, 48_000)) {
            await(() -> in.state() == AudioInput.State.NONE);
            assertThat(in.take(new float[10])).isZero();
        }
    }
}
