package vocalis.workbench.listening;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.function.IntToDoubleFunction;
import org.junit.jupiter.api.Test;
import vocalis.sound.device.InputLine;

/** What comes in, kept and told of. */
class ListenerTest {

    /** Two seconds of a function of the frame, as fast as it is read; then silence at its pace. */
    private static InputLine line(IntToDoubleFunction sound) {
        return new InputLine() {
            private int frame;

            @Override
            public int read(byte[] bytes, int count) {
                try {
                    Thread.sleep(2);
                } catch (InterruptedException e) {
                    return 0;
                }
                for (int i = 0; i < count; i += 2) {
                    int v = (int) Math.round(32_767 * sound.applyAsDouble(frame++));
                    bytes[i] = (byte) v;
                    bytes[i + 1] = (byte) (v >> 8);
                }
                return count;
            }

            @Override
            public void close() {
                // Nothing is open.
            }
        };
    }

    private static String words(IntToDoubleFunction sound) throws InterruptedException {
        try (Listener l = new Listener((rate, frames) -> line(sound))) {
            while (l.seconds() < 1.5) {
                Thread.sleep(5);
            }
            return l.level().words();
        }
    }

    private static double sine(double hz, int frame) {
        return Math.sin(2 * Math.PI * hz * frame / 48_000);
    }

    @Test
    void whatIsWrongIsSaid() throws InterruptedException {
        assertThat(words(i -> 0.3 * sine(196, i))).isEqualTo("Hearing you.");
        assertThat(words(i -> sine(196, i))).startsWith("Too loud");
        assertThat(words(i -> 0.001 * sine(196, i))).startsWith("Quiet");
        assertThat(words(i -> 0.1 * sine(50, i) + 0.05 * sine(150, i))).startsWith("Hum");
        assertThat(words(i -> 0.1 * sine(60, i) + 0.05 * sine(120, i))).startsWith("Hum");
    }

    /** A stretch comes back as it was played, at its time. */
    @Test
    void aStretchIsKept() throws InterruptedException {
        try (Listener l = new Listener((rate, frames) -> line(i -> i == 24_000 ? 0.5 : 0))) {
            while (l.seconds() < 1) {
                Thread.sleep(5);
            }
            var take = l.take(0.4, 0.6);
            assertThat(take.seconds()).isCloseTo(0.2, within(1e-4));
            assertThat(take.peak()).isCloseTo(0.5, within(0.001));
            assertThat(l.take(0.51, 0.6).peak()).isZero();
            assertThat(l.overruns()).isZero();
        }
    }

    @Test
    void noInputIsSaid() throws InterruptedException {
        InputLine.Opener none =
                (rate, frames) -> {
                    throw new vocalis.sound.device.OutputLine.NoDevice("none", null);
                };
        try (Listener l = new Listener(none)) {
            for (int i = 0; i < 500 && !l.level().words().startsWith("No sound input"); i++) {
                Thread.sleep(5);
            }
            assertThat(l.level().words()).startsWith("No sound input");
        }
    }
}
