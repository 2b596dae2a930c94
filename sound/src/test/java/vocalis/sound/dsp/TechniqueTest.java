package vocalis.sound.dsp;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vocalis.sound.Measure;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.engine.Engine;
import vocalis.sound.engine.Program;
import vocalis.sound.engine.ProgramBuilder;
import vocalis.sound.guitar.Guitar;
import vocalis.sound.guitar.Pickup;
import vocalis.sound.guitar.StringModel;
import vocalis.sound.strings.Damping;
import vocalis.sound.strings.StringPatch;
import vocalis.sound.strings.StringVoice;

/** What a hand does to a string, measured in what is rendered. */
@Execution(ExecutionMode.CONCURRENT)
class TechniqueTest {

    private static final int RATE = (int) Measure.RATE;
    private static final long QUARTER = 20160;

    private static StringPatch patch(int string, int fret, Damping under) {
        return Measure.bank().patch(string, fret, under);
    }

    private static double hz(int string, int fret) {
        return Measure.hz(Measure.OPEN_MIDI[string] + fret);
    }

    /**
     * Note frequencies after ISO 16, through every tone. A stiff string's partials, mixed under
     * gain, leave lines a fraction of a hertz from its fundamental and beat with it, so the phase
     * is followed over a second and a half, on the two lowest strings over three.
     */
    @ParameterizedTest
    @EnumSource(Voice.class)
    void everyToneIsInTune(Voice tone) {
        List<Double> errors = new ArrayList<>();
        // Every fret in the long run, every seventh in the short one.
        boolean all = Boolean.getBoolean("vocalis.long");
        for (int string = 0; string < 6; string++) {
            for (int fret = 0; fret <= 24; fret += !all ? 7 : tone == Voice.CLEAN ? 1 : 3) {
                double[] x = Measure.single(tone.amp, string, fret, 4);
                double wanted = hz(string, fret);
                int hops = string < 2 && fret <= 12 ? 300 : 150;
                double got = Measure.steadyFrequency(x, 4800, 16384, wanted, hops);
                errors.add(Math.abs(Measure.cents(wanted, got)));
            }
        }
        errors.sort(null);
        System.out.printf(
                "tuning error in cents, %s: median %.3f, worst %.3f%n",
                tone, errors.get(errors.size() / 2), errors.get(errors.size() - 1));
        assertThat(errors.get(errors.size() / 2)).isLessThan(1.0);
        assertThat(errors.get(errors.size() - 1)).isLessThan(2.0);
    }

    enum Voice {
        CLEAN(AmpSettings.CLEAN),
        EDGE(AmpSettings.EDGE),
        GAIN(AmpSettings.GAIN);

        final AmpSettings amp;

        Voice(AmpSettings amp) {
            this.amp = amp;
        }
    }

    /** A string alone that something is done to after a while. */
    private static double[] doing(
            int string,
            int fret,
            double before,
            double after,
            java.util.function.Consumer<StringVoice> what) {
        StringVoice v = new StringVoice(RATE, 7);
        v.pluck(patch(string, fret, Damping.OPEN), 0.9, 0);
        double[] x = new double[(int) ((before + after) * RATE)];
        v.add(x, 0, (int) (before * RATE));
        what.accept(v);
        v.add(x, (int) (before * RATE), (int) (after * RATE));
        return x;
    }

    @Test
    void bendsLandWithinThreeCents() {
        for (int string = 0; string < 6; string++) {
            for (int fret : new int[] {3, 7, 12, 17}) {
                for (double cents : new double[] {50, 100, 200, 300}) {
                    double[] x = doing(string, fret, 0.3, 1.1, v -> v.bend(cents, RATE / 10));
                    double wanted = hz(string, fret) * Math.pow(2, cents / 1200);
                    double got = Measure.frequency(x, RATE / 2, 32768, wanted);
                    assertThat(Math.abs(Measure.cents(wanted, got)))
                            .as("string %d, fret %d, %.0f cents", 6 - string, fret, cents)
                            .isLessThan(3);
                }
            }
        }
    }

