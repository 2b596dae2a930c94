package vocalis.sound.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.sun.management.ThreadMXBean;
import java.lang.management.ManagementFactory;
import java.util.List;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Isolated;
import vocalis.sound.Measure;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.band.Piece;
import vocalis.sound.strings.Damping;

@Isolated("counts bytes")
class EngineTest {

    private static final int RATE = (int) Measure.RATE;
    private static final long QUARTER = 20160;
    private static final int[] A5 = {5, 7, 7, -1, -1, -1};
    private static final int[] FOURTH = {-1, 7, 7, -1, -1, -1};
    private static final int[] OCTAVE = {5, -1, 7, -1, -1, -1};

    /** A bar of eighths on one shape; strings outside it are damped. */
    private static Program eighths(int[] frets) {
        ProgramBuilder b = new ProgramBuilder(4 * QUARTER, QUARTER, 6);
        for (int i = 0; i < 8; i++) {
            b.add(i * QUARTER / 2, frets, i % 2 == 0 ? 0.9 : 0.7, i % 4 == 3, true);
        }
        return b.build();
    }

    @Test
    void strokesFallOnTheirFrame() {
        Engine engine = Measure.engine(AmpSettings.CLEAN);
        int[] low = {0, -1, -1, -1, -1, -1};
        engine.publish(
                new ProgramBuilder(4 * QUARTER, QUARTER, 6)
                        .add(QUARTER, low, 1, false, true)
                        .build());
        engine.play(0);
        double[] x = Measure.left(engine, 1);
        int first = 0;
        while (first < x.length && Math.abs(x[first]) < 1e-5) {
            first++;
        }
        // A quarter at 120 is half a second; the limiter looks ahead 2 ms, the filters add a few
        // frames.
        assertThat(first).isBetween(24000, 24000 + 250);
    }

    @Test
    void theLoopComesRoundWithoutDrift() {
        Engine engine = Measure.engine(AmpSettings.CLEAN);
        engine.publish(eighths(A5));
        engine.play(0);
        float[] out = new float[2 * 960];
        for (int i = 0; i < 50 * 60; i++) {
            engine.render(out, 960);
        }
        // 60 s at 120 are exactly 30 bars of 4/4: back at the start, to a fraction of a tick.
        double tick = engine.telemetry().latest().tick();
        double off = Math.min(tick, 4 * QUARTER - tick);
        assertThat(off).isLessThan(QUARTER / 1000.0);
    }

    /**
     * A stroke on the one is struck in every pass, whatever part of a frame the loop's end falls
     * on: at seventy tempos, six passes each.
     */
    @Test
    void theOneIsStruckInEveryPass() {
        ProgramBuilder b = new ProgramBuilder(QUARTER, QUARTER, 6);
        b.add(0, A5, 0.7, false, true);
        int[] damp = new int[6];
        java.util.Arrays.fill(damp, Program.DAMP);
        b.add(QUARTER / 2, damp, 0, false, true);
        Program one = b.build();
        for (int tempo = 61; tempo < 201; tempo += Boolean.getBoolean("vocalis.long") ? 2 : 7) {
            Engine engine = Measure.engine(AmpSettings.CLEAN);
            engine.publish(new Settings(Measure.bank(), AmpSettings.CLEAN, tempo, 1));
            engine.publish(one);
            engine.play(0);
            double[] x = Measure.left(engine, 6 * 60.0 / tempo);
            for (int pass = 0; pass < 6; pass++) {
                int at = (int) (pass * 60.0 / tempo * RATE);
                double loud = Measure.rms(x, at + RATE / 100, at + RATE / 20);
                assertThat(loud).as("tempo %d, pass %d", tempo, pass + 1).isGreaterThan(0.02);
            }
        }
    }

    @Test
    void theTempoChangesWhileItPlays() {
        Engine engine = Measure.engine(AmpSettings.CLEAN);
        engine.publish(eighths(A5));
        engine.play(0);
        Measure.left(engine, 0.5);
        double before = engine.telemetry().latest().tick();
        engine.publish(new Settings(Measure.bank(), AmpSettings.CLEAN, 240, 1));
        Measure.left(engine, 0.25);
        double after = engine.telemetry().latest().tick();
        assertThat(before).isCloseTo(QUARTER, within(QUARTER / 100.0));
        assertThat(after - before).isCloseTo(QUARTER, within(QUARTER / 100.0));
    }

