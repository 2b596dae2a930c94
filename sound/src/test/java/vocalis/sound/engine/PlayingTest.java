package vocalis.sound.engine;

import static org.assertj.core.api.Assertions.assertThat;
import static vocalis.sound.Measure.RATE;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vocalis.sound.Measure;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.strings.Damping;

/**
 * What tells a guitar from a string model, measured in what the engine renders: dynamics, attack,
 * palm-muted strokes. The ranges are common practice without a source, except where one is named;
 * docs/sound.md holds them beside recorded guitars.
 */
class PlayingTest {

    enum Tone {
        CLEAN(AmpSettings.CLEAN),
        EDGE(AmpSettings.EDGE),
        GAIN(AmpSettings.GAIN);

        final AmpSettings amp;

        Tone(AmpSettings amp) {
            this.amp = amp;
        }
    }

    private static final int[] POWER = {-1, 0, 2, 2, -1, -1};
    private static final int[] LOW_E = {0, -1, -1, -1, -1, -1};

    /** Strokes of one velocity, one a second, each from silence; left channel. */
    private static double[] strokes(
            AmpSettings amp, int[] frets, double velocity, Damping under, boolean down, int n) {
        int[] actions = frets.clone();
        int[] damp = new int[frets.length];
        for (int s = 0; s < frets.length; s++) {
            actions[s] = frets[s] < 0 ? Program.DAMP : frets[s];
            damp[s] = Program.DAMP;
        }
        ProgramBuilder b = new ProgramBuilder(2L * n, 1, 6);
        for (int i = 0; i < n; i++) {
            b.strike(0, 2L * i, actions, velocity, under, down);
            b.strike(0, 2L * i + 1, damp, 0, Damping.OPEN, true);
        }
        Engine engine = quiet(amp, 120);
        engine.publish(b.build());
        engine.play(0);
        return Measure.left(engine, n);
    }

    /** So quiet that the limiter keeps out of it. */
    private static Engine quiet(AmpSettings amp, double tempo) {
        return new Engine(RATE, new Settings(Measure.bank(), amp, tempo, 0.2), 11);
    }

    private static double level(double[] x, double from, double seconds, int n) {
        double sum = 0;
        for (int i = 0; i < n; i++) {
            int at = (int) ((i + from) * RATE);
            double r = Measure.rms(x, at, at + (int) (seconds * RATE));
            sum += r * r;
        }
        return 10 * Math.log10(sum / n);
    }

    private static double centroid(double[] x, double from, int size) {
        double[] s = Measure.spectrum(x, (int) (from * RATE), size);
        double sum = 0;
        double moment = 0;
        for (int k = 1; k < s.length; k++) {
            double hz = k * RATE / size;
            if (hz < 8000) {
                sum += s[k];
                moment += s[k] * hz;
            }
        }
        return moment / sum;
    }

    @ParameterizedTest
    @EnumSource(Tone.class)
    void anAccentIsLouderAndBrighterInEveryTone(Tone tone) {
        int n = 6;
        double[] plain = strokes(tone.amp, POWER, 0.78, Damping.OPEN, true, n);
        double[] accent = strokes(tone.amp, POWER, 0.98, Damping.OPEN, true, n);
        double[] soft = strokes(tone.amp, POWER, 0.55, Damping.OPEN, true, n);
        double[] ghost = strokes(tone.amp, POWER, 0.4, Damping.OPEN, true, n);
        double up = level(accent, 0, 0.4, n) - level(plain, 0, 0.4, n);
        double down = level(plain, 0, 0.4, n) - level(soft, 0, 0.4, n);
        double far = level(plain, 0, 0.4, n) - level(ghost, 0, 0.4, n);
        double brightness = 0;
        double dullness = 0;
        for (int i = 0; i < n; i++) {
            double at = i + 0.06;
            brightness += centroid(accent, at, 8192) / centroid(plain, at, 8192) / n;
            dullness += centroid(ghost, at, 8192) / centroid(plain, at, 8192) / n;
        }
        System.out.printf(
                "%s: accent %+.1f dB, soft %.1f, ghosted %.1f; accent %.2f as bright, ghosted %.2f%n",
                tone, up, -down, -far, brightness, dullness);
        double least = tone == Tone.CLEAN ? 5 : 1.5;
        assertThat(up).isBetween(least, 8.0);
        assertThat(down).isGreaterThan(least);
        assertThat(far).isGreaterThan(2 * least);
        assertThat(brightness).isGreaterThan(1.05);
        assertThat(dullness).isLessThan(0.95);
    }

