package vocalis.workbench.document;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import vocalis.core.choice.Candidate;
import vocalis.core.choice.Catalogue;
import vocalis.core.derive.Deriver;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Shape;
import vocalis.core.piece.Piece;
import vocalis.core.riff.Member;
import vocalis.core.riff.Riff;
import vocalis.core.riff.Treatment;
import vocalis.formats.FormatException;
import vocalis.formats.json.Extras;
import vocalis.formats.json.PieceCodec;
import vocalis.workbench.demo.Demo;

/** A file sounds as it was saved, whatever the program would choose when it is opened. */
class SettledShapesTest {

    private static final Catalogue CATALOGUE = new Catalogue();
    private static final SettledShapes MEDIUM = new SettledShapes(CATALOGUE, Hand.MEDIUM);

    /** The demo riffs, and five random ones with basses, capos and tunings. */
    private static List<Piece> pieces() throws IOException, FormatException {
        List<Piece> all = new ArrayList<>(Demo.pieces());
        for (int i = 1; i <= 5; i++) {
            String name = "/format-1/random-" + i + ".json";
            try (InputStream in = SettledShapesTest.class.getResourceAsStream(name)) {
                all.add(PieceCodec.read(in.readAllBytes()).piece());
            }
        }
        return all;
    }

    private static Piece filed(Piece piece) throws FormatException, IOException {
        return PieceCodec.read(PieceCodec.write(piece, Extras.NONE)).piece();
    }

    private static List<Shape> shapes(Riff riff, Hand hand) {
        return Deriver.once(riff, hand, CATALOGUE).chords().stream()
                .map(c -> c.candidate().voicing().shape())
                .toList();
    }

    @Test
    void theSameProgramTakesUpWhatItLaidBy() throws IOException, FormatException {
        for (Piece p : pieces()) {
            Piece rested = filed(MEDIUM.settled(p));
            assertThat(rested.riff().treatments())
                    .allMatch(t -> t.member().isPresent() || t.settled().isPresent());
            assertThat(MEDIUM.kept(rested)).isEqualTo(p);
        }
    }

    /** The file as a program with another ranking would have written it: any other member. */
    @Test
    void anotherRankingDoesNotChangeTheRiff() throws IOException, FormatException {
        int differing = 0;
        // Piece by piece, for the catalogue knows the last two necks alone.
        for (Piece p : pieces()) {
            for (int seed = 1; seed <= 4; seed++) {
                differing += choseAnother(p, new Random(seed));
            }
        }
        assertThat(differing).isGreaterThan(20);
    }

    /** How many shapes had to be chosen to keep what a file says. */
    private static int choseAnother(Piece p, Random random) throws IOException, FormatException {
        Riff riff = withoutBasses(p.riff());
        List<Shape> chosen = new ArrayList<>();
        List<Treatment> settled = new ArrayList<>();
        for (int i = 0; i < riff.roots().size(); i++) {
            Shape other = anyOther(riff, i, random);
            chosen.add(other);
            settled.add(riff.treatments().get(i).settled(Optional.of(other)));
        }
        Piece rested = filed(p.with(riff.withTreatments(settled)));
        Piece kept = MEDIUM.kept(rested);
        assertThat(shapes(kept.riff(), Hand.MEDIUM)).isEqualTo(chosen);
        assertThat(kept.riff().treatments()).allMatch(t -> t.settled().isEmpty());
        int count = SettledShapes.chosen(rested, kept);
        assertThat(count)
                .isEqualTo(
                        kept.riff().treatments().stream()
                                .filter(t -> t.member().isPresent())
                                .count());
        return count;
    }

    private static Shape anyOther(Riff riff, int chord, Random random) {
        Fretboard board = riff.ground().board();
        int root = riff.roots().get(chord).root().pitchClass(riff.ground().key());
        List<Candidate> all =
                CATALOGUE.leading(board, Hand.MEDIUM, riff.treatments().get(chord).family(), root);
        return all.isEmpty()
                ? shapes(riff, Hand.MEDIUM).get(chord)
                : all.get(random.nextInt(all.size())).voicing().shape();
    }

    private static Riff withoutBasses(Riff riff) {
        return riff.withTreatments(
                riff.treatments().stream().map(t -> t.over(Optional.empty())).toList());
    }

    private static Piece restedIn(Shape first) {
        Piece p = Demo.blank();
        return p.with(
                p.riff()
                        .withTreatment(
                                0, p.riff().treatments().get(0).settled(Optional.of(first))));
    }

    @Test
    void aShapeOfNoFamilyIsKeptAsBuiltByHand() {
        Shape strange = Shape.parse("x-x-x-x-1-2");
        Piece kept = MEDIUM.kept(restedIn(strange));
        assertThat(kept.riff().treatments().get(0).member())
                .containsInstanceOf(Member.ByHand.class);
        assertThat(shapes(kept.riff(), Hand.MEDIUM).get(0)).isEqualTo(strange);
    }

    @ParameterizedTest
    @ValueSource(strings = {"1-x-x-x-x-9", "5-7-7", "x-x-x-x-x-x", "30-x-x-x-x-x"})
    void whatTheHandOrTheNeckDoesNotHaveIsChosenAnew(String shape) {
        Piece kept = MEDIUM.kept(restedIn(Shape.parse(shape)));
        assertThat(kept.riff()).isEqualTo(Demo.blank().riff());
    }
}
