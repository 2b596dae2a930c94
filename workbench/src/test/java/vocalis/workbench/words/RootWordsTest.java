package vocalis.workbench.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.names.HeardRoot;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;

/** A sentence for every fact; the supports are reckoned by hand from the published weights. */
class RootWordsTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "3-5-5-x-x-x;; G, clearly: it is the lowest note and its fifth sounds above it (27 against 11 for C).",
                "x-x-4-4-x-x;; B, by a little: its fifth lies below it, and a fourth is heard from its upper note (15 against 12 for F♯).",
                "x-x-0-2-1-1;; D or F: ambiguous, either can be heard as the root (19 against 18).",
                "3-x-5-x-x-x;; G, clearly: nothing else sounds (22 against 10 for C).",
                "x-3-x-4-x-x;; C, by a little: it is the lowest note (12 against 10 for B).",
                "x-0-2-2-x-x;A minor; A, clearly: it is the lowest note and its fifth sounds above it (30 against 12 for D)."
            })
    void aSentenceSaysWhy(String shape, String key, String words) {
        Fretboard board = new Fretboard(Instrument.of(Tuning.STANDARD), 0);
        Optional<Key> in = Optional.ofNullable(key).map(Key::parse);
        HeardRoot heard = HeardRoot.of(new Voicing(Shape.parse(shape), board, 0), in);
        assertThat(RootWords.of(heard, in)).isEqualTo(words);
        assertThat(RootWords.sentence(heard, in))
                .as("the sentence alone")
                .isEqualTo(words.replaceFirst(" \\(.*\\)", ""));
    }
}
