package vocalis.workbench.playing;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.util.Optional;
import java.util.concurrent.locks.LockSupport;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.mix.Mix;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Tone;
import vocalis.sound.device.Clock;
import vocalis.sound.device.OutputLine;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Workspace;

/** What is heard when something else is shown and played at once. */
class PlayerTest {

    private static final double RATE = Player.RATE;

    /** Takes what is played, at the pace of time. */
    private static final class Tape implements OutputLine {
        private final ByteArrayOutputStream taken = new ByteArrayOutputStream();
        private long next = System.nanoTime();

        @Override
        public int write(byte[] bytes, int count) {
            synchronized (taken) {
                taken.write(bytes, 0, count);
            }
            next += (long) (count / 4 / RATE * 1e9);
            LockSupport.parkNanos(Math.max(0, next - System.nanoTime()));
            return count;
        }

        @Override
        public void close() {}

        double[] left() {
            synchronized (taken) {
                byte[] b = taken.toByteArray();
                double[] x = new double[b.length / 4];
                for (int i = 0; i < x.length; i++) {
                    x[i] = (short) ((b[4 * i] & 255) | b[4 * i + 1] << 8) / 32768.0;
                }
                return x;
            }
        }
    }

    private static void await(BooleanSupplier condition) {
        long end = System.nanoTime() + 120_000_000_000L;
        while (!condition.getAsBoolean()) {
            assertThat(System.nanoTime()).isLessThan(end);
            LockSupport.parkNanos(5_000_000);
        }
    }

    private static Heard clean(int demo, Catalogue catalogue) {
        Piece p = Demo.pieces().get(demo).mixed(Mix.ALONE);
        var ground = p.riff().ground().withTone(Tone.CLEAN);
        return new Workspace(catalogue, p.with(p.riff().withGround(ground))).heard();
    }

    /** Level at a frequency (G. Goertzel, 1958) from a frame on, Hann-windowed. */
    private static double level(double[] x, int from, int n, double hz) {
        double re = 0;
        double im = 0;
        for (int i = 0; i < n && from + i < x.length; i++) {
            double v = x[from + i] * (0.5 - 0.5 * Math.cos(2 * Math.PI * i / n));
            re += v * Math.cos(2 * Math.PI * hz * i / RATE);
            im += v * Math.sin(2 * Math.PI * hz * i / RATE);
        }
        return 20 * Math.log10(Math.hypot(re, im) / n + 1e-9);
    }

    /**
     * The first note that sounds is one of what was asked for: the riff's open low D of before is
     * not there, its own G is.
     */
    @Test
    void whatIsPlayedAtOnceBeginsWithItself() {
        Catalogue catalogue = new Catalogue();
        Heard before = clean(0, catalogue);
        Heard asked = clean(1, catalogue);
        Tape tape = new Tape();
        try (Player player = new Player(before, (r, f) -> tape, Clock.system(), 1)) {
            player.start();
            player.output().mute(false);
            player.volume(1);
            await(() -> tape.left().length > RATE / 5);
            assertThat(player.telemetry().latest().playing()).isFalse();
            player.showAndPlay(asked, 0);
            await(() -> first(tape.left()).isPresent());
            int at = first(tape.left()).orElseThrow();
            int window = (int) (0.2 * RATE);
            await(() -> tape.left().length > at + window);
            double[] x = tape.left();
            double own = level(x, at, window, 98.0);
            double old = level(x, at, window, 73.4);
            System.out.printf("G2 %.1f dB, D2 %.1f dB%n", own, old);
            assertThat(own).isGreaterThan(old + 12);
        }
    }

    /** What was asked for is taken back by what is shown after it: it does not begin to play. */
    @Test
    void aNewerStateTakesItBack() {
        Catalogue catalogue = new Catalogue();
        Heard before = clean(0, catalogue);
        Heard asked = clean(1, catalogue);
        Tape tape = new Tape();
        try (Player player = new Player(before, (r, f) -> tape, Clock.system(), 1)) {
            player.start();
            await(() -> tape.left().length > RATE / 10);
            synchronized (player) {
                player.showAndPlay(asked, 0);
                player.show(before);
            }
            int heard = tape.left().length;
            await(() -> tape.left().length > heard + RATE);
            assertThat(player.telemetry().latest().playing()).isFalse();
            assertThat(first(tape.left())).isEmpty();
        }
    }

    private static Optional<Integer> first(double[] x) {
        for (int i = 0; i < x.length; i++) {
            if (Math.abs(x[i]) > 0.005) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }
}