    /** Families are switched all the way through; no step is bigger than each of them makes. */
    @Test
    void switchingWhilePlayingMakesNoClickAndNoGap() {
        for (AmpSettings amp : new AmpSettings[] {AmpSettings.CLEAN, AmpSettings.GAIN}) {
            double attack = biggestStep(Measure.single(amp, 0, 5, 1));
            double[] unswitched = strummed(amp);
            double alone = Math.max(attack, biggestStep(unswitched));
            for (int[] shape : new int[][] {FOURTH, OCTAVE}) {
                alone = Math.max(alone, biggestStep(strummed(amp, shape)));
            }
            double quietestAlone = 1;
            int window = (int) (0.137 * RATE);
            for (double[] x : List.of(unswitched, strummed(amp, FOURTH), strummed(amp, OCTAVE))) {
                for (int from = RATE / 2; from + window < x.length; from += window) {
                    quietestAlone = Math.min(quietestAlone, Measure.rms(x, from, from + window));
                }
            }
            Engine engine = Measure.engine(amp);
            Program[] families = {eighths(A5), eighths(FOURTH), eighths(OCTAVE)};
            engine.publish(families[0]);
            engine.play(0);
            double biggest = 0;
            double quietest = 1;
            double last = 0;
            for (int i = 0; i < 60; i++) {
                engine.publish(families[i % 3]);
                double[] x = Measure.left(engine, 0.137);
                biggest = Math.max(biggest, Math.max(biggestStep(x), Math.abs(x[0] - last)));
                last = x[x.length - 1];
                if (i > 3) {
                    quietest = Math.min(quietest, Measure.rms(x, 0, x.length));
                }
            }
            assertThat(biggest).as(amp.name()).isLessThanOrEqualTo(1.15 * alone);
            assertThat(quietest).as(amp.name()).isGreaterThan(0.3 * quietestAlone);
        }
    }

    private static double[] strummed(AmpSettings amp) {
        return strummed(amp, A5);
    }

    private static double[] strummed(AmpSettings amp, int[] shape) {
        Engine engine = Measure.engine(amp);
        engine.publish(eighths(shape));
        engine.play(0);
        return Measure.left(engine, 4);
    }

    private static double biggestStep(double[] x) {
        double step = 0;
        for (int i = 1; i < x.length; i++) {
            step = Math.max(step, Math.abs(x[i] - x[i - 1]));
        }
        return step;
    }

    @Test
    void aNewProgramIsHeardFromTheNextStroke() {
        Engine engine = Measure.engine(AmpSettings.CLEAN);
        engine.publish(eighths(new int[] {5, -1, -1, -1, -1, -1}));
        engine.play(0);
        Measure.left(engine, 0.9);
        engine.publish(eighths(new int[] {-1, -1, -1, 9, -1, -1}));
        double[] x = Measure.left(engine, 0.9);
        // Until 1.0 s the old A2 (110 Hz), from then on E4 (329.6 Hz) alone.
        int from = (int) (0.35 * RATE);
        assertThat(Measure.levelDb(x, from, 16384, 329.63))
                .isGreaterThan(Measure.levelDb(x, from, 16384, 110) + 20);
        assertThat(Measure.levelDb(x, 0, 4096, 110))
                .isGreaterThan(Measure.levelDb(x, 0, 4096, 329.63));
    }

