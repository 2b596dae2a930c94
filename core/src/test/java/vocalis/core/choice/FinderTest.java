package vocalis.core.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vocalis.core.hands.Hand;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Tuning;

class FinderTest {

    private final Fretboard board = new Fretboard(Instrument.of(Tuning.STANDARD), 0);

    private List<String> found(String text) {
        return Finder.candidates(Finder.parse(text, board), board, Hand.MEDIUM).stream()
                .map(c -> c.voicing().shape().text())
                .toList();
    }

    @Test
    void aShapeIsTakenAsItStands() {
        assertThat(Finder.parse(" x-9-11-11-0-0 ", board).shape())
                .map(s -> s.text())
                .contains("x-9-11-11-0-0");
    }

    /** Two drone and power shapes and the open forms that every player knows (common practice). */
    @Test
    void aNameFindsItsShapes() {
        assertThat(found("F#7sus4")).contains("x-9-11-11-0-0");
        assertThat(found("D5")).contains("x-5-7-7-x-x");
        assertThat(found("C")).contains("x-3-2-0-1-0");
        assertThat(found("Em7")).contains("0-2-0-0-0-0");
        assertThat(found("A5/G#")).contains("4-7-7-x-x-x");
    }

    @Test
    void notesFindEveryShapeOfThemOverAnyBass() {
        Finder.Query q = Finder.parse("F# C# B E", board);
        assertThat(q.pitchClasses()).isEqualTo(Set.of(6, 1, 11, 4));
        assertThat(q.bass()).isEqualTo(Optional.empty());
        assertThat(found("F# C# B E")).contains("x-9-11-11-0-0");
        Finder.candidates(q, board, Hand.MEDIUM)
                .forEach(
                        c ->
                                assertThat(Set.copyOf(c.voicing().pitchClasses()))
                                        .isEqualTo(q.pitchClasses()));
    }

    @Test
    void whatCannotBeReadIsSaid() {
        assertThatThrownBy(() -> Finder.parse("  ", board)).hasMessageContaining("Type a shape");
        assertThatThrownBy(() -> Finder.parse("x-9-11-11", board))
                .hasMessageContaining("6 strings");
        assertThatThrownBy(() -> Finder.parse("x-x-x-x-x-x", board))
                .hasMessageContaining("sounds nothing");
        assertThatThrownBy(() -> Finder.parse("0-0-0-0-0-30", board))
                .hasMessageContaining("on this neck");
        assertThatThrownBy(() -> Finder.parse("H7", board))
                .isInstanceOf(IllegalArgumentException.class);
    }
}
