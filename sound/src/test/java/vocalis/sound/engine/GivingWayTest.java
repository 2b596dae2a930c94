package vocalis.sound.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static vocalis.sound.Measure.RATE;

import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vocalis.sound.Measure;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.dsp.Loudness;
import vocalis.sound.strings.Damping;

/**
 * What recorded guitars do and machines do not: notes that stand, strokes that sharpen, a floor of
 * noise, dry dead notes. Where a range is of recordings, they are the guitars of FluidR3 GM, a
 * general MIDI sound font ({@code benchmarks/beside} measures them; docs/sound.md has the table).
 */
class GivingWayTest {

    private static final int[] OFF = {-1, -1, -1, -1, -1, -1};

    /** One stroke at once, damped after some seconds. */
    private static Engine struck(
            AmpSettings amp,
            int[] frets,
            double velocity,
            Damping under,
            double rings,
            double hum) {
        long end = Math.round(1000 * rings);
        ProgramBuilder b = new ProgramBuilder(100_000, 1000, 6);
        b.strike(0, 0, frets, velocity, under, true);
        b.strike(0, end, OFF, 0, Damping.OPEN, true);
        Rig rig = new Rig(Measure.bank(), amp, 0, 1);
        Engine engine = new Engine(RATE, new Settings(rig, rig, 60, 0, 0, 0, 0, hum, 0, 0.2), 11);
        engine.publish(b.build());
        engine.play(0);
        return engine;
    }

    private static int[] only(int string, int fret) {
        int[] frets = OFF.clone();
        frets[string] = fret;
        return frets;
    }

    private static double db(double[] x, double from, double to) {
        return 20 * Math.log10(Measure.rms(x, (int) (from * RATE), (int) (to * RATE)) + 1e-15);
    }

    /** Under gain a note is hardly softer after two seconds; recorded ones lie from -3 to 0 dB. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3})
    void aDrivenNoteStands(int string) {
        double[] x =
                Measure.left(
                        struck(AmpSettings.GAIN, only(string, 0), 0.78, Damping.OPEN, 4, 0), 3);
        assertThat(db(x, 2, 2.05) - db(x, 0.05, 0.15)).isBetween(-4.5, 1.0);
    }

    /** What turns the amplifier makes no voicing louder: before anything is matched. */
    @Test
    void tonesAreAboutEquallyLoud() {
        double[] lkfs =
                Arrays.stream(
                                new AmpSettings[] {
                                    AmpSettings.CLEAN, AmpSettings.EDGE, AmpSettings.GAIN
                                })
                        .mapToDouble(GivingWayTest::powerChord)
                        .toArray();
        double most = Arrays.stream(lkfs).max().orElseThrow();
        assertThat(most - Arrays.stream(lkfs).min().orElseThrow()).isLessThan(2);
    }

    private static double powerChord(AmpSettings amp) {
        Engine engine = struck(amp, new int[] {3, 5, 5, -1, -1, -1}, 0.78, Damping.OPEN, 3, 0);
        float[] stereo = new float[2 * (int) (2 * RATE)];
        engine.render(stereo, stereo.length / 2);
        return Loudness.integrated(stereo, stereo.length / 2);
    }

    /** A hard stroke begins sharp and is in tune from 0.4 s on; a soft one hardly is. */
    @Test
    void aStrokeSharpensItsString() {
        assertThat(sharp(0.98)).isBetween(1.0, 5.0);
        assertThat(sharp(0.5)).isBetween(-0.5, 0.6);
    }

    private static double sharp(double velocity) {
        double[] x =
                Measure.left(
                        struck(AmpSettings.CLEAN, only(3, 2), velocity, Damping.OPEN, 3, 0), 1.2);
        double early = Measure.frequency(x, (int) (0.01 * RATE), 4096, 220);
        double late = Measure.frequency(x, (int) (0.6 * RATE), 4096, 220);
        return Measure.cents(late, early);
    }

    /** The cable is heard in rests when hands play, is gone with the playing, and never else. */
    @Test
    void theHumGoesWithThePlaying() {
        double[] machine =
                Measure.left(struck(AmpSettings.CLEAN, only(1, 0), 0.78, Damping.OPEN, 1, 0), 4);
        assertThat(Measure.peak(machine, (int) (3.5 * RATE), (int) (4 * RATE))).isZero();
        Engine engine = struck(AmpSettings.CLEAN, only(1, 0), 0.78, Damping.OPEN, 1, 0.5);
        double[] player = Measure.left(engine, 4);
        assertThat(db(player, 3.5, 4)).isBetween(-110.0, -70.0);
        engine.stop();
        Measure.left(engine, 1.5);
        assertThat(Measure.peak(Measure.left(engine, 0.5), 0, (int) (0.5 * RATE))).isZero();
    }