    /** Level above 4 kHz in windows of 8 ms from the moment that the pick lets go. */
    private static double[] high(double[] x, int from) {
        vocalis.sound.dsp.Biquad a = vocalis.sound.dsp.Biquad.highpass(RATE, 4000, 0.54);
        vocalis.sound.dsp.Biquad b = vocalis.sound.dsp.Biquad.highpass(RATE, 4000, 1.31);
        double[] y = new double[x.length];
        for (int i = 0; i < x.length; i++) {
            y[i] = b.next(a.next(x[i]));
        }
        double[] db = new double[8];
        for (int w = 0; w < db.length; w++) {
            int at = from + (int) (w * 0.008 * RATE);
            db[w] = 20 * Math.log10(Measure.rms(y, at, at + (int) (0.008 * RATE)) + 1e-12);
        }
        return db;
    }

    private static int onset(double[] x) {
        return reaches(x, 0.02);
    }

    private static int reaches(double[] x, double share) {
        double most = Measure.peak(x, 0, x.length);
        int i = 0;
        while (Math.abs(x[i]) < share * most) {
            i++;
        }
        return i;
    }

    /**
     * Clean, the pick is a burst above the note. Driven, the amplifier gives way and opens within
     * 20 to 30 ms: the ranges are those of the recorded overdriven and distorted guitars of a
     * general MIDI sound font (FluidR3 GM; docs/sound.md).
     */
    @ParameterizedTest
    @EnumSource(Tone.class)
    void theAttackIsABurstAboveTheNoteOrOpens(Tone tone) {
        double[] x =
                strokes(tone.amp, new int[] {-1, 3, -1, -1, -1, -1}, 0.78, Damping.OPEN, true, 1);
        double[] db = high(x, onset(x));
        System.out.print(tone + " above 4 kHz every 8 ms:");
        for (double d : db) {
            System.out.printf(" %.0f", d);
        }
        double early = centroid(x, onset(x) / RATE, 512);
        double later = centroid(x, onset(x) / RATE + 0.08, 512);
        System.out.printf("; centroid %.0f then %.0f Hz%n", early, later);
        double burst = Math.max(db[0], db[1]) - db[7];
        if (tone == Tone.CLEAN) {
            assertThat(burst).isGreaterThan(1);
            assertThat(early).isGreaterThan(later);
        } else {
            assertThat(burst).isBetween(-35.0, -3.0);
            assertThat(early / later).isBetween(0.44, 0.91);
        }
    }

    @Test
    void upAndDownStrokesDiffer() {
        int[] one = {-1, 3, -1, -1, -1, -1};
        double[] down = strokes(AmpSettings.CLEAN, one, 0.78, Damping.OPEN, true, 4);
        double[] up = strokes(AmpSettings.CLEAN, one, 0.78, Damping.OPEN, false, 4);
        double bright = 0;
        for (int i = 0; i < 4; i++) {
            bright += centroid(up, i + 0.03, 4096) / centroid(down, i + 0.03, 4096) / 4;
        }
        double louder = level(down, 0, 0.4, 4) - level(up, 0, 0.4, 4);
        System.out.printf("up strokes: %.2f as bright, %.1f dB softer%n", bright, louder);
        assertThat(bright).isGreaterThan(1.03);
        assertThat(louder).isBetween(0.2, 2.5);
    }

