package vocalis.workbench.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import vocalis.core.pattern.Touch;

class TechniqueWordsTest {

    /** Each partial is called after where the overtone series has it (octaves, fifth, third). */
    @Test
    void partialsAreCalledByTheirInterval() {
        Set<String> all = new HashSet<>();
        for (int partial = 2; partial <= Touch.Pinch.HIGHEST; partial++) {
            String words = TechniqueWords.pinch(partial);
            assertThat(all.add(words)).isTrue();
            int semitones = (int) Math.round(12 * Math.log(partial) / Math.log(2));
            String octaves =
                    List.of("an octave", "two octaves", "three octaves").get(semitones / 12 - 1);
            assertThat(words).startsWith("pinch harmonic, " + octaves).endsWith(" up");
            String above =
                    switch (semitones % 12) {
                        case 0 -> "octave";
                        case 4 -> "third";
                        case 7 -> "fifth";
                        case 10 -> "flat seventh";
                        default -> "none of the first eight";
                    };
            assertThat(words).contains(above);
        }
    }
}
