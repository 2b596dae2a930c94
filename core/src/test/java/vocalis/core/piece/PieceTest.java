package vocalis.core.piece;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.core.edit.Chords;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.riff.Treatment;
import vocalis.core.voicing.Family;

/** What the second guitar has of its own beside the riff. */
class PieceTest {

    private static List<Family> families(Riff riff) {
        return riff.treatments().stream().map(Treatment::family).toList();
    }

    @Test
    void theSecondGuitarPlaysTheRiffAFamilyOrCellsOfItsOwn() {
        Riff riff = Riffs.fourBars();
        Piece piece = Piece.of("p", "Two", "", riff);
        assertThat(piece.secondRiff()).isEqualTo(riff);
        Piece octaves = piece.secondVoicedIn(Optional.of(Family.OCTAVE));
        assertThat(families(octaves.secondRiff())).containsOnly(Family.OCTAVE);
        Riff mixed = Chords.family(octaves.secondRiff(), 1, Family.TRIAD);
        Piece own = octaves.withSecondRiff(mixed);
        assertThat(own.riff()).isEqualTo(riff);
        assertThat(families(own.secondRiff())).startsWith(Family.OCTAVE, Family.TRIAD);
        assertThat(own.secondVoicedIn(Optional.empty()).secondRiff()).isEqualTo(riff);
    }

    /** Whatever becomes of the riff, both guitars stay on the same ground, time and roots. */
    @Test
    void itFollowsGroundTimeAndRootsOfRandomRiffs() {
        Random random = new Random(5);
        for (int i = 0; i < 300; i++) {
            Riff first = Riffs.random(random);
            Piece piece =
                    Piece.of("p", "Two", "", first)
                            .withSecondRiff(Chords.familyOfAll(first, Family.DRONE));
            Riff next = Riffs.random(random);
            Riff second = piece.with(next).secondRiff();
            assertThat(second.ground()).isEqualTo(next.ground());
            assertThat(second.time()).isEqualTo(next.time());
            assertThat(second.roots()).isEqualTo(next.roots());
            assertThat(families(second)).containsOnly(Family.DRONE);
            assertThat(second.pattern()).isEqualTo(next.pattern());
        }
    }

    @Test
    void twoGuitarsOnDifferentRootsAreRefused() {
        Riff riff = Riffs.fourBars();
        Riff fewer = Chords.delete(riff, 0);
        assertThatThrownBy(() -> new PieceRiff("r", riff, List.of(), Optional.of(fewer)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("same roots");
    }
}
