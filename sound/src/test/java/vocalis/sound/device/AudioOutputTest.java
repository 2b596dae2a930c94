package vocalis.sound.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;
import vocalis.sound.Measure;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Program;
import vocalis.sound.engine.ProgramBuilder;
import vocalis.sound.engine.Source;

@Tag("thorough")
@Isolated("keeps real time")
class AudioOutputTest {

    private static final OutputLine.Opener NONE =
            (rate, frames) -> {
                throw new OutputLine.NoDevice("none here", null);
            };

    private static Engine looping() {
        Engine engine = Measure.engine(AmpSettings.GAIN);
        engine.publish(bar(0));
        engine.play(0);
        return engine;
    }

    /** A bar of eighths, its chord moved up by some frets. */
    private static Program bar(int up) {
        ProgramBuilder b = new ProgramBuilder(4 * 20160, 20160, 6);
        for (int i = 0; i < 8; i++) {
            int[] frets = {5 + up, 7 + up, 7 + up, -1, -1, -1};
            b.add(i * 10080, frets, 0.8, i % 2 == 1, true);
        }
        return b.build();
    }

    /**
     * A clock on which each rendered second takes a fifth of a second and sleeping takes its time,
     * so that what it counts depends on the output's own reckoning and not on this machine.
     */
    private static class Virtual implements Clock {
        private final Engine engine;
        private long slept;

        Virtual(Engine engine) {
            this.engine = engine;
        }

        @Override
        public long nanos() {
            return slept + (long) (engine.telemetry().latest().frames() / 48000.0 / 5 * 1e9);
        }

        @Override
        public void sleep(long nanos) {
            slept += nanos;
        }
    }

    /** Ten minutes of a loop that is given another voicing in every bar. */
    @Test
    void minutesOnAVirtualClockHaveNoUnderrun() {
        Engine engine = looping();
        long[] revoiced = {0};
        Clock virtual =
                new Virtual(engine) {
                    @Override
                    public void sleep(long nanos) {
                        super.sleep(nanos);
                        long bar = nanos() / 2_000_000_000L;
                        if (bar > revoiced[0]) {
                            revoiced[0] = bar;
                            engine.publish(bar((int) (bar % 7)));
                        }
                    }
                };
        AudioOutput output = new AudioOutput(engine, NONE, virtual, 2048);
        long seconds = Boolean.getBoolean("vocalis.long") ? 600 : 120;
        output.passSilentlyFor(seconds * 1_000_000_000L);
        assertThat(output.underruns()).isZero();
        assertThat(engine.telemetry().latest().frames())
                .isBetween(48000L * seconds, 48000L * seconds + 4096);
        assertThat(engine.telemetry().latest().playing()).isTrue();
        assertThat(revoiced[0]).isGreaterThanOrEqualTo(seconds / 2 - 1);
    }

