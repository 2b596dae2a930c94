package vocalis.sound.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import vocalis.sound.Measure;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.band.Bass;
import vocalis.sound.band.Kit;
import vocalis.sound.band.Piece;
import vocalis.sound.guitar.Guitar;
import vocalis.sound.guitar.Pickup;
import vocalis.sound.strings.Damping;

/** Bass, kit, click and the second guitar; programs and what they refuse. */
class BandEngineTest {

    private static final int RATE = (int) Measure.RATE;
    private static final long QUARTER = 20160;

    /** Note frequencies after ISO 16, whatever the tuning standard. */
    @Test
    void theBassIsInTune() {
        for (double cents : new double[] {0, -15, 20}) {
            for (int midi : new int[] {28, 33, 36, 39, 43, 50}) {
                Bass bass = new Bass(RATE, 1);
                bass.pluck(midi, 0.9, cents, midi % 2 == 1);
                double[] x = rendered(bass, 2 * RATE);
                double wanted = Measure.hz(midi) * Math.pow(2, cents / 1200);
                double got = Measure.steadyFrequency(x, 4800, 16384, wanted, 120);
                assertThat(Math.abs(Measure.cents(wanted, got))).as("MIDI %d", midi).isLessThan(2);
            }
        }
    }

    @Test
    void aNoteOutsideTheBassIsPlayedInAnotherOctave() {
        Bass bass = new Bass(RATE, 1);
        bass.pluck(16, 0.9, 0, false);
        double[] x = rendered(bass, RATE);
        assertThat(Measure.levelDb(x, 4800, 16384, Measure.hz(28))).isGreaterThan(-40);
        bass.damp();
        rendered(bass, 2 * RATE);
        assertThat(bass.active()).isFalse();
    }

    /**
     * A pick is heard by its edge, not by its weight: brighter as it strikes and after, as loud as
     * fingers (common practice, no source).
     */
    @Test
    void aPickOnTheBassIsBrighterAndAsLoud() {
        for (int midi : new int[] {28, 33, 36, 40, 45}) {
            double[][] hands = new double[2][];
            for (int h = 0; h < 2; h++) {
                Bass bass = new Bass(RATE, 5);
                bass.pluck(midi, 0.8, 0, h == 1);
                hands[h] = rendered(bass, 2 * RATE);
            }
            double early = over(hands[1], 0, 2048, 2000) - over(hands[0], 0, 2048, 2000);
            double later = over(hands[1], 9600, 16384, 2000) - over(hands[0], 9600, 16384, 2000);
            double louder = over(hands[1], 2400, 32768, 20) - over(hands[0], 2400, 32768, 20);
            System.out.printf(
                    "bass %d with a pick: over 2 kHz %+.1f and %+.1f dB, in all %+.1f dB%n",
                    midi, early, later, louder);
            assertThat(early).isGreaterThan(6);
            assertThat(later).isGreaterThan(2);
            assertThat(Math.abs(louder)).isLessThan(1.5);
        }
    }

    /** Power in dB over a frequency. */
    private static double over(double[] x, int from, int size, double hz) {
        double[] s = Measure.spectrum(x, from, size);
        double sum = 1e-20;
        for (int k = (int) (hz * size / RATE); k < s.length; k++) {
            sum += s[k] * s[k];
        }
        return 10 * Math.log10(sum);
    }

    private static double[] rendered(Bass bass, int frames) {
        double[] x = new double[frames];
        double[] block = new double[Bass.MOST];
        for (int at = 0; at < frames; at += block.length) {
            int n = Math.min(block.length, frames - at);
            bass.render(block, n);
            System.arraycopy(block, 0, x, at, n);
        }
        return x;
    }

