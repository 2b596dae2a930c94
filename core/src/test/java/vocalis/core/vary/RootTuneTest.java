package vocalis.core.vary;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Derived;
import vocalis.core.derive.Deriver;
import vocalis.core.edit.Chords;
import vocalis.core.hands.Hand;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.voicing.Family;

/** One root of the tune bent by an octave: it alone moves, by twelve, in its family. */
class RootTuneTest {

    private static final Catalogue CATALOGUE = new Catalogue();

    private static Derived derived(Riff riff) {
        return Deriver.once(riff, Hand.MEDIUM, CATALOGUE);
    }

    @ParameterizedTest
    @EnumSource(names = {"POWER", "FOURTH", "THIRD", "OCTAVE", "TRIAD"})
    void oneRootMovesByAnOctave(Family family) {
        Derived before = derived(Chords.familyOfAll(Riffs.repeating(1, 4, 6, 5), family));
        int bent = 0;
        for (int chord = 0; chord < before.chords().size(); chord++) {
            for (int direction : new int[] {1, -1}) {
                Optional<Riff> riff = RootTune.bent(before, chord, direction, CATALOGUE);
                if (riff.isEmpty()) {
                    continue;
                }
                bent++;
                Derived after = derived(riff.get());
                List<Integer> wanted = new ArrayList<>(RootTune.of(before));
                wanted.set(chord, wanted.get(chord) + 12 * direction);
                assertThat(RootTune.of(after)).isEqualTo(wanted);
                assertThat(riff.get().treatments().get(chord).family()).isEqualTo(family);
                assertThat(riff.get().roots()).isEqualTo(before.riff().roots());
            }
        }
        assertThat(bent).isPositive();
    }
}
