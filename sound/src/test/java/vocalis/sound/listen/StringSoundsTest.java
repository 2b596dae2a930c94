package vocalis.sound.listen;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import vocalis.sound.gain.Line;

/** The sounds of a neck, each made once. */
class StringSoundsTest {

    private final List<String> made = new ArrayList<>();
    private final StringSounds sounds =
            new StringSounds(
                    3,
                    5,
                    440,
                    (s, f) -> {
                        made.add(s + ":" + f);
                        return List.of(new Line(110 * (s + 1) + f, 1));
                    });

    @Test
    void whatIsPreparedIsNotMadeAgain() {
        sounds.prepare(2);
        assertThat(made)
                .containsExactly("0:0", "0:1", "0:2", "1:0", "1:1", "1:2", "2:0", "2:1", "2:2");
        made.clear();
        sounds.of(1, 2);
        assertThat(made).isEmpty();
        sounds.of(1, 3);
        assertThat(made).containsExactly("1:3");
        sounds.prepare(99);
        assertThat(made).hasSize(9).doesNotHaveDuplicates().doesNotContain("0:6");
    }
}