    @Test
    void aReleasedBendIsBackAtItsFret() {
        double[] x =
                doing(
                        3,
                        9,
                        0.2,
                        1.6,
                        v -> {
                            v.bend(200, RATE / 10);
                            double[] held = new double[RATE / 4];
                            v.add(held, 0, held.length);
                            v.bend(0, RATE / 10);
                        });
        double got = Measure.frequency(x, 3 * RATE / 4, 32768, hz(3, 9));
        assertThat(Math.abs(Measure.cents(hz(3, 9), got))).isLessThan(1);
    }

    @Test
    void hammersPullsAndSlidesLandWithinThreeCents() {
        for (int string = 0; string < 6; string++) {
            for (int[] way : new int[][] {{5, 7}, {7, 5}, {0, 3}, {12, 10}, {15, 19}}) {
                for (int frames : new int[] {200, RATE / 5}) {
                    int s = string;
                    double tap = frames == 200 ? 0.6 : 0;
                    double[] x =
                            doing(
                                    string,
                                    way[0],
                                    0.3,
                                    1.2,
                                    v -> v.stopAt(patch(s, way[1], Damping.OPEN), frames, tap));
                    double wanted = hz(string, way[1]);
                    double got = Measure.frequency(x, 3 * RATE / 5, 32768, wanted);
                    assertThat(Math.abs(Measure.cents(wanted, got)))
                            .as("string %d, %d to %d in %d", 6 - string, way[0], way[1], frames)
                            .isLessThan(3);
                }
            }
        }
    }

    /** No step of a gesture is bigger than the pluck's own. */
    @Test
    void gesturesDoNotClick() {
        double pluck = biggestStep(doing(2, 5, 0.4, 0.1, v -> {}), 0, RATE / 4);
        assertThat(stepAfter(v -> v.bend(200, RATE / 8))).isLessThan(pluck);
        assertThat(stepAfter(v -> v.stopAt(patch(2, 7, Damping.OPEN), 200, 0.6))).isLessThan(pluck);
        assertThat(stepAfter(v -> v.stopAt(patch(2, 3, Damping.OPEN), 200, 0.85)))
                .isLessThan(pluck);
        assertThat(stepAfter(v -> v.vibrato(40))).isLessThan(pluck);
    }

    private static double stepAfter(java.util.function.Consumer<StringVoice> what) {
        double[] x = doing(2, 5, 0.4, 0.6, what);
        return biggestStep(x, (int) (0.39 * RATE), x.length);
    }

    private static double biggestStep(double[] x, int from, int to) {
        double most = 0;
        for (int i = from + 1; i < to; i++) {
            most = Math.max(most, Math.abs(x[i] - x[i - 1]));
        }
        return most;
    }

    /**
     * What is asked of a string together with its stroke, before the pick has reached it, is heard
     * once it has: a bend lands, a vibrato shakes, a string drawn at once sounds there.
     */
    @Test
    void whatComesWithTheStrokeIsNotLost() {
        StringVoice bent = new StringVoice(RATE, 7);
        bent.pluck(patch(3, 7, Damping.OPEN), 0.9, 0, 600, false);
        bent.bend(200, RATE / 10);
        double[] x = new double[RATE];
        bent.add(x, 0, RATE);
        double wanted = hz(3, 9);
        double got = Measure.frequency(x, RATE / 3, 16384, wanted);
        assertThat(Math.abs(Measure.cents(wanted, got))).isLessThan(3);

        StringVoice shaken = new StringVoice(RATE, 7);
        shaken.pluck(patch(3, 9, Damping.OPEN), 0.9, 0, 600, false);
        shaken.vibrato(60);
        double[] y = new double[2 * RATE];
        shaken.add(y, 0, 2 * RATE);
        double high = -1e9;
        for (int from = RATE / 2; from < 3 * RATE / 2; from += 480) {
            double cents = Measure.cents(hz(3, 9), Measure.frequency(y, from, 2048, hz(3, 9)));
            high = Math.max(high, cents);
        }
        assertThat(high).isBetween(42.0, 64.0);
    }

