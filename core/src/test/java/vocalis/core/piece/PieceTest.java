package vocalis.core.piece;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import vocalis.core.edit.Chords;
import vocalis.core.edit.Strokes;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.pattern.Anchor;
import vocalis.core.pattern.Touch;
import vocalis.core.rhythm.Meter;
import vocalis.core.rhythm.TimeLine;
import vocalis.core.riff.Ground;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Riffs;
import vocalis.core.riff.Root;
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

    /** A second guitar on other strings, or in another time, is none of this riff's. */
    @Test
    void aSecondGuitarOfOtherStringsOrTimeIsRefused() {
        Riff riff = Riffs.fourBars();
        Instrument low = Instrument.of(Tuning.LOW_D);
        Ground ground = new Ground(low, 0, riff.ground().key(), riff.ground().tone(), 440);
        for (Riff own :
                List.of(
                        riff.withGround(ground),
                        riff.withTime(TimeLine.of(Meter.COMMON, riff.tempo() + 1)))) {
            assertThatThrownBy(
                            () -> new PieceRiff("r", riff, List.of(), Optional.of(own), List.of()))
                    .isInstanceOf(IllegalArgumentException.class)
                    .hasMessageContaining("but the second has others");
        }
    }

    /** Roots and lengths are shared, whoever writes them; figures, shapes and touches are not. */
    @Test
    void whatOneGuitarDoesToTheRootsHoldsForBoth() {
        Random random = new Random(11);
        for (int i = 0; i < 200; i++) {
            Riff first = Riffs.random(random);
            Piece piece =
                    Piece.of("p", "Two", "", first)
                            .withSecondRiff(
                                    Strokes.silence(Chords.familyOfAll(first, Family.OCTAVE)));
            int chord = random.nextInt(first.roots().size());
            Piece changed = piece.changing(Guitar.TWO, r -> Chords.copy(r, chord));
            assertThat(changed.riff()).isEqualTo(Chords.copy(first, chord));
            assertThat(changed.secondRiff().roots()).isEqualTo(changed.riff().roots());
            assertThat(families(changed.secondRiff())).containsOnly(Family.OCTAVE);
            Piece voiced = piece.changing(Guitar.TWO, r -> Chords.family(r, chord, Family.DRONE));
            assertThat(voiced.riff()).isEqualTo(first);
            assertThat(families(voiced.secondRiff()).get(chord)).isEqualTo(Family.DRONE);
        }
    }

    /** A riff given as a whole is the second guitar's; the first keeps its figures and shapes. */
    @Test
    void anotherRiffAltogetherLeavesTheFirstItsOwn() {
        Random random = new Random(12);
        for (int i = 0; i < 200; i++) {
            Riff first = Riffs.random(random);
            Riff other = Riffs.random(random);
            Piece piece =
                    Piece.of("p", "Two", "", first)
                            .withSecondRiff(Chords.familyOfAll(first, Family.OCTAVE));
            Piece changed = piece.changing(Guitar.TWO, r -> other);
            assertThat(changed.secondRiff()).isEqualTo(other);
            assertThat(changed.riff().roots()).isEqualTo(other.roots());
            if (piece.secondRiff().equals(first)) {
                continue; // Two guitars on one riff go to the other together.
            }
            assertThat(families(changed.riff())).isSubsetOf(families(first));
            if (first.length() == other.length()) {
                assertThat(changed.riff().pattern()).isEqualTo(first.pattern());
                assertThat(changed.riff().touches()).isEqualTo(first.touches());
            }
        }
    }

    /** Touches of its own stay, though it strikes the same pattern as the first guitar. */
    @Test
    void touchesOfItsOwnStayOverTheSamePattern() {
        Riff riff = Riffs.fourBars();
        Touch bend =
                new Touch.Vibrato(
                        new Anchor(
                                riff.pattern().order().get(0),
                                riff.pattern().figures().get(0).events().get(0).id(),
                                Optional.empty(),
                                new Anchor.Voice.FromTop(0)),
                        40,
                        Touch.Vibrato.USUAL_HZ,
                        0);
        Piece piece =
                Piece.of("p", "Two", "", riff)
                        .changing(Guitar.TWO, r -> r.withTouches(List.of(bend)));
        assertThat(piece.riff()).isEqualTo(riff);
        assertThat(piece.secondRiff().touches()).containsExactly(bend);
        Piece stepped = piece.with(Chords.root(riff, 0, new Root(3, 0)));
        assertThat(stepped.secondRiff().touches()).containsExactly(bend);
    }

    /** What it kept comes back on the roots that are played now. */
    @Test
    void itKeepsVersionsOfItsOwn() {
        Riff riff = Riffs.fourBars();
        Piece piece =
                Piece.of("p", "Two", "", riff)
                        .withSecondRiff(Chords.familyOfAll(riff, Family.OCTAVE))
                        .keeping(Guitar.TWO, "octaves", "");
        assertThat(piece.versions(Guitar.ONE)).isEmpty();
        assertThat(piece.versions(Guitar.TWO)).extracting(Version::name).containsExactly("octaves");
        Piece other =
                piece.changing(Guitar.TWO, r -> Chords.familyOfAll(r, Family.THIRD))
                        .changing(Guitar.ONE, r -> Chords.root(r, 1, new Root(5, 0)));
        assertThat(families(other.secondRiff())).containsOnly(Family.THIRD);
        String id = piece.versions(Guitar.TWO).get(0).id();
        Piece back = other.taking(Guitar.TWO, id);
        assertThat(families(back.secondRiff())).containsOnly(Family.OCTAVE);
        assertThat(back.secondRiff().roots()).isEqualTo(other.riff().roots());
        assertThat(back.riff()).isEqualTo(other.riff());
        assertThat(back.dropping(Guitar.TWO, id).versions(Guitar.TWO)).isEmpty();
    }

    @Test
    void twoGuitarsOnDifferentRootsAreRefused() {
        Riff riff = Riffs.fourBars();
        Riff fewer = Chords.delete(riff, 0);
        assertThatThrownBy(() -> new PieceRiff("r", riff, List.of(), Optional.of(fewer), List.of()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("same roots");
    }
}