    /** Eighths at 160 beats a minute, the low E under the palm. */
    private static double[] chugs(AmpSettings amp, Damping under) {
        int n = 12;
        int[] e = LOW_E.clone();
        for (int s = 1; s < 6; s++) {
            e[s] = Program.DAMP;
        }
        ProgramBuilder b = new ProgramBuilder(n, 2, 6);
        for (int i = 0; i < n; i++) {
            b.strike(0, i, e, 0.72, under, true);
        }
        Engine engine = quiet(amp, 160);
        engine.publish(b.build());
        engine.play(0);
        return Measure.left(engine, n * CHUG_SECONDS);
    }

    private static final double CHUG_SECONDS = 60.0 / 160 / 2;

    @ParameterizedTest
    @EnumSource(Tone.class)
    void chugsStandApart(Tone tone) {
        double[] x = chugs(tone.amp, Damping.HALF);
        double dips = 0;
        int n = 8;
        for (int i = 2; i < 2 + n; i++) {
            int at = (int) (i * CHUG_SECONDS * RATE);
            int ten = (int) (0.01 * RATE);
            double most = 0;
            double least = 1;
            for (int w = 0; w < (int) (CHUG_SECONDS * RATE) - ten; w += ten / 2) {
                double r = Measure.rms(x, at + w, at + w + ten);
                most = Math.max(most, r);
                least = w > CHUG_SECONDS * RATE / 2 ? Math.min(least, r) : least;
            }
            dips += 20 * Math.log10(most / least) / n;
        }
        int at = (int) (4 * CHUG_SECONDS * RATE);
        double low = 0;
        double all = 0;
        double[] s = Measure.spectrum(x, at, 4096);
        for (int k = 1; k < s.length; k++) {
            double hz = k * RATE / 4096;
            low += hz > 60 && hz < 150 ? s[k] * s[k] : 0;
            all += s[k] * s[k];
        }
        System.out.printf(
                "%s chugs: dip %.1f dB, %.0f per cent of the power from 60 to 150 Hz%n",
                tone, dips, 100 * low / all);
        assertThat(dips).isGreaterThan(15);
        // The palm's thump lies 15 dB under the string: most of this is the string's own lowest.
        assertThat(low / all).isGreaterThan(tone == Tone.CLEAN ? 0.06 : 0.12);
    }

    /** A held fifth under gain: asked for, it comes back into the strings and stays. */
    @Test
    void heldNotesFeedBackWhenAsked() {
        double[] plain = held(false);
        double[] fed = held(true);
        double later = 20 * Math.log10(last(fed) / last(plain));
        double growing = 20 * Math.log10(last(fed) / Measure.rms(fed, (int) RATE / 2, (int) RATE));
        System.out.printf(
                "after 5 s feedback holds %.1f dB more, %.1f dB against its first second%n",
                later, growing);
        assertThat(later).isGreaterThan(3);
        assertThat(growing).isBetween(-9.0, 6.0);
    }

    private static double last(double[] x) {
        return Measure.rms(x, (int) (4.5 * RATE), (int) (5 * RATE));
    }

    private static double[] held(boolean feedback) {
        Rig rig = new Rig(Measure.bank(), AmpSettings.GAIN, 0, 1, feedback);
        Engine engine = new Engine(RATE, new Settings(rig, rig, 60, 0, 0, 0, 0, 0.2), 11);
        engine.publish(
                new ProgramBuilder(8, 1, 6)
                        .strike(0, 0, new int[] {-2, -2, 7, 9, -2, -2}, 0.78, Damping.OPEN, true)
                        .build());
        engine.play(0);
        return Measure.left(engine, 5);
    }

