package vocalis.core.riff;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import vocalis.core.edit.GroundText;

/** Key, tempo and meter as players write them beside a riff: common practice, no source. */
class GroundTextTest {

    @ParameterizedTest
    @CsvSource({
        "f# dorian 132 5/4, F♯ dorian, 132, 5/4",
        "'5/4, 132, f# dorian', F♯ dorian, 132, 5/4",
        "bbm 96 6/8, B♭ minor, 96, 6/8",
        "d 200 12/8, D major, 200, 12/8",
        "E phrygian dominant 88 3/4, E phrygian dominant, 88, 3/4"
    })
    void allThreeInAnyOrder(String line, String key, int tempo, String meter) {
        GroundText g = GroundText.parse(line);
        assertThat(g.key().orElseThrow().symbol()).isEqualTo(key);
        assertThat(g.tempo()).contains(tempo);
        assertThat(g.meter().orElseThrow().symbol()).isEqualTo(meter);
    }

    @Test
    void whatIsNotThereIsNotChanged() {
        GroundText g = GroundText.parse(" 144 ");
        assertThat(g.key()).isEmpty();
        assertThat(g.meter()).isEmpty();
        assertThat(g.tempo()).contains(144);
        assertThat(GroundText.parse("").tempo()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"19", "401", "99999", "100 120", "3/4 4/4", "h minor", "c sideways", "4/5"})
    void whatIsNoneOfThemIsNamed(String line) {
        String wrong = line.split(" ")[line.split(" ").length - 1];
        assertThatThrownBy(() -> GroundText.parse(line))
                .isInstanceOf(IllegalArgumentException.class)
                .message()
                .satisfies(m -> assertThat(m.toLowerCase()).containsAnyOf(wrong, line, "h"));
    }
}
