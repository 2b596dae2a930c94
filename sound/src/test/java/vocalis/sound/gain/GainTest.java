package vocalis.sound.gain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import vocalis.core.instrument.Shape;
import vocalis.sound.Measure;
import vocalis.sound.amp.AmpSettings;
import vocalis.sound.engine.Engine;

class GainTest {

    private static int[] frets(String shape) {
        return Shape.parse(shape).toArray();
    }

    private static GainReading read(String shape, AmpSettings amp, double... cents) {
        return GainAnalysis.of(Measure.bank(), frets(shape), cents, amp, 440, Measure.RATE);
    }

    /**
     * Difference tones by arithmetic: where f2 − f1 of an equal-tempered interval lies against the
     * just relation it belongs to. A major third's is 67 cents sharp of the note two octaves below
     * its root, a minor third's 96 flat of the major third below its lower note, a fifth's and a
     * fourth's within 12.
     */
    @ParameterizedTest
    @CsvSource({"4,5,4,0.25,67.4", "3,6,5,0.2,-96.1", "7,3,2,0.5,-5.9", "5,4,3,0.333333,7.9"})
    void differenceTonesLieWhereArithmeticPutsThem(
            int semitones, int up, int down, double share, double cents) {
        double low = 110;
        double high = low * Math.pow(2, semitones / 12.0);
        assertThat(Relation.just(high, low)).containsExactly(up, down);
        Relation r = Relation.of(high - low, List.of(low, high));
        assertThat(r.formula()).isEqualTo("f2 − f1");
        assertThat(r.justHz()).isCloseTo(low * share, within(0.01));
        assertThat(r.cents()).isCloseTo(cents, within(0.3));
    }

    /**
     * What lies 14 cents off a combination, or 1.5 Hz where that is more, no longer belongs to it.
     */
    @Test
    void aRelationEndsWhereItIsSaidTo() {
        List<Double> two = List.of(400.0, 600.0);
        double high = 1000;
        assertThat(Relation.of(high * Math.pow(2, 13 / 1200.0), two)).isNotNull();
        assertThat(Relation.of(high * Math.pow(2, 16 / 1200.0), two)).isNull();
        List<Double> low = List.of(40.0, 60.0);
        assertThat(Relation.of(100 + 1.4, low)).isNotNull();
        assertThat(Relation.of(100 + 1.7, low)).isNull();
    }

    /** Mud is what rubs below 250 Hz: all but some of it of a low third, little of a high one. */
    @Test
    void mudLiesBelowTwoHundredAndFiftyHertz() {
        GainReading low = read("5-4-x-x-x-x", AmpSettings.CLEAN);
        GainReading high = read("x-x-x-x-9-8", AmpSettings.CLEAN);
        System.out.printf(
                "mud: %.3f of %.3f low, %.3f of %.3f high%n",
                low.mud(), low.roughGain(), high.mud(), high.roughGain());
        assertThat(GainAnalysis.MUD_HZ).isEqualTo(250);
        assertThat(low.mud() / low.roughGain()).isGreaterThan(0.3);
        assertThat(high.mud() / high.roughGain()).isLessThan(0.1);
    }

    /** A fourth's 2f1 − f2 lies an octave below its upper note, within 12 cents. */
    @Test
    void aFourthPointsToItsUpperNote() {
        double low = 110;
        double high = low * Math.pow(2, 5 / 12.0);
        Relation r = Relation.of(2 * low - high, List.of(low, high));
        assertThat(r.formula()).isEqualTo("2f1 − f2");
        assertThat(r.justHz()).isCloseTo(2 * low / 3, within(0.01));
        assertThat(Math.abs(r.cents())).isLessThan(12);
    }

