package vocalis.workbench.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.choice.PlainPower;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.mix.Controls;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Tone;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;
import vocalis.sound.gain.Ghost;
import vocalis.workbench.demo.Demo;
import vocalis.workbench.document.Workspace;
import vocalis.workbench.playing.GainReadings;
import vocalis.workbench.playing.RootProof;

class GainWordsTest {

    private final Fretboard board = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
    private final GainReadings readings = new GainReadings();

    private Voicing voicing(String shape, int root) {
        return new Voicing(Shape.parse(shape), board, root);
    }

    private static Ground ground(Tone tone) {
        return Demo.blank().riff().ground().withTone(tone);
    }

    /** The plain power chords that players mean (common practice). */
    @Test
    void thePlainPowerChordIsTheUsualGrip() {
        assertThat(PlainPower.on(board, 9)).map(v -> v.shape().text()).contains("5-7-7-x-x-x");
        assertThat(PlainPower.on(board, 2)).map(v -> v.shape().text()).contains("x-5-7-7-x-x");
        assertThat(PlainPower.on(board, 7)).map(v -> v.shape().text()).contains("3-5-5-x-x-x");
        assertThat(PlainPower.on(new Fretboard(Instrument.of(Tuning.LOW_D), 0), 4))
                .map(v -> v.shape().text())
                .contains("2-2-2-x-x-x");
        for (int root = 0; root < 12; root++) {
            Voicing v = PlainPower.on(board, root).orElseThrow();
            int bass = v.bass();
            assertThat(v.midi()).isEqualTo(List.of(bass, bass + 7, bass + 12));
            assertThat(bass % 12).isEqualTo(root);
            assertThat(PlainPower.against(v, root)).contains(v);
        }
    }

    /**
     * A fourth is its power chord without the low root, so it is measured against that one; a chord
     * on its root against the power chord on the same bass, open where there is no other (common
     * practice).
     */
    @ParameterizedTest
    @CsvSource({
        "x-x-2-2-x-x,9,5-7-7-x-x-x",
        "x-7-7-x-x-x,9,5-7-7-x-x-x",
        "x-x-7-7-x-x,2,x-5-7-7-x-x",
        "x-x-2-2-2-x,9,5-7-7-x-x-x",
        "8-8-x-x-x-x,5,1-3-3-x-x-x",
        "x-0-2-2-2-0,9,5-7-7-x-x-x",
        "0-2-2-1-0-0,4,0-2-2-x-x-x",
        "3-2-0-0-0-3,7,3-5-5-x-x-x",
        "x-x-7-9-x-x,9,x-x-x-2-5-5",
        "5-5-x-x-x-x,2,1-3-3-x-x-x"
    })
    void aChordIsMeasuredInItsOwnRegister(String shape, int root, String against) {
        assertThat(PlainPower.against(voicing(shape, root), root).map(v -> v.shape().text()))
                .contains(against);
    }

    /**
     * Fourths are about as steady under gain as power chords, the lowest least (players'
     * experience, common practice).
     */
    @ParameterizedTest
    @CsvSource({
        "x-x-2-2-x-x,9",
        "x-7-7-x-x-x,9",
        "x-x-7-7-x-x,2",
        "5-5-x-x-x-x,2",
        "x-x-9-9-x-x,4"
    })
    void aFourthIsSteady(String shape, int root) {
        var a =
                readings.of(
                        voicing(shape, root),
                        root,
                        ground(Tone.GAIN),
                        Controls.USUAL,
                        new double[0]);
        assertThat(a.growl()).as(shape).isLessThan(shape.startsWith("x") ? 1.15 : 1.4);
    }

    @Test
    void aPowerChordIsMeasuredAgainstItself() {
        var a =
                readings.of(
                        voicing("x-5-7-7-x-x", 2),
                        2,
                        ground(Tone.GAIN),
                        Controls.USUAL,
                        new double[0]);
        assertThat(a.growl()).isEqualTo(1);
        String words =
                new GainWords(voicing("x-5-7-7-x-x", 2), Optional.empty()).summary(a, Tone.GAIN);
        assertThat(words).startsWith("As steady as the plain power chord.");
    }

