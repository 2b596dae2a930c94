package vocalis.core.vary;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.theory.Key;
import vocalis.core.theory.Spelling;
import vocalis.core.voicing.Family;

/** Open strings that ring through a riff. */
class HeldDronesTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    @Test
    void theStringsRingInEveryChordAndNoOtherDoes() {
        Derived before = Deriver.once(Riffs.repeating(1, 4, 5, 6), Hand.MEDIUM, CATALOGUE);
        List<HeldDrones.Offer> all = HeldDrones.of(before, CATALOGUE);
        assertThat(all).hasSize(11);
        int voiced = 0;
        for (HeldDrones.Offer o : all) {
            assertThat(o.riff().isEmpty()).isEqualTo(o.without() >= 0);
            if (o.riff().isEmpty()) {
                continue;
            }
            voiced++;
            Derived after = Deriver.once(o.riff().get(), Hand.MEDIUM, CATALOGUE);
            assertThat(after.findings()).isEmpty();
            for (int i = 0; i < after.chords().size(); i++) {
                Shape shape = after.chords().get(i).candidate().voicing().shape();
                assertThat(after.chords().get(i).root()).isEqualTo(before.chords().get(i).root());
                for (int s = 0; s < shape.strings(); s++) {
                    assertThat(shape.fret(s) == 0).isEqualTo(o.strings().contains(s));
                }
            }
        }
        assertThat(voiced).isGreaterThan(3);
        assertThat(all.get(0).riff()).isPresent();
    }

    /** Open B over C is its major seventh, over F its tritone: both rub (arithmetic). */
    @Test
    void whatRubsIsCounted() {
        Derived d = Deriver.once(Riffs.repeating(1, 4), Hand.MEDIUM, CATALOGUE);
        for (HeldDrones.Offer o : HeldDrones.of(d, CATALOGUE)) {
            long rubbing =
                    o.degrees().stream()
                            .filter(
                                    c ->
                                            c.stream()
                                                    .anyMatch(
                                                            g ->
                                                                    List.of(1, 6, 8, 11)
                                                                            .contains(
                                                                                    g.semitones())))
                            .count();
            assertThat(o.rubs()).isEqualTo((int) rubbing);
        }
    }

    /**
     * Where the strings are said to be clear, the riff moved there, or the capo put on, rubs
     * nowhere.
     */
    @Test
    void otherKeysAndCaposAreThoseWhereNothingRubs() {
        Riff riff = Riffs.repeating(1, 4);
        List<HeldDrones.Offer> all =
                HeldDrones.of(Deriver.once(riff, Hand.MEDIUM, CATALOGUE), CATALOGUE);
        Ground ground = riff.ground();
        for (int by : new int[] {2, 3, 7}) {
            Key there =
                    new Key(
                            Spelling.plain(ground.key().tonic().pitchClass() + by),
                            ground.key().mode());
            Derived moved =
                    Deriver.once(riff.withGround(ground.withKey(there)), Hand.MEDIUM, CATALOGUE);
            List<HeldDrones.Offer> then = HeldDrones.of(moved, CATALOGUE);
            Derived capo =
                    Deriver.once(riff.withGround(ground.withCapo(by)), Hand.MEDIUM, CATALOGUE);
            List<HeldDrones.Offer> under = HeldDrones.of(capo, CATALOGUE);
            for (HeldDrones.Offer o : all) {
                assertThat(o.transpositions().contains(by)).isEqualTo(rubs(then, o) == 0);
                assertThat(o.capos().contains(by)).isEqualTo(rubs(under, o) == 0);
            }
        }
    }

    /** Open G and C are a semitone beside the thirds of E and A major (arithmetic). */
    @Test
    void familiesAreSpoiledByASemitone() {
        Riff riff = Riffs.repeating(1, 4);
        Ground g = riff.ground();
        Derived major =
                Deriver.once(
                        riff.withGround(g.withKey(Key.parse("E major"))), Hand.MEDIUM, CATALOGUE);
        for (HeldDrones.Offer o : HeldDrones.of(major, CATALOGUE)) {
            if (o.strings().equals(new java.util.TreeSet<>(List.of(3)))) {
                assertThat(o.spoiled()).contains(Family.THIRD, Family.TRIAD);
            }
            if (o.strings().equals(new java.util.TreeSet<>(List.of(5)))) {
                // Open E is the tonic of E and the fifth of A: beside nothing of theirs.
                assertThat(o.spoiled()).isEmpty();
            }
        }
    }

    private static int rubs(List<HeldDrones.Offer> of, HeldDrones.Offer like) {
        return of.stream()
                .filter(o -> o.strings().equals(like.strings()))
                .findFirst()
                .orElseThrow()
                .rubs();
    }
}
