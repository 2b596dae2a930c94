package vocalis.formats.tab;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import vocalis.core.instrument.Tuning;
import vocalis.core.score.ScoreNote;
import vocalis.formats.sheet.Imported;

/** Players leave out the lines of strings that they do not play (common practice, no source). */
class LeftOutTest {

    private static final String SAID = "tuning: E2 A2 D3 G3 B3 E4 (standard)\n\n";

    private static final List<String> LINES =
            List.of(
                    "e|---------0-------|",
                    "B|-------3---------|",
                    "G|-----4-----------|",
                    "D|---5-------7-----|",
                    "A|-3-----------5---|",
                    "E|---------------6-|");

    private static String without(int... gone) {
        List<String> left = new ArrayList<>(LINES);
        for (int i = gone.length - 1; i >= 0; i--) {
            left.remove(gone[i]);
        }
        return String.join("\n", left) + "\n";
    }

    private static List<Integer> pitches(Imported i) {
        var score = i.sheet().score();
        return score.notes().stream()
                .map((ScoreNote n) -> score.board().midi(n.string(), n.fret()))
                .toList();
    }

    /** Whatever line is gone, the others keep their strings, and it is said. */
    @ParameterizedTest
    @ValueSource(ints = {0, 1, 2, 3, 4, 5})
    void theOthersKeepTheirStrings(int gone) throws Exception {
        Imported whole = TabText.read(SAID + without());
        Imported left = TabText.read(SAID + without(gone));
        assertThat(left.sheet().score().board().instrument().tuning().open())
                .isEqualTo(Tuning.STANDARD.open());
        List<Integer> kept = new ArrayList<>();
        whole.sheet().score().notes().stream()
                .filter(n -> n.string() != 5 - gone)
                .forEach(n -> kept.add(whole.sheet().score().board().midi(n.string(), n.fret())));
        assertThat(pitches(left)).isEqualTo(kept);
        assertThat(left.remarks()).anyMatch(r -> r.startsWith("Only 5 of 6 strings have a line"));
    }

    /** Without a tuning five of a guitar's strings are a guitar's, and another system tells too. */
    @Test
    void aGuitarIsKnownByFiveOfItsStrings() throws Exception {
        Imported five = TabText.read(without(5));
        assertThat(five.sheet().score().board().strings()).isEqualTo(6);
        assertThat(five.remarks()).anyMatch(r -> r.startsWith("Only 5 of 6 strings have a line"));
        Imported four = TabText.read(without(4, 5));
        assertThat(four.sheet().score().board().strings()).isEqualTo(6);
        assertThat(four.remarks()).anyMatch(r -> r.startsWith("Only 4 of 6 strings have a line"));
        Imported two = TabText.read(without() + "\n" + without(0, 5));
        assertThat(two.sheet().score().board().strings()).isEqualTo(6);
        assertThat(two.remarks()).anyMatch(r -> r.startsWith("Only 4 of 6 strings have a line"));
        List<Integer> all = pitches(two);
        int n = pitches(TabText.read(without())).size();
        assertThat(all).hasSize(n + n - 2);
    }

    /** E A D G alone may be a bass: it is read as one, as before; letters that fit twice stay. */
    @Test
    void whatIsNotSureStays() throws Exception {
        Imported bass = TabText.read(without(0, 1).replace("e|", "E|"));
        assertThat(bass.sheet().score().board().strings()).isEqualTo(4);
        assertThat(bass.remarks()).noneMatch(r -> r.startsWith("Only"));
        // Of D A D G A D any of three is the D that has no line.
        String dadgad = "tuning: D2 A2 D3 G3 A3 D4\n\n" + without(0, 5).replace("B|", "A|");
        assertThat(TabText.read(dadgad.replace("G|", "D|").replace("A|", "D|")).remarks())
                .anyMatch(
                        r -> r.startsWith("The tuning that the tab says has 6 strings, the tab 4"));
    }

    /** Three lines are no tab of a guitar, as before. */
    @ParameterizedTest
    @CsvSource({"0,1,2", "3,4,5"})
    void threeLinesAreRefused(int a, int b, int c) {
        assertThatThrownBy(() -> TabText.read(SAID + without(a, b, c)))
                .hasMessageContaining("a system of 3 strings");
    }
}