    @Test
    void everyPieceOfTheKitSoundsAndEnds() {
        for (Piece p : Piece.values()) {
            Kit kit = new Kit(RATE);
            assertThat(kit.active()).isFalse();
            kit.strike(p.ordinal(), 1);
            double peak = 0;
            for (int i = 0; i < 3 * RATE; i++) {
                double y = p == Piece.CLICK || p == Piece.CLICK_ONE ? kit.nextClick() : kit.next();
                peak = Math.max(peak, Math.abs(y));
            }
            assertThat(peak).as(p.name()).isBetween(0.05, 1.6);
            if (p != Piece.CLICK && p != Piece.CLICK_ONE) {
                for (int i = 0; i < 3 * RATE; i++) {
                    kit.nextClick();
                }
            }
            assertThat(kit.active()).as(p.name()).isFalse();
        }
    }

    /** The one of the click lies a fifth above its other beats: 1500 against 1000 Hz. */
    @Test
    void theOneOfTheClickIsDifferent() {
        Engine engine = Measure.engine(AmpSettings.CLEAN);
        engine.publish(
                new ProgramBuilder(4 * QUARTER, QUARTER, 6)
                        .hit(0, Piece.CLICK_ONE, 1)
                        .hit(2 * QUARTER, Piece.CLICK, 1)
                        .build());
        engine.play(0);
        double[] x = Measure.left(engine, 2);
        assertThat(strongest(x, 300)).isCloseTo(1500, within(60.0));
        assertThat(strongest(x, RATE + 300)).isCloseTo(1000, within(60.0));
    }

    private static double strongest(double[] x, int from) {
        double[] s = Measure.spectrum(x, from, 1024);
        int best = 1;
        for (int k = 2; k < s.length; k++) {
            best = s[k] > s[best] ? k : best;
        }
        return best * Measure.RATE / 1024;
    }

    @Test
    void theSecondGuitarStandsWhereItIsPut() {
        Rig left = new Rig(Measure.bank(), AmpSettings.CLEAN, -1, 1);
        Rig right = new Rig(Measure.bank(), AmpSettings.CLEAN, 1, 1);
        Engine engine = new Engine(RATE, new Settings(left, right, 120, 0, 0, 0, 0, 1), 3);
        engine.publish(
                new ProgramBuilder(4 * QUARTER, QUARTER, 6)
                        .strike(1, 0, new int[] {5, -1, -1, -1, -1, -1}, 0.9, Damping.OPEN, true)
                        .build());
        engine.play(0);
        float[] x = new float[2 * RATE];
        engine.render(x, RATE);
        double l = 0;
        double r = 0;
        for (int i = 0; i < RATE; i++) {
            l += Math.abs(x[2 * i]);
            r += Math.abs(x[2 * i + 1]);
        }
        assertThat(r).isGreaterThan(100 * l);
        assertThat(r).isPositive();
    }

    /** Without a frame of its own a power chord sounds over the loop, which is not ducked. */
    @Test
    void aPowerChordUnderTheLoopDoesNotDuckIt() {
        Engine engine = Measure.engine(AmpSettings.CLEAN);
        int[] silent = {-1, -1, -1, -1, -1, -1};
        engine.hear(new Sample(silent, new double[0], 1, new int[] {5, 7, 7, -1, -1, -1}));
        double[] x = Measure.left(engine, 0.6);
        assertThat(engine.telemetry().latest().audition()).isFalse();
        assertThat(Measure.levelDb(x, 4800, 16384, 110)).isGreaterThan(-50);
        engine.hear(new Sample(new int[] {5, -1, -1, -1, -1, -1}, new double[0], 1, new int[0]));
        Measure.left(engine, 0.1);
        assertThat(engine.telemetry().latest().audition()).isTrue();
    }

    @Test
    void aVoicingIsDrawnOutOfTuneString() {
        Engine engine = Measure.engine(AmpSettings.CLEAN);
        int[] frets = {-1, -1, -1, 6, -1, -1};
        double[] cents = {0, 0, 0, -13.7, 0, 0};
        engine.hear(new Sample(frets, cents, 1, new int[0]));
        double[] x = Measure.left(engine, 2.2);
        double wanted = Measure.hz(61) * Math.pow(2, -13.7 / 1200);
        double got = Measure.steadyFrequency(x, 4800, 16384, wanted, 150);
        assertThat(Math.abs(Measure.cents(wanted, got))).isLessThan(1);
    }