    /** Onsets and levels of 24 strokes, half a second apart, each after a damped rest. */
    private static double[][] kept(double human) {
        int n = 24;
        ProgramBuilder b = new ProgramBuilder(2L * n, 1, 6);
        for (int i = 0; i < n; i++) {
            int[] a = {-2, 3, -2, -2, -2, -2};
            b.strike(0, 2L * i, a, 0.78, Damping.OPEN, true);
            b.strike(0, 2L * i + 1, new int[] {-2, -2, -2, -2, -2, -2}, 0, Damping.OPEN, true);
        }
        Rig rig = new Rig(Measure.bank(), AmpSettings.CLEAN, 0, 1);
        Engine engine =
                new Engine(RATE, new Settings(rig, rig, 240, 0, 0, 0, 0, human, 0, 0.2), 11);
        engine.publish(b.build());
        engine.play(0);
        double[] x = Measure.left(engine, n / 2.0);
        double[][] out = new double[2][n];
        for (int i = 0; i < n; i++) {
            int at = (int) (i * RATE / 2);
            double[] one = java.util.Arrays.copyOfRange(x, at, at + (int) RATE / 4);
            out[0][i] = reaches(one, 0.2) * 1000.0 / RATE;
            out[1][i] = 20 * Math.log10(Measure.rms(one, 0, one.length));
        }
        return out;
    }

    private static double spread(double[] values) {
        return java.util.Arrays.stream(values).max().orElseThrow()
                - java.util.Arrays.stream(values).min().orElseThrow();
    }

    @Test
    void handsKeepTimeLikeMachinesOnlyAtNothing() {
        double[][] machine = kept(0);
        double[][] player = kept(1);
        System.out.printf(
                "onsets spread %.1f ms and %.1f dB, humanised %.1f ms and %.1f dB%n",
                spread(machine[0]), spread(machine[1]), spread(player[0]), spread(player[1]));
        // What is left is that no two strokes rise alike.
        assertThat(spread(machine[0])).isLessThan(3);
        assertThat(spread(player[0])).isBetween(spread(machine[0]) + 2, 9.0);
        assertThat(spread(player[1])).isBetween(spread(machine[1]), 5.0);
    }

    @Test
    void theRoomWidensOneGuitarAndDiesAway() {
        Rig rig = new Rig(Measure.bank(), AmpSettings.EDGE, 0, 1);
        Engine engine = new Engine(RATE, new Settings(rig, rig, 60, 0, 0, 0, 0, 0, 1, 0.2), 11);
        engine.hear(POWER);
        int frames = (int) RATE;
        float[] x = new float[2 * frames];
        engine.render(x, frames);
        double both = 0;
        double apart = 0;
        for (int i = 0; i < frames; i++) {
            both += Math.pow(x[2 * i] + x[2 * i + 1], 2);
            apart += Math.pow(x[2 * i] - x[2 * i + 1], 2);
        }
        double db = 10 * Math.log10(apart / both);
        System.out.printf("the room in full: side %.1f dB against middle%n", db);
        assertThat(db).isBetween(-25.0, -5.0);
        engine.release();
        Measure.left(engine, 3);
        assertThat(Measure.peak(Measure.left(engine, 0.5), 0, frames / 2)).isZero();
    }

    /** A program may have any number of tempos and sections, in any order with other events. */
    @Test
    void programsGrowByTemposAndSectionsToo() {
        for (int before = 0; before < 40; before++) {
            ProgramBuilder b = new ProgramBuilder(1000, 10, 6);
            for (int i = 0; i < before; i++) {
                b.bass(i, 40, 0.5);
            }
            for (int i = 0; i < 40; i++) {
                b.tempo(100 + i, 60 + i).section(200 + i, i);
            }
            Program p = b.build();
            assertThat(p.events()).isEqualTo(before + 80);
            assertThat(p.tempoAt(999, 0)).isEqualTo(99);
            assertThat(p.sectionAt(999)).isEqualTo(39);
        }
    }
}
