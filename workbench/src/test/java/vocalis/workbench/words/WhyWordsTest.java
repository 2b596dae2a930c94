package vocalis.workbench.words;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.harmony.WhyHere;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;

/** Why chords may stand where they do (common practice, no source). */
class WhyWordsTest {

    private static final Fretboard BOARD = new Fretboard(Instrument.of(Tuning.STANDARD), 0);

    private static Optional<Voicing> voicing(String said) {
        if (said == null || said.isBlank()) {
            return Optional.empty();
        }
        String[] parts = said.strip().split(" on ");
        return Optional.of(new Voicing(Shape.parse(parts[0]), BOARD, Integer.parseInt(parts[1])));
    }

    /** Shapes with the pitch class of the root that was asked for. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // B flat seventh in the place of E seventh, into A minor.
                "A minor | | 6-x-6-7-x-x on 4 | 5-7-7-x-x-x on 9 |"
                        + " It may stand here: it shares 3 and ♭7 with the chord on E, and its bass"
                        + " falls a semitone into the next.",
                // C in the place of A minor: its third, fifth and seventh.
                "A minor | | x-3-2-0-1-0 on 9 | x-5-7-7-x-x on 2 |"
                        + " It may stand here: it shares ♭3, 5 and ♭7 with the chord on A.",
                // A bass that walks from G over F♯ to E.
                "E minor | 3-x-0-0-x-x on 7 | 2-x-0-2-x-x on 2 | 0-2-2-x-x-x on 4 |"
                        + " It may stand here: its bass passes from G by F♯ to E.",
                "D major | | x-x-0-2-3-3 on 2 | x-x-0-2-3-2 on 2 |"
                        + " It may stand here: its 4, G, wants to go to F♯, and does.",
                "D major | | x-x-0-2-3-0 on 2 | 3-5-5-x-x-x on 7 |"
                        + " It may stand here: its 2, E, wants to go to F♯.",
                // A chord of the key on its own root needs no reason.
                "A minor | | 5-7-7-5-5-5 on 9 | x-5-7-7-x-x on 2 | ",
            })
    void itIsSaidWhy(String key, String before, String shape, String after, String why) {
        Key k = Key.parse(key);
        String said =
                WhyWords.of(
                        WhyHere.of(
                                voicing(shape).orElseThrow(), k, voicing(before), voicing(after)),
                        k);
        assertThat(said).isEqualTo(why == null ? "" : why);
    }
}
