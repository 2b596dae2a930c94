package vocalis.core.names;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import vocalis.core.instrument.Fretboard;
import vocalis.core.instrument.Instrument;
import vocalis.core.instrument.Shape;
import vocalis.core.instrument.Tuning;
import vocalis.core.theory.Key;
import vocalis.core.voicing.Voicing;

/** What chords are called in passing (common practice, no source). */
class WorkingNameTest {

    private static final Fretboard BOARD = new Fretboard(Instrument.of(Tuning.STANDARD), 0);

    /** Sixty symbols: the fuller name in passing, then the shortest. */
    @ParameterizedTest
    @CsvSource({
        "E, E",
        "Am, Am",
        "B5, B",
        "Fsus4, F",
        "Gsus2, G",
        "Dadd9, D",
        "Bm(add9), Bm",
        "E♭6, E♭",
        "Fm6, Fm",
        "A6/9, A",
        "C♯(add11), C♯",
        "G5(♯11), G",
        "F(♯11), F",
        "Caug, Caug",
        "Bdim, Bdim",
        "F♯dim7, F♯dim7 F♯dim",
        "Dm7♭5, Dm7♭5 Ddim",
        "A7, A7 A",
        "E♭7, E♭7 E♭",
        "G7sus4, G7 G",
        "D7sus2, D7 D",
        "B9, B7 B",
        "F13, F7 F",
        "C11, C7 C",
        "E7♯9, E7 E",
        "A7♭9, A7 A",
        "G7♭5, G7 G",
        "D7♯5, D7 D",
        "B♭9sus4, B♭7 B♭",
        "C♯m7, C♯m7 C♯m",
        "Gm9, Gm7 Gm",
        "F♯m11, F♯m7 F♯m",
        "Em7(add11), Em7 Em",
        "Bm13, Bm7 Bm",
        "Fmaj7, Fmaj7 F",
        "A♭maj9, A♭maj7 A♭",
        "Dmaj7(♯11), Dmaj7 D",
        "Emaj13, Emaj7 E",
        "Cmaj7sus2, Cmaj7 C",
        "Am(maj7), Am(maj7) Am",
        "D♭(no3), D♭",
        "G7(no3), G7 G",
        "Em7(no5), Em7 Em",
        "Fmaj7(no5), Fmaj7 F",
        "C7(no5), C7 C",
        "Gm(add11), Gm",
        "A(add9), A",
        "Bsus4, B",
        "E♭sus2, E♭",
        "D6, D",
        "F♯5, F♯",
        "A♭5, A♭",
        "Cm7, Cm7 Cm",
        "Bm7, Bm7 Bm",
        "G9, G7 G",
        "E13, E7 E",
        "B♭maj7, B♭maj7 B♭",
        "Dm6, Dm",
        "Gdim7, Gdim7 Gdim",
        "A♭aug, A♭aug",
        "F♯7♯5, F♯7 F♯",
    })
    void addedTonesGoFirstThenTheSeventh(String symbol, String names) {
        assertThat(WorkingName.of(symbol)).isEqualTo(List.of(names.split(" ")));
    }

    /** Shapes on a chosen root, in a key. */
    @ParameterizedTest
    @CsvSource({
        // Root and third with the third doubled below: the chord that was chosen, over its third.
        "x-2-5-4-x-x, 7, C major, G/B",
        "x-9-11-9-10-9, 6, F♯ minor, F♯m",
        "x-9-11-11-12-9, 6, F♯ minor, F♯",
        "x-2-4-4-5-2, 11, B minor, B",
        "x-4-6-6-x-x, 1, C♯ minor, C♯",
        "x-4-6-4-5-4, 1, C♯ minor, C♯m",
        "x-x-9-9-x-x, 4, E minor, E",
        "x-0-2-2-0-0, 9, A major, A",
        "x-3-5-5-4-3, 0, C minor, ",
    })
    void theChosenRootLeads(String shape, int root, String key, String names) {
        Voicing v = new Voicing(Shape.parse(shape), BOARD, root);
        List<String> wanted = names == null ? List.of() : List.of(names.split(" "));
        assertThat(WorkingName.of(v, Optional.of(Key.parse(key)))).isEqualTo(wanted);
    }
}