    /**
     * What is predicted is found in what the engine renders: a real strum through the whole chain,
     * 150 ms after the stroke.
     */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "5-7-7-x-x-x", "x-7-7-x-x-x", "x-x-7-6-x-x", "x-4-2-x-x-x", "x-x-7-7-6-x",
                "x-x-7-7-7-x", "x-5-7-5-x-x", "3-x-5-4-x-x", "x-9-11-9-x-x", "x-3-5-5-5-x"
            })
    void theStrongestGhostsAreInTheRenderedStrum(String shape) {
        GainReading predicted = read(shape, AmpSettings.GAIN);
        Engine engine = Measure.engine(AmpSettings.GAIN);
        engine.hear(frets(shape));
        double[] x = Measure.left(engine, 1.6);
        int from = (int) (0.15 * Measure.RATE);
        List<Line> rendered =
                Spectrum.merged(
                        Spectrum.lines(x, from, GainAnalysis.WINDOW, Measure.RATE, -70),
                        GainAnalysis.MERGED_CENTS);
        double strongest = rendered.stream().mapToDouble(Line::amplitude).max().orElseThrow();
        assertThat(predicted.ghosts().size()).isGreaterThanOrEqualTo(4);
        double worstDb = 0;
        double worstCents = 0;
        for (Ghost g : predicted.ghosts().subList(0, 4)) {
            Line nearest =
                    rendered.stream()
                            .filter(l -> Math.abs(Measure.cents(l.hz(), g.hz())) < 25)
                            .min(
                                    java.util.Comparator.comparingDouble(
                                            l -> Math.abs(Measure.cents(l.hz(), g.hz()))))
                            .orElseThrow(() -> new AssertionError("no line at " + g));
            double db = nearest.dbAgainst(strongest);
            double cents = Measure.cents(nearest.hz(), g.hz());
            worstDb = Math.max(worstDb, Math.abs(db - g.db()));
            worstCents = Math.max(worstCents, Math.abs(cents));
            assertThat(db).as("%s, level of %.1f Hz", shape, g.hz()).isCloseTo(g.db(), within(6.0));
            assertThat(Math.abs(cents)).as("%s, place of %.1f Hz", shape, g.hz()).isLessThan(12);
        }
        System.out.printf(
                "%s: ghosts predicted and rendered: worst %.1f dB, %.1f cents%n",
                shape, worstDb, worstCents);
    }

    /**
     * Players' experience (common practice): thirds are rougher under gain than fifths, fourths are
     * as steady as fifths, and low thirds are mud.
     */
    @Test
    void thirdsGrowlAndLowOnesAreMud() {
        GainReading power = read("5-7-7-x-x-x", AmpSettings.GAIN);
        GainReading third = read("5-4-x-x-x-x", AmpSettings.GAIN);
        GainReading fourth = read("x-7-7-x-x-x", AmpSettings.GAIN);
        GainReading high = read("x-x-x-14-14-x", AmpSettings.GAIN);
        assertThat(third.growl(power)).isGreaterThan(1.3 * fourth.growl(power));
        assertThat(third.mud()).isGreaterThan(2 * high.mud());
        assertThat(high.biteHz()).isGreaterThan(power.biteHz());
        assertThat(
                        read("5-4-x-x-x-x", AmpSettings.CLEAN).ghosts().stream()
                                .mapToDouble(Ghost::db)
                                .max()
                                .orElse(-99))
                .as("clean adds next to nothing")
                .isLessThan(third.ghosts().get(0).db() - 6);
    }

    /** The same notes rub alike wherever they lie, within what strings differ. */
    @ParameterizedTest
    @org.junit.jupiter.params.provider.CsvSource({
        "5-7-7-x-x-x, x-0-2-2-x-x",
        "8-10-10-x-x-x, x-3-5-5-x-x",
        "x-5-4-x-x-x, 10-9-x-x-x-x",
        "x-x-7-6-x-x, x-12-11-x-x-x",
        "x-x-x-6-5-x, x-x-11-9-x-x",
        "x-5-7-7-x-x, 10-12-12-x-x-x"
    })
    void theSameNotesRubAlikeInTwoPlaces(String one, String other) {
        double a = read(one, AmpSettings.GAIN).roughGain();
        double b = read(other, AmpSettings.GAIN).roughGain();
        System.out.printf("%s and %s: ratio %.2f%n", one, other, Math.max(a, b) / Math.min(a, b));
        assertThat(Math.max(a, b) / Math.min(a, b)).isLessThan(1.65);
    }

    /** One third moved up by octaves: less and less mud (players' experience, common practice). */
    @ParameterizedTest
    @org.junit.jupiter.params.provider.CsvSource({
        "3-2-x-x-x-x, x-x-5-4-x-x, x-x-x-12-12-x",
        "5-4-x-x-x-x, x-x-7-6-x-x, x-x-x-14-14-x",
        "x-3-2-x-x-x, x-x-x-5-5-x, x-x-x-x-13-12",
        "x-5-4-x-x-x, x-x-x-7-7-x, x-x-x-x-15-14"
    })
    void mudFallsAsAChordRises(String low, String higher, String highest) {
        double mud = read(higher, AmpSettings.GAIN).mud();
        assertThat(mud).isLessThan(0.85 * read(low, AmpSettings.GAIN).mud());
        assertThat(read(highest, AmpSettings.GAIN).mud()).isLessThan(0.5 * mud);
    }

    /**
     * Players' experience (common practice): an octave is the leanest, fourths are as steady as
     * power chords, a full chord is rougher, a third roughest.
     */
    @Test
    void fullChordsAreRougherThanPowerChords() {
        GainReading low = read("5-7-7-x-x-x", AmpSettings.GAIN);
        GainReading middle = read("x-5-7-7-x-x", AmpSettings.GAIN);
        for (String steady : List.of("x-x-2-2-x-x", "x-7-7-x-x-x", "5-x-7-x-x-x")) {
            assertThat(read(steady, AmpSettings.GAIN).growl(low)).as(steady).isLessThan(1.15);
        }
        Map<String, String> full =
                Map.of(
                        "5-7-7-6-5-5", "5-7-7-x-x-x",
                        "1-3-3-2-1-1", "1-3-3-x-x-x",
                        "x-0-2-2-2-0", "x-0-2-2-x-x",
                        "0-2-2-1-0-0", "0-2-2-x-x-x");
        full.forEach(
                (chord, power) ->
                        assertThat(
                                        read(chord, AmpSettings.GAIN)
                                                .growl(read(power, AmpSettings.GAIN)))
                                .as(chord)
                                .isGreaterThan(1.3));
        assertThat(read("x-5-7-7-7-5", AmpSettings.GAIN).growl(middle)).isGreaterThan(1.3);
        assertThat(read("x-x-0-2-3-2", AmpSettings.GAIN).growl(middle)).isGreaterThan(1.3);
        assertThat(read("x-5-4-x-x-x", AmpSettings.GAIN).growl(middle)).isGreaterThan(2);
    }

    @Test
    void aNoteAloneHardlyRubs() {
        assertThat(read("5-x-x-x-x-x", AmpSettings.GAIN).roughGain())
                .as("a note alone hardly rubs")
                .isLessThan(0.5 * read("5-7-7-x-x-x", AmpSettings.GAIN).roughGain());
    }

    /**
     * Retuned pure (−13.7 cents, 5:4), a major third's ghosts fall on multiples of a quarter of its
     * root and the growl goes; a minor third (+15.6 cents, 6:5) is steady too, but its difference
     * tone is a fifth of its lower note, which the chord does not have.
     */
    @Test
    void pureThirdsAreSteady() {
        String major = "x-x-7-6-x-x";
        GainReading tempered = read(major, AmpSettings.GAIN);
        GainReading pure = read(major, AmpSettings.GAIN, 0, 0, 0, -13.7, 0, 0);
        assertThat(pure.roughGain()).isLessThan(0.75 * tempered.roughGain());
        double quarter = pure.fundamentals().get(0) / 4;
        assertThat(strayed(pure, quarter)).isLessThan(10);
        assertThat(strayed(tempered, quarter)).isGreaterThan(20);
        GainReading minor = read("x-x-7-5-x-x", AmpSettings.GAIN, 0, 0, 0, 15.6, 0, 0);
        GainReading rough = read("x-x-7-5-x-x", AmpSettings.GAIN);
        assertThat(minor.roughGain()).isLessThan(rough.roughGain());
        assertThat(minor.commonHz().orElseThrow())
                .isCloseTo(minor.fundamentals().get(0) / 5, within(0.5));
        assertThat(pure.commonHz().orElseThrow()).isCloseTo(quarter, within(0.5));
    }

    /** How far, in cents, the four loudest ghosts lie from multiples of a frequency on average. */
    private static double strayed(GainReading r, double hz) {
        return r.ghosts().stream()
                .limit(4)
                .mapToDouble(g -> Math.abs(Measure.cents(Math.rint(g.hz() / hz) * hz, g.hz())))
                .average()
                .orElse(0);
    }

    /**
     * Two strings an octave apart have no combination but multiples of the lower one: whatever else
     * comes out is no note, and quiet (arithmetic). A third has such notes all the same.
     */
    @ParameterizedTest
    @ValueSource(
            strings = {"x-3-x-5-x-x", "6-x-8-x-x-x", "x-x-5-x-8-x", "x-x-x-9-x-12", "4-x-6-x-x-x"})
    void anOctaveAddsNoNote(String shape) {
        for (AmpSettings amp : List.of(AmpSettings.EDGE, AmpSettings.GAIN)) {
            GainReading octave = read(shape, amp);
            assertThat(octave.ghosts()).isEmpty();
            octave.mixture().ifPresent(m -> assertThat(m.db()).isLessThan(-18));
        }
        assertThat(read("x-3-2-x-x-x", AmpSettings.GAIN).ghosts()).hasSizeGreaterThan(4);
    }

    @Test
    void aPowerChordSharesTheOctaveBelowItsRoot() {
        GainReading power = read("5-7-x-x-x-x", AmpSettings.GAIN);
        assertThat(power.commonHz().orElseThrow()).isCloseTo(55, within(0.1));
        assertThat(read("x-x-7-6-x-x", AmpSettings.GAIN).beatsHz()).isPresent();
    }
}
