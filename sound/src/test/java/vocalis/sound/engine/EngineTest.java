package vocalis.sound.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import com.sun.management.ThreadMXBean;
import java.lang.management.ManagementFactory;
import org.junit.jupiter.api.Test;
import vocalis.sound.Measure;
import vocalis.sound.dsp.AmpSettings;
import vocalis.sound.dsp.Damping;
import vocalis.sound.dsp.Piece;

class EngineTest {

    private static final int RATE = (int) Measure.RATE;
    private static final long QUARTER = 20160;
    private static final int[] A5 = {5, 7, 7, -1, -1, -1};
    private static final int[] FOURTH = {-1, 7, 7, -1, -1, -1};
    private static final int[] OCTAVE = {5, -1, 7, -1, -1, -1};

    /** A bar of eighths on one shape; strings outside it are damped. */
    private static Program eighths(int[] frets) {
        Program.Builder b = new Program.Builder(4 * QUARTER, QUARTER, 6);
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
                new Program.Builder(4 * QUARTER, QUARTER, 6)
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

    /** Families are switched all the way through; no step is bigger than a plucked attack's. */
    @Test
    void switchingWhilePlayingMakesNoClickAndNoGap() {
        for (AmpSettings amp : new AmpSettings[] {AmpSettings.CLEAN, AmpSettings.GAIN}) {
            double attack = biggestStep(Measure.single(amp, 0, 5, 1));
            double[] unswitched = strummed(amp);
            double chordAttack = Math.max(attack, biggestStep(unswitched));
            double quietestAlone = 1;
            int window = (int) (0.137 * RATE);
            for (int from = RATE / 2; from + window < unswitched.length; from += window) {
                quietestAlone =
                        Math.min(quietestAlone, Measure.rms(unswitched, from, from + window));
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
            assertThat(biggest).as(amp.name()).isLessThanOrEqualTo(1.15 * chordAttack);
            assertThat(quietest).as(amp.name()).isGreaterThan(0.3 * quietestAlone);
        }
    }

    private static double[] strummed(AmpSettings amp) {
        Engine engine = Measure.engine(amp);
        engine.publish(eighths(A5));
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
        assertThat(Measure.levelDb(after, 24000, 16384, Measure.hz(77))).isLessThan(-65);
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
        engine.panic();
        Measure.left(engine, 0.1);
        assertThat(engine.telemetry().latest().playing()).isFalse();
    }

    /**
     * The gate of STYLE: 20,000 warmed blocks with switches, tones and auditions allocate nothing.
     */
    @Test
    void warmedBlocksAllocateNothing() {
        Engine engine = Measure.engine(AmpSettings.GAIN);
        Program[] families = {eighths(A5), eighths(FOURTH)};
        engine.publish(families[0]);
        engine.play(0);
        float[] out = new float[2 * Engine.BLOCK];
        ThreadMXBean threads = (ThreadMXBean) ManagementFactory.getThreadMXBean();
        long id = Thread.currentThread().getId();
        for (int i = 0; i < 20_000; i++) {
            engine.render(out, Engine.BLOCK);
        }
        threads.getThreadAllocatedBytes(id);
        long before = threads.getThreadAllocatedBytes(id);
        for (int i = 0; i < 20_000; i++) {
            engine.publish(families[(i / 500) % 2]);
            if (i % 2000 == 999) {
                engine.release();
            }
            engine.render(out, Engine.BLOCK);
        }
        long allocated = threads.getThreadAllocatedBytes(id) - before;
        System.out.println("bytes allocated by 20,000 warmed blocks: " + allocated);
        assertThat(allocated).isZero();
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
        assertThat(crest(gain)).isLessThan(0.75 * crest(clean));
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
    void theWholeBandAllocatesNothing() {
        Program.Builder b = new Program.Builder(4 * QUARTER, QUARTER, 6);
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

    @Test
    void commandsAreRefusedWhenTooManyWait() {
        Engine engine = Measure.engine(AmpSettings.CLEAN);
        int accepted = 0;
        while (engine.play(0)) {
            accepted++;
        }
        assertThat(accepted).isEqualTo(256);
        engine.render(new float[256], 128);
        assertThat(engine.stop()).isTrue();
        assertThatThrownBy(() -> Sample.of(new int[10])).hasMessageContaining("10");
    }
}