    /** Vibrato on a guitar draws the string, so it goes above the note only (common practice). */
    @Test
    void vibratoGoesAboveTheNoteAndComesBack() {
        double[] x = doing(3, 9, 0.2, 2.2, v -> v.vibrato(60));
        double low = 1e9;
        double high = -1e9;
        for (int from = RATE; from < 2 * RATE; from += 480) {
            double cents = Measure.cents(hz(3, 9), Measure.frequency(x, from, 2048, hz(3, 9)));
            low = Math.min(low, cents);
            high = Math.max(high, cents);
        }
        assertThat(low).isBetween(-4.0, 12.0);
        assertThat(high).isBetween(42.0, 64.0);
    }

    /**
     * Each degree of the palm is shorter than the lighter one; a dead note has next to no pitch.
     */
    @Test
    void thePalmMutesByDegree() {
        double before = Double.POSITIVE_INFINITY;
        for (Damping d : Damping.values()) {
            StringVoice v = new StringVoice(RATE, 5);
            v.pluck(patch(0, 3, d), 0.9, 0);
            double[] x = new double[RATE];
            v.add(x, 0, x.length);
            double start = Measure.rms(x, RATE / 200, RATE / 50);
            double left = Measure.rms(x, RATE / 5, RATE / 4) / start;
            assertThat(left).as(d.name()).isLessThan(0.6 * before);
            before = left;
            if (d == Damping.DEAD) {
                assertThat(left).isLessThan(1e-3);
            }
        }
    }

    /** A string that nobody damps answers a note that it shares partials with, and no other. */
    @Test
    void anOpenStringAnswersWhatItShares() {
        double shared = answer(12);
        double semitoneOff = answer(13);
        assertThat(shared).isGreaterThan(4 * semitoneOff).isLessThan(0.2);
    }

    /** What rings on an open A string after E2 at a fret of the low string was damped. */
    private static double answer(int fret) {
        Engine engine = Measure.engine(AmpSettings.CLEAN);
        int[] struck = {fret, Program.FREE, -1, -1, -1, -1};
        int[] damped = {-1, Program.KEEP, -1, -1, -1, -1};
        engine.publish(
                new ProgramBuilder(16 * QUARTER, QUARTER, 6)
                        .strike(0, 0, struck, 0.9, Damping.OPEN, true)
                        .strike(0, 4 * QUARTER, damped, 0, Damping.OPEN, true)
                        .build());
        engine.play(0);
        double[] x = Measure.left(engine, 3.2);
        double during = Measure.rms(x, RATE / 2, RATE);
        return Measure.rms(x, (int) (2.6 * RATE), (int) (3.1 * RATE)) / during;
    }

    /** Six open strings in unison over the bridge: the sum dies, however long it is let ring. */
    @Test
    void coupledStringsNeverGrow() {
        double[] unison = new double[6];
        java.util.Arrays.fill(unison, 329.63);
        var bank = vocalis.sound.engine.StringBank.of(unison, 24, RATE);
        for (int fret : new int[] {0, 12, 24}) {
            Engine engine =
                    new Engine(
                            RATE,
                            new vocalis.sound.engine.Settings(bank, AmpSettings.CLEAN, 120, 1),
                            1);
            int[] frets = new int[6];
            java.util.Arrays.fill(frets, fret);
            engine.hear(frets);
            double before = Double.POSITIVE_INFINITY;
            for (int second = 0; second < 12; second++) {
                double[] x = Measure.left(engine, 1);
                double now = Measure.rms(x, 0, x.length);
                assertThat(now).isLessThanOrEqualTo(before * 1.02);
                before = Math.max(now, 1e-6);
            }
            assertThat(before).isLessThan(0.02);
        }
    }

    /** A pickup near the fourth part of the string hardly hears the fourth partial. */
    @Test
    void theTwoPickupsHearDifferentPartials() {
        double bridge = fourthAgainstFirst(Pickup.BRIDGE);
        double neck = fourthAgainstFirst(Pickup.NECK);
        assertThat(bridge - neck).isGreaterThan(9);
    }

    private static double fourthAgainstFirst(Pickup pickup) {
        double f0 = Measure.hz(40);
        StringVoice v = new StringVoice(RATE, 3);
        Guitar g = new Guitar(pickup, 0.12, 0.5);
        v.pluck(StringPatch.of(StringModel.electric(f0), 0, Damping.OPEN, g, RATE), 0.8, 0);
        double[] x = new double[RATE];
        v.add(x, 0, x.length);
        return Measure.levelDb(x, 2400, 16384, 4 * f0) - Measure.levelDb(x, 2400, 16384, f0);
    }