    @Test
    void oneVoicingIsHeardOverTheLoopUntilItIsReleased() {
        Engine engine = Measure.engine(AmpSettings.CLEAN);
        engine.publish(eighths(new int[] {5, -1, -1, -1, -1, -1}));
        engine.play(0);
        Measure.left(engine, 0.3);
        engine.hear(new int[] {-1, -1, -1, -1, -1, 13});
        double[] held = Measure.left(engine, 0.8);
        assertThat(engine.telemetry().latest().audition()).isTrue();
        assertThat(Measure.levelDb(held, 9600, 16384, Measure.hz(77)))
                .isGreaterThan(Measure.levelDb(held, 9600, 16384, 110));
        engine.release();
        double[] after = Measure.left(engine, 1);
        assertThat(engine.telemetry().latest().audition()).isFalse();
        assertThat(Measure.levelDb(after, 24000, 16384, Measure.hz(77))).isLessThan(-58);
        assertThat(Measure.rms(after, 24000, 40000)).isGreaterThan(0.01);
    }

    @Test
    void stopDampsAndPanicSilencesAtOnce() {
        Engine engine = Measure.engine(AmpSettings.GAIN);
        engine.publish(eighths(A5));
        engine.play(0);
        Measure.left(engine, 0.4);
        engine.stop();
        double[] tail = Measure.left(engine, 2);
        assertThat(Measure.peak(tail, RATE, 2 * RATE)).isLessThan(1e-3);
        engine.play(0);
        Measure.left(engine, 0.4);
        assertThat(engine.hear(A5)).isTrue();
        Measure.left(engine, 0.2);
        engine.panic();
        double[] after = Measure.left(engine, 0.3);
        assertThat(engine.telemetry().latest().playing()).isFalse();
        assertThat(engine.telemetry().latest().audition()).isFalse();
        // The strings stop at once; what the cabinet and the limiter still hold is over in 50 ms.
        assertThat(Measure.peak(after, RATE / 20, after.length)).isLessThan(1e-3);
    }

    /**
     * 20,000 warmed blocks allocate nothing on the thread that renders them, while another thread
     * publishes programs with tones and tempos, turns the amplifier, and holds and releases
     * voicings.
     */
    @Test
    @Tag("counted")
    void warmedBlocksAllocateNothing() throws InterruptedException {
        Engine engine = Measure.engine(AmpSettings.GAIN);
        Program[] families = {eighths(A5), eighths(FOURTH), toned()};
        engine.publish(families[0]);
        engine.play(0);
        AtomicLong block = new AtomicLong();
        AtomicLong allocated = new AtomicLong(-1);
        AtomicLong auditions = new AtomicLong();
        Thread renderer =
                new Thread(
                        () -> {
                            float[] out = new float[2 * Engine.BLOCK];
                            ThreadMXBean threads =
                                    (ThreadMXBean) ManagementFactory.getThreadMXBean();
                            long id = Thread.currentThread().getId();
                            long before = 0;
                            for (int i = 0; i < 40_000; i++) {
                                if (i == 20_000) {
                                    threads.getThreadAllocatedBytes(id);
                                    before = threads.getThreadAllocatedBytes(id);
                                }
                                engine.render(out, Engine.BLOCK);
                                block.set(i);
                            }
                            allocated.set(threads.getThreadAllocatedBytes(id) - before);
                        });
        renderer.start();
        long done = 0;
        while (renderer.isAlive()) {
            long now = block.get();
            if (now - done < 150) {
                Thread.onSpinWait();
                continue;
            }
            done = now;
            long turn = now / 150;
            engine.publish(families[(int) (turn % 3)]);
            int step = (int) (turn % 5) - 2;
            AmpSettings amp = AmpSettings.GAIN.turned(new int[] {step, 0, 0, 0, 0, 0});
            engine.publish(new Settings(Measure.bank(), amp, 100 + step, 1));
            if (turn % 2 == 0) {
                engine.hear(OCTAVE);
            } else {
                auditions.addAndGet(engine.telemetry().latest().audition() ? 1 : 0);
                engine.release();
            }
        }
        renderer.join();
        System.out.println("bytes allocated by 20,000 warmed blocks: " + allocated.get());
        assertThat(auditions.get()).isGreaterThan(20);
        assertThat(allocated.get()).isZero();
    }

    /** Eighths with another tone and tempo in the second half. */
    private static Program toned() {
        ProgramBuilder b = new ProgramBuilder(4 * QUARTER, QUARTER, 6);
        for (int i = 0; i < 8; i++) {
            b.add(i * QUARTER / 2, A5, 0.8, false, true);
        }
        b.tone(0, 2 * QUARTER, AmpSettings.CLEAN).tempo(0, 120).tempo(2 * QUARTER, 180);
        return b.section(2 * QUARTER, 1).build();
    }

