package vocalis.sound.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.lang.management.ManagementFactory;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import vocalis.sound.Measure;
import vocalis.sound.dsp.AmpSettings;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Program;

class AudioOutputTest {

    private static final OutputLine.Opener NONE =
            (rate, frames) -> {
                throw new OutputLine.NoDevice("none here", null);
            };

    private static Engine looping() {
        Engine engine = Measure.engine(AmpSettings.GAIN);
        Program.Builder b = new Program.Builder(4 * 20160, 20160, 6);
        for (int i = 0; i < 8; i++) {
            b.add(i * 10080, new int[] {5, 7, 7, -1, -1, -1}, 0.8, i % 2 == 1, true);
        }
        engine.publish(b.build());
        engine.play(0);
        return engine;
    }

    /**
     * Ten minutes of the loop on a clock that only rendering moves (by the processor time it took,
     * so that other work on the machine does not count) and that sleeping moves on.
     */
    @Test
    void tenMinutesOnAVirtualClockHaveNoUnderrun() {
        Engine engine = looping();
        for (int i = 0; i < 2000; i++) {
            engine.render(new float[1024], 512);
        }
        long before = engine.telemetry().latest().frames();
        var threads = ManagementFactory.getThreadMXBean();
        AtomicLong slept = new AtomicLong();
        Clock virtual =
                new Clock() {
                    @Override
                    public long nanos() {
                        return threads.getCurrentThreadCpuTime() + slept.get();
                    }

                    @Override
                    public void sleep(long nanos) {
                        slept.addAndGet(nanos);
                    }
                };
        AudioOutput output = new AudioOutput(engine, NONE, virtual, 2048);
        output.passSilentlyFor(600_000_000_000L);
        long frames = engine.telemetry().latest().frames() - before;
        System.out.printf(
                "10 min on a virtual clock: %d underruns, %.1f s rendered, %.1f x real time%n",
                output.underruns(), frames / 48000.0, 600 / (600 - slept.get() * 1e-9));
        assertThat(output.underruns()).isZero();
        assertThat(frames).isBetween(48000L * 600, 48000L * 600 + 4096);
        assertThat(engine.telemetry().latest().playing()).isTrue();
    }

    @Test
    void withoutADeviceTheStandInPlaysOn() {
        Engine engine = looping();
        try (AudioOutput output = new AudioOutput(engine, NONE, Clock.system(), 2048)) {
            output.start();
            await(() -> output.sink() == AudioOutput.Sink.SILENT);
            await(() -> engine.telemetry().latest().peak() > 0.01);
        }
    }

    /**
     * A device that takes less than offered is lost; the stand-in takes over and a new line is
     * tried.
     */
    @Test
    void aLostDeviceFallsBackAndComesBack() {
        Engine engine = looping();
        AtomicInteger opened = new AtomicInteger();
        AtomicInteger closed = new AtomicInteger();
        AtomicLong time = new AtomicLong();
        OutputLine.Opener flaky =
                (rate, frames) -> {
                    int attempt = opened.incrementAndGet();
                    if (attempt == 2) {
                        throw new OutputLine.NoDevice("still gone", null);
                    }
                    return new OutputLine() {
                        private int writes;

                        @Override
                        public int write(byte[] bytes, int count) {
                            time.addAndGet(10_000_000);
                            return attempt == 1 && ++writes > 20 ? 0 : count;
                        }

                        @Override
                        public void close() {
                            closed.incrementAndGet();
                        }
                    };
                };
        Clock virtual =
                new Clock() {
                    @Override
                    public long nanos() {
                        return time.get();
                    }

                    @Override
                    public void sleep(long nanos) {
                        time.addAndGet(nanos);
                    }
                };
        try (AudioOutput output = new AudioOutput(engine, flaky, virtual, 2048)) {
            output.start();
            await(() -> opened.get() == 3 && output.sink() == AudioOutput.Sink.DEVICE);
            await(() -> closed.get() == 1);
            assertThat(engine.telemetry().latest().playing()).isTrue();
        }
    }

    private static void await(BooleanSupplier condition) {
        long end = System.nanoTime() + 20_000_000_000L;
        while (!condition.getAsBoolean()) {
            assertThat(System.nanoTime()).as("waited too long").isLessThan(end);
            try {
                Thread.sleep(10);
            } catch (InterruptedException e) {
                throw new AssertionError(e);
            }
        }
    }
}
