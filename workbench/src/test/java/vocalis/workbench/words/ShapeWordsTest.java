package vocalis.workbench.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.voicing.Voicing;

/** Shapes of one name are told apart as players tell them apart: common practice, no source. */
class ShapeWordsTest {

    private static final Fretboard BOARD = new Fretboard(Instrument.of(Tuning.STANDARD), 0);

    private static Voicing on(int root, String shape) {
        return new Voicing(Shape.parse(shape), BOARD, root);
    }

    /** B5 three ways: root and fifth; with the octave; the fifth beneath. */
    @Test
    void powerChordsOfOneRoot() {
        Voicing two = on(11, "7-9-x-x-x-x");
        Voicing three = on(11, "7-9-9-x-x-x");
        Voicing beneath = on(11, "x-9-9-x-x-x");
        assertThat(ShapeWords.apart(two, List.of(three))).isEqualTo("two strings");
        assertThat(ShapeWords.apart(three, List.of(two))).isEqualTo("three strings");
        assertThat(ShapeWords.apart(beneath, List.of(two, three))).isEqualTo("over its fifth");
        assertThat(ShapeWords.apart(two, List.of())).isEmpty();
    }

    @Test
    void anOpenStringOrThePlaceTells() {
        Voicing ringing = on(4, "0-2-2-x-x-x");
        Voicing closed = on(4, "x-7-9-9-x-x");
        assertThat(ShapeWords.apart(ringing, List.of(closed))).isEqualTo("open strings ring");
        Voicing low = on(0, "8-10-x-x-x-x");
        Voicing high = on(0, "x-3-5-x-x-x");
        assertThat(ShapeWords.apart(low, List.of(high))).isEqualTo("at fret 8");
        assertThat(ShapeWords.apart(high, List.of(low))).isEqualTo("at fret 3");
    }

    /**
     * Whatever shapes stand beside each other, no two of them are called alike, save at one fret.
     */
    @Test
    void noTwoBesideEachOtherAreToldAlike() {
        List<Voicing> all =
                List.of(
                        on(9, "5-7-7-x-x-x"),
                        on(9, "5-7-x-x-x-x"),
                        on(9, "x-0-2-2-x-x"),
                        on(9, "x-x-7-9-10-x"),
                        on(9, "0-0-2-2-x-x"));
        List<String> said =
                IntStream.range(0, all.size())
                        .mapToObj(
                                i ->
                                        ShapeWords.apart(
                                                all.get(i),
                                                IntStream.range(0, all.size())
                                                        .filter(j -> j != i)
                                                        .mapToObj(all::get)
                                                        .toList()))
                        .toList();
        assertThat(said).doesNotContain("").doesNotHaveDuplicates();
    }
}