    /** A dead note is a knock over a broad band, on every string, not a tone. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5})
    void aDeadNoteHasNoPitch(int string) {
        double[] x =
                Measure.left(
                        struck(AmpSettings.CLEAN, only(string, 5), 0.78, Damping.DEAD, 0.5, 0), 1);
        int size = 8192;
        double[] s = Measure.spectrum(x, 0, size);
        int top = 1;
        double all = 0;
        double moment = 0;
        double sum = 0;
        for (int k = 1; k < s.length; k++) {
            top = s[k] > s[top] ? k : top;
            all += s[k] * s[k];
            sum += s[k];
            moment += s[k] * k * RATE / size;
        }
        double near = 0;
        for (int k = (int) (top / 1.122); k <= top * 1.122; k++) {
            near += s[k] * s[k];
        }
        assertThat(near / all).isLessThan(0.7);
        assertThat(moment / sum).isBetween(600.0, 6000.0);
    }

    /**
     * Clean, under a light palm, low strings have the crest of the font's muted clean guitar
     * (program 28), 8 to 11 dB over 50 ms, give or take 3; without a palm that gives way it is 16
     * to 20.
     */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2})
    void aCleanPalmStrokeIsNoClick(int string) {
        double[] x =
                Measure.left(
                        struck(AmpSettings.CLEAN, only(string, 0), 0.78, Damping.LIGHT, 0.4, 0),
                        0.5);
        int n = (int) (0.05 * RATE);
        double crest = 20 * Math.log10(Measure.peak(x, 0, n) / Measure.rms(x, 0, n));
        assertThat(crest).isBetween(7.0, 14.0);
    }

    /** Palm strokes between open chords: none stands out, each lies well under the chords. */
    @Test
    void palmStrokesBetweenChordsAreAlike() {
        int[] chord = {3, 5, 5, -1, -1, -1};
        ProgramBuilder b = new ProgramBuilder(2000, 1000, 6);
        b.strike(0, 0, chord, 0.78, Damping.OPEN, true);
        b.strike(0, 400, only(0, 0), 0.7, Damping.HALF, true);
        b.strike(0, 650, only(0, 0), 0.7, Damping.HALF, true);
        b.strike(0, 900, chord, 0.78, Damping.OPEN, true);
        Rig rig = new Rig(Measure.bank(), AmpSettings.CLEAN, 0, 0.5);
        Engine engine = new Engine(RATE, new Settings(rig, rig, 60, 0, 0, 0, 0, 0, 0, 1), 11);
        engine.publish(b.build());
        engine.play(0);
        double[] x = Measure.left(engine, 1.2);
        double open = db(x, 0.01, 0.1);
        double first = db(x, 0.41, 0.5);
        double second = db(x, 0.66, 0.75);
        assertThat(open - first).isBetween(6.0, 14.0);
        assertThat(first - second).isBetween(-1.5, 1.5);
        assertThat(db(x, 0.91, 1) - open).isBetween(-1.0, 1.0);
    }

    /** Sixteenths under the palm at 140 beats a minute, under gain: each is heard by itself. */
    @Test
    void quickChugsStandApart() {
        int n = 16;
        ProgramBuilder b = new ProgramBuilder(n, 4, 6);
        for (int i = 0; i < n; i++) {
            b.strike(0, i, only(0, 0), 0.72, Damping.HALF, i % 2 == 0);
        }
        Rig rig = new Rig(Measure.bank(), AmpSettings.GAIN, 0, 1);
        Engine engine = new Engine(RATE, new Settings(rig, rig, 140, 0, 0, 0, 0, 0.2), 11);
        engine.publish(b.build());
        engine.play(0);
        double every = 60.0 / 140 / 4;
        double[] x = Measure.left(engine, n * every);
        double dips = 0;
        for (int i = 4; i < n - 2; i++) {
            double loud = db(x, i * every + 0.02, i * every + 0.05);
            dips += (loud - db(x, (i + 1) * every - 0.01, (i + 1) * every)) / (n - 6);
        }
        assertThat(dips).isGreaterThan(8);
    }
}