    /**
     * A pick scrapes before the string sings (common practice; measurements of plucked strings show
     * a broad burst in the first milliseconds): above 6 kHz there is far more at the attack.
     */
    @Test
    void theAttackIsABurstOfNoise() {
        StringVoice v = new StringVoice(RATE, 3);
        v.pluck(patch(2, 5, Damping.OPEN), 0.9, 0);
        double[] x = new double[RATE];
        v.add(x, 0, x.length);
        double attack = above(x, 0);
        double later = above(x, RATE / 8);
        assertThat(20 * Math.log10(attack / later)).isBetween(15.0, 70.0);
    }

    /**
     * Before it lets go the pick slides over the string, at half the level that its click has then:
     * 15 to 20 dB under the note, on wound strings a little more than on plain ones.
     */
    @ParameterizedTest
    @org.junit.jupiter.params.provider.ValueSource(ints = {0, 1, 2, 3, 4, 5})
    void thePicksNoiseLiesUnderTheNote(int string) {
        double noise = 0;
        double note = 0;
        for (int seed = 1; seed <= 20; seed++) {
            StringVoice v = new StringVoice(RATE, seed);
            v.pluck(patch(string, 3, Damping.OPEN), StringVoice.USUAL_VELOCITY, 0);
            double[] x = new double[RATE / 4];
            v.add(x, 0, x.length);
            int lets = (int) (StringVoice.CHOKE_SECONDS * RATE);
            noise += Math.pow(2 * Measure.rms(x, lets - 40, lets - 1), 2);
            note += Math.pow(Measure.rms(x, lets + 480, lets + 4800), 2);
        }
        double under = 10 * Math.log10(note / noise);
        System.out.printf(
                "string %d: the pick's noise %.1f dB under the note%n", 6 - string, under);
        assertThat(under).isBetween(14.0, 21.0);
    }

    /** Amplitude above 6 kHz of 512 frames. */
    private static double above(double[] x, int from) {
        double[] s = Measure.spectrum(x, from, 512);
        double sum = 0;
        for (int k = (int) (6000 * 512 / Measure.RATE); k < s.length; k++) {
            sum += s[k] * s[k];
        }
        return Math.sqrt(sum);
    }

    @Test
    void aHarderPickIsBrighter() {
        double soft = brightness(0.1);
        double hard = brightness(0.9);
        assertThat(hard).isGreaterThan(2 * soft);
    }

    private static double brightness(double hardness) {
        StringVoice v = new StringVoice(RATE, 3);
        Guitar g = new Guitar(Pickup.BRIDGE, 0.155, hardness);
        v.pluck(StringPatch.of(StringModel.electric(110), 0, Damping.OPEN, g, RATE), 0.8, 0);
        double[] x = new double[RATE];
        v.add(x, 0, x.length);
        double[] s = Measure.spectrum(x, 960, 8192);
        double high = 0;
        double all = 0;
        for (int k = 1; k < s.length; k++) {
            all += s[k] * s[k];
            high += k * Measure.RATE / 8192 > 2500 ? s[k] * s[k] : 0;
        }
        return high / all;
    }

    /** The engine's slide goes over every fret and ends on the one asked for. */
    @Test
    void aSlideInTheLoopEndsOnItsFret() {
        Engine engine = Measure.engine(AmpSettings.CLEAN);
        int[] struck = {-1, 3, -1, -1, -1, -1};
        engine.publish(
                new ProgramBuilder(16 * QUARTER, QUARTER, 6)
                        .strike(0, 0, struck, 0.9, Damping.OPEN, true)
                        .gesture(0, QUARTER, 1, Program.Gesture.SLIDE, 10, QUARTER / 2)
                        .build());
        engine.play(0);
        double[] x = Measure.left(engine, 2);
        double got = Measure.frequency(x, RATE, 32768, hz(1, 10));
        assertThat(Math.abs(Measure.cents(hz(1, 10), got))).isLessThan(3);
        double between = Measure.frequency(x, (int) (0.6 * RATE), 2048, hz(1, 6));
        assertThat(between).isBetween(hz(1, 3) * 1.02, hz(1, 10) * 0.98);
    }
}
