package vocalis.core.choice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Fingering;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Shape;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;

/** Fingers that a player wants are taken wherever a hand can do it, and nowhere else. */
class FingersWantedTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    private static Derived derived(Riff riff) {
        return Deriver.once(riff, Hand.MEDIUM, CATALOGUE);
    }

    @Test
    void eachAlternativeIsKept() {
        Riff riff = Riffs.repeating(1, 4, 5);
        Derived before = derived(riff);
        int tried = 0;
        for (int i = 0; i < 3; i++) {
            Candidate c = before.chords().get(i).candidate();
            Shape shape = c.voicing().shape();
            for (Fingering f : Fingers.alternatives(c.voicing().board(), shape, Hand.MEDIUM)) {
                List<Integer> wanted = Fingers.onStrings(f, shape);
                Derived after = derived(Chords.fingers(riff, i, Optional.of(wanted)));
                Candidate held = after.chords().get(i).candidate();
                assertThat(held.voicing().shape()).isEqualTo(shape);
                assertThat(Fingers.onStrings(held.fingering(), shape)).isEqualTo(wanted);
                tried++;
            }
        }
        assertThat(tried).isGreaterThan(5);
    }

    @Test
    void whatNoHandDoesIsLeftToTheWay() {
        Riff riff = Riffs.repeating(1, 4, 5);
        Derived before = derived(riff);
        List<Integer> wild = List.of(4, 3, 2, 1, 1, 1);
        Derived after = derived(Chords.fingers(riff, 0, Optional.of(wild)));
        assertThat(after.chords().get(0).candidate().fingering())
                .isEqualTo(before.chords().get(0).candidate().fingering());
    }
}