    @Test
    void eventsAreSortedAndThoseOfOneTickKeepTheirOrder() {
        Program p =
                new ProgramBuilder(100, 10, 6)
                        .hit(50, Piece.HAT, 1)
                        .bass(0, 40, 1)
                        .gesture(0, 50, 2, Program.Gesture.BEND, 100, 5)
                        .hit(0, Piece.KICK, 1)
                        .build();
        assertThat(p.events()).isEqualTo(4);
        assertThat(p.describe(0)).isEqualTo("bass 40 1.000");
        assertThat(p.describe(1)).isEqualTo("hit " + Piece.KICK.ordinal() + " 1.000");
        assertThat(p.describe(2)).isEqualTo("hit " + Piece.HAT.ordinal() + " 1.000");
        assertThat(p.describe(3)).isEqualTo("BEND 0 string 2 to 100 in 5");
        assertThat(p.strikes(0, 0)).isFalse();
        assertThat(p.at(3)).isEqualTo(50);
    }

    @Test
    void whatCannotBePlayedIsRefusedInWords() {
        ProgramBuilder b = new ProgramBuilder(100, 10, 6);
        assertThatThrownBy(() -> b.bass(100, 40, 1)).hasMessageContaining("100");
        assertThatThrownBy(() -> b.add(0, new int[3], 1, false, true)).hasMessageContaining("3");
        assertThatThrownBy(() -> new ProgramBuilder(0, 10, 6)).hasMessageContaining("0");
        assertThatThrownBy(() -> new Rig(Measure.bank(), AmpSettings.CLEAN, 2, 1))
                .hasMessageContaining("pan");
        assertThatThrownBy(() -> new Rig(Measure.bank(), AmpSettings.CLEAN, 0, 9))
                .hasMessageContaining("9");
        assertThatThrownBy(() -> new Guitar(Pickup.NECK, 0.7, 0.5)).hasMessageContaining("0.7");
        assertThatThrownBy(() -> new Guitar(Pickup.NECK, 0.2, 2)).hasMessageContaining("2");
        assertThatThrownBy(() -> new Sample(new int[6], new double[2], 1, new int[0]))
                .hasMessageContaining("cents");
        assertThatThrownBy(() -> AmpSettings.EDGE.turned(new int[] {6, 0, 0, 0, 0, 0}))
                .hasMessageContaining("6");
        assertThatThrownBy(() -> AmpSettings.EDGE.turned(new int[2])).hasMessageContaining("2");
        assertThatThrownBy(() -> new Settings(Measure.bank(), AmpSettings.CLEAN, 500, 1))
                .hasMessageContaining("500");
        assertThatThrownBy(() -> new Settings(Measure.bank(), AmpSettings.CLEAN, 120, 3))
                .hasMessageContaining("3");
    }

    @Test
    void theAmplifiersControlsDoWhatTheySay() {
        double flat = response(new int[6], 3000) - response(new int[6], 150);
        double bright =
                response(new int[] {0, 0, 0, 5, 0, 0}, 3000)
                        - response(new int[] {0, 0, 0, 5, 0, 0}, 150);
        double boomy =
                response(new int[] {0, 5, 0, 0, 0, 0}, 3000)
                        - response(new int[] {0, 5, 0, 0, 0, 0}, 150);
        assertThat(bright).isBetween(flat + 4, flat + 10);
        assertThat(boomy).isBetween(flat - 10, flat - 3);
        double level = response(new int[] {0, 0, 0, 0, 0, 3}, 700) - response(new int[6], 700);
        assertThat(level).isCloseTo(6, within(0.1));
    }

    /** Level in dB of a quiet sine through the clean amplifier. */
    private static double response(int[] steps, double hz) {
        double[] x = new double[RATE / 2];
        for (int i = 0; i < x.length; i++) {
            x[i] = 0.005 * Math.sin(2 * Math.PI * hz * i / RATE);
        }
        new vocalis.sound.amp.Amplifier(RATE, AmpSettings.CLEAN.turned(steps))
                .process(x, 0, x.length);
        return 20 * Math.log10(Measure.rms(x, RATE / 4, RATE / 2));
    }
}