    /** A program's own tempo, tone and section hold from their tick on, and after a seek. */
    @Test
    void temposTonesAndSectionsAreEvents() {
        Engine engine = Measure.engine(AmpSettings.GAIN);
        engine.publish(toned());
        engine.play(0);
        double[] gain = Measure.left(engine, 1);
        assertThat(engine.telemetry().latest().tick()).isCloseTo(2 * QUARTER, within(60.0));
        assertThat(engine.telemetry().latest().section()).isZero();
        Measure.left(engine, 0.1);
        assertThat(engine.telemetry().latest().section()).isEqualTo(1);
        double[] clean = Measure.left(engine, 0.4);
        assertThat(crest(clean)).isGreaterThan(1.05 * crest(gain));
        // Two quarters at 180 last two thirds of a second; then round to the start at 120.
        Measure.left(engine, 2 / 3.0 - 0.5);
        double tick = engine.telemetry().latest().tick();
        assertThat(Math.min(tick, 4 * QUARTER - tick)).isLessThan(120);
        engine.play(3 * QUARTER);
        Measure.left(engine, 0.1);
        assertThat(engine.telemetry().latest().section()).isEqualTo(1);
        assertThat(engine.telemetry().latest().tick())
                .isCloseTo(3 * QUARTER + 0.3 * QUARTER, within(200.0));
    }

    /** What lies before the point that the loop comes back to is played once. */
    @Test
    void theLoopComesBackToWhereItIsTold() {
        Engine engine = Measure.engine(AmpSettings.CLEAN);
        ProgramBuilder b = new ProgramBuilder(4 * QUARTER, QUARTER, 6);
        engine.publish(b.add(0, A5, 0.8, false, true).loopFrom(QUARTER).build());
        engine.play(0);
        Measure.left(engine, 2.25);
        assertThat(engine.telemetry().latest().tick()).isCloseTo(1.5 * QUARTER, within(120.0));
        assertThatThrownBy(() -> b.loopFrom(4 * QUARTER)).hasMessageContaining("come back");
    }

    @Test
    void anotherToneFadesIn() {
        Engine engine = Measure.engine(AmpSettings.CLEAN);
        engine.publish(eighths(A5));
        engine.play(0);
        double[] clean = Measure.left(engine, 2);
        engine.publish(new Settings(Measure.bank(), AmpSettings.GAIN, 120, 1));
        Measure.left(engine, 0.1);
        double[] gain = Measure.left(engine, 1.9);
        // What gain does before all: the loud gets no louder, the quiet does.
        assertThat(crest(gain)).isLessThan(0.96 * crest(clean));
        double bothSteps = Math.max(biggestStep(clean), biggestStep(gain));
        assertThat(bothSteps).isLessThan(0.6);
    }

    private static double crest(double[] x) {
        return Measure.peak(x, 4800, x.length) / Measure.rms(x, 4800, x.length);
    }

    /** Levels, places and tones turned while the loop plays: no step beyond a plucked attack's. */
    @Test
    void turningAnythingWhilePlayingMakesNoClick() {
        Engine engine = Measure.engine(AmpSettings.EDGE);
        engine.publish(eighths(A5));
        engine.play(0);
        double attack = biggestStep(Measure.left(engine, 4));
        double biggest = 0;
        double last = Double.NaN;
        for (int i = 0; i < 60; i++) {
            AmpSettings amp =
                    AmpSettings.EDGE.turned(new int[] {i % 3, 0, -(i % 4), 0, 0, -(i % 2)});
            Rig rig = new Rig(Measure.bank(), amp, i % 2 == 0 ? 0 : -0.7, 0.5 + 0.1 * (i % 5));
            engine.publish(
                    new Settings(rig, rig, 120, 0.1 * (i % 7), 0, 0, 0, i % 3 == 0 ? 0.9 : 0.5));
            double[] x = Measure.left(engine, 0.113);
            biggest = Math.max(biggest, biggestStep(x));
            biggest = Double.isNaN(last) ? biggest : Math.max(biggest, Math.abs(x[0] - last));
            last = x[x.length - 1];
        }
        assertThat(biggest).isLessThanOrEqualTo(1.15 * attack);
    }

