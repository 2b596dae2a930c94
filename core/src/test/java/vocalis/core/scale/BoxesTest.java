package vocalis.core.scale;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;
import vocalis.core.riff.Riffs;
import vocalis.core.theory.Key;
import vocalis.core.theory.Mode;

class BoxesTest {

    private static final Fretboard BOARD = new Fretboard(Instrument.of(Tuning.STANDARD), 0);

    /** Frets per string from the lowest, such as {@code 5 8/5 7}. */
    private static String frets(Box box) {
        return box.spots().stream()
                .collect(
                        Collectors.groupingBy(
                                Box.Spot::string,
                                java.util.TreeMap::new,
                                Collectors.mapping(
                                        s -> String.valueOf(s.fret()), Collectors.joining(" "))))
                .values()
                .stream()
                .collect(Collectors.joining("/"));
    }

    /**
     * The five boxes of a pentatonic and scales in position, as every method teaches them: common
     * practice, no source.
     */
    @ParameterizedTest
    @CsvSource({
        "C minor pentatonic, 8, 8, 8 11/8 10/8 10/8 10/8 11/8 11",
        "C minor pentatonic, 11, 10, 11 13/10 13/10 13/10 12/11 13/11 13",
        "C minor pentatonic, 1, 1, 1 3/1 3/1 3/0 3/1 4/1 3",
        "C minor pentatonic, 3, 3, 3 6/3 6/3 5/3 5/4 6/3 6",
        "C minor pentatonic, 6, 5, 6 8/6 8/5 8/5 8/6 8/6 8",
        "E minor pentatonic, 0, 1, 0 3/0 2/0 2/0 2/0 3/0 3",
        "D minor, 10, 10, 10 12 13/10 12 13/10 12/9 10 12/10 11 13/10 12 13",
        "B major, 7, 6, 7 9/6 7 9/6 8 9/6 8 9/7 9/6 7 9",
    })
    void boxesAreThoseThatPlayersKnow(String scale, int start, int position, String frets) {
        Box box = Boxes.at(BOARD, Key.parse(scale), start).orElseThrow();
        assertThat(frets(box)).isEqualTo(frets);
        assertThat(box.position()).isEqualTo(position);
    }

    @Test
    void aPentatonicHasFiveAndASevenNoteScaleSeven() {
        assertThat(Boxes.of(BOARD, Key.parse("F# minor pentatonic"))).hasSize(5);
        assertThat(Boxes.of(BOARD, Key.parse("F# dorian"))).hasSize(7);
    }

    /** The same box an octave up: the same notes twelve frets higher, and back. */
    @Test
    void theSameBoxAnOctaveUp() {
        for (Box box : Boxes.of(BOARD, Key.parse("G mixolydian"))) {
            Optional<Box> up = Boxes.octave(BOARD, box);
            if (box.start() + 16 > BOARD.frets()) {
                continue;
            }
            Box high = up.orElseThrow();
            assertThat(high.start()).isEqualTo(box.start() + 12);
            assertThat(Boxes.octave(BOARD, high).map(Box::start)).contains(box.start());
            if (!box.atNut()) {
                assertThat(high.spots().stream().map(s -> s.fret() - 12).toList())
                        .isEqualTo(box.spots().stream().map(Box.Spot::fret).toList());
            }
        }
    }

    /** In every scale, key and common tuning: notes of the scale alone, under a finger each. */
    @Test
    void everyBoxLiesUnderTheHand() {
        Random random = new Random(4);
        int seen = 0;
        for (int i = 0; i < 200; i++) {
            Fretboard board = Riffs.random(random).ground().board();
            Mode mode = Mode.builtIn().get(random.nextInt(Mode.builtIn().size()));
            Key key = new Key(vocalis.core.theory.Spelling.plain(random.nextInt(12)), mode);
            for (Box box : Boxes.of(board, key)) {
                seen++;
                int last = -1;
                for (Box.Spot s : box.spots()) {
                    assertThat(key.contains(s.midi())).isTrue();
                    assertThat(board.midi(s.string(), s.fret())).isEqualTo(s.midi());
                    assertThat(s.midi()).as("each pitch once, upwards").isGreaterThan(last);
                    last = s.midi();
                    if (s.fret() > 0) {
                        assertThat(s.fret()).isBetween(box.position() - 1, box.position() + 4);
                        assertThat(s.finger()).isBetween(1, 4);
                    } else {
                        assertThat(s.finger()).isZero();
                    }
                }
            }
        }
        assertThat(seen).isGreaterThan(800);
    }

    @Test
    void aDegreeIsTheNearestOfItsNumber() {
        Box box = Boxes.at(BOARD, Key.parse("A minor pentatonic"), 5).orElseThrow();
        assertThat(box.degree(3, 60).map(Box.Spot::midi)).contains(60);
        assertThat(box.degree(1, 47).map(Box.Spot::midi)).contains(45);
        assertThat(box.degree(6, 60)).isEmpty();
        assertThat(
                        List.of(
                                box.at(0, 5).orElseThrow().finger(),
                                box.at(0, 8).orElseThrow().finger()))
                .containsExactly(1, 4);
    }
}