    @Test
    void aThirdGrowlsAndItsGhostsAreToldFromTheirNotes() {
        Voicing third = voicing("x-x-7-6-x-x", 9);
        var a = readings.of(third, 9, ground(Tone.GAIN), Controls.USUAL, new double[0]);
        GainWords words = new GainWords(third, Optional.of(Key.parse("A major")));
        assertThat(words.summary(a, Tone.GAIN)).contains("times as rough").contains("it growls");
        Ghost difference =
                a.reading().ghosts().stream()
                        .filter(g -> g.relation().formula().equals("2f2 − 2f1"))
                        .findFirst()
                        .orElseThrow();
        // Twice the difference tone: two octaves below the root and an octave up, 67 cents sharp.
        assertThat(words.origin(difference))
                .isEqualTo("2f2 − 2f1 of A and C♯, 67 ¢ sharp of its just A2");
        assertThat(words.place(difference)).startsWith("B♭2").contains("¢");
        var again = readings.of(third, 9, ground(Tone.GAIN), Controls.USUAL, new double[0]);
        assertThat(again.reading()).as("remembered").isSameAs(a.reading());
        assertThat(again.plain()).isSameAs(a.plain());
    }

    /** A third on the lowest strings is mud to players, however rough the fifth beside it is. */
    @Test
    void aLowThirdIsNotCalledSteady() {
        Ground lowD = Demo.pieces().get(0).riff().ground();
        assertThat(lowD.instrument().tuning()).isEqualTo(Tuning.LOW_D);
        Voicing low = new Voicing(Shape.parse("7-4-x-x-x-x"), lowD.board(), 9);
        var a = readings.of(low, 9, lowD, Controls.USUAL, new double[0]);
        String words = new GainWords(low, Optional.empty()).summary(a, Tone.GAIN);
        assertThat(words).doesNotContain("As steady").contains("mud");
    }

    @Test
    void pureThirdsAreCountedFromTheRoot() {
        double[] major = GainReadings.pure(voicing("x-x-7-6-x-x", 9), 9);
        assertThat(major[3]).isBetween(-13.7, -13.68);
        assertThat(GainWords.intonation(major).orElseThrow()).contains("growl goes");
        double[] minor = GainReadings.pure(voicing("x-x-7-5-x-x", 9), 9);
        assertThat(minor[3]).isBetween(15.6, 15.65);
        assertThat(GainWords.intonation(minor).orElseThrow()).contains("outside the chord");
        assertThat(GainReadings.pure(voicing("5-7-7-x-x-x", 9), 9)).isEmpty();
        assertThat(GainWords.intonation(new double[0])).isEmpty();
    }

    /** Common practice: under the fourth F♯ and B the power chord on B belongs. */
    @Test
    void theRootThatBelongsComesFirst() {
        List<RootProof.Candidate> all =
                RootProof.of(voicing("x-x-4-4-x-x", 6), Key.parse("B minor"));
        assertThat(all).hasSize(RootProof.MOST);
        assertThat(all.get(0).root()).isEqualTo(11);
        assertThat(all.get(0).fits()).isTrue();
        assertThat(all.get(0).why()).contains("fifth");
        assertThat(all.get(1).fits()).isFalse();
        assertThat(all).allSatisfy(c -> assertThat(c.why()).endsWith("."));
    }

    @Test
    void theRiffsRootIsSummedOverItsChords() {
        Workspace w = new Workspace(new Catalogue(), Demo.pieces().get(0));
        List<RootProof.Candidate> all = RootProof.of(w.derived());
        assertThat(all.get(0).support()).isGreaterThanOrEqualTo(all.get(1).support());
        assertThat(all.get(0).fits()).isTrue();
        assertThat(all.stream().filter(c -> c.root() == 2).findFirst().orElseThrow().why())
                .contains("The tonic of D phrygian");
    }
}