    /** Two parts on two sides, bass, kit and gestures together: nothing is allocated either. */
    @Test
    @Tag("counted")
    void theWholeBandAllocatesNothing() {
        ProgramBuilder b = new ProgramBuilder(4 * QUARTER, QUARTER, 6);
        for (int i = 0; i < 8; i++) {
            long at = i * QUARTER / 2;
            b.strike(0, at, new int[] {5, 7, 7, -3, -1, -1}, 0.9, Damping.OPEN, true);
            b.strike(1, at, new int[] {-1, -1, 7, -1, 8, -1}, 0.7, Damping.LIGHT, false);
            b.gesture(0, at + 3000, 1, Program.Gesture.HAMMER, 9, 0);
            b.gesture(0, at + 5000, 2, Program.Gesture.BEND, 100, 2000);
            b.gesture(1, at + 3000, 2, Program.Gesture.SLIDE, 9, 3000);
            b.gesture(1, at + 6500, 4, Program.Gesture.VIBRATO, 40, 0);
            b.bass(at, 33, 0.8).hit(at, Piece.KICK, 1).hit(at, Piece.HAT, 0.5);
            b.hit(at, Piece.CLICK, 0.5);
        }
        Engine engine = Measure.engine(AmpSettings.GAIN);
        engine.publish(b.build());
        engine.play(0);
        float[] out = new float[2 * Engine.BLOCK];
        for (int i = 0; i < 6000; i++) {
            engine.render(out, Engine.BLOCK);
        }
        ThreadMXBean threads = (ThreadMXBean) ManagementFactory.getThreadMXBean();
        long id = Thread.currentThread().getId();
        threads.getThreadAllocatedBytes(id);
        long before = threads.getThreadAllocatedBytes(id);
        for (int i = 0; i < 4000; i++) {
            engine.render(out, Engine.BLOCK);
        }
        assertThat(threads.getThreadAllocatedBytes(id) - before).isZero();
    }

    /** A full ring refuses what begins; what ends needs no room, so nothing is left ducked. */
    @Test
    void commandsAreRefusedWhenTooManyWaitAndEndingsNever() {
        Engine engine = Measure.engine(AmpSettings.CLEAN);
        engine.publish(eighths(A5));
        int accepted = 0;
        while (engine.play(0)) {
            accepted++;
        }
        assertThat(accepted).isEqualTo(256);
        assertThat(engine.hear(A5)).isFalse();
        engine.render(new float[256], 128);
        assertThat(engine.hear(OCTAVE)).isTrue();
        Measure.left(engine, 0.1);
        assertThat(engine.telemetry().latest().audition()).isTrue();
        while (engine.play(0)) {
            accepted++;
        }
        engine.release();
        engine.stop();
        Measure.left(engine, 0.1);
        assertThat(engine.telemetry().latest().audition()).isFalse();
        assertThat(engine.telemetry().latest().playing()).isFalse();
        assertThatThrownBy(() -> Sample.of(new int[10])).hasMessageContaining("10");
    }

    /**
     * Amplifiers published one after another while one is fading in: the newest is the one heard.
     */
    @Test
    void theNewestAmplifierIsHeardInTheEnd() {
        Engine engine = Measure.engine(AmpSettings.GAIN);
        engine.publish(eighths(A5));
        engine.play(0);
        Measure.left(engine, 0.5);
        for (AmpSettings amp :
                new AmpSettings[] {AmpSettings.EDGE, AmpSettings.GAIN, AmpSettings.CLEAN}) {
            engine.publish(new Settings(Measure.bank(), amp, 120, 1));
            Measure.left(engine, 0.003);
        }
        Measure.left(engine, 0.2);
        double[] now = Measure.left(engine, 2);
        assertThat(crest(now)).isCloseTo(crest(strummed(AmpSettings.CLEAN)), within(0.8));
    }
}