    /** Standing still for longer than the buffer holds is one underrun; for less, it is none. */
    @Test
    void aStallLongerThanTheBufferIsCountedOnce() {
        for (long stall : new long[] {10_000_000L, 100_000_000L}) {
            Engine engine = looping();
            int[] sleeps = {0};
            Clock virtual =
                    new Virtual(engine) {
                        @Override
                        public void sleep(long nanos) {
                            super.sleep(++sleeps[0] == 50 ? nanos + stall : nanos);
                        }
                    };
            AudioOutput output = new AudioOutput(engine, NONE, virtual, 2048);
            output.passSilentlyFor(4_000_000_000L);
            assertThat(output.underruns())
                    .as("stall of %d ns", stall)
                    .isEqualTo(stall > 43e6 ? 1 : 0);
        }
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

    /**
     * A device whose clock runs a hundredth slow keeps its buffer full, which is no underrun; a
     * stall of the program longer than the buffer is one.
     */
    @Test
    void aSlowDeviceIsNotTakenForAnEmptyBuffer() {
        for (long stall : new long[] {0, 120_000_000L}) {
            Engine engine = looping();
            AtomicLong time = new AtomicLong();
            AtomicLong writes = new AtomicLong();
            AtomicLong pending = new AtomicLong();
            Clock virtual =
                    new Clock() {
                        @Override
                        public long nanos() {
                            return time.addAndGet(pending.getAndSet(0));
                        }

                        @Override
                        public void sleep(long nanos) {
                            time.addAndGet(nanos);
                        }
                    };
            OutputLine.Opener slow =
                    (rate, frames) ->
                            new OutputLine() {
                                @Override
                                public int write(byte[] bytes, int count) {
                                    time.addAndGet((long) (512 / (0.99 * 48000) * 1e9));
                                    return writes.incrementAndGet() > 6000 ? 0 : count;
                                }

                                @Override
                                public void close() {}
                            };
            try (AudioOutput output = new AudioOutput(engine, slow, virtual, 2048)) {
                long[] dry = new long[1];
                output.start();
                await(() -> writes.get() > 3000);
                pending.addAndGet(stall);
                await(
                        () -> {
                            dry[0] = Math.max(dry[0], output.underruns());
                            return writes.get() > 6000;
                        });
                assertThat(dry[0]).as("stall of %d ns", stall).isEqualTo(stall == 0 ? 0 : 1);
            }
        }
    }

    /**
     * Three times empty within seconds: twice the buffer, unmuted; half a minute of silence without
     * another: as chosen. A single stall changes nothing (see above).
     */
    @Test
    void aBufferThatRunsEmptyGrowsAndShrinksAgain() {
        Engine engine = looping();
        AtomicLong time = new AtomicLong();
        AtomicLong writes = new AtomicLong();
        AtomicLong stall = new AtomicLong();
        List<Integer> opened = new CopyOnWriteArrayList<>();
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
        OutputLine.Opener busy =
                (rate, frames) -> {
                    opened.add(frames);
                    return new OutputLine() {
                        @Override
                        public int write(byte[] bytes, int count) {
                            // Full, it takes a block when one has been played.
                            time.addAndGet((long) (512 / 48000.0 * 1e9) + stall.getAndSet(0));
                            writes.incrementAndGet();
                            return count;
                        }

                        @Override
                        public void close() {
                            // Nothing is held.
                        }
                    };
                };
        try (AudioOutput output = new AudioOutput(engine, busy, virtual, 2048)) {
            output.start();
            for (int i = 1; i <= 3; i++) {
                long seen = writes.get();
                await(() -> writes.get() > seen + 20);
                assertThat(opened).containsExactly(2048);
                stall.set(200_000_000);
                int times = i;
                await(() -> output.underruns() == times);
            }
            await(() -> opened.size() == 2);
            assertThat(opened).containsExactly(2048, 4096);
            assertThat(output.muted()).isFalse();
            assertThat(output.bufferFrames()).isEqualTo(2048);
            assertThat(output.heldFrames()).isEqualTo(4096);
            engine.stop();
            await(() -> opened.size() == 3);
            assertThat(opened).containsExactly(2048, 4096, 2048);
            assertThat(output.heldFrames()).isEqualTo(2048);
        }
    }

    /** Another device or buffer takes over muted; what plays goes on, and sounds when asked to. */
    @Test
    void anotherDeviceTakesOverMuted() {
        Engine engine = looping();
        Keeping first = new Keeping();
        Keeping second = new Keeping();
        try (AudioOutput output = new AudioOutput(engine, first, Clock.system(), 2048)) {
            output.start();
            await(() -> first.loudest > 0.01);
            assertThat(output.muted()).isFalse();
            double before = output.latencySeconds();
            output.use(second, 4096);
            await(() -> second.frames > 4096);
            assertThat(output.muted()).isTrue();
            assertThat(second.loudest).isZero();
            assertThat(output.bufferFrames()).isEqualTo(4096);
            assertThat(output.latencySeconds() - before)
                    .isCloseTo(2048 / 48000.0, org.assertj.core.api.Assertions.within(1e-9));
            output.mute(false);
            await(() -> second.loudest > 0.01);
            assertThat(engine.telemetry().latest().playing()).isTrue();
        }
    }

    /** A device that only looks at what it is given, at the pace of a real one. */
    private static final class Keeping implements OutputLine.Opener {
        volatile double loudest;
        volatile long frames;

        @Override
        public OutputLine open(double sampleRate, int bufferFrames) {
            return new OutputLine() {
                @Override
                public int write(byte[] bytes, int count) {
                    double most = loudest;
                    for (int i = 0; i < count; i += 2) {
                        int v = (short) ((bytes[i] & 255) | bytes[i + 1] << 8);
                        most = Math.max(most, Math.abs(v) / 32768.0);
                    }
                    loudest = most;
                    frames += count / 4;
                    Clock.system().sleep(count / 4 * 1_000_000_000L / 48000);
                    return count;
                }

                @Override
                public void close() {}
            };
        }
    }

    @Test
    void aDeviceThatIsNotThereIsToldInWords() {
        assertThat(Devices.names().get(0)).isEqualTo(Devices.DEFAULT);
        org.assertj.core.api.Assertions.assertThatThrownBy(
                        () -> Devices.opener("no such device").open(48000, 2048))
                .isInstanceOf(OutputLine.NoDevice.class)
                .hasMessageContaining("no sound device");
    }

    /**
     * A device that stops taking anything is left behind; the stand-in plays on, and it is tried
     * again. The thread stuck in it never renders again.
     */
    @Test
    void aFrozenDeviceIsNoticedAndLeftBehind() {
        Engine engine = looping();
        AtomicInteger opened = new AtomicInteger();
        AtomicInteger closed = new AtomicInteger();
        CountDownLatch thaw = new CountDownLatch(1);
        OutputLine.Opener freezing =
                (rate, frames) -> {
                    int attempt = opened.incrementAndGet();
                    return new OutputLine() {
                        private int writes;

                        @Override
                        public int write(byte[] bytes, int count) {
                            if (attempt == 1 && ++writes > 20) {
                                try {
                                    thaw.await();
                                } catch (InterruptedException e) {
                                    throw new IllegalStateException(e);
                                }
                            }
                            Clock.system().sleep(count / 4 * 1_000_000_000L / 48000);
                            return count;
                        }

                        @Override
                        public void close() {
                            closed.incrementAndGet();
                        }
                    };
                };
        try (AudioOutput output = new AudioOutput(engine, freezing, Clock.system(), 2048)) {
            output.start();
            await(() -> output.sink() == AudioOutput.Sink.FROZEN);
            long frames = engine.telemetry().latest().frames();
            await(() -> engine.telemetry().latest().frames() > frames + 24_000);
            assertThat(closed.get()).isEqualTo(1);
            await(() -> output.sink() == AudioOutput.Sink.DEVICE);
            assertThat(opened.get()).isEqualTo(2);
            assertThat(output.muted()).isTrue();
            thaw.countDown();
            long then = engine.telemetry().latest().frames();
            await(() -> engine.telemetry().latest().frames() > then + 24_000);
            assertThat(engine.telemetry().latest().playing()).isTrue();
        }
    }

    /** A sound server that does not even open: the stand-in plays meanwhile. */
    @Test
    void aDeviceThatDoesNotOpenHoldsNothingUp() {
        Engine engine = looping();
        CountDownLatch answer = new CountDownLatch(1);
        Keeping keeping = new Keeping();
        OutputLine.Opener slow =
                (rate, frames) -> {
                    try {
                        answer.await();
                    } catch (InterruptedException e) {
                        throw new OutputLine.NoDevice("interrupted", e);
                    }
                    return keeping.open(rate, frames);
                };
        try (AudioOutput output = new AudioOutput(engine, slow, Clock.system(), 2048)) {
            output.start();
            await(() -> output.sink() == AudioOutput.Sink.FROZEN);
            await(() -> engine.telemetry().latest().peak() > 0.01);
            answer.countDown();
            await(() -> keeping.frames > 4096);
            assertThat(output.sink()).isEqualTo(AudioOutput.Sink.DEVICE);
        }
    }

    /** What the engine throws is told, silence takes its place, and the thread goes on. */
    @Test
    void anExceptionWhileRenderingIsToldAndSurvived() {
        Engine engine = looping();
        AtomicInteger blocks = new AtomicInteger();
        Source breaking =
                new Source() {
                    @Override
                    public void render(float[] out, int count) {
                        if (blocks.incrementAndGet() == 30) {
                            throw new IllegalStateException("a wrong event");
                        }
                        engine.render(out, count);
                    }

                    @Override
                    public void panic() {
                        engine.panic();
                    }

                    @Override
                    public double sampleRate() {
                        return engine.sampleRate();
                    }
                };
        List<Throwable> told = new CopyOnWriteArrayList<>();
        Keeping keeping = new Keeping();
        try (AudioOutput output =
                new AudioOutput(breaking, keeping, Clock.system(), 2048, told::add)) {
            output.start();
            await(() -> !told.isEmpty());
            assertThat(told.get(0)).hasMessage("a wrong event");
            await(() -> !engine.telemetry().latest().playing());
            engine.play(0);
            await(() -> engine.telemetry().latest().playing());
            await(() -> blocks.get() > 60);
            assertThat(output.failures()).isEqualTo(1);
            assertThat(output.sink()).isEqualTo(AudioOutput.Sink.DEVICE);
        }
    }

    private static void await(BooleanSupplier condition) {
        long end = System.nanoTime() + 180_000_000_000L;
        while (!condition.getAsBoolean()) {
            assertThat(System.nanoTime()).as("waited too long").isLessThan(end);
            try {
                TimeUnit.MILLISECONDS.sleep(10);
            } catch (InterruptedException e) {
                throw new AssertionError(e);
            }
        }
    }
}
