package vocalis.core.vary;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Riffs;

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
}
